import { describe, expect, it } from "vitest";
import { aperture, number, percent, plainStops, seconds, signedStops, stopWord } from "./format";
import { parseQuantity } from "./parse";

describe("shown numbers", () => {
  it("writes stops in twelfths with typographic minus and fractions", () => {
    expect(signedStops(1 / 3)).toBe("+⅓");
    expect(signedStops(-1.5)).toBe("−1½");
    expect(signedStops(1 + 1 / 12)).toBe("+1 1/12");
    expect(signedStops(0.01)).toBe("0");
    expect(plainStops(2)).toBe("2");
    expect(stopWord(1)).toBe("stop");
    expect(stopWord(-1.5)).toBe("stops");
  });
  it("writes seconds, openings and percent", () => {
    expect(seconds(11.31)).toBe("11.3");
    expect(aperture(5.6)).toBe("f/5.6");
    expect(aperture(8)).toBe("f/8");
    expect(number(-2.5)).toBe("−2.5");
    expect(percent(-29.3)).toBe("−29 %");
    expect(percent(0.2)).toBe("0 %");
  });
});

describe("typed quantities", () => {
  it.each([
    ["9", "number", 9, ""],
    ["9,5 s", "number", 9.5, "s"],
    ["f16", "number", 16, "f"],
    ["+1/3", "change", 1 / 3, ""],
    ["−½ stop", "change", -0.5, "stop"],
    ["1 1/2", "number", 1.5, ""],
    ["11/12", "number", 11 / 12, ""],
    ["+40 %", "change", 40, "%"],
    ["20 cm", "number", 200, "mm"],
    ["8 in", "number", 203.2, "mm"],
  ])("reads %s", (text, kind, value, unit) => {
    const found = parseQuantity(text);
    expect(found.kind).toBe(kind);
    if (found.kind === "error") return;
    expect(found.value).toBeCloseTo(value, 9);
    expect(found.unit).toBe(unit);
  });
  it.each(["", "abc", "1/0", "--3", "3 4"])("refuses %s with a message", (text) => {
    expect(parseQuantity(text)).toMatchObject({ kind: "error" });
  });
});
