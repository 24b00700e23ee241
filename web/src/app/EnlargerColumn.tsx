import { Popover } from "antd";
import { type ReactNode, useState } from "react";
import { Link } from "react-router";
import type { RecipeChange, SlateView } from "../shared/api/client";
import { type RecipeEdit, type SlateChange, useStores } from "../shared/api/slate";
import { draft } from "../shared/preview/draft";
import { Choice } from "../shared/ui/Choice";
import { LightName } from "../shared/ui/LightName";
import { PackOnHead } from "../shared/ui/PackTime";
import { type Commit, QuantityField } from "../shared/ui/QuantityField";
import { TextField } from "../shared/ui/TextField";
import {
  aperture,
  centimetres,
  number,
  seconds,
  sheetSize,
  signedStops,
  stopWord,
} from "../shared/units/format";
import { partLights, partSeconds } from "../shared/units/parts";
import { heightLabel, heightText } from "../shared/units/height";
import { Elevation, columnLayout } from "./Elevation";
import { HeadHandle } from "./HeadHandle";
import { Wordmark } from "./Wordmark";

/**
 * The enlarger is the recipe: a drawn elevation whose parts carry the standing values and are the handles that change
 * them. What differs from the last sheet is underlined in chalk.
 */
export function EnlargerColumn(props: { slate: SlateView; edit: SlateChange<RecipeEdit> }) {
  const { slate, edit } = props;
  const { base } = slate;
  const [height, setHeight] = useState<number>();
  const setup = height === undefined ? slate.setup : pushed(slate.setup, height);
  const differs = (part: string) => slate.differences.find((d) => d.part === part)?.text;
  const held = slate.local.areas.filter((a) => a.changeStops < 0).length;
  const burned = slate.local.areas.filter((a) => a.changeStops > 0).length;
  const at = columnLayout(setup.lensToPaperMm).labels;
  const setupLink = `/slates/${slate.id}/setup`;
  return (
    <aside className="column" aria-label="Enlarger: the standing recipe">
      <Wordmark />
      <Elevation setup={setup} />
      {setup.projection === "ENLARGED" && (
        <HeadHandle
          setup={slate.setup}
          onHold={setHeight}
          onSet={(mm) => edit.mutate({ setup: { sizedBy: "HEIGHT", sizedReading: mm } })}
        />
      )}
      <Part at={at.lamp} label="Lamp" to={setupLink} differs={differs("lamp")}>
        <span className="part-value">{setup.head}</span>
      </Part>
      <Handle
        at={at.filter}
        label={base.parts.length > 1 ? "Two filters" : slate.medium.lightName}
        value={
          <span className="part-value large">
            {base.parts.length > 1 ? partLights(base.parts) : <LightName light={base.light} large />}
            {base.dials !== undefined && base.parts.length === 1 && (
              <span className="part-note under">{base.dials}</span>
            )}
          </span>
        }
        // Under a second line there is no room for it; the cord has it too.
        differs={base.pack && base.dials !== undefined ? undefined : differs("light")}
      >
        {(close) => (
          <>
            <LightEditor slate={slate} edit={edit} onDone={close} />
            <PackOnHead slate={slate} edit={edit} />
          </>
        )}
      </Handle>
      <Part
        at={at.negative}
        label={setup.projection === "ENLARGED" ? "Negative" : "On the paper"}
        to={`/slates/${slate.id}/choose`}
      >
        <span className="part-value">
          {slate.subject.rollTitle.split(",")[0]}, {slate.subject.name}
        </span>
        <span className="part-note">
          {number(slate.subject.widthMm)} × {number(slate.subject.heightMm)} mm
        </span>
      </Part>
      {setup.projection !== "LAMP" && (
        <Handle
          at={at.lens}
          label={`Lens, ${number(setup.focalMm)} mm`}
          value={<span className="part-value large">{aperture(setup.apertureMark)}</span>}
          differs={differs("aperture") ?? differs("lens")}
        >
          {(close) => <ApertureEditor slate={slate} edit={edit} onDone={close} />}
        </Handle>
      )}
      <Handle
        at={at.base}
        label={base.pack?.thirds ? "Base, as white light" : "Base exposure"}
        value={
          <span className={base.parts.length > 1 ? "part-value large" : "part-value huge"}>
            {partSeconds(base.parts)}
            <small>s</small>
          </span>
        }
        differs={differs("base")}
        note={base.source === "default" ? "default, not measured" : undefined}
      >
        {() => <BaseEditor slate={slate} edit={edit} />}
      </Handle>
      <Part at={at.local} label="Local work" to={`/slates/${slate.id}/shape`} differs={differs("local")}>
        <span className="part-value">
          {held + burned === 0 ? "none yet" : `${String(held)} held back, ${String(burned)} burned`}
        </span>
      </Part>
      <Part
        // A change takes a line of its own above the easel.
        at={differs("size") ? at.height - 16 : at.height}
        label={heightLabel(setup)}
        to={setupLink}
        differs={differs("size")}
      >
        <span className="part-value">
          {height === undefined ? heightText(setup) : centimetres(setup.lensToPaperMm)}
        </span>
      </Part>
      <Part
        at={at.easel}
        label={setup.projection === "ENLARGED" ? "Easel" : "Under film and glass"}
        to={setupLink}
        differs={differs("paper")}
      >
        <span className="part-value">{sheetSize(setup.turnedWidthMm, setup.turnedHeightMm)}</span>
        <span className="part-note">
          {setup.paperName}, {setup.paperBatch}
          {setup.paperCounted && `, ${number(Math.floor(setup.paperSheetsLeft))} left`}
        </span>
      </Part>
    </aside>
  );
}

