import { useEffect, useRef } from "react";
import type { RunView } from "../../shared/api/client";
import { say, sound } from "../../shared/sound/sound";
import { stepWords } from "../../shared/ui/ScriptTable";

/** A tick a second; tones when light and holds begin and end; a pattern for each thing the hands must do next. */
export function useRunSounds(run: RunView, elapsed: number): void {
  const second = Math.floor(elapsed);
  const wasOn = useRef(run.lampOn);
  const announced = useRef(0);
  useEffect(() => {
    if (run.lampOn && second > 0) sound.tick();
  }, [run.lampOn, second]);
  useEffect(() => {
    if (wasOn.current === run.lampOn) return;
    wasOn.current = run.lampOn;
    const given = run.script[run.burstsDone - 1];
    if (run.lampOn) {
      sound.lampOn();
      if ((run.script[run.burstsDone]?.held.length ?? 0) > 0) sound.holdBegins();
    } else {
      sound.lampOff();
      if ((given?.held.length ?? 0) > 0) sound.holdEnds();
    }
  }, [run.lampOn, run.burstsDone, run.script]);
  useEffect(() => {
    if (run.lampOn || announced.current === run.burstsDone) return;
    announced.current = run.burstsDone;
    const next = run.script[run.burstsDone];
    const before = run.script[run.burstsDone - 1];
    if (!next) {
      sound.done();
      say("All light is given.");
    } else {
      if (next.filter !== before?.filter) {
        sound.changeFilter();
        say(`Filter ${next.filter}. ${stepWords(next)}.`);
      } else {
        if (next.kind === "PATCH") sound.cover();
        say(stepWords(next));
      }
    }
  }, [run]);
}
