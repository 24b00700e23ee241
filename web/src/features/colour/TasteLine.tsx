import { useState } from "react";
import type { LightView, Problem, Schemas, SheetView, SlateView } from "../../shared/api/client";
import type { RecipeEdit, SlateChange } from "../../shared/api/slate";
import { Swatch } from "../../shared/ui/LightName";
import { NEUTRAL } from "./Rose";
import { RAYS, chroma } from "./rose";
import { TASTES, rayOf, tasteOn } from "./taste";
import { useSisterTastes } from "./weighed";

const FIRST_POINTS = 4;

type Taste = Pick<Schemas["TasteView"], "magenta" | "yellow">;

/** The second target: what the print is meant to be beside neutral, kept for the slate; what a sister frame is meant to be is offered. */
export function TasteLine(props: {
  slate: SlateView;
  edit: SlateChange<RecipeEdit>;
  looked: SheetView;
  neutral: LightView | undefined;
}) {
  const [open, setOpen] = useState(false);
  const { taste } = props.slate.naming;
  const mean = (magenta: number, yellow: number) =>
    props.edit.mutate({ naming: { taste: { magenta, yellow } } });
  const isNeutral = taste.words === NEUTRAL;
  return (
    <>
      <div className="beside-line">
        <span>Meant</span>
        <span>
          <b>{isNeutral ? NEUTRAL : `${taste.words} than neutral`}</b>{" "}
          <button
            type="button"
            className="link"
            aria-expanded={open}
            aria-label={`${open ? "Done" : "Change"}: what the print is meant to be`}
            onClick={() => setOpen(!open)}
          >
            {open ? "Done" : "Change"}
          </button>
        </span>
      </div>
      {open && <TasteFields {...props} taste={taste} onMean={mean} />}
      {props.edit.error && problemOf(props.edit.error) && (
        <p className="field-message" role="alert">
          {problemOf(props.edit.error)}
        </p>
      )}
      {isNeutral && <Sisters slate={props.slate} onMean={mean} />}
    </>
  );
}

/** What was wrong with a taste, where one was refused. */
function problemOf(error: Problem): string | undefined {
  return error.at("/naming/taste/magenta") ?? error.at("/naming/taste/yellow");
}

interface Means {
  onMean: (magenta: number, yellow: number) => void;
}

function TasteFields(props: Means & { taste: Taste; looked: SheetView; neutral: LightView | undefined }) {
  const now = rayOf(props.taste);
  const mean = (taste: Taste) => props.onMean(taste.magenta, taste.yellow);
  const { neutral, looked } = props;
  return (
    <>
      <div className="hues" role="group" aria-label="What the print is meant to be">
        {RAYS.map((ray) => (
          <button
            key={ray.letter}
            type="button"
            aria-pressed={now?.ray === ray}
            onClick={() => mean(tasteOn(ray, now?.points ?? FIRST_POINTS))}
          >
            <Swatch letter={ray.letter} />
            {ray.word}
          </button>
        ))}
      </div>
      <div className="wish-line" role="group" aria-label="By how many points of filter">
        {TASTES.map((points) => (
          <button
            key={points}
            type="button"
            aria-pressed={now?.points === points}
            disabled={!now}
            onClick={() => now && mean(tasteOn(now.ray, points))}
          >
            {points}
          </button>
        ))}
      </div>
      <p className="field-hint">
        <button type="button" className="link" onClick={() => mean({ magenta: 0, yellow: 0 })}>
          Neutral
        </button>{" "}
        {neutral && (
          <button type="button" className="link" onClick={() => mean(beyond(looked.light, neutral))}>
            As {looked.label} is
          </button>
        )}
      </p>
    </>
  );
}

/** What a sheet that pleases has beyond neutral, to a tenth. */
function beyond(light: LightView, neutral: LightView): Taste {
  const a = chroma(light);
  const b = chroma(neutral);
  const tenth = (points: number) => Math.round(10 * points) / 10;
  return { magenta: tenth(a.magenta - b.magenta), yellow: tenth(a.yellow - b.yellow) };
}

function Sisters(props: Means & { slate: SlateView }) {
  return useSisterTastes(props.slate).map((sister) => (
    <p key={sister.slateId} className="field-hint">
      “{sister.title}” on this roll is meant {sister.taste.words}.{" "}
      <button
        type="button"
        className="link"
        onClick={() => props.onMean(sister.taste.magenta, sister.taste.yellow)}
      >
        Mean the same
      </button>
    </p>
  ));
}
