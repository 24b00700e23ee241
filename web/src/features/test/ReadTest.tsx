import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import type { SlateContext } from "../../app/SlateFrame";
import {
  type Schemas,
  type SheetView,
  type SlateView,
  type VerdictView,
  api,
  sheetPicture,
  toProblem,
  unwrap,
} from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { HandIn } from "../../shared/scan/HandIn";
import { Ways } from "../../shared/ui/Choice";
import { Print } from "../../shared/ui/Print";
import { Doubt } from "../../shared/ui/Doubt";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { Verdict } from "../../shared/ui/Verdict";
import { plainStops, seconds, stopsWithUnit } from "../../shared/units/format";
import { Mark } from "./Mark";
import { TestPicture } from "./TestPicture";
import { type MarkField, type MarkKind, type Marked, markAfter, marksOf, sameMarks } from "./marks";
import { rowsClass } from "./rows";

interface Answer {
  answer: NonNullable<Schemas["Taking"]["answer"]>;
  light?: string;
  seconds?: number;
}

/** Reading a strip: the marks this kind of paper asks for, and the verdict that follows from them. */
export function ReadTest(props: SlateContext & { strip: SheetView; switcher: ReactNode }) {
  const { slate, strip } = props;
  const navigate = useNavigate();
  const kinds = slate.medium.marks;
  const before = strip.decisions.filter((d) => d.kind === "READING").at(-1);
  const [marked, setMarked] = useState<Marked>(before ? marksIn(before) : {});
  const [next, setNext] = useState<string>(kinds[0]?.field ?? "");
  const proposal = useProposal(strip.id, kinds, marked, slate.recipeId);
  const read = useReading(slate.id, strip.id, marked);
  const set = (field: string, at: number) => setMarked((m) => ({ ...m, [field]: at }));
  const wanted = kinds.find((k) => k.field === next);
  useKeys(Object.fromEntries(kinds.map((k) => [k.key, () => setNext(k.field)])));
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Test: read {strip.label}</h1>
        <Print source={sheetPicture(strip)} alt={`${strip.label}, as it came out`} aspect={strip.aspect}>
          <TestPicture
            sheet={strip}
            alone={undefined}
            kinds={kinds}
            marked={marked}
            onMark={(at) => {
              set(next, at);
              setNext(markAfter(kinds, next));
            }}
          />
        </Print>
        <p className="stage-note">
          {strip.simulatedPicture && "Simulated paper. "}
          {strip.pictureId === undefined && "Read the paper in your hand. "}
          Tap {wanted?.asks}, or the line between two.
          <HandIn slateId={slate.id} sheet={strip} />
        </p>
      </main>
      <aside className="panel dense" aria-label="Read the strip">
        {props.switcher}
        <Doubt sheet={strip} />
        {slate.setup.driesDownPercent === undefined ? (
          <p className="lead">Judge it as it comes, wet in the tray under white light.</p>
        ) : (
          <Ways
            label="How the strip is as it is read"
            value={marked.dry === true ? "dry" : "wet"}
            ways={[
              { value: "wet", label: "Wet, as it comes" },
              { value: "dry", label: "Dry" },
            ]}
            onChange={(state) => setMarked((m) => ({ ...m, dry: state === "dry" }))}
          />
        )}
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        <PatchTable slate={slate} strip={strip} kinds={kinds} marked={marked} />
        <div className="marks">
          {kinds.map((kind) => (
            <Mark
              key={kind.field}
              label={kind.label}
              letter={kind.key.toUpperCase()}
              active={next === kind.field}
              strip={strip}
              at={marked[kind.field as MarkField]}
              onFocus={() => setNext(kind.field)}
              onMove={(at) => set(kind.field, at)}
            />
          ))}
        </div>
        <Answered
          slate={slate}
          verdict={proposal.data}
          waiting={kinds[0] === undefined || marked[kinds[0].field as MarkField] === undefined}
          strip={strip}
          taken={before && sameMarks(kinds, marked, marksIn(before)) ? before.headline : undefined}
          problem={
            proposal.error?.message ?? (read.error?.errors.length === 0 ? read.error.message : undefined)
          }
          busy={read.isPending}
          fieldError={(at) => read.error?.at(at)}
          onAnswer={(answer) =>
            read.mutate(answer, {
              onSuccess: () => {
                if (answer.answer === "CHECK") void navigate(`/slates/${slate.id}/test?sheet=plan`);
              },
            })
          }
        />
      </aside>
    </>
  );
}