/** The drawing while the head is held elsewhere; how large the picture is there is reckoned once it is let go. */
function pushed(setup: SlateView["setup"], lensToPaperMm: number): SlateView["setup"] {
  const share = lensToPaperMm / setup.lensToPaperMm;
  return { ...setup, lensToPaperMm, imageWidthMm: setup.imageWidthMm * share };
}

function Difference(props: { text: string | undefined }) {
  return props.text ? <span className="part-difference">{props.text}</span> : null;
}

function Part(props: {
  at: number;
  label: string;
  to: string;
  differs?: string | undefined;
  children: ReactNode;
}) {
  return (
    <Link to={props.to} className="part" style={{ top: props.at }}>
      <span className="part-label">{props.label}</span>
      <span className="part-line">
        {props.children}
        <Difference text={props.differs} />
      </span>
    </Link>
  );
}

function Handle(props: {
  at: number;
  label: string;
  value: ReactNode;
  note?: string | undefined;
  differs: string | undefined;
  children: (close: () => void) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      placement="right"
      destroyOnHidden
      content={
        <div className="part-editor" role="dialog" aria-label={props.label}>
          {props.children(() => setOpen(false))}
        </div>
      }
    >
      <button type="button" className="part" style={{ top: props.at }} aria-expanded={open}>
        <span className="part-label">{props.label}</span>
        <span className="part-line">
          {props.value}
          <Difference text={props.differs} />
        </span>
        {props.note && <span className="part-note">{props.note}</span>}
      </button>
    </Popover>
  );
}

interface EditorProps {
  slate: SlateView;
  edit: SlateChange<RecipeEdit>;
}

/** The light: one of a few where they are few, else the dials as they are written. */
export function LightEditor(props: EditorProps & { onDone?: () => void }) {
  const { base, medium } = props.slate;
  const set = (light: string) => {
    props.edit.mutate({ base: { light } });
    props.onDone?.();
  };
  const error = props.edit.error?.at("/base/light");
  return medium.lights.length > 0 ? (
    <Choice
      label="Filter, grade"
      value={base.light.notation}
      options={medium.lights.map((l) => ({ value: l, label: l.replace("grade ", "") }))}
      hint="Light tones are held."
      error={error}
      onChange={set}
    />
  ) : (
    <PackField slate={props.slate} edit={props.edit} error={error} />
  );
}

