import { Input } from "antd";
import { type KeyboardEvent, type PointerEvent, useId, useState } from "react";
import { parseQuantity } from "../units/parse";

/** What a field gives back: a new value, or a change where the field takes one ("+1/3"). */
export type Commit = { kind: "value" | "change"; value: number; unit: string };

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
  /** Dragging the label to the right or left by natural steps. */
  drag?: FieldDrag;
}

/** What a drag of so many steps would be: shown while it goes on, taken when it is let go. */
export interface FieldDrag {
  /** Shows the change; its words stand in the field meanwhile. */
  preview: (steps: number) => string;
  take: (steps: number) => void;
  /** Let go where it began, or interrupted. */
  leave: () => void;
}

const PIXELS_A_STEP = 12;

/**
 * A field for a quantity. What is typed and what stands are kept apart: Enter or leaving the field reads the text; what
 * cannot be read or was refused stays in the field with its message; Escape brings back what stands.
 */
export function QuantityField(props: QuantityFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [sent, setSent] = useState<string>();
  const [refused, setRefused] = useState(false);

  const settle = (text: string, answer: unknown) => {
    setSent(text);
    setRefused(false);
    Promise.resolve(answer).then(
      () => {
        setSent(undefined);
        setTyped((now) => (now === text ? undefined : now));
      },
      () => setRefused(true),
    );
  };
  /** Leaving the field does not ask again for what was refused; Enter does, since a server or a disk may be back. */
  const commit = (again = false) => {
    if (typed === undefined || typed.trim() === props.shown) {
      setTyped(undefined);
      setProblem(undefined);
      return;
    }
    if (typed === sent && !(again && refused)) return;
    const parsed = parseQuantity(typed);
    if (parsed.kind === "error") return setProblem(parsed.message);
    if (parsed.unit !== "" && !(props.units ?? []).includes(parsed.unit)) {
      return setProblem(`“${parsed.unit}” does not belong here${props.unit ? `, ${props.unit} does` : ""}.`);
    }
    setProblem(undefined);
    const change = parsed.kind === "change" && props.takesChange;
    const { value, unit } = parsed;
    settle(typed, props.onCommit({ kind: change ? "change" : "value", value, unit }));
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Enter") commit(true);
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

  const grip = useGrip(props.disabled ? undefined : props.drag);

  const message = problem ?? (typed !== undefined ? props.error : undefined);
  return (
    <div className="field">
      <label
        htmlFor={id}
        className={props.labelHidden ? "visually-hidden" : props.drag ? "grip" : ""}
        {...grip.handlers}
      >
        {props.label}
      </label>
      <Input
        id={id}
        autoComplete="off"
        spellCheck={false}
        disabled={props.disabled ?? false}
        value={grip.words ?? typed ?? props.shown}
        suffix={grip.words === undefined ? props.unit : props.unit && " "}
        status={message ? "error" : ""}
        aria-invalid={message !== undefined}
        aria-describedby={message ? `${id}-message` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          setSent(undefined);
        }}
        onBlur={() => commit()}
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

/** A label that is taken hold of and moved sideways. */
function useGrip(drag: FieldDrag | undefined) {
  const [from, setFrom] = useState<number>();
  const [steps, setSteps] = useState(0);
  const [words, setWords] = useState<string>();
  if (!drag) return { words: undefined, handlers: {} };
  const leave = () => {
    setFrom(undefined);
    setSteps(0);
    setWords(undefined);
  };
  return {
    words,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setFrom(event.clientX);
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        if (from === undefined) return;
        const now = Math.round((event.clientX - from) / PIXELS_A_STEP);
        if (now === steps) return;
        setSteps(now);
        setWords(drag.preview(now));
      },
      onPointerUp: () => {
        if (from === undefined) return;
        leave();
        if (steps !== 0) drag.take(steps);
        else drag.leave();
      },
      onPointerCancel: () => {
        leave();
        drag.leave();
      },
    },
  };
}
