import { type CSSProperties, type ReactNode, useState } from "react";
import type { Schemas } from "../api/client";

/** How often a preview is asked for again when a newer one of the same slate, from another window, took its turn. */
const MOST_TRIES = 5;

/** A print lying on the stage, as large as fits, with its white border; what is drawn on it comes as children. */
export function Print(props: {
  source: string | undefined;
  alt: string;
  aspect: number;
  /** The part of the picture that is shown, in fractions of it; all of it when left out. */
  crop?: Schemas["RectView"] | undefined;
  children?: ReactNode;
  className?: string;
}) {
  const style = { "--aspect": props.aspect } as CSSProperties;
  return (
    <div className={`print stage-print ${props.className ?? ""}`} style={style}>
      {props.source ? (
        <Picture source={props.source} alt={props.alt} crop={props.crop} />
      ) : (
        <span className="blank-sheet" role="img" aria-label={`${props.alt}: no scan`}>
          no scan of this frame
        </span>
      )}
      {props.children}
    </div>
  );
}

function Picture(props: { source: string; alt: string; crop?: Schemas["RectView"] | undefined }) {
  const [again, setAgain] = useState({ source: props.source, tries: 0 });
  const tries = again.source === props.source ? again.tries : 0;
  const mark = props.source.includes("?") ? "&" : "?";
  const { crop } = props;
  const picture = (
    <img
      src={tries === 0 ? props.source : `${props.source}${mark}again=${String(tries)}`}
      alt={props.alt}
      draggable={false}
      onError={() => {
        if (tries < MOST_TRIES) setAgain({ source: props.source, tries: tries + 1 });
      }}
      {...(crop && { style: cropped(crop) })}
    />
  );
  return crop ? <span className="crop">{picture}</span> : picture;
}

/** So large and so far off that the part fills what the whole would. */
export function cropped(crop: Schemas["RectView"]): CSSProperties {
  const percent = (share: number) => `${String(100 * share)}%`;
  return {
    width: percent(1 / crop.width),
    height: percent(1 / crop.height),
    left: percent(-crop.left / crop.width),
    top: percent(-crop.top / crop.height),
  };
}
