import { Choice } from "../../shared/ui/Choice";
import type { SlateView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";
import type { Asked, Proposal } from "./contrast";

/** The two filters of a split, their order, and the one filter that the pair is worth. */
export function TwoFilters(props: {
  slate: SlateView;
  asked: Asked;
  proposal: Proposal | undefined;
  onAsk: (change: (now: Asked) => Asked) => void;
}) {
  const { asked, proposal } = props;
  const options = props.slate.medium.lights.map((l) => ({ value: l, label: l.replace("grade ", "") }));
  return (
    <>
      <div className="field-row">
        <Choice
          label="Soft"
          value={asked.soft ?? "grade 00"}
          options={options}
          onChange={(soft) => props.onAsk((now) => ({ ...now, soft }))}
        />
        <Choice
          label="Hard"
          value={asked.hard ?? "grade 5"}
          options={options}
          onChange={(hard) => props.onAsk((now) => ({ ...now, hard }))}
        />
        <Choice
          label="First"
          value={asked.hardFirst === true ? "hard" : "soft"}
          options={[
            { value: "soft", label: "soft" },
            { value: "hard", label: "hard" },
          ]}
          onChange={(first) => props.onAsk((now) => ({ ...now, hardFirst: first === "hard" }))}
        />
      </div>
      {proposal && (
        <p className="note">
          In one filter: nearest {proposal.one.light.notation}, {seconds(proposal.one.seconds)} s. The paper
          does not care which part comes first; the list before the dark says both.
        </p>
      )}
    </>
  );
}
