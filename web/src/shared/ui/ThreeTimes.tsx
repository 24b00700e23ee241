import type { ThirdView, SlateView } from "../api/client";
import type { RecipeEdit, SlateChange } from "../api/slate";
import { number, seconds } from "../units/format";
import { QuantityField } from "./QuantityField";

/** The times of a head that prints with red, green and blue light: one's own, or those of the pack that stands. */
export function ThreeTimes(props: {
  slate: SlateView;
  edit: SlateChange<RecipeEdit>;
  thirds: readonly ThirdView[];
}) {
  const { thirds, edit } = props;
  // Of the times that stand then: the one before may have been on its way as this one was typed.
  const set = (at: number, value: number) =>
    edit.mutateAsync((now) => ({
      base: { thirds: (now.base.pack?.thirds ?? []).map((t, i) => (i === at ? value : t.seconds)) },
    }));
  return (
    <>
      <div className="three-times">
        {thirds.map((third, at) => (
          <QuantityField
            key={third.light}
            label={`${third.light.charAt(0).toUpperCase()}${third.light.slice(1)} light`}
            shown={seconds(third.seconds)}
            unit="s"
            units={["s"]}
            error={
              edit.error?.at(`/base/thirds/${String(at)}`) ??
              (at === 0 ? edit.error?.at("/base/thirds") : undefined)
            }
            onCommit={(c) => set(at, c.value)}
          />
        ))}
      </div>
      <p className="field-hint">
        Received, one after another; the lamp takes {number(props.slate.setup.lagSeconds)} s more of each. One
        time alone moves the pack.
      </p>
    </>
  );
}
