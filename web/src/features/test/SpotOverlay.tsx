import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { SlateView } from "../../shared/api/client";
import { Sectors } from "./Sectors";

const NUDGE = 0.02;

/** A window, a disc or a piece on the picture, as it will come out where it is one; it is dragged, or moved by the arrow keys. */
export function SpotOverlay(props: {
  slate: SlateView;
  /** What it will look like; none where nothing was scanned, or where the pieces are shown beside. */
  picture: string | undefined;
  onMove: (x: number, y: number) => void;
}) {
  const { test } = props.slate;
  const { area } = test;
  const [dragged, setDragged] = useState<{ left: number; top: number }>();
  const drag = useRef<{ x: number; y: number; width: number; height: number }>(undefined);
  const clamp = (value: number, most: number) => Math.max(0, Math.min(most, value));
  const left = dragged?.left ?? area.left;
  const top = dragged?.top ?? area.top;
  const movable = area.width < 0.995 || area.height < 0.995;

  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (!box || !movable) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, width: box.width, height: box.height };
  };
  const onPointerMove = (event: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    setDragged({
      left: clamp(area.left + (event.clientX - d.x) / d.width, 1 - area.width),
      top: clamp(area.top + (event.clientY - d.y) / d.height, 1 - area.height),
    });
  };
  const drop = () => {
    if (drag.current && dragged) props.onMove(dragged.left + area.width / 2, dragged.top + area.height / 2);
    drag.current = undefined;
    setDragged(undefined);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const x = event.key === "ArrowRight" ? NUDGE : event.key === "ArrowLeft" ? -NUDGE : 0;
    const y = event.key === "ArrowDown" ? NUDGE : event.key === "ArrowUp" ? -NUDGE : 0;
    if (x === 0 && y === 0) return;
    event.preventDefault();
    props.onMove(
      clamp(area.left + x, 1 - area.width) + area.width / 2,
      clamp(area.top + y, 1 - area.height) + area.height / 2,
    );
  };
  const percent = (share: number) => `${(100 * share).toFixed(3)}%`;
  return (
    <div className="print-overlay">
      <div
        className={`strip-area${movable ? " movable" : ""}`}
        role="button"
        tabIndex={0}
        aria-label="Place on the picture; arrow keys move it"
        style={{
          left: percent(left),
          top: percent(top),
          width: percent(area.width),
          height: percent(area.height),
        }}
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
        onPointerUp={drop}
        onPointerCancel={drop}
        onKeyDown={onKeyDown}
      >
        {props.picture !== undefined && !dragged && (
          <img className="as-it-will" src={props.picture} alt="" draggable={false} />
        )}
        <Sectors patches={test.patches} />
      </div>
    </div>
  );
}