/** A pack as it is written, "0/52/47"; what cannot be read stays in the field with its message. */
function PackField(props: EditorProps & { error: string | undefined }) {
  const standing = props.slate.base.light.notation;
  const [typed, setTyped] = useState<string>();
  const commit = () => {
    if (typed === undefined || typed.trim() === standing) return setTyped(undefined);
    props.edit.mutate({ base: { light: typed } }, { onSuccess: () => setTyped(undefined) });
  };
  return (
    <TextField
      label="Pack, C/M/Y"
      value={typed ?? standing}
      error={typed === undefined ? undefined : props.error}
      hint="Points of this head."
      onChange={setTyped}
      onLeave={commit}
    />
  );
}

export function ApertureEditor(props: EditorProps & { onDone?: () => void }) {
  const stores = useStores();
  const { setup } = props.slate;
  const marks = stores.data?.lenses.find((l) => l.id === setup.lensId)?.marks ?? [];
  const step = (now: SlateView, direction: 1 | -1): RecipeChange => {
    const mark = marks[marks.indexOf(now.setup.apertureMark) + direction];
    return mark === undefined ? {} : { setup: { apertureMark: mark } };
  };
  return (
    <QuantityField
      label="Opening"
      shown={number(setup.apertureMark)}
      unit="f/"
      units={["f"]}
      hint={
        marks.length > 0
          ? `Ring ${number(marks[0] ?? 0)} to ${number(marks.at(-1) ?? 0)}; time follows.`
          : "Time follows."
      }
      error={props.edit.error?.at("/setup/apertureMark")}
      onCommit={(c) => props.edit.mutateAsync({ setup: { apertureMark: c.value } })}
      onStep={(direction) => props.edit.mutate((now) => step(now, direction))}
    />
  );
}

/** The time as it is received, exact; a step is a part of a stop, and a signed entry a change. */
export function BaseEditor(props: EditorProps) {
  const { base, setup } = props.slate;
  const { edit } = props;
  const change = (commit: Commit): RecipeChange => {
    if (commit.kind === "value") return { base: { seconds: commit.value } };
    return { base: commit.unit === "s" ? { changeSeconds: commit.value } : { changeStops: commit.value } };
  };
  return (
    <>
      <QuantityField
        label="Base exposure"
        shown={seconds(base.seconds)}
        unit="s"
        units={["s", "stop", "stops"]}
        takesChange
        hint={`${base.because.split("\n")[0] ?? ""} ↑ ↓ by 1/12 stop, with Shift ⅓; or type “+1/3”, “+2 s”.`}
        error={
          edit.error?.at("/base/seconds") ??
          edit.error?.at("/base/changeSeconds") ??
          edit.error?.at("/base/changeStops")
        }
        onCommit={(c) => edit.mutateAsync(change(c))}
        onStep={(direction, big) => edit.mutate({ base: { changeStops: direction / (big ? 3 : 12) } })}
        drag={{
          preview: (steps) => {
            draft.offer(props.slate, { base: { changeStops: steps / 12 } });
            return `${signedStops(steps / 12)} ${stopWord(steps / 12)}`;
          },
          take: (steps) =>
            edit.mutate({ base: { changeStops: steps / 12 } }, { onSettled: () => draft.end() }),
          leave: () => draft.end(),
        }}
      />
      {base.pack?.thirds ? (
        <p className="field-hint">
          Given in red, green and blue light, set to {base.dials}; the three times stand with the pack.
        </p>
      ) : (
        <p className="field-hint">
          Received. The timer is set to {seconds(base.setSeconds)} s
          {base.presses > 1 ? `, ${String(base.presses)} times` : ""}, with {number(setup.lagSeconds)} s for
          the lamp
          {base.presses > 1 ? " each time" : ""}.
        </p>
      )}
      {setup.lamp !== "BURNS" && (
        <QuantityField
          label="Given in"
          shown={String(base.presses)}
          unit={base.presses === 1 ? "exposure" : "exposures"}
          units={["exposure", "exposures"]}
          hint="1 to 16, one as a rule. In several, a hold is a whole number of them."
          error={edit.error?.at("/base/presses")}
          onCommit={(c) => edit.mutateAsync({ base: { presses: c.value } })}
          onStep={(direction) => edit.mutate({ base: { presses: base.presses + direction } })}
        />
      )}
    </>
  );
}
