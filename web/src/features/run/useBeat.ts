import { useEffect, useRef, useState } from "react";
import type { RunView } from "../../shared/api/client";
import { isHandsFree } from "../../shared/expose/handsFree";
import { play } from "../../shared/sound/player";
import { nextOf } from "./next";

export const BEATS = 8;

/** The exposure that comes by itself; none where a hand has to say when. */
export function beatsFor(run: RunView): number | undefined {
  const next = nextOf(run);
  const counts = next.do === "light" && next.step > 1 && run.lamp === "SWITCHED" && !run.resumed;
  return counts ? next.step : undefined;
}

/** Hands free: so many beats after an exposure the next one comes by itself; a press meanwhile makes it wait, and so does a question that stands. */
export function useBeat(
  run: RunView,
  stands: boolean,
  give: (step: number) => void,
): { counts: boolean; wait: () => void } {
  const [waited, setWaited] = useState<number>();
  const step = isHandsFree() ? beatsFor(run) : undefined;
  const counts = step !== undefined && waited !== step && !stands;
  const latest = useRef(give);
  useEffect(() => {
    latest.current = give;
  });
  const { clockSpeed } = run;
  useEffect(() => {
    if (!counts) return;
    const beat = 1 / clockSpeed;
    const hush = play(
      Array.from({ length: BEATS }, (_, i) => ({ at: (i + 1) * beat, sound: "beat" as const })),
    );
    const timer = window.setTimeout(() => latest.current(step), 1000 * (BEATS + 1) * beat);
    return () => {
      hush();
      window.clearTimeout(timer);
    };
  }, [counts, step, clockSpeed]);
  return { counts, wait: () => setWaited(step) };
}
