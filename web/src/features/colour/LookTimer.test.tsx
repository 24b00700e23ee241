import { act, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { LookTimer } from "./LookTimer";

beforeEach(() => {
  vi.useFakeTimers();
});

afterEach(() => {
  vi.useRealTimers();
});

const after = (seconds: number) => act(() => vi.advanceTimersByTime(1000 * seconds));

it("gives two seconds at the print, then a grey to rest on", () => {
  render(<LookTimer />);
  fireEvent.keyDown(window, { key: "l" });
  expect(screen.getByRole("status").textContent).toContain("Look at the print");
  after(1.9);
  expect(screen.getByRole("status").textContent).toContain("Look at the print");
  after(0.2);
  expect(screen.getByRole("status").textContent).toContain("rest your eyes");
  after(6);
  expect(screen.queryByRole("status")).toBeNull();
});

it("ends with any key, which then does nothing else", () => {
  const taken = vi.fn();
  window.addEventListener("keydown", taken);
  render(<LookTimer />);
  fireEvent.keyDown(document.body, { key: "l" });
  expect(taken).toHaveBeenCalledTimes(1);
  fireEvent.keyDown(document.body, { key: "l", repeat: true });
  expect(screen.getByRole("status")).toBeTruthy();
  fireEvent.keyDown(document.body, { key: "Enter" });
  expect(screen.queryByRole("status")).toBeNull();
  expect(taken).toHaveBeenCalledTimes(1);
  window.removeEventListener("keydown", taken);
});

it("ends when it is told to, and begins anew after it", () => {
  render(<LookTimer />);
  fireEvent.click(screen.getByRole("button", { name: /Time a look/ }));
  after(1);
  fireEvent.keyDown(window, { key: "Escape" });
  expect(screen.queryByRole("status")).toBeNull();
  fireEvent.keyDown(window, { key: "l" });
  after(1.5);
  expect(screen.getByRole("status").textContent).toContain("Look at the print");
});
