import type { Schemas } from "../../shared/api/client";

type Patch = Pick<Schemas["PatchView"], "number" | "sector" | "name">;

/** A point on a disc of radius 50 about 50, 50, so many degrees clockwise from the top. */
export function onDisc(degrees: number, radius: number): { x: number; y: number } {
  const turn = (degrees * Math.PI) / 180;
  return { x: 50 + radius * Math.sin(turn), y: 50 - radius * Math.cos(turn) };
}

/** The sectors of a wedge with their labels, drawn over the disc; nothing for other tests. */
export function Sectors(props: { patches: readonly Patch[] }) {
  const sectors = props.patches.flatMap((p) => (p.sector ? [{ ...p, sector: p.sector }] : []));
  if (sectors.length === 0) return null;
  return (
    <svg className="sectors" viewBox="0 0 100 100" aria-hidden="true">
      <circle cx={50} cy={50} r={49.6} />
      {sectors.map((p) => {
        const edge = onDisc(p.sector.fromDegrees, 49.6);
        const label = onDisc((p.sector.fromDegrees + p.sector.toDegrees) / 2, 40);
        return (
          <g key={p.number}>
            <line x1={50} y1={50} x2={edge.x} y2={edge.y} />
            <text x={label.x} y={label.y}>
              {p.name.replace(/,.*/, "")}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
