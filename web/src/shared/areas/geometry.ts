import type { AreaView, SlateView } from "../../shared/api/client";

export type Shape = AreaView["shape"];
export type Point = Shape["points"][number];
export type Crop = SlateView["setup"]["crop"];
export type ShapeTool = "ellipse" | "lasso" | "edge";

const FINEST = 0.012;
const MOST_POINTS = 120;

/** From a place on the printed picture (0 to 1) to a place on the frame. */
export function toFrame(point: Point, crop: Crop): Point {
  return { x: crop.left + point.x * crop.width, y: crop.top + point.y * crop.height };
}

/** From a place on the frame to a place on the printed picture. */
export function toPrint(point: Point, crop: Crop): Point {
  return { x: (point.x - crop.left) / crop.width, y: (point.y - crop.top) / crop.height };
}

const clamp = (value: number) => Math.max(-0.95, Math.min(1.95, value));

/** The shape moved by a part of the frame. */
export function moved(shape: Shape, dx: number, dy: number): Shape {
  const shift = (p: Point) => ({ x: clamp(p.x + dx), y: clamp(p.y + dy) });
  if (shape.kind === "ellipse") {
    return { ...shape, points: shape.points.map((p, i) => (i === 0 ? shift(p) : p)) };
  }
  return { ...shape, points: shape.points.map(shift) };
}

/** The shape larger or smaller about its own middle. */
export function scaled(shape: Shape, factor: number): Shape {
  const [first, second] = shape.points;
  if (shape.kind === "ellipse" && first && second) {
    const size = (r: number) => Math.max(0.01, Math.min(1.5, r * factor));
    return { ...shape, points: [first, { x: size(second.x), y: size(second.y) }] };
  }
  const n = shape.points.length;
  const cx = shape.points.reduce((sum, p) => sum + p.x, 0) / n;
  const cy = shape.points.reduce((sum, p) => sum + p.y, 0) / n;
  const grow = (p: Point) => ({ x: clamp(cx + (p.x - cx) * factor), y: clamp(cy + (p.y - cy) * factor) });
  return { ...shape, points: shape.points.map(grow) };
}

/** The shape with one of its handles somewhere else: an ellipse's rims, an edge's ends. */
export function withHandle(shape: Shape, handle: number, to: Point): Shape {
  const [centre, radii] = shape.points;
  if (shape.kind === "ellipse" && centre && radii) {
    const r =
      handle === 0
        ? { x: Math.max(0.01, Math.abs(to.x - centre.x)), y: radii.y }
        : { x: radii.x, y: Math.max(0.01, Math.abs(to.y - centre.y)) };
    return { ...shape, points: [centre, r] };
  }
  return { ...shape, points: shape.points.map((p, i) => (i === handle ? to : p)) };
}

/** Where the handles of a shape are. */
export function handles(shape: Shape): Point[] {
  const [first, second] = shape.points;
  if (!first || !second) return [];
  if (shape.kind === "ellipse") {
    return [
      { x: first.x + second.x, y: first.y },
      { x: first.x, y: first.y + second.y },
    ];
  }
  return shape.kind === "edge" ? [first, second] : [];
}

/** What a drag with a tool has drawn so far; nothing while it is too small to mean anything. */
export function drawn(tool: ShapeTool, path: readonly Point[]): Shape | undefined {
  const first = path[0];
  const last = path.at(-1);
  if (!first || !last) return undefined;
  const far = Math.hypot(last.x - first.x, last.y - first.y);
  if (tool === "ellipse") {
    const r = { x: Math.abs(last.x - first.x) / 2, y: Math.abs(last.y - first.y) / 2 };
    if (r.x < FINEST || r.y < FINEST) return undefined;
    return { kind: "ellipse", points: [{ x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 }, r] };
  }
  if (tool === "edge") return far < 0.03 ? undefined : { kind: "edge", points: [first, last] };
  const points = thinned(path);
  return points.length < 4 ? undefined : { kind: "lasso", points };
}

/** Points that lie apart, few enough for the plan. */
function thinned(path: readonly Point[]): Point[] {
  const kept: Point[] = [];
  for (const p of path) {
    const last = kept.at(-1);
    if (!last || Math.hypot(p.x - last.x, p.y - last.y) >= FINEST) kept.push(p);
  }
  const step = Math.ceil(kept.length / MOST_POINTS);
  return step > 1 ? kept.filter((_, i) => i % step === 0) : kept;
}

/** A shape to start from without a mouse, in the middle of what prints. */
export function startingShape(tool: ShapeTool, crop: Crop): Shape {
  const at = (x: number, y: number) => toFrame({ x, y }, crop);
  if (tool === "ellipse") {
    return { kind: "ellipse", points: [at(0.5, 0.5), { x: 0.12 * crop.width, y: 0.12 * crop.height }] };
  }
  if (tool === "edge") return { kind: "edge", points: [at(0, 0.4), at(1, 0.4)] };
  const turn = [0, 1, 2, 3, 4, 5, 6, 7].map((i) => (i * Math.PI) / 4);
  return { kind: "lasso", points: turn.map((a) => at(0.5 + 0.14 * Math.cos(a), 0.5 + 0.14 * Math.sin(a))) };
}
