import { useSlateContext } from "../../app/SlateFrame";
import type { SlateView } from "../../shared/api/client";
import { AreaSketch } from "../../shared/areas/AreaSketch";
import { ExposeVerdict } from "../../shared/expose/ExposeVerdict";
import { ROOM_TURNS, roomOf } from "../../shared/room/room";
import { useStandingPicture } from "../../shared/preview/draft";
import { ToneList } from "../../shared/tones/ToneList";
import { TonePins } from "../../shared/tones/TonePins";
import { Print } from "../../shared/ui/Print";
import { ScriptDials } from "../../shared/ui/ScriptDials";
import { ScriptTable } from "../../shared/ui/ScriptTable";
import { aperture, seconds } from "../../shared/units/format";
import { heightLabel, heightText } from "../../shared/units/height";

/** The next sheet before the light goes out: what it will be, burst by burst, and what to check by hand. */
export function PrintPage() {
  const { slate, edit } = useSlateContext();
  const { imageWidthMm, imageHeightMm } = slate.setup;
  const picture = useStandingPicture(slate, true);
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Print</h1>
        <Print source={picture} alt="Preview of the next print" aspect={imageWidthMm / imageHeightMm}>
          <AreaSketch slate={slate} />
          <TonePins slate={slate} edit={edit} />
        </Print>
        <p className="stage-note">{slate.previewBasis.text}</p>
      </main>
      <aside className="panel dense" aria-label="Print">
        <h2>Print</h2>
        {slate.local.script.length > 0 && <ScriptDials script={slate.local.script} />}
        <ScriptTable script={slate.local.script} />
        {roomOf(slate.medium.room) === "safelight" && <Preflight slate={slate} />}
        <ToneList slate={slate} edit={edit} />
        <ExposeVerdict
          slate={slate}
          kind="PRINT"
          name="print"
          headline={`Expose the ${slate.subject.proof ? "proof" : "print"}: ${seconds(slate.local.totalSetSeconds)} s under the lamp.`}
          why={`${ROOM_TURNS[roomOf(slate.medium.room)]} Space gives each exposure; a sheet is taken from the box.`}
          problem={slate.local.problem}
          mend="Change the plan at Shape."
        />
      </aside>
    </>
  );
}

function Preflight(props: { slate: SlateView }) {
  const { setup, medium, base } = props.slate;
  const contact = setup.projection !== "ENLARGED";
  const lines = [
    ...(contact
      ? [
          "Film and glass clean, the carrier empty",
          "The stack: paper emulsion up, film emulsion down, glass on top",
          `${heightLabel(setup)} ${heightText(setup)}`,
        ]
      : ["Negative clean, emulsion side down"]),
    ...(setup.projection === "LAMP" ? [] : [lensLine(setup)]),
    `${medium.lightName}: ${(props.slate.local.script[0]?.light ?? base.light).notation}, covering the beam; ${contact ? "red filter in until the glass lies" : "red filter out"}`,
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

function lensLine(setup: SlateView["setup"]): string {
  const open = setup.stopsFromOpen < 0.9;
  return `Lens at ${aperture(setup.apertureMark)}, ${open ? "wide open: stop down" : "stopped down"}`;
}
