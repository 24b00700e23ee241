/** What stands on the filters of a viewing kit: how strong each is, or how much to change the pack. */
export type Says = "STRENGTH" | "CORRECTION";

/** A viewing kit: what its numbers mean, and which there are, the weakest first. */
export interface Kit {
  says: Says;
  strengths: readonly number[];
}

const KEY = "key-slate.viewing-kit";
const MOST_FILTERS = 8;
const WEAKEST = 1;
const STRONGEST = 60;

/** The strengths that most kits have. */
export const USUAL_STRENGTHS: readonly number[] = [5, 10, 20];

/** Points of the pack for a point on the filter, to begin with; the looks of a slate teach the rest. */
export const FACTORS: Record<Says, number> = { STRENGTH: 0.5, CORRECTION: 1 };

/** The kit of this screen's owner; none when it was never asked. */
export function knownKit(): Kit | undefined {
  try {
    return kitOf(window.localStorage.getItem(KEY));
  } catch {
    return undefined;
  }
}

/** Of earlier versions the word alone was kept. */
function kitOf(kept: string | null): Kit | undefined {
  if (kept === null) return undefined;
  if (isSays(kept)) return { says: kept, strengths: USUAL_STRENGTHS };
  const { says, strengths } = JSON.parse(kept) as { says?: unknown; strengths?: unknown };
  const read = strengthsOf(Array.isArray(strengths) ? strengths.join(", ") : "");
  return isSays(says) && read ? { says, strengths: read } : undefined;
}

function isSays(kept: unknown): kept is Says {
  return kept === "STRENGTH" || kept === "CORRECTION";
}

export function keepKit(kit: Kit): void {
  try {
    window.localStorage.setItem(KEY, JSON.stringify(kit));
  } catch {
    // It is asked again the next time.
  }
}

/** "5, 10, 20" as strengths, the weakest first; none where it is no list of them. */
export function strengthsOf(text: string): readonly number[] | undefined {
  const read = text.split(/[;,\s]+/).filter((part) => part !== "");
  const numbers = [...new Set(read.map(Number))].sort((a, b) => a - b);
  const fits = numbers.every((n) => n >= WEAKEST && n <= STRONGEST);
  return numbers.length > 0 && numbers.length <= MOST_FILTERS && fits ? numbers : undefined;
}
