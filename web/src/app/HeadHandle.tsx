import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { SlateView } from "../shared/api/client";
import { centimetres } from "../shared/units/format";
import { columnLayout, heightAfter } from "./Elevation";

const KEYS: Record<string, 1 | -1> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 };
const STEP_MM = 5;
const BIG_STEP_MM = 25;
/** A lens nearer than this to the paper throws no picture on it. */
const NEAREST_OF_FOCAL = 1.1;

/** The head as it is pushed up and down its column: the size is then what was set by eye. */
export function HeadHandle(props: {
  setup: SlateView["setup"];
  /** Where it is held now, mm; nothing = it stands. */
  onHold: (mm: number | undefined) => void;
  onSet: (mm: number) => void;
}) {
  const { setup } = props;
  const from = useRef<{ y: number; held: number }>(undefined);
  const { head, lens } = columnLayout(setup.lensToPaperMm);
  const reachable = (mm: number) => Math.round(Math.max(NEAREST_OF_FOCAL * setup.focalMm, mm));
  const leave = () => {
    from.current = undefined;
    props.onHold(undefined);
  };
  return (
    <div
      className="head-handle"
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label="Height of the lens above the easel"
      aria-valuemin={Math.round(NEAREST_OF_FOCAL * setup.focalMm)}
      aria-valuemax={Math.round(setup.columnMm)}
      aria-valuenow={Math.round(setup.lensToPaperMm)}
      aria-valuetext={centimetres(setup.lensToPaperMm)}
      style={{ top: head, height: lens - head }}
      onPointerDown={(event: PointerEvent<HTMLElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { y: event.clientY, held: setup.lensToPaperMm };
      }}
      onPointerMove={(event) => {
        const begun = from.current;
        if (!begun) return;
        begun.held = reachable(heightAfter(setup.lensToPaperMm, begun.y - event.clientY));
        props.onHold(begun.held);
      }}
      onPointerUp={() => {
        const held = from.current?.held;
        if (held !== undefined && Math.abs(held - setup.lensToPaperMm) >= 1) props.onSet(held);
        leave();
      }}
      onPointerCancel={leave}
      onKeyDown={(event: KeyboardEvent<HTMLElement>) => {
        const way = KEYS[event.key];
        if (way === undefined) return;
        event.preventDefault();
        props.onSet(reachable(setup.lensToPaperMm + way * (event.shiftKey ? BIG_STEP_MM : STEP_MM)));
      }}
    />
  );
}
