import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox } from "antd";
import { useState } from "react";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { useRoom } from "../../shared/room/room";
import { Choice, Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";

type Roll = Schemas["RollView"];

const FORMATS = [
  { value: "36x24", label: "24 × 36 mm", long: 36, short: 24 },
  { value: "56x56", label: "6 × 6 cm (56 × 56 mm)", long: 56, short: 56 },
  { value: "70x56", label: "6 × 7 cm (56 × 70 mm)", long: 70, short: 56 },
  { value: "84x56", label: "6 × 9 cm (56 × 84 mm)", long: 84, short: 56 },
  { value: "120x95", label: "4 × 5 in (95 × 120 mm)", long: 120, short: 95 },
] as const;

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
          <summary>Add a frame</summary>
          <NewFrame rolls={props.rolls} />
        </details>
      )}
    </div>
  );
}

function NewRoll() {
  const client = useQueryClient();
  const [title, setTitle] = useState("");
  const [film, setFilm] = useState("");
  const [format, setFormat] = useState<string>("36x24");
  const [kind, setKind] = useState<string>("MONOCHROME");
  const add = useMutation<Roll, Problem>({
    mutationFn: () => {
      const chosen = FORMATS.find((f) => f.value === format) ?? FORMATS[0];
      return unwrap(
        api.POST("/api/rolls", { body: { title, film, kind, longMm: chosen.long, shortMm: chosen.short } }),
      );
    },
    onSuccess: () => {
      setTitle("");
      void client.invalidateQueries({ queryKey: ["rolls"] });
    },
  });
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
        error={add.error ? (add.error.at("/title") ?? add.error.message) : undefined}
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
      <TextField label="Film" value={film} onChange={setFilm} />
      <Choice label="Format" value={format} options={FORMATS} onChange={setFormat} />
      <Button htmlType="submit" loading={add.isPending}>
        Add roll
      </Button>
    </form>
  );
}

async function sendFrame(rollId: string, form: FormData): Promise<unknown> {
  const answer = await fetch(`/api/rolls/${rollId}/frames`, { method: "POST", body: form }).catch(
    () => undefined,
  );
  const body: unknown = await answer?.json().catch(() => undefined);
  if (!answer?.ok) throw toProblem(body);
  return body;
}

function NewFrame(props: { rolls: readonly Roll[] }) {
  const white = useRoom() === "white";
  const client = useQueryClient();
  const [rollId, setRollId] = useState(props.rolls.at(-1)?.id ?? "");
  const [number, setNumber] = useState("");
  const [title, setTitle] = useState("");
  const [upright, setUpright] = useState(false);
  const [file, setFile] = useState<File>();
  const add = useMutation<unknown, Problem>({
    mutationFn: () => {
      const form = new FormData();
      form.set("number", number);
      form.set("title", title);
      form.set("upright", String(upright));
      if (file) form.set("file", file);
      return sendFrame(rollId, form);
    },
    onSuccess: () => {
      setNumber("");
      setTitle("");
      setFile(undefined);
      void client.invalidateQueries({ queryKey: ["rolls"] });
    },
  });
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <Choice
        label="Roll"
        value={rollId}
        options={props.rolls.map((r) => ({ value: r.id, label: r.title }))}
        onChange={setRollId}
      />
      <div className="field-row">
        <TextField
          label="Number"
          narrow
          value={number}
          error={add.error?.at("/number")}
          onChange={setNumber}
        />
        <TextField label="Subject" value={title} error={add.error?.at("/title")} onChange={setTitle} />
      </div>
      <div className="field">
        <label htmlFor="frame-file">
          Positive, PNG or JPEG, if there is one{white ? "" : "; chosen in white light"}
        </label>
        <input
          id="frame-file"
          type="file"
          disabled={!white}
          accept="image/png,image/jpeg"
          onChange={(e) => setFile(e.target.files?.[0])}
        />
        {add.error && !add.error.at("/number") && !add.error.at("/title") && (
          <p className="field-message" role="alert">
            {add.error.at("/file") ?? add.error.message}
          </p>
        )}
      </div>
      {!file && (
        <Checkbox checked={upright} onChange={(e) => setUpright(e.target.checked)}>
          The picture stands upright
        </Checkbox>
      )}
      <Button htmlType="submit" loading={add.isPending}>
        Add frame
      </Button>
    </form>
  );
}
