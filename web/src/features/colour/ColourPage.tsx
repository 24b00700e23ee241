import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import {
  type Schemas,
  type SheetView,
  type SlateView,
  type VerdictView,
  api,
  toProblem,
  unwrap,
  isOfOneLight,
} from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { HandIn } from "../../shared/scan/HandIn";
import { Ways } from "../../shared/ui/Choice";
import { Swatch } from "../../shared/ui/LightName";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Doubt } from "../../shared/ui/Doubt";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { Verdict } from "../../shared/ui/Verdict";
import { seconds, signedStops } from "../../shared/units/format";
import { Rose } from "./Rose";
import { FACTORS, type Kit, keepKit, knownKit } from "./kit";

type Cast = Schemas["Cast"];
type Way = NonNullable<Cast["way"]>;
type Hue = NonNullable<Cast["hue"]>;

const HUES: readonly { hue: Hue; filter: string; cast: string; clears: string }[] = [
  { hue: "C", filter: "cyan", cast: "too cyan", clears: "too red" },
  { hue: "M", filter: "magenta", cast: "too magenta", clears: "too green" },
  { hue: "Y", filter: "yellow", cast: "too yellow", clears: "too blue" },
  { hue: "R", filter: "red", cast: "too red", clears: "too cyan" },
  { hue: "G", filter: "green", cast: "too green", clears: "too magenta" },
  { hue: "B", filter: "blue", cast: "too blue", clears: "too yellow" },
];
/** Strengths of a kit, and what lies between two of them. */
const STRENGTHS: readonly { points: number; label: string }[] = [
  { points: 5, label: "5" },
  { points: 7.5, label: "between" },
  { points: 10, label: "10" },
  { points: 15, label: "between" },
  { points: 20, label: "20" },
  { points: 30, label: "not enough" },
];
const BY_EYE: readonly { points: number; label: string }[] = [
  { points: 5, label: "a trace" },
  { points: 10, label: "slightly" },
  { points: 20, label: "clearly" },
  { points: 40, label: "strongly" },
];
const DENSITIES = [-1 / 2, -1 / 4, 0, 1 / 4, 1 / 2] as const;

interface Answer {
  answer: "PROPOSED" | "OWN";
  light?: string;
  seconds?: number;
}

/** Judging the colour of a sheet: through a viewing filter or by name, on the rose, all looks weighed together. */
export function ColourPage() {
  const context = useSlateContext();
  const [search] = useSearchParams();
  const hung = context.slate.sheets.filter((s) => s.state === "HUNG" && isOfOneLight(s));
  const sheet = hung.find((s) => s.id === search.get("sheet")) ?? hung.at(-1);
  return sheet ? (
    <Judging key={sheet.id} {...context} sheet={sheet} hung={hung} />
  ) : (
    <NothingYet slate={context.slate} />
  );
}

function NothingYet(props: { slate: SlateView }) {
  const { next } = props.slate;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Colour</h1>
        <p className="empty-line">
          No sheet hangs here yet. Its colour is judged on the patch with the right density.
        </p>
      </main>
      <aside className="panel" aria-label="Colour">
        <h2>Colour</h2>
        <Verdict headline={next.headline} why={next.why}>
          <NextStepButton slateId={props.slate.id} next={next} />
        </Verdict>
      </aside>
    </>
  );
}

