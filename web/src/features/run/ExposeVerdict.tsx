import { Button } from "antd";
import { useNavigate } from "react-router";
import type { SlateView } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { Verdict } from "../../shared/ui/Verdict";
import { enterRoom } from "../../app/room";
import { useBeginSheet } from "./useRun";

/** The last word before the light goes out: expose it, say why it cannot be, or go back to the sheet under the lamp. */
export function ExposeVerdict(props: {
  slate: SlateView;
  kind: "STRIP" | "PRINT";
  headline: string;
  why: string;
  problem: string | undefined;
  mend: string;
}) {
  const { slate, kind, problem } = props;
  const navigate = useNavigate();
  const begin = useBeginSheet(slate);
  const under = slate.sheets.find((s) => s.state === "EXPOSING");
  const possible = problem === undefined && !under;
  useKeys({ e: () => possible && begin.mutate(kind) });
  if (under) {
    return (
      <Verdict
        headline={`${under.label} is under the lamp.`}
        why={`${String(under.burstsDone)} of ${String(under.script.length)} bursts are given. Finish it or give it up before the next one.`}
      >
        <Button
          type="primary"
          className="on-dark"
          onClick={() => {
            enterRoom("safelight");
            void navigate(`/runs/${under.id}`);
          }}
        >
          Continue
        </Button>
      </Verdict>
    );
  }
  return (
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
        onClick={() => begin.mutate(kind)}
      >
        Expose {kind === "STRIP" ? "strip" : "print"} <kbd>E</kbd>
      </Button>
    </Verdict>
  );
}
