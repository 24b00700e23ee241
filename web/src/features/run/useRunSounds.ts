import { useCallback, useEffect, useRef } from "react";
import type { RunView } from "../../shared/api/client";
import { play, say, sound } from "../../shared/sound/player";
import { scoreOf } from "../../shared/sound/score";
import { nextOf } from "./next";

/** What is said before the next thing: the first exposure is announced like every other. */
export function announcement(run: RunView): string {
  const next = nextOf(run);
  if (next.do === "light") {
    const step = run.script[next.step - 1];
    if (!step) return "";
    const rest = run.resumed ? `The rest, ${run.nextSetSeconds.toFixed(1)} seconds. ` : "";
    return `${rest}${step.before === "" || step.before === step.words ? "" : `${step.before}. `}${step.words}.`;
  }
  if (next.do === "event")
    return run.events.length === 0 ? `All light is given. ${next.words}?` : `${next.words}?`;
  return next.do === "hang" ? "White light is safe." : "";
}

/** The sounds of a run: a score on the audio clock for each time the lamp is on, and words between. Answers with “say it again”. */
export function useRunSounds(run: RunView): () => void {
  const silence = useRef<() => void>(undefined);
  const lit = useRef(false);
  useEffect(() => {
    if (run.lampOn === lit.current) return;
    lit.current = run.lampOn;
    silence.current?.();
    const step = run.step === undefined ? undefined : run.script[run.step - 1];
    if (run.lampOn && step) {
      silence.current = play(
        scoreOf(step, {
          left: run.nextSetSeconds - run.elapsedSeconds,
          from: run.fromSeconds + run.elapsedSeconds,
          speed: run.clockSpeed,
        }),
      );
    } else if (run.step === undefined) {
      sound("done");
    }
  }, [run]);
  useEffect(() => () => silence.current?.(), []);
  const words = announcement(run);
  useEffect(() => {
    if (!run.lampOn) say(words);
  }, [words, run.lampOn]);
  return useCallback(() => say(words), [words]);
}
