import type { Schemas } from "../api/client";
import { type Crop, type Point, toFrame } from "../areas/geometry";

export type Tone = Omit<Schemas["StoredTone"], "wish"> & { wish: Wish };
export type Wish = "WHITE_HOLDS" | "MIDDLE" | "TRUE_BLACK" | "OWN";

/** As many as a slate takes. */
export const MOST_TONES = 8;

export const WISHES: readonly { value: Wish; label: string }[] = [
  { value: "WHITE_HOLDS", label: "white that holds" },
  { value: "MIDDLE", label: "middle" },
  { value: "TRUE_BLACK", label: "true black" },
  { value: "OWN", label: "a density" },
];

/** A new tone in the middle of the printed picture, with a name nobody has yet. */
export function newTone(tones: readonly Tone[], crop: Crop): Tone {
  const taken = new Set(tones.map((t) => t.name));
  let number = 1;
  while (taken.has(`Tone ${String(number)}`)) number++;
  return { name: `Tone ${String(number)}`, ...toFrame({ x: 0.5, y: 0.5 }, crop), wish: "WHITE_HOLDS" };
}

/** The tones with one changed. */
export function changed(tones: readonly Tone[], at: number, part: Partial<Tone>): Tone[] {
  return tones.map((tone, i) => (i === at ? { ...tone, ...part } : tone));
}

/** A place on the frame for one on the printed picture, which it does not leave. */
export function placeOf(onPrint: Point, crop: Crop): Point {
  const inside = (v: number) => Math.max(0, Math.min(1, v));
  return toFrame({ x: inside(onPrint.x), y: inside(onPrint.y) }, crop);
}

const NUDGE = 0.01;

/** Where an arrow key moves a place on the print; none for any other key. */
export function nudged(onPrint: Point, key: string, big: boolean): Point | undefined {
  const step = big ? 5 * NUDGE : NUDGE;
  switch (key) {
    case "ArrowLeft":
      return { ...onPrint, x: onPrint.x - step };
    case "ArrowRight":
      return { ...onPrint, x: onPrint.x + step };
    case "ArrowUp":
      return { ...onPrint, y: onPrint.y - step };
    case "ArrowDown":
      return { ...onPrint, y: onPrint.y + step };
    default:
      return undefined;
  }
}
