import { seconds } from "../units/format";

/** An arc of a dial, in seconds. */
export interface DialArc {
  from: number;
  to: number;
  kind: "hold" | "light" | "burn";
}

const TURN = 2 * Math.PI;

function point(radius: number, share: number): string {
  const angle = share * TURN - TURN / 4;
  return `${(radius * Math.cos(angle)).toFixed(2)} ${(radius * Math.sin(angle)).toFixed(2)}`;
}

/** A ring segment from one share of a turn to another. */
export function arcPath(radius: number, from: number, to: number): string {
  const end = Math.min(to, from + 0.9999);
  const large = end - from > 0.5 ? 1 : 0;
  return `M ${point(radius, from)} A ${radius} ${radius} 0 ${String(large)} 1 ${point(radius, end)}`;
}

/** A small sweep dial: the whole turn is the time set, arcs are what a hand does in it. */
export function Dial(props: {
  total: number;
  arcs: readonly DialArc[];
  label: string;
  note: string;
  size: number;
}) {
  const ticks = Math.min(12, Math.max(2, Math.round(props.total)));
  return (
    <figure className="dial">
      <svg width={props.size} height={props.size} viewBox="-50 -50 100 100" aria-hidden="true">
        <circle r="47" className="dial-rim" />
        {Array.from({ length: ticks }, (_, i) => (
          <path key={i} className="dial-rim" d={`M ${point(47, i / ticks)} L ${point(42, i / ticks)}`} />
        ))}
        <circle r="35" className="dial-track" />
        {props.arcs.map((arc, i) => (
          <path
            key={i}
            className={`dial-arc dial-${arc.kind}`}
            d={arcPath(35, arc.from / props.total, arc.to / props.total)}
          />
        ))}
        <text textAnchor="middle" dominantBaseline="central" className="dial-number">
          {seconds(props.total)}
        </text>
      </svg>
      <figcaption>
        <strong>{props.label}</strong>
        <span>{props.note}</span>
      </figcaption>
    </figure>
  );
}
