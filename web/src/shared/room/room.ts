import { useSyncExternalStore } from "react";

/** The light a screen is seen in. */
export type Room = "white" | "safelight" | "blackout";

const KEY = "key-slate.room";
const DARK = "key-slate.dark";
const listeners = new Set<() => void>();

export function roomNow(): Room {
  const room = document.documentElement.dataset.room;
  return room === "safelight" || room === "blackout" ? room : "white";
}

/** Changes the room at once: the attribute is set before anything is drawn again. Blackout is kept only while its run is open. */
export function enterRoom(room: Room): void {
  document.documentElement.dataset.room = room;
  try {
    if (room !== "blackout") window.localStorage.setItem(KEY, room);
    // Other pages of this machine ask before they shine.
    if (room === "blackout") window.localStorage.setItem(DARK, "");
    else window.localStorage.removeItem(DARK);
  } catch {
    // The room then lasts as long as the page.
  }
  listeners.forEach((tell) => tell());
}

/** The room a sheet is exposed in, by the server's word for it. */
export function roomOf(word: string): Room {
  return word === "BLACKOUT" ? "blackout" : "safelight";
}

/** What becomes of the room when paper is taken out. */
export const ROOM_TURNS: Record<Room, string> = {
  white: "The room stays light.",
  safelight: "The room turns to safelight.",
  blackout: "The screen goes black, full size; sounds and words lead on.",
};

export function useRoom(): Room {
  return useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, roomNow);
}
