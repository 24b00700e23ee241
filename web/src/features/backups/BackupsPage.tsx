import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { PlaceFrame } from "../../app/PlaceFrame";
import { Wordmark } from "../../app/Wordmark";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { useBench } from "../../shared/api/slate";
import { useRoom } from "../../shared/room/room";
import { Choice, Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { ago, day, megabytes } from "./words";

type Backups = Schemas["BackupsView"];
type Plan = Schemas["NewPlan"];

const KEY = ["backups"];

/** Whether the records are safe: the copies that are there, one more now, and when they are made. */
export function BackupsPage() {
  const backups = useQuery({ queryKey: KEY, queryFn: () => unwrap(api.GET("/api/backups")) });
  const practice = useBench().data?.practice ?? false;
  if (backups.error) throw backups.error;
  return (
    <PlaceFrame>
      <aside className="column rolls-column" aria-label="About backups">
        <Wordmark />
        <h1>Backups</h1>
        <p>
          One file holds every slate with its pictures. A copy is made beside the work and opened to see that
          it is sound.
        </p>
        <p>Slates can also be saved one by one, at Keep.</p>
      </aside>
      <main className="frame-main rolls-main">
        {backups.data && <Now backups={backups.data} practice={practice} />}
        {backups.data && <Copies backups={backups.data} />}
      </main>
      <aside className="panel" aria-label="When copies are made">
        {backups.data && <PlanForm key={backups.data.plannedFolder} backups={backups.data} />}
        <Restoring dataFolder={backups.data?.dataFolder} practice={practice} />
      </aside>
    </PlaceFrame>
  );
}

function useChange<A>(change: (argument: A) => Promise<Backups>) {
  const client = useQueryClient();
  return useMutation<Backups, Problem, A>({
    mutationFn: (argument) =>
      change(argument).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (answer) => client.setQueryData(KEY, answer),
  });
}

function Now(props: { backups: Backups; practice: boolean }) {
  const { backups, practice } = props;
  const make = useChange(() => unwrap(api.POST("/api/backups")));
  const last = backups.backups[0];
  return (
    <Verdict
      headline={last ? `The last copy ${ago(last.madeAt)}.` : "Nothing is copied yet."}
      why={why(backups, practice)}
      error={make.error?.message}
    >
      <Button
        type="primary"
        className="on-dark"
        loading={make.isPending}
        onClick={() => make.mutate(undefined)}
      >
        {make.isPending ? "Copying and checking …" : "Back up now"}
      </Button>
    </Verdict>
  );
}

function why(backups: Backups, practice: boolean): string {
  if (backups.problem !== undefined) return `The copy that was due was not made. ${backups.problem}`;
  if (practice) return "The practice darkroom is not copied by itself.";
  if (backups.everyDays === 0) return "No copy is made by itself.";
  const disk = backups.onSameDisk
    ? " It lies on the disk of the data: name a folder on another one, so that a broken disk takes one of them only."
    : "";
  return `A copy is made ${every(backups.everyDays)} when something has changed, never while paper is under the lamp.${disk}`;
}

function every(days: number): string {
  if (days === 1) return "every day";
  return days === 7 ? "every week" : `every ${String(days)} days`;
}

function Copies(props: { backups: Backups }) {
  const white = useRoom() === "white";
  const { backups, folder } = props.backups;
  return (
    <section aria-label="Copies" className="copies">
      <h2>Copies</h2>
      <p className="folder-name">{folder}</p>
      {backups.length === 0 && <p className="empty-line">No copy lies there.</p>}
      <ul>
        {backups.map((backup) => (
          <li key={backup.name}>
            <strong>{day(backup.madeAt)}</strong>
            <span>{backup.byItself ? "by itself" : "asked for, stays"}</span>
            <span>{megabytes(backup.sizeBytes)}</span>
            {white ? (
              <a className="link" href={`/api/backups/${backup.name}`} download>
                Save elsewhere
              </a>
            ) : (
              <span>saved elsewhere in white light</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function PlanForm(props: { backups: Backups }) {
  const { backups } = props;
  const [folder, setFolder] = useState(backups.plannedFolder ?? "");
  const plan = useChange((body: Plan) => unwrap(api.PUT("/api/backups/plan", { body })));
  const days = [0, 1, 7, backups.everyDays].filter((d, i, all) => all.indexOf(d) === i);
  const kept = [3, 7, 14, 30, backups.kept].filter((k, i, all) => all.indexOf(k) === i);
  return (
    <section className="plan-form">
      <h2>By itself</h2>
      <Ways<string>
        label="How often"
        value={String(backups.everyDays)}
        ways={days.map((d) => ({ value: String(d), label: d === 0 ? "Never" : capital(every(d)) }))}
        onChange={(d) => plan.mutate({ everyDays: Number(d) })}
      />
      <Choice
        label="Kept of them"
        value={String(backups.kept)}
        options={kept.map((k) => ({ value: String(k), label: `the newest ${String(k)}` }))}
        onChange={(k) => plan.mutate({ kept: Number(k) })}
      />
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          plan.mutate({ folder });
        }}
      >
        <TextField
          label="Folder, on the machine where Key Slate runs"
          value={folder}
          error={plan.error ? (plan.error.at("/folder") ?? plan.error.message) : undefined}
          onChange={setFolder}
        />
        <p className="field-hint">
          Empty is the usual one, beside the data. Copies that you asked for never go by themselves.
        </p>
        <Button htmlType="submit" loading={plan.isPending}>
          Use this folder
        </Button>
      </form>
    </section>
  );
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function Restoring(props: { dataFolder: string | undefined; practice: boolean }) {
  const white = useRoom() === "white";
  return (
    <section className="restoring">
      <h2>Putting one back</h2>
      <p>Close Key Slate, then:</p>
      <pre>
        ./slate restore {props.practice && "--demo "}--from COPY
        {props.dataFolder !== undefined && `\n  --data ${props.dataFolder}`}
      </pre>
      <p className="field-hint">What is there now is kept beside it; nothing is overwritten.</p>
      <h2>Log</h2>
      <p className="field-hint">
        What went wrong, and where in the program. It holds no picture and nothing that you wrote.
      </p>
      {white ? (
        <a className="link" href="/api/log" download>
          Save the log
        </a>
      ) : (
        <p>It is saved in white light.</p>
      )}
    </section>
  );
}
