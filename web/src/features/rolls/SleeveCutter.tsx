import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Modal, Slider } from "antd";
import { useId, useRef, useState } from "react";
import { type Problem, type Schemas, api, picture, toProblem, unwrap } from "../../shared/api/client";
import { SCANS, type Shows, aboutFile, handSleeve } from "../../shared/api/scans";
import { useRoom } from "../../shared/room/room";
import { CornerPicture } from "../../shared/scan/CornerPicture";
import { type Corner, firstCorners, withCorner } from "../../shared/scan/corners";
import { Ways } from "../../shared/ui/Choice";

type Roll = Schemas["RollView"];
type GridFrame = Schemas["GridFrame"];

const SHOWS = [
  { value: "guess", label: "as it looks" },
  { value: "negative", label: "negatives" },
  { value: "positive", label: "positives" },
] as const;

const HEADS = [
  { value: "left", label: "upright ones: heads at the left" },
  { value: "right", label: "heads at the right" },
] as const;

/** The scan of a whole sleeve or proof sheet, cut into the frames of a roll by a grid that is moved onto them. */
export function SleeveCutter(props: { roll: Roll }) {
  const id = useId();
  const white = useRoom() === "white";
  const [open, setOpen] = useState(false);
  const client = useQueryClient();
  const { roll } = props;
  const hand = useMutation<Schemas["SleeveView"], Problem, File>({
    mutationFn: (file) => handSleeve(roll.id, file),
    onSuccess: (sleeve) => {
      client.setQueryData(["sleeve", roll.id], sleeve);
      setOpen(true);
    },
  });
  // The browser's own file chooser is white: it is opened in white light only.
  if (!white || roll.frames.length === 0) return null;
  return (
    <span className="sleeve">
      <label htmlFor={id} className="link">
        {hand.isPending ? "Taking the scan in …" : "Cut a scan of the sheet"}
      </label>
      <input
        id={id}
        type="file"
        className="visually-hidden"
        accept={SCANS}
        disabled={hand.isPending}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) hand.mutate(file);
        }}
      />
      {hand.error && (
        <span className="field-message" role="alert">
          {aboutFile(hand.error)}
        </span>
      )}
      {open && hand.data && <Cutting roll={roll} sleeve={hand.data} onClose={() => setOpen(false)} />}
    </span>
  );
}

function useGrid(rollId: string, corners: readonly Corner[], gapAlong: number, gapAcross: number) {
  const asked = { corners: corners.flatMap((c) => [c.x, c.y]), gapAlong, gapAcross };
  return useQuery<GridFrame[], Problem>({
    queryKey: ["grid", rollId, asked],
    placeholderData: (before) => before,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/rolls/{id}/sleeve/grid", { params: { path: { id: rollId } }, body: asked }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
}

function Cutting(props: { roll: Roll; sleeve: Schemas["SleeveView"]; onClose: () => void }) {
  const { roll, sleeve } = props;
  const client = useQueryClient();
  const [corners, setCorners] = useState(firstCorners);
  const [along, setAlong] = useState(0.06);
  const [across, setAcross] = useState(0.45);
  const [shows, setShows] = useState<Shows>("guess");
  const [heads, setHeads] = useState<"left" | "right">("left");
  const [done, setDone] = useState(0);
  const [failed, setFailed] = useState<string[]>([]);
  const stopped = useRef(false);
  const grid = useGrid(roll.id, corners, along, across);
  const frames = grid.data ?? [];
  const replaced = frames.filter((f) => f.hasPicture).length;
  const cut = useMutation({
    mutationFn: async () => {
      stopped.current = false;
      setDone(0);
      setFailed([]);
      for (const frame of frames) {
        if (stopped.current) break;
        await unwrap(
          api.POST("/api/frames/{id}/scan/from-sleeve", {
            params: { path: { id: frame.frameId } },
            body: {
              corners: frame.corners,
              headsRight: heads === "right",
              ...(shows !== "guess" && { negative: shows === "negative" }),
            },
          }),
        ).catch((error: unknown) => {
          const problem = toProblem(error);
          setFailed((now) => [...now, `Frame ${frame.number}: ${aboutFile(problem)}`]);
        });
        setDone((now) => now + 1);
      }
    },
    onSettled: () => {
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["frame"] });
    },
  });
  const ended = cut.isSuccess && failed.length === 0 && done === frames.length;
  return (
    <Modal
      open
      width={980}
      style={{ top: 24 }}
      title={`Scan of ${roll.title}`}
      onCancel={() => {
        stopped.current = true;
        props.onClose();
      }}
      footer={
        <>
          {cut.isPending && (
            <Button
              onClick={() => {
                stopped.current = true;
              }}
            >
              Stop here
            </Button>
          )}
          <Button onClick={props.onClose} disabled={cut.isPending}>
            {ended ? "Done" : "Cancel"}
          </Button>
          <Button
            type="primary"
            loading={cut.isPending}
            disabled={frames.length === 0 || grid.error !== null}
            onClick={() => cut.mutate()}
          >
            Cut {frames.length} frames
          </Button>
        </>
      }
    >
      <p className="lead">
        Move the corners onto the outer corners of the first and last frames of full strips, then set the
        gaps.
        {replaced > 0 && ` ${String(replaced)} frames have a picture already: the cut takes its place.`}
      </p>
      <CornerPicture
        url={picture(sleeve.pictureId)}
        of="the frames"
        corners={corners}
        onMove={(index, to) => setCorners((now) => withCorner(now, index, to(now[index] ?? { x: 0, y: 0 })))}
        onBroken={() => undefined}
      >
        {frames.map((f) => (
          <polygon key={f.frameId} className="grid-frame" points={points(f.corners)} />
        ))}
      </CornerPicture>
      <div className="field-row">
        <Gap label="Gap along a strip" value={along} onChange={setAlong} />
        <Gap label="Gap between strips" value={across} onChange={setAcross} />
      </div>
      <Ways label="What the scan shows" value={shows} ways={SHOWS} onChange={setShows} />
      {frames.some((f) => f.upright) && (
        <Ways label="Upright frames lie with their heads" value={heads} ways={HEADS} onChange={setHeads} />
      )}
      {!sleeve.profiled && (
        <p className="field-hint">The file does not say what its colours mean; they are taken for sRGB.</p>
      )}
      {(cut.isPending || cut.isSuccess) && (
        <p role="status">
          {done} of {frames.length} cut.
        </p>
      )}
      {[...failed, ...(grid.error ? [grid.error.at("/corners") ?? grid.error.message] : [])].map((text) => (
        <p className="field-message" role="alert" key={text}>
          {text}
        </p>
      ))}
    </Modal>
  );
}

function points(corners: readonly number[]): string {
  return corners.map((c) => (100 * c).toFixed(2)).join(" ");
}

function Gap(props: { label: string; value: number; onChange: (share: number) => void }) {
  const id = useId();
  return (
    <div className="field slider">
      <label id={id}>{props.label}</label>
      <Slider
        min={0}
        max={150}
        value={Math.round(100 * props.value)}
        tooltip={{ open: false }}
        ariaLabelledByForHandle={id}
        onChange={(percent) => props.onChange(percent / 100)}
      />
    </div>
  );
}
