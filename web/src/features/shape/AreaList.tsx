import { useState } from "react";
import {
  type AreaView,
  type Problem,
  type SlateView,
  api,
  areasOf,
  toProblem,
  unwrap,
} from "../../shared/api/client";
import { quietly } from "../../shared/api/slate";
import { Choice } from "../../shared/ui/Choice";
import { type Commit, QuantityField } from "../../shared/ui/QuantityField";
import { NameField } from "../../shared/ui/NameField";
import { TextField } from "../../shared/ui/TextField";
import { number, percent, seconds, signedStops, stopWord } from "../../shared/units/format";

/** New values of an area, or reckoned from what stands. */
export type AreaChange = Partial<AreaView> | ((now: AreaView) => Partial<AreaView>);

export interface AreaListProps {
  slate: SlateView;
  chosen: string | undefined;
  problem: Problem | null;
  onChoose: (key: string) => void;
  onChange: (key: string, change: AreaChange) => Promise<unknown>;
  /** A change that is shown and not taken. */
  onDraft: (key: string, change: AreaChange) => void;
  onDraftEnd: () => void;
  onRemove: (key: string) => void;
}

/** The areas in words: change in stops, with seconds and percent beside it; the chosen one can be edited. */
export function AreaList(props: AreaListProps) {
  const { slate, chosen } = props;
  if (areasOf(slate).length === 0) {
    return (
      <p className="note">
        No area yet. Look at the straight print first; then hold back what is too dark and burn what is too
        light.
      </p>
    );
  }
  return (
    <ul className="area-list">
      {areasOf(slate).map((area, i) => {
        const time = slate.local.times.find((t) => t.key === area.key);
        return (
          <li key={area.key} className={area.key === chosen ? "chosen" : ""}>
            <button
              type="button"
              className="area-line"
              aria-expanded={area.key === chosen}
              onClick={() => props.onChoose(area.key)}
            >
              <strong>{area.name}</strong>
              <span>
                {signedStops(area.changeStops)} {stopWord(area.changeStops)}
              </span>
              <span>
                {area.changeStops < 0 ? "hold" : "burn"} {seconds(Math.abs(time?.seconds ?? 0))} s
              </span>
              <span>{percent(time?.percent ?? 0)}</span>
            </button>
            {time && time.note !== "" && (
              <p className={`area-note${time.workable ? "" : " warning"}`}>{time.note}</p>
            )}
            {area.key === chosen && <AreaFields {...props} area={area} at={i} />}
          </li>
        );
      })}
    </ul>
  );
}

/** "3 s" and "20 %" are turned into stops by the core; stops are taken as they are. */
async function changeInStops(base: number, commit: Commit, unit: string): Promise<number> {
  if (unit !== "s" && unit !== "%") return commit.value;
  const answer = await unwrap(
    api.POST("/api/calculations/local-change", {
      body: {
        baseSeconds: base,
        changeSeconds: unit === "s" ? commit.value : undefined,
        changePercent: unit === "%" ? commit.value : undefined,
      },
    }),
  );
  return answer.changeStops;
}

function AreaFields(props: AreaListProps & { area: AreaView; at: number }) {
  const { area, slate } = props;
  const [refused, setRefused] = useState<string>();
  const change = (part: AreaChange) => props.onChange(area.key, part);
  const commitChange = (commit: Commit) => {
    setRefused(undefined);
    const unit = commit.kind === "change" ? commit.unit : "";
    return changeInStops(slate.base.seconds, commit, unit).then(
      (changeStops) => change({ changeStops }),
      (error: unknown) => {
        setRefused(toProblem(error).message);
        throw error;
      },
    );
  };
  const at = (field: string) => props.problem?.at(`/local/areas/${String(props.at)}/${field}`);
  return (
    <div className="area-fields">
      <NameField name={area.name} error={at("name")} onCommit={(name) => quietly(change({ name }))} />
      <div className="field-row">
        <QuantityField
          label="Change"
          shown={signedStops(area.changeStops)}
          unit="stop"
          units={["stop", "stops", "s", "%"]}
          takesChange
          hint="−½ holds back, +½ burns; also “−3 s”, “+40 %”"
          error={refused ?? at("changeStops")}
          onCommit={commitChange}
          onStep={(direction, big) =>
            quietly(change((a) => ({ changeStops: twelfth(a.changeStops + direction / (big ? 3 : 12)) })))
          }
          drag={{
            preview: (steps) => {
              const changeStops = twelfth(area.changeStops + steps / 12);
              props.onDraft(area.key, { changeStops });
              return `${signedStops(changeStops)} ${stopWord(changeStops)}`;
            },
            take: (steps) => {
              const settled = change((a) => ({ changeStops: twelfth(a.changeStops + steps / 12) }));
              quietly(settled.finally(props.onDraftEnd));
            },
            leave: props.onDraftEnd,
          }}
        />
        <QuantityField
          label="Soft edge"
          shown={number(100 * area.softEdge)}
          unit="%"
          units={["%"]}
          error={at("softEdge")}
          onCommit={(c) => change({ softEdge: c.value / 100 })}
          onStep={(direction) =>
            quietly(change((a) => ({ softEdge: Math.max(0, Math.min(1, a.softEdge + direction / 100)) })))
          }
        />
      </div>
      <div className="field-row">
        {area.changeStops > 0 ? (
          <BurnLight
            slate={slate}
            area={area}
            error={at("light")}
            onChange={(light) => quietly(change({ light }))}
          />
        ) : (
          <p className="field-hint">Held back in the light of the base.</p>
        )}
        <button type="button" className="link" onClick={() => props.onRemove(area.key)}>
          Remove
        </button>
      </div>
    </div>
  );
}

/** A burn may have a light of its own: one of a few, or a pack as it is written. */
function BurnLight(props: {
  slate: SlateView;
  area: AreaView;
  error: string | undefined;
  onChange: (light: string | undefined) => void;
}) {
  const { slate, area } = props;
  const { lights } = slate.medium;
  const [typed, setTyped] = useState<string>();
  if (lights.length > 0) {
    return (
      <Choice
        label="Burn in"
        value={area.light ?? ""}
        options={[
          { value: "", label: `base, ${slate.base.light.notation}` },
          ...lights.map((l) => ({ value: l, label: l })),
        ]}
        error={props.error}
        onChange={(light) => props.onChange(light === "" ? undefined : light)}
      />
    );
  }
  const leave = () => {
    if (typed !== undefined) props.onChange(typed.trim() === "" ? undefined : typed.trim());
    setTyped(undefined);
  };
  return (
    <TextField
      label={`Burn in, else ${slate.base.light.notation}`}
      value={typed ?? area.light ?? ""}
      error={props.error}
      onChange={setTyped}
      onLeave={leave}
    />
  );
}

function twelfth(stops: number): number {
  return Math.round(stops * 12) / 12;
}
