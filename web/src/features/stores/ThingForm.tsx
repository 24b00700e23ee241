import { Button, Checkbox } from "antd";
import { useState } from "react";
import type { Problem } from "../../shared/api/client";
import { Choice } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";
import { type Texts, read, written } from "./form";
import type { Fact } from "./shelves";

/** The fields of a thing: those that a computation needs, the rest folded. */
export function ThingForm(props: {
  facts: readonly Fact[];
  values?: Readonly<Record<string, unknown>>;
  /** Of lengths: mm, cm or in. */
  unit: string;
  saves: string;
  saving: boolean;
  problem: Problem | null;
  /** Where the pointers of a fact begin. */
  pointer: (name: string) => string;
  onSave: (body: Record<string, unknown>) => void;
}) {
  const { facts, unit, problem } = props;
  const [texts, setTexts] = useState<Texts>(() => written(facts, props.values, unit));
  const [unread, setUnread] = useState<Record<string, string>>({});
  const save = () => {
    const { body, problems } = read(facts, texts, unit, props.values === undefined);
    setUnread(problems);
    if (Object.keys(problems).length === 0) props.onSave(body);
  };
  const field = (fact: Fact) => (
    <FactField
      key={fact.name}
      fact={fact}
      unit={unit}
      text={texts[fact.name] ?? ""}
      error={unread[fact.name] ?? problem?.at(props.pointer(fact.name))}
      onChange={(text) => setTexts({ ...texts, [fact.name]: text })}
    />
  );
  const more = facts.filter((f) => f.more);
  const wrongInMore = more.some((f) => unread[f.name] ?? problem?.at(props.pointer(f.name)));
  return (
    <form
      className="thing-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      {facts.filter((f) => !f.more).map(field)}
      {more.length > 0 && (
        <details open={wrongInMore ? true : undefined}>
          <summary>More</summary>
          {more.map(field)}
        </details>
      )}
      <Button htmlType="submit" type="primary" loading={props.saving}>
        {props.saves}
      </Button>
      {problem?.errors.length === 0 && (
        <p className="field-message" role="alert">
          {problem.message}
        </p>
      )}
    </form>
  );
}

function FactField(props: {
  fact: Fact;
  unit: string;
  text: string;
  error: string | undefined;
  onChange: (text: string) => void;
}) {
  const { fact, text, error, onChange } = props;
  if (fact.as === "yes") {
    return (
      <Checkbox checked={text === "true"} onChange={(e) => onChange(String(e.target.checked))}>
        {fact.label}
      </Checkbox>
    );
  }
  if (fact.as === "choice") {
    return (
      <Choice
        label={fact.label}
        value={text}
        options={fact.options ?? []}
        error={error}
        onChange={onChange}
      />
    );
  }
  const unit = fact.as === "length" ? props.unit : fact.unit;
  return (
    <TextField
      label={fact.label}
      value={text}
      error={error}
      {...(unit !== undefined && { unit })}
      longest={80}
      onChange={onChange}
    />
  );
}
