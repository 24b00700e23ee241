import { beforeEach, describe, expect, it } from "vitest";
import type { SlateView } from "../../shared/api/client";
import { answer, answeredAt } from "../../shared/expose/byHand";
import { listOf } from "./list";

const slate = (part: { differences?: string[]; sheets?: number }): SlateView =>
  ({
    setup: { apertureMark: 8, paperName: "Colour gloss", paperBatch: "B" },
    medium: { lightName: "Filter pack" },
    base: { light: { notation: "0/52/47" } },
    byHand: ["Cellar dark for 12 min, by your test"],
    differences: (part.differences ?? []).map((p) => ({ part: p, text: "" })),
    sheets: Array.from({ length: part.sheets ?? 1 }, () => ({})),
  }) as unknown as SlateView;
const script = [{ light: { notation: "0/52/47" }, setInLight: false }];
const asked = (items: ReturnType<typeof listOf>) => items.filter((i) => i.always).map((i) => i.words);

describe("the list before the dark", () => {
  beforeEach(() => window.sessionStorage.clear());

  it("asks for what changed and for what is easily forgotten, each time", () => {
    const words = asked(listOf(slate({ differences: ["light"] }), script));
    expect(words[0]).toBe("Filter pack at 0/52/47");
    expect(words.some((w) => w.startsWith("Lens"))).toBe(false);
    expect(words).toContain("Voice heard at the enlarger");
    expect(words.some((w) => w.includes("still glows"))).toBe(true);
  });

  it("asks for the things of the recipe before the first sheet", () => {
    const words = asked(listOf(slate({ sheets: 0 }), script));
    expect(words).toContain("Lens at f/8");
    expect(words.some((w) => w.startsWith("Colour gloss"))).toBe(true);
  });

  it("asks for another negative that may still be in the carrier", () => {
    const other = "Roll 15, frame 4 was enlarged last: take it out of the carrier.";
    expect(asked(listOf({ ...slate({}), otherNegative: other }, script))).toContain(other);
  });

  it("asks for the equipment's own things once a session", () => {
    const own = listOf(slate({}), script).find((i) => i.words.startsWith("Cellar"));
    expect(own?.always).toBe(false);
  });

  it("names the packs that follow, which must lie within reach", () => {
    const [first] = listOf(slate({}), [...script, { light: { notation: "0/72/47" }, setInLight: false }]);
    expect(first?.words).toBe("Filter pack at 0/52/47, 0/72/47 by gel or clicks, in order");
  });

  it("has the lights of a head that prints with three found by feel", () => {
    const three = slate({});
    const base = { ...three.base, pack: { thirds: [] } } as unknown as SlateView["base"];
    const lights = ["red light", "green light", "blue light"];
    const [first] = listOf(
      { ...three, base },
      lights.map((notation) => ({ light: { notation }, setInLight: false })),
    );
    expect(first?.words).toBe("Head at red light, green light and blue light found by feel");
  });

  it("asks for stops and the box where dials are set with the paper away", () => {
    const items = listOf(slate({}), [...script, { light: { notation: "0/72/47" }, setInLight: true }]);
    expect(items[0]?.words).toBe("Filter pack at 0/52/47");
    expect(asked(items)).toContain(
      "Stops on the easel, box in reach: the paper is boxed while 0/72/47 is set",
    );
  });

  it("remembers for the session that the whole list was answered", () => {
    expect(answeredAt()).toBeUndefined();
    answer(new Date(2026, 1, 3, 9, 5));
    expect(answeredAt()).toBe("09:05");
  });
});
