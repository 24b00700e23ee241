import { describe, expect, it } from "vitest";
import { type Tone, changed, newTone, nudged, placeOf } from "./tones";

const crop = { left: 0.1, top: 0, width: 0.8, height: 1 };
const tone = (name: string): Tone => ({ name, x: 0.5, y: 0.5, wish: "MIDDLE" });

describe("named tones", () => {
  it("begin in the middle of the print, under a name of their own", () => {
    expect(newTone([], crop)).toEqual({ name: "Tone 1", x: 0.5, y: 0.5, wish: "WHITE_HOLDS" });
    expect(newTone([tone("Tone 1"), tone("Tone 3")], crop).name).toBe("Tone 2");
  });

  it("are changed one at a time", () => {
    const [first, second] = changed([tone("a"), tone("b")], 1, { wish: "TRUE_BLACK" });
    expect([first?.wish, second?.wish]).toEqual(["MIDDLE", "TRUE_BLACK"]);
  });

  it("stay on the picture, whose crop counts", () => {
    expect(placeOf({ x: 1.4, y: -1 }, crop)).toEqual({ x: 0.9, y: 0 });
    expect(placeOf({ x: 0.25, y: 0.5 }, crop).x).toBeCloseTo(0.3);
  });

  it("move by arrow keys and by no other key", () => {
    expect(nudged({ x: 0.5, y: 0.5 }, "ArrowUp", false)).toEqual({ x: 0.5, y: 0.49 });
    expect(nudged({ x: 0.5, y: 0.5 }, "ArrowRight", true)?.x).toBeCloseTo(0.55);
    expect(nudged({ x: 0.5, y: 0.5 }, "n", false)).toBeUndefined();
  });
});
