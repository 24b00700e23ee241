import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { Schemas } from "../../shared/api/client";
import type { ThreadView } from "./contrast";
import { BOTTOM, HEIGHT, LEFT, MOST_NET, RIGHT, TOP, WIDTH, apart, netAt, pathOf, xOf, yOf } from "./scale";

const GREYS = [0, 0.1, 0.2, 0.4, 0.6, 0.9, 1.2, 1.54, 1.8, 2.05] as const;
const LABEL_HEIGHT = 13;
/** A label of a line so near the top stands under it. */
const UNDER_TOP = 20;
const FINE = 0.02;
const COARSE = 0.1;

/** How black a grey of the strip is drawn: a screen shows less than the paper has. */
const blackness = (net: number) => 1 - Math.pow(10, -0.62 * net);

/** Tones of the negative below, greys of the print at the left, the paper's curve between them; a thread's end is moved on the print. */
export function Threads(props: {
  standing: Schemas["ContrastView"];
  /** What becomes of the tones; the same as what stands where nothing is asked. */
  next: { curve: Schemas["PointView"][]; threads: ThreadView[] };
  nextLabel: string;
  standingLabel: string;
  chosen: string | undefined;
  onChoose: (name: string) => void;
  onMove: (name: string, net: number) => void;
}) {
  const { standing, next } = props;
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<string>(undefined);
  const at = (event: PointerEvent): number => {
    const box = svg.current?.getBoundingClientRect();
    return box ? netAt(((event.clientY - box.top) / box.height) * HEIGHT) : 0;
  };
  const heights = apart(
    next.threads.map((t) => yOf(t.net)),
    LABEL_HEIGHT,
  );
  const onKeyDown = (event: KeyboardEvent, thread: ThreadView) => {
    const step = event.shiftKey ? COARSE : FINE;
    const by = { ArrowUp: step, ArrowRight: step, ArrowDown: -step, ArrowLeft: -step }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    props.onMove(thread.name, Math.round(100 * Math.max(0, Math.min(MOST_NET, thread.net + by))) / 100);
  };
  return (
    <svg
      ref={svg}
      className="threads"
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      role="group"
      aria-label="Threads: tones of the negative over the paper's curve to the print"
      onPointerMove={(event) => {
        if (drag.current !== undefined) props.onMove(drag.current, at(event));
      }}
      onPointerUp={() => (drag.current = undefined)}
      onPointerCancel={() => (drag.current = undefined)}
    >
      {[0.5, 1, 1.5, 2].map((net) => (
        <g key={net}>
          <line className="thread-grid" x1={LEFT} x2={RIGHT} y1={yOf(net)} y2={yOf(net)} />
          <text className="thread-scale" x={LEFT - 20} y={yOf(net) + 4} textAnchor="end">
            {net}
          </text>
        </g>
      ))}
      <text className="thread-scale" x={LEFT - 20} y={BOTTOM + 4} textAnchor="end">
        0
      </text>
      <rect className="thread-paper" x={LEFT - 14} y={TOP} width={14} height={BOTTOM - TOP} />
      {GREYS.slice(1).map((net, i) => (
        <rect
          key={net}
          x={LEFT - 14}
          width={14}
          y={yOf(net)}
          height={yOf(GREYS[i] ?? 0) - yOf(net)}
          className="thread-ink"
          fillOpacity={blackness((net + (GREYS[i] ?? 0)) / 2)}
        />
      ))}
      <rect className="thread-frame" x={LEFT - 14} y={TOP} width={14} height={BOTTOM - TOP} />
      {standing.film && <Film film={standing.film} />}
      {[-4, -2, 0, 2, 4].map((stops) => (
        <text key={stops} className="thread-scale" x={xOf(stops)} y={HEIGHT - 22} textAnchor="middle">
          {stops === 0 ? "0.60 now" : stops > 0 ? `+${String(stops)}` : `−${String(-stops)}`}
        </text>
      ))}
      <text className="thread-scale" x={RIGHT} y={HEIGHT - 5} textAnchor="end">
        light on the paper, stops
      </text>
      <text className="thread-scale" x={LEFT - 20} y={HEIGHT - 22} textAnchor="end">
        film
      </text>
      <path className="thread-curve now" d={pathOf(standing.curve)} />
      <path className="thread-curve" d={pathOf(next.curve)} />
      {next.threads.map((thread, i) => (
        <g key={thread.name} className={thread.name === props.chosen ? "thread chosen" : "thread"}>
          <path
            d={`M${xOf(thread.stops).toFixed(1)} ${String(BOTTOM)}V${yOf(thread.net).toFixed(1)}H${String(LEFT)}`}
          />
          <text
            x={LEFT + 14}
            y={(heights[i] ?? 0) < UNDER_TOP ? (heights[i] ?? 0) + 12 : (heights[i] ?? 0) - 3}
          >
            {thread.name} {thread.net.toFixed(2)}
          </text>
          <circle className="thread-foot" cx={xOf(thread.stops)} cy={yOf(thread.net)} r={3.5} />
          <circle
            className="thread-end"
            role="slider"
            tabIndex={0}
            aria-label={`${thread.name}: density in the print`}
            aria-valuemin={0}
            aria-valuemax={MOST_NET}
            aria-valuenow={thread.net}
            aria-valuetext={thread.net.toFixed(2)}
            cx={LEFT}
            cy={yOf(thread.net)}
            r={7}
            onFocus={() => props.onChoose(thread.name)}
            onKeyDown={(event) => onKeyDown(event, thread)}
            onPointerDown={(event) => {
              drag.current = thread.name;
              props.onChoose(thread.name);
              event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
            }}
          />
        </g>
      ))}
      <text className="thread-scale" x={RIGHT} y={yOf(MOST_NET) + 24} textAnchor="end">
        {props.nextLabel}
      </text>
      {props.nextLabel !== "" && props.standingLabel !== props.nextLabel && (
        <text className="thread-scale" x={RIGHT} y={yOf(MOST_NET) + 40} textAnchor="end">
          dashed: {props.standingLabel}
        </text>
      )}
    </svg>
  );
}

/** The tones of the negative that print, from its densest to its thinnest. */
function Film({ film }: { film: Schemas["FilmView"] }) {
  const from = xOf(film.fromStops);
  const to = xOf(film.toStops);
  return (
    <>
      <defs>
        <linearGradient id="film-strip">
          <stop className="film-dense" offset="0" />
          <stop className="film-thin" offset="1" />
        </linearGradient>
      </defs>
      <rect className="thread-film" x={from} y={BOTTOM + 5} width={Math.max(2, to - from)} height={11} />
    </>
  );
}
