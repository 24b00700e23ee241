import { fireEvent, render } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { useKeys } from "./keys";

function Page(props: { act: () => void; dialog?: boolean }) {
  useKeys({ n: props.act, " ": props.act });
  return (
    <>
      <input aria-label="field" />
      <button type="button">button</button>
      {props.dialog && (
        <div className="ant-modal-wrap">
          <p>dialog</p>
        </div>
      )}
    </>
  );
}

describe("keys", () => {
  it("act once while they are held down", () => {
    const act = vi.fn();
    render(<Page act={act} />);
    fireEvent.keyDown(document.body, { key: "n" });
    fireEvent.keyDown(document.body, { key: "n", repeat: true });
    expect(act).toHaveBeenCalledTimes(1);
  });

  it("belong to the field while one types, and to a button that is pressed", () => {
    const act = vi.fn();
    const page = render(<Page act={act} />);
    fireEvent.keyDown(page.getByLabelText("field"), { key: "n" });
    fireEvent.keyDown(page.getByText("button"), { key: " " });
    fireEvent.keyDown(document.body, { key: "n", ctrlKey: true });
    expect(act).not.toHaveBeenCalled();
  });

  it("are dead behind an open dialog", () => {
    const act = vi.fn();
    render(<Page act={act} dialog />);
    fireEvent.keyDown(document.body, { key: "n" });
    expect(act).not.toHaveBeenCalled();
  });
});
