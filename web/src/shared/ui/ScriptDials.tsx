import type { StepView } from "../api/client";
import { Dial, type DialArc } from "./Dial";

const SMALLEST = 62;
const GROWTH = 40;

/** A sheet's exposures as a row of dials: each a full turn of its time, with what the hands do in it. */
export function ScriptDials(props: { script: readonly StepView[] }) {
  const longest = Math.max(...props.script.map((s) => s.receivedSeconds));
  return (
    <div className="dials">
      {props.script.map((step) => (
        <Dial
          key={step.place}
          total={step.receivedSeconds}
          arcs={arcs(step)}
          label={`${String(step.place)}. ${nameOf(step)}`}
          note={step.light.notation}
          size={SMALLEST + GROWTH * Math.sqrt(step.receivedSeconds / longest)}
        />
      ))}
    </div>
  );
}

/** The base with its holds in one word; a burn or a patch by its own. */
function nameOf(step: StepView): string {
  return step.phases.some((p) => p.does === "HOLD") ? "Base" : step.words;
}

/** The phases of a step, as shares of what the paper receives. */
function arcs(step: StepView): DialArc[] {
  const total = step.phases.reduce((sum, p) => sum + p.seconds, 0);
  let at = 0;
  return step.phases.map((phase) => {
    const from = at;
    at += (phase.seconds / total) * step.receivedSeconds;
    return { from, to: at, kind: kindOf(phase.does) };
  });
}

const KINDS: Record<string, DialArc["kind"]> = { HOLD: "hold", BURN: "burn" };

function kindOf(does: string): DialArc["kind"] {
  return KINDS[does] ?? "light";
}
