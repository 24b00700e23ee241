import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { useNavigate, useParams } from "react-router";
import type { RunView } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { type Room, enterRoom, roomNow, roomOf, useRoom } from "../../shared/room/room";
import { giveScreenBack, takeWholeScreen } from "../../shared/room/wholeScreen";
import { isAudible, prepare, sound, speak } from "../../shared/sound/player";
import { SAID, vocabulary } from "../../shared/sound/words";
import { BigDial } from "./BigDial";
import { BigSetting } from "./BigSetting";
import { RunPicture } from "./RunPicture";
import { RunWords } from "./RunWords";
import { type Next, isBoxed, labelOf, nextOf, paperIsOut } from "./next";
import { useElapsed } from "./useElapsed";
import { useFirstKey } from "./useFirstKey";
import { useFullScreen } from "./useFullScreen";
import { useGlance } from "./useGlance";
import { useEndRun, useHappened, useIsAsking, useLamp, useRun } from "./useRun";
import { useRunSounds } from "./useRunSounds";

const NOT_WRITTEN =
  "The disk does not take the record. What this exposure gave is known and is written as soon as it does: free some space, and leave Key Slate open.";
/** A second press so soon after the first is a slip of the finger. */
const SLIP_MS = 300;
/** Presses in the first moment of light do nothing. */
const FIRST_LIGHT_MS = 500;

/** The run in the dark: a full-screen dial, one key for each thing, and words, picture and sound for the hands. */
export function RunPage() {
  const { sheetId = "" } = useParams();
  const run = useRun(sheetId);
  const { refetch } = run;
  const ask = useCallback(() => refetch({ cancelRefetch: false }), [refetch]);
  const [glancing, setGlancing] = useState(false);
  const wanted = run.data && (glancing ? "safelight" : roomOfRun(run.data));
  // Before the first paint: an address of a run is black until it is known which room it needs.
  useLayoutEffect(() => enterRoom("blackout"), []);
  useLayoutEffect(() => {
    if (wanted) enterRoom(wanted);
  }, [wanted]);
  if (run.error) throw run.error;
  if (!run.data) return <main className="run" />;
  return <Running run={run.data} ask={ask} onGlance={setGlancing} />;
}

/** The room a run needs now: its own while paper is out; a drum that is closed bears any light; a sheet that is done, the room there is. */
function roomOfRun(run: RunView): Room {
  const room = roomOf(run.room);
  if (run.state !== "EXPOSING") return roomNow() === "blackout" ? "safelight" : roomNow();
  return room === "blackout" && !paperIsOut(run) ? "white" : room;
}

