import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../shared/api/client";
import { Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";
import { number } from "../../shared/units/format";
import {
  FACTORS,
  type Kit,
  type KnownKit,
  type Says,
  USUAL_STRENGTHS,
  isKnown,
  strengthsOf,
  useKeepKit,
} from "./kit";

/** One or two looks agree with themselves: from here on it says something how many do. */
const ENOUGH_LOOKS = 3;

/** In points as they stand on the filters: the server counts as if all kits said their strength. */
export function Learned({ taught, kits }: { taught: Schemas["KitView"]; kits: readonly Kit[] }) {
  const kit = kits.find((one) => one.name === taught.name);
  // What stands on the filters of one that is retired is not known here.
  if (!kit && taught.name !== "") return null;
  const says = kit?.says ?? "STRENGTH";
  const unnamed = kits.length === 0 ? "This kit" : "The kit that was not named";
  const five = (factor: number) => number((5 * factor * FACTORS[says]) / FACTORS.STRENGTH);
  return (
    <p className="field-hint">
      {taught.name === "" ? unnamed : taught.name}&rsquo;s 5 moves the pack by {five(taught.magentaFactor)} M
      or {five(taught.yellowFactor)} Y, ± {Math.round(100 * taught.limitShare)} %, learned from {taught.looks}{" "}
      {taught.looks === 1 ? "look" : "looks"}
      {taught.looks >= ENOUGH_LOOKS &&
        `; ${String(taught.near)} of them put neutral within 5 points of where all looks do`}
      .
    </p>
  );
}

const FIRST_NAME = "My kit";

/** Asked once: kits differ by a factor of two in what their numbers mean, and in which filters there are. */
export function KitQuestion({ kits }: { kits: readonly Kit[] }) {
  const [asking, setAsking] = useState(false);
  const kit = kits[0];
  if (!asking && kit && isKnown(kit)) {
    return (
      <p className="field-hint">
        {kit.name}{" "}
        {kit.says === "CORRECTION"
          ? "says the correction: 10 on it moves"
          : "says its strength: 10 on it moves"}{" "}
        the pack by {kit.says === "CORRECTION" ? 10 : 5} at first.{" "}
        <button type="button" className="link" onClick={() => setAsking(true)}>
          Another kit
        </button>
      </p>
    );
  }
  return <KitForm kits={kits} onDone={() => setAsking(false)} />;
}

/** Another kit of the shelf, or one that is entered; what each has taught is kept under its name. */
function KitForm({ kits, onDone }: { kits: readonly Kit[]; onDone: () => void }) {
  const keep = useKeepKit();
  const unsaid = kits[0] !== undefined && !isKnown(kits[0]) ? kits[0].name : "";
  const [name, setName] = useState(kits.length === 0 ? FIRST_NAME : unsaid);
  const [strengths, setStrengths] = useState(USUAL_STRENGTHS.join(", "));
  const read = strengthsOf(strengths);
  const take = (kit: KnownKit) => keep.mutate(kit, { onSuccess: onDone });
  const error = keep.error;
  return (
    <>
      <h3>
        {unsaid !== "" && `What stands on the filters of ${unsaid}?`}
        {unsaid === "" && (kits.length === 0 ? "What stands on your viewing filters?" : "Which kit?")}
      </h3>
      {kits.length > 0 && (
        <>
          <div className="kits">
            {kits.map((kit) => (
              <Button
                key={kit.name}
                size="small"
                onClick={() => (isKnown(kit) ? take(kit) : setName(kit.name))}
              >
                {kit.name}
              </Button>
            ))}
          </div>
          <p className="field-hint">
            They stand on the shelf at{" "}
            <Link className="link" to="/stores">
              Stores
            </Link>
            . Or enter another:
          </p>
        </>
      )}
      <TextField label="Its name" value={name} longest={40} error={error?.at("/name")} onChange={setName} />
      <TextField
        label="Which strengths are there"
        value={strengths}
        longest={60}
        error={
          read ? error?.at("/strengths") : "Write up to eight strengths from 1 to 60, such as 5, 10, 20."
        }
        onChange={setStrengths}
      />
      <Ways<Says | "">
        label="What stands on your viewing filters?"
        value=""
        ways={[
          { value: "STRENGTH", label: "Their strength" },
          { value: "CORRECTION", label: "The correction" },
        ]}
        onChange={(says) => {
          if (says !== "" && read) take({ name, says, strengths: [...read] });
        }}
      />
      {error && error.at("/name") === undefined && error.at("/strengths") === undefined && (
        <p className="field-message" role="alert">
          {error.message}
        </p>
      )}
    </>
  );
}
