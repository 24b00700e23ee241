import { describe, expect, it, vi } from "vitest";
import { DraftPicture } from "./draft";

/** Lets a test answer each question when it likes. */
function world() {
  const asked: { path: string; body: { base?: { seconds: number } }; answer: (ok: boolean) => void }[] = [];
  const forget = vi.fn();
  let made = 0;
  const draft = new DraftPicture({
    fetch: (path, body) =>
      new Promise((resolve) => {
        asked.push({
          path,
          body: JSON.parse(body) as object,
          answer: (ok) => resolve(ok ? new Blob() : undefined),
        });
      }),
    decode: () => Promise.resolve(`picture ${String(++made)}`),
    forget,
  });
  return { asked, draft, forget };
}

const slate = { id: "a", version: 3 };
const settled = () => new Promise((resolve) => setTimeout(resolve));

describe("the picture of what is dragged", () => {
  it("is asked for one at a time, and only the newest of what waits", async () => {
    const { asked, draft } = world();
    for (const seconds of [1, 2, 3, 4]) draft.offer(slate, { base: { seconds } });
    expect(asked).toHaveLength(1);
    expect(asked[0]?.path).toContain("/api/slates/a/previews?local=true&side=480");
    asked[0]?.answer(true);
    await settled();
    expect(draft.of("a")).toBe("picture 1");
    expect(asked.map((a) => a.body.base?.seconds)).toEqual([1, 4]);
  });

  it("belongs to its slate and gives way to what stands", async () => {
    const { asked, draft, forget } = world();
    const told = vi.fn();
    draft.subscribe(told);
    draft.offer(slate, {});
    asked[0]?.answer(true);
    await settled();
    expect(draft.of("b")).toBeUndefined();
    draft.end();
    expect(draft.of("a")).toBeUndefined();
    expect(forget).toHaveBeenCalledWith("picture 1");
    expect(told).toHaveBeenCalledTimes(2);
  });

  it("does not show what comes after the end", async () => {
    const { asked, draft, forget } = world();
    draft.offer(slate, {});
    draft.end();
    asked[0]?.answer(true);
    await settled();
    expect(draft.of("a")).toBeUndefined();
    expect(forget).toHaveBeenCalledWith("picture 1");
  });

  it("goes on after a refusal", async () => {
    const { asked, draft } = world();
    draft.offer(slate, { base: { seconds: 1 } });
    draft.offer(slate, { base: { seconds: 2 } });
    asked[0]?.answer(false);
    await settled();
    asked[1]?.answer(true);
    await settled();
    expect(draft.of("a")).toBe("picture 1");
  });
});
