import { describe, expect, it } from "vitest";
import type { RunView } from "../../shared/api/client";
import { nextOf, paperIsOut } from "./next";

const run = (part: Partial<RunView>): RunView =>
  ({
    state: "EXPOSING",
    room: "SAFELIGHT",
    lamp: "SWITCHED",
    lampOn: false,
    powerLost: false,
    events: [],
    script: [],
    ...part,
  }) as unknown as RunView;
const happened = (...kinds: string[]) => kinds.map((kind) => ({ kind, happenedAt: "" }));

describe("one press does the next thing", () => {
  it("gives light while a step is left, and waits while a lamp of its own is lit", () => {
    expect(nextOf(run({ step: 2 }))).toEqual({ do: "light", step: 2 });
    expect(nextOf(run({ step: 2, lampOn: true }))).toEqual({ do: "wait" });
  });

  it("is told when the printer's own lamp is off", () => {
    expect(nextOf(run({ step: 2, lampOn: true, lamp: "MY_TIMER" }))).toEqual({ do: "told", step: 2 });
  });

  it("leads through the trays, and hangs the sheet last", () => {
    expect(nextOf(run({}))).toMatchObject({ do: "event", kind: "IN_DEVELOPER" });
    expect(nextOf(run({ events: happened("IN_DEVELOPER") }))).toMatchObject({ kind: "IN_STOP" });
    expect(nextOf(run({ events: happened("IN_DEVELOPER", "IN_STOP", "IN_FIXER") }))).toEqual({ do: "hang" });
  });

  it("leads to the closed drum where no light may be", () => {
    expect(nextOf(run({ room: "BLACKOUT" }))).toMatchObject({ kind: "DRUM_CLOSED" });
    expect(nextOf(run({ room: "BLACKOUT", events: happened("DRUM_CLOSED") }))).toEqual({ do: "hang" });
  });

  it("does nothing to a sheet that is done, or whose light nobody knows", () => {
    expect(nextOf(run({ state: "HUNG" }))).toEqual({ do: "nothing" });
    expect(nextOf(run({ step: 1, powerLost: true }))).toEqual({ do: "nothing" });
  });
});

describe("paper is out", () => {
  it("until it is in the fixer, or the drum is closed", () => {
    expect(paperIsOut(run({}))).toBe(true);
    expect(paperIsOut(run({ events: happened("IN_DEVELOPER") }))).toBe(true);
    expect(paperIsOut(run({ events: happened("IN_FIXER") }))).toBe(false);
    expect(paperIsOut(run({ room: "BLACKOUT", events: happened("IN_FIXER") }))).toBe(true);
    expect(paperIsOut(run({ room: "BLACKOUT", events: happened("DRUM_CLOSED") }))).toBe(false);
    expect(paperIsOut(run({ state: "ABANDONED" }))).toBe(false);
  });
});
