import type { ReactNode } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import type { Schemas } from "../../shared/api/client";
import { Choice } from "../../shared/ui/Choice";
import { LengthField } from "../../shared/ui/LengthField";
import { ListField } from "../../shared/ui/ListField";
import { QuantityField } from "../../shared/ui/QuantityField";
import { aperture, number, seconds } from "../../shared/units/format";
import { PieceFields } from "./PieceFields";
import { PatchCount, SeriesFields } from "./SeriesFields";

/** What is asked for a kind of test, and what waits behind "more". */
interface Fields {
  asked: (context: SlateContext) => ReactNode;
  more: (context: SlateContext) => ReactNode;
}

/** The fields of each kind of test; a new kind is a line here. */
export const FIELDS: Record<string, Fields> = {
  STRIP: {
    asked: SeriesFields,
    more: (context) => (
      <>
        <DarkEnd {...context} />
        <Length {...context} label="Patch" field="patchMm" />
        <Length {...context} label="Breadth" field="breadthMm" />
        <Second {...context} label="Second light" />
        <SecondLies {...context} />
        <Third {...context} />
      </>
    ),
  },
  SAME_SPOT: {
    asked: SeriesFields,
    more: (context) => (
      <>
        <DarkEnd {...context} />
        <Length {...context} label="Moves on by" field="patchMm" />
        <Length {...context} label="Breadth" field="breadthMm" />
      </>
    ),
  },
  OPENINGS: {
    asked: OpeningsFields,
    more: (context) => (
      <>
        <Clicks {...context} />
        <DarkEnd {...context} />
        <Length {...context} label="Patch" field="patchMm" />
        <Length {...context} label="Breadth" field="breadthMm" />
        <Second {...context} label="Second row" />
      </>
    ),
  },
  WEDGE: {
    asked: WedgeFields,
    more: WedgeLabels,
  },
  GUESS: {
    asked: GuessFields,
    more: (context) => (
      <QuantityField
        label="Share of the picture"
        shown={number(100 * (context.slate.test.plan.share ?? 1))}
        unit="%"
        units={["%"]}
        hint="100 % is the whole sheet with its borders."
        error={context.edit.error?.at("/test/share")}
        onCommit={(c) => context.edit.mutateAsync({ test: { share: c.value / 100 } })}
      />
    ),
  },
  PIECES: {
    asked: PieceFields,
    more: (context) => (
      <>
        <Length {...context} label="Long side" field="patchMm" />
        <Length {...context} label="Short side" field="breadthMm" />
        <Choice
          label="Told apart by"
          value={context.slate.test.plan.marks ?? "CORNERS"}
          options={[
            { value: "CORNERS", label: "clipped corners" },
            { value: "NIPS", label: "nips on a short edge" },
            { value: "ORDER", label: "their order" },
          ]}
          onChange={(marks) => context.edit.mutate({ test: { marks } })}
        />
      </>
    ),
  },
};

function Length(props: SlateContext & { label: string; field: "patchMm" | "breadthMm" }) {
  const { slate, edit, field } = props;
  return (
    <LengthField
      label={props.label}
      small
      mm={slate.test.plan[field] ?? 0}
      error={edit.error?.at(`/test/${field}`)}
      onCommit={(mm) => edit.mutateAsync({ test: { [field]: mm } })}
      onStep={(by) => edit.mutate((now) => ({ test: { [field]: (now.test.plan[field] ?? 0) + by } }))}
    />
  );
}

function DarkEnd({ slate, edit }: SlateContext) {
  return (
    <Choice
      label="Dark end"
      value={slate.test.plan.direction ?? "DARK_RIGHT"}
      options={[
        { value: "DARK_RIGHT", label: "right" },
        { value: "DARK_LEFT", label: "left" },
        { value: "DARK_BOTTOM", label: "bottom" },
        { value: "DARK_TOP", label: "top" },
      ]}
      onChange={(direction) => edit.mutate({ test: { direction } })}
    />
  );
}

/** Another light on the other half of the paper, each patch as dark as the one beside it. */
function Second({ slate, edit, label }: SlateContext & { label: string }) {
  return (
    <BesideLight
      slate={slate}
      label={label}
      none="the same"
      value={slate.test.plan.second ?? ""}
      error={edit.error?.at("/test/second")}
      onChange={(light) => edit.mutate({ test: { second: light } })}
    />
  );
}

/** A third one; asked where a second lies beside the first. */
function Third({ slate, edit }: SlateContext) {
  const { second, lies, third } = slate.test.plan;
  if (!second || (lies ?? "BESIDE") !== "BESIDE") return null;
  return (
    <BesideLight
      slate={slate}
      label="Third row"
      none="none"
      without={second}
      value={third ?? ""}
      error={edit.error?.at("/test/third")}
      onChange={(light) => edit.mutate({ test: { third: light } })}
    />
  );
}

