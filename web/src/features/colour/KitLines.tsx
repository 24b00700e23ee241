import { useState } from "react";
import type { Schemas } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";
import { number } from "../../shared/units/format";
import { FACTORS, type Kit, type Says, USUAL_STRENGTHS, strengthsOf } from "./kit";

/** In points as they stand on the filters: the server counts as if all kits said their strength. */
export function Learned({ taught, says }: { taught: Schemas["KitView"]; says: Says }) {
  const five = (factor: number) => number((5 * factor * FACTORS[says]) / FACTORS.STRENGTH);
  return (
    <p className="field-hint">
      This kit&rsquo;s 5 moves the pack by {five(taught.magentaFactor)} M or {five(taught.yellowFactor)} Y, ±{" "}
      {Math.round(100 * taught.limitShare)} %, learned from {taught.looks}{" "}
      {taught.looks === 1 ? "look" : "looks"}.
    </p>
  );
}

/** Asked once: kits differ by a factor of two in what their numbers mean, and in which filters there are. */
export function KitQuestion(props: { kit: Kit | undefined; onAnswer: (kit: Kit) => void }) {
  const [asking, setAsking] = useState(props.kit === undefined);
  const [strengths, setStrengths] = useState((props.kit?.strengths ?? USUAL_STRENGTHS).join(", "));
  const read = strengthsOf(strengths);
  if (!asking && props.kit !== undefined) {
    return (
      <p className="field-hint">
        {props.kit.says === "CORRECTION"
          ? "The filter says the correction: 10 on it moves the pack by 10 at first."
          : "The filter says its own strength: 10 on it moves the pack by 5 at first."}{" "}
        <button type="button" className="link" onClick={() => setAsking(true)}>
          Another kit
        </button>
      </p>
    );
  }
  return (
    <>
      <h3>What stands on your viewing filters?</h3>
      <TextField
        label="Which strengths are there"
        value={strengths}
        longest={60}
        error={read ? undefined : "Write up to eight strengths from 1 to 60, such as 5, 10, 20."}
        onChange={setStrengths}
      />
      <Ways<Says | "">
        label="What stands on your viewing filters?"
        value={props.kit?.says ?? ""}
        ways={[
          { value: "STRENGTH", label: "Their strength" },
          { value: "CORRECTION", label: "The correction" },
        ]}
        onChange={(says) => {
          if (says === "" || !read) return;
          props.onAnswer({ says, strengths: read });
          setAsking(false);
        }}
      />
    </>
  );
}
