import { expect, test } from "vitest";
import { notedIn } from "./noted";

test("what was noted in a run is said once each, and nothing where nothing was", () => {
  expect(notedIn({ events: [] })).toBeUndefined();
  expect(notedIn({ events: [{ kind: "IN_FIXER" }] })).toBeUndefined();
  expect(notedIn({ events: [{ kind: "SLIP" }, { kind: "SLIP" }, { kind: "AGAIN" }] })).toBe(
    "Noted in the run: a slip, to be made again.",
  );
});
