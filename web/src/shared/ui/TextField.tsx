import { Input } from "antd";
import { useId } from "react";

/** A labelled line of text with the server's message under it. */
export function TextField(props: {
  label: string;
  value: string;
  error?: string | undefined;
  unit?: string;
  longest?: number;
  narrow?: boolean;
  hint?: string;
  onChange: (text: string) => void;
  onLeave?: () => void;
}) {
  const id = useId();
  return (
    <div className={props.narrow ? "field narrow" : "field"}>
      <label htmlFor={id}>{props.label}</label>
      <Input
        id={id}
        value={props.value}
        suffix={props.unit}
        maxLength={props.longest}
        autoComplete="off"
        status={props.error ? "error" : ""}
        aria-invalid={props.error !== undefined}
        aria-describedby={props.error ? `${id}-message` : undefined}
        onChange={(event) => props.onChange(event.target.value)}
        onBlur={props.onLeave}
        onPressEnter={props.onLeave}
      />
      {props.error ? (
        <p className="field-message" role="alert" id={`${id}-message`}>
          {props.error}
        </p>
      ) : (
        props.hint && <p className="field-hint">{props.hint}</p>
      )}
    </div>
  );
}
