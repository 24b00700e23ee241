import { existsSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { RunView } from "../api/client";
import { ASKED, SAID, vocabulary } from "./words";

const listed = readFileSync("voice/words.tsv", "utf8")
  .trim()
  .split("\n")
  .map((line) => line.split("\t")[0] ?? "");

describe("the words of a run", () => {
  it("are all on the list and recorded", () => {
    for (const clip of [...Object.values(SAID), ...Object.values(ASKED)]) {
      expect(listed).toContain(clip);
      expect(existsSync(`public/voice/${clip}.mp3`)).toBe(true);
    }
  });

  it("are fetched before the dark, each once", () => {
    const script = [
      { said: ["cover-patch", "n1"], putAwaySaid: [] },
      { said: ["cover-patches-one-to", "n2"], putAwaySaid: [] },
      { said: ["cover-patch", "n1"], putAwaySaid: [] },
    ] as unknown as RunView["script"];
    const all = vocabulary(script);
    expect(all).toContain("n2");
    expect(all).toContain("drum-closed");
    expect(new Set(all).size).toBe(all.length);
  });
});
