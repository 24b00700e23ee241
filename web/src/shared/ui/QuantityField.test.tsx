import { fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it, vi } from "vitest";
import { QuantityField } from "./QuantityField";

function field(extra: Partial<Parameters<typeof QuantityField>[0]> = {}) {
  const onCommit = vi.fn();
  const onStep = vi.fn();
  render(
    <QuantityField
      label="Time"
      shown="10.0"
      unit="s"
      units={["s"]}
      onCommit={onCommit}
      onStep={onStep}
      {...extra}
    />,
  );
  return { onCommit, onStep, input: screen.getByLabelText("Time") };
}

it("commits on Enter what was typed", async () => {
  const { onCommit, input } = field();
  await userEvent.clear(input);
  await userEvent.type(input, "12.5 s{Enter}");
  expect(onCommit).toHaveBeenCalledWith({ kind: "value", value: 12.5, unit: "s" });
});

it("keeps text that is no number and says so beside the field", async () => {
  const { onCommit, input } = field();
  await userEvent.clear(input);
  await userEvent.type(input, "ten{Enter}");
  expect(onCommit).not.toHaveBeenCalled();
  expect(input).toHaveValue("ten");
  expect(screen.getByRole("alert")).toHaveTextContent("“ten” is not a number.");
});

it("gives way to what stands once it is taken, even when that looks the same", async () => {
  const { input } = field({ onCommit: () => Promise.resolve() });
  await userEvent.clear(input);
  await userEvent.type(input, "10.04{Enter}");
  expect(input).toHaveValue("10.0");
});

it("keeps what was refused", async () => {
  const { input } = field({ onCommit: () => Promise.reject(new Error("no")), error: "Too long." });
  await userEvent.clear(input);
  await userEvent.type(input, "9999{Enter}");
  expect(input).toHaveValue("9999");
  expect(screen.getByRole("alert")).toHaveTextContent("Too long.");
});

it("asks again for what was refused on Enter, but not by being left", async () => {
  const onCommit = vi.fn(() => Promise.reject(new Error("no")));
  const { input } = field({ onCommit, error: "Key Slate does not answer." });
  await userEvent.clear(input);
  await userEvent.type(input, "20{Enter}");
  fireEvent.blur(input);
  expect(onCommit).toHaveBeenCalledTimes(1);
  await userEvent.type(input, "{Enter}");
  expect(onCommit).toHaveBeenCalledTimes(2);
});

it("brings back what stands on Escape", async () => {
  const { input } = field();
  await userEvent.clear(input);
  await userEvent.type(input, "99{Escape}");
  expect(input).toHaveValue("10.0");
});

it("refuses a unit that does not belong", async () => {
  const { onCommit, input } = field();
  await userEvent.clear(input);
  await userEvent.type(input, "12 mm{Enter}");
  expect(onCommit).not.toHaveBeenCalled();
  expect(screen.getByRole("alert")).toHaveTextContent("does not belong here");
});

it("takes a signed entry as a change where the field does", async () => {
  const { onCommit, input } = field({ takesChange: true, units: ["s", "stop"] });
  await userEvent.clear(input);
  await userEvent.type(input, "+1/3{Enter}");
  expect(onCommit).toHaveBeenCalledWith({ kind: "change", value: 1 / 3, unit: "" });
});

it("steps with the arrow keys, larger with Shift", async () => {
  const { onStep, input } = field();
  await userEvent.type(input, "{ArrowUp}{Shift>}{ArrowDown}{/Shift}");
  expect(onStep.mock.calls).toEqual([
    [1, false],
    [-1, true],
  ]);
});

function pointer(on: HTMLElement, type: string, clientX: number) {
  fireEvent(on, new MouseEvent(type, { bubbles: true, clientX }));
}

it("is dragged by its label: shown step by step, taken when it is let go", () => {
  const drag = { preview: vi.fn((steps: number) => `+${String(steps)}/12`), take: vi.fn(), leave: vi.fn() };
  const { input } = field({ drag });
  const label = screen.getByText("Time");
  label.setPointerCapture = vi.fn();
  pointer(label, "pointerdown", 100);
  pointer(label, "pointermove", 103);
  expect(drag.preview).not.toHaveBeenCalled();
  pointer(label, "pointermove", 125);
  expect(drag.preview).toHaveBeenCalledWith(2);
  expect(input).toHaveValue("+2/12");
  pointer(label, "pointerup", 125);
  expect(drag.take).toHaveBeenCalledWith(2);
  expect(input).toHaveValue("10.0");
});

it("changes nothing when a drag comes back to where it began", () => {
  const drag = { preview: vi.fn(() => "x"), take: vi.fn(), leave: vi.fn() };
  field({ drag });
  const label = screen.getByText("Time");
  label.setPointerCapture = vi.fn();
  pointer(label, "pointerdown", 100);
  pointer(label, "pointermove", 130);
  pointer(label, "pointermove", 101);
  pointer(label, "pointerup", 101);
  expect(drag.take).not.toHaveBeenCalled();
  expect(drag.leave).toHaveBeenCalledTimes(1);
});
