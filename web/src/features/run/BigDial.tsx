import type { RunView, StepView } from "../../shared/api/client";
import { arcPath } from "../../shared/ui/Dial";
import { seconds } from "../../shared/units/format";

const RIM = 300;
const TRACK = 252;
const TURN = 2 * Math.PI;

/** Seconds between two numbers on the rim, so that there are never more than a dozen or so. */
function spacing(total: number): number {
  return [1, 2, 5, 10, 20, 30, 60, 120, 300].find((s) => total / s <= 13) ?? 600;
}

function at(radius: number, share: number): { x: number; y: number } {
  const angle = share * TURN - TURN / 4;
  return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
}

/** What of the turn is spent with a tool in the light, and what without; a rest begins where the light had come to. */
function arcs(run: RunView, step: StepView | undefined): { from: number; to: number; busy: boolean }[] {
  const total = run.nextSetSeconds;
  if (!step || total <= 0) return [];
  let at = -run.fromSeconds;
  return (step.presses > 1 ? [{ seconds: total, does: "LIGHT" }] : step.phases)
    .map((phase) => {
      const from = at / total;
      at += phase.seconds;
      return {
        from: Math.max(0, from),
        to: Math.min(1, at / total),
        busy: ["HOLD", "BURN"].includes(phase.does),
      };
    })
    .filter((arc) => arc.to > 0);
}

/** The dial: a full turn is the exposure that is on or comes next; its number counts what is left. */
export function BigDial(props: { run: RunView; elapsed: number }) {
  const { run, elapsed } = props;
  const total = run.nextSetSeconds;
  const step = run.step === undefined ? undefined : run.script[run.step - 1];
  const left = run.lampOn ? Math.max(0, total - elapsed) : total;
  const marks = Math.floor(total / spacing(total || 1) + 1e-9);
  const share = total > 0 ? elapsed / total : 0;
  const hand = at(TRACK + 26, share);
  const hub = at(120, share);
  return (
    <div className="big-dial">
      <svg viewBox="-340 -340 680 680" role="img" aria-label={`${seconds(left)} seconds left`}>
        <circle r={RIM} className="rim" />
        {total > 0 &&
          Array.from({ length: marks + 1 }, (_, i) => {
            const s = (i * spacing(total)) / total;
            if (s > 0.955) return null;
            const a = at(RIM, s);
            const b = at(RIM - 22, s);
            const text = at(RIM + 20, s);
            return (
              <g key={i}>
                <path className="rim" d={`M ${String(a.x)} ${String(a.y)} L ${String(b.x)} ${String(b.y)}`} />
                <text
                  x={text.x}
                  y={text.y}
                  className="rim-number"
                  textAnchor="middle"
                  dominantBaseline="central"
                >
                  {i === 0 ? "0" : String(i * spacing(total))}
                </text>
              </g>
            );
          })}
        {arcs(run, step).map((arc) => (
          <path
            key={arc.from}
            className={`turn${arc.busy ? " hold" : ""}${run.lampOn ? " lit" : ""}`}
            d={arcPath(TRACK, Math.max(share, arc.from), arc.to)}
            style={{ display: arc.to <= share ? "none" : undefined }}
          />
        ))}
        {run.lampOn && (
          <path
            className="hand"
            d={`M ${String(hub.x)} ${String(hub.y)} L ${String(hand.x)} ${String(hand.y)}`}
          />
        )}
        <text className="left" textAnchor="middle" dominantBaseline="central" y="-6" aria-hidden="true">
          {total > 0 ? seconds(left) : "–"}
        </text>
        <text className="under" textAnchor="middle" y="92" aria-hidden="true">
          {run.lampOn ? "lamp on" : "lamp off"}
        </text>
      </svg>
    </div>
  );
}
