import type { ReactNode } from "react";
import { type Crop, type Point, type Shape, toPrint } from "./geometry";

/** The outline of an area in the units of the printed picture. */
export function AreaOutline(props: { shape: Shape; crop: Crop; widthMm: number; heightMm: number }) {
  const at = (p: Point) => {
    const q = toPrint(p, props.crop);
    return { x: q.x * props.widthMm, y: q.y * props.heightMm };
  };
  const [first, second] = props.shape.points;
  if (!first || !second) return null;
  if (props.shape.kind === "ellipse") {
    const centre = at(first);
    const shape = {
      cx: centre.x,
      cy: centre.y,
      rx: (second.x / props.crop.width) * props.widthMm,
      ry: (second.y / props.crop.height) * props.heightMm,
    };
    return <Twice draw={(name) => <ellipse className={name} {...shape} />} />;
  }
  if (props.shape.kind === "edge") return <EdgeLine from={at(first)} to={at(second)} width={props.widthMm} />;
  const path = props.shape.points
    .map(at)
    .map((p) => `${p.x.toFixed(2)},${p.y.toFixed(2)}`)
    .join(" ");
  return <Twice draw={(name) => <polygon className={name} points={path} />} />;
}

/** Drawn dark, then chalk over it, so that it shows on white and on black. */
function Twice(props: { draw: (name: string) => ReactNode }) {
  return (
    <>
      {props.draw("under")}
      {props.draw("over")}
    </>
  );
}

/** A card's edge with a mark on the side that it lets the light through to (or holds back). */
function EdgeLine(props: { from: Point; to: Point; width: number }) {
  const { from, to } = props;
  const length = Math.max(1e-6, Math.hypot(to.x - from.x, to.y - from.y));
  const ux = (to.x - from.x) / length;
  const uy = (to.y - from.y) / length;
  const long = 3 * props.width;
  const line = `M ${String(from.x - ux * long)} ${String(from.y - uy * long)} L ${String(to.x + ux * long)} ${String(to.y + uy * long)}`;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const reach = 0.045 * props.width;
  const tip = { x: middle.x + uy * reach, y: middle.y - ux * reach };
  const half = 0.4 * reach;
  const arrow = `M ${String(middle.x - ux * half)} ${String(middle.y - uy * half)} L ${String(tip.x)} ${String(tip.y)} L ${String(middle.x + ux * half)} ${String(middle.y + uy * half)}`;
  return (
    <Twice
      draw={(name) => (
        <>
          <path className={name} d={line} />
          <path className={name} d={arrow} />
        </>
      )}
    />
  );
}
