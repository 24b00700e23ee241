import { expect, it } from "vitest";
import { coloursAlike, sayColoursAlike } from "./vision";

it("marks the page and is kept", () => {
  sayColoursAlike(true);
  expect(coloursAlike()).toBe(true);
  expect(document.documentElement.dataset.vision).toBe("patterns");
  expect(window.localStorage.getItem("key-slate.colours-alike")).toBe("yes");
  sayColoursAlike(false);
  expect(document.documentElement.dataset.vision).toBeUndefined();
});
