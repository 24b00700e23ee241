import { sound } from "../sound/player";

/** The browser's own bars obey no room: in the dark the page stands on the whole screen. Asked for by a key or a tap, as browsers want it. */
export function takeWholeScreen(): void {
  if (!document.fullscreenElement) {
    void document.documentElement.requestFullscreen().catch(() => sound("mistake"));
  }
}

export function giveScreenBack(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
}
