import { Button, Checkbox } from "antd";
import { useState } from "react";
import { type FrameView, positive } from "../../shared/api/client";
import { type FrameDetail, type Notes, useFrameChange } from "../../shared/api/frames";
import { parseQuantity } from "../../shared/units/parse";
import { Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";

type Mark = NonNullable<Notes["marks"]>[number];

const CONSENTS = [
  { value: "NOT_ASKED", label: "not asked" },
  { value: "GIVEN", label: "agreed" },
  { value: "REFUSED", label: "refused" },
] as const;
const DENSITIES = [
  ["baseDensity", "Base"],
  ["shadowDensity", "Shadow"],
  ["highlightDensity", "Highlight"],
] as const;

/** What is known of a negative beyond its line, folded away: it is asked for where it is used. */
export function FrameMore(props: { detail: FrameDetail }) {
  return (
    <details className="more-known">
      <summary>More: subject, persons, defects, readings, marks</summary>
      <Form detail={props.detail} />
    </details>
  );
}

function Form(props: { detail: FrameDetail }) {
  const { frame, notes } = props.detail;
  const change = useFrameChange(frame.id);
  const [title, setTitle] = useState(frame.title);
  const [draft, setDraft] = useState(notes);
  const [read, setRead] = useState(() => ({
    baseDensity: shown(notes.baseDensity),
    shadowDensity: shown(notes.shadowDensity),
    highlightDensity: shown(notes.highlightDensity),
  }));
  const [unread, setUnread] = useState<Record<string, string>>({});
  const edit = (part: Notes) => setDraft({ ...draft, ...part });
  const save = () => {
    const problems: Record<string, string> = {};
    const sent: Notes = { ...draft };
    for (const [name] of DENSITIES) {
      // What was emptied is not recorded any more.
      Reflect.deleteProperty(sent, name);
      if (read[name].trim() === "") continue;
      const parsed = parseQuantity(read[name]);
      if (parsed.kind === "error") problems[name] = parsed.message;
      else sent[name] = parsed.value;
    }
    setUnread(problems);
    if (Object.keys(problems).length === 0) change.mutate({ title, notes: sent });
  };
  const error = (name: string) => unread[name] ?? change.error?.at(`/notes/${name}`);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <TextField
        label="Subject"
        value={title}
        longest={80}
        error={change.error?.at("/title")}
        onChange={setTitle}
      />
      <TextField
        label="Persons on it"
        value={draft.people ?? ""}
        longest={200}
        error={error("people")}
        onChange={(people) => edit({ people })}
      />
      {draft.people && (
        <Ways
          label="Have they agreed to be shown?"
          value={draft.consent ?? "NOT_ASKED"}
          ways={CONSENTS}
          onChange={(consent) => edit({ consent })}
        />
      )}
      <TextField
        label="Defects"
        value={draft.defects ?? ""}
        longest={200}
        error={error("defects")}
        onChange={(defects) => edit({ defects })}
      />
      <Checkbox
        checked={draft.beyondRescue ?? false}
        onChange={(e) => edit({ beyondRescue: e.target.checked })}
      >
        Beyond rescue: no paper for it
      </Checkbox>
      <div className="field-row">
        {DENSITIES.map(([name, label]) => (
          <TextField
            key={name}
            label={`${label} density`}
            value={read[name]}
            error={error(name)}
            onChange={(text) => setRead({ ...read, [name]: text })}
          />
        ))}
      </div>
      <TextField
        label="Read with"
        value={draft.reader ?? ""}
        longest={80}
        error={error("reader")}
        onChange={(reader) => edit({ reader })}
      />
      <MarkMap frame={frame} marks={draft.marks ?? []} onChange={(marks) => edit({ marks })} />
      {error("marks") && <p className="field-message">{error("marks")}</p>}
      <Button htmlType="submit" loading={change.isPending}>
        Keep it
      </Button>
      {change.isSuccess && <span className="kept-line"> Kept.</span>}
    </form>
  );
}

function shown(density: number | undefined): string {
  return density === undefined ? "" : String(density);
}

const KINDS = [
  { value: "DUST", label: "dust" },
  { value: "HAIR", label: "hair" },
  { value: "SCRATCH", label: "scratch" },
] as const;

/** The frame with what lies on the film: a press puts a mark there, a press on a mark takes it off. */
function MarkMap(props: { frame: FrameView; marks: Mark[]; onChange: (marks: Mark[]) => void }) {
  const { frame, marks } = props;
  const [kind, setKind] = useState<string>("DUST");
  return (
    <div className="mark-map">
      <Ways label="Kind of mark" value={kind} ways={KINDS} onChange={setKind} />
      <div className="mark-field" style={{ aspectRatio: frame.widthMm / frame.heightMm }}>
        <button
          type="button"
          aria-label="Put a mark where it is pressed; by keys in the middle"
          style={frame.hasPicture ? { backgroundImage: `url(${positive(frame.id, 480)})` } : undefined}
          onClick={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            const byMouse = event.detail > 0;
            const x = byMouse ? (event.clientX - box.left) / box.width : 0.5;
            const y = byMouse ? (event.clientY - box.top) / box.height : 0.5;
            props.onChange([...marks, { kind, x: tidy(x), y: tidy(y) }]);
          }}
        />
        {marks.map((mark, place) => (
          <button
            key={`${mark.kind}-${String(place)}`}
            type="button"
            className="film-mark"
            style={{ left: percent(mark.x), top: percent(mark.y) }}
            aria-label={`${mark.kind.toLowerCase()}, ${percent(mark.x)} from the left, ${percent(mark.y)} from the top; take it off`}
            onClick={() => props.onChange(marks.filter((_, i) => i !== place))}
          >
            {mark.kind.charAt(0).toLowerCase()}
          </button>
        ))}
      </div>
    </div>
  );
}

function percent(place: number): string {
  return `${String(Math.round(1000 * place) / 10)}%`;
}

function tidy(place: number): number {
  return Math.round(1000 * Math.min(1, Math.max(0, place))) / 1000;
}
