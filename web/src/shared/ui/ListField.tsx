import { Input } from "antd";
import { useId, useState } from "react";
import { parseList } from "../units/list";

/** A list of numbers in one line, as one would write it on paper; what cannot be read or was refused stays typed with its message. */
export function ListField(props: {
  label: string;
  shown: string;
  hint?: string;
  /** Whether only whole numbers belong into it. */
  whole?: boolean;
  error?: string | undefined;
  onCommit: (numbers: number[]) => Promise<unknown>;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const commit = () => {
    if (typed === undefined || typed.trim() === props.shown) return setTyped(undefined);
    const read = parseList(typed, props.whole ?? false);
    if (typeof read === "string") return setProblem(read);
    setProblem(undefined);
    props.onCommit(read).then(
      () => setTyped((now) => (now === typed ? undefined : now)),
      () => undefined,
    );
  };
  const message = problem ?? (typed !== undefined ? props.error : undefined);
  return (
    <div className="field">
      <label htmlFor={id}>{props.label}</label>
      <Input
        id={id}
        value={typed ?? props.shown}
        autoComplete="off"
        status={message ? "error" : ""}
        aria-invalid={message !== undefined}
        aria-describedby={message ? `${id}-message` : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onPressEnter={commit}
        onKeyDown={(event) => {
          if (event.key !== "Escape") return;
          setTyped(undefined);
          setProblem(undefined);
        }}
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
