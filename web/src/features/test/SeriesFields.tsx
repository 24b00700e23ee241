import type { SlateContext } from "../../app/SlateFrame";
import { ListField } from "../../shared/ui/ListField";
import { Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { number, plainStops, seconds } from "../../shared/units/format";

const STEPS = [1 / 12, 1 / 6, 1 / 4, 1 / 3, 1 / 2, 1];

/** How the patches follow each other; every way keeps its own figures. */
export function SeriesFields({ slate, edit }: SlateContext) {
  const { plan } = slate.test;
  return (
    <>
      <Ways
        label="Kind of steps"
        value={plan.series ?? "EQUAL_STOPS"}
        ways={[
          { value: "EQUAL_STOPS", label: "Stops" },
          { value: "EQUAL_SECONDS", label: "Seconds" },
          { value: "OWN_TIMES", label: "My times" },
          { value: "PRESSES", label: "Presses" },
        ]}
        onChange={(series) => edit.mutate({ test: { series } })}
      />
      <div className="field-row">
        {plan.series === "OWN_TIMES" ? (
          <OwnTimes slate={slate} edit={edit} />
        ) : plan.series === "PRESSES" ? (
          <Presses slate={slate} edit={edit} />
        ) : (
          <Regular slate={slate} edit={edit} />
        )}
      </div>
    </>
  );
}

function stepBeside(stops: number, direction: 1 | -1): number {
  const at = STEPS.findIndex((s) => s >= stops - 1e-6);
  return STEPS[Math.max(0, Math.min(STEPS.length - 1, at + direction))] ?? stops;
}

function Regular({ slate, edit }: SlateContext) {
  const { plan } = slate.test;
  return (
    <>
      <QuantityField
        label="Centre"
        shown={seconds(slate.test.centreSeconds)}
        unit="s"
        units={["s"]}
        error={edit.error?.at("/test/centreSeconds")}
        onCommit={(c) => edit.mutateAsync({ test: { centreSeconds: c.value } })}
      />
      {plan.series === "EQUAL_SECONDS" ? (
        <QuantityField
          label="Step"
          shown={seconds(plan.stepSeconds ?? 0)}
          unit="s"
          units={["s"]}
          error={edit.error?.at("/test/stepSeconds")}
          onCommit={(c) => edit.mutateAsync({ test: { stepSeconds: c.value } })}
          onStep={(direction, big) =>
            edit.mutate((now) => ({
              test: {
                stepSeconds: Math.max(0.1, (now.test.plan.stepSeconds ?? 0) + direction * (big ? 1 : 0.1)),
              },
            }))
          }
        />
      ) : (
        <QuantityField
          label="Step"
          shown={plainStops(plan.stepStops ?? 0)}
          unit="stop"
          units={["stop", "stops"]}
          error={edit.error?.at("/test/stepStops")}
          onCommit={(c) => edit.mutateAsync({ test: { stepStops: c.value } })}
          onStep={(direction) =>
            edit.mutate((now) => ({
              test: { stepStops: stepBeside(now.test.plan.stepStops ?? 0.5, direction) },
            }))
          }
        />
      )}
      <PatchCount slate={slate} edit={edit} />
    </>
  );
}

/** How many patches there are. */
export function PatchCount({ slate, edit }: SlateContext) {
  return (
    <QuantityField
      label="Patches"
      shown={String(slate.test.plan.patches ?? 0)}
      error={edit.error?.at("/test/patches")}
      onCommit={(c) => edit.mutateAsync({ test: { patches: Math.round(c.value) } })}
      onStep={(direction) =>
        edit.mutate((now) => ({ test: { patches: (now.test.plan.patches ?? 0) + direction } }))
      }
    />
  );
}

function OwnTimes({ slate, edit }: SlateContext) {
  return (
    <ListField
      label="Times, s"
      shown={(slate.test.plan.own ?? []).map(number).join("  ")}
      hint="What each patch is to receive, rising."
      error={edit.error?.at("/test/own")}
      onCommit={(own) => edit.mutateAsync({ test: { own } })}
    />
  );
}

function Presses({ slate, edit }: SlateContext) {
  const { plan, patches } = slate.test;
  return (
    <>
      <ListField
        label="Presses for each patch"
        shown={(plan.presses ?? []).join("  ")}
        hint="4 6 8 11 16 are half stops."
        whole
        error={edit.error?.at("/test/presses")}
        onCommit={(presses) => edit.mutateAsync({ test: { presses } })}
      />
      <QuantityField
        label="Each"
        shown={seconds(plan.pressSeconds ?? patches[0]?.setSeconds ?? 0)}
        unit="s"
        units={["s"]}
        hint={plan.pressSeconds === undefined ? "base in the middle" : ""}
        error={edit.error?.at("/test/pressSeconds")}
        onCommit={(c) => edit.mutateAsync({ test: { pressSeconds: c.value } })}
      />
    </>
  );
}
