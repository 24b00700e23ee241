import { useCallback, useEffect, useRef } from "react";
import type { RunView } from "../../shared/api/client";
import { hush, play, sound, speak } from "../../shared/sound/player";
import { scoreOf } from "../../shared/sound/score";
import { ASKED, SAID } from "../../shared/sound/words";
import { isBoxed, isWayBegun, nextOf } from "./next";

/** What is said before the next thing, as clips: the first exposure is announced like every other. */
export function announcement(run: RunView): readonly string[] {
  const back = !run.left && run.events.at(-1)?.kind === "CAME_BACK" ? [SAID.welcomeBack] : [];
  return [...back, ...whatComes(run)];
}

function whatComes(run: RunView): readonly string[] {
  if (run.powerLost) return [SAID.powerWasLost];
  if (run.left) return [run.whiteLight.safe ? SAID.youMayLeave : SAID.paperIsOut];
  const next = nextOf(run);
  if (next.do === "light") {
    const said = run.script[next.step - 1]?.said ?? [];
    return run.resumed ? [SAID.theRest, ...said] : said;
  }
  if (next.do === "event") {
    const step = run.script[(run.step ?? 0) - 1];
    const boxing = run.step !== undefined && !isBoxed(run) ? (step?.putAwaySaid ?? []) : [];
    const asked = [
      ...(isBoxed(run) ? [SAID.whiteLightIsSafe] : []),
      ...(boxing.length > 0 ? boxing : [ASKED[next.kind] ?? ""]),
    ];
    return isWayBegun(run) || run.step !== undefined ? asked : [SAID.allLightIsGiven, ...asked];
  }
  return next.do === "hang" && run.whiteLight.safe ? [SAID.whiteLightIsSafe] : [];
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
      hush();
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
  useEffect(
    () => () => {
      silence.current?.();
      hush();
    },
    [],
  );
  const words = announcement(run).join(" ");
  useEffect(() => {
    if (!run.lampOn && words !== "") speak(words.split(" "));
  }, [words, run.lampOn]);
  return useCallback(() => speak(words.split(" ")), [words]);
}
