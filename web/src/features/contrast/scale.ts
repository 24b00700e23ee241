/** The diagram of threads: light on the paper in stops from left to right, density of the print from bottom to top. */
export const WIDTH = 600;
export const HEIGHT = 262;
export const LEFT = 46;
export const RIGHT = 590;
export const TOP = 8;
export const BOTTOM = 212;
export const FROM_STOPS = -6;
export const TO_STOPS = 5;
export const MOST_NET = 2.05;

export function xOf(stops: number): number {
  const share = (stops - FROM_STOPS) / (TO_STOPS - FROM_STOPS);
  return LEFT + (RIGHT - LEFT) * Math.max(0, Math.min(1, share));
}

export function yOf(net: number): number {
  return BOTTOM - (BOTTOM - TOP) * Math.max(0, Math.min(1, net / MOST_NET));
}

/** The density at a height of the diagram, to a hundredth. */
export function netAt(y: number): number {
  const share = (BOTTOM - y) / (BOTTOM - TOP);
  return Math.round(100 * MOST_NET * Math.max(0, Math.min(1, share))) / 100;
}

export function pathOf(curve: readonly { stops: number; net: number }[]): string {
  return curve
    .map((p, i) => `${i === 0 ? "M" : "L"}${xOf(p.stops).toFixed(1)} ${yOf(p.net).toFixed(1)}`)
    .join("");
}

/** Places of labels so near each other that they would cover one another, moved apart downwards. */
export function apart(places: readonly number[], least: number): number[] {
  const order = places.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  const moved = [...places];
  let last = -Infinity;
  for (const { y, i } of order) {
    const at = Math.max(y, last + least);
    moved[i] = at;
    last = at;
  }
  return moved;
}
