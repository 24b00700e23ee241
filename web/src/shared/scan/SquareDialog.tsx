import { Button, Modal } from "antd";
import { type ReactNode, useState } from "react";
import { CornerPicture } from "./CornerPicture";
import { type Corner, firstCorners, turned, withCorner } from "./corners";

/** A picture as it was taken, whose corners are moved onto what is to be seen of it; it is taken squared. */
export function SquareDialog(props: {
  title: string;
  lead: string;
  url: string;
  /** Where the corners are at first; a little inside the picture when left out. */
  first?: readonly Corner[] | undefined;
  /** What the corners are those of. */
  of: string;
  takes: string;
  taking: boolean;
  problem: string | undefined;
  onTake: (corners: readonly Corner[]) => void;
  onClose: () => void;
  children?: ReactNode;
}) {
  const [corners, setCorners] = useState<readonly Corner[]>(() => props.first ?? firstCorners());
  const [broken, setBroken] = useState(false);
  return (
    <Modal
      open
      width={880}
      title={props.title}
      onCancel={props.onClose}
      footer={
        <>
          <Button onClick={() => setCorners(turned)}>Quarter turn</Button>
          <Button onClick={props.onClose}>Cancel</Button>
          <Button
            type="primary"
            loading={props.taking}
            disabled={broken}
            onClick={() => props.onTake(corners)}
          >
            {props.takes}
          </Button>
        </>
      }
    >
      <p className="lead">{props.lead}</p>
      {broken ? (
        <p className="field-message" role="alert">
          This file is no picture, or it is damaged. Choose another one.
        </p>
      ) : (
        <CornerPicture
          url={props.url}
          of={props.of}
          corners={corners}
          onMove={(index, to) =>
            setCorners((now) => withCorner(now, index, to(now[index] ?? { x: 0, y: 0 })))
          }
          onBroken={() => setBroken(true)}
        />
      )}
      {props.children}
      {props.problem && (
        <p className="field-message" role="alert">
          {props.problem}
        </p>
      )}
    </Modal>
  );
}
