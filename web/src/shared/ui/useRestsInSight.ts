import { type RefCallback, useCallback, useState } from "react";

/** How long something must lie in sight before it is worth a picture, in ms: a list that flies past asks for none. */
const REST_MS = 150;
/** How many begin in one frame of the screen: more at once is felt as a jerk. */
const AT_ONCE = 4;

interface Waiting {
  since: number;
  show: () => void;
}

const waiting = new Map<Element, Waiting>();
const shows = new WeakMap<Element, () => void>();
let observer: IntersectionObserver | undefined;
let turning = false;

/**
 * Whether an element has come to rest in sight, and a reference to hang on it; once true it stays true. Of a long list only what is
 * looked at is fetched and decoded, and scrolling through the rest costs nothing.
 */
export function useRestsInSight(): [boolean, RefCallback<Element>] {
  const [rested, setRested] = useState(typeof IntersectionObserver === "undefined");
  const ref = useCallback((element: Element | null) => {
    if (!element || typeof IntersectionObserver === "undefined") return;
    observer ??= new IntersectionObserver(seen, { rootMargin: "300px" });
    shows.set(element, () => setRested(true));
    observer.observe(element);
    return () => {
      observer?.unobserve(element);
      waiting.delete(element);
    };
  }, []);
  return [rested, ref];
}

function seen(entries: IntersectionObserverEntry[]) {
  for (const entry of entries) {
    const show = shows.get(entry.target);
    if (!entry.isIntersecting || !show) waiting.delete(entry.target);
    else if (!waiting.has(entry.target)) waiting.set(entry.target, { since: performance.now(), show });
  }
  if (waiting.size > 0 && !turning) {
    turning = true;
    requestAnimationFrame(turn);
  }
}

function turn(now: number) {
  let begun = 0;
  for (const [element, one] of waiting) {
    if (begun === AT_ONCE || now - one.since < REST_MS) break;
    waiting.delete(element);
    observer?.unobserve(element);
    one.show();
    begun += 1;
  }
  turning = waiting.size > 0;
  if (turning) requestAnimationFrame(turn);
}
