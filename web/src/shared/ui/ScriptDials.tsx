import type { Schemas } from "../api/client";
import { Dial, type DialArc } from "./Dial";

type Step = Schemas["ScriptStepView"];

/** A sheet's exposure as a row of dials: the base with its holds, then each burn. */
export function ScriptDials(props: { script: readonly Step[]; baseFilter: string }) {
  const base = props.script.filter((s) => s.kind !== "BURN");
  const burns = props.script.filter((s) => s.kind === "BURN");
  const total = base.reduce((sum, s) => sum + s.receivedSeconds, 0);
  const longest = Math.max(total, ...burns.map((b) => b.receivedSeconds));
  const size = (seconds: number) => 62 + 40 * Math.sqrt(seconds / longest);
  return (
    <div className="dials">
      <Dial
        total={total}
        arcs={holds(base)}
        label="Base"
        note={`grade ${props.baseFilter}`}
        size={size(total)}
      />
      {burns.map((b) => (
        <Dial
          key={b.place}
          total={b.receivedSeconds}
          arcs={[{ from: 0, to: b.receivedSeconds, kind: "burn" }]}
          label={b.burned ?? "Burn"}
          note={`grade ${b.filter}`}
          size={size(b.receivedSeconds)}
        />
      ))}
    </div>
  );
}

function holds(base: readonly Step[]): DialArc[] {
  let at = 0;
  return base.map((s) => {
    const arc: DialArc = { from: at, to: at + s.receivedSeconds, kind: s.held.length > 0 ? "hold" : "light" };
    at += s.receivedSeconds;
    return arc;
  });
}
