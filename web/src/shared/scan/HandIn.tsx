import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";
import { type Problem, type Schemas, type SheetView, flat, toProblem } from "../api/client";
import { aboutFile } from "../api/scans";
import { useRoom } from "../room/room";
import { SquareDialog } from "./SquareDialog";
import { type Corner, written } from "./corners";

/** Most bytes of a picture file; the server says the same of a larger one, after it was sent. */
const MOST_MEGABYTES = 200;

interface Chosen {
  file: File;
  url: string;
}

/** Hands in the picture of a sheet that hangs: a scan or a phone picture, with the corners of the paper moved onto it. */
export function HandIn(props: { slateId: string; sheet: SheetView }) {
  const id = useId();
  const room = useRoom();
  const [chosen, setChosen] = useState<Chosen>();
  const [refused, setRefused] = useState<string>();
  if (props.sheet.state !== "HUNG" || props.sheet.simulatedPicture) return null;
  // The browser's own file chooser is white: it is opened in white light only.
  if (room !== "white") return <span className="hand-in">Hand in its picture in white light.</span>;
  const choose = (file: File | undefined) => {
    if (!file) return;
    const tooLarge = file.size > MOST_MEGABYTES << 20;
    setRefused(tooLarge ? `This file is over ${String(MOST_MEGABYTES)} MB.` : undefined);
    if (!tooLarge) setChosen({ file, url: URL.createObjectURL(file) });
  };
  const close = () => {
    if (chosen) URL.revokeObjectURL(chosen.url);
    setChosen(undefined);
  };
  return (
    <span className="hand-in">
      <label htmlFor={id} className="link">
        {props.sheet.pictureId === undefined ? "Hand in its picture" : "Hand in another picture"}
      </label>
      <input
        id={id}
        type="file"
        className="visually-hidden"
        accept="image/png,image/jpeg"
        onChange={(event) => {
          choose(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
      {refused && (
        <span className="field-message" role="alert">
          {refused}
        </span>
      )}
      {chosen && <Cropping {...props} chosen={chosen} onClose={close} />}
    </span>
  );
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
      lead="Move each corner onto the corner of the paper. Corner 1 is the upper left of the print as it is looked at."
      url={chosen.url}
      of="the paper"
      takes="Hang this picture"
      taking={take.isPending}
      problem={take.error ? aboutFile(take.error) : undefined}
      onTake={(corners) => take.mutate(corners)}
      onClose={props.onClose}
    />
  );
}
