import { fireEvent, render } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { HELD_MS, LONG_MS, useHeldKey } from "./useHeldKey";

const said: string[] = [];

function Foot(props: { takes?: boolean }) {
  useHeldKey(" ", {
    short: () => said.push("next"),
    long: () => said.push("again"),
    held: () => said.push("back"),
    takes: () => props.takes === true,
  });
  return null;
}

beforeEach(() => {
  said.length = 0;
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

function press(ms: number) {
  fireEvent.keyDown(window, { key: " " });
  vi.advanceTimersByTime(ms);
  fireEvent.keyUp(window, { key: " " });
}

test("what a foot switch means follows from how long it is held", () => {
  render(<Foot />);
  press(100);
  press(LONG_MS + 50);
  press(HELD_MS + 500);
  expect(said).toEqual(["next", "again", "back"]);
});

test("a key that repeats while it is held is one press", () => {
  render(<Foot />);
  fireEvent.keyDown(window, { key: " " });
  for (let i = 0; i < 20; i++) fireEvent.keyDown(window, { key: " ", repeat: true });
  vi.advanceTimersByTime(200);
  fireEvent.keyUp(window, { key: " " });
  expect(said).toEqual(["next"]);
});

test("a press that is taken for something else means nothing more", () => {
  render(<Foot takes />);
  press(100);
  expect(said).toEqual([]);
});
