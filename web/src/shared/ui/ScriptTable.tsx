import type { StepView } from "../api/client";
import { seconds } from "../units/format";

/** The exposures of a sheet in order: what the hands do, at which second, and what the timer is set to. */
export function ScriptTable(props: { script: readonly StepView[] }) {
  return (
    <table className="rows">
      <thead>
        <tr>
          <th scope="col">No.</th>
          <th scope="col">Hands</th>
          <th scope="col">Light</th>
          <th scope="col">Timer</th>
        </tr>
      </thead>
      <tbody>
        {props.script.map((step) => (
          <tr key={step.place}>
            <td>{step.place}</td>
            <td>
              {step.setInLight && <span className="turn-line">{step.before}</span>}
              {step.words}
              {turns(step).map((turn) => (
                <span key={turn} className="turn-line">
                  {turn}
                </span>
              ))}
            </td>
            <td>{step.light.notation}</td>
            <td>
              {seconds(step.setSeconds)} s{step.presses > 1 ? ` × ${String(step.presses)}` : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The moments of a step that has more than one. */
function turns(step: StepView): string[] {
  if (step.phases.length < 2) return [];
  let at = 0;
  return step.phases.map((phase) => {
    const from = at;
    at += phase.seconds;
    return `${seconds(from)} to ${seconds(at)} s: ${phase.words}`;
  });
}
