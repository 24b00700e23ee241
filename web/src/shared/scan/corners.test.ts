import { describe, expect, it } from "vitest";
import { firstCorners, turned, withCorner, written } from "./corners";

describe("the corners of a paper", () => {
  it("go clockwise from the upper left and can be taken hold of", () => {
    const [a, b, c, d] = firstCorners();
    expect([a, b, c, d].every((p) => p && p.x > 0 && p.x < 1 && p.y > 0 && p.y < 1)).toBe(true);
    expect((a?.x ?? 1) < (b?.x ?? 0) && (b?.y ?? 1) < (c?.y ?? 0)).toBe(true);
  });

  it("move one at a time and stay in the picture", () => {
    const moved = withCorner(firstCorners(), 1, { x: 1.4, y: -0.2 });
    expect(moved[1]).toEqual({ x: 1, y: 0 });
    expect(moved[0]).toEqual(firstCorners()[0]);
  });

  it("come back after four turns, and a turn keeps them clockwise", () => {
    const start = firstCorners();
    expect(turned(start)[1]).toEqual(start[0]);
    expect(turned(turned(turned(turned(start))))).toEqual(start);
  });

  it("are written as eight numbers", () => {
    expect(written(firstCorners()).split(",").map(Number)).toEqual([
      0.04, 0.04, 0.96, 0.04, 0.96, 0.96, 0.04, 0.96,
    ]);
  });
});
