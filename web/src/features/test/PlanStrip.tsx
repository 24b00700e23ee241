import type { ReactNode } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import { ExposeVerdict } from "../../shared/expose/ExposeVerdict";
import { useStandingPicture } from "../../shared/preview/draft";
import { ToneList } from "../../shared/tones/ToneList";
import { TonePins } from "../../shared/tones/TonePins";
import { Choice, Ways } from "../../shared/ui/Choice";
import { Print } from "../../shared/ui/Print";
import { QuantityField } from "../../shared/ui/QuantityField";
import { number, plainStops, seconds, stopsWithUnit } from "../../shared/units/format";
import { StripOverlay } from "./StripOverlay";
import { rowsClass } from "./rows";

const STEPS = [1 / 12, 1 / 6, 1 / 4, 1 / 3, 1 / 2, 1];

/** The next strip: series, where it falls on the picture, and what the timer will do. */
export function PlanStrip({ slate, edit, switcher }: SlateContext & { switcher: ReactNode }) {
  const { test } = slate;
  const { imageWidthMm, imageHeightMm } = slate.setup;
  const picture = useStandingPicture(slate, false);
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Test: plan a strip</h1>
        <Print source={picture} alt="Preview of the picture" aspect={imageWidthMm / imageHeightMm}>
          <StripOverlay slate={slate} onMove={(place) => edit.mutate({ test: { place } })} />
          <TonePins slate={slate} edit={edit} />
        </Print>
        <p className="stage-note">{slate.previewBasis.text}</p>
      </main>
      <aside className="panel dense" aria-label="Plan a strip">
        {switcher ?? <h2>Test strip</h2>}
        <Fields slate={slate} edit={edit} />
        {test.notes.map((note) => (
          <p className="note" key={note}>
            {note}
          </p>
        ))}
        <Patches slate={slate} />
        <ToneList slate={slate} edit={edit} />
        <ExposeVerdict
          slate={slate}
          kind={test.plan.kind}
          name="strip"
          headline={`Expose ${String(test.patches.length)} patches, ${seconds(test.patches[0]?.totalSeconds ?? 0)} to ${seconds(test.patches.at(-1)?.totalSeconds ?? 0)} s.`}
          why={`${seconds(test.totalSetSeconds)} s under the lamp, ${number(Math.round(100 * test.paperShare))} % of a sheet. Cover the light end first.`}
          problem={test.problem}
          mend="Change the plan above; nothing else is lost."
        />
      </aside>
    </>
  );
}

function stepBeside(stops: number, direction: 1 | -1): number {
  const at = STEPS.findIndex((s) => s >= stops - 1e-6);
  return STEPS[Math.max(0, Math.min(STEPS.length - 1, at + direction))] ?? stops;
}

function Fields({ slate, edit }: SlateContext) {
  const { plan } = slate.test;
  const stops = plan.series === "EQUAL_STOPS";
  return (
    <>
      <Ways
        label="Kind of steps"
        value={plan.series}
        ways={[
          { value: "EQUAL_STOPS", label: "Equal stops" },
          { value: "EQUAL_SECONDS", label: "Equal seconds" },
        ]}
        onChange={(series) => edit.mutate({ test: { series } })}
      />
      <div className="field-row">
        <QuantityField
          label="Centre"
          shown={seconds(slate.test.centreSeconds)}
          unit="s"
          units={["s"]}
          error={edit.error?.at("/test/centreSeconds")}
          onCommit={(c) => edit.mutateAsync({ test: { centreSeconds: c.value } })}
        />
        {stops ? (
          <QuantityField
            label="Step"
            shown={plainStops(plan.stepStops)}
            unit="stop"
            units={["stop", "stops"]}
            error={edit.error?.at("/test/stepStops")}
            onCommit={(c) => edit.mutateAsync({ test: { stepStops: c.value } })}
            onStep={(direction) =>
              edit.mutate((now) => ({ test: { stepStops: stepBeside(now.test.plan.stepStops, direction) } }))
            }
          />
        ) : (
          <QuantityField
            label="Step"
            shown={seconds(plan.stepSeconds)}
            unit="s"
            units={["s"]}
            error={edit.error?.at("/test/stepSeconds")}
            onCommit={(c) => edit.mutateAsync({ test: { stepSeconds: c.value } })}
            onStep={(direction, big) =>
              edit.mutate((now) => ({
                test: { stepSeconds: Math.max(0.1, now.test.plan.stepSeconds + direction * (big ? 1 : 0.1)) },
              }))
            }
          />
        )}
        <QuantityField
          label="Patches"
          shown={String(plan.patches)}
          error={edit.error?.at("/test/patches")}
          onCommit={(c) => edit.mutateAsync({ test: { patches: Math.round(c.value) } })}
          onStep={(direction) =>
            edit.mutate((now) => ({ test: { patches: now.test.plan.patches + direction } }))
          }
        />
      </div>
      <div className="field-row">
        <Choice
          label="Dark end"
          value={plan.direction}
          options={[
            { value: "DARK_RIGHT", label: "right" },
            { value: "DARK_LEFT", label: "left" },
            { value: "DARK_BOTTOM", label: "bottom" },
            { value: "DARK_TOP", label: "top" },
          ]}
          onChange={(direction) => edit.mutate({ test: { direction } })}
        />
        <QuantityField
          label="Patch"
          shown={number(plan.patchMm)}
          unit="mm"
          units={["mm"]}
          error={edit.error?.at("/test/patchMm")}
          onCommit={(c) => edit.mutateAsync({ test: { patchMm: c.value } })}
          onStep={(direction) =>
            edit.mutate((now) => ({ test: { patchMm: now.test.plan.patchMm + direction } }))
          }
        />
        <QuantityField
          label="Breadth"
          shown={number(plan.breadthMm)}
          unit="mm"
          units={["mm"]}
          error={edit.error?.at("/test/breadthMm")}
          onCommit={(c) => edit.mutateAsync({ test: { breadthMm: c.value } })}
          onStep={(direction, big) =>
            edit.mutate((now) => ({
              test: { breadthMm: now.test.plan.breadthMm + direction * (big ? 10 : 1) },
            }))
          }
        />
      </div>
      <div className="link-row">
        {slate.test.wideStripOffered && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ test: { forUnknownNegative: true } })}
          >
            Wide strip for an unknown negative
          </button>
        )}
        {plan.centreSeconds !== undefined && (
          <button type="button" className="link" onClick={() => edit.mutate({ test: { followsBase: true } })}>
            Centre on the base exposure
          </button>
        )}
        {plan.place !== undefined && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ test: { placedByComputation: true } })}
          >
            Place it where it tells most
          </button>
        )}
      </div>
    </>
  );
}

function Patches({ slate }: Pick<SlateContext, "slate">) {
  if (slate.test.patches.length === 0) return null;
  return (
    <table className={rowsClass(slate.test.patches.length)}>
      <thead>
        <tr>
          <th scope="col">Patch</th>
          <th scope="col">Receives</th>
          <th scope="col">From centre</th>
          <th scope="col">Set the timer</th>
        </tr>
      </thead>
      <tbody>
        {slate.test.patches.map((p) => (
          <tr key={p.number}>
            <td>{p.number}</td>
            <td>{seconds(p.totalSeconds)} s</td>
            <td>{Math.abs(p.stopsFromCentre) < 1 / 24 ? "centre" : stopsWithUnit(p.stopsFromCentre)}</td>
            <td className={p.tooShort ? "warning" : ""}>
              {seconds(p.setSeconds)} s{p.presses > 1 ? `, ${String(p.presses)} times` : ""}
              {p.tooShort ? ", short" : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
