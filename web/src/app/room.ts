import { useSyncExternalStore } from "react";

/** The light the whole application is seen in. */
export type Room = "white" | "safelight";

const KEY = "key-slate.room";
const listeners = new Set<() => void>();

function current(): Room {
  return document.documentElement.dataset.room === "safelight" ? "safelight" : "white";
}

/** Changes the room at once: the attribute is set before anything is drawn again. */
export function enterRoom(room: Room): void {
  document.documentElement.dataset.room = room;
  try {
    window.localStorage.setItem(KEY, room);
  } catch {
    // The room then lasts as long as the page.
  }
  listeners.forEach((tell) => tell());
}

export function useRoom(): Room {
  return useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, current);
}
