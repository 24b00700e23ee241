import { Checkbox } from "antd";
import { Ways } from "../../shared/ui/Choice";
import { TextField } from "../../shared/ui/TextField";

/** How a print is as its colour is looked at. */
export interface In {
  dry: boolean;
  lamp: string;
  elsewhere: boolean;
  /** A second place that should be neutral too; empty = the first one. */
  area: string;
}

export const DRY_WHERE_IT_HANGS: In = { dry: true, lamp: "", elsewhere: false, area: "" };

function inWords(looked: In): string {
  return [
    looked.dry ? "dry" : "wet",
    looked.lamp === "" ? "the light that is on" : looked.lamp,
    ...(looked.elsewhere ? ["not where it will hang"] : []),
    ...(looked.area === "" ? [] : [`at ${looked.area}`]),
  ].join(", ");
}

/** State, light and place of a look, in one line that opens. */
export function LookedIn(props: {
  looked: In;
  error: (pointer: string) => string | undefined;
  onChange: (part: Partial<In>) => void;
}) {
  const { looked, onChange, error } = props;
  return (
    <details className="more" open={error("/cast/lamp") !== undefined || undefined}>
      <summary>Looked at {inWords(looked)}</summary>
      <p className="field-hint">Said of all looks that are taken together.</p>
      <Ways
        label="How the print is as it is looked at"
        value={looked.dry ? "dry" : "wet"}
        ways={[
          { value: "dry", label: "Dry" },
          { value: "wet", label: "Wet: reckoned as it will dry" },
        ]}
        onChange={(state) => onChange({ dry: state === "dry" })}
      />
      <TextField
        label="Under which light"
        value={looked.lamp}
        longest={40}
        error={error("/cast/lamp")}
        onChange={(lamp) => onChange({ lamp })}
      />
      <Checkbox
        checked={looked.elsewhere}
        onChange={(event) => onChange({ elsewhere: event.target.checked })}
      >
        It will hang in another light
      </Checkbox>
      <TextField
        label="A second place that should be neutral, if you look at that"
        value={looked.area}
        longest={40}
        onChange={(area) => onChange({ area })}
      />
    </details>
  );
}
