import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { BenchEdge } from "../../app/BenchEdge";
import { KeyList } from "../../app/KeyList";
import { type FrameView, type Problem, api, unwrap } from "../../shared/api/client";
import { useRolls } from "../../shared/api/slate";
import { useKeys } from "../../shared/keys/keys";
import { enterRoom, useRoom } from "../../shared/room/room";
import { ProofSheet } from "../../shared/ui/ProofSheet";
import { TextField } from "../../shared/ui/TextField";
import { Verdict } from "../../shared/ui/Verdict";
import { AddRoll } from "./AddRoll";
import { Wordmark } from "../../app/Wordmark";

/** All rolls as proof sheets; a frame that is picked becomes a slate. */
export function RollsPage() {
  const rolls = useRolls();
  const room = useRoom();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<FrameView>();
  const [keysOpen, setKeysOpen] = useState(false);
  useKeys({
    b: () => void navigate("/"),
    s: () => enterRoom(room === "white" ? "safelight" : "white"),
    "?": () => setKeysOpen(true),
  });
  if (rolls.error) throw rolls.error;
  return (
    <div className="frame rolls">
      <aside className="column rolls-column" aria-label="About rolls">
        <Wordmark />
        <h1>Rolls</h1>
        <p>
          Pick the frame that is to be printed. What it should become is written in one line and shown again
          at every judgement.
        </p>
      </aside>
      <main className="frame-main rolls-main">
        {rolls.data?.map((roll) => (
          <ProofSheet key={roll.id} roll={roll} chosen={chosen?.id} onChoose={setChosen} />
        ))}
        {rolls.data?.length === 0 && (
          <p className="empty-line">
            No roll yet. Add one at the right; then its frames, with or without a scan.
          </p>
        )}
      </main>
      <aside className="panel" aria-label="New slate">
        {chosen ? (
          <StartSlate key={chosen.id} frame={chosen} />
        ) : (
          <>
            <h2>New slate</h2>
            <p className="lead">Pick a frame on a proof sheet.</p>
          </>
        )}
        <AddRoll rolls={rolls.data ?? []} />
      </aside>
      <BenchEdge onKeys={() => setKeysOpen(true)} />
      <KeyList open={keysOpen} onClose={() => setKeysOpen(false)} />
    </div>
  );
}

function StartSlate(props: { frame: FrameView }) {
  const { frame } = props;
  const navigate = useNavigate();
  const client = useQueryClient();
  const [title, setTitle] = useState(frame.title);
  const [intent, setIntent] = useState("");
  const start = useMutation<{ id: string }, Problem>({
    mutationFn: () => unwrap(api.POST("/api/slates", { body: { frameId: frame.id, title, intent } })),
    onSuccess: (slate) => {
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["bench"] });
      void navigate(`/slates/${slate.id}/setup`);
    },
  });
  return (
    <section>
      <h2>
        Frame {frame.number}, {frame.title}
      </h2>
      <p className="lead">{frame.caption}</p>
      {!frame.hasPicture && (
        <p className="note">
          This frame was never scanned: there will be no preview, and strips are read by patch number.
        </p>
      )}
      {frame.printedBefore.map((before) => (
        <p className="note" key={before.slateId}>
          Printed before: <Link to={`/slates/${before.slateId}/keep`}>{before.title}</Link>,{" "}
          {before.recipeLine}.
        </p>
      ))}
      <TextField
        label="Title"
        value={title}
        longest={80}
        error={start.error?.at("/title")}
        onChange={setTitle}
      />
      <div className="field">
        <label htmlFor="slate-intent">Intent, in a line</label>
        <Input.TextArea
          id="slate-intent"
          value={intent}
          maxLength={400}
          rows={2}
          placeholder="What must stay white, what black, where the eye goes"
          onChange={(e) => setIntent(e.target.value)}
        />
        {start.error?.at("/intent") && <p className="field-message">{start.error.at("/intent")}</p>}
      </div>
      <Verdict
        headline={`Start a slate for frame ${frame.number}.`}
        why="The lens that covers the format and the first box of paper are set; change them at Set up."
        error={start.error?.errors.length === 0 ? start.error.message : undefined}
      >
        <Button type="primary" className="on-dark" loading={start.isPending} onClick={() => start.mutate()}>
          Start slate
        </Button>
      </Verdict>
    </section>
  );
}
