import type { CSSProperties } from "react";
import { type SlateView, positiveAt } from "../../shared/api/client";
import { cropped } from "../../shared/ui/Print";
import { number } from "../../shared/units/format";

const percent = (share: number) => `${(100 * share).toFixed(3)}%`;

/** The sheet to scale with the picture on it; what falls beside the paper is drawn dim. */
export function SheetOnEasel(props: { slate: SlateView }) {
  const { setup, subject } = props.slate;
  const source = subject.positivePath === undefined ? undefined : positiveAt(subject.positivePath);
  const { sheetWidthMm: sw, sheetHeightMm: sh, imageWidthMm: iw, imageHeightMm: ih, crop } = setup;
  const picture: CSSProperties = {
    left: percent((sw - iw) / 2 / sw),
    top: percent((sh - ih) / 2 / sh),
    width: percent(iw / sw),
    height: percent(ih / sh),
  };
  // The whole frame at the same scale, so that its kept part falls on the picture.
  const whole: CSSProperties = {
    left: percent(((sw - iw) / 2 - (crop.left / crop.width) * iw) / sw),
    top: percent(((sh - ih) / 2 - (crop.top / crop.height) * ih) / sh),
    width: percent(iw / crop.width / sw),
    height: percent(ih / crop.height / sh),
  };
  const lost = setup.lostFraction > 0.001;
  return (
    <figure className="easel">
      <div className="easel-sheet" style={{ "--aspect": sw / sh } as CSSProperties}>
        {lost && source !== undefined && <img className="easel-lost" src={source} alt="" style={whole} />}
        {lost && <span className="easel-outline" style={whole} />}
        <span className={setup.projection === "ENLARGED" ? "easel-paper" : "easel-paper bare"} />
        <span className="easel-picture" style={picture}>
          {source !== undefined ? (
            <img
              src={source}
              alt={`${props.slate.naming.title} as it falls on the sheet`}
              style={cropped(crop)}
            />
          ) : (
            <span className="blank-sheet">nothing of it was scanned</span>
          )}
        </span>
        <span className="measure across">{number(sw)} mm</span>
        <span className="measure down">{number(sh)} mm</span>
      </div>
      <figcaption>
        {lost
          ? `${number(setup.lostMm)} mm of the negative fall beside the paper.`
          : "The whole negative prints."}
      </figcaption>
    </figure>
  );
}