function BesideLight(props: {
  slate: SlateContext["slate"];
  label: string;
  none: string;
  value: string;
  without?: string;
  error: string | undefined;
  onChange: (light: string) => void;
}) {
  const { slate, value } = props;
  const known = slate.medium.lights.length > 0 ? slate.medium.lights : slate.test.besideLights;
  const lights = new Set([...known, ...(value === "" ? [] : [value])]);
  lights.delete(slate.base.light.notation);
  if (props.without !== undefined) lights.delete(props.without);
  return (
    <Choice
      label={props.label}
      value={value}
      options={[
        { value: "", label: props.none },
        ...[...lights].map((light) => ({ value: light, label: light.replace("grade ", "") })),
      ]}
      error={props.error}
      onChange={props.onChange}
    />
  );
}

type Lies = NonNullable<Schemas["TestChange"]["lies"]>;

/** Where the second light of a strip falls; asked where there is one. */
function SecondLies({ slate, edit }: SlateContext) {
  const { plan } = slate.test;
  if (!plan.second || slate.medium.lights.length < 2) return null;
  return (
    <Choice<Lies>
      label="It falls"
      value={(plan.lies ?? "BESIDE") as Lies}
      options={[
        { value: "BESIDE", label: "beside the first, in a row of its own" },
        { value: "ON_TOP", label: "on the same patches, both in steps" },
        { value: "ON_WHOLE", label: "in steps on the whole first part" },
      ]}
      error={edit.error?.at("/test/lies")}
      onChange={(lies) => edit.mutate({ test: { lies } })}
    />
  );
}

function OneTime(props: SlateContext & { label: string; shown: number; hint?: string }) {
  const { edit } = props;
  return (
    <QuantityField
      label={props.label}
      shown={seconds(props.shown)}
      unit="s"
      units={["s"]}
      {...(props.hint !== undefined && { hint: props.hint })}
      error={edit.error?.at("/test/seconds")}
      onCommit={(c) => edit.mutateAsync({ test: { seconds: c.value } })}
    />
  );
}

function OpeningsFields({ slate, edit }: SlateContext) {
  const { plan, patches } = slate.test;
  return (
    <div className="field-row">
      <OneTime slate={slate} edit={edit} label="Time of each" shown={slate.test.centreSeconds} />
      <Choice
        label="Begins at"
        value={plan.firstMark ?? 0}
        options={[
          { value: 0, label: patches[0] ? `${patches[0].name} (about here)` : "about here" },
          ...slate.geometry.pairs.map(({ apertureMark }) => ({
            value: apertureMark,
            label: aperture(apertureMark),
          })),
        ]}
        error={edit.error?.at("/test/firstMark")}
        onChange={(firstMark) =>
          edit.mutate({ test: firstMark === 0 ? { aboutStanding: true } : { firstMark } })
        }
      />
      <PatchCount slate={slate} edit={edit} />
    </div>
  );
}

function Clicks({ slate, edit }: SlateContext) {
  return (
    <Choice
      label="Clicks"
      value={slate.test.plan.clicks ?? 1}
      options={[1, 2, 3, 4, 5, 6].map((n) => ({ value: n, label: String(n) }))}
      onChange={(clicks) => edit.mutate({ test: { clicks } })}
    />
  );
}

function WedgeFields({ slate, edit }: SlateContext) {
  const given = slate.test.patches.at(-1);
  const { labels, referenceSeconds } = slate.test.plan;
  const largest = Math.max(...(labels ?? [1]));
  return (
    <div className="field-row">
      <OneTime
        slate={slate}
        edit={edit}
        label="Exposure through it"
        shown={((given?.totalSeconds ?? 0) * (referenceSeconds ?? largest)) / largest}
        hint={slate.test.plan.seconds === undefined ? "base under the middle label" : ""}
      />
      <Length slate={slate} edit={edit} label="Disc across" field="patchMm" />
    </div>
  );
}

function WedgeLabels({ slate, edit }: SlateContext) {
  const { plan } = slate.test;
  return (
    <>
      <ListField
        label="Labels, clockwise from the top, s"
        shown={(plan.labels ?? []).map(number).join("  ")}
        error={edit.error?.at("/test/labels")}
        onCommit={(labels) => edit.mutateAsync({ test: { labels } })}
      />
      <QuantityField
        label="They are for"
        shown={number(plan.referenceSeconds ?? 0)}
        unit="s"
        units={["s"]}
        error={edit.error?.at("/test/referenceSeconds")}
        onCommit={(c) => edit.mutateAsync({ test: { referenceSeconds: c.value } })}
      />
    </>
  );
}

function GuessFields({ slate, edit }: SlateContext) {
  return (
    <div className="field-row">
      <OneTime slate={slate} edit={edit} label="Time" shown={slate.test.centreSeconds} />
      <Second slate={slate} edit={edit} label="Right half" />
    </div>
  );
}
