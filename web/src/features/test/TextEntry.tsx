import { useState } from "react";
import { TextField } from "../../shared/ui/TextField";

/** A line of text that is sent as it is left; what was refused stays typed with its message. */
export function TextEntry(props: {
  label: string;
  shown: string;
  hint: string;
  error: string | undefined;
  onCommit: (text: string) => Promise<unknown>;
}) {
  const [typed, setTyped] = useState<string>();
  return (
    <TextField
      label={props.label}
      value={typed ?? props.shown}
      hint={props.hint}
      longest={400}
      error={typed === undefined ? undefined : props.error}
      onChange={setTyped}
      onLeave={() => {
        if (typed === undefined || typed === props.shown) return setTyped(undefined);
        props.onCommit(typed).then(
          () => setTyped((now) => (now === typed ? undefined : now)),
          () => undefined,
        );
      }}
    />
  );
}
