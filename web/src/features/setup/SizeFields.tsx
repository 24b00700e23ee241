import { Slider } from "antd";
import type { SlateContext } from "../../app/SlateFrame";
import type { SlateView } from "../../shared/api/client";
import { Choice, Ways } from "../../shared/ui/Choice";
import { LengthField } from "../../shared/ui/LengthField";
import { QuantityField } from "../../shared/ui/QuantityField";
import { number } from "../../shared/units/format";

type Setup = SlateView["setup"];
type Blades = Setup["blades"];

const BY_EYE = "BY_EYE";
const WAYS = [
  { value: "WHOLE_PICTURE", label: "Whole picture" },
  { value: "FILL_SHEET", label: "Fill the sheet" },
  { value: BY_EYE, label: "Sized by eye" },
];

/** Sheet, border and how the picture meets them; blades, overfill and the kept part behind "more". */
export function SizeFields(props: SlateContext) {
  const { slate, edit } = props;
  const { setup } = slate;
  const enlarged = setup.projection === "ENLARGED";
  const meet = (way: string) =>
    edit.mutate({
      setup: way === BY_EYE ? { sizedBy: "HEIGHT", sizedReading: setup.lensToPaperMm } : { fit: way },
    });
  return (
    <>
      <div className="field-row">
        <Side {...props} label="Sheet, long" name="sheetWidthMm" />
        <Side {...props} label="Sheet, short" name="sheetHeightMm" />
        <Side {...props} label={even(setup.blades) ? "White border" : "Narrowest border"} name="borderMm" />
      </div>
      {enlarged && (
        <Ways
          label="How the picture meets the sheet"
          value={setup.sizedBy === undefined ? setup.fit : BY_EYE}
          ways={WAYS}
          onChange={meet}
        />
      )}
      {enlarged && setup.sizedBy !== undefined && <ByEye {...props} />}
      <More {...props} />
    </>
  );
}

function Side(props: SlateContext & { label: string; name: "sheetWidthMm" | "sheetHeightMm" | "borderMm" }) {
  const { slate, edit, name } = props;
  return (
    <LengthField
      label={props.label}
      mm={slate.setup[name]}
      small={name === "borderMm"}
      error={edit.error?.at(`/setup/${name}`)}
      onCommit={(mm) => edit.mutateAsync({ setup: { [name]: mm } })}
      onStep={(mm) => edit.mutate((now) => ({ setup: { [name]: Math.max(0, now.setup[name] + mm) } }))}
    />
  );
}

/** The head was set by eye: one reading tells the size, and the rest follows. */
function ByEye({ slate, edit }: SlateContext) {
  const { setup, geometry, subject } = slate;
  const readings: Record<string, number | undefined> = {
    COLUMN: geometry.columnReads,
    HEIGHT: setup.lensToPaperMm,
    PICTURE: setup.magnification * Math.max(subject.widthMm, subject.heightMm),
  };
  const by = setup.sizedBy ?? "HEIGHT";
  const options = [
    ...(geometry.columnReads === undefined ? [] : [{ value: "COLUMN", label: "the column" }]),
    { value: "HEIGHT", label: "lens above easel" },
    { value: "PICTURE", label: "whole long side" },
  ];
  return (
    <div className="field-row">
      <Choice
        label="Read from"
        value={by}
        options={options}
        hint={
          geometry.columnReads === undefined
            ? "The column tells it once it is read against sizes, in Stores."
            : "The size stays as another is chosen."
        }
        onChange={(next) => edit.mutate({ setup: { sizedBy: next, sizedReading: readings[next] ?? 0 } })}
      />
      <LengthField
        label="It reads"
        mm={setup.sizedReading ?? 0}
        error={edit.error?.at("/setup/sizedReading")}
        onCommit={(mm) => edit.mutateAsync({ setup: { sizedBy: by, sizedReading: mm } })}
        onStep={(mm) =>
          edit.mutate((now) => ({
            setup: { sizedBy: by, sizedReading: (now.setup.sizedReading ?? 0) + mm },
          }))
        }
      />
    </div>
  );
}

function even(b: Blades): boolean {
  return b.leftMm === b.topMm && b.leftMm === b.rightMm && b.leftMm === b.bottomMm;
}

function More(props: SlateContext) {
  const { slate, edit } = props;
  const { setup } = slate;
  const blade = (name: keyof Blades, label: string) => (
    <LengthField
      label={label}
      mm={setup.blades[name]}
      small
      error={edit.error?.at(`/setup/blades/${name}`) ?? edit.error?.at("/setup/blades")}
      onCommit={(mm) => edit.mutateAsync({ setup: { blades: { [name]: mm } } })}
      onStep={(mm) =>
        edit.mutate((now) => ({
          setup: { blades: { [name]: Math.max(0, now.setup.blades[name] + mm) } },
        }))
      }
    />
  );
  return (
    <details className="by-meter" onToggle={(event) => event.currentTarget.scrollIntoView({ block: "end" })}>
      <summary>Blades, overfill, kept part</summary>
      <div className="field-row">
        {blade("leftMm", "Left")}
        {blade("topMm", "Top")}
        {blade("rightMm", "Right")}
        {blade("bottomMm", "Bottom")}
      </div>
      {setup.projection === "ENLARGED" && (
        <>
          {setup.sizedBy === undefined && setup.fit === "FILL_SHEET" && (
            <QuantityField
              label="Overfill"
              shown={number(setup.overfillPercent)}
              unit="%"
              units={["%"]}
              hint="Larger than the sheet by so much, so that no white edge is left."
              error={edit.error?.at("/setup/overfillPercent")}
              onCommit={(c) => edit.mutateAsync({ setup: { overfillPercent: c.value } })}
              onStep={(direction, big) =>
                edit.mutate((now) => ({
                  setup: {
                    overfillPercent: Math.max(0, now.setup.overfillPercent + direction * (big ? 5 : 1)),
                  },
                }))
              }
            />
          )}
          {setup.lostFraction > 0.001 ? (
            <>
              <Kept {...props} label="Kept part, left to right" name="cropPlace" />
              <Kept {...props} label="Kept part, top to bottom" name="cropDown" />
            </>
          ) : (
            <p className="field-hint">The whole negative prints: there is nothing to move.</p>
          )}
        </>
      )}
    </details>
  );
}

function Kept({
  slate,
  edit,
  label,
  name,
}: SlateContext & { label: string; name: "cropPlace" | "cropDown" }) {
  const id = `${name}-label`;
  return (
    <div className="field slider">
      <label id={id}>{label}</label>
      <Slider
        key={slate.recipeId}
        min={0}
        max={100}
        step={5}
        defaultValue={Math.round(slate.setup[name] * 100)}
        tooltip={{ open: false }}
        ariaLabelledByForHandle={id}
        onChangeComplete={(v) => edit.mutate({ setup: { [name]: v / 100 } })}
      />
    </div>
  );
}
