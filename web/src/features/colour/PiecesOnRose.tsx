import type { SheetView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";
import type { Picks } from "./casts";
import type { RosePlace } from "./rose";

type Piece = SheetView["patches"][number];

/** More pieces than these are drawn small. */
const MOST_LARGE = 9;
/** How far to the side the lighter and the darker one of a pack lie, as a share of the half width. */
const ASIDE = 0.3;

/** The pieces of a test, each where its pack is; the neutral one is touched, or two or three about it. */
export function PiecesOnRose(props: {
  sheet: SheetView;
  placeOf: (piece: Piece) => RosePlace;
  picked: Picks;
  onPick: (piece: number) => void;
}) {
  const { sheet } = props;
  const small = sheet.patches.length > MOST_LARGE;
  return sheet.patches.map((piece) => {
    const place = props.placeOf(piece);
    const aside = asideOf(sheet, piece);
    return (
      <button
        key={piece.number}
        type="button"
        className={`lying piece${small ? " small" : ""}`}
        aria-pressed={props.picked.includes(piece.number)}
        aria-label={`Piece ${String(piece.number)} ${piece.name}`}
        style={{ left: `${String(50 + 50 * (place.x + aside))}%`, top: `${String(50 + 50 * place.y)}%` }}
        onClick={() => props.onPick(piece.number)}
      >
        <Cut sheet={sheet} piece={piece} />
        <span className="piece-words">
          <span>
            <b>{piece.number}</b> {piece.name}
          </span>
          {!small && <span>{seconds(piece.plannedSeconds)} s</span>}
        </span>
      </button>
    );
  });
}

/** Pieces of one pack do not lie on each other: the lighter one to the left. */
function asideOf(sheet: SheetView, piece: Piece): number {
  const first = sheet.patches.find((p) => p.light === piece.light);
  if (first === undefined || first.number === piece.number) return 0;
  return piece.plannedSeconds < first.plannedSeconds ? -ASIDE : ASIDE;
}

/** One piece of the picture of all. */
function Cut({ sheet, piece }: { sheet: SheetView; piece: Piece }) {
  if (sheet.scans === 0) return <span className="blank-sheet">no picture</span>;
  return (
    <img
      className="piece-cut"
      src={`/api/sheets/${sheet.id}/scans/${String(sheet.scans)}/pieces/${String(piece.number)}`}
      alt=""
      draggable={false}
    />
  );
}
