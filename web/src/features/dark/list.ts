import type { SlateView } from "../../shared/api/client";
import { aperture } from "../../shared/units/format";

/** One thing to look at or to hold before the light goes out. */
export interface Item {
  words: string;
  /** Asked each time, and not only once a session or when it changed. */
  always: boolean;
}

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
  ];
}

const KEY = "key-slate.list-answered";

/** When the whole list was answered in this session; none when it was not. */
export function answeredAt(): string | undefined {
  try {
    return window.sessionStorage.getItem(KEY) ?? undefined;
  } catch {
    return undefined;
  }
}

export function answer(now: Date): void {
  try {
    const two = (n: number) => String(n).padStart(2, "0");
    window.sessionStorage.setItem(KEY, `${two(now.getHours())}:${two(now.getMinutes())}`);
  } catch {
    // The whole list is then asked for each sheet.
  }
}
