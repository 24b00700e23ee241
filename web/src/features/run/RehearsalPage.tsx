import { useCallback, useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import type { RunView, SlateView } from "../../shared/api/client";
import { useSlate } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { prepare, speak } from "../../shared/sound/player";
import { SAID, vocabulary } from "../../shared/sound/words";
import { BigDial } from "./BigDial";
import { BigSetting } from "./BigSetting";
import { RunPicture } from "./RunPicture";
import { RunWords } from "./RunWords";
import { isBoxed, labelOf, nextOf } from "./next";
import { begun, given, pressed } from "./rehearsal";
import { useElapsed } from "./useElapsed";
import { useRunSounds } from "./useRunSounds";

const SPEEDS = [1, 3, 10] as const;

/** The run in white light, without paper and without the lamp: the same keys, words and sounds, at any speed. */
export function RehearsalPage() {
  const { id = "", kind = "" } = useParams();
  const slate = useSlate(id);
  if (slate.error) throw slate.error;
  return slate.data ? <Rehearsing slate={slate.data} kind={kind} /> : <main className="loading" />;
}

function Rehearsing(props: { slate: SlateView; kind: string }) {
  const { slate, kind } = props;
  const navigate = useNavigate();
  const [speed, setSpeed] = useState<number>(SPEEDS[0]);
  const [run, setRun] = useState<RunView>(() => begun(slate, kind, 1));
  const lampEnds = useCallback(() => {
    setRun(given);
    return Promise.resolve();
  }, []);
  const elapsed = useElapsed(run, lampEnds);
  const again = useRunSounds(run);
  const over = run.state === "HUNG";
  const leave = () => void navigate(-1);
  const press = () => setRun((now) => pressed({ ...now, clockSpeed: speed }));
  useEffect(() => {
    if (over) speak([SAID.rehearsalDone]);
  }, [over]);
  useEffect(() => prepare(vocabulary(run.script)), [run.script]);
  useKeys({
    " ": () => (over ? leave() : press()),
    r: again,
    x: () => setRun(given),
    "+": () => setSpeed(SPEEDS.find((s) => s > speed) ?? speed),
    "-": () => setSpeed([...SPEEDS].reverse().find((s) => s < speed) ?? speed),
    Backspace: leave,
    Escape: leave,
  });
  const next = nextOf(run);
  return (
    <main className="run rehearsal" aria-label={`Rehearsal, ${slate.naming.title}`}>
      <h1 className="visually-hidden">Rehearsal</h1>
      {isBoxed(run) ? <BigSetting run={run} /> : <BigDial run={run} elapsed={elapsed} />}
      <div className="run-side">
        {over ? (
          <div className="run-words">
            <p className="run-now">The rehearsal is over</p>
            <p className="run-then">In the dark it sounds the same.</p>
          </div>
        ) : (
          <RunWords run={run} elapsed={elapsed} busy={false} problem={undefined} />
        )}
        <RunPicture run={run} elapsed={elapsed} />
        <p className="run-small" aria-live="polite">
          Clock {speed} ×; <kbd>+</kbd> faster, <kbd>−</kbd> slower
        </p>
        <div className="run-keys">
          <button type="button" disabled={!over && next.do === "wait"} onClick={over ? leave : press}>
            {over ? "Back" : labelOf(next)} <kbd>Space</kbd>
          </button>
          <button type="button" onClick={leave}>
            Leave the rehearsal <kbd>Esc</kbd>
          </button>
        </div>
      </div>
    </main>
  );
}
