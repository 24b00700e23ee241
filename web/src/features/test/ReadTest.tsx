import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Button, Checkbox } from "antd";
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
import { Choice, Ways } from "../../shared/ui/Choice";
import { Doubt } from "../../shared/ui/Doubt";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { Print } from "../../shared/ui/Print";
import { QuantityField } from "../../shared/ui/QuantityField";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { plainStops, seconds, signedStops, stopsWithUnit } from "../../shared/units/format";
import { inWords, useLooking } from "./kept";
import { Mark } from "./Mark";
import { PieceFinder } from "./PieceFinder";
import { TestPicture } from "./TestPicture";
import {
  type MarkField,
  type MarkKind,
  type Marked,
  isMarked,
  markAfter,
  marksOf,
  sameMarks,
  toneField,
} from "./marks";
import { rowsClass } from "./rows";

interface Answer {
  answer: NonNullable<Schemas["Taking"]["answer"]>;
  light?: string;
  seconds?: number;
}

const SIXTH = 1 / 6;

/** Reading a test: the marks it asks for, and the verdict that follows from them and from all readings before. */
export function ReadTest(props: SlateContext & { strip: SheetView; switcher: ReactNode }) {
  const { slate, strip } = props;
  const navigate = useNavigate();
  const kinds = strip.asks;
  const before = strip.decisions.filter((d) => d.kind === "READING").at(-1);
  const [looking, look] = useLooking();
  const [placed, setPlaced] = useState<Marked>(before ? marksIn(before) : {});
  const [next, setNext] = useState<string>(kinds[0]?.field ?? "");
  const [alone, setAlone] = useState(false);
  const marked: Marked = {
    ...placed,
    dry: placed.dry ?? looking.dry,
    ...(looking.second && { second: true }),
    ...(looking.lamp !== "" && { lamp: looking.lamp }),
  };
  const proposal = useProposal(strip, kinds, marked, slate.recipeId);
  const read = useReading(slate.id, strip.id, marked);
  const set = (field: string, at: number) => setPlaced((m) => ({ ...m, [field]: at, beyond: undefined }));
  const wanted = kinds.find((k) => k.field === next);
  const standing = marked[next as MarkField] ?? 0;
  useKeys({
    ...Object.fromEntries(kinds.map((k) => [k.key, () => setNext(k.field)])),
    ...(kinds.length > 0 && { a: () => setAlone((now) => !now) }),
  });
  const way = markWay(strip);
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Test: read {strip.label}</h1>
        {kinds.length > 0 && (
          <div className="stage-tools">
            <button type="button" aria-pressed={alone} onClick={() => setAlone((now) => !now)}>
              One patch alone <kbd>A</kbd>
            </button>
          </div>
        )}
        <Print source={sheetPicture(strip)} alt={`${strip.label}, as it came out`} aspect={strip.aspect}>
          <TestPicture
            sheet={strip}
            kinds={kinds}
            marked={marked}
            alone={alone ? standing : undefined}
            onMark={(at) => {
              if (kinds.length === 0) return;
              set(next, at);
              setNext(markAfter(kinds, next));
            }}
          />
        </Print>
        <p className="stage-note">
          {strip.simulatedPicture && "Simulated paper. "}
          {strip.pictureId === undefined && "Read the paper in your hand. "}
          {wanted && `Tap ${wanted.asks}, or the line between two. `}
          <HandIn slateId={slate.id} sheet={strip} />
        </p>
      </main>
      <aside className="panel dense" aria-label="Read the test">
        {props.switcher}
        <Doubt sheet={strip} />
        <details className="more">
          <summary>Looked at {inWords({ ...looking, dry: marked.dry === true })}</summary>
          <Ways
            label="How the test is as it is read"
            value={marked.dry === true ? "dry" : "wet"}
            ways={[
              { value: "wet", label: "Wet, as it comes" },
              { value: "dry", label: "Dry" },
            ]}
            onChange={(state) => {
              look({ dry: state === "dry" });
              setPlaced((m) => ({ ...m, dry: state === "dry" }));
            }}
          />
          <TextField
            label="Under which light"
            value={looking.lamp}
            longest={40}
            error={read.error?.at("/marks/lamp")}
            onChange={(lamp) => look({ lamp })}
          />
          <Checkbox checked={looking.second} onChange={(event) => look({ second: event.target.checked })}>
            Somebody else looked too, and sees it alike
          </Checkbox>
        </details>
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        {kinds.length > 0 ? (
          <>
            <PatchTable slate={slate} strip={strip} kinds={kinds} marked={marked} />
            {way && <PieceFinder sheet={strip} way={way} />}
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
            <ToneOfMark
              slate={slate}
              kind={wanted}
              marked={marked}
              onTone={(field, tone) => setPlaced((m) => ({ ...m, [field]: tone }))}
            />
            <OffTheTest
              shown={kinds.length > 1}
              beyond={marked.beyond}
              error={proposal.error?.at("/marks/beyond")}
              onBeyond={(beyond) => setPlaced((m) => ({ ...m, beyond }))}
            />
          </>
        ) : (
          <OneSheet
            more={marked.moreStops ?? 0}
            error={proposal.error?.at("/marks/moreStops")}
            onMore={(moreStops) => setPlaced((m) => ({ ...m, moreStops }))}
          />
        )}
        <Answered
          slate={slate}
          verdict={proposal.data}
          waiting={!isMarked(kinds, marked)}
          kinds={kinds}
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

/** How the pieces of a test are told apart, if by marks on them. */
function markWay(sheet: SheetView): "CORNERS" | "NIPS" | undefined {
  const mark = sheet.patches[0]?.mark ?? "";
  if (mark === "") return undefined;
  return mark.includes("nip") ? "NIPS" : "CORNERS";
}

function marksIn(reading: Schemas["DecisionView"]): Marked {
  const { whitesAt, blacksAt, rightAt, dry, moreStops, beyond, whitesTone, rightTone, blacksTone } = reading;
  return { whitesAt, blacksAt, rightAt, dry, moreStops, beyond, whitesTone, rightTone, blacksTone };
}

function useProposal(sheet: SheetView, kinds: readonly MarkKind[], marked: Marked, recipeId: string) {
  return useQuery<VerdictView, ReturnType<typeof toProblem>>({
    queryKey: ["reading", sheet.id, marked, recipeId],
    enabled: isMarked(kinds, marked),
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/readings/proposal", {
          params: { path: { id: sheet.id } },
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

/** The named tone that a mark is about; nothing where none was named. */
function ToneOfMark(props: {
  slate: SlateView;
  kind: MarkKind | undefined;
  marked: Marked;
  onTone: (field: string, tone: string | undefined) => void;
}) {
  const { slate, kind, marked } = props;
  if (!kind || slate.tones.length === 0) return null;
  const field = toneField(kind.field as MarkField);
  return (
    <Choice
      label={`${kind.label}: looked at where`}
      value={marked[field] ?? ""}
      options={[
        { value: "", label: "no tone in particular" },
        ...slate.tones.map((tone) => ({ value: tone.name, label: tone.name })),
      ]}
      onChange={(tone) => props.onTone(field, tone === "" ? undefined : tone)}
    />
  );
}

/** The answer may lie off the test. */
function OffTheTest(props: {
  shown: boolean;
  beyond: string | undefined;
  error: string | undefined;
  onBeyond: (beyond: string | undefined) => void;
}) {
  if (!props.shown) return null;
  return (
    <Choice
      label="Or it lies off this test"
      value={props.beyond ?? ""}
      options={[
        { value: "", label: "no, it is on it" },
        { value: "LIGHTER", label: "even the lightest is a little too dark" },
        { value: "FAR_LIGHTER", label: "all of it is as good as black" },
        { value: "DARKER", label: "even the darkest is a little too light" },
        { value: "FAR_DARKER", label: "all of it is bare" },
      ]}
      error={props.error}
      onChange={(beyond) => props.onBeyond(beyond === "" ? undefined : beyond)}
    />
  );
}

/** One sheet is read by how much more light it needs. */
function OneSheet(props: { more: number; error: string | undefined; onMore: (stops: number) => void }) {
  return (
    <QuantityField
      label="It needs more light"
      shown={signedStops(props.more)}
      unit="stop"
      units={["stop", "stops"]}
      hint="+ is a darker print, − a lighter one; 0 where it is right."
      error={props.error}
      onCommit={(c) => props.onMore(c.value)}
      onStep={(direction, big) => props.onMore(props.more + direction * (big ? 3 : 1) * SIXTH)}
    />
  );
}

function Answered(props: {
  slate: SlateView;
  verdict: VerdictView | undefined;
  waiting: boolean;
  kinds: readonly MarkKind[];
  strip: SheetView;
  taken: string | undefined;
  problem: string | undefined;
  busy: boolean;
  fieldError: (pointer: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const navigate = useNavigate();
  const accept = useAcceptance(props.slate.id, props.strip.id);
  const { verdict, strip, slate } = props;
  if (props.waiting || !verdict) {
    const asks = props.kinds[0]?.asks;
    return (
      <Verdict
        headline={asks === undefined ? "How much more light does it need?" : `Look for ${asks}.`}
        why={
          asks === undefined
            ? "Say it in stops; 0 where it is right."
            : "Tap it on the picture, or move its mark with the arrow keys. A tap on the line means between two."
        }
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
  const wholeSheet = props.kinds.length === 0 && strip.paperShare >= 1;
  return (
    <Verdict
      headline={verdict.headline}
      why={verdict.why}
      restsOn={[...verdict.restsOn, ...(verdict.check && !verdict.again ? [verdict.check.why] : [])]}
      error={props.problem ?? accept.error?.message}
    >
      {verdict.again ? (
        <Button
          type="primary"
          className="on-dark"
          loading={props.busy}
          onClick={() => props.onAnswer({ answer: "CHECK" })}
        >
          Plan it
        </Button>
      ) : (
        <>
          <Button
            type="primary"
            className="on-dark"
            loading={props.busy}
            onClick={() => props.onAnswer({ answer: "PROPOSED" })}
          >
            Set {verdict.light.notation}, {seconds(verdict.seconds)} s
          </Button>
          {wholeSheet && (
            <Button
              className="on-dark-quiet"
              loading={accept.isPending}
              onClick={() =>
                accept.mutate(undefined, { onSuccess: () => void navigate(`/slates/${slate.id}/keep`) })
              }
            >
              It is right: accept it
            </Button>
          )}
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
        </>
      )}
    </Verdict>
  );
}

/** A whole sheet that is right is the print. */
function useAcceptance(slateId: string, sheetId: string) {
  return useSlateChange<undefined>(slateId, (_, version) =>
    unwrap(
      api.POST("/api/sheets/{id}/acceptance", {
        params: { path: { id: sheetId } },
        body: { version },
      }),
    ),
  );
}

function PatchTable(props: {
  slate: SlateView;
  strip: SheetView;
  kinds: readonly MarkKind[];
  marked: Marked;
}) {
  const { strip, slate } = props;
  // Pieces of one spot hold the same tones all through: said once, below.
  const one = strip.patches.at(-1)?.piece === 1;
  const named = (number: number) =>
    slate.tones
      .filter((t) => t.onSheets.some((s) => s.sheetId === strip.id && s.patch === number))
      .map((t) => t.name);
  const everywhere = one ? [] : named(1);
  const says = (number: number) => marksOf(props.kinds, props.marked, number - 1);
  const through = strip.patches.some((p) => p.name !== "");
  const marks = strip.patches.some((p) => p.mark !== "");
  return (
    <>
      <table className={rowsClass(strip.patches.length)}>
        <thead>
          <tr>
            <th scope="col">{marks ? "Piece" : "Patch"}</th>
            {through && <th scope="col">{strip.patches.some((p) => p.sector) ? "Label" : "Through"}</th>}
            <th scope="col">Received</th>
            {!marks && <th scope="col">From middle</th>}
            {marks && <th scope="col">Mark</th>}
            <th scope="col">Marked</th>
          </tr>
        </thead>
        <tbody>
          {strip.patches.map((p) => (
            <tr key={p.number} className={says(p.number) ? "chosen" : ""}>
              <td>{p.number}</td>
              {through && <td>{p.name}</td>}
              <td>{seconds(p.givenSeconds)} s</td>
              {!marks && (
                <td>{Math.abs(p.stopsFromMiddle) < 1 / 24 ? "middle" : stopsWithUnit(p.stopsFromMiddle)}</td>
              )}
              {marks && <td>{p.mark.replace(/ corners? clipped/, "")}</td>}
              <td>{[says(p.number), ...(one ? named(p.number) : [])].filter((w) => w).join(", ")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {everywhere.length > 0 && <p className="note">In every patch: {everywhere.join(", ")}.</p>}
    </>
  );
}
