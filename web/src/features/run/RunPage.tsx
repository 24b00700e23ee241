import { useCallback, useLayoutEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { enterRoom } from "../../app/room";
import type { RunView } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { BigDial } from "./BigDial";
import { RunPicture } from "./RunPicture";
import { RunWords } from "./RunWords";
import { useElapsed } from "./useElapsed";
import { useEndRun, useLamp, useRun } from "./useRun";
import { useRunSounds } from "./useRunSounds";

/** The run in the dark: a full-screen dial, one key for each burst, and words, picture and sound for the hands. */
export function RunPage() {
  const { sheetId = "" } = useParams();
  const run = useRun(sheetId);
  const { refetch } = run;
  const ask = useCallback(() => void refetch(), [refetch]);
  // Before the first paint: a link from the white room must not show this page white for a moment.
  useLayoutEffect(() => enterRoom("safelight"), []);
  if (run.error) throw run.error;
  if (!run.data) return <main className="run" />;
  return <Running run={run.data} refetch={ask} />;
}

function Running(props: { run: RunView; refetch: () => void }) {
  const { run, refetch } = props;
  const navigate = useNavigate();
  const lamp = useLamp(run.sheetId);
  const end = useEndRun(run.sheetId);
  const [givingUp, setGivingUp] = useState(false);
  const elapsed = useElapsed(run, refetch);
  useRunSounds(run, elapsed);
  const station = run.kind === "STRIP" ? "test" : "judge";
  const leave = (room: "white" | "safelight") => {
    enterRoom(room);
    void navigate(`/slates/${run.slateId}/${station}${room === "white" ? `?sheet=${run.sheetId}` : ""}`);
  };
  const complete = run.burst === undefined && !run.lampOn;
  const toggle = () => {
    if (run.state !== "EXPOSING" || givingUp || lamp.isPending) return;
    if (run.lampOn) lamp.mutate({ on: false });
    else if (run.burst !== undefined && !run.powerLost) lamp.mutate({ on: true, burst: run.burst });
  };
  const hang = () => {
    if (complete && run.state === "EXPOSING") end.mutate({ hang: true }, { onSuccess: () => leave("white") });
  };
  const giveUp = () =>
    end.mutate(
      { hang: false, reason: run.powerLost ? "power lost while the lamp was on" : "given up under the lamp" },
      { onSuccess: () => void navigate(`/slates/${run.slateId}/${run.kind === "STRIP" ? "test" : "print"}`) },
    );
  useKeys({
    " ": toggle,
    h: hang,
    Escape: () => setGivingUp((g) => !g && !run.lampOn),
    y: () => givingUp && giveUp(),
    n: () => setGivingUp(false),
  });
  return (
    <main className="run" aria-label={`${run.label} of ${run.title}`}>
      <h1 className="visually-hidden">
        {run.label}, {run.title}
      </h1>
      <BigDial run={run} elapsed={elapsed} />
      <div className="run-side">
        <RunWords run={run} busy={end.isPending} problem={lamp.error?.message ?? end.error?.message} />
        <RunPicture run={run} />
        <div className="run-keys">
          {givingUp ? (
            <div role="alertdialog" aria-label="Give this sheet up?">
              <p className="run-now">Give this sheet up?</p>
              <p>What it got stays on record. Put it in the bin or the box for tests.</p>
              <button type="button" onClick={giveUp}>
                Give up <kbd>Y</kbd>
              </button>
              <button type="button" autoFocus onClick={() => setGivingUp(false)}>
                Go on <kbd>N</kbd>
              </button>
            </div>
          ) : (
            <>
              {complete && run.state === "EXPOSING" ? (
                <button type="button" autoFocus disabled={end.isPending} onClick={hang}>
                  Hang it, white light <kbd>H</kbd>
                </button>
              ) : (
                <button type="button" disabled={run.powerLost || run.state !== "EXPOSING"} onClick={toggle}>
                  {run.lampOn ? "Stop the lamp" : "Give the burst"} <kbd>Space</kbd>
                </button>
              )}
              <button type="button" disabled={run.lampOn} onClick={() => setGivingUp(true)}>
                Give the sheet up <kbd>Esc</kbd>
              </button>
            </>
          )}
        </div>
      </div>
    </main>
  );
}
