import type { RunView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";
import { stepWords } from "../../shared/ui/ScriptTable";

/** What the hands do now and next, in few large words. */
export function RunWords(props: { run: RunView; busy: boolean; problem: string | undefined }) {
  const { run } = props;
  const now = run.burst === undefined ? undefined : run.script[run.burst - 1];
  const then = run.burst === undefined ? undefined : run.script[run.burst];
  const before = run.burst === undefined ? undefined : run.script[run.burst - 2];
  const changesFilter = now !== undefined && before !== undefined && before.filter !== now.filter;
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
      ) : now === undefined ? (
        <>
          <p className="run-now">All light is given</p>
          <p className="run-then">
            {props.busy
              ? "Developing …"
              : "Develop, stop, fix. White light is safe once it has been in the fixer."}
          </p>
        </>
      ) : (
        <>
          <p className="run-small">
            {run.lampOn ? "Now" : changesFilter ? `Filter ${now.filter} in, then` : "Ready"}, burst{" "}
            {run.burst} of {run.script.length}
          </p>
          <p className="run-now">{stepWords(now)}</p>
          <p className="run-small">
            {run.resumed && !run.lampOn
              ? `the rest, ${seconds(run.nextSetSeconds)} s`
              : `${seconds(run.nextSetSeconds)} s`}
            , grade {now.filter}
            {now.patch !== undefined &&
              now.patchTotalSeconds !== undefined &&
              `, patch ${String(now.patch)} then has ${seconds(now.patchTotalSeconds)} s`}
          </p>
          {then && (
            <>
              <p className="run-small then">Then</p>
              <p className="run-then">
                {then.filter !== now.filter ? `Filter ${then.filter}, ` : ""}
                {stepWords(then)}, {seconds(then.setSeconds)} s
              </p>
            </>
          )}
        </>
      )}
      {props.problem && (
        <p className="run-problem" role="alert">
          {props.problem}
        </p>
      )}
    </div>
  );
}
