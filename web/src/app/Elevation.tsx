import type { SlateView } from "../shared/api/client";

const EASEL_Y = 684;
/** The head group from lamp to lens is drawn at one size; only its height above the easel follows the real one. */
const HEAD_HEIGHT = 232;
const LOWEST_HEAD_Y = 206;
const HIGHEST_HEAD_Y = 44;
const LONGEST_MM = 760;
const X = 76;

/** Where the head stands and where the labels of its parts go, in pixels from the top of the column. */
export interface ColumnLayout {
  head: number;
  lens: number;
  labels: Record<"lamp" | "filter" | "negative" | "lens" | "base" | "local" | "height" | "easel", number>;
}

/** The head's height by the lens-to-paper distance; on a root scale, so that small and large prints both fit. */
export function columnLayout(lensToPaperMm: number): ColumnLayout {
  const room = EASEL_Y - 24 - HEAD_HEIGHT - HIGHEST_HEAD_Y;
  const cone = room * Math.sqrt(Math.min(1, lensToPaperMm / LONGEST_MM));
  const head = Math.min(LOWEST_HEAD_Y, EASEL_Y - 24 - HEAD_HEIGHT - cone);
  return {
    head,
    lens: head + HEAD_HEIGHT,
    labels: {
      lamp: head + 20,
      filter: head + 68,
      negative: head + 128,
      lens: head + 208,
      base: head + 264,
      local: head + 356,
      height: 588,
      easel: 632,
    },
  };
}

/** The height a head comes to that is pushed up by so many pixels of the drawing. */
export function heightAfter(lensToPaperMm: number, pixelsUp: number): number {
  const room = EASEL_Y - 24 - HEAD_HEIGHT - HIGHEST_HEAD_Y;
  const cone = room * Math.sqrt(lensToPaperMm / LONGEST_MM) + pixelsUp;
  return LONGEST_MM * (Math.max(0, cone) / room) ** 2;
}

/** Glass, film emulsion down, paper emulsion up: what lies on the board for a contact print, from the top. */
function Stack(props: { half: number }) {
  const line = (y: number, className: string, more: number) => (
    <path
      className={className}
      d={`M ${String(X - props.half - more)} ${String(EASEL_Y - y)} H ${String(X + props.half + more)}`}
    />
  );
  return (
    <g className="stack">
      {line(30, "glass", 6)}
      {line(25, "film-line", 0)}
      {line(20, "paper-line", 0)}
    </g>
  );
}

/** The enlarger from the side; head height and cone follow the real magnification, or the distance in contact. */
export function Elevation(props: { setup: SlateView["setup"] }) {
  const { setup } = props;
  const { head: top, lens } = columnLayout(setup.lensToPaperMm);
  const contact = setup.projection !== "ENLARGED";
  const cone = EASEL_Y - 24 - lens;
  const half = Math.min(
    62,
    Math.max(14, (setup.imageWidthMm / Math.max(setup.lensToPaperMm, 1)) * cone * 0.5),
  );
  const sheet = Math.min(62, (half * setup.turnedWidthMm) / Math.max(setup.imageWidthMm, 1));
  return (
    <svg className="elevation" width="150" height="720" viewBox="0 0 150 720" aria-hidden="true">
      <path className="rail" d={`M 20 ${String(HIGHEST_HEAD_Y)} V ${String(EASEL_Y + 6)}`} />
      <path className="rail thin" d={`M 20 ${String(top + 56)} H 48`} />
      <path className="rail thin" d={`M 20 ${String(lens - 14)} H 60`} />
      <g transform={`translate(${String(X)} ${String(top)})`}>
        <path d="M -30 58 V 18 Q -28 2 0 0 Q 28 2 30 18 V 58 Z" />
        <circle cx="0" cy="30" r="9" />
        {[-60, -30, 0, 30, 60].map((a) => (
          <path key={a} d="M 0 -13 V -18" transform={`translate(0 30) rotate(${String(a)})`} />
        ))}
        <rect x="-34" y="68" width="68" height="16" />
        <path className="dotted" d="M -34 76 H 34" />
        <path d="M -26 84 L -18 122 H 18 L 26 84" />
        <rect className="solid" x="-36" y="126" width="72" height="12" />
        <rect className="gap" x="-15" y="129" width="30" height={contact ? 3 : 6} />
        <path d="M -28 138 L -22 152 L -28 164 L -20 178 L -24 190 L -16 206 M 28 138 L 22 152 L 28 164 L 20 178 L 24 190 L 16 206" />
        <rect x="-17" y="206" width="34" height="12" />
        <rect x="-17" y="218" width="34" height="12" />
      </g>
      <path
        className="cone"
        d={`M ${String(X - 9)} ${String(lens)} L ${String(X - half)} ${String(EASEL_Y - 24)} H ${String(X + half)} L ${String(X + 9)} ${String(lens)} Z`}
      />
      {contact ? (
        <Stack half={Math.max(half, sheet)} />
      ) : (
        <rect x={X - sheet} y={EASEL_Y - 24} width={2 * sheet} height="7" className="sheet" />
      )}
      <rect x="6" y={EASEL_Y - 16} width="130" height="9" className="base" />
    </svg>
  );
}
