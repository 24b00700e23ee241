import { Button, Popover } from "antd";
import { useState } from "react";
import { useStores } from "../api/slate";
import { seconds as shownSeconds } from "../units/format";
import { parseQuantity } from "../units/parse";
import { Choice } from "./Choice";
import { TextField } from "./TextField";

/** Overruling a verdict with one's own grade and time; both stay in the record. */
export function OwnRecipe(props: {
  filter: string;
  seconds: number;
  error: (pointer: string) => string | undefined;
  onTake: (filter: string, seconds: number) => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      placement="topRight"
      destroyOnHidden
      content={
        <div role="dialog" aria-label="My own grade and time">
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

function OwnFields(props: Parameters<typeof OwnRecipe>[0]) {
  const filters = useStores().data?.filters ?? [props.filter];
  const [filter, setFilter] = useState(props.filter);
  const [text, setText] = useState(shownSeconds(props.seconds));
  const parsed = parseQuantity(text);
  const problem = parsed.kind === "error" ? parsed.message : props.error("/seconds");
  return (
    <form
      className="part-editor"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (parsed.kind !== "error") props.onTake(filter, parsed.value);
      }}
    >
      <Choice
        label="Grade"
        value={filter}
        options={filters.map((f) => ({ value: f, label: f }))}
        onChange={setFilter}
      />
      <TextField label="Time" value={text} unit="s" error={problem} onChange={setText} />
      <Button htmlType="submit" type="primary">
        Set these
      </Button>
    </form>
  );
}
