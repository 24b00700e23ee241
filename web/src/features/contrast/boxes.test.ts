import { describe, expect, it } from "vitest";
import type { Stores } from "../../shared/api/stores";
import { gradesOf } from "./OtherBoxes";

type Box = Stores["papers"][number];

function box(id: string, name: string, grade: number | undefined, sheetsLeft: number): Box {
  return { id, name, sheetsLeft, ...(grade !== undefined && { grade }) } as Box;
}

describe("boxes of a graded paper", () => {
  const papers = [
    box("b3", "Clay", 3, 20),
    box("b2", "Clay", 2, 5),
    box("b2full", "Clay", 2, 90),
    box("b3old", "Clay", 3, 1),
    box("other", "Slate", 4, 9),
    box("vc", "Clay", undefined, 9),
  ];

  it("stand softest first, the one in use among them and of others the fullest", () => {
    expect(gradesOf(papers, "b2").map((p) => p.id)).toEqual(["b2", "b3"]);
    expect(gradesOf(papers, "b3old").map((p) => p.id)).toEqual(["b2full", "b3old"]);
  });

  it("are none where filters make the contrast", () => {
    expect(gradesOf(papers, "vc")).toEqual([]);
    expect(gradesOf(papers, "gone")).toEqual([]);
  });
});
