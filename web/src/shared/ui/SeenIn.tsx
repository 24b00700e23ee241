import { Checkbox } from "antd";
import type { SlateView } from "../api/client";
import { LAMPS, lookIn, useViewing } from "../preview/viewing";
import { Choice } from "./Choice";

/** In which light, and wet or dry, computed colour prints are shown; nothing where the paper has no colour. */
export function SeenIn({ slate }: { slate: SlateView }) {
  const now = useViewing();
  if (!slate.base.pack) return null;
  const words = LAMPS.find((l) => l.value === now.kelvin)?.label ?? "";
  return (
    <details className="more">
      <summary>
        Preview in {words}, {now.wet ? "wet" : "dry"}
      </summary>
      <Choice
        label="Light it is looked at in"
        value={now.kelvin}
        options={LAMPS}
        onChange={(kelvin) => lookIn({ kelvin })}
      />
      <Checkbox checked={now.wet} onChange={(event) => lookIn({ wet: event.target.checked })}>
        As it looks wet
      </Checkbox>
    </details>
  );
}
