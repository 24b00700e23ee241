import { useLayoutEffect, useRef } from "react";
import { isFree } from "./keys";

/** Held so long it is a long press. */
export const LONG_MS = 600;
/** Held so long it takes back. */
export const HELD_MS = 2000;

interface Held {
  /** Let go at once. */
  short: () => void;
  /** Let go after {@link LONG_MS}, or at that moment where nothing longer is meant. */
  long: () => void;
  /** Held {@link HELD_MS}. */
  held?: (() => void) | undefined;
  /** Asked when it goes down; yes takes the press for something else. */
  takes?: (() => boolean) | undefined;
  /** Whether it acts at all. */
  active?: boolean;
}

/** A foot switch with one contact, or the key that stands for it: what it means follows from how long it is held. */
export function useHeldKey(key: string, held: Held): void {
  const latest = useRef(held);
  useLayoutEffect(() => {
    latest.current = held;
  });
  useLayoutEffect(() => {
    let since: number | undefined;
    let timer: number | undefined;
    const clear = () => {
      window.clearTimeout(timer);
      since = undefined;
    };
    const down = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== key || !isFree(event)) return;
      event.preventDefault();
      if (event.repeat || since !== undefined) return;
      if (latest.current.active === false || latest.current.takes?.()) return;
      since = performance.now();
      const { held: longest } = latest.current;
      timer = window.setTimeout(
        () => {
          clear();
          if (latest.current.active === false) return;
          if (longest) latest.current.held?.();
          else latest.current.long();
        },
        longest ? HELD_MS : LONG_MS,
      );
    };
    const up = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== key || since === undefined) return;
      const length = performance.now() - since;
      clear();
      if (length < LONG_MS) latest.current.short();
      else latest.current.long();
    };
    window.addEventListener("keydown", down);
    window.addEventListener("keyup", up);
    window.addEventListener("blur", clear);
    return () => {
      clear();
      window.removeEventListener("keydown", down);
      window.removeEventListener("keyup", up);
      window.removeEventListener("blur", clear);
    };
  }, [key]);
}
