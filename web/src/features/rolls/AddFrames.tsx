import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox } from "antd";
import { useRef, useState } from "react";
import { type Problem, type Schemas, toProblem } from "../../shared/api/client";
import { SCANS, type Shows, aboutFile, addFrame } from "../../shared/api/scans";
import { useRoom } from "../../shared/room/room";
import { Choice, Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";

type Roll = Schemas["RollView"];

const SHOWS = [
  { value: "guess", label: "as it looks" },
  { value: "negative", label: "negative" },
  { value: "positive", label: "positive" },
] as const;

/** Frames for a roll: one by its number, with or without a scan, or many scans at once. */
export function AddFrames(props: { rolls: readonly Roll[] }) {
  const white = useRoom() === "white";
  // The newest one, until another is chosen.
  const [chosen, setChosen] = useState<string>();
  const rollId = (props.rolls.find((r) => r.id === chosen) ?? props.rolls[0])?.id ?? "";
  const [files, setFiles] = useState<File[]>([]);
  const [shows, setShows] = useState<Shows>("guess");
  return (
    <>
      <Choice
        label="Roll"
        value={rollId}
        options={props.rolls.map((r) => ({ value: r.id, label: r.title }))}
        onChange={setChosen}
      />
      <div
        className="field drop"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          if (white) setFiles([...event.dataTransfer.files]);
        }}
      >
        <label htmlFor="frame-file">
          Scans, JPEG, PNG or TIFF, if there are any{white ? "; drop them here" : "; chosen in white light"}
        </label>
        <input
          id="frame-file"
          type="file"
          multiple
          disabled={!white}
          accept={SCANS}
          onChange={(e) => setFiles([...(e.target.files ?? [])])}
        />
      </div>
      {files.length > 0 && <Ways label="What they show" value={shows} ways={SHOWS} onChange={setShows} />}
      {files.length > 1 ? (
        <ManyFrames
          key={files.map((f) => f.name).join("/")}
          rollId={rollId}
          files={files}
          shows={shows}
          onDone={() => setFiles([])}
        />
      ) : (
        <OneFrame rollId={rollId} file={files[0]} shows={shows} onDone={() => setFiles([])} />
      )}
    </>
  );
}

function OneFrame(props: { rollId: string; file: File | undefined; shows: Shows; onDone: () => void }) {
  const { rollId, file, shows } = props;
  const client = useQueryClient();
  const [number, setNumber] = useState("");
  const [title, setTitle] = useState("");
  const [upright, setUpright] = useState(false);
  const add = useMutation<unknown, Problem>({
    mutationFn: () => addFrame(rollId, { number, title, upright, shows, file }),
    onSuccess: () => {
      setNumber("");
      setTitle("");
      props.onDone();
      void client.invalidateQueries({ queryKey: ["rolls"] });
    },
  });
  const field = add.error?.at("/number") ?? add.error?.at("/title");
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
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
      {!file && (
        <Checkbox checked={upright} onChange={(e) => setUpright(e.target.checked)}>
          The picture stands upright
        </Checkbox>
      )}
      {add.error && !field && (
        <p className="field-message" role="alert">
          {aboutFile(add.error)}
        </p>
      )}
      <Button htmlType="submit" loading={add.isPending}>
        Add frame
      </Button>
    </form>
  );
}

/** Many scans, one after another; those that are refused are named, the others go on. */
function ManyFrames(props: { rollId: string; files: File[]; shows: Shows; onDone: () => void }) {
  const { rollId, files, shows } = props;
  const client = useQueryClient();
  const [done, setDone] = useState(0);
  const [refused, setRefused] = useState<string[]>([]);
  const [running, setRunning] = useState(false);
  const cancel = useRef<AbortController>(undefined);
  const run = async () => {
    const stop = new AbortController();
    cancel.current = stop;
    setRunning(true);
    setRefused([]);
    const failed: string[] = [];
    for (let i = done; i < files.length; i++) {
      const file = files[i];
      if (!file) break;
      try {
        await addFrame(rollId, { shows, file }, stop.signal);
      } catch (error) {
        if (stop.signal.aborted) break;
        failed.push(`${file.name}: ${aboutFile(toProblem(error))}`);
        setRefused([...failed]);
      }
      setDone(i + 1);
      void client.invalidateQueries({ queryKey: ["rolls"] });
    }
    setRunning(false);
    if (!stop.signal.aborted && failed.length === 0) props.onDone();
  };
  return (
    <div className="many-frames">
      <progress value={done} max={files.length} aria-label="Scans taken in" />
      <p role="status">
        {done} of {files.length} taken in{running ? `, now ${files[done]?.name ?? ""}` : ""}
      </p>
      {refused.length > 0 && (
        <ul className="field-message" role="alert">
          {refused.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {running ? (
        <Button onClick={() => cancel.current?.abort()}>Stop here</Button>
      ) : (
        done < files.length && (
          <Button onClick={() => void run()}>
            {done === 0 ? `Take in ${String(files.length)} scans` : "Go on"}
          </Button>
        )
      )}
    </div>
  );
}
