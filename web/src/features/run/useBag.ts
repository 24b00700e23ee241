import { type PointerEvent, useEffect, useRef } from "react";

/** So long a finger rests on a phone in a bag before it counts: brushing it is no press. */
export const DWELL_MS = 300;

/**
 * A phone in a clear bag: under a finger the whole screen is one zone, and a press is felt. Its buttons are not seen in the blackout room, so none of them
 * takes a touch there.
 */
export function useBag(press: () => void): {
  onPointerDown: (event: PointerEvent) => void;
  onPointerUp: () => void;
  onPointerCancel: () => void;
} {
  const timer = useRef<number>(undefined);
  const lift = () => window.clearTimeout(timer.current);
  useEffect(() => () => window.clearTimeout(timer.current), []);
  return {
    onPointerDown: (event) => {
      if (event.pointerType !== "touch") return;
      if (event.target instanceof HTMLElement && event.target.closest("button") !== null) return;
      lift();
      timer.current = window.setTimeout(() => {
        // Where a browser has none, the voice alone says it.
        if ("vibrate" in navigator) navigator.vibrate(60);
        press();
      }, DWELL_MS);
    },
    onPointerUp: lift,
    onPointerCancel: lift,
  };
}
