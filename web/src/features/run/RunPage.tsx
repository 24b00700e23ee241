import { useCallback, useEffect, useLayoutEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import type { RunView } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { useHeldKey } from "../../shared/keys/useHeldKey";
import { type Room, enterRoom, roomNow, roomOf, useRoom } from "../../shared/room/room";
import { giveScreenBack, takeWholeScreen } from "../../shared/room/wholeScreen";
import { isAudible, prepare, sound, speak } from "../../shared/sound/player";
import { SAID, vocabulary } from "../../shared/sound/words";
import { BigDial } from "./BigDial";
import { BigSetting } from "./BigSetting";
import { RunPicture } from "./RunPicture";
import { RunWords } from "./RunWords";
import { type Next, isBoxed, labelOf, nextOf, paperIsOut } from "./next";
import { useBag } from "./useBag";
import { useBeat, useToldByItself } from "./useBeat";
import { useElapsed } from "./useElapsed";
import { useFirstKey } from "./useFirstKey";
import { useFullScreen } from "./useFullScreen";
import { useGlance } from "./useGlance";
import { Alarm, Ask, AskAway, HeldButton, useAlarm, useAway, useNoted, useWhenSafe } from "./Besides";
import { putOnRecord, useBox, useEndRun, useHappened, useIsAsking, useLamp, useRun } from "./useRun";
import { useRunSounds } from "./useRunSounds";
import { useTooSoon } from "./useTooSoon";

const NOT_WRITTEN =
  "The disk does not take the record. What this exposure gave is known and is written as soon as it does: free some space, and leave Key Slate open.";
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
  return room === "blackout" && !paperIsOut(run) && run.whiteLight.safe ? "white" : room;
}

