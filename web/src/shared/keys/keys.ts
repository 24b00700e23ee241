import { useEffect, useRef } from "react";

/** Keys to actions; a key is written as the browser names it ("n", " ", "Escape", "?"). */
export type Keys = Record<string, () => void>;

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName);
}

function pressesButton(event: KeyboardEvent): boolean {
  const onControl =
    event.target instanceof HTMLElement && event.target.closest("button, a, summary, [role=radio]") !== null;
  return onControl && (event.key === " " || event.key === "Enter");
}

/** Keys that act anywhere on the page except while typing; keys a focused control needs go to the control. */
export function useKeys(keys: Keys, active = true): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    if (!active) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
      if (isTyping(event.target) || pressesButton(event)) return;
      const act = latest.current[event.key] ?? latest.current[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [active]);
}
