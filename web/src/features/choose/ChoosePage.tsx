import { Button, Input } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { type SlateContext, useSlateContext } from "../../app/SlateFrame";
import { useRoll } from "../../shared/api/shelf";
import { ProofSheet } from "../../shared/ui/ProofSheet";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Verdict } from "../../shared/ui/Verdict";

/** The frame of this slate on its roll's proof sheet, and the intent, which is shown again at every judgement. */
export function ChoosePage() {
  const { slate, edit } = useSlateContext();
  const roll = useRoll(slate.subject.rollId).data;
  const navigate = useNavigate();
  return (
    <>
      <main className="stage scrolls">
        <h1 className="visually-hidden">Choose</h1>
        {roll && (
          <ProofSheet
            roll={roll}
            chosen={slate.subject.frame?.id}
            onChoose={(frame) => {
              if (frame.id !== slate.subject.frame?.id) void navigate("/rolls");
            }}
          />
        )}
      </main>
      <aside className="panel" aria-label="Choose">
        <h2>{slate.naming.title}</h2>
        <p className="lead">
          {slate.subject.rollTitle}, {slate.subject.name}.
        </p>
        <TextLine
          key={`t-${slate.recipeId}`}
          label="Title"
          standing={slate.naming.title}
          rows={1}
          max={80}
          error={edit.error?.at("/naming/title")}
          onCommit={(title) => edit.mutate({ naming: { title } })}
        />
        <TextLine
          key={`i-${slate.recipeId}`}
          label="Intent, in a line"
          standing={slate.naming.intent}
          rows={3}
          max={400}
          error={edit.error?.at("/naming/intent")}
          onCommit={(intent) => edit.mutate({ naming: { intent } })}
        />
        <p className="field-hint">
          What must stay white, what black, where the eye goes. It is kept when you leave the field.
        </p>
        {!slate.subject.proof && <Wanted slate={slate} edit={edit} />}
        <Verdict headline={slate.next.headline} why={slate.next.why}>
          <NextStepButton slateId={slate.id} next={slate.next} />
          <Button className="on-dark-quiet" onClick={() => void navigate("/rolls")}>
            {slate.subject.proof ? "All rolls" : "Another frame"}
          </Button>
        </Verdict>
      </aside>
    </>
  );
}

/** Two taps beside the line: what the print must have at its ends; readings and verdicts ask for no more than that. */
function Wanted({ slate, edit }: SlateContext) {
  const { whiteWanted, blackWanted } = slate.naming;
  return (
    <div className="taps" role="group" aria-label="What the print must have">
      <button
        type="button"
        aria-pressed={whiteWanted}
        onClick={() => edit.mutate({ naming: { whiteWanted: !whiteWanted } })}
      >
        a white that holds
      </button>
      <button
        type="button"
        aria-pressed={blackWanted}
        onClick={() => edit.mutate({ naming: { blackWanted: !blackWanted } })}
      >
        a true black
      </button>
    </div>
  );
}

function TextLine(props: {
  label: string;
  standing: string;
  rows: number;
  max: number;
  error: string | undefined;
  onCommit: (text: string) => void;
}) {
  const [text, setText] = useState(props.standing);
  const id = `choose-${props.label.split(",")[0]?.toLowerCase() ?? ""}`;
  return (
    <div className="field">
      <label htmlFor={id}>{props.label}</label>
      <Input.TextArea
        id={id}
        value={text}
        rows={props.rows}
        maxLength={props.max}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text.trim() !== props.standing && props.onCommit(text)}
      />
      {props.error && (
        <p className="field-message" role="alert">
          {props.error}
        </p>
      )}
    </div>
  );
}
