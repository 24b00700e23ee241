/** Corners of a paper in a picture: x and y in fractions, clockwise from the paper's own upper left. */
export interface Corner {
  x: number;
  y: number;
}

export const CORNER_NAMES = ["upper left", "upper right", "lower right", "lower left"] as const;

/** Where the corners are looked for first: a little inside the picture, so that each can be taken hold of. */
export function firstCorners(): Corner[] {
  const edge = 0.04;
  return [
    { x: edge, y: edge },
    { x: 1 - edge, y: edge },
    { x: 1 - edge, y: 1 - edge },
    { x: edge, y: 1 - edge },
  ];
}

const inside = (value: number) => Math.max(0, Math.min(1, value));

/** The corners with one of them elsewhere, never outside the picture. */
export function withCorner(corners: readonly Corner[], index: number, to: Corner): Corner[] {
  return corners.map((c, i) => (i === index ? { x: inside(to.x), y: inside(to.y) } : c));
}

/** The same paper lying a quarter turn further: what was its upper left is its upper right now. */
export function turned(corners: readonly Corner[]): Corner[] {
  return corners.map((_, i) => corners[(i + 3) % 4] ?? { x: 0, y: 0 });
}

/** As the server reads them. */
export function written(corners: readonly Corner[]): string {
  return corners.map((c) => `${c.x.toFixed(5)},${c.y.toFixed(5)}`).join(",");
}

/** From eight numbers, x and y of each. */
export function cornersOf(paper: readonly number[]): Corner[] {
  return [0, 1, 2, 3].map((i) => ({ x: paper[2 * i] ?? 0, y: paper[2 * i + 1] ?? 0 }));
}
