import type { KeyboardEvent } from "react";
import type { SheetView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";

/** The words for a place on a strip: a patch, or between two. */
export function placeWords(strip: SheetView, at: number): string {
  const low = strip.patches[Math.floor(at)];
  if (!low) return "";
  const named = low.name === "" ? "" : `, ${low.name}`;
  if (Number.isInteger(at)) return `${seconds(low.givenSeconds)} s, patch ${String(low.number)}${named}`;
  return `between ${String(low.number)} and ${String(low.number + 1)}`;
}

/** A mark on a strip as a slider: arrow keys move it by half a patch. */
export function Mark(props: {
  label: string;
  letter: string;
  active: boolean;
  strip: SheetView;
  at: number | undefined;
  onFocus: () => void;
  onMove: (at: number) => void;
}) {
  const last = props.strip.patches.length - 1;
  const onKeyDown = (event: KeyboardEvent) => {
    const step = ["ArrowRight", "ArrowUp"].includes(event.key)
      ? 0.5
      : ["ArrowLeft", "ArrowDown"].includes(event.key)
        ? -0.5
        : 0;
    if (step === 0) return;
    event.preventDefault();
    const from = props.at ?? (step > 0 ? -0.5 : last + 0.5);
    props.onMove(Math.max(0, Math.min(last, from + step)));
  };
  return (
    <div
      className={`mark${props.active ? " active" : ""}`}
      role="slider"
      tabIndex={0}
      aria-label={props.label}
      aria-valuemin={1}
      aria-valuemax={last + 1}
      aria-valuenow={(props.at ?? 0) + 1}
      aria-valuetext={props.at === undefined ? "not marked" : placeWords(props.strip, props.at)}
      onFocus={props.onFocus}
      onKeyDown={onKeyDown}
    >
      <span>
        <kbd>{props.letter}</kbd> {props.label}
      </span>
      <strong>{props.at === undefined ? "not marked" : placeWords(props.strip, props.at)}</strong>
    </div>
  );
}
