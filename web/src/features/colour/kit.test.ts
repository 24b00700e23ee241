import { beforeEach, expect, it } from "vitest";
import { FACTORS, keepKit, knownKit, strengthsOf } from "./kit";

beforeEach(() => window.localStorage.clear());

it("asks for the viewing kit once", () => {
  expect(knownKit()).toBeUndefined();
  keepKit({ says: "CORRECTION", strengths: [2.5, 5, 10] });
  expect(knownKit()).toEqual({ says: "CORRECTION", strengths: [2.5, 5, 10] });
});

it("begins with a printed correction as it is, and with half of a bare strength", () => {
  expect(FACTORS).toEqual({ STRENGTH: 0.5, CORRECTION: 1 });
});

it("knows a kit that was kept before its strengths were asked", () => {
  window.localStorage.setItem("key-slate.viewing-kit", "STRENGTH");
  expect(knownKit()).toEqual({ says: "STRENGTH", strengths: [5, 10, 20] });
});

it.each(["other", "{}", '{"says":"STRENGTH","strengths":["much"]}', '{"says":"STRENGTH","strengths":[]}'])(
  "knows nothing of a kit that is none: %s",
  (kept) => {
    window.localStorage.setItem("key-slate.viewing-kit", kept);
    expect(knownKit()).toBeUndefined();
  },
);

it("reads strengths in any order, and refuses what no filter has", () => {
  expect(strengthsOf("20, 5; 10 5")).toEqual([5, 10, 20]);
  expect(strengthsOf("2.5")).toEqual([2.5]);
  for (const wrong of ["", "0", "70", "five", "1,2,3,4,5,6,7,8,9"])
    expect(strengthsOf(wrong)).toBeUndefined();
});
