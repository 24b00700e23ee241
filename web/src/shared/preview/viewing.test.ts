import { expect, it } from "vitest";
import { USUAL, lookIn, viewing, viewingQuery } from "./viewing";

it("says nothing of the usual way, and both of another", () => {
  expect(viewingQuery(USUAL)).toEqual({});
  expect(viewingQuery({ kelvin: 2700, wet: true })).toEqual({ kelvin: "2700", wet: "true" });
});

it("keeps what was chosen for the next page", () => {
  lookIn({ kelvin: 3000 });
  lookIn({ wet: true });
  expect(viewing()).toEqual({ kelvin: 3000, wet: true });
  expect(window.localStorage.getItem("key-slate.viewing")).toBe('{"kelvin":3000,"wet":true}');
  lookIn(USUAL);
});
