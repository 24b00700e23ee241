const CORNERS: Record<string, string> = {
  "upper left": "↖",
  "upper right": "↗",
  "lower right": "↘",
  "lower left": "↙",
};

/** How a piece is marked, short enough for a table: clipped corners as arrows, anything else as it is said. */
export function shortMark(mark: string): string {
  if (!/corners? clipped$/.test(mark)) return mark;
  return Object.entries(CORNERS)
    .filter(([words]) => mark.includes(words))
    .map(([, arrow]) => arrow)
    .join(" ");
}
