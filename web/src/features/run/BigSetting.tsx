import type { RunView } from "../../shared/api/client";
import { LightName } from "../../shared/ui/LightName";
import { seconds } from "../../shared/units/format";

/** What is set in white light before the next exposure, to be read from where the enlarger stands. */
export function BigSetting(props: { run: RunView }) {
  const { run } = props;
  const step = run.step === undefined ? undefined : run.script[run.step - 1];
  if (!step) return null;
  return (
    <div className="big-setting" role="group" aria-label="What to set">
      <LightName light={step.light} large />
      {run.lamp === "MY_TIMER" && <p>Timer {seconds(run.nextSetSeconds)} s</p>}
    </div>
  );
}
