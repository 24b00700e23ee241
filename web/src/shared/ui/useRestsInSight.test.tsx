import { act, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";

type Told = (entries: { target: Element; isIntersecting: boolean }[]) => void;

let tell: Told;
let frames: ((now: number) => void)[];
let now: number;

beforeEach(() => {
  frames = [];
  now = 1000;
  vi.resetModules();
  vi.stubGlobal(
    "IntersectionObserver",
    class {
      constructor(told: Told) {
        tell = told;
      }
      observe() {}
      unobserve() {}
    },
  );
  vi.stubGlobal("requestAnimationFrame", (run: (now: number) => void) => frames.push(run));
  vi.spyOn(performance, "now").mockImplementation(() => now);
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

async function list(count: number) {
  const { useRestsInSight } = await import("./useRestsInSight");
  function One() {
    const [rests, ref] = useRestsInSight();
    return <i ref={ref}>{rests ? "picture" : "waits"}</i>;
  }
  render(
    <>
      {Array.from({ length: count }, (_, i) => (
        <One key={i} />
      ))}
    </>,
  );
  return screen.getAllByText("waits");
}

function frame(ms: number) {
  now += ms;
  act(() => frames.splice(0).forEach((run) => run(now)));
}

test("what lies still in sight is shown, a few in each frame of the screen", async () => {
  const all = await list(6);
  tell(all.map((target) => ({ target, isIntersecting: true })));
  frame(100);
  expect(screen.queryAllByText("picture")).toHaveLength(0);
  frame(60);
  expect(screen.queryAllByText("picture")).toHaveLength(4);
  frame(16);
  expect(screen.queryAllByText("picture")).toHaveLength(6);
  expect(frames).toHaveLength(0);
});

test("what flies past is not asked for, and is when it comes back", async () => {
  const [one] = await list(1);
  if (!one) throw new Error("nothing is drawn");
  tell([{ target: one, isIntersecting: true }]);
  frame(100);
  tell([{ target: one, isIntersecting: false }]);
  frame(100);
  expect(screen.queryAllByText("picture")).toHaveLength(0);
  tell([{ target: one, isIntersecting: true }]);
  frame(160);
  expect(screen.queryAllByText("picture")).toHaveLength(1);
});
