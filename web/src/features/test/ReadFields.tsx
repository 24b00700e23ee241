import type { SlateView } from "../../shared/api/client";
import { Checkbox } from "antd";
import { Choice, Ways } from "../../shared/ui/Choice";
import { QuantityField } from "../../shared/ui/QuantityField";
import { TextField } from "../../shared/ui/TextField";
import { signedStops } from "../../shared/units/format";
import { type Looking, inWords } from "./kept";
import { type MarkField, type MarkKind, type Marked, toneField } from "./marks";

const SIXTH = 1 / 6;

/** How the test is looked at, in one line that opens: state, light, second opinion. */
export function LookedAt(props: {
  looking: Looking;
  open: boolean;
  lampError: string | undefined;
  onLook: (part: Partial<Looking>) => void;
}) {
  const { looking, onLook } = props;
  return (
    <details className="more" open={props.open || undefined}>
      <summary>Looked at {inWords(looking)}</summary>
      <Ways
        label="How the test is as it is read"
        value={looking.dry ? "dry" : "wet"}
        ways={[
          { value: "wet", label: "Wet, as it comes" },
          { value: "dry", label: "Dry" },
        ]}
        onChange={(state) => onLook({ dry: state === "dry" })}
      />
      <TextField
        label="Under which light"
        value={looking.lamp}
        longest={40}
        error={props.lampError}
        onChange={(lamp) => onLook({ lamp })}
      />
      <Checkbox checked={looking.second} onChange={(event) => onLook({ second: event.target.checked })}>
        Somebody else looked too, and sees it alike
      </Checkbox>
    </details>
  );
}

/** Another look at the same test, with the marks of the one before hidden: both together are surer, and cost no paper. */
export function LookAgain(props: {
  look: number;
  /** The looks lie more than a patch apart. */
  apart: boolean;
  onAgain: (() => void) | undefined;
  onDrop: (() => void) | undefined;
}) {
  const { look, apart, onAgain, onDrop } = props;
  if (!onAgain && !onDrop) return null;
  return (
    <p className="field-hint" role="status">
      {onDrop && `Look ${String(look)}: the marks before are hidden. All looks count together. `}
      {onAgain && apart && "They lie more than a patch apart: one more is worth it. "}
      {onAgain && (
        <button type="button" className="link" onClick={onAgain}>
          {onDrop ? "Once more" : "Look again, marks hidden"} <kbd>G</kbd>
        </button>
      )}{" "}
      {onDrop && (
        <button type="button" className="link" onClick={onDrop}>
          Drop this look
        </button>
      )}
    </p>
  );
}

/** The named tone that a mark is about; nothing where none was named. */
export function ToneOfMark(props: {
  slate: SlateView;
  kind: MarkKind | undefined;
  marked: Marked;
  onTone: (field: string, tone: string | undefined) => void;
}) {
  const { slate, kind, marked } = props;
  if (!kind || slate.tones.length === 0) return null;
  const field = toneField(kind.field as MarkField);
  return (
    <Choice
      label={`${kind.label}: looked at where`}
      value={marked[field] ?? ""}
      options={[
        { value: "", label: "no tone in particular" },
        ...slate.tones.map((tone) => ({ value: tone.name, label: tone.name })),
      ]}
      onChange={(tone) => props.onTone(field, tone === "" ? undefined : tone)}
    />
  );
}

/** The answer may lie off the test. */
export function OffTheTest(props: {
  shown: boolean;
  beyond: string | undefined;
  error: string | undefined;
  onBeyond: (beyond: string | undefined) => void;
}) {
  if (!props.shown) return null;
  return (
    <Choice
      label="Or it lies off this test"
      value={props.beyond ?? ""}
      options={[
        { value: "", label: "no, it is on it" },
        { value: "LIGHTER", label: "even the lightest is a little too dark" },
        { value: "FAR_LIGHTER", label: "all of it is as good as black" },
        { value: "DARKER", label: "even the darkest is a little too light" },
        { value: "FAR_DARKER", label: "all of it is bare" },
      ]}
      error={props.error}
      onChange={(beyond) => props.onBeyond(beyond === "" ? undefined : beyond)}
    />
  );
}

/** One sheet is read by how much more light it needs. */
export function OneSheet(props: {
  more: number;
  error: string | undefined;
  onMore: (stops: number) => void;
}) {
  return (
    <QuantityField
      label="It needs more light"
      shown={signedStops(props.more)}
      unit="stop"
      units={["stop", "stops"]}
      hint="+ is a darker print, − a lighter one; 0 where it is right."
      error={props.error}
      onCommit={(c) => props.onMore(c.value)}
      onStep={(direction, big) => props.onMore(props.more + direction * (big ? 3 : 1) * SIXTH)}
    />
  );
}
