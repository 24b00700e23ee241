import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { type SheetView, type SlateView, api, toProblem, unwrap } from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";
import { Doubt } from "../../shared/ui/Doubt";
import { OwnRecipe } from "../../shared/ui/OwnRecipe";
import { QuantityField } from "../../shared/ui/QuantityField";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Verdict } from "../../shared/ui/Verdict";
import { signedStops, stopWord } from "../../shared/units/format";
import { settingText } from "../../shared/units/parts";
import { SideBySide } from "./SideBySide";

/** How the next print should differ: positive stops = darker, positive grades = harder. */
interface Wishes {
  darker: number;
  harder: number;
}

type Answer =
  { accept: true } | { accept: false; answer: "PROPOSED" | "OWN"; light?: string; seconds?: number };

/** Judging a print beside the sheet before it: lighter or darker, flatter or harder, or accepted. */
export function JudgePage() {
  const context = useSlateContext();
  const [search] = useSearchParams();
  const prints = context.slate.sheets.filter((s) => s.patches.length === 0 && s.state === "HUNG");
  const print = prints.find((s) => s.id === search.get("sheet")) ?? prints.at(-1);
  return print ? <Judging key={print.id} {...context} print={print} /> : <NothingYet slate={context.slate} />;
}

function NothingYet(props: { slate: SlateView }) {
  const { next } = props.slate;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Judge</h1>
        <p className="empty-line">No print hangs here yet.</p>
      </main>
      <aside className="panel" aria-label="Judge">
        <h2>Judge</h2>
        <p className="lead">The first print appears here as soon as it is hung.</p>
        <Verdict headline={next.headline} why={next.why}>
          <NextStepButton slateId={props.slate.id} next={next} />
        </Verdict>
      </aside>
    </>
  );
}

function Judging({ slate, print }: SlateContext & { print: SheetView }) {
  const navigate = useNavigate();
  const [wishes, setWishes] = useState<Wishes>({ darker: 0, harder: 0 });
  const [remark, setRemark] = useState("");
  const hung = slate.sheets.filter((s) => s.state === "HUNG");
  const before = hung[hung.findIndex((s) => s.id === print.id) - 1];
  const accepted = slate.acceptedSheetId === print.id;
  const answer = useAnswer(slate.id, print.id, wishes, remark);
  // Of two prints the earlier one may be the better.
  const answerBefore = useAnswer(slate.id, before?.id ?? print.id, { darker: 0, harder: 0 }, remark);
  const send = (a: Answer) =>
    answer.mutate(a, {
      onSuccess: (next) => {
        if (a.accept) void navigate(`/slates/${next.id}/keep`);
      },
    });
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Judge {print.label}</h1>
        <SideBySide
          slateId={slate.id}
          before={before}
          print={print}
          acceptedId={slate.acceptedSheetId}
          onTake={(sheet) =>
            (sheet.id === print.id ? answer : answerBefore).mutate(
              { accept: true },
              { onSuccess: (next) => void navigate(`/slates/${next.id}/keep`) },
            )
          }
        />
      </main>
      <aside className="panel dense" aria-label={`Judge ${print.label}`}>
        <h2>Judge {print.label.toLowerCase()}</h2>
        <Doubt sheet={print} />
        {slate.naming.intent && <p className="intent-line">“{slate.naming.intent}”</p>}
        <Wish
          label="Darker or lighter"
          hint="+ darker, − lighter"
          value={wishes.darker}
          options={[-1 / 2, -1 / 3, -1 / 6, 0, 1 / 6, 1 / 3, 1 / 2]}
          unit={stopWord(wishes.darker)}
          step={1 / 12}
          onChange={(darker) => setWishes((w) => ({ ...w, darker }))}
        />
        {slate.medium.choosesContrast && (
          <Wish
            label="Harder or softer"
            hint="+ harder, − softer, in half grades"
            value={wishes.harder}
            options={[-1, -1 / 2, 0, 1 / 2, 1]}
            unit="grade"
            step={1 / 2}
            onChange={(harder) => setWishes((w) => ({ ...w, harder }))}
          />
        )}
        <div className="field">
          <label htmlFor="remark">Remark, by area</label>
          <textarea
            id="remark"
            className="plain-area"
            rows={2}
            maxLength={400}
            value={remark}
            placeholder="Sky bare, door blocked"
            onChange={(e) => setRemark(e.target.value)}
          />
        </div>
        {accepted ? (
          <Verdict
            headline={`${print.label} is accepted.`}
            why="Its recipe is on one page at Keep. Judge it again to go on from it."
          >
            <Button
              type="primary"
              className="on-dark"
              onClick={() => void navigate(`/slates/${slate.id}/keep`)}
            >
              Open recipe
            </Button>
          </Verdict>
        ) : null}
        {!accepted && <Decided slate={slate} print={print} />}
        <Judged
          print={print}
          wishes={wishes}
          slate={slate}
          accepted={accepted}
          busy={answer.isPending}
          problem={answer.error?.errors.length === 0 ? answer.error.message : undefined}
          fieldError={(at) => answer.error?.at(at)}
          onAnswer={send}
        />
      </aside>
    </>
  );
}

