import { type SlateView, castPictures } from "../../shared/api/client";
import { type Choosing, HUES, type Hue, NAME_STEPS } from "./casts";
import { RAYS, rayPlace } from "./rose";

/** How far out each strength lies, as a share of the half width. */
const PLACES = [0.3, 0.56, 0.82];
const STRENGTHS = NAME_STEPS.filter((s) => s.strengths.length === 1);

/** This picture with each of the six casts at three strengths, about the neutral one: what a cast is named by. */
export function CastRing(props: {
  slate: SlateView;
  scale: number;
  chosen: Choosing;
  onChoose: (chosen: Choosing) => void;
}) {
  const { slate, scale, chosen, onChoose } = props;
  const { imageWidthMm, imageHeightMm } = slate.setup;
  const sheet = { source: castPictures(slate, scale), aspect: imageWidthMm / imageHeightMm };
  return (
    <div className="rose cast-ring" role="group" aria-label="The picture with each cast">
      <button
        type="button"
        className="lying piece"
        style={{ left: "50%", top: "50%" }}
        aria-pressed={chosen.neutral === true}
        aria-label="neutral"
        onClick={() => onChoose({ neutral: true })}
      >
        <One {...sheet} number={0} />
        <span className="piece-words">neutral</span>
      </button>
      {RAYS.flatMap((ray, i) =>
        STRENGTHS.map((step, n) => {
          const away = rayPlace(i);
          const place = PLACES[n] ?? 1;
          const hue: Hue = ray.letter;
          return (
            <button
              key={`${ray.letter}${step.id}`}
              type="button"
              className="lying piece"
              style={{
                left: `${String(50 + 50 * place * away.x)}%`,
                top: `${String(50 + 50 * place * away.y)}%`,
              }}
              aria-pressed={isChosen(chosen, hue, step.strengths)}
              aria-label={`${step.label} ${castWords(hue)}`}
              onClick={() => onChoose({ hue, step: step.id })}
            >
              <One {...sheet} number={1 + STRENGTHS.length * i + n} />
              {n === STRENGTHS.length - 1 && <span className="piece-words">{castWords(hue)}</span>}
            </button>
          );
        }),
      )}
      <p className="rose-scale">
        This picture computed with each cast, about {[4, 10, 20].map((p) => p * scale).join(", ")} points of a
        filter from the middle out.
      </p>
    </div>
  );
}

/** One of the pictures that lie under each other on one sheet. */
function One(props: { source: string; aspect: number; number: number }) {
  const count = RAYS.length * STRENGTHS.length;
  return (
    <span
      className="cast-picture"
      style={{
        aspectRatio: props.aspect,
        backgroundImage: `url("${props.source}")`,
        backgroundSize: `100% ${String(100 * (count + 1))}%`,
        backgroundPosition: `0 ${String((100 * props.number) / count)}%`,
      }}
    />
  );
}

/** Also where the print lies between two strengths. */
function isChosen(chosen: Choosing, hue: Hue, strengths: readonly string[]): boolean {
  const step = NAME_STEPS.find((s) => s.id === chosen.step);
  return (
    chosen.neutral !== true &&
    (chosen.hue === hue || chosen.second === hue) &&
    strengths.some((s) => step?.strengths.includes(s as (typeof step.strengths)[number]))
  );
}

function castWords(hue: Hue): string {
  return HUES.find((h) => h.hue === hue)?.cast ?? hue;
}
