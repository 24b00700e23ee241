import { useState } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import { Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { TextField } from "../../shared/ui/TextField";
import { heightLabel } from "../../shared/units/height";

const WAYS = [
  { value: "ENLARGED", label: "Enlarged" },
  { value: "LENS", label: "Contact" },
  { value: "LAMP", label: "Bare lamp" },
];

/** How the light comes to the paper, and in contact from how far; a proof is never enlarged. */
export function ContactFields({ slate, edit }: SlateContext) {
  const { setup, subject } = slate;
  return (
    <>
      <Ways
        label="How the light comes to the paper"
        value={setup.projection}
        ways={subject.proof ? WAYS.slice(1) : WAYS}
        onChange={(projection) => edit.mutate({ setup: { projection } })}
      />
      {setup.projection !== "ENLARGED" && (
        <div className="field-row">
          <QuantityField
            label={heightLabel(setup)}
            shown={(setup.lensToPaperMm / 10).toFixed(1)}
            unit="cm"
            units={["cm"]}
            hint="Lens or lamp itself to the paper, as you measure it; a first proof begins with 60 as a default. Time follows by the square."
            error={edit.error?.at("/setup/distanceMm")}
            onCommit={(c) => edit.mutateAsync({ setup: { distanceMm: 10 * c.value } })}
            onStep={(direction, big) =>
              edit.mutate((now) => ({
                setup: { distanceMm: now.setup.lensToPaperMm + direction * (big ? 50 : 5) },
              }))
            }
          />
          <ColumnReading slate={slate} edit={edit} />
        </div>
      )}
    </>
  );
}

/** The scale on the column is no distance of the lens; it brings the head back to its place. */
function ColumnReading({ slate, edit }: SlateContext) {
  const standing = slate.setup.columnReading;
  const [typed, setTyped] = useState<string>();
  const commit = () => {
    if (typed === undefined || typed.trim() === standing) return setTyped(undefined);
    edit.mutate({ setup: { columnReading: typed } }, { onSuccess: () => setTyped(undefined) });
  };
  return (
    <TextField
      label="Column shows"
      value={typed ?? standing}
      longest={20}
      hint="As its own scale reads."
      error={typed === undefined ? undefined : edit.error?.at("/setup/columnReading")}
      onChange={setTyped}
      onLeave={commit}
    />
  );
}
