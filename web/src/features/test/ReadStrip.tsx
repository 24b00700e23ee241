import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import type { SlateContext } from "../../app/SlateFrame";
import {
  type SheetView,
  type VerdictView,
  api,
  sheetPicture,
  toProblem,
  unwrap,
} from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { Print } from "../../shared/ui/Print";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { Verdict } from "../../shared/ui/Verdict";
import { plainStops, seconds, stopsWithUnit } from "../../shared/units/format";
import { Mark } from "./Mark";
import { type Marked, StripPicture } from "./StripPicture";
import { rowsClass } from "./rows";

interface Answer {
  answer: "PROPOSED" | "CHECK" | "KEEP_GRADE" | "OWN";
  filter?: string;
  seconds?: number;
}

/** Reading a strip: the patch where the whites just hold, the first true black, and the verdict. */
export function ReadStrip(props: SlateContext & { strip: SheetView; switcher: ReactNode }) {
  const { slate, strip } = props;
  const navigate = useNavigate();
  const before = strip.decisions.filter((d) => d.kind === "READING").at(-1);
  const [marked, setMarked] = useState<Marked>({ whites: before?.whitesAt, blacks: before?.blacksAt });
  const [next, setNext] = useState<keyof Marked>("whites");
  const proposal = useProposal(strip.id, marked, slate.recipe.id);
  const read = useReading(slate.id, strip.id, marked);
  const mark = (which: keyof Marked, at: number) => {
    setMarked((m) => ({ ...m, [which]: at }));
    setNext(which === "whites" ? "blacks" : "whites");
  };
  useKeys({ w: () => setNext("whites"), k: () => setNext("blacks") });
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Test: read {strip.label}</h1>
        <Print
          source={strip.hasPicture ? sheetPicture(strip.id) : undefined}
          alt={`${strip.label}, as it came out`}
          aspect={strip.aspect}
        >
          <StripPicture strip={strip} marked={marked} next={next} onMark={(at) => mark(next, at)} />
        </Print>
        <p className="stage-note">
          {strip.hasPicture ? "Simulated paper. " : "No scan: read the paper in your hand. "}
          Tap {next === "whites" ? "the patch where the whites just hold" : "the first true black"}, or the
          line between two.
        </p>
      </main>
      <aside className="panel dense" aria-label="Read the strip">
        {props.switcher}
        <p className="lead">Judge it dry, under white light.</p>
        {slate.recipe.intent && <p className="intent-line">“{slate.recipe.intent}”</p>}
        <PatchTable strip={strip} marked={marked} />
        <div className="marks">
          <Mark
            label="Whites hold at"
            letter="W"
            active={next === "whites"}
            strip={strip}
            at={marked.whites}
            onFocus={() => setNext("whites")}
            onMove={(at) => setMarked((m) => ({ ...m, whites: at }))}
          />
          <Mark
            label="First true black at"
            letter="K"
            active={next === "blacks"}
            strip={strip}
            at={marked.blacks}
            onFocus={() => setNext("blacks")}
            onMove={(at) => setMarked((m) => ({ ...m, blacks: at }))}
          />
        </div>
        <Answered
          verdict={proposal.data}
          waiting={marked.whites === undefined}
          strip={strip}
          taken={
            before !== undefined && marked.whites === before.whitesAt && marked.blacks === before.blacksAt
              ? before.headline
              : undefined
          }
          problem={
            proposal.error?.message ?? (read.error?.errors.length === 0 ? read.error.message : undefined)
          }
          busy={read.isPending}
          fieldError={(at) => read.error?.at(at)}
          slateId={slate.id}
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

function useProposal(sheetId: string, marked: Marked, recipeId: string) {
  return useQuery<VerdictView>({
    queryKey: ["reading", sheetId, marked.whites, marked.blacks, recipeId],
    enabled: marked.whites !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/readings/proposal", {
          params: { path: { id: sheetId } },
          body: { whitesAt: marked.whites, blacksAt: marked.blacks },
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
        body: { version, whitesAt: marked.whites, blacksAt: marked.blacks, ...answer },
      }),
    ),
  );
}

function Answered(props: {
  verdict: VerdictView | undefined;
  waiting: boolean;
  strip: SheetView;
  taken: string | undefined;
  problem: string | undefined;
  busy: boolean;
  slateId: string;
  fieldError: (pointer: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const navigate = useNavigate();
  const { verdict, strip } = props;
  if (props.waiting || !verdict) {
    return (
      <Verdict
        headline="Look for the whites first."
        why="Find the lightest patch in which the brightest tone that must keep detail is just not bare paper."
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
          onClick={() => void navigate(`/slates/${props.slateId}/print`)}
        >
          Go to Print
        </Button>
        <Button className="on-dark-quiet" onClick={() => void navigate(`/slates/${props.slateId}/shape`)}>
          Shape first
        </Button>
      </Verdict>
    );
  }
  const same = verdict.filter === strip.filter;
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
        Set grade {verdict.filter}, {seconds(verdict.seconds)} s
      </Button>
      <OwnRecipe
        filter={verdict.filter}
        seconds={verdict.seconds}
        error={props.fieldError}
        onTake={(filter, own) => props.onAnswer({ answer: "OWN", filter, seconds: own })}
      />
      {!same && (
        <Button
          className="on-dark-quiet"
          disabled={props.busy}
          onClick={() => props.onAnswer({ answer: "KEEP_GRADE" })}
        >
          Keep {strip.filter}, {seconds(verdict.keepSeconds)} s
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

function PatchTable(props: { strip: SheetView; marked: Marked }) {
  const { strip, marked } = props;
  const says = (number: number) => {
    const at = number - 1;
    const words = [];
    if (marked.whites === at) words.push("whites hold");
    else if (marked.whites === at + 0.5) words.push("whites just past");
    if (marked.blacks === at) words.push("first black");
    else if (marked.blacks === at + 0.5) words.push("black just past");
    return words.join(", ");
  };
  return (
    <table className={rowsClass(strip.patches.length)}>
      <thead>
        <tr>
          <th scope="col">Patch</th>
          <th scope="col">Received</th>
          <th scope="col">From centre</th>
          <th scope="col">Marked</th>
        </tr>
      </thead>
      <tbody>
        {strip.patches.map((p) => (
          <tr key={p.number} className={says(p.number) ? "chosen" : ""}>
            <td>{p.number}</td>
            <td>{seconds(p.givenSeconds)} s</td>
            <td>{Math.abs(p.stopsFromCentre) < 1 / 24 ? "centre" : stopsWithUnit(p.stopsFromCentre)}</td>
            <td>{says(p.number)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
