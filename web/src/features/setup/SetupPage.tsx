import { useQuery } from "@tanstack/react-query";
import { Button, Slider } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { ApertureEditor, LightEditor } from "../../app/EnlargerColumn";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { useStores } from "../../shared/api/slate";
import { Choice, Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { parseQuantity } from "../../shared/units/parse";
import { centimetres, number, plainStops, seconds, times } from "../../shared/units/format";
import { heightLabel } from "../../shared/units/height";
import { ContactFields } from "./ContactFields";
import { SheetOnEasel } from "./SheetOnEasel";

/** Enlarger, lens, paper, size and crop; what follows from them is computed and drawn. */
export function SetupPage() {
  const context = useSlateContext();
  const { slate } = context;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Set up</h1>
        <SheetOnEasel slate={slate} />
      </main>
      <aside className="panel dense" aria-label="Set up">
        <h2>Set up</h2>
        <Fields {...context} />
        <Facts {...context} />
        {slate.setup.startingTime?.source === "rescaled" && <ByMeter {...context} />}
        <StartingTime {...context} />
      </aside>
    </>
  );
}

function Fields({ slate, edit }: SlateContext) {
  const stores = useStores().data;
  const { setup } = slate;
  const crops = setup.lostFraction > 0.001;
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
      <ContactFields slate={slate} edit={edit} />
      <Choice
        label="Paper"
        value={setup.paperId}
        options={named(
          stores?.papers.map((p) => ({
            id: p.id,
            name: `${p.name}, ${p.batch}${p.counted ? `, ${number(Math.floor(p.sheetsLeft))} left` : ""}`,
          })),
          setup.paperId,
          setup.paperName,
        )}
        error={edit.error?.at("/setup/paperId")}
        onChange={(paperId) => edit.mutate({ setup: { paperId } })}
      />
      <div className="field-row">
        <Length
          label="Sheet, long"
          at="/setup/sheetWidthMm"
          value={setup.sheetWidthMm}
          name="sheetWidthMm"
          slate={slate}
          edit={edit}
        />
        <Length
          label="Sheet, short"
          at="/setup/sheetHeightMm"
          value={setup.sheetHeightMm}
          name="sheetHeightMm"
          slate={slate}
          edit={edit}
        />
        <Length
          label="White border"
          at="/setup/borderMm"
          value={setup.borderMm}
          name="borderMm"
          slate={slate}
          edit={edit}
        />
      </div>
      {setup.projection === "ENLARGED" && (
        <Ways
          label="How the picture meets the sheet"
          value={setup.fit}
          ways={[
            { value: "WHOLE_PICTURE", label: "Whole picture" },
            { value: "FILL_SHEET", label: "Fill the sheet" },
          ]}
          onChange={(fit) => edit.mutate({ setup: { fit } })}
        />
      )}
      {crops && (
        <div className="field slider">
          <label id="crop-label">Kept part</label>
          <Slider
            key={slate.recipeId}
            min={0}
            max={100}
            step={5}
            defaultValue={Math.round(setup.cropPlace * 100)}
            tooltip={{ open: false }}
            ariaLabelledByForHandle="crop-label"
            onChangeComplete={(v) => edit.mutate({ setup: { cropPlace: v / 100 } })}
          />
        </div>
      )}
    </>
  );
}

function Length(
  props: SlateContext & {
    label: string;
    at: string;
    value: number;
    name: "sheetWidthMm" | "sheetHeightMm" | "borderMm";
  },
) {
  const set = (mm: number) => props.edit.mutateAsync({ setup: { [props.name]: mm } });
  return (
    <QuantityField
      label={props.label}
      shown={number(props.value)}
      unit="mm"
      units={["mm"]}
      error={props.edit.error?.at(props.at)}
      onCommit={(c) => set(c.value)}
      onStep={(direction, big) =>
        props.edit.mutate((now) => ({
          setup: { [props.name]: Math.max(0, now.setup[props.name] + direction * (big ? 10 : 1)) },
        }))
      }
    />
  );
}

function Facts({ slate }: SlateContext) {
  const { setup } = slate;
  return (
    <>
      <dl className="facts">
        <div>
          <dt>Magnification, picture on paper</dt>
          <dd>
            {times(setup.magnification)}, {number(Math.round(setup.imageWidthMm))} ×{" "}
            {number(Math.round(setup.imageHeightMm))} mm
          </dd>
        </div>
        <div>
          <dt>
            {heightLabel(setup)}
            {setup.filmToLensMm !== undefined && ", film above lens"}
          </dt>
          <dd>
            {centimetres(setup.lensToPaperMm)}
            {setup.filmToLensMm !== undefined && `, ${number(Math.round(setup.filmToLensMm))} mm`}
          </dd>
        </div>
        <div>
          <dt>Lost of the negative</dt>
          <dd>
            {setup.lostFraction < 0.001
              ? "nothing"
              : `${number(setup.lostMm)} mm, ${(100 * setup.lostFraction).toFixed(1)} %`}
          </dd>
        </div>
      </dl>
      {setup.warnings.map((warning) => (
        <p className="note warning" key={warning}>
          {warning}
        </p>
      ))}
    </>
  );
}

/** Two readings of a meter in place of size, opening and lamp: the surest way to another set-up. */
function ByMeter({ slate, edit }: SlateContext) {
  const [before, setBefore] = useState("");
  const [now, setNow] = useState("");
  const luxBefore = reading(before);
  const luxNow = reading(now);
  const found = useQuery<Schemas["Proposal"], Problem>({
    queryKey: ["slate", slate.id, "starting-time", slate.recipeId, luxBefore, luxNow],
    enabled: luxBefore !== undefined && luxNow !== undefined,
    retry: false,
    queryFn: () =>
      unwrap(
        api.GET("/api/slates/{id}/starting-time", {
          params: { path: { id: slate.id }, query: { luxBefore: luxBefore ?? 0, luxNow: luxNow ?? 0 } },
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
  const start = found.data;
  return (
    <details
      className="by-meter"
      // Its fields would open behind the verdict.
      onToggle={(event) => event.currentTarget.scrollIntoView({ block: "end" })}
    >
      <summary>By a meter at the board</summary>
      <div className="field-row">
        <TextField
          label="As it stood for the print"
          value={before}
          error={unread(before) ?? found.error?.at("/luxBefore")}
          onChange={setBefore}
        />
        <TextField
          label="As it stands now"
          value={now}
          error={unread(now) ?? found.error?.at("/luxNow")}
          onChange={setNow}
        />
      </div>
      {start && (
        <p className="note">
          {start.arithmetic.slice(1).join(" ")}{" "}
          <Button
            size="small"
            onClick={() =>
              edit.mutate({
                base: {
                  takeStartingTime: true,
                  ...(luxBefore !== undefined && { luxBefore }),
                  ...(luxNow !== undefined && { luxNow }),
                },
              })
            }
          >
            Set {seconds(start.seconds)} s
          </Button>
        </p>
      )}
    </details>
  );
}

function unread(text: string): string | undefined {
  const parsed = parseQuantity(text);
  return text.trim() !== "" && parsed.kind === "error" ? parsed.message : undefined;
}

function reading(text: string): number | undefined {
  const parsed = parseQuantity(text);
  return parsed.kind === "error" ? undefined : parsed.value;
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
