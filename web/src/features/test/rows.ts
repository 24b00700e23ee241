import type { Schemas, SheetView } from "../../shared/api/client";

const MANY = 9;

/** The look of a table of so many patches: many stand closer, so that they are seen at one glance. */
export function rowsClass(patches: number): string {
  return patches > MANY ? "rows many" : "rows";
}

/** The rows of a test that got different lights on one paper, from 1; one as a rule. */
export function rowsOf(sheet: SheetView): number[] {
  return [...new Set(sheet.patches.map((p) => p.row))];
}

/** The row that was read; a reading made before there were rows is of the first. */
export function rowOf(reading: Schemas["DecisionView"]): number {
  return reading.row ?? 1;
}

/** One row of a test as if it were all of it. */
export function ofRow(sheet: SheetView, row: number): SheetView {
  return {
    ...sheet,
    patches: sheet.patches.filter((p) => p.row === row),
    decisions: sheet.decisions.filter((d) => d.kind !== "READING" || rowOf(d) === row),
  };
}

/** What each row of a test is called by where it lies: one above the other, or side by side. */
export function namesOfRows(sheet: SheetView): string[] {
  const above = placeOfRow(sheet, 1).height < 0.99;
  const ends = above ? ["Upper", "Lower"] : ["Left", "Right"];
  return rowsOf(sheet).length > 2 ? [ends[0] ?? "", "Middle", ends[1] ?? ""] : ends;
}

/** Where a row lies on the paper, as shares of it. */
export function placeOfRow(sheet: SheetView, row: number): Schemas["RectView"] {
  const places = sheet.patches.filter((p) => p.row === row).map((p) => p.place);
  const left = Math.min(...places.map((p) => p.left));
  const top = Math.min(...places.map((p) => p.top));
  return {
    left,
    top,
    width: Math.max(...places.map((p) => p.left + p.width)) - left,
    height: Math.max(...places.map((p) => p.top + p.height)) - top,
  };
}

/** The light of a row, in the paper's notation. */
export function lightOfRow(sheet: SheetView, row: number): string {
  return sheet.patches.find((p) => p.row === row)?.light ?? "";
}
