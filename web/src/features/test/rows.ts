const MANY = 9;

/** The look of a table of so many patches: many stand closer, so that they are seen at one glance. */
export function rowsClass(patches: number): string {
  return patches > MANY ? "rows many" : "rows";
}
