import type { SlateContext } from "../../app/SlateFrame";
import { aperture, number, seconds } from "../../shared/units/format";

const WITHIN: Record<string, string> = { SHORT: "short", WORKABLE: "", LONG: "long" };

/** Opening and time as one exposure: every pair that gives this light, and what the hand does to get there. */
export function OpeningPairs({ slate, edit }: SlateContext) {
  const { pairs, window } = slate.geometry;
  if (pairs.length === 0) return null;
  const stands = pairs.find((p) => p.apertureMark === slate.setup.apertureMark);
  const outside = stands !== undefined && stands.within !== "WORKABLE";
  const best = pairs.find((p) => p.best);
  return (
    <details className="by-meter" onToggle={(event) => event.currentTarget.scrollIntoView({ block: "end" })}>
      <summary>
        Other openings
        {outside && best
          ? `: ${aperture(best.apertureMark)} brings it to ${seconds(best.seconds)} s`
          : outside
            ? ": none brings it to a workable time"
            : ""}
      </summary>
      <ul className="pairs">
        {pairs.map((pair) => (
          <li key={pair.apertureMark}>
            <button
              type="button"
              aria-pressed={pair.apertureMark === slate.setup.apertureMark}
              onClick={() => edit.mutate({ setup: { apertureMark: pair.apertureMark } })}
            >
              <b>{aperture(pair.apertureMark)}</b>
              <span>{seconds(pair.seconds)} s</span>
              <span>{WITHIN[pair.within]}</span>
              <small>{pair.clicks}</small>
            </button>
          </li>
        ))}
      </ul>
      <p className="field-hint">
        Workable is {number(window.shortestSeconds)} to {number(window.longestSeconds)} s,{" "}
        {window.own ? "your own window" : "a default"}; change it in Stores.
      </p>
    </details>
  );
}
