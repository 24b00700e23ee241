import { useLayoutEffect, useRef } from "react";

/** Keys to actions; a key is written as the browser names it ("n", " ", "Escape", "?"). */
export type Keys = Record<string, () => void>;

interface KeyRules {
  /** Whether the keys act at all. */
  active?: boolean;
  /** Asked before a key acts; yes takes the key for something else. */
  takes?: () => boolean;
}

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName);
}

function pressesButton(event: KeyboardEvent): boolean {
  const onControl =
    event.target instanceof HTMLElement && event.target.closest("button, a, summary, [role=radio]") !== null;
  return onControl && (event.key === " " || event.key === "Enter");
}

/** Whether a dialog stands before the page: then the keys belong to it and not to what lies behind. */
function behindDialog(target: EventTarget | null): boolean {
  const open = document.querySelector(
    ".ant-modal-wrap:not([style*='display: none']), .ant-popover:not(.ant-popover-hidden) [role=dialog]",
  );
  return open !== null && !(target instanceof HTMLElement && target.closest("[data-keys=own]") !== null);
}

/** Whether a key is free for the page: not typed, not for a button, not behind a dialog, not with other keys. */
export function isFree(event: KeyboardEvent): boolean {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return false;
  return !isTyping(event.target) && !pressesButton(event) && !behindDialog(event.target);
}

/** Keys that act anywhere on the page except while typing and behind a dialog; a key that is held down acts once; keys a focused control needs go to the control. */
export function useKeys(keys: Keys, { active = true, takes }: KeyRules = {}): void {
  const latest = useRef(keys);
  const first = useRef(takes);
  // Before the next key can come: what is seen and what a key does must not differ.
  useLayoutEffect(() => {
    latest.current = keys;
    first.current = takes;
  });
  // With what is drawn and not a moment after it: a key pressed at once must not be lost.
  useLayoutEffect(() => {
    if (!active) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat || !isFree(event)) return;
      const act = latest.current[event.key] ?? latest.current[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      if (!first.current?.()) act();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [active]);
}
