import { type Schemas, type FrameView, positive } from "../api/client";

type Roll = Schemas["RollView"];

/** A roll as a proof sheet: frames in strips on black, as film lies under glass. */
export function ProofSheet(props: {
  roll: Roll;
  chosen?: string | undefined;
  onChoose: (frame: FrameView) => void;
}) {
  const { roll } = props;
  return (
    <section className="proof" aria-label={roll.title}>
      <header>
        <h2>{roll.title}</h2>
        <span>{roll.film}</span>
      </header>
      {roll.frames.length === 0 ? (
        <p className="proof-empty">No frames yet. Add the first one below.</p>
      ) : (
        <ul className="film">
          {roll.frames.map((frame) => (
            <li key={frame.id}>
              <button
                type="button"
                aria-pressed={frame.id === props.chosen}
                onClick={() => props.onChoose(frame)}
              >
                {frame.hasPicture ? (
                  <img
                    src={positive(frame.id, 320)}
                    alt=""
                    style={{ aspectRatio: frame.widthMm / frame.heightMm }}
                  />
                ) : (
                  <span
                    className="not-scanned"
                    aria-hidden="true"
                    style={{ aspectRatio: frame.widthMm / frame.heightMm }}
                  >
                    not scanned
                  </span>
                )}
                <span className="edge-number">
                  <span className="visually-hidden">Frame </span>
                  <b>{frame.number}</b> {frame.title}
                  {frame.printedBefore.length > 0 && <i> on a slate</i>}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
