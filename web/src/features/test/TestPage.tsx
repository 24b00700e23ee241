import { useSearchParams } from "react-router";
import { useSlateContext } from "../../app/SlateFrame";
import { Ways } from "../../shared/ui/Choice";
import { PlanStrip } from "./PlanStrip";
import { ReadStrip } from "./ReadStrip";

/** The panel of each kind of test. */
const PANELS: Record<string, typeof PlanStrip> = { STRIP: PlanStrip };

/** The test: plan and expose the next strip, or read one that hangs. */
export function TestPage() {
  const context = useSlateContext();
  const [search, setSearch] = useSearchParams();
  const hung = context.slate.sheets.filter((s) => s.patches.length > 0 && s.state === "HUNG");
  const last = hung.at(-1);
  const asked = search.get("sheet");
  const unread = last?.decisions.length === 0 ? last : undefined;
  const reading = asked === "plan" ? undefined : (hung.find((s) => s.id === asked) ?? unread);
  const ways = [
    ...(last ? [{ value: "read", label: `Read ${(reading ?? last).label.toLowerCase()}` }] : []),
    { value: "plan", label: "Next strip" },
  ];
  const switcher =
    ways.length > 1 ? (
      <Ways
        label="Test"
        value={reading ? "read" : "plan"}
        ways={ways}
        onChange={(way) => setSearch({ sheet: way === "plan" ? "plan" : (last?.id ?? "plan") })}
      />
    ) : null;
  const Panel = PANELS[context.slate.test.plan.kind] ?? PlanStrip;
  return reading ? (
    <ReadStrip key={reading.id} {...context} strip={reading} switcher={switcher} />
  ) : (
    <Panel {...context} switcher={switcher} />
  );
}
