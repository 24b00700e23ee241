import { Button } from "antd";
import { useNavigate } from "react-router";
import { ApertureEditor, LightEditor } from "../../app/EnlargerColumn";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { useStores } from "../../shared/api/slate";
import { Choice } from "../../shared/ui/Choice";
import { PackOnHead } from "../../shared/ui/PackTime";
import { Verdict } from "../../shared/ui/Verdict";
import { number, plainStops, seconds } from "../../shared/units/format";
import { ByMeter } from "./ByMeter";
import { ContactFields } from "./ContactFields";
import { OpeningPairs } from "./OpeningPairs";
import { SheetOnEasel } from "./SheetOnEasel";
import { SizeFacts } from "./SizeFacts";
import { SizeFields } from "./SizeFields";

/** Enlarger, lens, paper, size and crop; what follows from them is computed and drawn. */
export function SetupPage() {
  const context = useSlateContext();
  const { slate } = context;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Set up</h1>
        <SheetOnEasel {...context} />
        <SizeFacts slate={slate} />
      </main>
      <aside className="panel dense" aria-label="Set up">
        <h2>Set up</h2>
        <Fields {...context} />
        <Warnings warnings={slate.setup.warnings} />
        <OpeningPairs {...context} />
        {slate.setup.startingTime?.source === "rescaled" && <ByMeter {...context} />}
        <StartingTime {...context} />
      </aside>
    </>
  );
}

function Fields({ slate, edit }: SlateContext) {
  const stores = useStores().data;
  const { setup } = slate;
  // What was retired since stands on the slate until something else is chosen.
  const named = (list: readonly { id: string; name: string }[] | undefined, id: string, name: string) => [
    ...(list ?? []).map((item) => ({ value: item.id, label: item.name })),
    ...(list?.some((item) => item.id === id) === false ? [{ value: id, label: `${name}, retired` }] : []),
  ];
  return (
    <>
      <div className="field-row">
        <Choice
          label="Enlarger"
          value={setup.enlargerId}
          options={named(stores?.enlargers, setup.enlargerId, setup.enlargerName)}
          error={edit.error?.at("/setup/enlargerId")}
          onChange={(enlargerId) => edit.mutate({ setup: { enlargerId } })}
        />
        <Choice
          label="Lens"
          value={setup.lensId}
          options={named(stores?.lenses, setup.lensId, setup.lensName)}
          error={edit.error?.at("/setup/lensId")}
          onChange={(lensId) => edit.mutate({ setup: { lensId } })}
        />
      </div>
      <div className="field-row">
        {setup.projection !== "LAMP" && <ApertureEditor slate={slate} edit={edit} />}
        <LightEditor slate={slate} edit={edit} />
      </div>
      <PackOnHead slate={slate} edit={edit} />
      <ContactFields slate={slate} edit={edit} />
      <Choice
        label="Paper"
        value={setup.paperId}
        options={named(
          stores?.papers.map((p) => ({
            id: p.id,
            name: `${p.name}${p.grade === undefined ? "" : `, paper grade ${String(p.grade)}`}, ${p.batch}${p.counted ? `, ${number(Math.floor(p.sheetsLeft))} left` : ""}`,
          })),
          setup.paperId,
          setup.paperName,
        )}
        error={edit.error?.at("/setup/paperId")}
        onChange={(paperId) => edit.mutate({ setup: { paperId } })}
      />
      <SizeFields slate={slate} edit={edit} />
    </>
  );
}

function Warnings(props: { warnings: readonly string[] }) {
  return props.warnings.map((warning) => (
    <p className="note warning" key={warning}>
      {warning}
    </p>
  ));
}

function StartingTime({ slate, edit }: SlateContext) {
  const navigate = useNavigate();
  const start = slate.setup.startingTime;
  const offers = start?.differs === true;
  return (
    <Verdict
      headline={
        offers ? `Start at ${seconds(start.seconds)} s.` : `Strip about ${seconds(slate.base.seconds)} s.`
      }
      why={start?.headline ?? slate.base.because.split("\n")[0] ?? ""}
      restsOn={[...(start?.arithmetic ?? []), ...(start?.others ?? []).map((line) => `Wider: ${line}`)]}
    >
      {offers && (
        <Button
          type="primary"
          className="on-dark"
          onClick={() => edit.mutate({ base: { takeStartingTime: true } })}
        >
          Set {seconds(start.seconds)} s
        </Button>
      )}
      {start?.checkStepStops !== undefined && (
        <Button
          className="on-dark-quiet"
          onClick={() =>
            edit.mutate(
              {
                ...(offers && { base: { takeStartingTime: true } }),
                test: {
                  series: "EQUAL_STOPS",
                  patches: 3,
                  stepStops: start.checkStepStops,
                  followsBase: true,
                },
              },
              { onSuccess: () => void navigate(`/slates/${slate.id}/test`) },
            )
          }
        >
          Three patches {plainStops(start.checkStepStops)} stop apart
        </Button>
      )}
      <Button
        type={offers ? "default" : "primary"}
        className={offers ? "on-dark-quiet" : "on-dark"}
        onClick={() => void navigate(`/slates/${slate.id}/test`)}
      >
        {offers ? `Keep ${seconds(slate.base.seconds)} s` : "Plan strip"}
      </Button>
    </Verdict>
  );
}
