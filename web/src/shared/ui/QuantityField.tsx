import { Input } from "antd";
import { type KeyboardEvent, useId, useState } from "react";
import { parseQuantity } from "../units/parse";

/** What a field gives back: a new value, or a change where the field takes one ("+1/3"). */
export type Commit = { kind: "value"; value: number } | { kind: "change"; value: number; unit: string };

export interface QuantityFieldProps {
  label: string;
  /** The label is heard and not seen, where something beside the field says it. */
  labelHidden?: boolean;
  /** What stands now, as text without its unit. */
  shown: string;
  unit?: string;
  hint?: string;
  /** The server's message for this field. */
  error?: string | undefined;
  /** Whether a signed entry is a change ("+⅓ stop") rather than a signed value. */
  takesChange?: boolean;
  /** Units that may be typed behind the number; anything else is refused. */
  units?: readonly string[];
  disabled?: boolean;
  /** Answers when the change is settled: what was taken gives way to what stands, what was refused stays typed. */
  onCommit: (commit: Commit) => unknown;
  /** Up and down: one natural step, with Shift the bigger one. */
  onStep?: (direction: 1 | -1, big: boolean) => void;
}

/**
 * A field for a quantity. What is typed and what stands are kept apart: Enter or leaving the field reads the text; what
 * cannot be read or was refused stays in the field with its message; Escape brings back what stands.
 */
export function QuantityField(props: QuantityFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [sent, setSent] = useState<string>();

  const settle = (text: string, answer: unknown) => {
    setSent(text);
    Promise.resolve(answer).then(
      () => {
        setSent(undefined);
        setTyped((now) => (now === text ? undefined : now));
      },
      () => undefined,
    );
  };
  const commit = () => {
    if (typed === undefined || typed.trim() === props.shown) {
      setTyped(undefined);
      setProblem(undefined);
      return;
    }
    if (typed === sent) return;
    const parsed = parseQuantity(typed);
    if (parsed.kind === "error") return setProblem(parsed.message);
    if (parsed.unit !== "" && !(props.units ?? []).includes(parsed.unit)) {
      return setProblem(`“${parsed.unit}” does not belong here${props.unit ? `, ${props.unit} does` : ""}.`);
    }
    setProblem(undefined);
    const change = parsed.kind === "change" && props.takesChange;
    const { value, unit } = parsed;
    settle(typed, props.onCommit(change ? { kind: "change", value, unit } : { kind: "value", value }));
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") {
      setTyped(undefined);
      setProblem(undefined);
      setSent(undefined);
    }
    if ((event.key === "ArrowUp" || event.key === "ArrowDown") && props.onStep) {
      event.preventDefault();
      setTyped(undefined);
      props.onStep(event.key === "ArrowUp" ? 1 : -1, event.shiftKey);
    }
  };

  const message = problem ?? (typed !== undefined ? props.error : undefined);
  return (
    <div className="field">
      <label htmlFor={id} className={props.labelHidden ? "visually-hidden" : ""}>
        {props.label}
      </label>
      <Input
        id={id}
        autoComplete="off"
        spellCheck={false}
        disabled={props.disabled ?? false}
        value={typed ?? props.shown}
        suffix={props.unit}
        status={message ? "error" : ""}
        aria-invalid={message !== undefined}
        aria-describedby={message ? `${id}-message` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          setSent(undefined);
        }}
        onBlur={commit}
        onKeyDown={onKeyDown}
      />
      {message ? (
        <p className="field-message" role="alert" id={`${id}-message`}>
          {message}
        </p>
      ) : (
        props.hint && <p className="field-hint">{props.hint}</p>
      )}
    </div>
  );
}
