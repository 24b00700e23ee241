import type { CSSProperties, ReactNode } from "react";

/** A print lying on the stage, as large as fits, with its white border; what is drawn on it comes as children. */
export function Print(props: {
  source: string | undefined;
  alt: string;
  aspect: number;
  children?: ReactNode;
  className?: string;
}) {
  const style = { "--aspect": props.aspect } as CSSProperties;
  return (
    <div className={`print stage-print ${props.className ?? ""}`} style={style}>
      {props.source ? (
        <img src={props.source} alt={props.alt} draggable={false} />
      ) : (
        <span className="blank-sheet" role="img" aria-label={`${props.alt}: no scan`}>
          no scan of this frame
        </span>
      )}
      {props.children}
    </div>
  );
}
