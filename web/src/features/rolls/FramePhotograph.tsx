import { useMutation } from "@tanstack/react-query";
import { Button, Checkbox, Modal, Upload } from "antd";
import { useState } from "react";
import type { FrameView, Problem } from "../../shared/api/client";
import type { FrameDetail } from "../../shared/api/frames";
import { aboutFile, photographFrame } from "../../shared/api/scans";
import { CornerPicture } from "../../shared/scan/CornerPicture";
import { firstCorners, turned, withCorner } from "../../shared/scan/corners";

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
  const [corners, setCorners] = useState(firstCorners);
  const [upright, setUpright] = useState(frame.heightMm > frame.widthMm);
  const [broken, setBroken] = useState(false);
  const take = useMutation<FrameDetail, Problem>({
    mutationFn: () => photographFrame(frame.id, { file: chosen.file, corners, upright }),
    onSuccess: props.onTaken,
  });
  return (
    <Modal
      open
      width={880}
      title={`Photograph of frame ${frame.number}`}
      onCancel={props.onClose}
      footer={
        <>
          <Button onClick={() => setCorners(turned)}>Quarter turn</Button>
          <Button onClick={props.onClose}>Cancel</Button>
          <Button type="primary" loading={take.isPending} disabled={broken} onClick={() => take.mutate()}>
            Take this picture
          </Button>
        </>
      }
    >
      <p className="lead">
        Move each corner onto a corner of the projected picture or of the print. Corner 1 is its upper left.
      </p>
      {broken ? (
        <p className="field-message" role="alert">
          This file is no PNG or JPEG picture, or it is damaged. Choose another one.
        </p>
      ) : (
        <CornerPicture
          url={chosen.url}
          of="the picture"
          corners={corners}
          onMove={(index, to) =>
            setCorners((now) => withCorner(now, index, to(now[index] ?? { x: 0, y: 0 })))
          }
          onBroken={() => setBroken(true)}
        />
      )}
      <Checkbox checked={upright} onChange={(e) => setUpright(e.target.checked)}>
        The picture stands upright
      </Checkbox>
      {take.error && (
        <p className="field-message" role="alert">
          {aboutFile(take.error)}
        </p>
      )}
    </Modal>
  );
}
