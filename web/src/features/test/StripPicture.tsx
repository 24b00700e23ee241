import type { MouseEvent } from "react";
import type { SheetView } from "../../shared/api/client";
import type { Marked, MarkField, MarkKind } from "./marks";

const BETWEEN = 0.18;

function isAlong(strip: SheetView): boolean {
  return (strip.patches[0]?.place.height ?? 0) > 0.99;
}

/** A tap on the picture to a place: near the line between two patches it means between them. */
export function placeOfTap(strip: SheetView, x: number, y: number): number {
  const along = isAlong(strip);
  const n = strip.patches.length;
  const share = along ? x : y;
  const first = strip.patches[0]?.place;
  const reversed = first !== undefined && (along ? first.left > 0.5 / n : first.top > 0.5 / n);
  const position = (reversed ? 1 - share : share) * n;
  const nearestLine = Math.round(position);
  if (nearestLine > 0 && nearestLine < n && Math.abs(position - nearestLine) < BETWEEN)
    return nearestLine - 0.5;
  return Math.max(0, Math.min(n - 1, Math.floor(position)));
}

/** The taps and marks over a strip's picture. */
export function StripPicture(props: {
  strip: SheetView;
  kinds: readonly MarkKind[];
  marked: Marked;
  onMark: (at: number) => void;
}) {
  const { strip, marked } = props;
  const along = isAlong(strip);
  const percent = (share: number) => `${(100 * share).toFixed(3)}%`;
  const onClick = (event: MouseEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    props.onMark(
      placeOfTap(strip, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height),
    );
  };
  return (
    <div className="print-overlay tappable" data-testid="strip-taps" onClick={onClick}>
      {strip.patches.map((p) => (
        <span
          key={p.number}
          className={`patch-number${along ? "" : " down"}`}
          style={
            along
              ? { left: percent(p.place.left), width: percent(p.place.width) }
              : { top: percent(p.place.top), height: percent(p.place.height) }
          }
        >
          {p.number}
        </span>
      ))}
      {props.kinds.map((kind, i) => (
        <Flag
          key={kind.field}
          strip={strip}
          at={marked[kind.field as MarkField]}
          words={kind.flag}
          along={along}
          side={i === 0 ? "start" : "end"}
        />
      ))}
    </div>
  );
}

function Flag(props: {
  strip: SheetView;
  at: number | undefined;
  words: string;
  along: boolean;
  side: "start" | "end";
}) {
  const { strip, at, along } = props;
  if (at === undefined) return null;
  const low = strip.patches[Math.floor(at)]?.place;
  const high = strip.patches[Math.ceil(at)]?.place;
  if (!low || !high) return null;
  const centre = along
    ? (low.left + low.width / 2 + high.left + high.width / 2) / 2
    : (low.top + low.height / 2 + high.top + high.height / 2) / 2;
  const style = along ? { left: `${(100 * centre).toFixed(2)}%` } : { top: `${(100 * centre).toFixed(2)}%` };
  return (
    <span className={`flag ${along ? "along" : "down"} ${props.side}`} style={style}>
      {props.words}
    </span>
  );
}
