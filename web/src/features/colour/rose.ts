import type { LightView, Schemas } from "../../shared/api/client";

/** A place on the rose, in points of filter from its middle: to the right and down. */
export interface RosePlace {
  x: number;
  y: number;
}

const COS = Math.sqrt(3) / 2;
const SMALLEST_REACH = 10;

/** Magenta and yellow of a pack without its neutral part. */
export function chroma(light: Pick<LightView, "points">): { magenta: number; yellow: number } {
  const [cyan = 0, magenta = 0, yellow = 0] = light.points;
  return { magenta: magenta - cyan, yellow: yellow - cyan };
}

/** Where a pack lies seen from another: more magenta in the beam is up (the print greener), more yellow right and down (bluer). */
export function placeOf(light: Pick<LightView, "points">, middle: LightView): RosePlace {
  const a = chroma(light);
  const b = chroma(middle);
  const magenta = a.magenta - b.magenta;
  const yellow = a.yellow - b.yellow;
  return { x: COS * yellow, y: yellow / 2 - magenta };
}

/** A place on the plane as a light of magenta and yellow; below nothing stands for cyan. */
export function packOf(point: Schemas["PackPoint"]): Pick<LightView, "points"> {
  return { points: [0, point.magenta, point.yellow] };
}

/** The points of a pack as it is written, "0/52/47". */
export function pointsOf(notation: string): Pick<LightView, "points"> {
  return { points: notation.split("/").map(Number) };
}

/** How many points the rose reaches, so that all places lie on it: 10, 20, 40 … */
export function reachOf(places: readonly RosePlace[]): number {
  const far = Math.max(0, ...places.map((p) => Math.hypot(p.x, p.y)));
  let reach = SMALLEST_REACH;
  while (reach < far * 1.15) reach *= 2;
  return reach;
}

/** Sheets beside the one that is looked at: of those on one pack the last, and none where the looked one lies itself. */
export function onePerPack<S extends { id: string; light: LightView }>(sheets: readonly S[], looked: S): S[] {
  const last = new Map(sheets.map((s) => [s.light.notation, s]));
  last.delete(looked.light.notation);
  return [...last.values()];
}

/** What lies on the rose as heaps: each on the first before it that is nearer than so much, which lies on top. */
export function heaps<T extends { place: RosePlace }>(lying: readonly T[], near: number): T[][] {
  const found: T[][] = [];
  for (const one of lying) {
    const heap = found.find(
      ([top]) => top && Math.hypot(top.place.x - one.place.x, top.place.y - one.place.y) < near,
    );
    if (heap) heap.push(one);
    else found.push([one]);
  }
  return found;
}

/** The six ways a print can turn, clockwise from the top, each with what the pack does for it. */
export const RAYS = [
  { letter: "G", word: "greener", pack: "+M filter", magenta: 1, yellow: 0 },
  { letter: "C", word: "more cyan", pack: "+M +Y filter", magenta: 1, yellow: 1 },
  { letter: "B", word: "bluer", pack: "+Y filter", magenta: 0, yellow: 1 },
  { letter: "M", word: "more magenta", pack: "−M filter", magenta: -1, yellow: 0 },
  { letter: "R", word: "redder", pack: "−M −Y filter", magenta: -1, yellow: -1 },
  { letter: "Y", word: "yellower", pack: "−Y filter", magenta: 0, yellow: -1 },
] as const;

/** The direction of a ray, a unit long. */
export function rayPlace(index: number): RosePlace {
  const angle = (index * Math.PI) / 3;
  return { x: Math.sin(angle), y: -Math.cos(angle) };
}
