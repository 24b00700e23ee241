import type { KeyboardEvent, ReactNode } from "react";
import type { FrameView, Schemas } from "../api/client";
import { FrameButton } from "./FrameButton";

type Roll = Schemas["RollView"];

/** A roll as a proof sheet: frames in their strips on black, as film lies under glass. */
export function ProofSheet(props: {
  roll: Roll;
  chosen?: string | undefined;
  onChoose: (frame: FrameView) => void;
  children?: ReactNode;
}) {
  const { roll } = props;
  return (
    <section className="proof" aria-label={roll.title}>
      <header>
        <h2>{roll.title}</h2>
        <span>{roll.film}</span>
        {props.children}
      </header>
      {roll.frames.length === 0 ? (
        <p className="proof-empty">No frames yet. Add the first one at the right.</p>
      ) : (
        <div className="strips" onKeyDown={walk}>
          {strips(roll).map((strip) => (
            <ul className="film" key={strip[0]?.id}>
              {strip.map((frame) => (
                <li key={frame.id}>
                  <FrameButton frame={frame} chosen={frame.id === props.chosen} onChoose={props.onChoose} />
                </li>
              ))}
            </ul>
          ))}
        </div>
      )}
    </section>
  );
}

function strips(roll: Roll): FrameView[][] {
  let first = 0;
  return roll.strips.map((count) => {
    first += count;
    return roll.frames.slice(first - count, first);
  });
}

/** Arrows go from frame to frame as they lie: along the strip, and to the strip above or below. */
function walk(event: KeyboardEvent<HTMLElement>) {
  const from = (event.target as HTMLElement).closest("li");
  const strip = from?.parentElement;
  if (!from || !strip) return;
  const place = [...strip.children].indexOf(from);
  const all = [...event.currentTarget.querySelectorAll("li")];
  const at = all.indexOf(from);
  const to: Element | null | undefined =
    event.key === "ArrowRight"
      ? all[at + 1]
      : event.key === "ArrowLeft"
        ? all[at - 1]
        : event.key === "ArrowDown"
          ? near(strip.nextElementSibling, place)
          : event.key === "ArrowUp"
            ? near(strip.previousElementSibling, place)
            : undefined;
  const button = to?.querySelector("button");
  if (!button) return;
  event.preventDefault();
  button.focus();
}

function near(strip: Element | null, place: number): Element | undefined {
  return strip ? (strip.children[place] ?? strip.children[strip.children.length - 1]) : undefined;
}
