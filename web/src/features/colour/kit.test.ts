import { beforeEach, expect, it } from "vitest";
import { FACTORS, keepKit, knownKit } from "./kit";

beforeEach(() => window.localStorage.clear());

it("asks for the viewing kit once", () => {
  expect(knownKit()).toBeUndefined();
  keepKit("CORRECTION");
  expect(knownKit()).toBe("CORRECTION");
});

it("begins with a printed correction as it is, and with half of a bare strength", () => {
  expect(FACTORS).toEqual({ STRENGTH: 0.5, CORRECTION: 1 });
});

it("knows nothing of a kit that is none", () => {
  window.localStorage.setItem("key-slate.viewing-kit", "other");
  expect(knownKit()).toBeUndefined();
});
