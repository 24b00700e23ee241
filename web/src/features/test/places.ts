import type { Schemas, SheetView } from "../../shared/api/client";

type Patch = Schemas["PatchView"];
export interface Point {
  x: number;
  y: number;
}

/** How near the line to its neighbour a tap means between the two, as a share of a patch. */
const BETWEEN = 0.18;

/** Where a patch lies: the middle of its rectangle, or of its sector two thirds out. Fractions of the picture. */
export function middleOf(patch: Patch): Point {
  const { left, top, width, height } = patch.place;
  if (!patch.sector) return { x: left + width / 2, y: top + height / 2 };
  const turn = ((patch.sector.fromDegrees + patch.sector.toDegrees) / 2) * (Math.PI / 180);
  return {
    x: left + width * (0.5 + 0.32 * Math.sin(turn)),
    y: top + height * (0.5 - 0.32 * Math.cos(turn)),
  };
}

/** Where a mark stands, which may lie between two patches; nothing where there is none of that number. */
export function placeOfMark(sheet: SheetView, at: number): Point | undefined {
  const low = sheet.patches[Math.floor(at)];
  const high = sheet.patches[Math.ceil(at)];
  if (!low || !high) return undefined;
  const a = middleOf(low);
  const b = middleOf(high);
  return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
}

/** Degrees clockwise from the top of the disc that a patch's place is. */
function turnOf(patch: Patch, point: Point): number {
  const x = (point.x - patch.place.left) / patch.place.width - 0.5;
  const y = (point.y - patch.place.top) / patch.place.height - 0.5;
  return ((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360;
}

function holds(patch: Patch, point: Point): boolean {
  if (patch.sector) {
    const turn = turnOf(patch, point);
    return turn >= patch.sector.fromDegrees && turn < patch.sector.toDegrees;
  }
  const { left, top, width, height } = patch.place;
  return point.x >= left && point.x < left + width && point.y >= top && point.y < top + height;
}

/** How far a place is from the edge it shares with a neighbour, as a share of the patch; nothing where they share none. */
function fromEdge(patch: Patch, next: Patch, point: Point): number | undefined {
  if (patch.sector && next.sector) {
    const size = patch.sector.toDegrees - patch.sector.fromDegrees;
    const turn = turnOf(patch, point);
    if (next.sector.fromDegrees % 360 === patch.sector.toDegrees % 360)
      return (patch.sector.toDegrees - turn) / size;
    if (next.sector.toDegrees % 360 === patch.sector.fromDegrees % 360)
      return (turn - patch.sector.fromDegrees) / size;
    return undefined;
  }
  const a = patch.place;
  const b = next.place;
  const near = (one: number, other: number) => Math.abs(one - other) < 1e-3;
  if (near(a.top, b.top) && near(a.left + a.width, b.left)) return (b.left - point.x) / a.width;
  if (near(a.top, b.top) && near(b.left + b.width, a.left)) return (point.x - a.left) / a.width;
  if (near(a.left, b.left) && near(a.top + a.height, b.top)) return (b.top - point.y) / a.height;
  if (near(a.left, b.left) && near(b.top + b.height, a.top)) return (point.y - a.top) / a.height;
  return undefined;
}

/** A tap on the picture to a place in patches: near the line to its neighbour it means between the two. */
export function placeOfTap(sheet: SheetView, x: number, y: number): number | undefined {
  const point = { x: Math.min(0.9999, Math.max(0, x)), y: Math.min(0.9999, Math.max(0, y)) };
  const at = sheet.patches.findIndex((p) => holds(p, point));
  const patch = sheet.patches[at];
  if (!patch) return undefined;
  for (const side of [-1, 1]) {
    const next = sheet.patches[at + side];
    const far = next && fromEdge(patch, next, point);
    if (far !== undefined && far < BETWEEN) return at + side / 2;
  }
  return at;
}
