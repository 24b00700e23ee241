// What a printer may type: a number then a unit, fractions in either spelling, a sign for a change.

export type Parsed =
  | { kind: "number"; value: number; unit: string }
  | { kind: "change"; value: number; unit: string }
  | { kind: "error"; message: string };

const FRACTIONS: Record<string, number> = {
  "½": 1 / 2,
  "⅓": 1 / 3,
  "⅔": 2 / 3,
  "¼": 1 / 4,
  "¾": 3 / 4,
  "⅙": 1 / 6,
  "⅚": 5 / 6,
};

/** Millimetres in the units of length that may be typed where millimetres stand. */
const LENGTHS: Record<string, number> = { mm: 1, cm: 10, in: 25.4 };

/**
 * Reads "9", "9 s", "+1/3", "−½ stop", "1 1/2", "f16", "50 %". A leading sign makes it a change. Lengths with a unit
 * ("20 cm", "8 in") come back in millimetres.
 */
export function parseQuantity(text: string): Parsed {
  const clean = text.trim().replace(/[−–]/g, "-").replace(",", ".");
  if (clean === "") return { kind: "error", message: "Type a number here." };
  const match =
    /^(f\/?)?\s*([+-])?\s*(?:(?:(\d+)\s+)?(\d+\/\d+)|(\d*\.?\d*)\s*([½⅓⅔¼¾⅙⅚])?)\s*([a-zA-Z%×]*)$/.exec(
      clean,
    );
  if (!match) return { kind: "error", message: `“${text.trim()}” is not a number.` };
  const [, prefix, sign, wholes, slashed, digits, glyph, suffix] = match;
  const size = slashed ? mixed(wholes, slashed) : decimal(digits ?? "", glyph);
  if (size === undefined || Number.isNaN(size)) {
    return { kind: "error", message: `“${text.trim()}” is not a number.` };
  }
  const typed = prefix ? "f" : (suffix ?? "").toLowerCase();
  const inMm = LENGTHS[typed];
  const unit = inMm === undefined ? typed : "mm";
  const value = (sign === "-" ? -size : size) * (inMm ?? 1);
  return { kind: sign ? "change" : "number", value, unit };
}

function mixed(wholes: string | undefined, slashed: string): number | undefined {
  const [over, under] = slashed.split("/").map(Number);
  if (over === undefined || !under) return undefined;
  return Number(wholes ?? 0) + over / under;
}

function decimal(digits: string, glyph: string | undefined): number | undefined {
  if ((digits === "" || digits === ".") && glyph === undefined) return undefined;
  return Number(digits === "" ? 0 : digits) + (glyph === undefined ? 0 : (FRACTIONS[glyph] ?? 0));
}
