import { describe, expect, it } from "vitest";
import { besides, lookOf } from "./casts";

describe("a look", () => {
  it("is none until hue and strength are chosen", () => {
    expect(lookOf("VIEWING_FILTER", {})).toBeUndefined();
    expect(lookOf("VIEWING_FILTER", { hue: "G" })).toBeUndefined();
    expect(lookOf("BY_NAME", { step: "clear" })).toBeUndefined();
  });

  it("is empty where the grey is neutral", () => {
    expect(lookOf("VIEWING_FILTER", { neutral: true, hue: "G", step: "10" })).toEqual({});
  });

  it("is one filter, or two on each other", () => {
    const first = { hue: "G", points: 20, enough: false };
    expect(lookOf("VIEWING_FILTER", { hue: "G", step: "more" })).toEqual({ filters: [first] });
    expect(lookOf("VIEWING_FILTER", { hue: "G", step: "more", second: "C", secondStep: "7.5" })).toEqual({
      filters: [first, { hue: "C", points: 7.5, enough: true }],
    });
  });

  it("is a name, or lies between two strengths or two hues", () => {
    expect(lookOf("BY_NAME", { hue: "R", step: "clear" })).toEqual({
      named: [{ hue: "R", strength: "CLEAR" }],
    });
    expect(lookOf("BY_NAME", { hue: "R", step: "slight-clear" })).toEqual({
      named: [
        { hue: "R", strength: "SLIGHT" },
        { hue: "R", strength: "CLEAR" },
      ],
    });
    expect(lookOf("BY_NAME", { hue: "R", step: "slight-clear", second: "Y" })).toEqual({
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
