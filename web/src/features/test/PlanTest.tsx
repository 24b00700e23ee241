import type { ReactNode } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import { type SlateView, testPicture } from "../../shared/api/client";
import { ExposeVerdict } from "../../shared/expose/ExposeVerdict";
import { useStandingPicture } from "../../shared/preview/draft";
import { useViewing } from "../../shared/preview/viewing";
import { ToneList } from "../../shared/tones/ToneList";
import { TonePins } from "../../shared/tones/TonePins";
import { Print } from "../../shared/ui/Print";
import { SeenIn } from "../../shared/ui/SeenIn";
import { seconds, stopsWithUnit } from "../../shared/units/format";
import { KindRow } from "./KindRow";
import { FIELDS } from "./KindFields";
import { LaidTest } from "./LaidTest";
import { SpotOverlay } from "./SpotOverlay";
import { StripOverlay } from "./StripOverlay";
import { shortMark } from "./pieceMark";
import { rowsClass } from "./rows";

/** Whether a test lies across the picture as a strip, each patch at its place. */
function liesAsStrip(slate: SlateView): boolean {
  return slate.test.plan.direction !== undefined && slate.test.pieces.length <= 1;
}

/** The next test: its kind, where it falls on the picture, what it cannot show, and what lamp and hands will do. */
export function PlanTest({ slate, edit, switcher }: SlateContext & { switcher: ReactNode }) {
  const { test } = slate;
  const { imageWidthMm, imageHeightMm } = slate.setup;
  const picture = useStandingPicture(slate, false);
  const seen = useViewing();
  const asItWill =
    slate.subject.positivePath === undefined || test.problem ? undefined : testPicture(slate, seen);
  const laid = test.pieces.length > 1;
  const move = (spotX: number, spotY: number) => edit.mutate({ test: { spotX, spotY } });
  return (
    <>
      <main className={`stage with-kinds${laid ? " with-laid" : ""}`}>
        <h1 className="visually-hidden">Test: plan the next one</h1>
        <KindRow slate={slate} edit={edit} />
        <Print source={picture} alt="Preview of the picture" aspect={imageWidthMm / imageHeightMm}>
          {liesAsStrip(slate) ? (
            <StripOverlay
              slate={slate}
              picture={asItWill}
              onMove={(place) => edit.mutate({ test: { place } })}
            />
          ) : (
            <SpotOverlay slate={slate} picture={laid ? undefined : asItWill} onMove={move} />
          )}
          <TonePins slate={slate} edit={edit} />
        </Print>
        {laid && <LaidTest slate={slate} picture={asItWill} />}
        <p className="stage-note">{slate.previewBasis.text}</p>
      </main>
      <aside className="panel dense" aria-label="Plan a test">
        {switcher ?? <h2>{test.name}</h2>}
        <Fields slate={slate} edit={edit} />
        {[...test.notes, ...(test.cannotShow === "" ? [] : [test.cannotShow])].map((note) => (
          <p className="note" key={note}>
            {note}
          </p>
        ))}
        <Patches slate={slate} />
        <ToneList slate={slate} edit={edit} />
        <SeenIn slate={slate} />
        <ExposeVerdict
          slate={slate}
          kind={test.plan.kind}
          name={test.name.toLowerCase()}
          headline={test.headline}
          why={test.why}
          problem={test.problem}
          mend="Change the plan above; nothing else is lost."
        />
      </aside>
    </>
  );
}

function Fields({ slate, edit }: SlateContext) {
  const { plan } = slate.test;
  const fields = FIELDS[plan.kind];
  if (!fields) return null;
  const Asked = fields.asked;
  const More = fields.more;
  const ownTime =
    plan.centreSeconds !== undefined || plan.seconds !== undefined || plan.pressSeconds !== undefined;
  const ownPlace = plan.place !== undefined || plan.spotX !== undefined;
  return (
    <>
      <Asked slate={slate} edit={edit} />
      <details className="more">
        <summary>More</summary>
        <div className="field-row">
          <More slate={slate} edit={edit} />
        </div>
      </details>
      <div className="link-row">
        {slate.test.wideStripOffered && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ test: { forUnknownNegative: true } })}
          >
            Wide strip for an unknown negative
          </button>
        )}
        {slate.test.benchStrip !== undefined && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ test: { forThisBench: true } })}
          >
            As fine as this bench guesses ({slate.test.benchStrip})
          </button>
        )}
        {ownTime && (
          <button type="button" className="link" onClick={() => edit.mutate({ test: { followsBase: true } })}>
            Centre on the base exposure
          </button>
        )}
        {ownPlace && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ test: { placedByComputation: true } })}
          >
            Place it where it tells most
          </button>
        )}
      </div>
    </>
  );
}

function Patches({ slate }: Pick<SlateContext, "slate">) {
  const { patches } = slate.test;
  if (patches.length === 0) return null;
  const named = patches.some((p) => p.name !== "");
  const marked = patches.some((p) => p.mark !== "");
  const inRows = patches.some((p) => p.row > 1);
  return (
    <table className={rowsClass(patches.length)}>
      <thead>
        <tr>
          <th scope="col">{patches.some((p) => p.mark !== "") ? "Piece" : "Patch"}</th>
          {named && <th scope="col">{patches.some((p) => p.sector) ? "Label" : "Through"}</th>}
          <th scope="col">Receives</th>
          {!marked && <th scope="col">From centre</th>}
          <th scope="col">Set the timer</th>
          {marked && <th scope="col">Mark</th>}
        </tr>
      </thead>
      <tbody>
        {patches.map((p) => (
          <tr key={p.number}>
            <td>{p.number}</td>
            {named && (
              <td>
                {inRows && p.name !== p.light.notation
                  ? `${p.name}, ${p.light.notation.replace("grade ", "")}`
                  : p.name}
                {p.turns !== "" && <span className="constant-source"> {p.turns}</span>}
              </td>
            )}
            <td>{seconds(p.totalSeconds)} s</td>
            {!marked && (
              <td>{Math.abs(p.stopsFromCentre) < 1 / 24 ? "centre" : stopsWithUnit(p.stopsFromCentre)}</td>
            )}
            <td className={p.tooShort ? "warning" : ""}>
              {p.firstSetSeconds !== undefined && `${seconds(p.firstSetSeconds)} s, then `}
              {seconds(p.setSeconds)} s{p.presses > 1 ? `, ${String(p.presses)} times` : ""}
              {p.tooShort ? ", short" : ""}
            </td>
            {marked && <td title={p.mark}>{shortMark(p.mark)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
