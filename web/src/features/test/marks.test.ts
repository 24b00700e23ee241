import { describe, expect, it } from "vitest";
import { isMarked, markAfter, marksOf, sameMarks } from "./marks";

const kinds = [
  { field: "whitesAt", key: "w", label: "", flag: "whites hold", asks: "", black: false },
  { field: "blacksAt", key: "k", label: "", flag: "first black", asks: "", black: true },
];

describe("marks on a strip", () => {
  it("are set one after another", () => {
    expect(markAfter(kinds, "whitesAt")).toBe("blacksAt");
    expect(markAfter(kinds, "blacksAt")).toBe("whitesAt");
    expect(markAfter(kinds.slice(0, 1), "whitesAt")).toBe("whitesAt");
  });

  it("stand at a patch or just past one", () => {
    const marked = { whitesAt: 1, blacksAt: 2.5 };
    expect(marksOf(kinds, marked, 1)).toBe("whites hold");
    expect(marksOf(kinds, marked, 2)).toBe("first black, just past");
    expect(marksOf(kinds, marked, 3)).toBe("");
    expect(marksOf(kinds, { whitesAt: 1, blacksAt: 1 }, 1)).toBe("whites hold; first black");
  });

  it("are the same when every mark that is asked for is", () => {
    expect(sameMarks(kinds, { whitesAt: 1 }, { whitesAt: 1, rightAt: 3 })).toBe(true);
    expect(sameMarks(kinds, { whitesAt: 1, blacksAt: 2 }, { whitesAt: 1 })).toBe(false);
  });

  it("say something when a time can follow from them", () => {
    expect(isMarked(kinds, {})).toBe(false);
    expect(isMarked(kinds, { whitesAt: 1 })).toBe(true);
    expect(isMarked(kinds, { blacksAt: 1 })).toBe(false);
    expect(isMarked(kinds.slice(1), { blacksAt: 1 })).toBe(true);
    expect(isMarked(kinds, { beyond: "LIGHTER" })).toBe(true);
    expect(isMarked([], { moreStops: 0 })).toBe(true);
    expect(isMarked([], { whitesAt: 0 })).toBe(false);
  });
});
