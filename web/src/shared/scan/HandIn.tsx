import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";
import { type Problem, type Schemas, type SheetView, flat, toProblem } from "../api/client";
import { SCANS, aboutFile, papersIn } from "../api/scans";
import { useRoom } from "../room/room";
import { SquareDialog } from "./SquareDialog";
import { type Corner, cornersOf, written } from "./corners";

/** Most bytes of a picture file; the server says the same of a larger one, after it was sent. */
const MOST_MEGABYTES = 200;

interface Chosen {
  file: File;
  /** The picture upright, as the server sees it: browsers do not show every kind. */
  url: string;
  found: readonly Corner[] | undefined;
}

/** Hands in the picture of a sheet that hangs: a scan or a phone picture, with the corners of the paper moved onto it. */
export function HandIn(props: { slateId: string; sheet: SheetView }) {
  const id = useId();
  const room = useRoom();
  const [chosen, setChosen] = useState<Chosen>();
  const [refused, setRefused] = useState<string>();
  const look = useMutation<Chosen, Problem, File>({ mutationFn: looked, onSuccess: setChosen });
  const practice = useMutation<Chosen, Problem>({
    mutationFn: async () => looked(await practicePhoto(props.sheet.id)),
    onSuccess: setChosen,
  });
  if (props.sheet.state !== "HUNG") return null;
  // The browser's own file chooser is white: it is opened in white light only.
  if (room !== "white") return <span className="hand-in">Hand in its picture in white light.</span>;
  const choose = (file: File | undefined) => {
    if (!file) return;
    const tooLarge = file.size > MOST_MEGABYTES << 20;
    setRefused(tooLarge ? `This file is over ${String(MOST_MEGABYTES)} MB.` : undefined);
    if (!tooLarge) look.mutate(file);
  };
  const problem = look.error ?? practice.error;
  return (
    <span className="hand-in">
      <label htmlFor={id} className="link">
        {props.sheet.pictureId === undefined ? "Hand in its picture" : "Hand in another picture"}
      </label>
      <input
        id={id}
        type="file"
        className="visually-hidden"
        accept={SCANS}
        onChange={(event) => {
          choose(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
      {props.sheet.practice && (
        <button
          type="button"
          className="link"
          disabled={practice.isPending}
          onClick={() => practice.mutate()}
        >
          Take one with the practice phone
        </button>
      )}
      {(look.isPending || practice.isPending) && <span role="status">Looking for the paper …</span>}
      {(refused ?? problem) && (
        <span className="field-message" role="alert">
          {refused ?? (problem && aboutFile(problem))}
        </span>
      )}
      {chosen && <Cropping {...props} chosen={chosen} onClose={() => setChosen(undefined)} />}
    </span>
  );
}

/** What the server sees in a file: the picture, and where a paper lies in it. */
async function looked(file: File): Promise<Chosen> {
  const seen = await papersIn(file);
  const first = seen.papers[0];
  return { file, url: seen.preview, found: first && cornersOf(first) };
}

async function practicePhoto(sheetId: string): Promise<File> {
  const answer = await fetch(`/api/sheets/${sheetId}/practice-photo`).catch(() => undefined);
  if (!answer?.ok) throw toProblem(await answer?.json().catch(() => undefined));
  return new File([await answer.blob()], "practice.jpg", { type: "image/jpeg" });
}

async function handIn(sheetId: string, file: File, corners: readonly Corner[]) {
  const form = new FormData();
  form.set("corners", written(corners));
  form.set("file", file);
  const answer = await fetch(`/api/sheets/${sheetId}/scans`, { method: "POST", body: form }).catch(
    () => undefined,
  );
  const body: unknown = await answer?.json().catch(() => undefined);
  if (!answer?.ok) throw toProblem(body);
  return flat(body as Schemas["SlateView"]);
}

function Cropping(props: { slateId: string; sheet: SheetView; chosen: Chosen; onClose: () => void }) {
  const { sheet, chosen } = props;
  const client = useQueryClient();
  const take = useMutation<unknown, Problem, readonly Corner[]>({
    mutationFn: async (corners) => {
      client.setQueryData(["slate", props.slateId], await handIn(sheet.id, chosen.file, corners));
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["bench"] });
      props.onClose();
    },
  });
  return (
    <SquareDialog
      title={`Picture of ${sheet.label.toLowerCase()}`}
      lead={`${chosen.found ? "The paper was found; move a corner that does not sit." : "Move each corner onto the corner of the paper."} Corner 1 is the upper left of the print as it is looked at.`}
      url={chosen.url}
      first={chosen.found}
      of="the paper"
      takes="Hang this picture"
      taking={take.isPending}
      problem={take.error ? aboutFile(take.error) : undefined}
      onTake={(corners) => take.mutate(corners)}
      onClose={props.onClose}
    />
  );
}
