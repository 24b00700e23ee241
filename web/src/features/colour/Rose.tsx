import { type LightView, type Schemas, type SheetView, sheetPicture } from "../../shared/api/client";
import { Swatch } from "../../shared/ui/LightName";
import type { Picks } from "./casts";
import { PiecesOnRose } from "./PiecesOnRose";
import { RAYS, type RosePlace, onePerPack, placeOf, pointsOf, rayPlace, reachOf } from "./rose";

/** How far out the words of a ray stand, and the rim, as shares of the half width. */
const RIM = 0.62;
const WORDS = 0.84;

/** The colour rose: each sheet lies where its pack is, the cross where all looks together put neutral. */
export function Rose(props: {
  sheets: readonly SheetView[];
  looked: SheetView;
  neutral: Schemas["ColourView"] | undefined;
  proposed: LightView | undefined;
  /** Pieces of the looked sheet that were picked, and what a pick does; nothing where it is one piece. */
  picks?: { picked: Picks; onPick: (piece: number) => void } | undefined;
}) {
  const middle = props.looked.light;
  const target = props.proposed ?? props.neutral?.neutral;
  // Beside pieces other sheets would lie on them.
  const others = props.picks ? [] : onePerPack(props.sheets, props.looked);
  const pieces = props.picks ? props.looked.patches : [];
  const places = [...others.map((s) => s.light), ...pieces.map((p) => pointsOf(p.light))].map((light) =>
    placeOf(light, middle),
  );
  const aim = target && placeOf(target, middle);
  const region = props.neutral?.region.map((p) => placeOf(packOf(p), middle));
  const reach = reachOf([...places, ...(aim ? [aim] : []), ...(region ?? [])]);
  const share = (p: RosePlace): RosePlace => ({ x: (RIM * p.x) / reach, y: (RIM * p.y) / reach });
  return (
    <div className="rose" role={props.picks ? "group" : "img"} aria-label={roseWords(props.looked, target)}>
      <svg viewBox="-100 -100 200 200" aria-hidden="true">
        {[1 / 4, 1 / 2, 1].map((ring) => (
          <polygon
            key={ring}
            className={ring === 1 / 2 ? "ring" : "ring dotted"}
            points={hexagon(ring * RIM * 100)}
          />
        ))}
        {RAYS.map((ray, i) => {
          const end = rayPlace(i);
          return (
            <path
              key={ray.letter}
              className="ring"
              d={`M 0 0 L ${String(100 * RIM * end.x)} ${String(100 * RIM * end.y)}`}
            />
          );
        })}
      </svg>
      {RAYS.map((ray, i) => (
        <span
          key={ray.letter}
          className="ray"
          style={at({ x: WORDS * rayPlace(i).x, y: WORDS * rayPlace(i).y })}
        >
          <Swatch letter={ray.letter} />
          <b>{ray.word}</b>
          <span>{ray.pack}</span>
        </span>
      ))}
      {others.map((sheet, i) => (
        <Lying key={sheet.id} sheet={sheet} place={share(places[i] ?? { x: 0, y: 0 })} />
      ))}
      {props.picks ? (
        <PiecesOnRose
          sheet={props.looked}
          placeOf={(piece) => share(placeOf(pointsOf(piece.light), middle))}
          picked={props.picks.picked}
          onPick={props.picks.onPick}
        />
      ) : (
        <Lying sheet={props.looked} place={{ x: 0, y: 0 }} looked />
      )}
      <svg viewBox="-100 -100 200 200" className="rose-over" aria-hidden="true">
        {region && <path className="region" d={outline(region.map(share))} />}
        {aim && <Aim at={share(aim)} />}
      </svg>
      <p className="rose-scale">
        The middle ring is {reach / 2} points of this head.
        {region && " By looks on record, neutral is in the line: 19 in 20."}
      </p>
    </div>
  );
}

function roseWords(looked: SheetView, target: LightView | undefined): string {
  return `${looked.label} at ${looked.light.notation}${target ? `; neutral lies at ${target.notation}` : ""}`;
}

/** A place on the plane as a light of magenta and yellow; below nothing stands for cyan. */
function packOf(point: Schemas["PackPoint"]): Pick<LightView, "points"> {
  return { points: [0, point.magenta, point.yellow] };
}

function outline(places: readonly RosePlace[]): string {
  const corners = places.map((p) => `${(100 * p.x).toFixed(2)} ${(100 * p.y).toFixed(2)}`);
  return `M ${corners.join(" L ")} Z`;
}

function Aim(props: { at: RosePlace }) {
  const x = 100 * props.at.x;
  const y = 100 * props.at.y;
  return (
    <g className="aim">
      <path d={`M ${String(x - 3)} ${String(y)} h 6 M ${String(x)} ${String(y - 3)} v 6`} />
    </g>
  );
}

function Lying(props: { sheet: SheetView; place: RosePlace; looked?: boolean }) {
  const { sheet } = props;
  const source = sheetPicture(sheet);
  return (
    <span
      className={`lying${props.looked ? " looked" : ""}${props.place.x < 0 ? " left" : ""}`}
      style={at(props.place)}
    >
      {source !== undefined ? <img src={source} alt="" /> : <span className="blank-sheet">no scan</span>}
      <span className="lying-words">
        <b>{sheet.label}</b>
        <span>{sheet.light.notation}</span>
      </span>
    </span>
  );
}

function at(place: RosePlace) {
  return { left: `${String(50 + 50 * place.x)}%`, top: `${String(50 + 50 * place.y)}%` };
}

function hexagon(radius: number): string {
  return RAYS.map((_, i) => {
    const p = rayPlace(i);
    return `${(radius * p.x).toFixed(2)},${(radius * p.y).toFixed(2)}`;
  }).join(" ");
}
