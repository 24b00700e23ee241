import type { Schemas } from "../api/client";
import { seconds } from "../units/format";

type Step = Schemas["ScriptStepView"];

/** What a burst asks of the hands. */
export function stepWords(step: Step): string {
  if (step.kind === "BURN") return `Burn ${step.burned ?? ""}`;
  if (step.kind === "PATCH") {
    if (step.patch === 1) return "Whole strip";
    return step.patch === 2 ? "Cover patch 1" : `Cover patches 1 to ${String((step.patch ?? 2) - 1)}`;
  }
  if (step.held.length > 0) return `Hold back ${step.held.join(" and ")}`;
  return step.place === 1 ? "Base, nothing held" : "Base, hands out";
}

/** The bursts of a sheet in order: what the hands do, and what the timer is set to. */
export function ScriptTable(props: { script: readonly Step[] }) {
  return (
    <table className="rows">
      <thead>
        <tr>
          <th scope="col">Burst</th>
          <th scope="col">Hands</th>
          <th scope="col">Grade</th>
          <th scope="col">Timer</th>
        </tr>
      </thead>
      <tbody>
        {props.script.map((step) => (
          <tr key={step.place}>
            <td>{step.place}</td>
            <td>{stepWords(step)}</td>
            <td>{step.filter}</td>
            <td>{seconds(step.setSeconds)} s</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
