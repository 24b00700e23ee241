import { useSlateContext } from "../../app/SlateFrame";
import { type SlateView, previewPicture } from "../../shared/api/client";
import { Print } from "../../shared/ui/Print";
import { ScriptDials } from "../../shared/ui/ScriptDials";
import { ScriptTable } from "../../shared/ui/ScriptTable";
import { aperture, seconds } from "../../shared/units/format";
import { ExposeVerdict } from "../run/ExposeVerdict";

/** The next sheet before the light goes out: what it will be, burst by burst, and what to check by hand. */
export function PrintPage() {
  const { slate } = useSlateContext();
  const { imageWidthMm, imageHeightMm } = slate.setup;
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
        <ScriptTable script={slate.local.script} />
        <Preflight slate={slate} />
        <ExposeVerdict
          slate={slate}
          kind="PRINT"
          headline={`Expose the print: ${seconds(slate.local.totalSetSeconds)} s under the lamp.`}
          why="The room turns to safelight. Space gives each burst; a sheet of paper is taken from the box."
          problem={slate.local.problem}
          mend="Change the plan at Shape."
        />
      </aside>
    </>
  );
}

function Preflight(props: { slate: SlateView }) {
  const { recipe, setup } = props.slate;
  const lines = [
    "Negative clean, emulsion side down",
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
