/** Millimetres in a unit of length. */
const MM: Record<string, number> = { mm: 1, cm: 10, in: 25.4 };

/** A length in a unit: "20.3" cm. */
export function length(mm: number, unit: string): string {
  return String(Math.round((100 * mm) / (MM[unit] ?? 1)) / 100);
}

/** What was typed, in millimetres: a typed unit came back in them; a bare number is in the unit that is shown. */
export function millimetres(parsed: { value: number; unit: string }, unit: string): number {
  return parsed.unit === "mm" ? parsed.value : parsed.value * (MM[unit] ?? 1);
}
