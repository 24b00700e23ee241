import { type FrameView, positive } from "../api/client";
import { signedStops } from "../units/format";
import { useRestsInSight } from "./useRestsInSight";

const RATED: Record<string, string> = { PRINT: "print", MAYBE: "maybe", NO: "no" };

/** A frame to be picked: its picture, its number and subject, and what was decided. */
export function FrameButton(props: {
  frame: FrameView;
  chosen: boolean;
  withRoll?: boolean;
  onChoose: (frame: FrameView) => void;
}) {
  const { frame } = props;
  const aspectRatio = frame.widthMm / frame.heightMm;
  const rated = frame.beyondRescue ? "beyond rescue" : frame.rating && RATED[frame.rating];
  return (
    <button
      type="button"
      aria-pressed={props.chosen}
      data-rating={frame.beyondRescue ? "NO" : frame.rating}
      onClick={() => props.onChoose(frame)}
    >
      {frame.hasPicture ? (
        <Positive frame={frame} />
      ) : (
        <span className="not-scanned" aria-hidden="true" style={{ aspectRatio }}>
          not scanned
        </span>
      )}
      <span className="edge-number">
        {props.withRoll && <span className="edge-roll">{frame.rollTitle}</span>}
        <span className="visually-hidden">Frame </span>
        <b>{frame.number}</b> {frame.title}
        {rated && <i> {rated}</i>}
        {frame.printedBefore.length > 0 && <i> on a slate</i>}
        {frame.need && <em> {signedStops(frame.need.moreStops)}</em>}
      </span>
    </button>
  );
}

/** The frame's picture, once the list rests where it lies. */
function Positive(props: { frame: FrameView }) {
  const { frame } = props;
  const [rests, ref] = useRestsInSight();
  const aspectRatio = frame.widthMm / frame.heightMm;
  if (!rests) {
    return <span className="not-scanned waits" aria-hidden="true" ref={ref} style={{ aspectRatio }} />;
  }
  return (
    <img
      src={positive(frame.id, 320)}
      // A long list is many pictures: none is read larger than it is drawn.
      srcSet={`${positive(frame.id, 160)} 160w, ${positive(frame.id, 320)} 320w`}
      sizes="190px"
      alt=""
      decoding="async"
      style={{ aspectRatio }}
    />
  );
}
