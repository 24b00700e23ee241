import { useEffect, useState } from "react";
import type { RunView } from "../../shared/api/client";

/**
 * Seconds on the timer's clock since the lamp went on, drawn forward from the server's last word; when the time is up
 * the server is asked, since it alone knows whether the lamp is off.
 */
export function useElapsed(run: RunView, onTimeUp: () => void): number {
  const [elapsed, setElapsed] = useState(0);
  useEffect(() => {
    if (!run.lampOn) return;
    const since = performance.now();
    let frame = 0;
    let asked = 0;
    const draw = () => {
      const now = performance.now();
      const on = run.elapsedSeconds + ((now - since) / 1000) * run.clockSpeed;
      setElapsed(Math.min(on, run.nextSetSeconds));
      if (on >= run.nextSetSeconds && now - asked > 60) {
        asked = now;
        onTimeUp();
      }
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
    // Only a new word of the server starts the clock anew.
  }, [run, onTimeUp]);
  return run.lampOn ? elapsed : 0;
}
