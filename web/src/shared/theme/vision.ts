import { useSyncExternalStore } from "react";

/** Whether the reader of this screen sees all colours apart. */
const KEY = "key-slate.colours-alike";
const listeners = new Set<() => void>();
let alike = kept();
mark();

function kept(): boolean {
  try {
    return window.localStorage.getItem(KEY) === "yes";
  } catch {
    return false;
  }
}

function mark(): void {
  if (alike) document.documentElement.dataset.vision = "patterns";
  else delete document.documentElement.dataset.vision;
}

/** Some colours look alike to the reader: swatches get patterns, and casts are left to instruments. */
export function coloursAlike(): boolean {
  return alike;
}

export function sayColoursAlike(said: boolean): void {
  alike = said;
  mark();
  try {
    window.localStorage.setItem(KEY, said ? "yes" : "no");
  } catch {
    // It lasts as long as the page.
  }
  listeners.forEach((tell) => tell());
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

export function useColoursAlike(): boolean {
  return useSyncExternalStore(subscribe, coloursAlike);
}
