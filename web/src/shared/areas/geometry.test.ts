import { expect, it } from "vitest";
import { drawn, moved, scaled, startingShape, toFrame, toPrint, withHandle } from "./geometry";

const crop = { left: 0.1, top: 0, width: 0.8, height: 1 };

it("goes from print to frame and back", () => {
  const there = toFrame({ x: 0.25, y: 0.5 }, crop);
  expect(there).toEqual({ x: 0.1 + 0.2, y: 0.5 });
  expect(toPrint(there, crop).x).toBeCloseTo(0.25, 12);
});

it("draws an ellipse from corner to corner and nothing from a click", () => {
  expect(
    drawn("ellipse", [
      { x: 0.2, y: 0.2 },
      { x: 0.4, y: 0.6 },
    ])?.points,
  ).toEqual([
    { x: expect.closeTo(0.3, 9) as number, y: expect.closeTo(0.4, 9) as number },
    { x: expect.closeTo(0.1, 9) as number, y: expect.closeTo(0.2, 9) as number },
  ]);
  expect(drawn("ellipse", [{ x: 0.2, y: 0.2 }])).toBeUndefined();
  expect(
    drawn("edge", [
      { x: 0.2, y: 0.2 },
      { x: 0.21, y: 0.2 },
    ]),
  ).toBeUndefined();
});

it("moves an ellipse's centre and leaves its radii", () => {
  const shape = startingShape("ellipse", crop);
  const after = moved(shape, 0.1, -0.1);
  expect(after.points[0]?.x).toBeCloseTo((shape.points[0]?.x ?? 0) + 0.1, 12);
  expect(after.points[1]).toEqual(shape.points[1]);
});

it("scales a lasso about its middle", () => {
  const shape = startingShape("lasso", crop);
  const twice = scaled(scaled(shape, 2), 0.5);
  twice.points.forEach((p, i) => expect(p.x).toBeCloseTo(shape.points[i]?.x ?? 0, 9));
});

it("pulls one end of an edge", () => {
  const edge = startingShape("edge", crop);
  expect(withHandle(edge, 1, { x: 0.5, y: 0.5 }).points).toEqual([edge.points[0], { x: 0.5, y: 0.5 }]);
});
