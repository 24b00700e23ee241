import { Button, Input } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { useSlateContext } from "../../app/SlateFrame";
import { useRolls } from "../../shared/api/slate";
import { NextStepButton } from "../../shared/ui/NextStep";
import { Verdict } from "../../shared/ui/Verdict";
import { ProofSheet } from "../rolls/ProofSheet";

/** The frame of this slate on its roll's proof sheet, and the intent, which is shown again at every judgement. */
export function ChoosePage() {
  const { slate, edit } = useSlateContext();
  const rolls = useRolls();
  const navigate = useNavigate();
  const roll = rolls.data?.find((r) => r.id === slate.frame.rollId);
  return (
    <>
      <main className="stage scrolls">
        <h1 className="visually-hidden">Choose</h1>
        {roll && (
          <ProofSheet
            roll={roll}
            chosen={slate.frame.id}
            onChoose={(frame) => {
              if (frame.id !== slate.frame.id) void navigate("/rolls");
            }}
          />
        )}
      </main>
      <aside className="panel" aria-label="Choose">
        <h2>{slate.recipe.title}</h2>
        <p className="lead">
          {slate.frame.rollTitle}, frame {slate.frame.number}. {slate.frame.caption}
        </p>
        <TextLine
          key={`t-${slate.recipe.id}`}
          label="Title"
          standing={slate.recipe.title}
          rows={1}
          max={80}
          error={edit.error?.at("/title")}
          onCommit={(title) => edit.mutate({ title })}
        />
        <TextLine
          key={`i-${slate.recipe.id}`}
          label="Intent, in a line"
          standing={slate.recipe.intent}
          rows={3}
          max={400}
          error={edit.error?.at("/intent")}
          onCommit={(intent) => edit.mutate({ intent })}
        />
        <p className="field-hint">
          What must stay white, what black, where the eye goes. It is kept when you leave the field.
        </p>
        <Verdict headline={slate.next.headline} why={slate.next.why}>
          <NextStepButton slateId={slate.id} next={slate.next} />
          <Button className="on-dark-quiet" onClick={() => void navigate("/rolls")}>
            Another frame
          </Button>
        </Verdict>
      </aside>
    </>
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
