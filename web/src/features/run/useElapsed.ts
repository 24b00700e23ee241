import { useEffect, useRef, useState } from "react";
import type { RunView } from "../../shared/api/client";

const ASK_EVERY_MS = 120;

/**
 * Seconds on the timer's clock since the lamp went on, drawn forward from the server's last word; when the time is up the
 * server is asked, one question at a time, since it alone knows whether the lamp is off.
 */
export function useElapsed(run: RunView, ask: () => Promise<unknown>): number {
  const [elapsed, setElapsed] = useState(0);
  const asking = useRef(false);
  useEffect(() => {
    if (!run.lampOn) return;
    const since = performance.now();
    const on = () => run.elapsedSeconds + ((performance.now() - since) / 1000) * run.clockSpeed;
    // Hidden pages get no frames: a timer of its own asks, so that a dark screen hears the end as well.
    const timer = window.setInterval(() => {
      setElapsed(Math.min(on(), run.nextSetSeconds));
      if (on() < run.nextSetSeconds || asking.current || run.lamp !== "SWITCHED") return;
      asking.current = true;
      void ask().finally(() => (asking.current = false));
    }, ASK_EVERY_MS / 2);
    return () => window.clearInterval(timer);
    // Only a new word of the server starts the clock anew.
  }, [run, ask]);
  return run.lampOn ? elapsed : 0;
}
