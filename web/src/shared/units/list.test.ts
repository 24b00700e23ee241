import { describe, expect, it } from "vitest";
import { parseList } from "./list";

describe("a list of numbers", () => {
  it("is read with commas, spaces and semicolons between", () => {
    expect(parseList("5, 7.1, 10", false)).toEqual([5, 7.1, 10]);
    expect(parseList(" 5 7.1  10 ", false)).toEqual([5, 7.1, 10]);
    expect(parseList("5; 7,1; 10", false)).toEqual([5, 7.1, 10]);
    expect(parseList("5,5 7,1", false)).toEqual([5.5, 7.1]);
    expect(parseList("4s 6s", true)).toEqual([4, 6]);
    expect(parseList("5,10,20", false)).toEqual([5, 10, 20]);
  });

  it("says what is none", () => {
    expect(parseList("5, x", false)).toBe("“x” is not a number.");
    expect(parseList("4, 5.5", true)).toBe("“5.5” is not a whole number.");
    expect(parseList("  ", false)).toContain("Type the numbers");
  });
});
