import type { SheetView, SlateView } from "../../shared/api/client";
import { seconds, stopsWithUnit } from "../../shared/units/format";
import { type MarkKind, type Marked, marksOf } from "./marks";
import { shortMark } from "./pieceMark";
import { rowsClass } from "./rows";

/** What each patch received, how it is told from the others, and what was marked on it. */
export function PatchTable(props: {
  slate: SlateView;
  strip: SheetView;
  kinds: readonly MarkKind[];
  marked: Marked;
}) {
  const { strip, slate } = props;
  // Pieces of one spot hold the same tones all through: said once, below.
  const one = strip.patches.at(-1)?.piece === 1;
  const named = (number: number) =>
    slate.tones
      .filter((t) => t.onSheets.some((s) => s.sheetId === strip.id && s.patch === number))
      .map((t) => t.name);
  const everywhere = one ? [] : named(1);
  const says = (number: number) => marksOf(props.kinds, props.marked, number - 1);
  const through = strip.patches.some((p) => p.name !== "");
  const marks = strip.patches.some((p) => p.mark !== "");
  return (
    <>
      <table className={rowsClass(strip.patches.length)}>
        <thead>
          <tr>
            <th scope="col">{marks ? "Piece" : "Patch"}</th>
            {through && <th scope="col">{strip.patches.some((p) => p.sector) ? "Label" : "Through"}</th>}
            <th scope="col">Received</th>
            {!marks && <th scope="col">From middle</th>}
            {marks && <th scope="col">Mark</th>}
            <th scope="col">Marked</th>
          </tr>
        </thead>
        <tbody>
          {strip.patches.map((p) => (
            <tr key={p.number} className={says(p.number) ? "chosen" : ""}>
              <td>{p.number}</td>
              {through && (
                <td>
                  {p.name}
                  {p.turns !== "" && <span className="constant-source"> {p.turns}</span>}
                </td>
              )}
              <td>{seconds(p.givenSeconds)} s</td>
              {!marks && (
                <td>{Math.abs(p.stopsFromMiddle) < 1 / 24 ? "middle" : stopsWithUnit(p.stopsFromMiddle)}</td>
              )}
              {marks && <td title={p.mark}>{shortMark(p.mark)}</td>}
              <td>{[says(p.number), ...(one ? named(p.number) : [])].filter((w) => w).join(", ")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {everywhere.length > 0 && <p className="note">In every patch: {everywhere.join(", ")}.</p>}
    </>
  );
}
