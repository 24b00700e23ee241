import type { Schemas } from "../../shared/api/client";

/** Pieces that a look is at, by their numbers. */
export type Picks = readonly number[];

/** So many pieces at most lie about one place. */
const MOST_PICKS = 3;

/** A piece more or less: what is picked again is left out, and of four the oldest goes. */
export function picked(picks: Picks, piece: number): Picks {
  return picks.includes(piece) ? picks.filter((p) => p !== piece) : [...picks, piece].slice(-MOST_PICKS);
}

export type Way = NonNullable<Schemas["Cast"]["way"]>;
export type ColourLook = Schemas["ColourLook"];
export type Beside = NonNullable<ColourLook["beside"]>;
export type Hue = NonNullable<Schemas["Filter"]["hue"]>;
type Strength = NonNullable<Schemas["Named"]["strength"]>;

/** How many looks at one sheet are taken together. */
export const MOST_LOOKS = 12;

export const HUES: readonly { hue: Hue; filter: string; cast: string; clears: string }[] = [
  { hue: "C", filter: "cyan", cast: "too cyan", clears: "too red" },
  { hue: "M", filter: "magenta", cast: "too magenta", clears: "too green" },
  { hue: "Y", filter: "yellow", cast: "too yellow", clears: "too blue" },
  { hue: "R", filter: "red", cast: "too red", clears: "too cyan" },
  { hue: "G", filter: "green", cast: "too green", clears: "too magenta" },
  { hue: "B", filter: "blue", cast: "too blue", clears: "too yellow" },
];

/** Round the rose: each lies between the two that make it. */
const CIRCLE: readonly Hue[] = ["R", "Y", "G", "C", "B", "M"];

/** The two hues beside one. */
export function besides(hue: Hue): readonly Hue[] {
  const at = CIRCLE.indexOf(hue);
  return [CIRCLE[(at + 5) % 6], CIRCLE[(at + 1) % 6]].flatMap((h) => h ?? []);
}

export interface Step {
  id: string;
  label: string;
  words: string;
}

export interface FilterStep extends Step {
  points: number;
  enough: boolean;
}

/** Strengths of a kit, what lies between two of them, and less or more than there is. */
export function filterSteps(strengths: readonly number[]): readonly FilterStep[] {
  return strengths.flatMap((strength, i): FilterStep[] => {
    const own = `${String(strength)}`;
    const before = strengths[i - 1];
    const less: FilterStep =
      before === undefined
        ? {
            id: String(strength / 2),
            label: `< ${own}`,
            words: `< ${own}, less than the weakest`,
            points: strength / 2,
            enough: true,
          }
        : {
            id: String((before + strength) / 2),
            label: `${String(before)}–${own}`,
            words: `${String(before)}–${own}, between the two`,
            points: (before + strength) / 2,
            enough: true,
          };
    const itself = { id: own, label: own, words: own, points: strength, enough: true };
    const more: FilterStep[] =
      i === strengths.length - 1
        ? [
            {
              id: "more",
              label: `> ${own}`,
              words: `> ${own}, not enough at the strongest`,
              points: strength,
              enough: false,
            },
          ]
        : [];
    return [less, itself, ...more];
  });
}

interface NameStep extends Step {
  strengths: readonly Strength[];
}

export const NAME_STEPS: readonly NameStep[] = [
  { id: "slight", label: "slight", words: "slight", strengths: ["SLIGHT"] },
  { id: "slight-clear", label: "betw.", words: "betw. slight and clear", strengths: ["SLIGHT", "CLEAR"] },
  { id: "clear", label: "clear", words: "clear", strengths: ["CLEAR"] },
  { id: "clear-strong", label: "betw.", words: "betw. clear and strong", strengths: ["CLEAR", "STRONG"] },
  { id: "strong", label: "strong", words: "strong", strengths: ["STRONG"] },
];

/** What a colour meter asks for, on which kind of scene. */
export interface Metered {
  pack: string;
  scene: string;
}

/** What is chosen so far in a look: a hue with a strength, and a second one on it or beside it. */
export interface Choosing {
  neutral?: boolean;
  hue?: Hue;
  step?: string;
  second?: Hue;
  secondStep?: string;
  picks?: Picks;
  spot?: ColourLook["spot"];
  meter?: Metered;
}

/** One hue further round the rose, clockwise for 1; the strength stays. The first step begins at the top. */
export function walked(way: Way, chosen: Choosing, by: 1 | -1): Choosing {
  const top: Hue = way === "BY_NAME" ? "M" : "G";
  const at = chosen.hue === undefined || chosen.neutral ? undefined : CIRCLE.indexOf(chosen.hue);
  const hue = at === undefined ? top : (CIRCLE[(at + by + CIRCLE.length) % CIRCLE.length] ?? top);
  return { hue, ...(chosen.step !== undefined && { step: chosen.step }) };
}

/** The next strength up or down; from none the weakest. */
export function stronger(way: Way, chosen: Choosing, by: 1 | -1, kit: readonly FilterStep[]): Choosing {
  const steps: readonly Step[] = way === "BY_NAME" ? NAME_STEPS : kit;
  const at = steps.findIndex((s) => s.id === chosen.step);
  const next = steps[Math.max(0, Math.min(steps.length - 1, at + by))];
  return { ...chosen, neutral: false, ...(next && { step: next.id }) };
}

/** The piece after or before the one that is picked, by their numbers. */
export function walkedPiece(picks: Picks, pieces: number, by: 1 | -1): Picks {
  const at = picks.at(-1) ?? (by > 0 ? 0 : 1);
  return [((at - 1 + by + pieces) % pieces) + 1];
}

/** The look that a choice makes; none while it is not whole. */
export function lookOf(way: Way, chosen: Choosing, kit: readonly FilterStep[]): ColourLook | undefined {
  if (way === "PIECES") return chosen.picks?.length ? { pieces: [...chosen.picks] } : undefined;
  if (way === "PICTURE") return chosen.spot && { spot: chosen.spot };
  if (way === "METER") return chosen.meter?.pack && chosen.meter.scene ? { meter: chosen.meter } : undefined;
  if (chosen.neutral) return {};
  if (chosen.hue === undefined || chosen.step === undefined) return undefined;
  return way === "VIEWING_FILTER" ? filtered(chosen, kit) : named(chosen);
}

function filtered(chosen: Choosing, kit: readonly FilterStep[]): ColourLook {
  const of = (hue: Hue | undefined, id: string | undefined) => {
    const step = kit.find((s) => s.id === id);
    return hue && step ? [{ hue, points: step.points, enough: step.enough }] : [];
  };
  return { filters: [...of(chosen.hue, chosen.step), ...of(chosen.second, chosen.secondStep)] };
}

/** Between two hues they are alike in strength; between two strengths the hue is one. */
function named(chosen: Choosing): ColourLook {
  const strengths = NAME_STEPS.find((s) => s.id === chosen.step)?.strengths ?? [];
  const first = strengths[0];
  if (chosen.second !== undefined && chosen.hue !== undefined && first !== undefined) {
    return {
      named: [
        { hue: chosen.hue, strength: first },
        { hue: chosen.second, strength: first },
      ],
    };
  }
  return { named: strengths.map((strength) => ({ hue: chosen.hue, strength })) };
}

export const BESIDES: readonly { value: Beside; label: string }[] = [
  { value: "NOTHING", label: "Nothing" },
  { value: "CARD", label: "Card" },
  { value: "MEASURED_CARD", label: "Measured" },
  { value: "REFERENCE", label: "Print" },
];
