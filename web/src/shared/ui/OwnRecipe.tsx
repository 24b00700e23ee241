import { Button, Popover } from "antd";
import { useState } from "react";
import type { SlateView } from "../api/client";
import { seconds as shownSeconds } from "../units/format";
import { parseQuantity } from "../units/parse";
import { Choice } from "./Choice";
import { TextField } from "./TextField";

interface OwnProps {
  slate: SlateView;
  light: string;
  seconds: number;
  error: (pointer: string) => string | undefined;
  onTake: (light: string, seconds: number) => void;
}

/** Overruling a verdict with one's own light and time; both stay in the record. */
export function OwnRecipe(props: OwnProps) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      placement="topRight"
      destroyOnHidden
      content={
        <div role="dialog" aria-label="My own light and time">
          <OwnFields {...props} />
        </div>
      }
    >
      <Button className="on-dark-quiet" aria-expanded={open}>
        My own
      </Button>
    </Popover>
  );
}

function OwnFields(props: OwnProps) {
  const { medium, base } = props.slate;
  const [light, setLight] = useState(props.light);
  const [text, setText] = useState(shownSeconds(props.seconds));
  const parsed = parseQuantity(text);
  const problem = parsed.kind === "error" ? parsed.message : props.error("/taking/seconds");
  const wrong = props.error("/taking/light");
  return (
    <form
      className="part-editor"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (parsed.kind !== "error") props.onTake(light, parsed.value);
      }}
    >
      {medium.lights.length > 0 ? (
        <Choice
          label={medium.lightName}
          value={light}
          options={medium.lights.map((l) => ({ value: l, label: l }))}
          error={wrong}
          onChange={setLight}
        />
      ) : (
        <TextField label={medium.lightName} value={light} error={wrong} onChange={setLight} />
      )}
      <TextField
        label={base.pack?.thirds ? "Time, as white light" : "Time"}
        value={text}
        unit="s"
        error={problem}
        onChange={setText}
      />
      <Button htmlType="submit" type="primary">
        Set these
      </Button>
    </form>
  );
}
