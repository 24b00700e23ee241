import { describe, expect, it } from "vitest";
import { areApart, lookOf, withLook, withLooks } from "./looks";

describe("several looks", () => {
  it("are sent all together, and one alone as its marks", () => {
    expect(withLooks({ whitesAt: 3 }, [])).toEqual({ whitesAt: 3 });
    expect(withLooks({ whitesAt: 3.5, dry: true }, [{ whitesAt: 3 }])).toEqual({
      whitesAt: 3.5,
      dry: true,
      looks: [{ whitesAt: 3 }, { whitesAt: 3.5 }],
    });
  });

  it("ask for one more where they lie more than a patch apart", () => {
    expect(areApart([])).toBe(false);
    expect(areApart([{ whitesAt: 3 }, { whitesAt: 4 }])).toBe(false);
    expect(areApart([{ whitesAt: 3 }, { whitesAt: 3.5, blacksAt: 1 }, { blacksAt: 2.5 }])).toBe(true);
  });

  it("hide the marks of the look before and keep everything else", () => {
    const first = { whitesAt: 3, blacksAt: 4, whitesTone: "sky", dry: false };
    expect(withLook(first, {})).toEqual({ whitesTone: "sky", dry: false });
    expect(withLook(withLook(first, {}), lookOf(first))).toEqual(first);
  });
});
