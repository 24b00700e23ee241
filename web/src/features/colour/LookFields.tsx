import { Swatch } from "../../shared/ui/LightName";
import {
  type Choosing,
  type FilterStep,
  HUES,
  type Hue,
  NAME_STEPS,
  type Step,
  type Way,
  besides,
} from "./casts";

/** More steps than these stand in several lines. */
const MOST_IN_A_LINE = 7;

/** One look: which filter or which cast, how strong, and what is laid on it or lies beside it. */
export function LookFields(props: {
  kit: readonly FilterStep[];
  way: Way;
  scale: number;
  chosen: Choosing;
  onChange: (chosen: Choosing) => void;
}) {
  const { chosen, onChange } = props;
  const filter = props.way === "VIEWING_FILTER";
  const first = HUES.find((h) => h.hue === chosen.hue);
  return (
    <>
      <h3>{filter ? "Through which filter is the grey right?" : "What cast has the grey?"}</h3>
      <Hues
        filter={filter}
        label={filter ? "Viewing filter" : "Cast"}
        hues={HUES.map((h) => h.hue)}
        value={chosen.neutral ? undefined : chosen.hue}
        onChange={(hue) => onChange({ hue, ...(chosen.step !== undefined && { step: chosen.step }) })}
      />
      <Steps
        label={first && !chosen.neutral ? strengthWords(filter, first) : "How strong?"}
        options={filter ? props.kit : NAME_STEPS}
        hint={
          filter
            ? undefined
            : `about ${[4, 10, 20].map((p) => p * props.scale).join(", ")} points of a filter`
        }
        value={chosen.neutral ? undefined : chosen.step}
        onChange={(step) => onChange({ ...chosen, neutral: false, step })}
      />
      {chosen.hue !== undefined && chosen.step !== undefined && !chosen.neutral && (
        <Second kit={props.kit} filter={filter} chosen={{ ...chosen, hue: chosen.hue }} onChange={onChange} />
      )}
      <button
        type="button"
        className="link"
        aria-pressed={chosen.neutral === true}
        onClick={() => onChange(chosen.neutral ? {} : { neutral: true })}
      >
        {filter ? "No filter helps, it is neutral" : "No cast, it is neutral"}
      </button>
    </>
  );
}

/** What is left through the first filter, or the hue between which and the first one the cast lies. */
function Second(props: {
  kit: readonly FilterStep[];
  filter: boolean;
  chosen: Choosing & { hue: Hue };
  onChange: (chosen: Choosing) => void;
}) {
  const { chosen, onChange, filter } = props;
  return (
    <div className="second-hue">
      <p>{filter ? "A little left? Lay on it" : "Or between that and"}</p>
      <Hues
        filter={filter}
        label={filter ? "Second filter on it" : "Second cast beside it"}
        hues={besides(chosen.hue)}
        value={chosen.second}
        onChange={(second) =>
          onChange(
            second === chosen.second
              ? { hue: chosen.hue, ...(chosen.step !== undefined && { step: chosen.step }) }
              : { ...chosen, second, ...(filter && { secondStep: chosen.secondStep ?? weakest(props.kit) }) },
          )
        }
      />
      {filter && chosen.second !== undefined && (
        <Steps
          label="Second filter: how strong?"
          options={props.kit}
          value={chosen.secondStep}
          onChange={(secondStep) => onChange({ ...chosen, secondStep })}
        />
      )}
    </div>
  );
}

function Hues(props: {
  filter: boolean;
  label: string;
  hues: readonly Hue[];
  value: Hue | undefined;
  onChange: (hue: Hue) => void;
}) {
  return (
    <div className="hues" role="group" aria-label={props.label}>
      {HUES.filter((h) => props.hues.includes(h.hue)).map((h) => (
        <button
          key={h.hue}
          type="button"
          aria-label={`${props.hues.length < HUES.length ? "also " : ""}${props.filter ? h.filter : h.cast}`}
          aria-pressed={props.value === h.hue}
          onClick={() => props.onChange(h.hue)}
        >
          <Swatch letter={h.hue} />
          <span>{props.filter ? h.filter : h.cast}</span>
        </button>
      ))}
    </div>
  );
}

function Steps(props: {
  label: string;
  options: readonly Step[];
  hint?: string | undefined;
  value: string | undefined;
  onChange: (id: string) => void;
}) {
  return (
    <div className="wish" role="group" aria-label={props.label}>
      <p>
        <span>{props.label}</span>
        {props.hint && <span className="note">{props.hint}</span>}
      </p>
      <div className={props.options.length > MOST_IN_A_LINE ? "wish-line piece-numbers" : "wish-line"}>
        {props.options.map((option) => (
          <button
            key={option.id}
            type="button"
            aria-label={option.words}
            aria-pressed={option.id === props.value}
            onClick={() => props.onChange(option.id)}
          >
            {option.label}
          </button>
        ))}
      </div>
    </div>
  );
}

/** The weakest filter there is; what is left to clear is little. */
function weakest(kit: readonly FilterStep[]): string {
  return kit[1]?.id ?? "";
}

function strengthWords(filter: boolean, chosen: (typeof HUES)[number]): string {
  if (!filter) return `How much ${chosen.cast}?`;
  const name = chosen.filter;
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}: the print is ${chosen.clears}. How strong?`;
}
