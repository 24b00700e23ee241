import { Button, Checkbox } from "antd";
import { useState } from "react";
import type { Schemas } from "../../shared/api/client";
import { type History, useHistory, useRollChange } from "../../shared/api/frames";
import { parseQuantity } from "../../shared/units/parse";
import { TextField } from "../../shared/ui/TextField";

type Roll = Schemas["RollView"];

/** What a roll is called, how it is cut, and what is known of its film; folded away in its head. */
export function RollFacts(props: { roll: Roll }) {
  const [open, setOpen] = useState(false);
  const history = useHistory(props.roll.id, open);
  return (
    <details className="roll-facts" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>About this roll</summary>
      {open && history.data && <Form roll={props.roll} history={history.data} />}
    </details>
  );
}

const TEXTS = [
  ["takenOn", "Taken on, year-month-day", 10],
  ["sleeve", "Where the sleeve lies", 80],
  ["camera", "Camera", 80],
  ["development", "Development", 200],
  ["remark", "Remark", 400],
] as const;
const SPEEDS = [
  ["nominalIso", "Speed on the box, ISO"],
  ["exposedIso", "Exposed for, ISO"],
] as const;

function Form(props: { roll: Roll; history: History }) {
  const { roll, history } = props;
  const change = useRollChange(roll.id);
  const [title, setTitle] = useState(roll.title);
  const [film, setFilm] = useState(roll.film);
  const [oddFirst, setOddFirst] = useState(roll.oddFirst);
  const [texts, setTexts] = useState(history);
  const [numbers, setNumbers] = useState<Record<string, string>>({
    stripFrames: String(roll.stripFrames),
    nominalIso: history.nominalIso === undefined ? "" : String(history.nominalIso),
    exposedIso: history.exposedIso === undefined ? "" : String(history.exposedIso),
  });
  const [unread, setUnread] = useState<Record<string, string>>({});
  const save = () => {
    const problems: Record<string, string> = {};
    const read = (name: string): number | undefined => {
      const text = numbers[name] ?? "";
      if (text.trim() === "") return undefined;
      const parsed = parseQuantity(text);
      if (parsed.kind === "error") problems[name] = parsed.message;
      return parsed.kind === "error" ? undefined : parsed.value;
    };
    const stripFrames = read("stripFrames");
    const sent: History = { ...texts };
    for (const [name] of SPEEDS) {
      // What was emptied is not recorded any more.
      Reflect.deleteProperty(sent, name);
      const iso = read(name);
      if (iso !== undefined) sent[name] = iso;
    }
    setUnread(problems);
    if (Object.keys(problems).length > 0) return;
    change.mutate({
      title,
      film,
      oddFirst,
      history: sent,
      ...(stripFrames !== undefined && { stripFrames }),
    });
  };
  const number = (name: string, label: string, pointer: string) => (
    <TextField
      key={name}
      label={label}
      value={numbers[name] ?? ""}
      error={unread[name] ?? change.error?.at(pointer)}
      onChange={(text) => setNumbers({ ...numbers, [name]: text })}
    />
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="field-row">
        <TextField
          label="Name"
          value={title}
          longest={80}
          error={change.error?.at("/title")}
          onChange={setTitle}
        />
        <TextField
          label="Film"
          value={film}
          longest={80}
          error={change.error?.at("/film")}
          onChange={setFilm}
        />
      </div>
      <div className="field-row">
        {number("stripFrames", "Frames in a strip", "/stripFrames")}
        {SPEEDS.map(([name, label]) => number(name, label, `/history/${name}`))}
      </div>
      <Checkbox checked={oddFirst} onChange={(e) => setOddFirst(e.target.checked)}>
        The odd strip is the first one
      </Checkbox>
      {TEXTS.map(([name, label, longest]) => (
        <TextField
          key={name}
          label={label}
          longest={longest}
          value={texts[name] ?? ""}
          error={change.error?.at(`/history/${name}`)}
          onChange={(text) => setTexts({ ...texts, [name]: text })}
        />
      ))}
      <Button htmlType="submit" loading={change.isPending}>
        Keep it
      </Button>
      {change.isSuccess && <span className="kept-line"> Kept.</span>}
      {change.error?.errors.length === 0 && <p className="field-message">{change.error.message}</p>}
    </form>
  );
}
