import { expect, test } from "vitest";
import { ago, day, megabytes } from "./words";

const NOW = Date.parse("2026-03-04T12:00:00Z");

test.each([
  ["2026-03-04T11:59:30Z", "was just made"],
  ["2026-03-04T12:00:30Z", "was just made"],
  ["2026-03-04T11:57:00Z", "is 3 min old"],
  ["2026-03-04T07:00:00Z", "is 5 h old"],
  ["2026-03-02T13:00:00Z", "is 47 h old"],
  ["2026-03-01T11:00:00Z", "is 3 days old"],
])("a copy of %s %s", (at, words) => {
  expect(ago(at, NOW)).toBe(words);
});

test("a moment is said by the clock on the wall", () => {
  expect(day(new Date(2026, 2, 4, 9, 5).toISOString())).toBe("2026-03-04 09:05");
});

test("sizes are in megabytes", () => {
  expect(megabytes(12_345_678)).toBe("12.3 MB");
  expect(megabytes(840_000_000)).toBe("840 MB");
});
