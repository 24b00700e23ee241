import { type PointerEvent, useRef, useState } from "react";
import type { RecipeEdit, SlateChange } from "../api/slate";
import type { SlateView } from "../api/client";
import type { Point } from "../areas/geometry";
import { type Tone, changed, nudged, placeOf } from "./tones";

/** The named tones over the picture; each is dragged, or moved by the arrow keys. */
export function TonePins(props: { slate: SlateView; edit: SlateChange<RecipeEdit> }) {
  const { slate, edit } = props;
  const layer = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ at: number; to: Point }>();
  const { crop } = slate.setup;
  const move = (at: number, to: Point) =>
    edit.mutate((now) => ({
      naming: { tones: changed(now.naming.tones as Tone[], at, placeOf(to, crop)) },
    }));
  const under = (event: PointerEvent): Point | undefined => {
    const box = layer.current?.getBoundingClientRect();
    return box && { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  if (slate.tones.length === 0) return null;
  return (
    <div className="print-overlay tone-pins" ref={layer}>
      {slate.tones.map((tone, at) => {
        const place = drag?.at === at ? drag.to : tone;
        if (place.x < 0 || place.x > 1 || place.y < 0 || place.y > 1) return null;
        return (
          <button
            key={tone.name}
            type="button"
            className="tone-pin"
            aria-label={`${tone.name}: ${tone.says} Arrow keys move it.`}
            style={{ left: `${String(100 * place.x)}%`, top: `${String(100 * place.y)}%` }}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setDrag({ at, to: tone });
            }}
            onPointerMove={(event) => {
              const to = under(event);
              if (drag?.at === at && to) setDrag({ at, to });
            }}
            onPointerUp={() => {
              if (drag?.at === at && drag.to !== tone) move(at, drag.to);
              setDrag(undefined);
            }}
            onPointerCancel={() => setDrag(undefined)}
            onKeyDown={(event) => {
              const to = nudged(tone, event.key, event.shiftKey);
              if (!to) return;
              event.preventDefault();
              move(at, to);
            }}
          >
            <span className={place.x > 0.7 ? "before" : ""}>{tone.name}</span>
          </button>
        );
      })}
    </div>
  );
}
