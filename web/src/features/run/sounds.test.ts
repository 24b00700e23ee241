import { describe, expect, it } from "vitest";
import type { RunView } from "../../shared/api/client";
import { announcement } from "./useRunSounds";

const run = (part: Partial<RunView>): RunView =>
  ({
    state: "EXPOSING",
    room: "BLACKOUT",
    lamp: "SWITCHED",
    lampOn: false,
    powerLost: false,
    unwritten: false,
    left: false,
    whiteLight: { safe: true, waitSeconds: 0, says: "White light is safe." },
    resumed: false,
    events: [],
    script: [
      { place: 1, said: ["whole-strip"] },
      { place: 2, said: ["cover-patch", "n1"] },
    ],
    ...part,
  }) as unknown as RunView;

describe("what is said before the next thing", () => {
  it("announces the first exposure like every other", () => {
    expect(announcement(run({ step: 1 }))).toEqual(["whole-strip"]);
    expect(announcement(run({ step: 2 }))).toEqual(["cover-patch", "n1"]);
  });

  it("says who is out that all is safe, and who comes back what comes", () => {
    expect(announcement(run({ step: 2, left: true }))).toEqual(["you-may-leave"]);
    const back = run({ step: 2, events: [{ kind: "CAME_BACK", happenedAt: "" }] });
    expect(announcement(back)).toEqual(["welcome-back", "cover-patch", "n1"]);
  });

  it("says that only the rest is given after an interruption", () => {
    expect(announcement(run({ step: 2, resumed: true }))).toEqual(["the-rest", "cover-patch", "n1"]);
  });

  it("asks for the drum once all light is given, and calls nothing safe before", () => {
    expect(announcement(run({}))).toEqual(["all-light-is-given", "drum-closed"]);
    const closed = run({ events: [{ kind: "DRUM_CLOSED", happenedAt: "" }] });
    expect(announcement(closed)).toEqual(["white-light-is-safe"]);
  });

  it("asks for the box and the setting between two exposures", () => {
    const script = [
      { said: [], setInLight: false, putAwaySaid: [] },
      { said: ["paper-back"], setInLight: true, putAwaySaid: ["box-shut"] },
    ];
    const between = (...kinds: string[]) =>
      announcement(
        run({
          step: 2,
          script: script as unknown as RunView["script"],
          events: kinds.map((kind) => ({ kind, happenedAt: "" })),
        }),
      );
    expect(between()).toEqual(["box-shut"]);
    expect(between("PAPER_BOXED")).toEqual(["white-light-is-safe", "set-as-shown"]);
    expect(between("PAPER_BOXED", "PAPER_TAKEN")).toEqual(["paper-back"]);
  });

  it("asks for the trays in their order", () => {
    const trays = (...kinds: string[]) =>
      announcement(run({ room: "SAFELIGHT", events: kinds.map((kind) => ({ kind, happenedAt: "" })) }));
    expect(trays()).toEqual(["all-light-is-given", "in-developer"]);
    expect(trays("IN_DEVELOPER")).toEqual(["in-stop"]);
    expect(trays("IN_DEVELOPER", "IN_STOP")).toEqual(["in-fixer"]);
  });

  it("says that the power was lost", () => {
    expect(announcement(run({ step: 1, powerLost: true }))).toEqual(["power-was-lost"]);
  });
});
