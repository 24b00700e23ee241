import { length, millimetres } from "../../shared/units/length";
import { parseList } from "../../shared/units/list";
import { parseQuantity } from "../../shared/units/parse";
import type { Fact } from "./shelves";

export type Texts = Readonly<Record<string, string>>;

/** What stands in the fields, lengths in the unit the user likes. */
export function written(
  facts: readonly Fact[],
  values: Readonly<Record<string, unknown>> | undefined,
  unit: string,
): Texts {
  return Object.fromEntries(
    facts.map((fact) => {
      const value = values?.[fact.name] ?? (values ? undefined : fact.first);
      if (value === undefined || value === null) return [fact.name, ""];
      if (Array.isArray(value)) return [fact.name, value.join(", ")];
      if (fact.as === "length" && typeof value === "number") return [fact.name, length(value, unit)];
      return [fact.name, String(value as string | number | boolean)];
    }),
  );
}

export interface Read {
  body: Record<string, unknown>;
  problems: Record<string, string>;
}

/** The fields as they are sent: what was left empty is not; what cannot be read is said at its field. */
export function read(facts: readonly Fact[], texts: Texts, unit: string, isNew = false): Read {
  const body: Record<string, unknown> = {};
  const problems: Record<string, string> = {};
  for (const fact of facts) {
    const text = texts[fact.name] ?? "";
    if (fact.as === "yes") {
      body[fact.name] = text === "true";
    } else if (fact.as === "choice" || fact.as === "text") {
      // A new thing's empty text is left to the default; one that stood is emptied.
      if (text !== "" || (fact.as === "text" && !isNew)) body[fact.name] = number(fact, text);
    } else if (fact.as === "numbers" && text.trim() !== "") {
      const list = parseList(text, false);
      if (typeof list === "string") problems[fact.name] = list;
      else body[fact.name] = list;
    } else if (text.trim() !== "") {
      const parsed = parseQuantity(text);
      if (parsed.kind === "error") problems[fact.name] = parsed.message;
      else body[fact.name] = fact.as === "length" ? millimetres(parsed, unit) : parsed.value;
    }
  }
  return { body, problems };
}

/** A choice of how many clicks is a number to the server. */
function number(fact: Fact, text: string): string | number {
  return fact.as === "choice" && /^\d+$/.test(text) ? Number(text) : text;
}
