import { useCallback, useEffect, useRef } from "react";
import type { RunView } from "../../shared/api/client";

/** A second press so soon after the first is a slip of the finger. */
const SLIP_MS = 300;
/** Presses in the first moment of light do nothing. */
const FIRST_LIGHT_MS = 500;

/** Whether a press comes too soon after another one, or in the first light, to be meant. */
export function useTooSoon(run: RunView): () => boolean {
  const lastPress = useRef(0);
  const litAt = useRef(0);
  const { lampOn, clockSpeed } = run;
  useEffect(() => {
    if (lampOn) litAt.current = performance.now();
  }, [lampOn]);
  return useCallback(() => {
    const now = performance.now();
    const slip = now - lastPress.current < SLIP_MS / clockSpeed;
    const firstLight = lampOn && now - litAt.current < FIRST_LIGHT_MS / clockSpeed;
    lastPress.current = now;
    return slip || firstLight;
  }, [lampOn, clockSpeed]);
}
