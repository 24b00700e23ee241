import { SeenIn } from "../../shared/ui/SeenIn";
import { useState } from "react";
import { useSlateContext } from "../../app/SlateFrame";
import type { SlateView } from "../../shared/api/client";
import { AreaSketch } from "../../shared/areas/AreaSketch";
import { type Item, answeredAt } from "../../shared/expose/byHand";
import { ExposeVerdict } from "../../shared/expose/ExposeVerdict";
import { ROOM_TURNS, roomOf } from "../../shared/room/room";
import { useStandingPicture } from "../../shared/preview/draft";
import { ToneList } from "../../shared/tones/ToneList";
import { TonePins } from "../../shared/tones/TonePins";
import { Print } from "../../shared/ui/Print";
import { ScriptDials } from "../../shared/ui/ScriptDials";
import { ScriptTable } from "../../shared/ui/ScriptTable";
import { aperture, seconds } from "../../shared/units/format";
import { partsText } from "../../shared/units/parts";
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
        <SeenIn slate={slate} />
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

/** What changed is looked at for each sheet, the whole list once an evening. */
function Preflight(props: { slate: SlateView }) {
  const [answered] = useState(answeredAt);
  const [whole, setWhole] = useState(answered === undefined);
  const items = listOf(props.slate);
  const shown = whole ? items : items.filter((i) => i.always);
  return (
    <>
      <ul className="preflight" aria-label="Check by hand">
        {shown.map(({ words }) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      {answered !== undefined && (
        <button type="button" className="link" onClick={() => setWhole(!whole)}>
          {whole ? "Only what changed" : `The whole list was answered at ${answered}. Show it`}
        </button>
      )}
    </>
  );
}

function listOf(slate: SlateView): Item[] {
  const { setup, medium, base } = slate;
  const contact = setup.projection !== "ENLARGED";
  const first = slate.sheets.length === 0;
  const changed = new Set(slate.differences.map((d) => d.part));
  const of = (part: string, words: string): Item => ({ words, always: first || changed.has(part) });
  const once = (words: string): Item => ({ words, always: false });
  return [
    ...(contact
      ? [
          once("Film and glass clean, the carrier empty"),
          once("The stack: paper emulsion up, film emulsion down, glass on top"),
          of("size", `${heightLabel(setup)} ${heightText(setup)}`),
        ]
      : [of("size", "Negative clean, emulsion side down")]),
    ...(setup.projection === "LAMP" ? [] : [of("aperture", lensLine(setup))]),
    of(
      "light",
      `${base.parts.length > 1 ? `Two parts, ${partsText(base.parts)}: the first` : `${medium.lightName}: ${(slate.local.script[0]?.light ?? base.light).notation},`} covering the beam; ${contact ? "red filter in until the glass lies" : "red filter out"}`,
    ),
    of("paper", `Box shut after the sheet is out: ${setup.paperName}, ${setup.paperBatch}`),
    ...[slate.otherBox, slate.otherNegative].flatMap((words) =>
      words === undefined ? [] : [{ words, always: true }],
    ),
    once("Floor clear. Eyes off the lamp; it is hot"),
    ...slate.byHand.map(once),
  ];
}

function lensLine(setup: SlateView["setup"]): string {
  const open = setup.stopsFromOpen < 0.9;
  return `Lens at ${aperture(setup.apertureMark)}, ${open ? "wide open: stop down" : "stopped down"}`;
}
