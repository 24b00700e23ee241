import { type CSSProperties, type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import { type SlateView, positiveAt } from "../../shared/api/client";
import { useStores } from "../../shared/api/slate";
import { cropped } from "../../shared/ui/Print";
import { number } from "../../shared/units/format";
import { length } from "../../shared/units/length";
import { type Place, drag, nudge } from "./crop";

type Setup = SlateView["setup"];
const percent = (share: number) => `${(100 * share).toFixed(3)}%`;
const KEYS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The sheet to scale with the picture on it; what falls beside the paper is drawn dim, and is moved by hand or by arrows. */
export function SheetOnEasel({ slate, edit }: SlateContext) {
  const { setup, subject } = slate;
  const source = subject.positivePath === undefined ? undefined : positiveAt(subject.positivePath);
  const { imageWidthMm: iw, imageHeightMm: ih } = setup;
  const { turnedWidthMm: sw, turnedHeightMm: sh } = setup;
  const lost = setup.lostFraction > 0.001;
  const unit = useStores().data?.units.length ?? "mm";
  const moving = useMoving(setup, (to) =>
    edit.mutate({ setup: { cropPlace: to.across, cropDown: to.down } }),
  );
  const crop = moving.crop;
  const left = setup.blades.leftMm + (sw - setup.blades.leftMm - setup.blades.rightMm - iw) / 2;
  const top = setup.blades.topMm + (sh - setup.blades.topMm - setup.blades.bottomMm - ih) / 2;
  const picture: CSSProperties = {
    left: percent(left / sw),
    top: percent(top / sh),
    width: percent(iw / sw),
    height: percent(ih / sh),
  };
  // The whole frame at the same scale, so that its kept part falls on the picture.
  const whole: CSSProperties = {
    left: percent((left - (crop.left / crop.width) * iw) / sw),
    top: percent((top - (crop.top / crop.height) * ih) / sh),
    width: percent(iw / crop.width / sw),
    height: percent(ih / crop.height / sh),
  };
  return (
    <figure className="easel">
      <div className="easel-sheet" style={{ "--aspect": sw / sh } as CSSProperties}>
        {lost && source !== undefined && <img className="easel-lost" src={source} alt="" style={whole} />}
        {lost && <span className="easel-outline" style={whole} />}
        <span className={setup.projection === "ENLARGED" ? "easel-paper" : "easel-paper bare"} />
        <span
          className={lost ? "easel-picture moves" : "easel-picture"}
          style={picture}
          {...(lost && moving.handlers)}
        >
          {source !== undefined ? (
            <img
              src={source}
              alt={`${slate.naming.title} as it falls on the sheet`}
              draggable={false}
              style={cropped(crop)}
            />
          ) : (
            <span className="blank-sheet">nothing of it was scanned</span>
          )}
        </span>
      </div>
      <figcaption>
        {length(sw, unit)} × {length(sh, unit)} {unit}.{" "}
        {lost
          ? `${number(setup.lostMm)} mm of the negative fall beside the paper. Drag the picture, or move it with the arrows.`
          : "The whole negative prints."}
      </figcaption>
    </figure>
  );
}

/** The kept part while it is dragged; taken when it is let go. */
function useMoving(setup: Setup, take: (to: Place) => void) {
  const stands: Place = { across: setup.cropPlace, down: setup.cropDown };
  const [to, setTo] = useState<Place>();
  const from = useRef<{ x: number; y: number; scale: number }>(undefined);
  const { crop } = setup;
  const place = to ?? stands;
  const leave = () => {
    from.current = undefined;
    setTo(undefined);
  };
  return {
    crop: {
      ...crop,
      left: (1 - crop.width) * place.across,
      top: (1 - crop.height) * place.down,
    },
    handlers: {
      tabIndex: 0,
      role: "group",
      "aria-label": `Kept part, ${String(Math.round(100 * place.across))} % from the left, ${String(Math.round(100 * place.down))} % from the top; arrows move the picture`,
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        const box = event.currentTarget.getBoundingClientRect();
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY, scale: setup.imageWidthMm / box.width };
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const begun = from.current;
        if (!begun) return;
        const x = (event.clientX - begun.x) * begun.scale;
        const y = (event.clientY - begun.y) * begun.scale;
        setTo(drag(stands, setup, x, y));
      },
      onPointerUp: () => {
        if (to && (to.across !== stands.across || to.down !== stands.down)) take(to);
        leave();
      },
      onPointerCancel: leave,
      onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
        const way = KEYS[event.key];
        if (!way) return;
        event.preventDefault();
        take(nudge(stands, setup, way, event.shiftKey));
      },
    },
  };
}
