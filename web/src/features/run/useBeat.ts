import { useEffect, useRef, useState } from "react";
import type { RunView } from "../../shared/api/client";
import { isHandsFree } from "../../shared/expose/handsFree";
import { play } from "../../shared/sound/player";
import { beatsOf } from "../../shared/sound/score";
import { nextOf } from "./next";

/** Whether its light is one exposure: presses of one's own timer are counted by hand. */
function isOnePress(run: RunView, step: number): boolean {
  return (run.script[step - 1]?.presses ?? 1) === 1;
}

/** The exposure that comes by itself; none where a hand has to say when. */
export function beatsFor(run: RunView): number | undefined {
  const next = nextOf(run);
  const counts =
    next.do === "light" &&
    next.step > 1 &&
    !run.resumed &&
    (run.lamp === "SWITCHED" || isOnePress(run, next.step));
  return counts ? next.step : undefined;
}

/** The exposure whose end need not be told, since it went on before one's ears and its time is up; none as a rule. */
export function endsByItself(run: RunView, elapsed: number, heard: boolean): number | undefined {
  const step = run.step ?? 0;
  const told = run.lampOn && run.lamp !== "SWITCHED" && heard && isOnePress(run, step);
  return told && elapsed >= run.nextSetSeconds && run.nextSetSeconds > 0 ? step : undefined;
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
    const { notes, over } = beatsOf(clockSpeed);
    const hush = play(notes);
    const timer = window.setTimeout(() => latest.current(step), 1000 * over);
    return () => {
      hush();
      window.clearTimeout(timer);
    };
  }, [counts, step, clockSpeed]);
  return { counts, wait: () => setWaited(step) };
}

/** Hands free with a timer or a card of one's own: the end of an exposure counts as told when its time is up. */
export function useToldByItself(run: RunView, elapsed: number, tell: () => void): void {
  // One that was lit before this page looked may have burnt on: a hand tells of it.
  const off = useRef<number>(undefined);
  const told = useRef<number>(undefined);
  const latest = useRef(tell);
  useEffect(() => {
    latest.current = tell;
    if (!run.lampOn) off.current = run.step;
    const ends = isHandsFree() ? endsByItself(run, elapsed, off.current === run.step) : undefined;
    if (ends === undefined || told.current === ends) return;
    told.current = ends;
    latest.current();
  }, [run, elapsed, tell]);
}
