import type { SlateView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";

/** More patches than this are too narrow for what each gets; the table beside has it. */
const MOST_WITH_WORDS = 8;

/** The patches of the planned test where they fall, with what each gets. */
export function PatchSpans(props: { patches: SlateView["test"]["patches"] }) {
  const percent = (share: number) => `${(100 * share).toFixed(3)}%`;
  return props.patches.map((p) => (
    <span
      key={p.number}
      className="strip-patch"
      style={{
        left: percent(p.place.left),
        top: percent(p.place.top),
        width: percent(p.place.width),
        height: percent(p.place.height),
      }}
    >
      <b>{p.number}</b>
      {props.patches.length <= MOST_WITH_WORDS && (
        <span className="patch-seconds">{p.name === "" ? `${seconds(p.totalSeconds)} s` : p.name}</span>
      )}
    </span>
  ));
}
