import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { SlateView } from "../../shared/api/client";
import { PatchSpans } from "./PatchSpans";

/** The strip on the picture: where each patch falls, with its seconds. It can be dragged or moved by arrow keys. */
export function StripOverlay(props: {
  slate: SlateView;
  /** The strip as it will come out; none where nothing was scanned. */
  picture: string | undefined;
  onMove: (place: number) => void;
}) {
  const strip = props.slate.test;
  const along = strip.plan.direction === "DARK_RIGHT" || strip.plan.direction === "DARK_LEFT";
  const room = along ? 1 - strip.area.height : 1 - strip.area.width;
  const standing = along ? strip.area.top : strip.area.left;
  const [dragged, setDragged] = useState<number>();
  const drag = useRef<{ from: number; start: number; size: number }>(undefined);
  const start = dragged ?? standing;
  const clamp = (value: number) => Math.max(0, Math.min(room, value));

  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    if (room < 0.005) return;
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (!box) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = {
      from: along ? event.clientY : event.clientX,
      start: standing,
      size: along ? box.height : box.width,
    };
  };
  const onPointerMove = (event: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    setDragged(clamp(d.start + ((along ? event.clientY : event.clientX) - d.from) / d.size));
  };
  const drop = () => {
    if (drag.current && dragged !== undefined && room > 0) props.onMove(dragged / room);
    drag.current = undefined;
    setDragged(undefined);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const back = along ? "ArrowUp" : "ArrowLeft";
    const on = along ? "ArrowDown" : "ArrowRight";
    if (event.key !== back && event.key !== on) return;
    event.preventDefault();
    if (room > 0.005) props.onMove(clamp(standing + (event.key === on ? 0.02 : -0.02)) / room);
  };

  const place = along
    ? { left: strip.area.left, top: start, width: strip.area.width, height: strip.area.height }
    : { left: start, top: strip.area.top, width: strip.area.width, height: strip.area.height };
  const percent = (share: number) => `${(100 * share).toFixed(3)}%`;
  return (
    <div className="print-overlay">
      <div
        className={`strip-area${room > 0.005 ? " movable" : ""}`}
        role="slider"
        tabIndex={0}
        aria-label="Place of the strip across the picture"
        aria-orientation={along ? "vertical" : "horizontal"}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={room > 0.005 ? Math.round((100 * start) / room) : 50}
        style={{
          left: percent(place.left),
          top: percent(place.top),
          width: percent(place.width),
          height: percent(place.height),
        }}
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
        onPointerUp={drop}
        onPointerCancel={drop}
        onKeyDown={onKeyDown}
      >
        {props.picture !== undefined && dragged === undefined && (
          <img className="as-it-will" src={props.picture} alt="" draggable={false} />
        )}
        <PatchSpans patches={strip.patches} />
      </div>
    </div>
  );
}
