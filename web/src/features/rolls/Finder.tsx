import { Button, Input, type InputRef } from "antd";
import { useRef, useState } from "react";
import { type Looked, useSearchChoices } from "../../shared/api/frames";
import type { Problem } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { Choice } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";

const RATINGS = [
  ["PRINT", "to print"],
  ["MAYBE", "maybe"],
  ["NO", "no"],
  ["NONE", "not decided"],
] as const;
const PRINTED = [
  [true, "printed"],
  [false, "never printed"],
] as const;

/** What is looked for, without what was left empty. */
export function asked(looked: Looked): Looked {
  return Object.fromEntries(
    Object.entries(looked).filter(([, value]) => value !== undefined && value !== ""),
  ) as Looked;
}

/** Looking for frames: a few words first, taps for what was decided, the rest behind "more". */
export function Finder(props: {
  looked: Looked;
  count: number | undefined;
  problem: Problem | undefined;
  onLook: (looked: Looked) => void;
}) {
  const { looked, problem } = props;
  const look = (change: Looked) => props.onLook({ ...looked, ...change });
  const [more, setMore] = useState(false);
  const field = useRef<InputRef>(null);
  useKeys({ "/": () => field.current?.focus() });
  const looking = Object.keys(asked(looked)).length > 0;
  return (
    <search className="finder">
      <label htmlFor="find-words">
        Find a frame <kbd>/</kbd>
      </label>
      <Input
        id="find-words"
        ref={field}
        value={looked.words ?? ""}
        maxLength={200}
        autoComplete="off"
        placeholder="word, film, paper, person"
        onChange={(event) => look({ words: event.target.value })}
        onKeyDown={(event) => {
          if (event.key !== "Escape") return;
          props.onLook({});
          event.currentTarget.blur();
        }}
      />
      {problem?.at("/words") && <p className="field-message">{problem.at("/words")}</p>}
      <Taps
        label="What was decided"
        taps={RATINGS}
        value={looked.rating}
        onTap={(rating) => look({ rating })}
      />
      <Taps
        label="Whether it was printed"
        taps={PRINTED}
        value={looked.printed}
        onTap={(printed) => look({ printed })}
      />
      <details onToggle={(event) => setMore(event.currentTarget.open)}>
        <summary>More to look for</summary>
        {more && <More looked={looked} problem={problem} look={look} />}
      </details>
      {looking && (
        <p className="finder-count" role="status">
          {props.count === undefined ? "" : props.count === 1 ? "1 frame" : `${String(props.count)} frames`}{" "}
          <Button size="small" className="on-dark-quiet" onClick={() => props.onLook({})}>
            Show all rolls
          </Button>
        </p>
      )}
      {problem && problem.errors.length === 0 && <p className="field-message">{problem.message}</p>}
    </search>
  );
}

function Taps<V extends string | boolean>(props: {
  label: string;
  taps: readonly (readonly [V, string])[];
  value: V | undefined;
  onTap: (value: V | undefined) => void;
}) {
  return (
    <div className="taps" role="group" aria-label={props.label}>
      {props.taps.map(([value, label]) => (
        <button
          key={label}
          type="button"
          aria-pressed={props.value === value}
          onClick={() => props.onTap(props.value === value ? undefined : value)}
        >
          {label}
        </button>
      ))}
    </div>
  );
}

const ANY = { value: "", label: "any" };

function More(props: { looked: Looked; problem: Problem | undefined; look: (change: Looked) => void }) {
  const { looked, problem, look } = props;
  const choices = useSearchChoices(true).data;
  const plain = (all: readonly string[] | undefined) => [
    ANY,
    ...(all ?? []).map((value) => ({ value, label: value })),
  ];
  return (
    <>
      <Choice
        label="Film"
        value={looked.film ?? ""}
        options={plain(choices?.films)}
        onChange={(film) => look({ film })}
      />
      <Choice
        label="Paper"
        value={looked.paper ?? ""}
        options={plain(choices?.papers)}
        onChange={(paper) => look({ paper })}
      />
      <Choice
        label="Size of the sheet"
        value={looked.size ?? ""}
        options={[ANY, ...(choices?.sizes ?? []).map((s) => ({ value: s.id, label: s.label }))]}
        error={problem?.at("/size")}
        onChange={(size) => look({ size })}
      />
      <div className="field-row">
        <TextField
          label="Light from"
          value={looked.lightFrom ?? ""}
          error={problem?.at("/lightFrom")}
          onChange={(lightFrom) => look({ lightFrom })}
        />
        <TextField
          label="to"
          value={looked.lightTo ?? ""}
          error={problem?.at("/lightTo")}
          onChange={(lightTo) => look({ lightTo })}
        />
      </div>
      <div className="field-row">
        <TextField
          label="Day from"
          value={looked.fromDay ?? ""}
          error={problem?.at("/fromDay")}
          onChange={(fromDay) => look({ fromDay })}
        />
        <TextField
          label="to"
          value={looked.toDay ?? ""}
          error={problem?.at("/toDay")}
          onChange={(toDay) => look({ toDay })}
        />
      </div>
    </>
  );
}
