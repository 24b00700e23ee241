import { useSearchParams } from "react-router";
import { useSlateContext } from "../../app/SlateFrame";
import { Ways } from "../../shared/ui/Choice";
import { PlanTest } from "./PlanTest";
import { ReadRow } from "./ReadRow";

/** The test: plan and expose the next one, or read one that hangs. */
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
    { value: "plan", label: "Next test" },
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
  return reading ? (
    <ReadRow key={reading.id} {...context} strip={reading} switcher={switcher} />
  ) : (
    <PlanTest {...context} switcher={switcher} />
  );
}
