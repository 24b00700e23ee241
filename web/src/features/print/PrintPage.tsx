import { Button } from "antd";
import { useSlateContext } from "../../app/SlateFrame";
import { type Schemas, type SlateView, previewPicture } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { Print } from "../../shared/ui/Print";
import { ScriptDials } from "../../shared/ui/ScriptDials";
import { Verdict } from "../../shared/ui/Verdict";
import { aperture, seconds } from "../../shared/units/format";
import { useBeginSheet } from "../run/useRun";

type Step = Schemas["ScriptStepView"];

/** The next sheet before the light goes out: what it will be, burst by burst, and what to check by hand. */
export function PrintPage() {
  const { slate } = useSlateContext();
  const begin = useBeginSheet(slate);
  const under = slate.sheets.find((s) => s.state === "EXPOSING");
  const possible = slate.local.problem === undefined && !under;
  const { imageWidthMm, imageHeightMm } = slate.setup;
  useKeys({ e: () => possible && begin.mutate("PRINT") });
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Print</h1>
        <Print
          source={slate.frame.hasPicture ? previewPicture(slate, true) : undefined}
          alt="Preview of the next print"
          aspect={imageWidthMm / imageHeightMm}
        />
        <p className="stage-note">{slate.previewBasis.text}</p>
      </main>
      <aside className="panel dense" aria-label="Print">
        <h2>Print</h2>
        {slate.local.script.length > 0 && (
          <ScriptDials script={slate.local.script} baseFilter={slate.recipe.filter} />
        )}
        <Script slate={slate} />
        <Preflight slate={slate} />
        {under ? (
          <Verdict
            headline={`${under.label} is under the lamp.`}
            why={`${String(under.burstsDone)} of ${String(under.script.length)} bursts are given.`}
          >
            <Button type="primary" className="on-dark" href={`/runs/${under.id}`}>
              Continue
            </Button>
          </Verdict>
        ) : (
          <Verdict
            headline={
              slate.local.problem ??
              `Expose the print: ${seconds(slate.local.totalSetSeconds)} s under the lamp.`
            }
            why={
              slate.local.problem
                ? "Change the plan at Shape."
                : "The room turns to safelight. Space gives each burst; a sheet of paper is taken from the box."
            }
            error={begin.error ? (begin.error.at("/kind") ?? begin.error.message) : undefined}
          >
            <Button
              type="primary"
              className="on-dark"
              disabled={!possible}
              loading={begin.isPending}
              onClick={() => begin.mutate("PRINT")}
            >
              Expose print <kbd>E</kbd>
            </Button>
          </Verdict>
        )}
      </aside>
    </>
  );
}

/** What a burst asks of the hands. */
export function stepWords(step: Step): string {
  if (step.kind === "BURN") return `Burn ${step.burned ?? ""}`;
  if (step.kind === "PATCH") {
    return step.patch === 1 ? "Whole strip" : `Cover patches 1 to ${String((step.patch ?? 2) - 1)}`;
  }
  if (step.held.length > 0) return `Hold back ${step.held.join(" and ")}`;
  return step.place === 1 ? "Base, nothing held" : "Base, hands out";
}

function Script(props: { slate: SlateView }) {
  return (
    <table className="rows">
      <thead>
        <tr>
          <th scope="col">Burst</th>
          <th scope="col">Hands</th>
          <th scope="col">Grade</th>
          <th scope="col">Timer</th>
        </tr>
      </thead>
      <tbody>
        {props.slate.local.script.map((step) => (
          <tr key={step.place}>
            <td>{step.place}</td>
            <td>{stepWords(step)}</td>
            <td>{step.filter}</td>
            <td>{seconds(step.setSeconds)} s</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Preflight(props: { slate: SlateView }) {
  const { recipe, setup } = props.slate;
  const lines = [
    `Lens at ${aperture(recipe.apertureMark)}, ${setup.stopsFromOpen < 0.9 ? "wide open: stop down" : "stopped down"}`,
    `Filter ${props.slate.local.script[0]?.filter ?? recipe.filter} in place, covering the beam; red filter out`,
    `Box shut after the sheet is out: ${setup.paperName}, ${setup.paperBatch}`,
    "Floor clear. Eyes off the lamp; it is hot",
  ];
  return (
    <ul className="preflight" aria-label="Check by hand">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
