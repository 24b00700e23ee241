import { useState } from "react";
import type { SheetView } from "../../shared/api/client";
import { CornerPicture } from "../../shared/scan/CornerPicture";
import { cornersOf, withCorner } from "../../shared/scan/corners";
import { QuantityField } from "../../shared/ui/QuantityField";
import { plainStops, seconds } from "../../shared/units/format";
import type { MarkKind } from "./marks";
import { type Asked, type PictureView, type Tapped, withTap } from "./pictured";

const hundredths = (share: number) => String(100 * share);

/** The picture as it was taken, with what was found on it; a tap says where a tone or a reference lies. */
export function PictureStage(props: {
  sheet: SheetView;
  view: PictureView;
  asked: Asked;
  taps: Tapped;
  onAsk: (asked: Asked) => void;
}) {
  const { view, asked, sheet } = props;
  const [broken, setBroken] = useState(false);
  if (broken) return <p className="empty-line">This picture cannot be shown.</p>;
  const papers = view.papers;
  const single = papers.length === 1 ? papers[0] : undefined;
  const corners = single ? cornersOf(single) : [];
  return (
    <div className="read-picture">
      <CornerPicture
        url={`/api/sheets/${sheet.id}/scans/${String(view.scan)}/picture`}
        corners={corners}
        of="the paper"
        onMove={(index, to) => {
          const now = corners[index];
          if (!now) return;
          const moved = withCorner(corners, index, to(now));
          props.onAsk({ ...asked, papers: [moved.flatMap((c) => [c.x, c.y])] });
        }}
        onTap={(at) => props.onAsk(withTap(asked, props.taps, [at.x, at.y]))}
        onBroken={() => setBroken(true)}
      >
        {(single ? [] : papers).map((p) => (
          <polygon key={p.join()} points={points(p)} />
        ))}
        {view.printed.map((p) => (
          <polygon key={p.join()} className="printed" points={points(p)} />
        ))}
        {view.lines.map((l) => (
          <line
            key={`${String(l.x1)} ${String(l.y1)}`}
            x1={hundredths(l.x1)}
            y1={hundredths(l.y1)}
            x2={hundredths(l.x2)}
            y2={hundredths(l.y2)}
          />
        ))}
      </CornerPicture>
      <Spots view={view} asked={asked} />
    </div>
  );
}

function points(paper: readonly number[]): string {
  return cornersOf(paper)
    .map((c) => `${hundredths(c.x)},${hundredths(c.y)}`)
    .join(" ");
}

/** Where tones were seen, with their densities, and where the references lie. */
function Spots(props: { view: PictureView; asked: Asked }) {
  const references = (["white", "black", "greyCard"] as const).flatMap((name) => {
    const at = props.asked[name];
    return at ? [{ name: REFERENCES[name], x: at[0] ?? 0, y: at[1] ?? 0 }] : [];
  });
  return (
    <div className="picture-spots" aria-hidden="true">
      {props.view.tones.flatMap((tone) =>
        tone.densities.map((d) => (
          <span
            key={`${tone.field} ${String(d.x)} ${String(d.y)}`}
            style={{ left: `${hundredths(d.x)}%`, top: `${hundredths(d.y)}%` }}
          >
            {d.net.toFixed(2)}
          </span>
        )),
      )}
      {references.map((r) => (
        <span
          key={r.name}
          className="reference"
          style={{ left: `${hundredths(r.x)}%`, top: `${hundredths(r.y)}%` }}
        >
          {r.name}
        </span>
      ))}
    </div>
  );
}

const REFERENCES = { white: "bare", black: "black", greyCard: "grey card" } as const;
const TOOLS: readonly (readonly [keyof typeof REFERENCES, string, string])[] = [
  ["white", "Bare", "P"],
  ["black", "Black", "N"],
  ["greyCard", "Grey", "Y"],
];

