import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { AreaView } from "../../shared/api/client";
import { plainStops } from "../../shared/units/format";
import { AreaOutline } from "../../shared/areas/AreaOutline";
import {
  type Crop,
  type Point,
  type Shape,
  type ShapeTool,
  drawn,
  handles,
  moved,
  scaled,
  toFrame,
  toPrint,
  withHandle,
} from "../../shared/areas/geometry";

interface Drag {
  kind: "draw" | "move" | "handle";
  key: string;
  handle: number;
  path: Point[];
}

export interface AreaCanvasProps {
  areas: readonly AreaView[];
  crop: Crop;
  /** The picture on paper, millimetres: the drawing's own units. */
  widthMm: number;
  heightMm: number;
  tool: ShapeTool | undefined;
  chosen: string | undefined;
  onChoose: (key: string) => void;
  onDrawn: (shape: Shape) => void;
  onChange: (key: string, reshape: (now: Shape) => Shape) => void;
  /** An area under the pointer, as it would be now; none when the drag is over and changed nothing. */
  onDrag: (key: string | undefined, shape?: Shape) => void;
  onRemove: (key: string) => void;
}

/** The areas over the picture: drawn, moved and reshaped by pointer or by keys. */
export function AreaCanvas(props: AreaCanvasProps) {
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<Drag>();

  const place = (event: PointerEvent): Point => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return { x: 0, y: 0 };
    const onPrint = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
    return toFrame(onPrint, props.crop);
  };
  const begin = (event: PointerEvent, kind: Drag["kind"], key: string, handle = 0) => {
    event.stopPropagation();
    svg.current?.setPointerCapture(event.pointerId);
    setDrag({ kind, key, handle, path: [place(event)] });
    if (key) props.onChoose(key);
  };
  const shapeNow = (area: AreaView): Shape =>
    drag && drag.key === area.key && drag.kind !== "draw" ? dragged(area.shape, drag) : area.shape;
  const end = () => {
    if (!drag) return;
    setDrag(undefined);
    if (drag.kind === "draw") {
      const shape = props.tool && drawn(props.tool, drag.path);
      if (shape) props.onDrawn(shape);
      return;
    }
    const area = props.areas.find((a) => a.key === drag.key);
    if (area && drag.path.length > 1) props.onChange(area.key, (now) => dragged(now, drag));
    else props.onDrag(undefined);
  };
  const draft = drag?.kind === "draw" && props.tool ? drawn(props.tool, drag.path) : undefined;
  const onPrint = (p: Point) => {
    const q = toPrint(p, props.crop);
    return { x: q.x * props.widthMm, y: q.y * props.heightMm };
  };

  return (
    <svg
      ref={svg}
      className={`print-overlay areas${props.tool ? " drawing" : ""}`}
      data-testid="area-canvas"
      viewBox={`0 0 ${String(props.widthMm)} ${String(props.heightMm)}`}
      preserveAspectRatio="none"
      onPointerDown={(event) => props.tool && begin(event, "draw", "")}
      onPointerMove={(event) => {
        if (!drag) return;
        const at = place(event);
        const now = { ...drag, path: drag.kind === "draw" ? [...drag.path, at] : [drag.path[0] ?? at, at] };
        setDrag(now);
        const area = props.areas.find((a) => a.key === now.key);
        if (area) props.onDrag(area.key, dragged(area.shape, now));
      }}
      onPointerUp={end}
      onPointerCancel={() => {
        setDrag(undefined);
        props.onDrag(undefined);
      }}
    >
      {props.areas.map((area) => (
        <g
          key={area.key}
          role="button"
          tabIndex={0}
          aria-label={`${area.name}, ${area.changeStops < 0 ? "held back" : "burned"} ${plainStops(area.changeStops)} stop`}
          aria-pressed={area.key === props.chosen}
          className={`area${area.key === props.chosen ? " chosen" : ""}${area.changeStops < 0 ? " hold" : " burn"}`}
          onPointerDown={(event) => !props.tool && begin(event, "move", area.key)}
          onFocus={() => props.onChoose(area.key)}
          onKeyDown={(event) => {
            if (event.key === "Delete" || event.key === "Backspace") return props.onRemove(area.key);
            const reshape = keyed(event);
            if (reshape) props.onChange(area.key, reshape);
          }}
        >
          <AreaOutline
            shape={shapeNow(area)}
            crop={props.crop}
            widthMm={props.widthMm}
            heightMm={props.heightMm}
          />
          {area.key === props.chosen &&
            handles(shapeNow(area)).map((h, i) => {
              const at = onPrint(h);
              return (
                <circle
                  key={i}
                  className="handle"
                  cx={at.x}
                  cy={at.y}
                  r={props.widthMm * 0.011}
                  onPointerDown={(event) => !props.tool && begin(event, "handle", area.key, i)}
                />
              );
            })}
        </g>
      ))}
      {draft && (
        <g className="area draft">
          <AreaOutline shape={draft} crop={props.crop} widthMm={props.widthMm} heightMm={props.heightMm} />
        </g>
      )}
    </svg>
  );
}

function dragged(shape: Shape, drag: Drag): Shape {
  const from = drag.path[0];
  const to = drag.path.at(-1);
  if (!from || !to) return shape;
  return drag.kind === "handle"
    ? withHandle(shape, drag.handle, to)
    : moved(shape, to.x - from.x, to.y - from.y);
}

function keyed(event: KeyboardEvent): ((now: Shape) => Shape) | undefined {
  const step = event.shiftKey ? 0.05 : 0.01;
  const by: Record<string, [number, number]> = {
    ArrowLeft: [-step, 0],
    ArrowRight: [step, 0],
    ArrowUp: [0, -step],
    ArrowDown: [0, step],
  };
  const move = by[event.key];
  if (!move && !["+", "=", "-"].includes(event.key)) return undefined;
  event.preventDefault();
  event.stopPropagation();
  const factor = event.key === "-" ? 1 / 1.1 : 1.1;
  return (now) => (move ? moved(now, move[0], move[1]) : scaled(now, factor));
}
