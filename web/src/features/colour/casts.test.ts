import { describe, expect, it } from "vitest";
import { besides, filterSteps, lookOf, picked, stronger, walked, walkedPiece } from "./casts";

const KIT = filterSteps([5, 10, 20]);

describe("the steps of a kit", () => {
  it("are its strengths, what lies between two, and less and more than there is", () => {
    expect(KIT.map((s) => s.label)).toEqual(["< 5", "5", "5–10", "10", "10–20", "20", "> 20"]);
    expect(KIT.map((s) => s.points)).toEqual([2.5, 5, 7.5, 10, 15, 20, 20]);
    expect(KIT.map((s) => s.enough)).toEqual([true, true, true, true, true, true, false]);
    expect(filterSteps([10]).map((s) => s.label)).toEqual(["< 10", "10", "> 10"]);
  });
});

describe("a look", () => {
  it("is none until hue and strength are chosen", () => {
    expect(lookOf("VIEWING_FILTER", {}, KIT)).toBeUndefined();
    expect(lookOf("VIEWING_FILTER", { hue: "G" }, KIT)).toBeUndefined();
    expect(lookOf("BY_NAME", { step: "clear" }, KIT)).toBeUndefined();
  });

  it("is empty where the grey is neutral", () => {
    expect(lookOf("VIEWING_FILTER", { neutral: true, hue: "G", step: "10" }, KIT)).toEqual({});
  });

  it("is one filter, or two on each other", () => {
    const first = { hue: "G", points: 20, enough: false };
    expect(lookOf("VIEWING_FILTER", { hue: "G", step: "more" }, KIT)).toEqual({ filters: [first] });
    expect(lookOf("VIEWING_FILTER", { hue: "G", step: "more", second: "C", secondStep: "7.5" }, KIT)).toEqual(
      {
        filters: [first, { hue: "C", points: 7.5, enough: true }],
      },
    );
  });

  it("is a name, or lies between two strengths or two hues", () => {
    expect(lookOf("BY_NAME", { hue: "R", step: "clear" }, KIT)).toEqual({
      named: [{ hue: "R", strength: "CLEAR" }],
    });
    expect(lookOf("BY_NAME", { hue: "R", step: "slight-clear" }, KIT)).toEqual({
      named: [
        { hue: "R", strength: "SLIGHT" },
        { hue: "R", strength: "CLEAR" },
      ],
    });
    expect(lookOf("BY_NAME", { hue: "R", step: "slight-clear", second: "Y" }, KIT)).toEqual({
      named: [
        { hue: "R", strength: "SLIGHT" },
        { hue: "Y", strength: "SLIGHT" },
      ],
    });
  });
});

describe("hues beside one", () => {
  it("are those it is mixed with", () => {
    expect(besides("R")).toEqual(["M", "Y"]);
    expect(besides("C")).toEqual(["G", "B"]);
  });
});

describe("keys on the rose", () => {
  it("walk clockwise from the top and come round again", () => {
    let chosen = walked("VIEWING_FILTER", { step: "10" }, 1);
    expect(chosen).toEqual({ hue: "G", step: "10" });
    const seen = [chosen.hue];
    for (let i = 0; i < 6; i++) {
      chosen = walked("VIEWING_FILTER", chosen, 1);
      seen.push(chosen.hue);
    }
    expect(seen).toEqual(["G", "C", "B", "M", "R", "Y", "G"]);
    expect(walked("VIEWING_FILTER", chosen, -1).hue).toBe("Y");
  });

  it("begin at the same place of the rose where the cast is named", () => {
    expect(walked("BY_NAME", { neutral: true }, -1)).toEqual({ hue: "M" });
  });

  it("make a look stronger and weaker, and stop at the ends", () => {
    const weakest = stronger("BY_NAME", { hue: "R" }, 1, KIT);
    expect(weakest).toEqual({ hue: "R", neutral: false, step: "slight" });
    expect(stronger("BY_NAME", weakest, -1, KIT).step).toBe("slight");
    expect(stronger("BY_NAME", { hue: "R", step: "strong" }, 1, KIT).step).toBe("strong");
    expect(stronger("VIEWING_FILTER", { hue: "R", step: "10" }, 1, KIT).step).toBe("15");
  });
});

describe("pieces", () => {
  it("are picked and left out again, three at most", () => {
    expect(picked([], 4)).toEqual([4]);
    expect(picked([4, 2], 4)).toEqual([2]);
    expect(picked([1, 2, 3], 4)).toEqual([2, 3, 4]);
  });

  it("are walked one by one", () => {
    expect(walkedPiece([], 7, 1)).toEqual([1]);
    expect(walkedPiece([], 7, -1)).toEqual([7]);
    expect(walkedPiece([7], 7, 1)).toEqual([1]);
    expect(walkedPiece([1, 3], 7, -1)).toEqual([2]);
  });

  it("are a look once one is picked", () => {
    expect(lookOf("PIECES", { picks: [] }, KIT)).toBeUndefined();
    expect(lookOf("PIECES", { picks: [3, 4] }, KIT)).toEqual({ pieces: [3, 4] });
    expect(lookOf("PICTURE", { spot: { x: 0.2, y: 0.3 } }, KIT)).toEqual({ spot: { x: 0.2, y: 0.3 } });
  });
});
