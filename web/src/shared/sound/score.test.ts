import { describe, expect, it } from "vitest";
import type { StepView } from "../api/client";
import { VOICES } from "./player";
import { scoreOf } from "./score";

const step = (...phases: [string, number][]): StepView =>
  ({
    phases: phases.map(([does, seconds]) => ({ does, seconds, areaKeys: [], words: "" })),
  }) as unknown as StepView;

describe("the score of an exposure", () => {
  it("clicks on, ticks each second, and clicks off", () => {
    const notes = scoreOf(step(["LIGHT", 3.1]), { left: 3.1, from: 0, speed: 1 });
    expect(notes.map((n) => n.sound)).toEqual(["lampOn", "tick", "tick", "lampOff"]);
    expect(notes.map((n) => n.at)).toEqual([0, 1, 2, 3.1]);
  });

  it("sounds where a hold begins and where it ends", () => {
    const notes = scoreOf(step(["LIGHT", 2], ["HOLD", 3], ["LIGHT", 5]), { left: 10, from: 0, speed: 1 });
    expect(notes.find((n) => n.sound === "holdBegins")?.at).toBe(2);
    expect(notes.find((n) => n.sound === "holdEnds")?.at).toBe(5);
  });

  it("opens a burn after its card and closes it with the lamp", () => {
    const notes = scoreOf(step(["COVERED", 2], ["BURN", 4]), { left: 6, from: 0, speed: 1 });
    expect(notes.find((n) => n.sound === "burnOpens")?.at).toBe(2);
    expect(notes.find((n) => n.sound === "burnCloses")?.at).toBe(6);
  });

  it("knocks where the card moves in one long exposure, and not before the first", () => {
    const notes = scoreOf(step(["CARD", 5], ["CARD", 2], ["CARD", 3]), { left: 10, from: 0, speed: 1 });
    expect(notes.filter((n) => n.sound === "knock").map((n) => n.at)).toEqual([5, 7]);
  });

  it("plays only what is still to come when a rest is given", () => {
    const notes = scoreOf(step(["LIGHT", 2], ["HOLD", 3], ["LIGHT", 5]), { left: 6, from: 4, speed: 1 });
    expect(notes.some((n) => n.sound === "holdBegins")).toBe(false);
    expect(notes.find((n) => n.sound === "holdEnds")?.at).toBe(1);
    expect(notes.at(-1)).toEqual({ at: 6, sound: "lampOff" });
  });

  it("keeps the clock of the practice darkroom", () => {
    const notes = scoreOf(step(["LIGHT", 10]), { left: 10, from: 0, speed: 5 });
    expect(notes.at(-1)?.at).toBe(2);
  });
});

describe("the sounds", () => {
  it("are apart from each other in pitch, number or length", () => {
    const shapes = Object.values(VOICES).map((voices) =>
      voices.map((v) => `${String(v.hertz ?? "noise")}:${String(Math.round(v.length * 20))}`).join(" "),
    );
    expect(new Set(shapes).size).toBe(shapes.length);
  });
});
