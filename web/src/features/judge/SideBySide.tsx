import type { CSSProperties } from "react";
import { type SheetView, sheetPicture } from "../../shared/api/client";

/** Two sheets at the same scale, side by side, with what changed between them. */
export function SideBySide(props: { before: SheetView | undefined; print: SheetView }) {
  const { before, print } = props;
  const strips = before !== undefined && before.patches.length > 0;
  return (
    <div className="side-by-side">
      {before && (
        <Half
          sheet={before}
          scale={strips ? before.view.height / print.view.height : 1}
          across={strips ? before.view.width / print.view.width : 1}
        />
      )}
      <Half sheet={print} scale={1} across={1} changed={before ? print.changes : []} />
    </div>
  );
}

function Half(props: { sheet: SheetView; scale: number; across: number; changed?: readonly string[] }) {
  const { sheet } = props;
  const source = sheetPicture(sheet);
  const style = { "--aspect": sheet.aspect, "--across": props.across } as CSSProperties;
  return (
    <figure>
      <div className="print half" style={style}>
        {source !== undefined ? (
          <img src={source} alt={`${sheet.label}, as it came out`} />
        ) : (
          <span className="blank-sheet">no scan</span>
        )}
      </div>
      <figcaption>
        <strong>{sheet.label}</strong>
        <span>{sheet.summary}</span>
        {props.changed && props.changed.length > 0 && (
          <span className="changed">{props.changed.join(", ")}</span>
        )}
      </figcaption>
    </figure>
  );
}
