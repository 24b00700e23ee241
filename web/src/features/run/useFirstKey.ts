import { useCallback, useRef } from "react";
import type { RunView } from "../../shared/api/client";
import { roomOf } from "../../shared/room/room";
import { isAudible, openAudio } from "../../shared/sound/player";

/**
 * After a reload a browser plays nothing until a key was pressed. In the blackout room that key does nothing else than to
 * open the sound and to say where the run stands: nobody sees what a key would do there. The answer is asked before a key
 * acts, and takes the key when it says yes.
 */
export function useFirstKey(run: RunView, again: () => void): () => boolean {
  const pressed = useRef(false);
  const { room } = run;
  return useCallback(() => {
    if (pressed.current) return false;
    pressed.current = true;
    if (roomOf(room) !== "blackout" || isAudible()) return false;
    openAudio();
    again();
    return true;
  }, [room, again]);
}
