import { describe, expect, it } from "vitest";
import type { SlateView } from "./client";
import { merged, newer } from "./slate";

const slate = (version: number, more: object = {}) =>
  ({ version, id: "s", sheets: [{ id: "t" }], ...more }) as unknown as SlateView;

describe("what the page knows of a slate", () => {
  it("is never overwritten by an older answer that was slow", () => {
    expect(newer(slate(5), slate(4)).version).toBe(5);
    expect(newer(slate(4), slate(5)).version).toBe(5);
    expect(newer(undefined, slate(1)).version).toBe(1);
  });

  it("keeps its sheets through an edit, and forgets what the edit took away", () => {
    const now = slate(4, { undoLabel: "border", acceptedSheetId: "t" });
    const after = merged(now, { version: 5 } as never);
    expect(after.version).toBe(5);
    expect(after.sheets).toHaveLength(1);
    expect(after.undoLabel).toBeUndefined();
    expect(after.acceptedSheetId).toBeUndefined();
  });

  it("is whole after an answer that is whole", () => {
    const whole = merged(undefined, { id: "s", frame: {}, sheets: [], standing: { version: 7 } } as never);
    expect(whole.version).toBe(7);
    expect(whole.sheets).toHaveLength(0);
  });
});
