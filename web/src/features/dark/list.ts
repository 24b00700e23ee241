import type { SlateView } from "../../shared/api/client";
import type { Item } from "../../shared/expose/byHand";
import { aperture } from "../../shared/units/format";

interface Step {
  light: { notation: string };
  setInLight: boolean;
}

/** The whole list, with what changed since the last sheet. */
export function listOf(slate: SlateView, script: readonly Step[]): Item[] {
  const { setup } = slate;
  const changed = new Set(slate.differences.map((d) => d.part));
  const first = slate.sheets.length === 0;
  const lights = [...new Set(script.map((s) => s.light.notation))];
  const boxed = script.some((s) => s.setInLight);
  return [
    {
      words: lightWords(slate, lights, boxed),
      always: first || changed.has("light"),
    },
    ...(setup.projection === "LAMP"
      ? []
      : [{ words: `Lens at ${aperture(setup.apertureMark)}`, always: first || changed.has("aperture") }]),
    {
      words: `${setup.paperName}, ${setup.paperBatch}; box shut after`,
      always: first || changed.has("paper"),
    },
    ...[slate.otherBox, slate.otherNegative].flatMap((words) =>
      words === undefined ? [] : [{ words, always: true }],
    ),
    ...(boxed
      ? [
          {
            words: `Stops on the easel, box in reach: the paper is boxed while ${lights.length === 1 ? "the timer" : lights.slice(1).join(" and ")} is set`,
            always: true,
          },
        ]
      : []),
    setup.projection === "ENLARGED"
      ? { words: "Negative clean, emulsion down, in focus", always: first || changed.has("size") }
      : { words: "Film emulsion down on the paper, glass on top: all by touch", always: true },
    { words: "Drum dry, lid in reach", always: true },
    { words: "Voice heard at the enlarger", always: true },
    { words: "Screen covered: black still glows", always: true },
    { words: "Standby lamps and phone dark; door shut", always: false },
    { words: "Floor clear, mains dry, lamp house hot", always: false },
    ...slate.byHand.map((words) => ({ words, always: false })),
  ];
}

/** What stands in the beam first, and what comes after it by feel. */
function lightWords(slate: SlateView, lights: readonly string[], boxed: boolean): string {
  const [first = slate.base.light.notation, ...others] = lights;
  if (slate.base.pack?.thirds) {
    return `Head at ${first}, ${others.join(" and ")} found by feel`;
  }
  const after = others.length === 0 || boxed ? "" : `, ${others.join(" and ")} by gel or clicks, in order`;
  return `${slate.medium.lightName} at ${first}${after}`;
}
