import { Button } from "antd";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { BenchEdge } from "../../app/BenchEdge";
import { KeyList } from "../../app/KeyList";
import { type FrameView, type Schemas, toProblem } from "../../shared/api/client";
import { type Looked, useFound } from "../../shared/api/frames";
import { useRolls } from "../../shared/api/shelf";
import { useKeys } from "../../shared/keys/keys";
import { enterRoom, useRoom } from "../../shared/room/room";
import { ProofSheet } from "../../shared/ui/ProofSheet";
import { Shelf } from "../../shared/ui/Shelf";
import { AddRoll } from "./AddRoll";
import { Finder, asked } from "./Finder";
import { FoundFrames } from "./FoundFrames";
import { FramePanel } from "./FramePanel";
import { RollFacts } from "./RollFacts";
import { RollProofs } from "./RollProofs";
import { SleeveCutter } from "./SleeveCutter";
import { Wordmark } from "../../app/Wordmark";

/** All rolls as proof sheets; a frame that is picked becomes a slate. */
export function RollsPage() {
  const rolls = useRolls(false);
  const loaded = rolls.data?.pages.flatMap((page) => page.rolls) ?? [];
  const room = useRoom();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<FrameView>();
  const panel = useRef<HTMLElement>(null);
  const pick = (frame: FrameView) => {
    // Picked again by Enter: on to what is known of it, past all frames that follow.
    if (frame.id === chosen?.id) panel.current?.focus();
    setChosen(frame);
  };
  const [keysOpen, setKeysOpen] = useState(false);
  const [looked, setLooked] = useState<Looked>({});
  const looking = Object.keys(asked(looked)).length > 0;
  const found = useFound(asked(looked), looking);
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
        <Finder
          looked={looked}
          count={looking ? found.data?.pages[0]?.count : undefined}
          problem={looking && found.error ? toProblem(found.error) : undefined}
          onLook={setLooked}
        />
        <p className="rolls-hint">
          Pick the frame that is to be printed. What it should become is written in one line and shown again
          at every judgement.
        </p>
      </aside>
      <main className="frame-main rolls-main">
        {looking ? (
          <FoundFrames found={found} chosen={chosen?.id} onChoose={pick} />
        ) : (
          <AllRolls rolls={rolls} chosen={chosen?.id} onChoose={pick} />
        )}
      </main>
      <aside className="panel" aria-label="Frame" ref={panel} tabIndex={-1}>
        {chosen ? (
          <FramePanel key={chosen.id} frame={chosen} />
        ) : (
          <>
            <h2>No frame is picked</h2>
            <p className="lead">
              Pick one on a proof sheet, by mouse or with Tab and the arrows; Enter again leads here.
            </p>
          </>
        )}
        {rolls.data && <AddRoll rolls={loaded} />}
      </aside>
      <BenchEdge onKeys={() => setKeysOpen(true)} />
      <KeyList open={keysOpen} onClose={() => setKeysOpen(false)} />
    </div>
  );
}

function AllRolls(props: {
  rolls: ReturnType<typeof useRolls>;
  chosen: string | undefined;
  onChoose: (frame: FrameView) => void;
}) {
  const { rolls, chosen, onChoose } = props;
  const loaded = rolls.data?.pages.flatMap((page) => page.rolls) ?? [];
  const last = rolls.data?.pages.at(-1);
  return (
    <>
      {loaded.map((roll) => (
        <RollSheet key={roll.id} roll={roll} chosen={chosen} onChoose={onChoose} />
      ))}
      {last && loaded.length === 0 && (
        <p className="empty-line">
          No roll {last.putAway ? "is in use" : "yet"}. Add one at the right; its frames with it, with or
          without scans.
        </p>
      )}
      {last && last.moreRolls > 0 && (
        <Button
          className="more"
          loading={rolls.isFetchingNextPage}
          onClick={() => void rolls.fetchNextPage()}
        >
          Older rolls ({last.moreRolls})
        </Button>
      )}
      {last && last.putAway > 0 && <RollsPutAway count={last.putAway} onChoose={onChoose} />}
    </>
  );
}

function RollSheet(props: {
  roll: Schemas["RollView"];
  chosen?: string | undefined;
  onChoose: (frame: FrameView) => void;
}) {
  const { roll } = props;
  const away = roll.putAwayAt !== undefined;
  return (
    <ProofSheet roll={roll} chosen={props.chosen} onChoose={props.onChoose}>
      <RollProofs roll={roll} />
      <SleeveCutter roll={roll} />
      <RollFacts roll={roll} />
      <Shelf
        thing={{ kind: "roll", id: roll.id }}
        title={roll.title}
        away={away}
        deletable={roll.deletable}
        deletes={away}
      />
    </ProofSheet>
  );
}

/** Rolls that are not needed now; one that nothing was printed from can be deleted here. */
function RollsPutAway(props: { count: number; onChoose: (frame: FrameView) => void }) {
  const [open, setOpen] = useState(false);
  const away = useRolls(true, open);
  return (
    <details className="put-away" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Put away ({props.count})</summary>
      {away.data?.pages
        .flatMap((page) => page.rolls)
        .map((roll) => (
          <RollSheet key={roll.id} roll={roll} onChoose={props.onChoose} />
        ))}
      {away.hasNextPage && (
        <Button className="more" loading={away.isFetchingNextPage} onClick={() => void away.fetchNextPage()}>
          Older ones
        </Button>
      )}
    </details>
  );
}
