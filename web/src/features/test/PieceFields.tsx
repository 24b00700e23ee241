import type { SlateContext } from "../../app/SlateFrame";
import type { Schemas } from "../../shared/api/client";
import { useWeighed } from "../../shared/api/colour";
import { Choice, Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { number } from "../../shared/units/format";
import { SeriesFields } from "./SeriesFields";
import { TextEntry } from "./TextEntry";

type Around = NonNullable<Schemas["StoredTest"]["around"]>;
type Differ = "times" | "lights" | "RING" | "GRID" | "LADDER";

const COMPANIONS = [
  { value: 0, label: "no" },
  { value: 0.25, label: "¼ stop" },
  { value: 0.5, label: "½ stop" },
];

/** Pieces of different times, or of different lights at the time that keeps the print as dark; of packs also about the one that stands. */
export function PieceFields(context: SlateContext) {
  const { slate, edit } = context;
  const { plan } = slate.test;
  const lights = plan.lights ?? [];
  const name = slate.medium.lightName.toLowerCase();
  const packs = slate.base.pack !== undefined;
  const differ: Differ = plan.around ? (plan.around.kind as Differ) : lights.length > 0 ? "lights" : "times";
  const turn = (to: Differ) => {
    if (to === "times") return edit.mutate({ test: { around: { kind: "NONE" }, lights: [] } });
    if (to === "lights") return edit.mutate({ test: { lights: slate.test.besideLights } });
    return edit.mutate({ test: { around: { kind: to, rings: to === "LADDER" ? 2 : 1 } } });
  };
  return (
    <>
      <Ways<Differ>
        label="Pieces differ by"
        value={differ}
        ways={
          packs
            ? [
                { value: "times", label: "Times" },
                { value: "RING", label: "Ring" },
                { value: "GRID", label: "Grid" },
                { value: "LADDER", label: "Ladder" },
                { value: "lights", label: "My own" },
              ]
            : [
                { value: "times", label: "Different times" },
                { value: "lights", label: `Different ${name}s` },
              ]
        }
        onChange={turn}
      />
      {plan.around ? (
        <>
          <AroundFields {...context} around={plan.around} />
          <StepAdvice {...context} around={plan.around} />
        </>
      ) : lights.length > 0 ? (
        <TextEntry
          label={`${slate.medium.lightName}s, with commas between`}
          shown={lights.join(", ")}
          hint="Each piece gets the time that keeps the print as dark."
          error={edit.error?.at("/test/lights")}
          onCommit={(text) =>
            edit.mutateAsync({
              test: {
                lights: text
                  .split(",")
                  .map((light) => light.trim())
                  .filter((light) => light !== ""),
              },
            })
          }
        />
      ) : (
        <SeriesFields {...context} />
      )}
    </>
  );
}

/** How far apart they should lie, by how well neutral is known. */
function StepAdvice({ slate, edit, around }: SlateContext & { around: Around }) {
  const weighed = useWeighed(slate);
  if (!weighed || weighed.stepPoints === around.stepPoints) return null;
  return (
    <p className="field-hint">
      Neutral is known to ± {number(2 * weighed.uncertaintyPoints)} points.{" "}
      <button
        type="button"
        className="link"
        onClick={() => edit.mutate({ test: { around: { stepPoints: weighed.stepPoints } } })}
      >
        A step of {number(weighed.stepPoints)} fits
      </button>
    </p>
  );
}

function AroundFields({ edit, around }: SlateContext & { around: Around }) {
  const ring = around.kind === "RING";
  return (
    <div className="field-row">
      <QuantityField
        label="Step"
        shown={number(around.stepPoints)}
        unit="points"
        units={["points"]}
        error={edit.error?.at("/test/around/stepPoints") ?? edit.error?.at("/test/around/kind")}
        onCommit={(c) => edit.mutateAsync({ test: { around: { stepPoints: c.value } } })}
      />
      <Choice
        label={ring ? "Rings" : "Steps each way"}
        value={around.rings}
        options={(around.kind === "GRID" ? [1] : around.kind === "RING" ? [1, 2] : [1, 2, 3]).map((n) => ({
          value: n,
          label: String(n),
        }))}
        error={edit.error?.at("/test/around/rings")}
        onChange={(rings) =>
          edit.mutate({ test: { around: { rings, ...(rings > 1 && { mixtures: false }) } } })
        }
      />
      {ring && (
        <Choice
          label="Directions"
          value={around.mixtures ? 12 : 6}
          options={[
            { value: 6, label: "six" },
            { value: 12, label: "twelve" },
          ]}
          onChange={(n) =>
            edit.mutate({ test: { around: { mixtures: n === 12, ...(n === 12 && { rings: 1 }) } } })
          }
        />
      )}
      <Choice
        label="Lighter, darker"
        value={around.companionStops ?? 0}
        options={COMPANIONS}
        error={edit.error?.at("/test/around/companionStops")}
        onChange={(companionStops) => edit.mutate({ test: { around: { companionStops } } })}
      />
    </div>
  );
}
