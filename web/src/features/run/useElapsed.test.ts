import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { RunView } from "../../shared/api/client";
import { useElapsed } from "./useElapsed";

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

const lit = (part: Partial<RunView> = {}): RunView =>
  ({
    lampOn: true,
    lamp: "SWITCHED",
    elapsedSeconds: 0,
    nextSetSeconds: 2,
    clockSpeed: 1,
    ...part,
  }) as RunView;

it("asks whether the lamp is off when the time is up, one question at a time", () => {
  const ask = vi.fn(() => new Promise<unknown>(() => undefined));
  const run = lit();
  renderHook(() => useElapsed(run, ask));
  act(() => void vi.advanceTimersByTime(1900));
  expect(ask).not.toHaveBeenCalled();
  act(() => void vi.advanceTimersByTime(5000));
  expect(ask).toHaveBeenCalledTimes(1);
});

it("asks again when the answer was that it is still lit", async () => {
  const ask = vi.fn(() => Promise.resolve());
  const run = lit();
  renderHook(() => useElapsed(run, ask));
  await act(async () => void (await vi.advanceTimersByTimeAsync(3000)));
  expect(ask.mock.calls.length).toBeGreaterThan(1);
});

it("leaves a lamp it does not switch to its printer", () => {
  const ask = vi.fn(() => Promise.resolve());
  const run = lit({ lamp: "MY_TIMER" });
  const { result } = renderHook(() => useElapsed(run, ask));
  act(() => void vi.advanceTimersByTime(9000));
  expect(ask).not.toHaveBeenCalled();
  expect(result.current).toBe(2);
});
