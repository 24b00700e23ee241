import { seconds } from "./format";

/** A part of a base exposure, as far as it is written. */
interface Part {
  light: { notation: string };
  seconds: number;
}

/** A light without the word that says what it is: "3", "0/52/47". */
export function shortLight(light: string): string {
  return light.replace("grade ", "");
}

/** "grade 3, 11.4 s", or "6.2 s at 00 + 9.8 s at 5". */
export function partsText(parts: readonly Part[]): string {
  return parts.length > 1
    ? parts.map((p) => `${seconds(p.seconds)} s at ${shortLight(p.light.notation)}`).join(" + ")
    : parts.map((p) => `${p.light.notation}, ${seconds(p.seconds)} s`).join("");
}

/** "11.4", or "6.2 + 9.8". */
export function partSeconds(parts: readonly Part[]): string {
  return parts.map((p) => seconds(p.seconds)).join(" + ");
}

/** "3", or "00 and 5". */
export function partLights(parts: readonly Part[]): string {
  return parts.map((p) => shortLight(p.light.notation)).join(" and ");
}

/** "12.4 s red, 9.1 s green, 8.0 s blue". */
export function thirdsText(thirds: readonly { light: string; seconds: number }[]): string {
  return thirds.map((third) => `${seconds(third.seconds)} s ${third.light}`).join(", ");
}

/** "0/58/49, 12.3 s", as a button sets it: a head of three lights has no one time, and the words above the button say the three. */
export function settingText(
  base: { pack?: { thirds?: unknown } | undefined },
  ...set: readonly Part[]
): string {
  const time = (part: Part) => (base.pack?.thirds ? "its three times" : `${seconds(part.seconds)} s`);
  return set.map((part) => `${part.light.notation}, ${time(part)}`).join("; ");
}
