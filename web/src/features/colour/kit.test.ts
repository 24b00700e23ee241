import { expect, it } from "vitest";
import { FACTORS, strengthsOf } from "./kit";

it("begins with a printed correction as it is, and with half of a bare strength", () => {
  expect(FACTORS).toEqual({ STRENGTH: 0.5, CORRECTION: 1 });
});

it("reads strengths in any order, and refuses what no filter has", () => {
  expect(strengthsOf("20, 5; 10 5")).toEqual([5, 10, 20]);
  expect(strengthsOf("2.5")).toEqual([2.5]);
  for (const wrong of ["", "0", "70", "five", "1,2,3,4,5,6,7,8,9"])
    expect(strengthsOf(wrong)).toBeUndefined();
});
