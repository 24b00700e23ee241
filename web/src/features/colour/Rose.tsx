import { type LightView, type Schemas, type SheetView, sheetPicture } from "../../shared/api/client";
import { Swatch } from "../../shared/ui/LightName";
import type { Picks } from "./casts";
import { PiecesOnRose } from "./PiecesOnRose";
import {
  RAYS,
  type RosePlace,
  chroma,
  heaps,
  onePerPack,
  packOf,
  placeOf,
  pointsOf,
  rayPlace,
  reachOf,
} from "./rose";

/** How far out the words of a ray stand, and the rim, as shares of the half width. */
const RIM = 0.62;
const WORDS = 0.84;
/** Nearer than this, as a share of the half width, one picture would hide another. */
const NEAR = 0.2;
/** Points of filter; less cannot be set. */
const LEAST_MOVE = 0.5;
export const NEUTRAL = "neutral";

/**
 * The colour rose: each sheet lies where its pack is, each look pulls from there to where it alone puts neutral; the cross is where all together
 * put it, the dashed frame what the next sheet would be.
 */
export function Rose(props: {
  sheets: readonly SheetView[];
  looked: SheetView;
  neutral: Schemas["ColourView"] | undefined;
  proposed: LightView | undefined;
  /** Whether a look that is not taken yet is among those that count. */
  said: boolean;
  /** How far off neutral the print is meant to be. */
  taste: Schemas["TasteView"];
  /** Pieces of the looked sheet that were picked, and what a pick does; nothing where it is one piece. */
  picks?: { picked: Picks; onPick: (piece: number) => void } | undefined;
}) {
  const middle = props.looked.light;
  const neutral = props.neutral?.looks.length ? props.neutral : undefined;
  // Beside pieces other sheets would lie on them.
  const others = props.picks ? [] : onePerPack(props.sheets, props.looked);
  const pieces = props.picks ? props.looked.patches : [];
  const places = [...others.map((s) => s.light), ...pieces.map((p) => pointsOf(p.light))].map((light) =>
    placeOf(light, middle),
  );
  // Before the first look nothing is drawn of what is only a beginning.
  const aim = neutral && placeOf(neutral.neutral, middle);
  const meant =
    neutral && props.taste.words !== NEUTRAL ? placeOf(meantPack(neutral, props.taste), middle) : undefined;
  const next = props.proposed && placeOf(props.proposed, middle);
  const region = neutral?.region.map((p) => placeOf(packOf(p), middle));
  const pulls = neutral?.looks.map(
    (l) => [placeOf(packOf(l.at), middle), placeOf(packOf(l.towards), middle)] as const,
  );
  const targets = [aim, meant, next].flatMap((p) => p ?? []);
  // Pieces would lie on each other if the rose reached as far as the line about neutral: that is cut off then.
  const reach = reachOf([...places, ...targets, ...(props.picks ? [] : (region ?? []))]);
  const share = (p: RosePlace): RosePlace => ({ x: (RIM * p.x) / reach, y: (RIM * p.y) / reach });
  // The looked one on top, then the latest: prints that come near to neutral come near to each other.
  const looked = props.picks ? [] : [{ sheet: props.looked, place: { x: 0, y: 0 }, looked: true }];
  const lying = heaps(
    [
      ...looked,
      ...others
        .map((sheet, i) => ({ sheet, place: share(places[i] ?? { x: 0, y: 0 }), looked: false }))
        .reverse(),
    ],
    NEAR,
  );
  return (
    <div
      className="rose"
      role={props.picks ? "group" : "img"}
      aria-label={roseWords(props.looked, neutral?.neutral, props.proposed)}
    >
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
      {lying.map(([top, ...under]) => top && <Lying key={top.sheet.id} {...top} under={under} />)}
      {props.picks && (
        <PiecesOnRose
          sheet={props.looked}
          placeOf={(piece) => share(placeOf(pointsOf(piece.light), middle))}
          picked={props.picks.picked}
          onPick={props.picks.onPick}
        />
      )}
      {next && Math.hypot(next.x, next.y) >= LEAST_MOVE && <Next at={share(next)} />}
      <svg viewBox="-100 -100 200 200" className="rose-over" aria-hidden="true">
        <clipPath id="rose-rim">
          <polygon points={hexagon(RIM * 100)} />
        </clipPath>
        <g clipPath="url(#rose-rim)">
          {pulls?.map(([from, to], i) => (
            <Pull key={i} from={share(from)} to={share(to)} />
          ))}
          {region && <path className="region" d={outline(region.map(share))} />}
        </g>
        {lying.flatMap(([, ...under]) => under.map((one) => <Under key={one.sheet.id} at={one.place} />))}
        {aim && <Aim at={share(aim)} />}
        {meant && <Meant at={share(meant)} />}
      </svg>
      <p className="rose-scale">
        The middle ring is {reach / 2} points of this head.
        {region &&
          ` ${props.said ? "With this look" : "By looks on record"} neutral is in the line: 19 in 20.`}
        {meant && ` The ring is what you mean: ${props.taste.words}.`}
      </p>
    </div>
  );
}

function roseWords(looked: SheetView, neutral: LightView | undefined, next: LightView | undefined): string {
  return [
    `${looked.label} at ${looked.light.notation}`,
    neutral && `neutral lies at ${neutral.notation}`,
    next && `the next sheet at ${next.notation}`,
  ]
    .filter(Boolean)
    .join("; ");
}

/** The neutral pack with the taste on it. */
function meantPack(colour: Schemas["ColourView"], taste: Schemas["TasteView"]): Pick<LightView, "points"> {
  const { magenta, yellow } = chroma(colour.neutral);
  return packOf({ magenta: magenta + taste.magenta, yellow: yellow + taste.yellow });
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

/** A ring where the taste lies. */
function Meant(props: { at: RosePlace }) {
  return <circle className="meant" cx={100 * props.at.x} cy={100 * props.at.y} r={3.2} />;
}

/** One look: from the pack that was looked at to where it puts neutral. */
function Pull(props: { from: RosePlace; to: RosePlace }) {
  const [x, y] = [100 * props.to.x, 100 * props.to.y];
  return (
    <g className="pull">
      <path d={`M ${String(100 * props.from.x)} ${String(100 * props.from.y)} L ${String(x)} ${String(y)}`} />
      <circle cx={x} cy={y} r={1.1} />
    </g>
  );
}

/** Where the next sheet would lie. */
function Next(props: { at: RosePlace }) {
  return (
    <span className={`lying next${props.at.x < 0 ? " left" : ""}`} style={at(props.at)}>
      <span className="blank-sheet" />
      <span className="lying-words">
        <b>next</b>
      </span>
    </span>
  );
}

interface OnRose {
  sheet: SheetView;
  place: RosePlace;
  looked: boolean;
}

/** A sheet, and the words of those that it hides. */
function Lying(props: OnRose & { under: readonly OnRose[] }) {
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
        {props.under.map((one) => (
          <span key={one.sheet.id}>
            {one.sheet.label.toLowerCase()}: {one.sheet.light.notation}
          </span>
        ))}
      </span>
    </span>
  );
}

/** Where a sheet lies that another hides. */
function Under(props: { at: RosePlace }) {
  const size = 2.4;
  return (
    <rect
      className="under"
      x={100 * props.at.x - size / 2}
      y={100 * props.at.y - size / 2}
      width={size}
      height={size}
    />
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
