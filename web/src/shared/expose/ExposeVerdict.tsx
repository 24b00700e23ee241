import { Button } from "antd";
import { useNavigate } from "react-router";
import type { SlateView } from "../api/client";
import { useKeys } from "../keys/keys";
import { enterRoom, roomOf } from "../room/room";
import { answer } from "./byHand";
import { FocusLine } from "./FocusLine";
import { HandsFree } from "./handsFree";
import { RunCard } from "./RunCard";
import { scriptOf } from "./planned";
import { Verdict } from "../ui/Verdict";
import { useBeginSheet } from "./useBeginSheet";

/** The last word before the light goes out: expose it, say why it cannot be, or go back to the sheet under the lamp. */
export function ExposeVerdict(props: {
  slate: SlateView;
  kind: string;
  name: string;
  headline: string;
  why: string;
  problem: string | undefined;
  mend: string;
}) {
  const { slate, kind, problem } = props;
  const navigate = useNavigate();
  const begin = useBeginSheet(slate);
  const under = slate.sheets.find((s) => s.state === "EXPOSING");
  const possible = problem === undefined && !under && !begin.isPending;
  // Where no light may be, the list, the sounds and the rehearsal come first.
  const black = roomOf(slate.medium.room) === "blackout";
  const go = () => {
    if (!possible) return;
    if (black) void navigate(`/slates/${slate.id}/dark/${kind}`);
    else {
      answer(new Date());
      begin.mutate(kind);
    }
  };
  const rehearse = () => void navigate(`/slates/${slate.id}/rehearsal/${kind}`);
  useKeys({ e: go });
  if (under) {
    return (
      <Verdict
        headline={`${under.label} is under the lamp.`}
        why={`${String(under.stepsDone)} of ${String(under.script.length)} exposures are given. Finish it or give it up before the next one.`}
      >
        <Button
          type="primary"
          className="on-dark"
          onClick={() => {
            enterRoom(roomOf(slate.medium.room));
            void navigate(`/runs/${under.id}`);
          }}
        >
          Continue
        </Button>
      </Verdict>
    );
  }
  return (
    <>
      {!black && <FocusLine slate={slate} />}
      {!black && <HandsFree exposures={scriptOf(slate, kind).length} lamp={slate.setup.lamp} />}
      <Verdict
        headline={problem ?? props.headline}
        why={problem ? props.mend : props.why}
        error={begin.error ? (begin.error.at("/kind") ?? begin.error.message) : undefined}
      >
        <Button
          type="primary"
          className="on-dark"
          disabled={!possible}
          loading={begin.isPending}
          onClick={go}
        >
          {black ? "Before the dark" : `Expose ${props.name}`} <kbd>E</kbd>
        </Button>
        {!black && problem === undefined && (
          <Button className="on-dark-quiet" onClick={rehearse}>
            Rehearse
          </Button>
        )}
        {problem === undefined && <RunCard slate={slate} kind={kind} />}
      </Verdict>
    </>
  );
}
