import { describe, expect, it } from "vitest";
import { RAYS, heaps, onePerPack, placeOf, rayPlace, reachOf } from "./rose";

const pack = (...points: number[]) => ({ notation: points.join("/"), points });
const middle = pack(0, 50, 50);

describe("the rose", () => {
  it("puts more magenta in the beam where the print turns greener", () => {
    expect(placeOf(pack(0, 60, 50), middle)).toEqual({ x: 0, y: -10 });
    expect(RAYS[0].letter).toBe("G");
  });

  it("puts every change of one or two filters on its ray", () => {
    const packs = {
      G: [0, 60, 50],
      C: [0, 60, 60],
      B: [0, 50, 60],
      M: [0, 40, 50],
      R: [0, 40, 40],
      Y: [0, 50, 40],
    };
    RAYS.forEach((ray, i) => {
      const at = placeOf(pack(...packs[ray.letter]), middle);
      expect(at.x).toBeCloseTo(10 * rayPlace(i).x, 6);
      expect(at.y).toBeCloseTo(10 * rayPlace(i).y, 6);
    });
  });

  it("does not see neutral density", () => {
    const at = placeOf(pack(10, 60, 60), middle);
    expect([at.x, at.y]).toEqual([0, 0]);
  });

  it("reaches as far as its sheets lie apart", () => {
    expect(reachOf([])).toBe(10);
    expect(reachOf([{ x: 12, y: 0 }])).toBe(20);
    expect(reachOf([{ x: 0, y: -30 }])).toBe(40);
  });

  it("lays what is near to each other on one heap, the first on top", () => {
    const at = (id: string, x: number, y: number) => ({ id, place: { x, y } });
    const laid = heaps(
      [at("looked", 0, 0), at("late", 0.5, 0), at("near", 0.1, -0.1), at("early", 0.6, 0.1)],
      0.2,
    );
    expect(laid.map((heap) => heap.map((one) => one.id))).toEqual([
      ["looked", "near"],
      ["late", "early"],
    ]);
    expect(heaps([], 1)).toEqual([]);
  });

  it("shows one sheet for each pack, and none under the one that is looked at", () => {
    const sheet = (id: string, light: ReturnType<typeof pack>) => ({ id, light });
    const sheets = [
      sheet("strip", middle),
      sheet("first", pack(0, 60, 50)),
      sheet("second", pack(0, 60, 50)),
      sheet("print", middle),
    ];
    const looked = sheets[3] ?? sheet("none", middle);
    expect(onePerPack(sheets, looked).map((s) => s.id)).toEqual(["second"]);
  });
});
