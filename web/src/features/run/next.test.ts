import { describe, expect, it } from "vitest";
import type { RunView } from "../../shared/api/client";
import { nextOf, paperIsOut } from "./next";
import { beatsFor, endsByItself } from "./useBeat";

const run = (part: Partial<RunView>): RunView =>
  ({
    state: "EXPOSING",
    room: "SAFELIGHT",
    lamp: "SWITCHED",
    lampOn: false,
    powerLost: false,
    unwritten: false,
    left: false,
    whiteLight: { safe: true, waitSeconds: 0, says: "White light is safe." },
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

  it("comes by itself on a beat only after the first exposure, unless its presses are counted by hand", () => {
    expect(beatsFor(run({ step: 2 }))).toBe(2);
    expect(beatsFor(run({ step: 1 }))).toBeUndefined();
    expect(beatsFor(run({ step: 2, resumed: true }))).toBeUndefined();
    expect(beatsFor(run({ step: 2, lamp: "MY_TIMER" }))).toBe(2);
    const presses = [{ presses: 4 }, { presses: 2 }] as RunView["script"];
    expect(beatsFor(run({ step: 2, lamp: "MY_TIMER", script: presses }))).toBeUndefined();
    expect(beatsFor(run({ step: 2, left: true }))).toBeUndefined();
  });

  it("tells the end of an exposure by itself when its time is up, of one that went on before one's ears", () => {
    const lit = { step: 2, lampOn: true, lamp: "BURNS", nextSetSeconds: 4 };
    expect(endsByItself(run(lit), 3.9, true)).toBeUndefined();
    expect(endsByItself(run(lit), 4, true)).toBe(2);
    expect(endsByItself(run(lit), 4, false)).toBeUndefined();
    expect(endsByItself(run({ ...lit, lamp: "SWITCHED" }), 4, true)).toBeUndefined();
    expect(endsByItself(run({ ...lit, lampOn: false }), 4, true)).toBeUndefined();
  });

  it("waits for a printer who left, whose paper is put away", () => {
    expect(nextOf(run({ step: 2, left: true }))).toMatchObject({ do: "event", kind: "CAME_BACK" });
    expect(paperIsOut(run({ step: 2, left: true }))).toBe(false);
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

describe("a setting that is made in white light", () => {
  const set = (...kinds: string[]) =>
    run({
      room: "BLACKOUT",
      step: 2,
      script: [{ setInLight: false }, { setInLight: true }, { setInLight: true }] as RunView["script"],
      events: happened(...kinds),
    });

  it("stands between two exposures, with the paper in its box", () => {
    expect(nextOf({ ...set(), step: 1 })).toEqual({ do: "light", step: 1 });
    expect(nextOf(set())).toMatchObject({ do: "event", kind: "PAPER_BOXED" });
    expect(nextOf(set("PAPER_BOXED"))).toMatchObject({ do: "event", kind: "PAPER_TAKEN" });
    expect(nextOf(set("PAPER_BOXED", "PAPER_TAKEN"))).toEqual({ do: "light", step: 2 });
  });

  it("is made again for the next one, and not for the rest of one that was stopped", () => {
    const second = { ...set("PAPER_BOXED", "PAPER_TAKEN"), step: 3 };
    expect(nextOf(second)).toMatchObject({ kind: "PAPER_BOXED" });
    expect(nextOf({ ...set("PAPER_BOXED", "PAPER_TAKEN"), resumed: true })).toEqual({ do: "light", step: 2 });
  });

  it("is the one moment of such a run in which light is safe", () => {
    expect(paperIsOut(set())).toBe(true);
    expect(paperIsOut(set("PAPER_BOXED"))).toBe(false);
    expect(paperIsOut(set("PAPER_BOXED", "PAPER_TAKEN"))).toBe(true);
  });
});

describe("paper is out", () => {
  it("until it is in the fixer, or the drum is closed", () => {
    expect(paperIsOut(run({}))).toBe(true);
    expect(paperIsOut(run({ events: happened("IN_DEVELOPER") }))).toBe(true);
    expect(paperIsOut(run({ events: happened("IN_FIXER") }))).toBe(false);
    expect(paperIsOut(run({ room: "BLACKOUT", events: happened("IN_FIXER") }))).toBe(true);
    expect(paperIsOut(run({ room: "BLACKOUT", events: happened("DRUM_CLOSED") }))).toBe(false);
    expect(paperIsOut(run({ room: "BLACKOUT", events: happened("DRUM_CLOSED"), boxOpen: true }))).toBe(true);
    expect(paperIsOut(run({ state: "ABANDONED" }))).toBe(false);
  });
});
