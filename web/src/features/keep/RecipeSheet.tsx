import { useQuery } from "@tanstack/react-query";
import { type SheetView, type SlateView, api, sheetPicture, unwrap } from "../../shared/api/client";
import { ScriptDials } from "../../shared/ui/ScriptDials";
import { ScriptTable } from "../../shared/ui/ScriptTable";
import { heightLabel, heightText } from "../../shared/units/height";
import { partLights, partSeconds } from "../../shared/units/parts";
import { aperture, number, seconds, sheetSize } from "../../shared/units/format";

/** Everything that rebuilds the print, as it stood when it was exposed, readable at arm's length. */
export function RecipeSheet(props: { slate: SlateView; print: SheetView }) {
  const { slate, print } = props;
  const kept = useQuery({
    queryKey: ["kept", print.id],
    queryFn: () => unwrap(api.GET("/api/sheets/{id}/recipe", { params: { path: { id: print.id } } })),
  }).data;
  const setup = kept?.setup;
  const naming = kept?.naming ?? slate.naming;
  const source = sheetPicture(print);
  const rows: [string, string][] = setup
    ? [
        ["Negative", `${slate.subject.rollTitle}, ${slate.subject.name}`],
        ["Enlarger", `${setup.enlargerName}, ${setup.head.toLowerCase()}`],
        ["Lens", `${setup.lensName}, ${aperture(print.apertureMark)} (true ${setup.trueFNumber.toFixed(2)})`],
        ...(kept && kept.base.parts.length > 1
          ? [["Two filters", partLights(kept.base.parts)] as [string, string]]
          : [[slate.medium.lightName, print.light.notation] as [string, string]]),
        [
          "Base exposure",
          `${kept ? partSeconds(kept.base.parts) : seconds(print.baseSeconds)} s${kept && kept.base.presses > 1 ? `, ${String(kept.base.presses)} × ${seconds(kept.base.setSeconds)} s on the timer` : ""}`,
        ],
        ["Lamp lag", `${number(setup.lagSeconds)} s a burst, ${setup.lagSource}`],
        [heightLabel(setup), heightText(setup)],
        [
          "Picture",
          `${number(Math.round(setup.imageWidthMm))} × ${number(Math.round(setup.imageHeightMm))} mm on ${sheetSize(setup.sheetWidthMm, setup.sheetHeightMm)}`,
        ],
        ["Paper", `${setup.paperName}, ${setup.paperBatch}`],
        ...(slate.subject.toBeAsked ? [["Persons", "not agreed to be shown"] as [string, string]] : []),
      ]
    : [];
  return (
    <article className="recipe-sheet" aria-label="Final recipe">
      <header>
        <div>
          <h2>{naming.title}</h2>
          <p>{naming.intent}</p>
        </div>
        <p className="recipe-date">
          {print.label}
          <br />
          {print.begunAt.slice(0, 10)}
        </p>
      </header>
      <div className="recipe-body">
        <div>
          {source !== undefined && <img src={source} alt={`${print.label} of ${naming.title}`} />}
          {print.script.length > 0 && <ScriptDials script={print.script} />}
        </div>
        <div>
          <dl>
            {rows.map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          <ScriptTable script={print.script} />
        </div>
      </div>
      <Story slate={slate} />
    </article>
  );
}

function Story(props: { slate: SlateView }) {
  return (
    <ol className="story" aria-label="How it came about">
      {props.slate.sheets.map((sheet) => (
        <li key={sheet.id}>
          <strong>{sheet.label}</strong> {sheet.summary}.{" "}
          {sheet.state === "ABANDONED" ? `Given up: ${sheet.note}. ` : ""}
          {sheet.decisions
            .map(
              (d) =>
                `${d.headline}${d.overruled ? ` Overruled: ${d.takenLight ?? ""}, ${seconds(d.takenSeconds ?? 0)} s.` : ""}${d.remark ? ` “${d.remark}”` : ""}`,
            )
            .join(" ")}
        </li>
      ))}
    </ol>
  );
}