function Running(props: { run: RunView; ask: () => Promise<unknown>; onGlance: (open: boolean) => void }) {
  const { run } = props;
  const navigate = useNavigate();
  const room = useRoom();
  const lamp = useLamp(run);
  const happened = useHappened(run.sheetId);
  const end = useEndRun(run.sheetId);
  const [givingUp, setGivingUp] = useState(false);
  const elapsed = useElapsed(run, props.ask);
  const again = useRunSounds(run);
  const lastPress = useRef(0);
  const litAt = useRef(0);
  useEffect(() => {
    if (run.lampOn) litAt.current = performance.now();
  }, [run.lampOn]);
  const busy = lamp.isPending || happened.isPending || end.isPending;
  const isAsking = useIsAsking(run.sheetId);
  const leave = (station: string, white: boolean) => {
    if (white) enterRoom("white");
    else if (room === "blackout") enterRoom("safelight");
    giveScreenBack();
    void navigate(`/slates/${run.slateId}/${station}${white ? `?sheet=${run.sheetId}` : ""}`);
  };
  // The wet steps may be skipped where white light is the printer's own business; never while paper lies in the dark.
  const mayHang = run.step === undefined && (roomOf(run.room) !== "blackout" || !paperIsOut(run));
  const hang = () => {
    if (mayHang && !run.lampOn && run.state === "EXPOSING" && !isAsking()) {
      end.mutate({ hang: true }, { onSuccess: () => leave(run.lookedAtStation, true) });
    }
  };
  const doNext = (next: Next) => {
    if (next.do === "light") lamp.mutate({ on: true, step: next.step });
    else if (next.do === "told") lamp.mutate({ on: false, complete: true });
    else if (next.do === "event") {
      // Dark again: the screen is whole before the paper comes out of its box.
      if (isBoxed(run)) takeWholeScreen();
      happened.mutate(next.kind);
    } else if (next.do === "hang") hang();
  };
  /** From a sheet that is done already, as when another window ended it. */
  const back = () => leave(run.state === "HUNG" ? run.lookedAtStation : run.station, false);
  /** One press, the next thing; slips, presses in the first light and presses while something is under way do nothing. */
  const press = () => {
    const now = performance.now();
    const slip = now - lastPress.current < SLIP_MS / run.clockSpeed;
    const firstLight = run.lampOn && now - litAt.current < FIRST_LIGHT_MS / run.clockSpeed;
    lastPress.current = now;
    if (slip || firstLight || isAsking()) return;
    setGivingUp(false);
    if (run.state !== "EXPOSING") return back();
    doNext(nextOf(run));
  };
  const stop = () => {
    if (run.lampOn && !isAsking()) lamp.mutate({ on: false });
  };
  const giveUp = () => {
    if (isAsking()) return;
    const reason = run.powerLost ? "power lost while the lamp was on" : "given up under the lamp";
    end.mutate({ hang: false, reason }, { onSuccess: () => leave(run.station, false) });
  };
  useEffect(() => {
    if (lamp.error ?? end.error ?? happened.error) sound("mistake");
  }, [lamp.error, end.error, happened.error]);
  const glance = useGlance(run, happened.mutate, props.onGlance);
  const fullScreen = useFullScreen(run);
  const wakes = useFirstKey(run, again);
  useEffect(() => {
    if (isAudible()) prepare(vocabulary(run.script));
  }, [run.script]);
  useKeys(
    {
      ...glance,
      ...fullScreen,
      " ": press,
      r: again,
      x: stop,
      h: hang,
      Backspace: () => {
        if (run.state !== "EXPOSING") return;
        if (givingUp) return giveUp();
        speak([SAID.giveUpPressAgain]);
        setGivingUp(true);
      },
    },
    { takes: wakes },
  );
  const next = nextOf(run);
  return (
    <main className="run" aria-label={`${run.label} of ${run.title}`} data-keys="own">
      <h1 className="visually-hidden">
        {run.label}, {run.title}
      </h1>
      {isBoxed(run) ? <BigSetting run={run} /> : <BigDial run={run} elapsed={elapsed} />}
      <div className="run-side">
        <RunWords
          run={run}
          elapsed={elapsed}
          busy={end.isPending}
          problem={
            lamp.error?.message ??
            happened.error?.message ??
            end.error?.message ??
            (run.unwritten ? NOT_WRITTEN : undefined)
          }
        />
        <RunPicture run={run} elapsed={elapsed} />
        <div className="run-keys">
          {run.state !== "EXPOSING" ? (
            <button type="button" onClick={back}>
              Back to the slate <kbd>Space</kbd>
            </button>
          ) : givingUp ? (
            <div role="alertdialog" aria-label="Give this sheet up?">
              <p className="run-now">Give this sheet up?</p>
              <p>What it got stays on record. Put it in the bin or the box for tests.</p>
              <button type="button" onClick={giveUp}>
                Give up <kbd>⌫</kbd>
              </button>
              <button type="button" onClick={() => setGivingUp(false)}>
                Go on
              </button>
            </div>
          ) : (
            <RunButtons
              run={run}
              next={next}
              mayHang={mayHang}
              busy={busy}
              onPress={press}
              onStop={stop}
              onHang={hang}
              onGiveUp={() => setGivingUp(true)}
            />
          )}
        </div>
      </div>
    </main>
  );
}

function RunButtons(props: {
  run: RunView;
  next: Next;
  mayHang: boolean;
  busy: boolean;
  onPress: () => void;
  onStop: () => void;
  onHang: () => void;
  onGiveUp: () => void;
}) {
  const { run, next } = props;
  return (
    <>
      {run.lampOn && run.lamp === "SWITCHED" ? (
        <button type="button" onClick={props.onStop}>
          Stop the lamp <kbd>X</kbd>
        </button>
      ) : (
        <button
          type="button"
          disabled={next.do === "nothing" || (props.busy && next.do !== "light")}
          onClick={props.onPress}
        >
          {labelOf(next)} <kbd>Space</kbd>
        </button>
      )}
      {next.do === "event" && props.mayHang && (
        <button type="button" disabled={props.busy} onClick={props.onHang}>
          Hang it, white light <kbd>H</kbd>
        </button>
      )}
      <button type="button" disabled={run.lampOn} onClick={props.onGiveUp}>
        Give the sheet up <kbd>⌫</kbd>
      </button>
    </>
  );
}
