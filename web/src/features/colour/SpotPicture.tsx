import { type KeyboardEvent, type MouseEvent, useState } from "react";
import type { SheetView } from "../../shared/api/client";

export interface Spot {
  x: number;
  y: number;
}

const STEPS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const STEP = 0.005;
const BIG_STEP = 0.05;
const MIDDLE: Spot = { x: 0.5, y: 0.5 };

/** The last picture of a sheet as it was taken; a tap or the arrow keys say which spot is meant. */
export function SpotPicture(props: {
  sheet: SheetView;
  /** What is tapped: "The neutral spot". */
  name: string;
  spot: Spot | undefined;
  /** Another spot that was tapped before. */
  other: Spot | undefined;
  onSpot: (spot: Spot) => void;
}) {
  const { sheet, onSpot } = props;
  const [broken, setBroken] = useState(false);
  const at = props.spot ?? MIDDLE;
  if (sheet.scans === 0 || broken) {
    return <p className="empty-line">This sheet has no picture yet. Hand one in, at the right.</p>;
  }
  const onKey = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step && event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    const by = event.shiftKey ? BIG_STEP : STEP;
    const [dx, dy] = step ?? [0, 0];
    onSpot({ x: within(at.x + by * dx), y: within(at.y + by * dy) });
  };
  return (
    <div
      className="spot-picture"
      onClick={(event: MouseEvent<HTMLElement>) => {
        const box = event.currentTarget.getBoundingClientRect();
        onSpot({
          x: within((event.clientX - box.left) / box.width),
          y: within((event.clientY - box.top) / box.height),
        });
      }}
    >
      <img
        src={`/api/sheets/${sheet.id}/scans/${String(sheet.scans)}/picture`}
        alt={`${sheet.label} as it was taken`}
        draggable={false}
        onError={() => setBroken(true)}
      />
      {props.other && <span className="other-spot" style={placed(props.other)} />}
      <button
        type="button"
        className={props.spot ? "" : "unset"}
        aria-label={`${props.name}; arrow keys move it`}
        style={placed(at)}
        onKeyDown={onKey}
      />
    </div>
  );
}

function placed(at: Spot) {
  return { left: `${String(100 * at.x)}%`, top: `${String(100 * at.y)}%` };
}

function within(share: number): number {
  return Math.round(1000 * Math.max(0, Math.min(1, share))) / 1000;
}
