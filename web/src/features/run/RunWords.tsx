import type { RunView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";
import { isBoxed, isWayBegun, nextOf } from "./next";
import { phaseAt } from "./RunPicture";

/** What the hands do now and next, in few large words. */
export function RunWords(props: {
  run: RunView;
  elapsed: number;
  busy: boolean;
  problem: string | undefined;
}) {
  const { run } = props;
  return (
    <div className="run-words" aria-live="polite">
      <p className="run-small">
        {run.title}, {run.label}
        {run.clockSpeed !== 1 && `, practice clock ${String(run.clockSpeed)} ×`}
      </p>
      {run.powerLost ? (
        <>
          <p className="run-now">The power was lost</p>
          <p className="run-then">
            The lamp was on then, for a time nobody knows. Give this sheet up and take a fresh one.
          </p>
        </>
      ) : run.state !== "EXPOSING" ? (
        <p className="run-now">{run.state === "HUNG" ? "This sheet hangs" : "This sheet was given up"}</p>
      ) : run.left ? (
        <>
          <p className="run-now">{run.whiteLight.safe ? "All paper is put away" : "Paper lies in a bath"}</p>
          <p className="run-then">
            {run.whiteLight.safe ? "White light is safe." : `No white light: ${run.whiteLight.says}`} Press
            when you are back: clocks have run on.
          </p>
        </>
      ) : run.step === undefined ? (
        <Wet run={run} busy={props.busy} />
      ) : (
        <Lamp run={run} step={run.step} elapsed={props.elapsed} />
      )}
      {run.state === "EXPOSING" && run.boxOpen && <p className="run-small">The box of paper lies open</p>}
      {props.problem && (
        <p className="run-problem" role="alert">
          {props.problem}
        </p>
      )}
    </div>
  );
}

/** After the light: where the paper is, one key for each bath. */
function Wet(props: { run: RunView; busy: boolean }) {
  const next = nextOf(props.run);
  return (
    <>
      <p className="run-now">{isWayBegun(props.run) ? "Developing" : "All light is given"}</p>
      <p className="run-then">
        {props.busy
          ? "Reading the sheet …"
          : next.do === "event"
            ? `Press when it is: ${next.words.toLowerCase()}.`
            : props.run.whiteLight.safe
              ? "White light is safe."
              : notYet(props.run.whiteLight)}
      </p>
    </>
  );
}

/** Why there is no white light yet, and from when there will be where waiting is enough. */
function notYet({ waitSeconds, says }: RunView["whiteLight"]): string {
  const why = says.charAt(0).toLowerCase() + says.slice(1);
  return waitSeconds > 0
    ? `White light from ${clockTime(waitSeconds)}: ${why}`
    : `No white light yet: ${why}`;
}

/** So many seconds from now, as the clock on the wall will show. */
function clockTime(seconds: number): string {
  return new Date(Date.now() + 1000 * seconds).toLocaleTimeString("en-GB");
}

/** Between two exposures: the paper in its box, a setting in white light, dark again. */
function InLight(props: { run: RunView; before: string; putAway: string }) {
  const boxed = isBoxed(props.run);
  return (
    <>
      <p className="run-small">Before exposure {props.run.step}</p>
      <p className="run-now">{boxed ? "Set this, then the light out" : props.putAway}</p>
      <p className="run-then">
        {boxed ? "Press when it is set and dark. What comes next is said." : `${props.before}.`}
      </p>
    </>
  );
}

/** What comes next, once: what is done before may end with the same words. */
function thenWords(then: RunView["script"][number]): string {
  const { before, words } = then;
  return before === "" || before.endsWith(words) ? before || words : `${before}. ${words}`;
}

function times(presses: number): string {
  return presses > 1 ? `, ${String(presses)} times` : "";
}

function Lamp(props: { run: RunView; step: number; elapsed: number }) {
  const { run, step } = props;
  const now = run.script[step - 1];
  const then = run.script[step];
  const phase = phaseAt(run, props.elapsed);
  if (!now) return null;
  const next = nextOf(run);
  if (next.do === "event") return <InLight run={run} before={now.before} putAway={now.putAway} />;
  const doing = run.lampOn && now.phases.length > 1 && phase ? phase.words : now.words;
  return (
    <>
      <p className="run-small">
        {run.lampOn
          ? "Now,"
          : now.before !== "" && now.before !== now.words
            ? `${now.before}, then`
            : "Ready,"}{" "}
        exposure {step} of {run.script.length}
      </p>
      <p className="run-now">{doing.charAt(0).toUpperCase() + doing.slice(1)}</p>
      <p className="run-small">
        {run.resumed && !run.lampOn
          ? `the rest, ${seconds(run.nextSetSeconds)} s`
          : `${seconds(now.setSeconds)} s${times(now.presses)}`}
        , {now.light.notation}
      </p>
      {then && (
        <>
          <p className="run-small then">Then</p>
          <p className="run-then">
            {thenWords(then)}, {seconds(then.setSeconds)} s{times(then.presses)}
          </p>
        </>
      )}
    </>
  );
}
