import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import type { SlateContext } from "../../app/SlateFrame";
import {
  type Schemas,
  type SheetView,
  type VerdictView,
  api,
  isOfBothLights,
  isOfOneLight,
  sheetPicture,
  toProblem,
  unwrap,
} from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { HandIn } from "../../shared/scan/HandIn";
import { Doubt } from "../../shared/ui/Doubt";
import { Print } from "../../shared/ui/Print";
import { type Answer, Answered } from "./Answered";
import { useLooking } from "./kept";
import { type Look, MOST_LOOKS, areApart, lookOf, withLook, withLooks } from "./looks";
import { Mark } from "./Mark";
import { PatchTable } from "./PatchTable";
import { PieceFinder } from "./PieceFinder";
import { LookAgain, LookedAt, OffTheTest, OneSheet, ToneOfMark } from "./ReadFields";
import { PictureFacts, PictureStage, ReferenceTools } from "./ReadPicture";
import { type OtherRow, TestPicture } from "./TestPicture";
import {
  type Asked,
  type Tapped,
  answering,
  firstAsked,
  kindsInPicture,
  isMeasured,
  turnedIn,
  useMeasured,
  withoutPlaces,
} from "./pictured";
import { type MarkField, type Marked, isMarked, markAfter, sameMarks } from "./marks";

/** Which of several rows is read, and how one goes to the others. */
export interface RowRead {
  number: number;
  others: readonly OtherRow[];
}

