// How numbers are shown: typographic minus and fractions, stops to 1/12, seconds to 0.1, lengths to 1 mm.

const TWELFTHS = ["", "1/12", "⅙", "¼", "⅓", "5/12", "½", "7/12", "⅔", "¾", "⅚", "11/12"];
const MINUS = "−";

/** Seconds to a tenth: "11.3". */
export function seconds(value: number): string {
  return value.toFixed(1);
}

/** Stops without sign or unit: "⅓", "1½", "2". */
export function plainStops(value: number): string {
  const twelfths = Math.round(Math.abs(value) * 12);
  const whole = Math.floor(twelfths / 12);
  const fraction = TWELFTHS[twelfths % 12] ?? "";
  if (twelfths === 0) return "0";
  const gap = whole > 0 && fraction.includes("/") ? " " : "";
  return `${whole > 0 ? String(whole) : ""}${gap}${fraction}`;
}

/** Stops with sign: "+⅓", "−1½", "0". */
export function signedStops(value: number): string {
  const text = plainStops(value);
  if (text === "0") return "0";
  return (value < 0 ? MINUS : "+") + text;
}

/** "stop" or "stops", for the number before it. */
export function stopWord(value: number): string {
  return Math.round(Math.abs(value) * 12) > 12 ? "stops" : "stop";
}

/** "+⅓ stop". */
export function stopsWithUnit(value: number): string {
  return `${signedStops(value)} ${stopWord(value)}`;
}

/** An engraved opening: "f/5.6", "f/8". */
export function aperture(mark: number): string {
  return `f/${number(mark)}`;
}

/** At most one decimal, none where it is 0; typographic minus. */
export function number(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return (Number.isInteger(rounded) ? String(rounded) : rounded.toFixed(1)).replace("-", MINUS);
}

/** Magnification: "6.4 ×". */
export function times(value: number): string {
  return `${number(value)} ×`;
}

/** Centimetres from millimetres: "36.9 cm". */
export function centimetres(mm: number): string {
  return `${(mm / 10).toFixed(1)} cm`;
}

/** A sheet: "20.3 × 25.4 cm". */
export function sheetSize(widthMm: number, heightMm: number): string {
  return `${number(widthMm / 10)} × ${number(heightMm / 10)} cm`;
}

/** A whole percentage with sign: "+41 %". */
export function percent(value: number): string {
  const rounded = Math.round(value);
  if (rounded === 0) return "0 %";
  return `${rounded < 0 ? MINUS : "+"}${Math.abs(rounded)} %`;
}
