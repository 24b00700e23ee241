import { describe, expect, it } from "vitest";
import { beside, firstAsked, isAsked, withThread } from "./contrast";

const LIGHTS = ["grade 00", "grade 0", "grade 2", "grade 4", "grade 5"];
const part = (notation: string) => ({ light: { notation } });

describe("what is asked of the contrast", () => {
  it("begins with the two filters that stand, in their order", () => {
    expect(firstAsked([part("grade 2")], LIGHTS)).toEqual({ way: "ONE_FILTER" });
    expect(firstAsked([part("grade 4"), part("grade 0")], LIGHTS)).toEqual({
      way: "TWO_FILTERS",
      soft: "grade 0",
      hard: "grade 4",
      hardFirst: true,
    });
  });

  it("leaves strips and a filter of one's own once a thread is moved", () => {
    const asked = withThread({ way: "TWO_FILTERS", school: "EXACT", light: "grade 2" }, "Door", 1.8);
    expect(asked.school).toBeUndefined();
    expect(asked.light).toBeUndefined();
    expect(withThread(asked, "Door", 1.7).threads).toEqual([{ name: "Door", net: 1.7 }]);
  });

  it("stays at the ends of the set", () => {
    expect(beside(LIGHTS, "grade 5", 1)).toBe("grade 5");
    expect(beside(LIGHTS, "grade 2", -1)).toBe("grade 0");
  });

  it("is nothing as long as one filter stands and nothing was moved", () => {
    expect(isAsked({ way: "ONE_FILTER" })).toBe(false);
    expect(isAsked({ way: "ONE_FILTER", moreStops: 1 / 6 })).toBe(true);
  });
});
