import type { Schemas, SheetView } from "../../shared/api/client";
import { number, signedStops } from "../../shared/units/format";
import type { Picks } from "./casts";

const DENSITIES = [-1 / 2, -1 / 4, 0, 1 / 4, 1 / 2] as const;

export type View = "ROSE" | "CASTS" | "LAMPS";

/** What the stage shows: where the packs lie, the picture with each cast, or in two lamps. */
export function Views(props: { named: boolean; view: View; onView: (view: View) => void }) {
  const shown = props.view === "CASTS" && !props.named ? "ROSE" : props.view;
  return (
    <div className="stage-tools" role="toolbar" aria-label="What is shown">
      {(
        [
          ["ROSE", "Rose"],
          ...(props.named ? ([["CASTS", "Six casts"]] as const) : []),
          ["LAMPS", "Two lamps"],
        ] as const
      ).map(([view, label]) => (
        <button key={view} type="button" aria-pressed={shown === view} onClick={() => props.onView(view)}>
          {label}
        </button>
      ))}
    </div>
  );
}

/** Which pieces are touched; by their numbers for hands that hold no mouse. */
export function PickedPieces(props: { sheet: SheetView; picks: Picks; onPick: (piece: number) => void }) {
  return (
    <>
      <h3>Which piece is neutral? Touch two or three for between them.</h3>
      <div className="wish-line piece-numbers" role="group" aria-label="The neutral pieces">
        {props.sheet.patches.map((p) => (
          <button
            key={p.number}
            type="button"
            aria-pressed={props.picks.includes(p.number)}
            onClick={() => props.onPick(p.number)}
          >
            {p.number}
          </button>
        ))}
      </div>
    </>
  );
}

/** A look is worth more the more often it is had, each time with rested eyes and nothing marked. */
export function LookedAgain(props: {
  looks: number;
  canAgain: boolean;
  onAgain: () => void;
  onOver: () => void;
}) {
  if (props.looks === 0) return null;
  return (
    <p className="field-hint colour-looks">
      {props.looks === 1 ? "One look." : `${String(props.looks)} looks, all of them count.`}{" "}
      <button type="button" className="link" disabled={!props.canAgain} onClick={props.onAgain}>
        Look again <kbd>G</kbd>
      </button>{" "}
      <button type="button" className="link" onClick={props.onOver}>
        Start over
      </button>
    </p>
  );
}

export function Densities(props: { value: number; onChange: (stops: number) => void }) {
  return (
    <div className="wish beside-line" role="group" aria-label="Density: + needs more light">
      <span>More light</span>
      <div className="wish-line">
        {DENSITIES.map((stops) => (
          <button
            key={stops}
            type="button"
            aria-label={signedStops(stops)}
            aria-pressed={stops === props.value}
            onClick={() => props.onChange(stops)}
          >
            {signedStops(stops)}
          </button>
        ))}
      </div>
    </div>
  );
}

export function Steady({ steady }: { steady: Schemas["SteadyView"] }) {
  const part = (points: number, more: string, less: string) =>
    `${number(Math.abs(points))} ${points > 0 ? more : less}`;
  return (
    <p className="field-hint">
      In this light your eye sees a neutral as {part(steady.magentaPoints, "magenta", "green")} and{" "}
      {part(steady.yellowPoints, "yellow", "blue")}, ± {number(steady.limitPoints)}: taken off.
    </p>
  );
}
