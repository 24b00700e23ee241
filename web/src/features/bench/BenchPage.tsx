import { Button } from "antd";
import { type ReactNode, useState } from "react";
import { Link, useNavigate } from "react-router";
import { BenchEdge } from "../../app/BenchEdge";
import { KeyList } from "../../app/KeyList";
import { useBench, useSlate } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { enterRoom, useRoom } from "../../shared/room/room";
import { LightName } from "../../shared/ui/LightName";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Shelf } from "../../shared/ui/Shelf";
import { Verdict } from "../../shared/ui/Verdict";
import { aperture, number, sheetSize } from "../../shared/units/format";
import { partLights, partSeconds } from "../../shared/units/parts";
import { heightLabel, heightText } from "../../shared/units/height";
import { Elevation, columnLayout } from "../../app/Elevation";
import { FirstRun } from "./FirstRun";
import { ImportSlate } from "./ImportSlate";
import { OtherSlates, type SlateCard, cardPicture } from "./OtherSlates";
import { PracticeSwitch } from "./PracticeSwitch";
import { WetSide } from "./WetSide";
import { Wordmark } from "../../app/Wordmark";

/** Home: what is on the easel with its next step, the other slates as small prints, baths and paper. */
export function BenchPage() {
  const bench = useBench();
  const room = useRoom();
  const navigate = useNavigate();
  const [keysOpen, setKeysOpen] = useState(false);
  const [skipped, setSkipped] = useState(false);
  const now = bench.data?.slates[0];
  useKeys({
    n: () => now && void navigate(`/slates/${now.id}/${now.next.station}`),
    s: () => enterRoom(room === "white" ? "safelight" : "white"),
    "?": () => setKeysOpen(true),
  });
  if (bench.error) throw bench.error;
  return (
    <div className="frame bench">
      <aside className="column" aria-label="Enlarger">
        <Wordmark />
        {now ? <OnEnlarger slateId={now.id} /> : <p className="column-empty">Nothing is on the enlarger.</p>}
        {bench.data && <PracticeSwitch practice={bench.data.practice} />}
      </aside>
      <main className="frame-main bench-main">
        {bench.data?.empty && !skipped && <FirstRun onSkip={() => setSkipped(true)} />}
        {bench.data && (!bench.data.empty || skipped) && !now && (
          <EmptyBench questions={bench.data.empty ? () => setSkipped(false) : undefined} />
        )}
        {now && <OnEasel card={now} />}
        {bench.data && <OtherSlates bench={bench.data} />}
        {bench.data?.backupProblem !== undefined && (
          <p className="note" role="alert">
            The backup that was due was not made. {bench.data.backupProblem}{" "}
            <Link to="/backups" className="link">
              Look at the backups
            </Link>
          </p>
        )}
        <div className="bench-actions">
          {bench.data?.empty === false && (
            <Button type="primary" onClick={() => void navigate("/rolls")}>
              New slate from a frame
            </Button>
          )}
          <ImportSlate />
        </div>
      </main>
      {bench.data && <WetSide bench={bench.data} />}
      <BenchEdge onKeys={() => setKeysOpen(true)} />
      <KeyList open={keysOpen} onClose={() => setKeysOpen(false)} />
    </div>
  );
}

function OnEasel(props: { card: SlateCard }) {
  const { card } = props;
  const navigate = useNavigate();
  const source = cardPicture(card);
  return (
    <section className="on-easel" aria-label="On the easel">
      <Link to={`/slates/${card.id}/${card.next.station}`} className="print easel-print" tabIndex={-1}>
        {source ? (
          <img src={source} alt={`Last sheet of ${card.title}`} style={{ aspectRatio: card.aspect }} />
        ) : (
          <span className="blank-sheet">no scan</span>
        )}
      </Link>
      <div>
        <div className="overline">
          <span>On the easel, {card.sheets === 1 ? "1 sheet" : `${String(card.sheets)} sheets`} made</span>
          <Shelf
            thing={{ kind: "slate", id: card.id }}
            title={card.title}
            away={false}
            deletable={card.deletable}
            deletes={false}
          />
        </div>
        <h1>{card.title}</h1>
        {card.intent && <p className="intent">“{card.intent}”</p>}
        <Verdict headline={card.next.headline} why={card.next.why}>
          <NextStepButton slateId={card.id} next={card.next} />
          <Button className="on-dark-quiet" onClick={() => void navigate(`/slates/${card.id}/setup`)}>
            Open slate
          </Button>
        </Verdict>
      </div>
    </section>
  );
}

function OnEnlarger(props: { slateId: string }) {
  const slate = useSlate(props.slateId).data;
  if (!slate) return null;
  const { base, setup, medium } = slate;
  const at = columnLayout(setup.lensToPaperMm).labels;
  const rows: [number, string, ReactNode, string?][] = [
    [at.lamp, "Lamp", setup.head],
    [
      at.filter,
      medium.lightName,
      base.parts.length > 1 ? partLights(base.parts) : <LightName key="light" light={base.light} large />,
    ],
    [at.negative, "Negative", `${slate.subject.rollTitle.split(",")[0] ?? ""}, ${slate.subject.name}`],
    [at.lens, `Lens, ${number(setup.focalMm)} mm`, aperture(setup.apertureMark)],
    [at.base, "Base exposure", `${partSeconds(base.parts)} s`],
    [at.height, heightLabel(setup), heightText(setup)],
    [at.easel, "Easel", sheetSize(setup.turnedWidthMm, setup.turnedHeightMm), setup.paperName],
  ];
  return (
    <>
      <Elevation setup={setup} />
      <dl className="column-list">
        {rows.map(([at, label, value, note]) => (
          <div className="part" style={{ top: at }} key={label}>
            <dt className="part-label">{label}</dt>
            <dd className={`part-value${label === "Base exposure" ? " huge" : ""}`}>{value}</dd>
            {note && <dd className="part-note">{note}</dd>}
          </div>
        ))}
      </dl>
    </>
  );
}

/** Nothing is here yet; the questions of the first run can be come back to. */
function EmptyBench(props: { questions: (() => void) | undefined }) {
  const navigate = useNavigate();
  return (
    <section className="empty">
      <h1>The bench is clear.</h1>
      <p>Add a roll, pick a frame, say what the print should be. The first strip finds the time.</p>
      <Button type="primary" onClick={() => void navigate("/rolls")}>
        Go to Rolls
      </Button>
      {props.questions && (
        <p>
          <button type="button" className="link" onClick={props.questions}>
            Say what stands in your darkroom
          </button>
          , before the first slate.
        </p>
      )}
    </section>
  );
}