/** Reading a test: the marks it asks for, and the verdict that follows from them and from all readings before. */
export function ReadTest(props: SlateContext & { strip: SheetView; row?: RowRead; switcher: ReactNode }) {
  const { slate, strip } = props;
  const navigate = useNavigate();
  const kinds = strip.asks;
  const pictureKinds = kindsInPicture(kinds, slate);
  const readings = strip.decisions.filter((d) => d.kind === "READING");
  const before = readings.filter((d) => !d.fromPicture).at(-1);
  const [asked, setAsked] = useState<Asked>();
  const [taps, setTaps] = useState<Tapped>({ field: kinds[0]?.field ?? "moreStops" });
  const [takenAs, setTakenAs] = useState<Asked>();
  const measured = useMeasured(strip, asked, props.row?.number);
  const pictured = asked !== undefined && measured.data ? measured.data : undefined;
  const turn = () => setAsked((now) => now && pictured && turnedIn(now, pictured));
  const canMeasure = strip.pictureId !== undefined && isOfOneLight(strip) && !isOfBothLights(strip);
  const byPicture = (on: boolean) => {
    if (on && canMeasure) setAsked((now) => now ?? firstAsked(pictureKinds));
    else setAsked(undefined);
  };
  const [looking, look] = useLooking();
  const recorded = before ? marksIn(before) : {};
  const [placed, setPlaced] = useState<Marked>(() =>
    withLook(recorded, recorded.looks?.at(-1) ?? lookOf(recorded)),
  );
  const [earlier, setEarlier] = useState<readonly Look[]>(() => recorded.looks?.slice(0, -1) ?? []);
  const [next, setNext] = useState<string>(kinds[0]?.field ?? "");
  const [alone, setAlone] = useState(false);
  const marked: Marked = {
    ...placed,
    ...(props.row !== undefined && { row: props.row.number }),
    dry: placed.dry ?? looking.dry,
    ...(looking.second && { second: true }),
    ...(looking.lamp !== "" && { lamp: looking.lamp }),
  };
  const shown: Marked = pictured && asked ? withoutPlaces(marked, answering(asked, pictured)) : marked;
  const told = asked ? shown : withLooks(shown, earlier);
  // A black alone may be enough on one of two rows: the other one may have told where the whites hold.
  const blackOfRow = props.row !== undefined && marked.blacksAt !== undefined;
  const isAnswered = asked
    ? pictured !== undefined && isMeasured(pictured)
    : isMarked(kinds, marked) || blackOfRow;
  const proposal = useProposal(strip, isAnswered, told, slate.recipeId);
  const read = useReading(slate.id, strip.id, told);
  const set = (field: string, at: number) =>
    setPlaced((m) => ({
      ...m,
      [field]: at,
      beyond: undefined,
      ...(field === "blacksAt" && { blackBeyond: undefined }),
    }));
  const mayLookAgain =
    !asked &&
    kinds.length > 0 &&
    isOfOneLight(strip) &&
    marked.beyond === undefined &&
    isMarked(kinds, marked) &&
    earlier.length + 1 < MOST_LOOKS;
  const lookAgain = () => {
    if (!mayLookAgain) return;
    setEarlier((looks) => [...looks, lookOf(placed)]);
    setPlaced((m) => withLook(m, {}));
    setNext(kinds[0]?.field ?? "");
  };
  const dropLook = () => {
    setPlaced((m) => withLook(m, earlier.at(-1) ?? {}));
    setEarlier((looks) => looks.slice(0, -1));
  };
  const wanted = kinds.find((k) => k.field === next);
  const standing = marked[next as MarkField] ?? 0;
  useKeys({
    ...Object.fromEntries(
      (asked ? pictureKinds : kinds).map((k) => [
        k.key,
        () => (asked ? setTaps({ field: k.field }) : setNext(k.field)),
      ]),
    ),
    ...(mayLookAgain && { g: lookAgain }),
    ...(kinds.length > 0 && !asked && { a: () => setAlone((now) => !now) }),
    ...(canMeasure && { i: () => byPicture(asked === undefined) }),
    ...(asked && {
      p: () => setTaps("white"),
      n: () => setTaps("black"),
      y: () => setTaps("greyCard"),
      l: turn,
    }),
  });
  const way = markWay(strip);
  const last = readings.at(-1);
  const taken = asked
    ? last?.fromPicture === true && asked === takenAs
      ? last.headline
      : undefined
    : before && before === last && sameMarks(kinds, lookedAt(told), lookedAt(recorded))
      ? before.headline
      : undefined;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Test: read {strip.label}</h1>
        <div className="stage-tools">
          {canMeasure && (
            <>
              <button type="button" aria-pressed={!asked} onClick={() => byPicture(false)}>
                By eye
              </button>
              <button type="button" aria-pressed={asked !== undefined} onClick={() => byPicture(true)}>
                From a picture <kbd>I</kbd>
              </button>
            </>
          )}
          {asked && <ReferenceTools taps={taps} onTaps={setTaps} />}
          {asked && (
            <button type="button" disabled={pictured?.papers.length !== 1} onClick={turn}>
              Turn <kbd>L</kbd>
            </button>
          )}
          {kinds.length > 0 && !asked && (
            <button type="button" aria-pressed={alone} onClick={() => setAlone((now) => !now)}>
              One patch alone <kbd>A</kbd>
            </button>
          )}
        </div>
        {asked && pictured ? (
          <PictureStage sheet={strip} view={pictured} asked={asked} taps={taps} onAsk={setAsked} />
        ) : (
          <Print source={sheetPicture(strip)} alt={`${strip.label}, as it came out`} aspect={strip.aspect}>
            <TestPicture
              sheet={strip}
              kinds={kinds}
              marked={marked}
              otherRows={props.row?.others ?? []}
              alone={alone ? standing : undefined}
              onMark={(at) => {
                if (kinds.length === 0) return;
                set(next, at);
                setNext(markAfter(kinds, next));
              }}
            />
          </Print>
        )}
        <p className="stage-note">
          {strip.simulatedPicture && "Simulated paper. "}
          {strip.pictureId === undefined && "Read the paper in your hand. "}
          {asked
            ? "Tap where the tone lies, once in each patch that shows it; tap a spot again to take it away. "
            : wanted && `Tap ${wanted.asks}, or the line between two. `}
          <HandIn slateId={slate.id} sheet={strip} />
        </p>
      </main>
      <aside className="panel dense" aria-label="Read the test">
        {props.switcher}
        <Doubt sheet={strip} />
        <LookedAt
          looking={{ ...looking, dry: marked.dry === true }}
          open={slate.setup.driesDownPercent !== undefined}
          lampError={read.error?.at("/marks/lamp")}
          onLook={(part) => {
            look(part);
            if (part.dry !== undefined) setPlaced((m) => ({ ...m, dry: part.dry }));
          }}
        />
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        {asked ? (
          pictured ? (
            <PictureFacts
              view={pictured}
              kinds={pictureKinds}
              asked={asked}
              taps={taps}
              onTaps={setTaps}
              onAsk={setAsked}
            />
          ) : (
            <p role="status">{measured.error?.message ?? "Measuring …"}</p>
          )
        ) : kinds.length > 0 ? (
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
            {kinds.some((k) => k.field === "blacksAt") &&
              isOfOneLight(strip) &&
              marked.beyond === undefined && (
                <NoBlack
                  beyond={marked.blackBeyond}
                  onBeyond={(blackBeyond) => setPlaced((m) => ({ ...m, blackBeyond, blacksAt: undefined }))}
                />
              )}
            <LookAgain
              look={earlier.length + 1}
              apart={areApart(told.looks ?? [])}
              onAgain={mayLookAgain ? lookAgain : undefined}
              onDrop={earlier.length > 0 ? dropLook : undefined}
            />
            <ToneOfMark
              slate={slate}
              kind={wanted}
              marked={marked}
              onTone={(field, tone) => setPlaced((m) => ({ ...m, [field]: tone }))}
            />
            <OffTheTest
              shown={isOfOneLight(strip)}
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
          waiting={!isAnswered}
          pictured={asked !== undefined}
          kinds={kinds}
          strip={strip}
          taken={taken}
          problem={
            proposal.error?.message ?? (read.error?.errors.length === 0 ? read.error.message : undefined)
          }
          busy={read.isPending}
          fieldError={(at) => read.error?.at(at)}
          onAnswer={(answer) =>
            read.mutate(answer, {
              onSuccess: () => {
                setTakenAs(asked);
                if (answer.answer === "CHECK") void navigate(`/slates/${slate.id}/test?sheet=plan`);
              },
            })
          }
        />
      </aside>
    </>
  );
}

/** A first true black that lies off the test is said too: what the last patch got is then the least that is known. */
function NoBlack(props: { beyond: string | undefined; onBeyond: (beyond: string | undefined) => void }) {
  const { beyond, onBeyond } = props;
  return (
    <p className="black-beyond" role="group" aria-label="The black is not on it">
      {(
        [
          ["DARKER", "No patch is black"],
          ["LIGHTER", "Every patch is black"],
        ] as const
      ).map(([where, words]) => (
        <button
          key={where}
          type="button"
          className="link"
          aria-pressed={beyond === where}
          onClick={() => onBeyond(beyond === where ? undefined : where)}
        >
          {beyond === where ? `✓ ${words}` : words}
        </button>
      ))}
    </p>
  );
}

/** How the pieces of a test are told apart, if by marks on them. */
function markWay(sheet: SheetView): "CORNERS" | "NIPS" | undefined {
  const mark = sheet.patches[0]?.mark ?? "";
  if (mark === "") return undefined;
  return mark.includes("nip") ? "NIPS" : "CORNERS";
}

/** The marks as they are compared: those of the last look, with the looks beside them. */
function lookedAt(marked: Marked): Marked {
  const last = marked.looks?.at(-1);
  return last ? withLook(marked, last) : marked;
}

function marksIn(reading: Schemas["DecisionView"]): Marked {
  const { whitesAt, blacksAt, rightAt, dry, moreStops, beyond, blackBeyond } = reading;
  const { whitesTone, rightTone, blacksTone, looks } = reading;
  const tones = { whitesTone, rightTone, blacksTone };
  return { whitesAt, blacksAt, rightAt, dry, moreStops, beyond, blackBeyond, ...tones, looks };
}

function useProposal(sheet: SheetView, enabled: boolean, marked: Marked, recipeId: string) {
  return useQuery<VerdictView, ReturnType<typeof toProblem>>({
    queryKey: ["reading", sheet.id, marked, recipeId],
    enabled,
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
