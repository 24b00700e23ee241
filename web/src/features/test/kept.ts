import { useState } from "react";

/** How one looks at a test: kept from last time, because it seldom changes. */
export interface Looking {
  dry: boolean;
  lamp: string;
  second: boolean;
}

const KEY = "key-slate-looking";
const PLAIN: Looking = { dry: false, lamp: "", second: false };

function kept(): Looking {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? "{}");
    return { ...PLAIN, ...(found as Partial<Looking>) };
  } catch {
    return PLAIN;
  }
}

/** How one looked last time, and what remembers a change. */
export function useLooking(): [Looking, (part: Partial<Looking>) => void] {
  const [looking, setLooking] = useState(kept);
  const change = (part: Partial<Looking>) =>
    setLooking((now) => {
      const next = { ...now, ...part };
      try {
        localStorage.setItem(KEY, JSON.stringify(next));
      } catch {
        // A browser that keeps nothing asks again.
      }
      return next;
    });
  return [looking, change];
}

/** In one line: "wet, room light, alone". */
export function inWords(looking: Looking): string {
  return [
    looking.dry ? "dry" : "wet, as it comes",
    looking.lamp === "" ? "the light that is on" : looking.lamp,
    looking.second ? "two of us" : "alone",
  ].join(", ");
}