/** What a tap means, of the references. */
export function ReferenceTools(props: { taps: Tapped; onTaps: (taps: Tapped) => void }) {
  return (
    <>
      {TOOLS.map(([name, words, key]) => (
        <button
          key={name}
          type="button"
          aria-pressed={props.taps === name}
          onClick={() => props.onTaps(name)}
        >
          {words} <kbd>{key}</kbd>
        </button>
      ))}
    </>
  );
}

/** What was found, what spoils it, and what each tone needs. */
export function PictureFacts(props: {
  view: PictureView;
  kinds: readonly MarkKind[];
  asked: Asked;
  taps: Tapped;
  onTaps: (taps: Tapped) => void;
  onAsk: (asked: Asked) => void;
}) {
  const { view, kinds, asked, taps } = props;
  const field = typeof taps === "string" ? undefined : taps.field;
  return (
    <>
      {view.problems.map((problem) => (
        <p key={problem} className="field-message" role="alert">
          {problem}
        </p>
      ))}
      <dl className="facts">
        {view.facts.map((fact) => (
          <div key={fact.name}>
            <dt>{fact.name}</dt>
            <dd>{fact.says}</dd>
          </div>
        ))}
      </dl>
      <div className="marks">
        {kinds.map((kind) => {
          const tone = view.tones.find((t) => t.field === kind.field);
          return (
            <button
              key={kind.field}
              type="button"
              className={`mark${field === kind.field ? " active" : ""}`}
              aria-pressed={field === kind.field}
              onClick={() => props.onTaps({ field: kind.field })}
            >
              <span>
                <kbd>{kind.key.toUpperCase()}</kbd> {kind.label}
                {tone?.tone !== undefined && `, “${tone.tone}”`}
              </span>
              <strong>{tone?.seconds === undefined ? "tap where it lies" : tone.says}</strong>
            </button>
          );
        })}
      </div>
      {view.tones
        .filter((t) => t.field === field)
        .map((tone) => (
          <QuantityField
            key={tone.field}
            label="Density that is wanted over paper white"
            shown={tone.wantedNet.toFixed(2)}
            unit="D"
            units={["D"]}
            hint="Paper white is 0; whites that just hold 0.04, a middle 0.60, a true black 1.85."
            error={undefined}
            onCommit={(c) => props.onAsk(wanting(asked, tone.field, c.value))}
            onStep={(direction, big) =>
              props.onAsk(wanting(asked, tone.field, tone.wantedNet + direction * (big ? 0.1 : 0.01)))
            }
          />
        ))}
      {field !== undefined && <Densities view={view} field={field} />}
    </>
  );
}

const LEAST = 0.01;
const MOST = 1.99;

function wanting(asked: Asked, field: string, net: number): Asked {
  const wantedNet = Math.max(LEAST, Math.min(MOST, Math.round(1000 * net) / 1000));
  const tones = asked.tones ?? [];
  return { ...asked, tones: tones.map((t) => (t.field === field ? { ...t, wantedNet } : t)) };
}

function Densities(props: { view: PictureView; field: string }) {
  const tone = props.view.tones.find((t) => t.field === props.field);
  if (!tone || tone.densities.length === 0) return null;
  return (
    <table className="rows">
      <thead>
        <tr>
          <th scope="col">Patch</th>
          <th scope="col">Received</th>
          <th scope="col">Density</th>
        </tr>
      </thead>
      <tbody>
        {tone.densities.map((d) => (
          <tr key={`${String(d.x)} ${String(d.y)}`}>
            <td>{d.patch}</td>
            <td>{seconds(d.seconds)} s</td>
            <td>{d.net.toFixed(2)}</td>
          </tr>
        ))}
        {tone.seconds !== undefined && (
          <tr className="chosen">
            <td>wanted</td>
            <td>{seconds(tone.seconds)} s</td>
            <td>
              {tone.wantedNet.toFixed(2)}, ± {plainStops(tone.limitStops ?? 0)}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