function Running(props: { run: RunView; ask: () => Promise<unknown>; onGlance: (open: boolean) => void }) {
  const { run } = props;
  const navigate = useNavigate();
  const room = useRoom();
  const lamp = useLamp(run);
  const happened = useHappened(run.sheetId);
  const end = useEndRun(run.sheetId);
  const [givingUp, setGivingUp] = useState(false);
  const away = useAway(run, happened.mutate);
  const alarm = useAlarm(run);
  // A question stands, or people leave: no lamp goes on by itself.
  const stands = givingUp || away.asked || alarm.given !== undefined;
  const beat = useBeat(run, stands, (step) => lamp.mutate({ on: true, step }));
  const elapsed = useElapsed(run, props.ask);
  const tell = useCallback(() => lamp.mutate({ on: false, complete: true }), [lamp]);
  useToldByItself(run, elapsed, tell);
  const again = useRunSounds(run);
  const isTooSoon = useTooSoon(run);
  const box = useBox(run);
  const turnBox = () => {
    if (run.state !== "EXPOSING" || isAsking()) return;
    const open = !run.boxOpen;
    box.mutate(open, { onSuccess: () => speak([open ? SAID.boxIsOpen : SAID.boxIsShut]) });
  };
  const busy = lamp.isPending || happened.isPending || end.isPending;
  const isAsking = useIsAsking(run.sheetId);
  const leave = (station: string, white: boolean) => {
    if (white) enterRoom("white");
    else if (room === "blackout") enterRoom("safelight");
    giveScreenBack();
    void navigate(`/slates/${run.slateId}/${station}${white ? `?sheet=${run.sheetId}` : ""}`);
  };
  // The wet steps may be skipped where white light is the printer's own business; never while paper lies in the dark.
  const mayHang =
    run.step === undefined && !run.left && (roomOf(run.room) !== "blackout" || !paperIsOut(run));
  const [whiteAsked, setWhiteAsked] = useState(false);
  const hangNow = () => end.mutate({ hang: true }, { onSuccess: () => leave(run.lookedAtStation, true) });
  /** Hanging puts on white light: asked once where it is not safe, and on record when it is put on all the same. */
  const hang = () => {
    if (!mayHang || run.lampOn || run.state !== "EXPOSING" || isAsking()) return;
    if (run.whiteLight.safe) return hangNow();
    if (!whiteAsked) {
      sound("mistake");
      speak([SAID.notYetWhite]);
      return setWhiteAsked(true);
    }
    void putOnRecord("white-light").then(hangNow, () => sound("mistake"));
  };
  useWhenSafe(run, props.ask);
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
    if (isTooSoon() || isAsking()) return;
    setGivingUp(false);
    setWhiteAsked(false);
    if (run.state !== "EXPOSING") return back();
    if (away.asked) return away.leave();
    if (beat.counts) return beat.wait();
    const next = nextOf(run);
    // A wait for the fixer is no slip: it is said again, and nothing is put on.
    if (next.do === "hang" && !run.whiteLight.safe) return again();
    doNext(next);
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
    if (lamp.error ?? end.error ?? happened.error ?? box.error) sound("mistake");
  }, [lamp.error, end.error, happened.error, box.error]);
  const glance = useGlance(run, happened.mutate, props.onGlance);
  const fullScreen = useFullScreen(run);
  const wakes = useFirstKey(run, again);
  const noted = useNoted(run, happened.mutate, isAsking);
  /** Of a question it takes back the question, and no answer that was given before. */
  const takeBack = () => {
    if (givingUp) return setGivingUp(false);
    if (whiteAsked && !run.whiteLight.safe) return setWhiteAsked(false);
    if (away.asked) return away.stay();
    if (run.lampOn) return stop();
    noted.takeBack();
  };
  useEffect(() => {
    if (isAudible()) prepare(vocabulary(run.script));
  }, [run.script]);
  useKeys(
    {
      ...glance,
      ...fullScreen,
      r: again,
      x: stop,
      u: takeBack,
      b: away.ask,
      k: turnBox,
      s: noted.slip,
      o: noted.good,
      d: noted.again,
      h: hang,
      Backspace: () => {
        if (run.state !== "EXPOSING") return;
        if (givingUp) return giveUp();
        speak([SAID.giveUpPressAgain]);
        setGivingUp(true);
      },
    },
    { active: alarm.given === undefined, takes: wakes },
  );
  useHeldKey(" ", {
    short: press,
    long: () => (run.lampOn ? stop() : again()),
    held: takeBack,
    takes: wakes,
    active: alarm.given === undefined,
  });
  useHeldKey("a", {
    short: () => speak([SAID.holdForAlarm]),
    long: alarm.give,
    active: alarm.given === undefined,
  });
  const bag = useBag(press);
  if (alarm.given) return <Alarm says={alarm.given} onBack={alarm.end} />;
  const next = nextOf(run);
  return (
    <main className="run" aria-label={`${run.label} of ${run.title}`} data-keys="own" {...bag}>
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
            box.error?.message ??
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
          ) : away.asked ? (
            <AskAway run={run} onLeave={away.leave} onStay={away.stay} />
          ) : whiteAsked && !run.whiteLight.safe ? (
            <Ask
              label="White light all the same?"
              words="White light is not safe"
              small={run.whiteLight.says}
              yes="Hang it all the same"
              letter="H"
              no="Wait"
              onYes={hang}
              onNo={() => setWhiteAsked(false)}
            />
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
          {run.state === "EXPOSING" && !givingUp && !away.asked && !whiteAsked && (
            <div className="run-more">
              {(
                [
                  ["Slip", "S", noted.slip],
                  ["Good", "O", noted.good],
                  ["Again", "D", noted.again],
                  ["Back one", "U", takeBack],
                  [run.boxOpen ? "Box shut" : "Box open", "K", turnBox],
                  ["Leave", "B", away.ask],
                ] as const
              ).map(([words, letter, act]) => (
                <button key={letter} type="button" disabled={busy} onClick={act}>
                  {words} <kbd>{letter}</kbd>
                </button>
              ))}
              <HeldButton onHeld={alarm.give}>
                Alarm, held <kbd>A</kbd>
              </HeldButton>
            </div>
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
      ) : next.do === "hang" && !run.whiteLight.safe ? (
        <button type="button" disabled={props.busy} onClick={props.onHang}>
          {labelOf(next)} <kbd>H</kbd>
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