/** What was said about this print before, and what the slate waits for since. */
function Decided(props: { slate: SlateView; print: SheetView }) {
  const { slate, print } = props;
  const last = print.decisions.at(-1);
  if (!last) return null;
  return (
    <div className="note decided">
      <p>
        <strong>On record:</strong> {last.headline} {last.remark && `“${last.remark}”`}
      </p>
      <p>
        <strong>Next:</strong> {slate.next.headline}{" "}
        <Link to={`/slates/${slate.id}/${slate.next.station}`}>{slate.next.action}</Link>. Or judge this print
        again below.
      </p>
    </div>
  );
}

function useAnswer(slateId: string, sheetId: string, wishes: Wishes, remark: string) {
  const path = { params: { path: { id: sheetId } } };
  return useSlateChange<Answer>(slateId, (answer, version) => {
    if (answer.accept) {
      return unwrap(api.POST("/api/sheets/{id}/acceptance", { ...path, body: { version, remark } }));
    }
    const { answer: choice, light, seconds: own } = answer;
    return unwrap(
      api.POST("/api/sheets/{id}/judgements", {
        ...path,
        body: {
          wishes: { darkerStops: wishes.darker, harderGrades: wishes.harder },
          taking: { version, answer: choice, light, seconds: own, remark },
        },
      }),
    );
  });
}

function Judged(props: {
  print: SheetView;
  wishes: Wishes;
  slate: SlateView;
  accepted: boolean;
  busy: boolean;
  problem: string | undefined;
  fieldError: (at: string) => string | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const { slate, print, wishes } = props;
  const proposal = useQuery({
    queryKey: ["judgement", print.id, wishes, slate.recipeId],
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/judgements/proposal", {
          params: { path: { id: print.id } },
          body: { darkerStops: wishes.darker, harderGrades: wishes.harder },
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
  const verdict = proposal.data;
  const changes = wishes.darker !== 0 || wishes.harder !== 0;
  const bothParts = slate.base.parts.length > 1 && slate.base.light.notation === verdict?.light.notation;
  if (!verdict || (props.accepted && !changes)) return null;
  return (
    <Verdict
      headline={verdict.headline}
      why={verdict.why}
      restsOn={verdict.restsOn}
      error={proposal.error?.message ?? props.problem}
    >
      {changes ? (
        <Button
          type="primary"
          className="on-dark"
          loading={props.busy}
          onClick={() => props.onAnswer({ accept: false, answer: "PROPOSED" })}
        >
          {bothParts ? "Set both parts" : `Set ${settingText(slate.base, verdict)}`}
        </Button>
      ) : (
        <Button
          type="primary"
          className="on-dark"
          loading={props.busy}
          onClick={() => props.onAnswer({ accept: true })}
        >
          Accept {print.label.toLowerCase()}
        </Button>
      )}
      <OwnRecipe
        slate={slate}
        light={verdict.light.notation}
        seconds={verdict.seconds}
        error={props.fieldError}
        onTake={(light, own) => props.onAnswer({ accept: false, answer: "OWN", light, seconds: own })}
      />
    </Verdict>
  );
}

function Wish(props: {
  label: string;
  hint: string;
  value: number;
  options: readonly number[];
  unit: string;
  step: number;
  onChange: (value: number) => void;
}) {
  const snap = (value: number) => Math.round(value / props.step) * props.step;
  return (
    <div className="wish" role="group" aria-label={props.label}>
      <p>
        <span>{props.label}</span>
        <span className="field-hint">{props.hint}</span>
      </p>
      <div className="wish-line">
        {props.options.map((option) => (
          <button
            key={option}
            type="button"
            aria-pressed={Math.abs(option - props.value) < 1e-6}
            onClick={() => props.onChange(option)}
          >
            {signedStops(option)}
          </button>
        ))}
        <QuantityField
          label={props.label}
          labelHidden
          shown={signedStops(props.value)}
          unit={props.unit}
          units={["stop", "stops", "grade", "grades"]}
          onCommit={(c) => props.onChange(snap(c.value))}
          onStep={(direction, big) =>
            props.onChange(snap(props.value + direction * props.step * (big ? 4 : 1)))
          }
        />
      </div>
    </div>
  );
}
