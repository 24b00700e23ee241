/** What stands on the filters of a viewing kit: how strong each is, or how much to change the pack. */
export type Kit = "STRENGTH" | "CORRECTION";

const KEY = "key-slate.viewing-kit";

/** Points of the pack for a point on the filter, to begin with; the looks of a slate teach the rest. */
export const FACTORS: Record<Kit, number> = { STRENGTH: 0.5, CORRECTION: 1 };

/** The kit of this screen's owner; none when it was never asked. */
export function knownKit(): Kit | undefined {
  try {
    const kept = window.localStorage.getItem(KEY);
    return kept === "STRENGTH" || kept === "CORRECTION" ? kept : undefined;
  } catch {
    return undefined;
  }
}

export function keepKit(kit: Kit): void {
  try {
    window.localStorage.setItem(KEY, kit);
  } catch {
    // It is asked again the next time.
  }
}
