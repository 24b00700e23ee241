import { describe, expect, it } from "vitest";
import { BOTTOM, MOST_NET, TOP, apart, netAt, pathOf, xOf, yOf } from "./scale";

describe("the diagram of threads", () => {
  it("has paper white at the bottom and the deepest black at the top", () => {
    expect(yOf(0)).toBe(BOTTOM);
    expect(yOf(MOST_NET)).toBe(TOP);
    expect(yOf(9)).toBe(TOP);
  });

  it("reads the density back from a height", () => {
    for (const net of [0, 0.1, 0.6, 1.54, 2.05]) expect(netAt(yOf(net))).toBeCloseTo(net, 2);
    expect(netAt(-100)).toBe(MOST_NET);
  });

  it("draws a curve from left to right", () => {
    expect(
      pathOf([
        { stops: -1, net: 0 },
        { stops: 1, net: 1 },
      ]),
    ).toBe(`M${xOf(-1).toFixed(1)} ${yOf(0).toFixed(1)}L${xOf(1).toFixed(1)} ${yOf(1).toFixed(1)}`);
  });

  it("moves labels apart and leaves the others where they are", () => {
    expect(apart([100, 104, 20], 14)).toEqual([100, 114, 20]);
  });
});
