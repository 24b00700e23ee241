import { useState } from "react";
import { Choice } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { type Screen, keepScreen, keptScreen, saysOf } from "./screen";

/** A black screen still glows: asked once for each screen, in one line that opens. */
export function ThisScreen() {
  const [screen, setScreen] = useState(keptScreen);
  const change = (part: Partial<Screen>) => {
    const next = { ...screen, ...part };
    setScreen(next);
    keepScreen(next);
  };
  return (
    <details className="more">
      <summary>This screen: {saysOf(screen)}</summary>
      <Choice
        label="What it is, and where"
        value={screen.kind}
        options={[
          { value: "", label: "not said yet" },
          { value: "BACKLIT", label: "backlit, in the darkroom" },
          { value: "OWN_LIGHT", label: "each point gives its own light, in the darkroom" },
          { value: "OUTSIDE", label: "outside the door" },
        ]}
        onChange={(kind) => change({ kind: kind as Screen["kind"], coinMinutes: undefined })}
      />
      {screen.kind !== "" && screen.kind !== "OUTSIDE" && (
        <QuantityField
          label="A coin on a piece of this paper, at its place, left no mark after"
          shown={String(screen.coinMinutes ?? 0)}
          unit="min"
          units={["min"]}
          hint="Lay it there with this very screen black, develop the piece, look for the coin. 0: not tested."
          onCommit={(c) =>
            change({ coinMinutes: c.value > 0 ? Math.min(240, Math.round(c.value)) : undefined })
          }
        />
      )}
    </details>
  );
}
