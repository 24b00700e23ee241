import type { LightView } from "../api/client";
import { number } from "../units/format";

const LETTERS = ["C", "M", "Y"] as const;

/** A light by its name; a pack with letters and swatches, so that no colour stands alone for anything. */
export function LightName(props: { light: LightView; large?: boolean }) {
  if (props.light.points.length === 0) {
    const name = props.light.notation;
    return <>{props.large ? name.charAt(0).toUpperCase() + name.slice(1) : name}</>;
  }
  return (
    <span className="pack" role="text" aria-label={props.light.notation}>
      {LETTERS.map((letter, i) => (
        <span key={letter} aria-hidden="true">
          <Swatch letter={letter} /> {number(props.light.points[i] ?? 0)}
        </span>
      ))}
    </span>
  );
}

/** A filter's colour with its letter on it; the letter is drawn, so that the words beside it are the name. */
export function Swatch(props: { letter: string }) {
  return <span className={`swatch swatch-${props.letter}`} data-letter={props.letter} aria-hidden="true" />;
}
