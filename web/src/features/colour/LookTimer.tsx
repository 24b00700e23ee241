import { useEffect, useState } from "react";
import { createPortal } from "react-dom";
import { useKeys } from "../../shared/keys/keys";
import { play } from "../../shared/sound/player";

/** An eye sees a cast for two seconds and then takes it for neutral; a grey lets it forget. */
const LOOK_SECONDS = 2;
const REST_SECONDS = 6;

type Phase = "LOOK" | "REST";

/** Times a look: two seconds at the print, then the whole screen is a grey card to rest on; both ends are heard. */
export function LookTimer() {
  const [phase, setPhase] = useState<Phase>();
  const looking = phase !== undefined;
  useEffect(() => {
    if (!looking) return;
    const hush = play([
      { at: 0, sound: "beat" },
      { at: LOOK_SECONDS, sound: "knock" },
      { at: LOOK_SECONDS + REST_SECONDS, sound: "done" },
    ]);
    const rest = window.setTimeout(() => setPhase("REST"), 1000 * LOOK_SECONDS);
    const over = window.setTimeout(() => setPhase(undefined), 1000 * (LOOK_SECONDS + REST_SECONDS));
    // Any key ends it and does nothing else: behind the grey nobody sees what is taken.
    const end = (event: KeyboardEvent) => {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (!event.repeat) setPhase(undefined);
    };
    window.addEventListener("keydown", end, true);
    return () => {
      window.removeEventListener("keydown", end, true);
      hush();
      window.clearTimeout(rest);
      window.clearTimeout(over);
    };
  }, [looking]);
  useKeys({ l: () => setPhase("LOOK") });
  return (
    <>
      <button type="button" className="link" onClick={() => setPhase("LOOK")}>
        Time a look <kbd>L</kbd>
      </button>
      {looking &&
        createPortal(
          <div className="grey-card" role="status" onClick={() => setPhase(undefined)}>
            {phase === "LOOK" ? "Look at the print, at its grey." : "Now rest your eyes on this grey."}
          </div>,
          document.body,
        )}
    </>
  );
}
