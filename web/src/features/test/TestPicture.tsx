import type { MouseEvent } from "react";
import type { Schemas, SheetView } from "../../shared/api/client";
import type { Marked, MarkField, MarkKind } from "./marks";
import { placeOfMark, placeOfTap } from "./places";
import { Sectors } from "./Sectors";

const percent = (share: number) => `${(100 * share).toFixed(3)}%`;

/** The taps and marks over the picture of a test: patches of a strip, sectors of a disc, pieces in rows. */
export function TestPicture(props: {
  sheet: SheetView;
  kinds: readonly MarkKind[];
  marked: Marked;
  /** The patch that is looked at alone, counted from 0; all of it when left out. */
  alone: number | undefined;
  onMark: (at: number) => void;
  /** The rows that are not being read: they are dimmed. */
  otherRows: readonly OtherRow[];
}) {
  const { sheet, marked, alone } = props;
  const onClick = (event: MouseEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = placeOfTap(
      sheet,
      (event.clientX - box.left) / box.width,
      (event.clientY - box.top) / box.height,
    );
    if (at !== undefined) props.onMark(at);
  };
  const wedge = sheet.patches.some((p) => p.sector);
  const row = sheet.patches.every((p) => p.place.height > 0.99);
  return (
    <div className="print-overlay tappable" data-testid="strip-taps" onClick={onClick}>
      {props.otherRows.map((row) => (
        <Veil key={row.name} row={row} />
      ))}
      {wedge && <Sectors patches={sheet.patches} />}
      {!wedge &&
        sheet.patches.length > 1 &&
        sheet.patches.map((p, i) => (
          <span
            key={p.number}
            className={`patch-place${row ? " in-row" : ""}${hidden(alone, i) ? " folded" : ""}`}
            style={{
              left: percent(p.place.left),
              top: percent(p.place.top),
              width: percent(p.place.width),
              height: percent(p.place.height),
            }}
          >
            <span className="patch-number">{p.number}</span>
          </span>
        ))}
      {props.kinds.map((kind) => (
        <Flag
          key={kind.field}
          sheet={sheet}
          at={marked[kind.field as MarkField]}
          words={kind.flag}
          side={sideOf(kind, props.kinds)}
        />
      ))}
    </div>
  );
}

/** A row that is not being read. */
export interface OtherRow {
  name: string;
  place: Schemas["RectView"];
  read: () => void;
}

/** A veil over a row that is not being read; a tap reads it. */
function Veil({ row }: { row: OtherRow }) {
  const { left, top, width, height } = row.place;
  return (
    <button
      type="button"
      className="other-row"
      style={{ left: percent(left), top: percent(top), width: percent(width), height: percent(height) }}
      aria-label={`Read the ${row.name.toLowerCase()} row`}
      onClick={(event) => {
        event.stopPropagation();
        row.read();
      }}
    />
  );
}

/** Where the words of a mark stand, so that three can be read: the first at the top, the black at the bottom. */
function sideOf(kind: MarkKind, kinds: readonly MarkKind[]): "start" | "middle" | "end" {
  if (kind === kinds[0]) return "start";
  return kind.black ? "end" : "middle";
}

/** Whether a patch is folded away while one is looked at alone, or two with a place between them. */
function hidden(alone: number | undefined, at: number): boolean {
  return alone !== undefined && Math.abs(alone - at) > 0.5;
}

function Flag(props: {
  sheet: SheetView;
  at: number | undefined;
  words: string;
  side: "start" | "middle" | "end";
}) {
  const { sheet, at } = props;
  const place = at === undefined ? undefined : placeOfMark(sheet, at);
  if (!place) return null;
  const row = sheet.patches.every((p) => p.place.height > 0.99);
  const column = sheet.patches.every((p) => p.place.width > 0.99) && !sheet.patches[0]?.sector;
  if (row)
    return (
      <span className={`flag along ${props.side}`} style={{ left: percent(place.x) }}>
        {props.words}
      </span>
    );
  if (column)
    return (
      <span className={`flag down ${props.side}`} style={{ top: percent(place.y) }}>
        {props.words}
      </span>
    );
  return (
    <span className={`flag at ${props.side}`} style={{ left: percent(place.x), top: percent(place.y) }}>
      {props.words}
    </span>
  );
}
