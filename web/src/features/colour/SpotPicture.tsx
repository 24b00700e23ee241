import { type KeyboardEvent, type MouseEvent, useState } from "react";
import type { SheetView } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import type { Spot, Tapped, useTaps } from "./taps";

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
export function SpotPicture({ sheet, taps }: { sheet: SheetView; taps: ReturnType<typeof useTaps> }) {
  const { onSpot } = taps;
  const [broken, setBroken] = useState(false);
  const at = taps.mark ?? MIDDLE;
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
      {taps.other && <span className="other-spot" style={placed(taps.other)} />}
      <button
        type="button"
        className={taps.mark ? "" : "unset"}
        aria-label={`${taps.what === "WHITE" ? "Bare paper" : "The neutral spot"}; arrow keys move it`}
        style={placed(at)}
        onKeyDown={onKey}
      />
    </div>
  );
}

const ASKED = {
  GREY: "Tap a spot that is to be neutral",
  CARD: "Tap the grey card: it tells the density too",
  WHITE: "Tap bare paper, for a picture without a rim",
} as const;

/** What is tapped. */
export function TapFields(props: { taps: ReturnType<typeof useTaps>; canCard: boolean; pieces: boolean }) {
  const { taps, canCard } = props;
  return (
    <>
      <h3>
        {ASKED[taps.what]}
        {props.pieces && taps.what === "GREY" && "; it is measured on every piece"}.
      </h3>
      <Ways<Tapped>
        label="What is tapped"
        value={taps.what}
        ways={[
          { value: "GREY", label: "Some grey" },
          ...(canCard ? [{ value: "CARD" as const, label: "The grey card" }] : []),
          { value: "WHITE", label: "Bare paper" },
        ]}
        onChange={taps.turnTo}
      />
    </>
  );
}

function placed(at: Spot) {
  return { left: `${String(100 * at.x)}%`, top: `${String(100 * at.y)}%` };
}

function within(share: number): number {
  return Math.round(1000 * Math.max(0, Math.min(1, share))) / 1000;
}