function Judging({ slate, sheet, hung }: SlateContext & { sheet: SheetView; hung: readonly SheetView[] }) {
  const [way, setWay] = useState<Way>("VIEWING_FILTER");
  const [hue, setHue] = useState<Hue>();
  const [neutral, setNeutral] = useState(false);
  const [points, setPoints] = useState<number>();
  const [density, setDensity] = useState(0);
  const [kit, setKit] = useState(knownKit);
  const said = neutral || (hue !== undefined && points !== undefined);
  const cast: Cast = {
    way,
    hue: neutral ? undefined : hue,
    points: neutral ? 0 : points,
    densityStops: density,
    factor: way === "VIEWING_FILTER" ? FACTORS[kit ?? "STRENGTH"] : undefined,
  };
  const proposal = useProposal(sheet.id, cast, said, slate.recipeId);
  const weighed = useWeighed(slate);
  const judge = useJudge(slate.id, sheet.id, cast);
  const choose = (chosen: Hue) => {
    setHue(chosen);
    setNeutral(false);
  };
  useKeys({
    v: () => setWay("VIEWING_FILTER"),
    a: () => setWay("BY_NAME"),
  });
  const filter = way === "VIEWING_FILTER";
  const chosen = HUES.find((h) => h.hue === hue);
  const last = sheet.decisions.filter((d) => d.way !== undefined).at(-1);
  return (
    <>
      <main className="stage colour-stage">
        <h1 className="visually-hidden">Colour of {sheet.label}</h1>
        <Rose
          sheets={hung}
          looked={sheet}
          neutral={weighed}
          proposed={said ? proposal.data?.light : undefined}
        />
      </main>
      <aside className="panel dense" aria-label={`Colour of ${sheet.label}`}>
        <h2>{sheet.label}</h2>
        <Doubt sheet={sheet} />
        <p className="lead">
          {sheet.patches.length > 0 ? "Judge the patch with the right density. " : ""}Look two seconds, then
          at a grey card.
          <HandIn slateId={slate.id} sheet={sheet} />
        </p>
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        <Ways<Way>
          label="How the cast is seen"
          value={way}
          ways={[
            { value: "VIEWING_FILTER", label: "Viewing filter" },
            { value: "BY_NAME", label: "By name" },
          ]}
          onChange={setWay}
        />
        {filter && (
          <KitQuestion
            kit={kit}
            onAnswer={(answer) => {
              keepKit(answer);
              setKit(answer);
            }}
          />
        )}
        <h3>{filter ? "Through which filter is the grey right?" : "What cast has the grey?"}</h3>
        <div className="hues" role="group" aria-label={filter ? "Viewing filter" : "Cast"}>
          {HUES.map((h) => (
            <button
              key={h.hue}
              type="button"
              aria-label={filter ? h.filter : h.cast}
              aria-pressed={!neutral && hue === h.hue}
              onClick={() => choose(h.hue)}
            >
              <Swatch letter={h.hue} />
              <span>{filter ? h.filter : h.cast}</span>
            </button>
          ))}
        </div>
        <Steps
          label={chosen && !neutral ? strengthWords(filter, chosen) : "How strong?"}
          options={filter ? STRENGTHS : BY_EYE}
          value={neutral ? undefined : points}
          onChange={setPoints}
        />
        <button type="button" className="link" aria-pressed={neutral} onClick={() => setNeutral(!neutral)}>
          {filter ? "No filter helps, it is neutral" : "No cast, it is neutral"}
        </button>
        <Steps
          label="Density: + needs more light"
          options={DENSITIES.map((d) => ({ points: d, label: signedStops(d) }))}
          value={density}
          onChange={setDensity}
        />
        {last && (
          <p className="note">
            On record: {last.headline} {last.remark && `“${last.remark}”`}
          </p>
        )}
        <Answered
          slate={slate}
          sheet={sheet}
          said={said}
          judged={last !== undefined}
          verdict={proposal.data}
          problem={
            proposal.error?.message ?? (judge.error?.errors.length === 0 ? judge.error.message : undefined)
          }
          busy={judge.isPending}
          fieldError={(pointer) => judge.error?.at(pointer)}
          onAnswer={(answer) =>
            judge.mutate(answer, {
              onSuccess: () => {
                setHue(undefined);
                setPoints(undefined);
                setNeutral(false);
                setDensity(0);
              },
            })
          }
        />
      </aside>
    </>
  );
}

