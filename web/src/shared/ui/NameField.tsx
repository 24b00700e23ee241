import { useState } from "react";
import { TextField } from "./TextField";

/** The name of a thing that can be renamed: taken when one leaves it. */
export function NameField(props: {
  name: string;
  error: string | undefined;
  onCommit: (name: string) => void;
}) {
  const [name, setName] = useState(props.name);
  return (
    <TextField
      label="Name"
      value={name}
      longest={40}
      error={props.error}
      onChange={setName}
      onLeave={() => {
        if (name.trim() !== props.name) props.onCommit(name);
      }}
    />
  );
}
