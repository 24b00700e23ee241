import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox } from "antd";
import { useState } from "react";
import { Problem, type Schemas, api, unwrap } from "../../shared/api/client";
import { useFormats } from "../../shared/api/frames";
import { Choice, Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";
import { AddFrames } from "./AddFrames";

type Roll = Schemas["RollView"];

/** Adding a roll, and frames to a roll: few fields, folded away until they are wanted. */
export function AddRoll(props: { rolls: readonly Roll[] }) {
  return (
    <div className="add-roll">
      <details open={props.rolls.length === 0}>
        <summary>Add a roll</summary>
        <NewRoll />
      </details>
      {props.rolls.length > 0 && (
        <details>
          <summary>Add frames</summary>
          <AddFrames rolls={props.rolls} />
        </details>
      )}
    </div>
  );
}

function NewRoll() {
  const client = useQueryClient();
  const formats = useFormats().data ?? [];
  const [title, setTitle] = useState("");
  const [film, setFilm] = useState("");
  const [format, setFormat] = useState("SMALL");
  const [kind, setKind] = useState<string>("MONOCHROME");
  // How many frames and how they are cut: what is usual for the format, until something else is typed.
  const [cut, setCut] = useState<{ frames?: string; firstNumber?: string; stripFrames?: string }>({});
  const [oddFirst, setOddFirst] = useState(false);
  const chosen = formats.find((f) => f.id === format);
  const numbers = {
    frames: cut.frames ?? String(chosen?.frames ?? ""),
    firstNumber: cut.firstNumber ?? "1",
    stripFrames: cut.stripFrames ?? String(chosen?.stripFrames ?? ""),
  };
  const unread = Object.entries(numbers).find(([, text]) => !/^\s*\d{1,4}\s*$/.test(text))?.[0];
  const add = useMutation<Roll, Problem>({
    mutationFn: () => {
      if (unread || !chosen) {
        throw new Problem("refused", "", [
          { pointer: `/${unread ?? ""}`, code: "E_SHAPE", message: "Write a whole number here." },
        ]);
      }
      return unwrap(
        api.POST("/api/rolls", {
          body: {
            title,
            film,
            kind,
            longMm: chosen.longMm,
            shortMm: chosen.shortMm,
            frames: Number(numbers.frames),
            firstNumber: Number(numbers.firstNumber),
            stripFrames: Number(numbers.stripFrames),
            oddFirst,
          },
        }),
      );
    },
    onSuccess: () => {
      setTitle("");
      setCut({});
      void client.invalidateQueries({ queryKey: ["rolls"] });
    },
  });
  const number = (name: keyof typeof numbers, label: string) => (
    <TextField
      label={label}
      value={numbers[name]}
      error={add.error?.at(`/${name}`)}
      onChange={(text) => setCut({ ...cut, [name]: text })}
    />
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <TextField
        label="Name of the roll"
        value={title}
        error={
          add.error
            ? (add.error.at("/title") ?? (add.error.errors.length === 0 ? add.error.message : undefined))
            : undefined
        }
        onChange={setTitle}
      />
      <Ways
        label="Kind of film"
        value={kind}
        ways={[
          { value: "MONOCHROME", label: "Monochrome" },
          { value: "COLOUR", label: "Colour negative" },
        ]}
        onChange={setKind}
      />
      <TextField label="Film" value={film} error={add.error?.at("/film")} onChange={setFilm} />
      <Choice
        label="Format"
        value={format}
        options={formats.map((f) => ({ value: f.id, label: f.label }))}
        onChange={(id) => {
          setFormat(id);
          setCut({});
        }}
      />
      <div className="field-row">
        {number("frames", "Frames")}
        {number("firstNumber", "First number")}
        {number("stripFrames", "In a strip")}
      </div>
      <Checkbox checked={oddFirst} onChange={(e) => setOddFirst(e.target.checked)}>
        The odd strip is the first one
      </Checkbox>
      <Button htmlType="submit" loading={add.isPending}>
        Add roll
      </Button>
    </form>
  );
}
