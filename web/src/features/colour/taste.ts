import type { Schemas } from "../../shared/api/client";
import { RAYS } from "./rose";

type Taste = Pick<Schemas["TasteView"], "magenta" | "yellow">;
type Ray = (typeof RAYS)[number];

/** How far off neutral a print can be meant to be at one press, points of filter. */
export const TASTES = [2, 4, 8, 12] as const;

/** A taste that lies on one of the six rays. */
export function rayOf(taste: Taste): { ray: Ray; points: number } | undefined {
  const points = Math.max(Math.abs(taste.magenta), Math.abs(taste.yellow));
  const ray = RAYS.find((r) => isAt(taste, r, points));
  return points > 0 && ray ? { ray, points } : undefined;
}

function isAt(taste: Taste, ray: Ray, points: number): boolean {
  return (
    Math.abs(taste.magenta - points * ray.magenta) < 0.01 &&
    Math.abs(taste.yellow - points * ray.yellow) < 0.01
  );
}

export function tasteOn(ray: Ray, points: number): Taste {
  return { magenta: points * ray.magenta, yellow: points * ray.yellow };
}
