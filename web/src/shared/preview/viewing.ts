import { useSyncExternalStore } from "react";

/** How colour prints are looked at on this screen: colour temperature of the light, and whether wet. */
export interface Viewing {
  kelvin: number;
  wet: boolean;
}

export const USUAL: Viewing = { kelvin: 5000, wet: false };

export const LAMPS: readonly { value: number; label: string }[] = [
  { value: 2700, label: "2700 K, a warm bulb" },
  { value: 3000, label: "3000 K, a display lamp" },
  { value: 4000, label: "4000 K, a cool tube" },
  { value: 5000, label: "5000 K, viewing light" },
  { value: 6500, label: "6500 K, overcast sky" },
];

const KEY = "key-slate.viewing";
const listeners = new Set<() => void>();
let now = kept();

function kept(): Viewing {
  try {
    const { kelvin, wet } = JSON.parse(window.localStorage.getItem(KEY) ?? "{}") as Partial<Viewing>;
    const known = LAMPS.some((l) => l.value === kelvin);
    return { kelvin: known && kelvin !== undefined ? kelvin : USUAL.kelvin, wet: wet === true };
  } catch {
    return USUAL;
  }
}

export function viewing(): Viewing {
  return now;
}

export function lookIn(part: Partial<Viewing>): void {
  now = { ...now, ...part };
  try {
    window.localStorage.setItem(KEY, JSON.stringify(now));
  } catch {
    // It lasts as long as the page.
  }
  listeners.forEach((tell) => tell());
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

export function useViewing(): Viewing {
  return useSyncExternalStore(subscribe, viewing);
}

/** What an address of a picture says of it; nothing of the usual way. */
export function viewingQuery({ kelvin, wet }: Viewing): Record<string, string> {
  return {
    ...(kelvin !== USUAL.kelvin && { kelvin: String(kelvin) }),
    ...(wet && { wet: "true" }),
  };
}
