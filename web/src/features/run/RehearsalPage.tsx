import { useCallback, useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import type { RunView, SlateView } from "../../shared/api/client";
import { useSlate } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { useHeldKey } from "../../shared/keys/useHeldKey";
import { prepare, sound, speak } from "../../shared/sound/player";
import { SAID, vocabulary } from "../../shared/sound/words";
import { Alarm, AskAway, useAway, useNoted } from "./Besides";
import { BigDial } from "./BigDial";
import { BigSetting } from "./BigSetting";
import { RunPicture } from "./RunPicture";
import { RunWords } from "./RunWords";
import { isBoxed, labelOf, nextOf } from "./next";
import { begun, given, happened, pressed } from "./rehearsal";
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
  const tells = (kind: string, then?: { onSuccess: () => void }) => {
    setRun((now) => happened(now, kind));
    then?.onSuccess();
  };
  const away = useAway(run, tells);
  const noted = useNoted(run, tells, () => false);
  const [alarmed, setAlarmed] = useState(false);
  const press = () => {
    if (away.asked) away.leave();
    else setRun((now) => pressed({ ...now, clockSpeed: speed }));
  };
  const takeBack = () => {
    if (away.asked) away.stay();
    else if (run.lampOn) setRun(given);
    else noted.takeBack();
  };
  const turnBox = () => {
    speak([run.boxOpen ? SAID.boxIsShut : SAID.boxIsOpen]);
    setRun((now) => ({ ...now, boxOpen: !now.boxOpen }));
  };
  useEffect(() => {
    if (over) speak([SAID.rehearsalDone]);
  }, [over]);
  useEffect(() => prepare(vocabulary(run.script)), [run.script]);
  const keys = {
    r: again,
    x: () => setRun(given),
    u: takeBack,
    s: noted.slip,
    o: noted.good,
    d: noted.again,
    b: away.ask,
    k: turnBox,
    "+": () => setSpeed(SPEEDS.find((s) => s > speed) ?? speed),
    "-": () => setSpeed([...SPEEDS].reverse().find((s) => s < speed) ?? speed),
    Backspace: leave,
    Escape: leave,
  };
  useKeys(keys, { active: !alarmed });
  useHeldKey(" ", {
    short: () => (over ? leave() : press()),
    long: () => (run.lampOn ? setRun(given) : again()),
    held: takeBack,
    active: !alarmed,
  });
  useHeldKey("a", {
    short: () => speak([SAID.holdForAlarm]),
    long: () => {
      sound("alarm");
      speak([SAID.alarmLeave]);
      setAlarmed(true);
    },
    active: !alarmed,
  });
  const next = nextOf(run);
  if (alarmed) return <Alarm says={[]} onBack={() => setAlarmed(false)} />;
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
          {away.asked ? (
            <AskAway run={run} onLeave={away.leave} onStay={away.stay} />
          ) : (
            <>
              <button type="button" disabled={!over && next.do === "wait"} onClick={over ? leave : press}>
                {over ? "Back" : labelOf(next)} <kbd>Space</kbd>
              </button>
              <button type="button" onClick={leave}>
                Leave the rehearsal <kbd>Esc</kbd>
              </button>
            </>
          )}
        </div>
      </div>
    </main>
  );
}
