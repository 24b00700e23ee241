import { Choice } from "../../shared/ui/Choice";
import type { Schemas, SlateView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";
import { type Asked, NO_FILTER, type Proposal } from "./contrast";

type School = NonNullable<Asked["school"]>;
type Strip = Schemas["StripView"];
export type Lies = NonNullable<Schemas["StripsAsked"]["lies"]>;

const SCHOOLS: readonly { value: School; label: string }[] = [
  { value: "EXACT", label: "by strips, both tones exact" },
  { value: "OVERLAID", label: "by strips, hard laid over soft" },
  { value: "AS_MARKED", label: "by strips, added as marked" },
  { value: "FAIR_HALVES", label: "by strips, fair halves" },
];

/** The two filters of a split, their order, and the one filter that the pair is worth. */
export function TwoFilters(props: {
  slate: SlateView;
  asked: Asked;
  proposal: Proposal | undefined;
  strips: readonly Strip[];
  onAsk: (change: (now: Asked) => Asked) => void;
  /** Plans the strips that a split starts from. */
  onPlan: (lies: Lies) => void;
  /** Plans a sheet half and half: both parts as they stand, and one filter. None where they do not stand yet. */
  onHalf: ((light: string) => void) | undefined;
}) {
  const { asked, proposal, onHalf } = props;
  const one = proposal?.one.light.notation;
  const oneIsAPart = proposal?.parts.some((p) => p.light.notation === one) ?? true;
  const of = (light: string) => props.strips.find((s) => s.light.notation === light);
  const soft = of(asked.soft ?? "grade 00");
  const hard = of(asked.hard ?? "grade 5");
  const whole = soft?.whitesSeconds !== undefined && hard?.blacksSeconds !== undefined;
  const options = props.slate.medium.lights
    .filter((l) => l !== NO_FILTER)
    .map((l) => ({ value: l, label: l.replace("grade ", "") }));
  return (
    <>
      <div className="field-row">
        <Choice
          label="Soft"
          value={asked.soft ?? "grade 00"}
          options={options}
          onChange={(soft) => props.onAsk((now) => ({ ...now, soft }))}
        />
        <Choice
          label="Hard"
          value={asked.hard ?? "grade 5"}
          options={options}
          onChange={(hard) => props.onAsk((now) => ({ ...now, hard }))}
        />
        <Choice
          label="First"
          value={asked.hardFirst === true ? "hard" : "soft"}
          options={[
            { value: "soft", label: "soft" },
            { value: "hard", label: "hard" },
          ]}
          onChange={(first) => props.onAsk((now) => ({ ...now, hardFirst: first === "hard" }))}
        />
      </div>
      {props.strips.length > 0 && <Strips strips={props.strips} />}
      <Choice<School | "THREADS">
        label="Put together"
        value={asked.school ?? "THREADS"}
        options={[{ value: "THREADS", label: "by the threads, or as it stands" }, ...(whole ? SCHOOLS : [])]}
        {...(!whole && {
          hint: "By strips once the whites are marked through the soft filter and the black through the hard one.",
        })}
        onChange={(school) =>
          props.onAsk((now) => ({
            ...now,
            threads: [],
            light: undefined,
            school: school === "THREADS" ? undefined : school,
          }))
        }
      />
      <button type="button" className="link" onClick={() => props.onPlan("BESIDE")}>
        Plan one strip in two rows, soft and hard
      </button>
      <button type="button" className="link" onClick={() => props.onPlan("ON_TOP")}>
        {whole ? "Check the sum: a strip of both parts" : "Plan a strip of both parts on the same patches"}
      </button>
      <button type="button" className="link" onClick={() => props.onPlan("ON_WHOLE")}>
        Plan the hard part in steps on the whole soft one
      </button>
      {onHalf && one !== undefined && !oneIsAPart && (
        <button type="button" className="link" onClick={() => onHalf(one)}>
          Both parts and {one}, half and half on one sheet
        </button>
      )}
      {proposal && (
        <p className="note">
          In one filter: nearest {proposal.one.light.notation}, {seconds(proposal.one.seconds)} s. The paper
          does not care which part comes first; the list before the dark says both.
        </p>
      )}
    </>
  );
}

/** What strips through the two filters showed. */
function Strips({ strips }: { strips: readonly Strip[] }) {
  const said = (value: number | undefined) => (value === undefined ? "not marked" : `${seconds(value)} s`);
  return (
    <table className="rows">
      <thead>
        <tr>
          <th scope="col">Strip</th>
          <th scope="col">Whites hold</th>
          <th scope="col">First black</th>
        </tr>
      </thead>
      <tbody>
        {strips.map((strip) => (
          <tr key={strip.light.notation}>
            <td>{strip.light.notation.replace("grade ", "")}</td>
            <td>{said(strip.whitesSeconds)}</td>
            <td>{said(strip.blacksSeconds)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
