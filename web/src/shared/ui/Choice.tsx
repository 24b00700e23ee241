import { Select } from "antd";
import { useId } from "react";

export interface ChoiceProps<V extends string | number> {
  label: string;
  value: V;
  options: readonly { value: V; label: string }[];
  error?: string | undefined;
  hint?: string;
  onChange: (value: V) => void;
}

/** A labelled choice from a short list. */
export function Choice<V extends string | number>(props: ChoiceProps<V>) {
  const id = useId();
  return (
    <div className="field">
      <label htmlFor={id}>{props.label}</label>
      <Select<V>
        id={id}
        value={props.value}
        options={[...props.options]}
        status={props.error ? "error" : ""}
        onChange={props.onChange}
        popupMatchSelectWidth={false}
      />
      {props.error ? (
        <p className="field-message" role="alert">
          {props.error}
        </p>
      ) : (
        props.hint && <p className="field-hint">{props.hint}</p>
      )}
    </div>
  );
}

/** Two or more ways, side by side, one of them taken. */
export function Ways<V extends string>(props: {
  label: string;
  value: V;
  ways: readonly { value: V; label: string }[];
  onChange: (value: V) => void;
}) {
  const taken = props.ways.findIndex((way) => way.value === props.value);
  return (
    <div className="ways" role="radiogroup" aria-label={props.label}>
      {props.ways.map((way, index) => (
        <button
          key={way.value}
          type="button"
          role="radio"
          aria-checked={way.value === props.value}
          // None may be taken: then the first one is what Tab reaches.
          tabIndex={index === Math.max(0, taken) ? 0 : -1}
          onClick={() => props.onChange(way.value)}
          onKeyDown={(event) => {
            const step = ["ArrowRight", "ArrowDown"].includes(event.key)
              ? 1
              : ["ArrowLeft", "ArrowUp"].includes(event.key)
                ? -1
                : 0;
            if (step === 0) return;
            event.preventDefault();
            const at = (index + step + props.ways.length) % props.ways.length;
            const next = props.ways[at];
            if (next) props.onChange(next.value);
            event.currentTarget.parentElement?.querySelectorAll("button")[at]?.focus();
          }}
        >
          {way.label}
        </button>
      ))}
    </div>
  );
}
