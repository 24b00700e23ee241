import { expect, test } from "vitest";
import { saysOf } from "./screen";

test("safe is said only after a coin test, and for as long as it lasted", () => {
  expect(saysOf({ kind: "" })).not.toContain("safe");
  expect(saysOf({ kind: "BACKLIT" })).toContain("covered");
  expect(saysOf({ kind: "OWN_LIGHT" })).toContain("not tested");
  expect(saysOf({ kind: "OWN_LIGHT", coinMinutes: 8 })).toContain("safe here for 8 minutes");
});
