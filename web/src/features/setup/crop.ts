/** Where the kept part lies, 0 = at the left or top, 1 = at the right or bottom. */
export interface Place {
  across: number;
  down: number;
}

interface Kept {
  imageWidthMm: number;
  imageHeightMm: number;
  crop: { width: number; height: number };
}

const STEP = 0.05;
const BIG_STEP = 0.25;

/** The picture was pushed by so many millimetres on the paper: what is kept moves the other way over the negative. */
export function drag(stands: Place, kept: Kept, xMm: number, yMm: number): Place {
  return {
    across: moved(stands.across, xMm, beside(kept.imageWidthMm, kept.crop.width)),
    down: moved(stands.down, yMm, beside(kept.imageHeightMm, kept.crop.height)),
  };
}

/** An arrow pushes the picture a twentieth of what can be moved, with Shift a quarter. */
export function nudge(stands: Place, kept: Kept, way: readonly [number, number], big: boolean): Place {
  const step = big ? BIG_STEP : STEP;
  return drag(
    stands,
    kept,
    way[0] * step * beside(kept.imageWidthMm, kept.crop.width),
    way[1] * step * beside(kept.imageHeightMm, kept.crop.height),
  );
}

/** How much of the picture falls beside the paper, in millimetres there. */
function beside(imageMm: number, share: number): number {
  return imageMm / share - imageMm;
}

function moved(place: number, byMm: number, besideMm: number): number {
  if (besideMm < 0.1) return place;
  return Math.min(1, Math.max(0, Math.round(1000 * (place - byMm / besideMm)) / 1000));
}
