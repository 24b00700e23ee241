import type { RunView } from "../../shared/api/client";

/** What one press does next in a run. */
export type Next =
  | { do: "light"; step: number }
  | { do: "wait" }
  | { do: "told"; step: number }
  | { do: "event"; kind: string; words: string }
  | { do: "hang" }
  | { do: "nothing" };

const WET_WAY: readonly (readonly [string, string])[] = [
  ["IN_DEVELOPER", "In the developer"],
  ["IN_STOP", "In the stop"],
  ["IN_FIXER", "In the fixer"],
];
const DRUM_WAY: readonly (readonly [string, string])[] = [["DRUM_CLOSED", "Drum closed"]];

/** The way of a sheet's paper after its light: trays under the safelight, or a drum in the dark. */
export function wayOf(run: RunView): readonly (readonly [string, string])[] {
  return run.room === "BLACKOUT" ? DRUM_WAY : WET_WAY;
}

/** Whether it has come to the first station of that way. */
export function isWayBegun(run: RunView): boolean {
  return wayOf(run).some(([kind]) => run.events.some((e) => e.kind === kind));
}

const SETTING_WAY = { box: "PAPER_BOXED", take: "PAPER_TAKEN" } as const;

/** Whether the paper lies in its box between two exposures. */
export function isBoxed(run: RunView): boolean {
  return count(run, SETTING_WAY.box) > count(run, SETTING_WAY.take);
}

/** Whether the next exposure needs a setting that is made in white light, and was not made yet. */
function isToBeSet(run: RunView): boolean {
  if (run.step === undefined) return false;
  const needed = run.script.slice(0, run.step).filter((s) => s.setInLight).length;
  return count(run, SETTING_WAY.take) < needed;
}

function count(run: RunView, kind: string): number {
  return run.events.filter((e) => e.kind === kind).length;
}

/** One key does the next thing; what that is follows from where the run stands. */
export function nextOf(run: RunView): Next {
  if (run.state !== "EXPOSING" || run.powerLost) return { do: "nothing" };
  if (run.left) return { do: "event", kind: "CAME_BACK", words: "I am back" };
  if (run.lampOn) return run.lamp === "SWITCHED" ? { do: "wait" } : { do: "told", step: run.step ?? 0 };
  if (isToBeSet(run)) {
    return isBoxed(run)
      ? { do: "event", kind: SETTING_WAY.take, words: "It is set, go dark" }
      : { do: "event", kind: SETTING_WAY.box, words: "Box shut" };
  }
  if (run.step !== undefined) return { do: "light", step: run.step };
  const open = wayOf(run).find(([kind]) => !run.events.some((e) => e.kind === kind));
  return open ? { do: "event", kind: open[0], words: open[1] } : { do: "hang" };
}

/** Whether paper is out that white light would fog; what lies in an open box is. */
export function paperIsOut(run: RunView): boolean {
  if (run.state === "EXPOSING" && run.boxOpen) return true;
  if (run.state !== "EXPOSING" || isBoxed(run) || run.left) return false;
  const safe = run.room === "BLACKOUT" ? "DRUM_CLOSED" : "IN_FIXER";
  return !run.events.some((e) => e.kind === safe);
}

/** What the one button of a run says. */
export function labelOf(next: Next): string {
  switch (next.do) {
    case "light":
      return "Give the light";
    case "told":
      return "It is given";
    case "event":
      return next.words;
    case "hang":
      return "Hang it, white light";
    default:
      return "Give the light";
  }
}
