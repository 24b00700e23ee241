import type { SlateView } from "../../shared/api/client";
import type { Item } from "../../shared/expose/byHand";
import { aperture } from "../../shared/units/format";

interface Step {
  light: { notation: string };
  setInLight: boolean;
}

/** The whole list, with what changed since the last sheet. */
export function listOf(slate: SlateView, script: readonly Step[]): Item[] {
  const { setup, medium } = slate;
  const changed = new Set(slate.differences.map((d) => d.part));
  const first = slate.sheets.length === 0;
  const lights = [...new Set(script.map((s) => s.light.notation))];
  const boxed = script.some((s) => s.setInLight);
  const others = lights.slice(1).join(" and ");
  return [
    {
      words: `${medium.lightName} at ${lights[0] ?? slate.base.light.notation}${others === "" || boxed ? "" : `, ${others} by gel or clicks, in order`}`,
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
            words: `Stops on the easel, box in reach: the paper is boxed while ${others === "" ? "the timer" : others} is set`,
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
