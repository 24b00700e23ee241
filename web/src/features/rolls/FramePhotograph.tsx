import { useMutation } from "@tanstack/react-query";
import { Button, Checkbox, Upload } from "antd";
import { useState } from "react";
import type { FrameView, Problem } from "../../shared/api/client";
import type { FrameDetail } from "../../shared/api/frames";
import { aboutFile, photographFrame } from "../../shared/api/scans";
import { SquareDialog } from "../../shared/scan/SquareDialog";
import type { Corner } from "../../shared/scan/corners";

/** A phone picture of the projection on the easel, or of a print, as the picture of a frame: squared by its corners. */
export function FramePhotograph(props: {
  frame: FrameView;
  white: boolean;
  onTaken: (detail: FrameDetail) => void;
}) {
  const [chosen, setChosen] = useState<{ file: File; url: string }>();
  const close = () => {
    if (chosen) URL.revokeObjectURL(chosen.url);
    setChosen(undefined);
  };
  return (
    <>
      <Upload
        accept="image/jpeg,image/png"
        disabled={!props.white}
        showUploadList={false}
        beforeUpload={(file) => {
          setChosen({ file, url: URL.createObjectURL(file) });
          return false;
        }}
      >
        <Button size="small" disabled={!props.white}>
          A photograph of it
        </Button>
      </Upload>
      {chosen && (
        <Squaring
          {...props}
          chosen={chosen}
          onClose={close}
          onTaken={(detail) => {
            close();
            props.onTaken(detail);
          }}
        />
      )}
    </>
  );
}

function Squaring(props: {
  frame: FrameView;
  chosen: { file: File; url: string };
  onClose: () => void;
  onTaken: (detail: FrameDetail) => void;
}) {
  const { frame, chosen } = props;
  const [upright, setUpright] = useState(frame.heightMm > frame.widthMm);
  const take = useMutation<FrameDetail, Problem, readonly Corner[]>({
    mutationFn: (corners) => photographFrame(frame.id, { file: chosen.file, corners, upright }),
    onSuccess: props.onTaken,
  });
  return (
    <SquareDialog
      title={`Photograph of frame ${frame.number}`}
      lead="Move each corner onto a corner of the projected picture or of the print. Corner 1 is its upper left."
      url={chosen.url}
      of="the picture"
      takes="Take this picture"
      taking={take.isPending}
      problem={take.error ? aboutFile(take.error) : undefined}
      onTake={(corners) => take.mutate(corners)}
      onClose={props.onClose}
    >
      <Checkbox checked={upright} onChange={(e) => setUpright(e.target.checked)}>
        The picture stands upright
      </Checkbox>
    </SquareDialog>
  );
}
