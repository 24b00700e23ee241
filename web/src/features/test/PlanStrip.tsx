import type { ReactNode } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import { previewPicture } from "../../shared/api/client";
import { Choice, Ways } from "../../shared/ui/Choice";
import { Print } from "../../shared/ui/Print";
import { QuantityField } from "../../shared/ui/QuantityField";
import { number, plainStops, seconds, stopsWithUnit } from "../../shared/units/format";
import { ExposeVerdict } from "../run/ExposeVerdict";
import { StripOverlay } from "./StripOverlay";
import { rowsClass } from "./rows";

const STEPS = [1 / 12, 1 / 6, 1 / 4, 1 / 3, 1 / 2, 1];

/** The next strip: series, where it falls on the picture, and what the timer will do. */
export function PlanStrip({ slate, edit, switcher }: SlateContext & { switcher: ReactNode }) {
  const plan = slate.strip;
  const { imageWidthMm, imageHeightMm } = slate.setup;
  return (
    <>
      <main className="stage">
        <h1 className="visually-hidden">Test: plan a strip</h1>
        <Print
          source={slate.frame.hasPicture ? previewPicture(slate, false) : undefined}
          alt="Preview of the picture"
          aspect={imageWidthMm / imageHeightMm}
        >
          <StripOverlay slate={slate} onMove={(place) => edit.mutate({ stripPlace: place })} />
        </Print>
        <p className="stage-note">{slate.previewBasis.text}</p>
      </main>
      <aside className="panel dense" aria-label="Plan a strip">
        {switcher ?? <h2>Test strip</h2>}
        <Fields slate={slate} edit={edit} />
        {plan.notes.map((note) => (
          <p className="note" key={note}>
            {note}
          </p>
        ))}
        <Patches slate={slate} />
        <ExposeVerdict
          slate={slate}
          kind="STRIP"
          headline={`Expose ${String(plan.patches.length)} patches, ${seconds(plan.patches[0]?.totalSeconds ?? 0)} to ${seconds(plan.patches.at(-1)?.totalSeconds ?? 0)} s.`}
          why={`${seconds(plan.totalSetSeconds)} s under the lamp, ${number(Math.round(100 * plan.paperShare))} % of a sheet. Cover the light end first.`}
          problem={plan.problem}
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
  const { strip } = slate.recipe;
  const stops = strip.kind === "EQUAL_STOPS";
  return (
    <>
      <Ways
        label="Kind of steps"
        value={strip.kind}
        ways={[
          { value: "EQUAL_STOPS", label: "Equal stops" },
          { value: "EQUAL_SECONDS", label: "Equal seconds" },
        ]}
        onChange={(stripKind) => edit.mutate({ stripKind })}
      />
      <div className="field-row">
        <QuantityField
          label="Centre"
          shown={seconds(slate.strip.centreSeconds)}
          unit="s"
          units={["s"]}
          error={edit.error?.at("/stripCentreSeconds")}
          onCommit={(c) => edit.mutateAsync({ stripCentreSeconds: c.value })}
        />
        {stops ? (
          <QuantityField
            label="Step"
            shown={plainStops(strip.stepStops)}
            unit="stop"
            units={["stop", "stops"]}
            error={edit.error?.at("/stripStepStops")}
            onCommit={(c) => edit.mutateAsync({ stripStepStops: c.value })}
            onStep={(direction) =>
              edit.mutate((now) => ({ stripStepStops: stepBeside(now.recipe.strip.stepStops, direction) }))
            }
          />
        ) : (
          <QuantityField
            label="Step"
            shown={seconds(strip.stepSeconds)}
            unit="s"
            units={["s"]}
            error={edit.error?.at("/stripStepSeconds")}
            onCommit={(c) => edit.mutateAsync({ stripStepSeconds: c.value })}
            onStep={(direction, big) =>
              edit.mutate((now) => ({
                stripStepSeconds: Math.max(0.1, now.recipe.strip.stepSeconds + direction * (big ? 1 : 0.1)),
              }))
            }
          />
        )}
        <QuantityField
          label="Patches"
          shown={String(strip.patches)}
          error={edit.error?.at("/stripPatches")}
          onCommit={(c) => edit.mutateAsync({ stripPatches: Math.round(c.value) })}
          onStep={(direction) =>
            edit.mutate((now) => ({ stripPatches: now.recipe.strip.patches + direction }))
          }
        />
      </div>
      <div className="field-row">
        <Choice
          label="Dark end"
          value={strip.direction}
          options={[
            { value: "DARK_RIGHT", label: "right" },
            { value: "DARK_LEFT", label: "left" },
            { value: "DARK_BOTTOM", label: "bottom" },
            { value: "DARK_TOP", label: "top" },
          ]}
          onChange={(stripDirection) => edit.mutate({ stripDirection })}
        />
        <QuantityField
          label="Patch"
          shown={number(strip.patchMm)}
          unit="mm"
          units={["mm"]}
          error={edit.error?.at("/stripPatchMm")}
          onCommit={(c) => edit.mutateAsync({ stripPatchMm: c.value })}
          onStep={(direction) =>
            edit.mutate((now) => ({ stripPatchMm: now.recipe.strip.patchMm + direction }))
          }
        />
        <QuantityField
          label="Breadth"
          shown={number(strip.breadthMm)}
          unit="mm"
          units={["mm"]}
          error={edit.error?.at("/stripBreadthMm")}
          onCommit={(c) => edit.mutateAsync({ stripBreadthMm: c.value })}
          onStep={(direction, big) =>
            edit.mutate((now) => ({
              stripBreadthMm: now.recipe.strip.breadthMm + direction * (big ? 10 : 1),
            }))
          }
        />
      </div>
      <div className="link-row">
        {slate.strip.wideStripOffered && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ stripForUnknownNegative: true })}
          >
            Wide strip for an unknown negative
          </button>
        )}
        {strip.centreSeconds !== undefined && (
          <button type="button" className="link" onClick={() => edit.mutate({ stripFollowsBase: true })}>
            Centre on the base exposure
          </button>
        )}
        {strip.place !== undefined && (
          <button
            type="button"
            className="link"
            onClick={() => edit.mutate({ stripPlacedByComputation: true })}
          >
            Place it where it tells most
          </button>
        )}
      </div>
    </>
  );
}

function Patches({ slate }: Pick<SlateContext, "slate">) {
  if (slate.strip.patches.length === 0) return null;
  return (
    <table className={rowsClass(slate.strip.patches.length)}>
      <thead>
        <tr>
          <th scope="col">Patch</th>
          <th scope="col">Receives</th>
          <th scope="col">From centre</th>
          <th scope="col">Set the timer</th>
        </tr>
      </thead>
      <tbody>
        {slate.strip.patches.map((p) => (
          <tr key={p.number}>
            <td>{p.number}</td>
            <td>{seconds(p.totalSeconds)} s</td>
            <td>{Math.abs(p.stopsFromCentre) < 1 / 24 ? "centre" : stopsWithUnit(p.stopsFromCentre)}</td>
            <td className={p.tooShort ? "warning" : ""}>
              {seconds(p.burstSeconds)} s{p.tooShort ? ", short" : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