function strengthWords(filter: boolean, chosen: (typeof HUES)[number]): string {
  if (!filter) return `How much ${chosen.cast}?`;
  const name = chosen.filter;
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}: the print is ${chosen.clears}. How strong?`;
}

function Steps(props: {
  label: string;
  options: readonly { points: number; label: string }[];
  value: number | undefined;
  onChange: (value: number) => void;
}) {
  return (
    <div className="wish" role="group" aria-label={props.label}>
      <p>
        <span>{props.label}</span>
      </p>
      <div className="wish-line">
        {props.options.map((option) => (
          <button
            key={option.points}
            type="button"
            aria-label={option.label === "between" ? `between, about ${String(option.points)}` : option.label}
            aria-pressed={option.points === props.value}
            onClick={() => props.onChange(option.points)}
          >
            {option.label}
          </button>
        ))}
      </div>
    </div>
  );
}

function useProposal(sheetId: string, cast: Cast, said: boolean, recipeId: string) {
  return useQuery<VerdictView>({
    queryKey: ["cast", sheetId, cast, recipeId],
    enabled: said,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/casts/proposal", { params: { path: { id: sheetId } }, body: cast }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
}

/** What all looks say together; nothing before the first. */
function useWeighed(slate: SlateView): Schemas["ColourView"] | undefined {
  const weighed = useQuery({
    queryKey: ["colour", slate.id, slate.version],
    placeholderData: keepPreviousData,
    queryFn: async () => {
      const answer = await api.GET("/api/slates/{id}/colour", { params: { path: { id: slate.id } } });
      if (!answer.response.ok) throw toProblem(answer.error);
      return answer.data ?? null;
    },
  });
  return weighed.data ?? undefined;
}

function useJudge(slateId: string, sheetId: string, cast: Cast) {
  return useSlateChange<Answer>(slateId, (answer, version) =>
    unwrap(
      api.POST("/api/sheets/{id}/casts", {
        params: { path: { id: sheetId } },
        body: { cast, taking: { version, ...answer } },
      }),
    ),
  );
}

function Answered(props: {
  slate: SlateView;
  sheet: SheetView;
  said: boolean;
  judged: boolean;
  verdict: VerdictView | undefined;
  problem: string | undefined;
  busy: boolean;
  fieldError: (pointer: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const navigate = useNavigate();
  const { slate, verdict } = props;
  if (!props.said || !verdict) {
    return props.judged ? (
      <Verdict headline={slate.next.headline} why={`${slate.next.why} Or judge the colour again above.`}>
        <NextStepButton slateId={slate.id} next={slate.next} />
        <Button className="on-dark-quiet" onClick={() => void navigate(`/slates/${slate.id}/shape`)}>
          Shape first
        </Button>
      </Verdict>
    ) : (
      <Verdict
        headline="Find the filter that makes grey grey."
        why="Hold one filter after another before your eye. The way you look through it is the way the pack will move."
        error={props.problem}
      />
    );
  }
  return (
    <Verdict headline={verdict.headline} why={verdict.why} restsOn={verdict.restsOn} error={props.problem}>
      <Button
        type="primary"
        className="on-dark"
        loading={props.busy}
        onClick={() => props.onAnswer({ answer: "PROPOSED" })}
      >
        Set {verdict.light.notation}, {seconds(verdict.seconds)} s
      </Button>
      <OwnRecipe
        medium={slate.medium}
        light={verdict.light.notation}
        seconds={verdict.seconds}
        error={props.fieldError}
        onTake={(light, own) => props.onAnswer({ answer: "OWN", light, seconds: own })}
      />
    </Verdict>
  );
}

/** Asked once: kits differ by a factor of two in what their numbers mean. */
function KitQuestion(props: { kit: Kit | undefined; onAnswer: (kit: Kit) => void }) {
  const [asking, setAsking] = useState(props.kit === undefined);
  if (!asking && props.kit !== undefined) {
    return (
      <p className="field-hint">
        {props.kit === "CORRECTION"
          ? "The filter says the correction: 10 on it moves the pack by 10 at first."
          : "The filter says its own strength: 10 on it moves the pack by 5 at first."}{" "}
        <button type="button" className="link" onClick={() => setAsking(true)}>
          Another kit
        </button>
      </p>
    );
  }
  return (
    <>
      <h3>What stands on your viewing filters?</h3>
      <Ways<Kit | "">
        label="What stands on your viewing filters?"
        value={props.kit ?? ""}
        ways={[
          { value: "STRENGTH", label: "Their strength" },
          { value: "CORRECTION", label: "The correction" },
        ]}
        onChange={(kit) => {
          if (kit !== "") props.onAnswer(kit);
          setAsking(false);
        }}
      />
    </>
  );
}
