import { useState } from "react";
import type { Schemas } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import { number } from "../../shared/units/format";
import { FACTORS, type Kit } from "./kit";

/** In points as they stand on the filters: the server counts as if all kits said their strength. */
export function Learned({ taught, kit }: { taught: Schemas["KitView"]; kit: Kit }) {
  const five = (factor: number) => number((5 * factor * FACTORS[kit]) / FACTORS.STRENGTH);
  return (
    <p className="field-hint">
      This kit&rsquo;s 5 moves the pack by {five(taught.magentaFactor)} M or {five(taught.yellowFactor)} Y, ±{" "}
      {Math.round(100 * taught.limitShare)} %, learned from {taught.looks}{" "}
      {taught.looks === 1 ? "look" : "looks"}.
    </p>
  );
}

/** Asked once: kits differ by a factor of two in what their numbers mean. */
export function KitQuestion(props: { kit: Kit | undefined; onAnswer: (kit: Kit) => void }) {
  const [asking, setAsking] = useState(props.kit === undefined);
  if (!asking && props.kit !== undefined) {
    return (
      <p className="field-hint">
        {props.kit === "CORRECTION"
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
      <Ways<Kit | "">
        label="What stands on your viewing filters?"
        value={props.kit ?? ""}
        ways={[
          { value: "STRENGTH", label: "Their strength" },
          { value: "CORRECTION", label: "The correction" },
        ]}
        onChange={(kit) => {
          if (kit !== "") props.onAnswer(kit);
          setAsking(false);
        }}
      />
    </>
  );
}
