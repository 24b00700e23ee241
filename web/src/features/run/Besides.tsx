// What happens in a run besides its light: leaving, the alarm, a word on how it went.
import { type ReactNode, useEffect, useRef, useState } from "react";
import type { RunView } from "../../shared/api/client";
import { enterRoom, roomOf } from "../../shared/room/room";
import { giveScreenBack } from "../../shared/room/wholeScreen";
import { LONG_MS } from "../../shared/keys/useHeldKey";
import { sound, speak } from "../../shared/sound/player";
import { SAID } from "../../shared/sound/words";
import { putOnRecord } from "./useRun";

type Happens = (kind: string, then?: { onSuccess: () => void }) => void;

/** Asks for the run again when the wait for white light is over. */
export function useWhenSafe(run: RunView, ask: () => Promise<unknown>): void {
  const { waitSeconds } = run.whiteLight;
  useEffect(() => {
    if (waitSeconds <= 0) return;
    const timer = window.setTimeout(() => void ask(), 1000 * waitSeconds + 50);
    return () => window.clearTimeout(timer);
  }, [waitSeconds, ask]);
}

/** Leaving: asked once, so that the paper is closed away first; a second press is the word that it is. */
export function useAway(run: RunView, happens: Happens) {
  const [asked, setAsked] = useState(false);
  const possible = run.state === "EXPOSING" && !run.lampOn && !run.left;
  const leave = () => {
    setAsked(false);
    happens("LEFT");
  };
  return {
    asked: asked && possible,
    ask: () => {
      if (!possible) return;
      if (asked) return leave();
      speak([SAID.closeAndCount]);
      setAsked(true);
    },
    leave,
    stay: () => setAsked(false),
  };
}

/** What there is to count, and what does not wait. */
function awayWords(run: RunView): string {
  const count =
    run.step === undefined
      ? ""
      : `Exposure ${String(run.step)} of ${String(run.script.length)} comes when you are back. `;
  return `${count}What lies in a bath stays there, and its clock runs on.`;
}

/** A word on how it went, by one key; and the last answer taken back. */
export function useNoted(run: RunView, happens: Happens, isAsking: () => boolean) {
  const note = (kind: string, word: string) => () => {
    if (run.state === "EXPOSING" && !isAsking()) happens(kind, { onSuccess: () => speak([word]) });
  };
  return {
    slip: note("SLIP", SAID.slipNoted),
    good: note("GOOD", SAID.goodNoted),
    again: note("AGAIN", SAID.againNoted),
    takeBack: note("TAKEN_BACK", SAID.takenBack),
  };
}

/** The alarm: light and the way out at once; what lay open is marked when the server has time for it. */
export function useAlarm(run: RunView) {
  const [given, setGiven] = useState<readonly string[]>();
  return {
    given,
    give: () => {
      if (run.state !== "EXPOSING") return;
      enterRoom("white");
      giveScreenBack();
      setGiven([]);
      sound("alarm");
      speak([SAID.alarmLeave]);
      void putOnRecord("alarm").then(
        (light) => setGiven(light.says),
        () => undefined,
      );
    },
    end: () => {
      // Dark again before the paper that was left may come out.
      enterRoom(roomOf(run.room));
      setGiven(undefined);
    },
  };
}

/** People first. */
export function Alarm(props: { says: readonly string[]; onBack: () => void }) {
  return (
    <main className="alarm" role="alert">
      <h1>Leave. Paper is replaceable.</h1>
      <p>The lamps are off. People first, by the plan of the building; local rules apply.</p>
      {props.says.map((line) => (
        <p key={line}>{line} Marked as suspect.</p>
      ))}
      <button type="button" onClick={props.onBack}>
        It is over, back to the run
      </button>
    </main>
  );
}

/** A button that a slip of the hand does not press: it is held as long as its key. */
export function HeldButton(props: { onHeld: () => void; children: ReactNode }) {
  const timer = useRef<number>(undefined);
  const lift = () => window.clearTimeout(timer.current);
  useEffect(() => () => window.clearTimeout(timer.current), []);
  return (
    <button
      type="button"
      onPointerDown={() => {
        lift();
        timer.current = window.setTimeout(props.onHeld, LONG_MS);
      }}
      onPointerUp={lift}
      onPointerLeave={lift}
      onPointerCancel={lift}
    >
      {props.children}
    </button>
  );
}

/** Whether one leaves: what is closed first, and what stays. */
export function AskAway(props: { run: RunView; onLeave: () => void; onStay: () => void }) {
  return (
    <Ask
      label="Leave the darkroom?"
      words="Close the box, lid on the drum. Count the pieces."
      small={awayWords(props.run)}
      yes="All is safe, leave"
      letter="B"
      no="Stay"
      onYes={props.onLeave}
      onNo={props.onStay}
    />
  );
}

/** A question in the dark, with the answer that changes nothing last. */
export function Ask(props: {
  label: string;
  words: string;
  small: string;
  yes: string;
  letter: string;
  no: string;
  onYes: () => void;
  onNo: () => void;
}) {
  return (
    <div role="alertdialog" aria-label={props.label}>
      <p className="run-now">{props.words}</p>
      <p className="run-then">{props.small}</p>
      <button type="button" onClick={props.onYes}>
        {props.yes} <kbd>{props.letter}</kbd>
      </button>
      <button type="button" onClick={props.onNo}>
        {props.no}
      </button>
    </div>
  );
}
