import { describe, expect, it } from "vitest";
import { shortMark } from "./pieceMark";

describe("the mark of a piece", () => {
  it("shows clipped corners as arrows, clockwise", () => {
    expect(shortMark("upper left corner clipped")).toBe("↖");
    expect(shortMark("upper left, upper right and lower left corners clipped")).toBe("↖ ↗ ↙");
  });

  it("leaves nips as they are said", () => {
    expect(shortMark("3 nips")).toBe("3 nips");
    expect(shortMark("")).toBe("");
  });
});