function marksIn(reading: Schemas["DecisionView"]): Marked {
  return {
    whitesAt: reading.whitesAt,
    blacksAt: reading.blacksAt,
    rightAt: reading.rightAt,
    dry: reading.dry,
  };
}

function useProposal(sheetId: string, kinds: readonly MarkKind[], marked: Marked, recipeId: string) {
  return useQuery<VerdictView>({
    queryKey: ["reading", sheetId, marked, recipeId],
    enabled: kinds[0] !== undefined && marked[kinds[0].field as MarkField] !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/readings/proposal", {
          params: { path: { id: sheetId } },
          body: marked,
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
}

function useReading(slateId: string, sheetId: string, marked: Marked) {
  return useSlateChange<Answer>(slateId, (answer, version) =>
    unwrap(
      api.POST("/api/sheets/{id}/readings", {
        params: { path: { id: sheetId } },
        body: { marks: marked, taking: { version, ...answer } },
      }),
    ),
  );
}

function Answered(props: {
  slate: SlateView;
  verdict: VerdictView | undefined;
  waiting: boolean;
  strip: SheetView;
  taken: string | undefined;
  problem: string | undefined;
  busy: boolean;
  fieldError: (pointer: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const navigate = useNavigate();
  const { verdict, strip, slate } = props;
  if (props.waiting || !verdict) {
    return (
      <Verdict
        headline={`Look for ${slate.medium.marks[0]?.asks ?? "the best patch"}.`}
        why="Tap it on the strip, or move its mark with the arrow keys. A tap on the line means between two."
        error={props.problem}
      />
    );
  }
  if (props.taken !== undefined) {
    return (
      <Verdict headline={props.taken} why="This reading is on record. Move a mark to read it again.">
        <Button
          type="primary"
          className="on-dark"
          onClick={() => void navigate(`/slates/${slate.id}/${slate.next.station}`)}
        >
          {slate.next.action}
        </Button>
        {!slate.subject.proof && (
          <Button className="on-dark-quiet" onClick={() => void navigate(`/slates/${slate.id}/shape`)}>
            Shape first
          </Button>
        )}
      </Verdict>
    );
  }
  const same = verdict.light.notation === strip.light.notation;
  return (
    <Verdict
      headline={verdict.headline}
      why={verdict.why}
      restsOn={[...verdict.restsOn, ...(verdict.check ? [verdict.check.why] : [])]}
      error={props.problem}
    >
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
      {!same && (
        <Button
          className="on-dark-quiet"
          disabled={props.busy}
          onClick={() => props.onAnswer({ answer: "KEEP_LIGHT" })}
        >
          Keep {strip.light.notation}, {seconds(verdict.keepSeconds)} s
        </Button>
      )}
      {verdict.check && (
        <Button
          className="on-dark-quiet"
          disabled={props.busy}
          onClick={() => props.onAnswer({ answer: "CHECK" })}
        >
          Check it on {verdict.check.patches} × {plainStops(verdict.check.stepStops)} stop
        </Button>
      )}
    </Verdict>
  );
}

function PatchTable(props: {
  slate: SlateView;
  strip: SheetView;
  kinds: readonly MarkKind[];
  marked: Marked;
}) {
  const { strip, slate } = props;
  const named = (number: number) =>
    slate.tones
      .filter((t) => t.onSheets.some((s) => s.sheetId === strip.id && s.patch === number))
      .map((t) => t.name);
  const says = (number: number) => marksOf(props.kinds, props.marked, number - 1);
  return (
    <table className={rowsClass(strip.patches.length)}>
      <thead>
        <tr>
          <th scope="col">Patch</th>
          <th scope="col">Received</th>
          <th scope="col">From middle</th>
          <th scope="col">Marked</th>
        </tr>
      </thead>
      <tbody>
        {strip.patches.map((p) => (
          <tr key={p.number} className={says(p.number) ? "chosen" : ""}>
            <td>{p.number}</td>
            <td>{seconds(p.givenSeconds)} s</td>
            <td>{Math.abs(p.stopsFromMiddle) < 1 / 24 ? "middle" : stopsWithUnit(p.stopsFromMiddle)}</td>
            <td>{[says(p.number), ...named(p.number)].filter((w) => w).join(", ")}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
