import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { type FrameView, type Problem, api, picture, unwrap } from "../../shared/api/client";
import { type FrameDetail, useFrame, useFrameChange } from "../../shared/api/frames";
import { useKeys } from "../../shared/keys/keys";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { FrameMore } from "./FrameMore";
import { FrameNeed } from "./FrameNeed";
import { FrameScan } from "./FrameScan";

const RATINGS = [
  { value: "PRINT", label: "Print it", key: "P" },
  { value: "MAYBE", label: "Maybe", key: "M" },
  { value: "NO", label: "No", key: "X" },
] as const;

/** What was decided of a frame, what it should become, what is known of it, and the way to a slate. */
export function FramePanel(props: { frame: FrameView }) {
  const detail = useFrame(props.frame.id);
  const change = useFrameChange(props.frame.id);
  const { rating: standing } = detail.data?.frame ?? props.frame;
  const rate = (rating: string) => change.mutate({ rating: standing === rating ? "NONE" : rating });
  // From the first moment that the frame is picked, before the rest of it is known.
  useKeys({ p: () => rate("PRINT"), m: () => rate("MAYBE"), x: () => rate("NO") });
  if (detail.error) throw detail.error;
  if (!detail.data) return <h2>{heading(props.frame)}</h2>;
  return <Known key={props.frame.id} detail={detail.data} change={change} rate={rate} />;
}

function heading(frame: FrameView): string {
  return frame.title ? `Frame ${frame.number}, ${frame.title}` : `Frame ${frame.number}`;
}

function Known(props: {
  detail: FrameDetail;
  change: ReturnType<typeof useFrameChange>;
  rate: (rating: string) => void;
}) {
  const { change, rate } = props;
  const { frame, advice } = props.detail;
  const [line, setLine] = useState(frame.caption);
  return (
    <section>
      <h2>{heading(frame)}</h2>
      <p className="lead">{frame.rollTitle}</p>
      <div className="ratings" role="group" aria-label="Is it to be printed?">
        {RATINGS.map(({ value, label, key }) => (
          <button key={value} type="button" aria-pressed={frame.rating === value} onClick={() => rate(value)}>
            {label} <kbd>{key}</kbd>
          </button>
        ))}
      </div>
      {frame.beyondRescue && <p className="note">Marked beyond rescue: no paper is worth it.</p>}
      {frame.toBeAsked && <p className="note">A person on it has not agreed to be shown.</p>}
      {!frame.hasPicture && (
        <p className="note">
          This frame was never scanned: there will be no preview, and strips are read by patch number.
        </p>
      )}
      <PrintedBefore frame={frame} />
      <div className="field">
        <label htmlFor="frame-line">Intent, in a line</label>
        <Input.TextArea
          id="frame-line"
          value={line}
          maxLength={400}
          rows={2}
          placeholder="What must stay white, what black, where the eye goes"
          onChange={(e) => setLine(e.target.value)}
          onBlur={() => line.trim() !== frame.caption && change.mutate({ caption: line })}
        />
        {change.error?.at("/caption") && <p className="field-message">{change.error.at("/caption")}</p>}
      </div>
      {advice && (
        <p className="note">
          {advice.headline} {advice.why}
        </p>
      )}
      <FrameNeed frame={frame} />
      <FrameMore detail={props.detail} />
      <FrameScan detail={props.detail} />
      {change.error?.errors.length === 0 && (
        <p className="field-message" role="alert">
          {change.error.message}
        </p>
      )}
      <StartSlate frame={frame} line={line} />
    </section>
  );
}

function PrintedBefore(props: { frame: FrameView }) {
  const before = props.frame.printedBefore;
  if (before.length === 0) return null;
  return (
    <ul className="before" aria-label="Printed before">
      {before.map((b) => (
        <li key={b.slateId}>
          {b.pictureId && <img src={picture(b.pictureId)} alt="" />}
          <span>
            {b.accepted ? "Printed before" : "On a slate"}:{" "}
            <Link to={`/slates/${b.slateId}/keep`}>{b.title}</Link>, {b.recipeLine}.
          </span>
        </li>
      ))}
    </ul>
  );
}

function StartSlate(props: { frame: FrameView; line: string }) {
  const { frame, line } = props;
  const navigate = useNavigate();
  const client = useQueryClient();
  // The subject, until something else is typed.
  const [typed, setTyped] = useState<string>();
  const title = typed ?? (frame.title || `Frame ${frame.number}`);
  const start = useMutation<{ id: string }, Problem, "setup" | "shape">({
    mutationFn: () => unwrap(api.POST("/api/slates", { body: { frameId: frame.id, title, intent: line } })),
    onSuccess: (slate, station) => {
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["bench"] });
      void navigate(`/slates/${slate.id}/${station}`);
    },
  });
  return (
    <>
      <TextField
        label="Title of the slate"
        value={title}
        longest={80}
        error={start.error?.at("/title")}
        onChange={setTyped}
      />
      {start.error?.at("/intent") && <p className="field-message">{start.error.at("/intent")}</p>}
      <Verdict
        headline={`Start a slate for frame ${frame.number}.`}
        why="The lens that covers the format and the first box of paper are set; change them at Set up."
        error={start.error?.errors.length === 0 ? start.error.message : undefined}
      >
        <Button
          type="primary"
          className="on-dark"
          loading={start.isPending}
          onClick={() => start.mutate("setup")}
        >
          Start slate
        </Button>
        <Button className="on-dark-quiet" disabled={start.isPending} onClick={() => start.mutate("shape")}>
          Draw on it
        </Button>
      </Verdict>
    </>
  );
}
