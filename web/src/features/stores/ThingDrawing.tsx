import type { Drawing } from "./shelves";

/** A thing as it stands on the shelf, in lines; how full a box is can be seen. */
export function ThingDrawing(props: { drawing: Drawing; full?: number | undefined }) {
  return (
    <svg
      className="thing-drawing"
      viewBox="18 0 104 78"
      preserveAspectRatio="xMinYMax meet"
      aria-hidden="true"
    >
      {DRAWN[props.drawing](props.full)}
    </svg>
  );
}

const DRAWN: Record<Drawing, (full?: number) => React.ReactNode> = {
  enlarger: () => (
    <>
      <path d="M28 4v72M28 14h22M50 10q16-10 32 0v18H50zM54 28l5 18h14l5-18M59 46h14v8H59zM61 54v6h10v-6" />
      <path className="dotted" d="M61 60 44 76h44L71 60" />
    </>
  ),
  lens: () => <path d="M24 26h40v12H24zM28 38h32v30H28zM20 68h48v8H20zM36 44v18M44 44v18M52 44v18" />,
  paper: (full = 1) => (
    <>
      <path d="M20 30h80v46H20z" />
      {Array.from({ length: Math.max(0, Math.round(8 * full)) }, (_, i) => (
        <path key={i} d={`M28 ${String(70 - 4 * i)}h64`} />
      ))}
    </>
  ),
  bath: () => <path d="M16 26h88M20 26l10 44h60l10-44M27 40h66" />,
  easel: () => <path d="M18 18h84v48H18zM30 18v48M18 28h84M90 28v38M30 58h60" />,
  carrier: () => <path d="M16 34h88v14H16zM42 34v14M78 34v14M104 38h12" />,
  filters: () => <path d="M24 14h44v36H24zM34 22h44v36H34zM44 30h44v36H44z" />,
  drum: () => (
    <>
      <ellipse cx="30" cy="42" rx="10" ry="22" />
      <path d="M30 20h58M30 64h58M88 20q12 0 12 22t-12 22M12 42h8" />
    </>
  ),
  room: () => <path d="M22 20h80v54H22zM62 74V34h24v40M80 54v4M30 30h22v14H30zM30 37h22M41 30v14" />,
  screen: () => <path d="M24 18h72v44H24zM30 24h60v32H30zM52 62v10M68 62v10M42 72h36" />,
  light: () => <path d="M60 6v14M42 20h36l10 24H32zM48 52v10M60 50v18M72 52v10" />,
};
