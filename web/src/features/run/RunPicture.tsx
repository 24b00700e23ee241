import { type AreaView, type RunView, positiveAt } from "../../shared/api/client";
import { AreaOutline } from "../../shared/areas/AreaOutline";
import { cropped } from "../../shared/ui/Print";

/** The picture, dim, with the areas the hands are on; for a strip the part that is still uncovered. */
export function RunPicture(props: { run: RunView; elapsed: number }) {
  const { run } = props;
  const phase = phaseAt(run, props.elapsed);
  const keys = phase?.areaKeys ?? [];
  const busy = (run.areas as AreaView[]).filter((a) => keys.includes(a.key));
  const height = 190;
  const width = Math.min(300, height * run.aspect);
  return (
    <div className="run-picture" style={{ width, height: width / run.aspect }}>
      {run.positivePath !== undefined && (
        <span className="run-crop">
          <img src={positiveAt(run.positivePath, 480)} alt="" style={cropped(run.view)} />
        </span>
      )}
      {phase?.uncovered &&
        covers(phase.uncovered).map((style, i) => <span key={i} className="card" style={style} />)}
      {busy.length > 0 && (
        <svg viewBox={`0 0 ${String(100 * run.aspect)} 100`} preserveAspectRatio="none" aria-hidden="true">
          {busy.map((area) => (
            <g key={area.key} className="area busy">
              <AreaOutline shape={area.shape} crop={run.view} widthMm={100 * run.aspect} heightMm={100} />
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}

/** What the light does at a moment of the step that is on, or at the beginning of the next. */
export function phaseAt(run: RunView, elapsed: number) {
  const step = run.step === undefined ? undefined : run.script[run.step - 1];
  if (!step) return undefined;
  let end = -run.fromSeconds;
  // Before the lamp is lit the hands look for the first area they will need.
  if (!run.lampOn && run.fromSeconds === 0)
    return step.phases.find((p) => p.areaKeys.length > 0) ?? step.phases[0];
  for (const phase of step.phases) {
    end += phase.seconds;
    if (elapsed < end) return phase;
  }
  return step.phases.at(-1);
}

/** Where the card lies: all but what is uncovered. */
function covers(open: { left: number; top: number; width: number; height: number }) {
  const percent = (share: number) => `${String(100 * share)}%`;
  return [
    { left: 0, top: 0, bottom: 0, width: percent(open.left) },
    { right: 0, top: 0, bottom: 0, width: percent(1 - open.left - open.width) },
    { left: 0, right: 0, top: 0, height: percent(open.top) },
    { left: 0, right: 0, bottom: 0, height: percent(1 - open.top - open.height) },
  ];
}
