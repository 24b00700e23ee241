import { describe, expect, it } from "vitest";
import type { SheetView } from "../../shared/api/client";
import { lightOfRow, namesOfRows, placeOfRow, rowsOf } from "./rows";

/** A test of so many rows of two patches, one above the other or side by side. */
function sheet(rows: number, above: boolean): SheetView {
  const patches = Array.from({ length: 2 * rows }, (_, i) => {
    const row = Math.floor(i / 2);
    const across = { from: row / rows, size: 1 / rows };
    const along = { from: (i % 2) / 2, size: 0.5 };
    const [x, y] = above ? [along, across] : [across, along];
    return {
      row: row + 1,
      light: `grade ${String(row + 1)}`,
      place: { left: x.from, top: y.from, width: x.size, height: y.size },
    };
  });
  return { patches } as unknown as SheetView;
}

describe("rows of different lights", () => {
  it("are called by where they lie", () => {
    expect(namesOfRows(sheet(2, true))).toEqual(["Upper", "Lower"]);
    expect(namesOfRows(sheet(2, false))).toEqual(["Left", "Right"]);
    expect(namesOfRows(sheet(3, true))).toEqual(["Upper", "Middle", "Lower"]);
    expect(namesOfRows(sheet(3, false))).toEqual(["Left", "Middle", "Right"]);
  });

  it("cover all of their patches", () => {
    const three = sheet(3, true);
    expect(rowsOf(three)).toEqual([1, 2, 3]);
    const middle = placeOfRow(three, 2);
    expect(middle.left).toBe(0);
    expect(middle.width).toBe(1);
    expect(middle.top).toBeCloseTo(1 / 3);
    expect(middle.height).toBeCloseTo(1 / 3);
    expect(lightOfRow(three, 3)).toBe("grade 3");
  });
});
