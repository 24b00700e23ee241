import type { CSSProperties } from "react";
import { type SheetView, sheetPicture } from "../../shared/api/client";
import { HandIn } from "../../shared/scan/HandIn";

/** Two sheets at the same scale, side by side, with what changed between them. */
export function SideBySide(props: {
  slateId: string;
  before: SheetView | undefined;
  print: SheetView;
  acceptedId: string | undefined;
  onTake: (sheet: SheetView) => void;
}) {
  const { before, print } = props;
  const strips = before !== undefined && before.patches.length > 0;
  return (
    <div className="side-by-side">
      {before && (
        <Half
          slateId={props.slateId}
          sheet={before}
          taken={props.acceptedId === before.id}
          onTake={strips ? undefined : props.onTake}
          scale={strips ? before.view.height / print.view.height : 1}
          across={strips ? before.view.width / print.view.width : 1}
        />
      )}
      <Half
        slateId={props.slateId}
        sheet={print}
        taken={props.acceptedId === print.id}
        onTake={props.onTake}
        scale={1}
        across={1}
        changed={before ? print.changes : []}
      />
    </div>
  );
}

function Half(props: {
  slateId: string;
  sheet: SheetView;
  scale: number;
  across: number;
  changed?: readonly string[];
  taken: boolean;
  onTake: ((sheet: SheetView) => void) | undefined;
}) {
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
        {props.onTake && !props.taken && (
          <button type="button" className="link" onClick={() => props.onTake?.(sheet)}>
            Take this one
          </button>
        )}
        {props.taken && <span>taken</span>}
        <HandIn slateId={props.slateId} sheet={sheet} />
        {props.changed && props.changed.length > 0 && (
          <span className="changed">{props.changed.join(", ")}</span>
        )}
      </figcaption>
    </figure>
  );
}
