import { fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { DWELL_MS, useBag } from "./useBag";

const pressed = vi.fn();

function Screen() {
  return (
    <main {...useBag(pressed)}>
      <p>Whole strip</p>
      <button type="button">Give up</button>
    </main>
  );
}

beforeEach(() => {
  pressed.mockClear();
  vi.useFakeTimers();
  render(<Screen />);
});
afterEach(() => vi.useRealTimers());

test("a finger that rests anywhere is a press, one that brushes by is none", () => {
  const words = screen.getAllByText("Whole strip").at(-1) as HTMLElement;
  fireEvent.pointerDown(words, { pointerType: "touch" });
  vi.advanceTimersByTime(DWELL_MS - 50);
  fireEvent.pointerUp(words);
  vi.advanceTimersByTime(500);
  expect(pressed).not.toHaveBeenCalled();
  fireEvent.pointerDown(words, { pointerType: "touch" });
  vi.advanceTimersByTime(DWELL_MS + 10);
  expect(pressed).toHaveBeenCalledOnce();
});

test("a mouse and a button that is touched are left alone", () => {
  const words = screen.getAllByText("Whole strip").at(-1) as HTMLElement;
  fireEvent.pointerDown(words, { pointerType: "mouse" });
  fireEvent.pointerDown(screen.getAllByRole("button").at(-1) as HTMLElement, { pointerType: "touch" });
  vi.advanceTimersByTime(1000);
  expect(pressed).not.toHaveBeenCalled();
});
