import { describe, expect, it } from "vitest";
import type { SheetView } from "../../shared/api/client";
import { middleOf, placeOfMark, placeOfTap } from "./places";

type Patch = SheetView["patches"][number];

function patch(number: number, place: Patch["place"], sector?: Patch["sector"]): Patch {
  return {
    number,
    place,
    row: 1,
    light: "2",
    piece: 1,
    name: "",
    turns: "",
    mark: "",
    plannedSeconds: number,
    givenSeconds: number,
    stopsFromMiddle: 0,
    ...(sector && { sector }),
  };
}

const sheet = (patches: Patch[]) => ({ patches }) as unknown as SheetView;
const row = sheet([0, 1, 2, 3].map((i) => patch(i + 1, { left: i / 4, top: 0, width: 0.25, height: 1 })));
const grid = sheet(
  [0, 1, 2, 3].map((i) => patch(i + 1, { left: (i % 2) / 2, top: i < 2 ? 0 : 0.5, width: 0.5, height: 0.5 })),
);
const disc = sheet(
  [0, 1, 2, 3].map((i) =>
    patch(
      i + 1,
      { left: 0, top: 0, width: 1, height: 1 },
      { fromDegrees: 270 - 90 * i, toDegrees: 360 - 90 * i },
    ),
  ),
);

describe("a tap on the picture of a test", () => {
  it("means the patch under it, or between two near their line", () => {
    expect(placeOfTap(row, 0.1, 0.5)).toBe(0);
    expect(placeOfTap(row, 0.26, 0.5)).toBe(0.5);
    expect(placeOfTap(row, 0.24, 0.5)).toBe(0.5);
    expect(placeOfTap(row, 0.99, 0.5)).toBe(3);
    expect(placeOfTap(row, 1.2, 0.5)).toBe(3);
  });

  it("finds pieces in rows, and none between two that do not touch", () => {
    expect(placeOfTap(grid, 0.25, 0.75)).toBe(2);
    expect(placeOfTap(grid, 0.98, 0.25)).toBe(1);
    expect(placeOfTap(grid, 0.51, 0.25)).toBe(0.5);
  });

  it("finds sectors of a disc by their angle", () => {
    expect(placeOfTap(disc, 0.3, 0.3)).toBe(0);
    expect(placeOfTap(disc, 0.7, 0.7)).toBe(2);
    expect(placeOfTap(disc, 0.2, 0.51)).toBe(0.5);
    expect(middleOf(disc.patches[0] as Patch).x).toBeLessThan(0.5);
  });

  it("puts a mark in the middle of its patch, or between the two", () => {
    expect(placeOfMark(row, 0)).toEqual({ x: 0.125, y: 0.5 });
    expect(placeOfMark(row, 0.5)).toEqual({ x: 0.25, y: 0.5 });
    expect(placeOfMark(row, 9)).toBeUndefined();
  });
});
