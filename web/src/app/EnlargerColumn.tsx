import { Popover } from "antd";
import { type ReactNode, useState } from "react";
import { Link } from "react-router";
import type { SlateView } from "../shared/api/client";
import { type RecipeEdit, type SlateChange, useStores } from "../shared/api/slate";
import { Choice } from "../shared/ui/Choice";
import { QuantityField } from "../shared/ui/QuantityField";
import { aperture, centimetres, number, seconds, sheetSize, times } from "../shared/units/format";
import { Elevation, columnLayout } from "./Elevation";

/**
 * The enlarger is the recipe: a drawn elevation whose parts carry the standing values and are the handles that change
 * them. What differs from the last sheet is underlined in chalk.
 */
export function EnlargerColumn(props: { slate: SlateView; edit: SlateChange<RecipeEdit> }) {
  const { slate, edit } = props;
  const { recipe, setup } = slate;
  const differs = (part: string) => slate.differences.find((d) => d.part === part)?.text;
  const held = recipe.areas.filter((a) => a.changeStops < 0).length;
  const burned = recipe.areas.filter((a) => a.changeStops > 0).length;
  const at = columnLayout(setup.lensToPaperMm).labels;
  const setupLink = `/slates/${slate.id}/setup`;
  return (
    <aside className="column" aria-label="Enlarger: the standing recipe">
      <Link to="/" className="wordmark">
        Key Slate
      </Link>
      <Elevation setup={setup} />
      <Part at={at.lamp} label="Lamp" to={setupLink}>
        <span className="part-value">{setup.head}</span>
      </Part>
      <Handle
        at={at.filter}
        label="Filter"
        value={<span className="part-value large">Grade {recipe.filter}</span>}
        differs={differs("filter")}
      >
        {(close) => <GradeEditor slate={slate} edit={edit} onDone={close} />}
      </Handle>
      <Part at={at.negative} label="Negative" to={`/slates/${slate.id}/choose`}>
        <span className="part-value">
          {slate.frame.rollTitle.split(",")[0]}, frame {slate.frame.number}
        </span>
        <span className="part-note">
          {number(slate.frame.widthMm)} × {number(slate.frame.heightMm)} mm
        </span>
      </Part>
      <Handle
        at={at.lens}
        label={`Lens, ${number(setup.focalMm)} mm`}
        value={<span className="part-value large">{aperture(recipe.apertureMark)}</span>}
        differs={differs("aperture") ?? differs("lens")}
      >
        {(close) => <ApertureEditor slate={slate} edit={edit} onDone={close} />}
      </Handle>
      <Handle
        at={at.base}
        label="Base exposure"
        value={
          <span className="part-value huge">
            {seconds(recipe.baseSeconds)}
            <small>s</small>
          </span>
        }
        differs={differs("base")}
        note={recipe.baseSource === "default" ? "default, not measured" : undefined}
      >
        {() => <BaseEditor slate={slate} edit={edit} />}
      </Handle>
      <Part at={at.local} label="Local work" to={`/slates/${slate.id}/shape`} differs={differs("local")}>
        <span className="part-value">
          {held + burned === 0 ? "none yet" : `${String(held)} held back, ${String(burned)} burned`}
        </span>
      </Part>
      <Part at={at.height} label="Lens above easel" to={setupLink} differs={differs("size")}>
        <span className="part-value">
          {centimetres(setup.lensToPaperMm)}, {times(setup.magnification)}
        </span>
      </Part>
      <Part at={at.easel} label="Easel" to={setupLink} differs={differs("paper")}>
        <span className="part-value">{sheetSize(setup.sheetWidthMm, setup.sheetHeightMm)}</span>
        <span className="part-note">
          {setup.paperName}, {setup.paperBatch}, {number(Math.floor(setup.paperSheetsLeft))} left
        </span>
      </Part>
    </aside>
  );
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

export function GradeEditor(props: EditorProps & { onDone?: () => void }) {
  const stores = useStores();
  return (
    <Choice
      label="Filter, grade"
      value={props.slate.recipe.filter}
      options={(stores.data?.filters ?? [props.slate.recipe.filter]).map((f) => ({ value: f, label: f }))}
      hint="Light tones are held."
      error={props.edit.error?.at("/filter")}
      onChange={(filter) => {
        props.edit.mutate({ filter });
        props.onDone?.();
      }}
    />
  );
}

export function ApertureEditor(props: EditorProps & { onDone?: () => void }) {
  const stores = useStores();
  const marks = stores.data?.lenses.find((l) => l.id === props.slate.recipe.lensId)?.marks ?? [];
  const at = marks.indexOf(props.slate.recipe.apertureMark);
  return (
    <QuantityField
      label="Opening"
      shown={number(props.slate.recipe.apertureMark)}
      unit="f/"
      units={["f"]}
      hint={
        marks.length > 0
          ? `Ring ${number(marks[0] ?? 0)} to ${number(marks.at(-1) ?? 0)}; time follows.`
          : "Time follows."
      }
      error={props.edit.error?.at("/apertureMark")}
      onCommit={(c) => c.kind === "value" && props.edit.mutateAsync({ apertureMark: c.value })}
      onStep={(direction) => {
        const mark = marks[at + direction];
        if (mark !== undefined) props.edit.mutate({ apertureMark: mark });
      }}
    />
  );
}

export function BaseEditor(props: EditorProps) {
  const { recipe } = props.slate;
  return (
    <QuantityField
      label="Base exposure"
      shown={seconds(recipe.baseSeconds)}
      unit="s"
      units={["s", "stop", "stops"]}
      takesChange
      hint={`${recipe.baseBecause.split("\n")[0] ?? ""} ↑ ↓ by 1/12 stop, with Shift ⅓; or type “+1/3”.`}
      error={props.edit.error?.at("/baseSeconds") ?? props.edit.error?.at("/baseChangeStops")}
      onCommit={(c) =>
        props.edit.mutateAsync(
          c.kind === "change" && c.unit !== "s" ? { baseChangeStops: c.value } : { baseSeconds: c.value },
        )
      }
      onStep={(direction, big) => props.edit.mutate({ baseChangeStops: direction / (big ? 3 : 12) })}
    />
  );
}
