import { type SlateView, areasOf } from "../api/client";
import { AreaOutline } from "./AreaOutline";

/** The areas of the plan as lines on an empty sheet, where no picture shows what they are. */
export function AreaSketch(props: { slate: SlateView }) {
  const { slate } = props;
  const { imageWidthMm, imageHeightMm, crop } = slate.setup;
  if (slate.subject.positivePath !== undefined) return null;
  return (
    <svg
      className="print-overlay areas"
      viewBox={`0 0 ${String(imageWidthMm)} ${String(imageHeightMm)}`}
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      {areasOf(slate).map((area) => (
        <g key={area.key} className="area">
          <AreaOutline shape={area.shape} crop={crop} widthMm={imageWidthMm} heightMm={imageHeightMm} />
        </g>
      ))}
    </svg>
  );
}
