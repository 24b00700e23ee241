import { describe, expect, it } from "vitest";
import type { SlateView } from "../../shared/api/client";
import type { MarkKind } from "./marks";
import { firstAsked, kindsInPicture } from "./pictured";

const WHITES = { field: "whitesAt", key: "w", label: "", flag: "", asks: "", black: false };
const MIDDLE = { ...WHITES, field: "rightAt" };
const BLACKS = { ...WHITES, field: "blacksAt", black: true };

function slate(choosesContrast: boolean, proof: boolean, blackWanted: boolean) {
  return {
    medium: { choosesContrast, marks: [WHITES, BLACKS, MIDDLE] },
    subject: { proof },
    naming: { blackWanted },
  } as unknown as Pick<SlateView, "medium" | "subject" | "naming">;
}

const fields = (kinds: readonly MarkKind[]) => kinds.map((k) => k.field);

describe("what is looked for in a picture", () => {
  it("is what the test asks for, where it asks", () => {
    expect(kindsInPicture([WHITES], slate(true, false, true))).toEqual([WHITES]);
  });

  it("is on one sheet the tone that matters, with whites and black where they tell the grade", () => {
    expect(fields(kindsInPicture([], slate(true, false, true)))).toEqual([
      "moreStops",
      "whitesAt",
      "blacksAt",
    ]);
    expect(fields(kindsInPicture([], slate(true, false, false)))).toEqual(["moreStops", "whitesAt"]);
    expect(fields(kindsInPicture([], slate(false, false, true)))).toEqual(["moreStops"]);
    expect(fields(kindsInPicture([], slate(true, true, true)))).toEqual(["moreStops"]);
  });

  it("is asked for all at once", () => {
    expect(firstAsked([WHITES, BLACKS])).toEqual({ tones: [{ field: "whitesAt" }, { field: "blacksAt" }] });
  });
});
