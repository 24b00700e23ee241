import { useEffect } from "react";
import type { RunView } from "../../shared/api/client";
import type { Keys } from "../../shared/keys/keys";
import { roomNow, roomOf } from "../../shared/room/room";
import { takeWholeScreen } from "../../shared/room/wholeScreen";
import { sound, speak } from "../../shared/sound/player";
import { SAID } from "../../shared/sound/words";
import { isBoxed, paperIsOut } from "./next";

/**
 * While colour paper is out the page stands on the whole screen, since the browser's own bars obey no room. Leaving it, by
 * Escape or otherwise, is an alarm; F brings it back.
 */
export function useFullScreen(run: RunView): Keys {
  const needed = roomOf(run.room) === "blackout" && paperIsOut(run);
  useEffect(() => {
    if (!needed) return;
    const onChange = () => {
      if (document.fullscreenElement) return speak([SAID.fullScreenBack]);
      // A run that is left by its own keys has changed the room before it gives the screen back.
      if (roomNow() !== "blackout") return;
      sound("alarm");
      speak([SAID.fullScreenLeft]);
    };
    document.addEventListener("fullscreenchange", onChange);
    return () => document.removeEventListener("fullscreenchange", onChange);
  }, [needed]);
  if (!needed && !isBoxed(run)) return {};
  return { f: takeWholeScreen };
}
