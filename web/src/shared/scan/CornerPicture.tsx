import { type KeyboardEvent, type MouseEvent, type ReactNode, useRef, useState } from "react";
import { CORNER_NAMES, type Corner } from "./corners";

const STEPS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The picture as it was taken, with the four corners on it: moved by pointer or by arrow keys. */
export function CornerPicture(props: {
  url: string;
  corners: readonly Corner[];
  /** What the corners are those of. */
  of: string;
  /** More lines on it, in hundredths of its sides. */
  children?: ReactNode;
  onMove: (index: number, to: (now: Corner) => Corner) => void;
  /** A tap on the picture beside the corners. */
  onTap?: (at: Corner) => void;
  onBroken: () => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<number>();
  const place = (event: MouseEvent): Corner => {
    const at = box.current?.getBoundingClientRect();
    if (!at) return { x: 0, y: 0 };
    return { x: (event.clientX - at.left) / at.width, y: (event.clientY - at.top) / at.height };
  };
  const onKey = (event: KeyboardEvent, index: number) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const by = event.shiftKey ? 0.05 : 0.002;
    props.onMove(index, (now) => ({ x: now.x + by * step[0], y: now.y + by * step[1] }));
  };
  const outline = props.corners.map((c) => `${String(100 * c.x)},${String(100 * c.y)}`).join(" ");
  return (
    <div
      ref={box}
      className="corner-picture"
      data-testid="corners"
      onClick={(event) => {
        if (props.onTap && !(event.target instanceof HTMLElement && event.target.closest("button") !== null))
          props.onTap(place(event));
      }}
      onPointerMove={(event) => held !== undefined && props.onMove(held, () => place(event))}
      onPointerUp={() => setHeld(undefined)}
      onPointerCancel={() => setHeld(undefined)}
    >
      <img src={props.url} alt="The picture as it was taken" draggable={false} onError={props.onBroken} />
      <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
        <polygon points={outline} />
        {props.children}
      </svg>
      {props.corners.map((corner, i) => (
        <button
          key={CORNER_NAMES[i]}
          type="button"
          aria-label={`Corner ${String(i + 1)}, ${CORNER_NAMES[i] ?? ""} of ${props.of}`}
          style={{ left: `${String(100 * corner.x)}%`, top: `${String(100 * corner.y)}%` }}
          onPointerDown={(event) => {
            box.current?.setPointerCapture(event.pointerId);
            setHeld(i);
          }}
          onKeyDown={(event) => onKey(event, i)}
        >
          {i + 1}
        </button>
      ))}
    </div>
  );
}
