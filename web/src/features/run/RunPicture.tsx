import { type RunView, positive } from "../../shared/api/client";
import { AreaOutline } from "../shape/AreaOutline";

/** The picture, dim, with the areas the hands are on; for a strip the part that is still uncovered. */
export function RunPicture(props: { run: RunView }) {
  const { run } = props;
  const step = run.burst === undefined ? undefined : run.script[run.burst - 1];
  const names = step ? [...step.held, ...(step.burned ? [step.burned] : [])] : [];
  const busy = run.areas.filter((a) => names.includes(a.name));
  const height = 190;
  const width = Math.min(300, height * run.aspect);
  return (
    <div className="run-picture" style={{ width, height: width / run.aspect }}>
      {run.hasPicture && (
        <span className="run-crop">
          <img
            src={positive(run.frameId, 480)}
            alt=""
            style={{
              width: `${String(100 / run.view.width)}%`,
              height: `${String(100 / run.view.height)}%`,
              left: `${String((-100 * run.view.left) / run.view.width)}%`,
              top: `${String((-100 * run.view.top) / run.view.height)}%`,
            }}
          />
        </span>
      )}
      {step?.patch !== undefined && run.kind === "STRIP" && (
        <span className="card" style={cardOver(run, step.patch)} />
      )}
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

/** Where the card lies while patch `patch` gets its burst: over all the ones before it. */
function cardOver(run: RunView, patch: number) {
  const covered = `${String((100 * (patch - 1)) / run.script.length)}%`;
  switch (run.direction) {
    case "DARK_RIGHT":
      return { left: 0, top: 0, bottom: 0, width: covered };
    case "DARK_LEFT":
      return { right: 0, top: 0, bottom: 0, width: covered };
    case "DARK_BOTTOM":
      return { left: 0, right: 0, top: 0, height: covered };
    default:
      return { left: 0, right: 0, bottom: 0, height: covered };
  }
}
