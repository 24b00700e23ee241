import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { type Schemas, type SheetView, api, toProblem, unwrap } from "../../shared/api/client";
import { QuantityField } from "../../shared/ui/QuantityField";

type Asked = Schemas["PieceMarksRequest"];
type Seen = NonNullable<Asked["corners"]>[number];

const CORNERS = ["upper left", "upper right", "lower right", "lower left"];
const NEXT: Record<Seen, Seen> = { WHOLE: "CLIPPED", CLIPPED: "DOUBTFUL", DOUBTFUL: "WHOLE" };
const WORDS: Record<Seen, string> = { WHOLE: "whole", CLIPPED: "clipped", DOUBTFUL: "torn" };

/** Which piece is in the hand, by its marks: what cannot be read for sure gives every piece it can be. */
export function PieceFinder(props: { sheet: SheetView; way: "CORNERS" | "NIPS" }) {
  const { sheet, way } = props;
  const [corners, setCorners] = useState<Seen[]>(["WHOLE", "WHOLE", "WHOLE", "WHOLE"]);
  const [nips, setNips] = useState({ seen: 0, maybe: 0 });
  const asked: Asked =
    way === "CORNERS"
      ? { way, corners, pieces: sheet.patches.length }
      : { way, nips: nips.seen, maybe: nips.maybe, pieces: sheet.patches.length };
  const found = useQuery({
    queryKey: ["piece-marks", asked],
    queryFn: () =>
      unwrap(api.POST("/api/calculations/piece-marks", { body: asked })).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
  const candidates = found.data?.candidates ?? [];
  return (
    <details className="more">
      <summary>Which piece is in my hand?</summary>
      {way === "CORNERS" ? (
        <div className="corner-grid" role="group" aria-label="Corners as the picture lies upright">
          {[0, 1, 3, 2].map((at) => {
            const seen = corners[at] ?? "WHOLE";
            return (
              <button
                key={at}
                type="button"
                onClick={() => setCorners((all) => all.map((c, i) => (i === at ? NEXT[c] : c)))}
              >
                {CORNERS[at]}: <strong>{WORDS[seen]}</strong>
              </button>
            );
          })}
        </div>
      ) : (
        <div className="field-row">
          <QuantityField
            label="Nips there for sure"
            shown={String(nips.seen)}
            onCommit={(c) => setNips((n) => ({ ...n, seen: Math.round(c.value) }))}
            onStep={(d) => setNips((n) => ({ ...n, seen: Math.max(0, n.seen + d) }))}
          />
          <QuantityField
            label="Maybe so many more"
            shown={String(nips.maybe)}
            onCommit={(c) => setNips((n) => ({ ...n, maybe: Math.round(c.value) }))}
            onStep={(d) => setNips((n) => ({ ...n, maybe: Math.max(0, n.maybe + d) }))}
          />
        </div>
      )}
      <p className="note" role="status">
        {found.error
          ? found.error.message
          : candidates.length === 0
            ? "No piece of this test is marked like that."
            : candidates.length === 1
              ? `It is piece ${String(candidates[0])}.`
              : `It can be piece ${candidates.join(" or ")}: compare it with them; nothing is guessed.`}
      </p>
    </details>
  );
}
