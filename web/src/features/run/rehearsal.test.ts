import { describe, expect, it } from "vitest";
import type { SlateView } from "../../shared/api/client";
import { begun, given, happened, pressed } from "./rehearsal";

const step = (place: number, setSeconds: number) => ({ place, setSeconds, presses: 1, phases: [], said: [] });
const slate = (lamp: string, room: string): SlateView =>
  ({
    id: "a",
    subject: {},
    naming: { title: "Teapot" },
    medium: { room },
    setup: {
      lamp,
      imageWidthMm: 150,
      imageHeightMm: 100,
      crop: { left: 0.1, top: 0, width: 0.8, height: 1 },
    },
    test: {
      plan: { kind: "STRIP" },
      area: { left: 0, top: 0.4, width: 1, height: 0.2 },
      script: [step(1, 4), step(2, 6)],
    },
    local: { areas: [], script: [step(1, 10)] },
  }) as unknown as SlateView;

describe("a rehearsal", () => {
  it("goes through every exposure and the paper's way, as the run will", () => {
    let run = begun(slate("SWITCHED", "BLACKOUT"), "STRIP", 1);
    expect([run.step, run.nextSetSeconds, run.view.left]).toEqual([1, 4, 0.1]);
    run = pressed(run);
    expect(run.lampOn).toBe(true);
    expect(pressed(run)).toBe(run);
    run = pressed(given(run));
    expect([run.step, run.lampOn]).toEqual([2, true]);
    run = given(run);
    expect(run.step).toBeUndefined();
    run = pressed(run);
    expect(run.events.map((e) => e.kind)).toEqual(["DRUM_CLOSED"]);
    expect(pressed(run).state).toBe("HUNG");
  });

  it("takes words on how it went, and waits for one who left", () => {
    let run = happened(begun(slate("SWITCHED", "SAFELIGHT"), "STRIP", 1), "SLIP");
    expect(run.events.map((e) => e.kind)).toEqual(["SLIP"]);
    run = happened(run, "TAKEN_BACK");
    expect(run.events).toEqual([]);
    run = happened(run, "LEFT");
    expect(run.left).toBe(true);
    run = pressed(run);
    expect([run.left, run.lampOn, run.step]).toEqual([false, false, 1]);
    expect(pressed(run).lampOn).toBe(true);
    expect(happened(run, "TAKEN_BACK").left).toBe(true);
  });

  it("waits for the printer's word where the lamp is the printer's own", () => {
    const run = pressed(begun(slate("MY_TIMER", "SAFELIGHT"), "PRINT", 1));
    expect(run.lampOn).toBe(true);
    expect(pressed(run).step).toBeUndefined();
  });
});
