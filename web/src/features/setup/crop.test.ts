import { describe, expect, it } from "vitest";
import { drag, nudge } from "./crop";

// A frame of which half is lost across and nothing down; 100 mm of picture stand on the paper.
const kept = { imageWidthMm: 100, imageHeightMm: 80, crop: { width: 0.5, height: 1 } };

describe("the kept part", () => {
  it("goes the other way than the picture is pushed, millimetre by millimetre", () => {
    expect(drag({ across: 0.5, down: 0.5 }, kept, 25, 0)).toEqual({ across: 0.25, down: 0.5 });
  });
  it("stops at the negative's edges", () => {
    expect(drag({ across: 0.5, down: 0.5 }, kept, -300, 0).across).toBe(1);
  });
  it("stays where nothing is lost", () => {
    expect(drag({ across: 0.5, down: 0.2 }, kept, 0, 40).down).toBe(0.2);
  });
  it("is moved by arrows in twentieths, with Shift in quarters", () => {
    expect(nudge({ across: 0.5, down: 0 }, kept, [1, 0], false).across).toBe(0.45);
    expect(nudge({ across: 0.5, down: 0 }, kept, [-1, 0], true).across).toBe(0.75);
  });
});
