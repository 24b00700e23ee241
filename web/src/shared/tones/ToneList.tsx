import type { Problem, SlateView } from "../api/client";
import { type RecipeEdit, type SlateChange, quietly } from "../api/slate";
import { Choice } from "../ui/Choice";
import { NameField } from "../ui/NameField";
import { QuantityField } from "../ui/QuantityField";
import { signedStops } from "../units/format";
import { useState } from "react";
import { MOST_TONES, type Tone, WISHES, type Wish, changed, newTone } from "./tones";

/** Under this nobody sees a difference. */
const SEEN_STOPS = 1 / 24;

/** The tones that matter, in words: what each is to become, where it stands, and what would bring it there. */
export function ToneList(props: { slate: SlateView; edit: SlateChange<RecipeEdit> }) {
  const { slate, edit } = props;
  const change = (to: (tones: readonly Tone[]) => Tone[]) =>
    edit.mutateAsync((now) => ({ naming: { tones: to(now.naming.tones as Tone[]) } }));
  const tones = slate.naming.tones as Tone[];
  return (
    <details className="tones" open={tones.length > 0 || undefined}>
      <summary>
        {tones.length === 0 ? "Tones that matter" : `Tones that matter, ${String(tones.length)}`}
      </summary>
      {tones.map((tone, at) => (
        <ToneFields
          key={at}
          tone={tone}
          at={at}
          slate={slate}
          problem={edit.error}
          onChange={(part) => change((now) => changed(now, at, part))}
          onForget={() => quietly(change((now) => now.filter((_, i) => i !== at)))}
          onGive={(changeStops) => edit.mutate({ base: { changeStops } })}
        />
      ))}
      {tones.length < MOST_TONES && (
        <button
          type="button"
          className="link"
          onClick={() => quietly(change((now) => [...now, newTone(now, slate.setup.crop)]))}
        >
          Name a tone
        </button>
      )}
      {edit.error?.at("/naming/tones") && (
        <p className="field-message" role="alert">
          {edit.error.at("/naming/tones")}
        </p>
      )}
    </details>
  );
}

function ToneFields(props: {
  tone: Tone;
  at: number;
  slate: SlateView;
  problem: Problem | null;
  onChange: (part: Partial<Tone>) => Promise<unknown>;
  onForget: () => void;
  onGive: (stops: number) => void;
}) {
  const { tone, slate } = props;
  const [open, setOpen] = useState(false);
  const view = slate.tones[props.at];
  const wanted = view?.changeStops;
  const error = (field: string) => props.problem?.at(`/naming/tones/${String(props.at)}/${field}`);
  return (
    <div className="tone" role="group" aria-label={tone.name}>
      <p>
        <button type="button" className="link" aria-expanded={open} onClick={() => setOpen(!open)}>
          {tone.name}
        </button>
        , {WISHES.find((w) => w.value === tone.wish)?.label}. {view?.says}{" "}
        {view?.patch !== undefined && `Patch ${String(view.patch)} of the next test. `}
        {wanted !== undefined && Math.abs(wanted) >= SEEN_STOPS && (
          <button type="button" className="link" onClick={() => props.onGive(wanted)}>
            Give {signedStops(wanted)}
          </button>
        )}
      </p>
      {open && (
        <>
          <div className="field-row">
            <NameField
              key={tone.name}
              name={tone.name}
              error={error("name")}
              onCommit={(name) => quietly(props.onChange({ name }))}
            />
            <Choice<Wish>
              label="To be"
              value={tone.wish}
              options={WISHES}
              error={error("wish")}
              onChange={(wish) => quietly(props.onChange({ wish, density: view?.wantedDensity }))}
            />
            {tone.wish === "OWN" && (
              <QuantityField
                label="Density"
                shown={(view?.wantedDensity ?? 0).toFixed(2)}
                error={error("density")}
                onCommit={(c) => props.onChange({ density: c.value })}
              />
            )}
          </div>
          <button type="button" className="link" onClick={props.onForget} aria-label={`Forget ${tone.name}`}>
            Forget it
          </button>
        </>
      )}
    </div>
  );
}
