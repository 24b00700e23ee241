import { act, renderHook } from "@testing-library/react";
import { expect, it } from "vitest";
import { useTaps } from "./taps";

function tapping(canCard = true) {
  const hook = renderHook(({ scans, card }) => useTaps(scans, card), {
    initialProps: { scans: 1, card: canCard },
  });
  return { hook, taps: () => hook.result.current };
}

const SPOT = { x: 0.4, y: 0.6 };
const WHITE = { x: 0.1, y: 0.1 };

it("says the spot with its picture, and bare paper beside it", () => {
  const { taps } = tapping();
  expect(taps().said).toBeUndefined();
  act(() => taps().onSpot(SPOT));
  expect(taps().said).toEqual({ scan: 1, ...SPOT });
  act(() => taps().turnWhite());
  act(() => taps().onSpot(WHITE));
  expect(taps().mark).toEqual(WHITE);
  expect(taps().other).toEqual(SPOT);
  expect(taps().said).toEqual({ scan: 1, ...SPOT, white: [0.1, 0.1] });
});

it("forgets everything in another picture, and the spot alone when it is cleared", () => {
  const { hook, taps } = tapping();
  act(() => taps().onSpot(SPOT));
  act(() => taps().turnWhite());
  act(() => taps().onSpot(WHITE));
  act(() => taps().clear());
  expect(taps().said).toBeUndefined();
  expect(taps().other).toEqual(WHITE);
  hook.rerender({ scans: 2, card: true });
  expect(taps().other).toBeUndefined();
});

it("is the grey card only where one can tell the density", () => {
  const { hook, taps } = tapping();
  act(() => taps().onSpot(SPOT));
  act(() => taps().turnCard());
  expect(taps().said).toEqual({ scan: 1, ...SPOT, card: true });
  hook.rerender({ scans: 1, card: false });
  expect(taps().what).toBe("GREY");
  expect(taps().said).toEqual({ scan: 1, ...SPOT });
});
