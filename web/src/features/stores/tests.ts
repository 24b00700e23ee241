import type { Schemas } from "../../shared/api/client";
import type { CalibrationAsked, Stores } from "../../shared/api/stores";

type MeterAsked = Schemas["MeterAsked"];

/** A reading to be taken: what is set or where the meter lies, and what it shows. */
export interface Row {
  label: string;
  /** What is set for it; can be changed where `given` names it. */
  given: number;
}

export interface Taken {
  given: number;
  reading: number;
}

/** What stands on the enlarger while something is measured. */
export interface Standing {
  enlargerId: string;
  lensId: string;
}

/** A guided calibration. */
export interface Test {
  title: string;
  why: string;
  steps: readonly string[];
  /** The caption of what is set, where one may set another value than proposed. */
  given?: string;
  reading: string;
  /** Where pointers of its problems begin: "/bursts/2" is the third row. */
  list: string;
  rows: readonly Row[];
  /** What is changed besides the thing itself: which lens is on, or which enlarger it sits in. */
  picks?: "lens" | "enlarger";
  /** A number asked once. */
  once?: { label: string; first: number };
  asked: (id: string, standing: Standing, taken: readonly Taken[], once: number) => CalibrationAsked;
  meter?: (row: Taken, standing: Standing, once: number) => MeterAsked;
}

const SETTLED = "Let the lamp warm up for some minutes; close the blackout, put stray light out.";
const SIZES = [3, 4.5, 6.5, 9, 12];

function twice(labels: readonly [string, number][]): Row[] {
  return labels.flatMap(([label, given]) => [
    { label: `${label}, first`, given },
    { label: `${label}, again`, given },
  ]);
}

/** One list for every place that was read. */
function grouped(taken: readonly Taken[]): Map<number, number[]> {
  const groups = new Map<number, number[]>();
  for (const { given, reading } of taken) groups.set(given, [...(groups.get(given) ?? []), reading]);
  return groups;
}

const CORNERS = ["centre", "topLeft", "topRight", "bottomRight", "bottomLeft"] as const;

const LAG: Test = {
  title: "Lag of the lamp",
  why: "Each burst gives less light than its set time says. Three short and three long bursts tell by how much, and how well they repeat.",
  steps: [
    SETTLED,
    "Meter on the board where the light is even, set to add up.",
    "Expose each burst, write down what it shows, set it back to nought.",
  ],
  given: "Set, s",
  reading: "Adds up",
  list: "/bursts",
  rows: [2, 2, 2, 10, 10, 10].map((given, i) => ({ label: `Burst ${String(i + 1)}`, given })),
  picks: "lens",
  asked: (id, _standing, taken) => ({
    path: `/api/stores/enlargers/${id}/lag`,
    body: { bursts: taken.map((t) => ({ setSeconds: t.given, dose: t.reading })) },
  }),
  meter: (row, standing) => ({
    shows: "DOSE",
    ...standing,
    mark: 8,
    magnification: 6,
    setSeconds: row.given,
  }),
};

const EVENNESS: Test = {
  title: "Evenness of the light",
  why: "A corner that gets less light prints lighter. Carrier empty, lens stopped down as for a print.",
  steps: [
    SETTLED,
    "Empty carrier, the head as high as for a usual print.",
    "Meter flat on the board at each place, twice round.",
  ],
  reading: "Shows, lx",
  list: "/centre",
  rows: twice([
    ["Centre", -1],
    ["Upper left", 0],
    ["Upper right", 1],
    ["Lower right", 2],
    ["Lower left", 3],
  ]),
  picks: "lens",
  asked: (id, _standing, taken) => {
    const groups = grouped(taken);
    return {
      path: `/api/stores/enlargers/${id}/evenness`,
      body: Object.fromEntries(CORNERS.map((name, i) => [name, groups.get(i - 1) ?? []])),
    };
  },
  meter: (row, standing) => ({
    shows: "LUX",
    ...standing,
    mark: 8,
    magnification: 6,
    ...(row.given >= 0 && { corner: row.given }),
  }),
};

const PUPIL: Test = {
  title: "Light against size",
  why: "How fast the light falls as the print grows depends on the lens. Five sizes tell it, and every change of size is reckoned with it.",
  steps: [
    SETTLED,
    "Empty carrier, one opening all through, focused at each height.",
    "Size: a projected length over its own. Then the meter in the centre.",
  ],
  given: "Size, ×",
  reading: "Shows, lx",
  list: "/heights",
  rows: SIZES.map((given, i) => ({ label: `Height ${String(i + 1)}`, given })),
  picks: "enlarger",
  asked: (id, _standing, taken) => ({
    path: `/api/stores/lenses/${id}/pupil`,
    body: { heights: taken.map((t) => ({ magnification: t.given, lux: t.reading })) },
  }),
  meter: (row, standing) => ({ shows: "LUX", ...standing, mark: 8, magnification: row.given }),
};

/** Heights that are within a column with a lens of that focal length. */
function column(focalMm: number): Test {
  return {
    title: "The column's scale",
    why: "Which size a reading of the column is, with this lens. After it a size can be set by the scale alone.",
    steps: [
      "A mark of known length in the carrier: two scratches on a leader, or a steel rule.",
      "At each height focus, read the scale in mm, and measure the mark on the board.",
    ],
    given: "Scale, mm",
    reading: "Mark on board, mm",
    list: "/places",
    rows: [2.5, 4, 6, 9].map((m, i) => ({
      label: `Height ${String(i + 1)}`,
      // Film to paper at that size.
      given: Math.round(focalMm * (2 + m + 1 / m)),
    })),
    picks: "lens",
    once: { label: "Mark in the carrier, mm", first: 20 },
    asked: (id, standing, taken, once) => ({
      path: `/api/stores/enlargers/${id}/column`,
      body: {
        lensId: standing.lensId,
        markMm: once,
        places: taken.map((t) => ({ reading: t.given, projectedMm: t.reading })),
      },
    }),
    meter: (row, standing, once) => ({
      shows: "LENGTH",
      ...standing,
      markMm: once,
      columnReading: row.given,
    }),
  };
}

const DRY_DOWN: Test = {
  title: "Wet to dry",
  why: "Paper dries darker. The patch that looks right wet, and the one that looks the same dry, tell by how much.",
  steps: [
    "A strip in 1/12 stops. Wet, note the time of the patch that is right.",
    "Dry it as prints are dried. Note the time of the patch that looks as the other did.",
  ],
  given: "Right wet, s",
  reading: "The same dry, s",
  list: "/pairs",
  rows: [{ label: "Pair 1", given: 12 }],
  asked: (id, _standing, taken) => ({
    path: `/api/stores/papers/${id}/dry-down`,
    body: { pairs: taken.map((t) => ({ wetSeconds: t.given, drySeconds: t.reading })) },
  }),
};

/** The marks of the lens, each twice. */
function openings(marks: readonly number[]): Test {
  return {
    title: "True openings",
    why: "Engraved numbers are rounded and rings are loose. Two readings at each mark tell what a click is worth.",
    steps: [
      SETTLED,
      "Head and filter stay. Meter in the centre of the board.",
      "From the widest mark to the smallest, always turned the same way; then once more.",
    ],
    reading: "Shows, lx",
    list: "/marks",
    rows: twice(marks.map((mark) => [`f/${String(mark)}`, mark])),
    picks: "enlarger",
    asked: (id, _standing, taken) => ({
      path: `/api/stores/lenses/${id}/openings`,
      body: { marks: [...grouped(taken)].map(([mark, lux]) => ({ mark, lux })) },
    }),
    meter: (row, standing) => ({ shows: "LUX", ...standing, mark: row.given, magnification: 6 }),
  };
}

/** How a test of the user's own is made; its minutes are then entered. Two steps apart in time tell the limit, not the guess. */
export const OWN_TESTS: Record<string, readonly string[]> = {
  SAFE_MINUTES: [
    "Under the enlarger give a scrap the light of a pale grey, all over: bare paper hides a weak fog.",
    "Lay it where sheets lie, a card over half, lamps as always. Uncover some more every two minutes.",
    "Develop as always. The longest time with no edge to be seen, halved, is the limit.",
  ],
  FOG_MINUTES: [
    "All lights out, screens and standby lamps covered. Wait five minutes and look for leaks.",
    "Lay out a scrap with a coin on it, for colour on its own paper. Uncover some more every two minutes.",
    "Develop as always. The longest time with no edge to be seen is the limit.",
  ],
  STRAY_MINUTES: [
    "Lens capped or stopped by a card, negative in, lamp on, paper on the board with a coin on it.",
    "Leave the lamp on for some minutes, then develop.",
    "The longest time with no mark of the coin is the limit; a mark says where light leaks from the head.",
  ],
  ALIGNMENT: [
    "Carrier empty, the head as for a usual print, the lens wide open: the window falls on the board.",
    "Measure its four sides on white paper. Facing sides alike and focus alike in all corners: board, lens and film stage are parallel.",
    "Put the larger difference of two facing sides here. Shim the board or set the head, and measure again.",
  ],
  COIN_MINUTES: [
    "This very screen at its place, dark as it is in a run; colour paper where it is handled, a coin on it.",
    "Wait as long as the longest run, then develop.",
    "The longest time with no mark of the coin is the limit. Before such a test no screen is called safe.",
  ],
};

/** The test of a constant; none for one that is not measured with meter and clock. */
export function testOf(
  name: string,
  id: string,
  stores: Stores,
  lensId: string | undefined,
): Test | undefined {
  if (name === "COLUMN") return column(stores.lenses.find((l) => l.id === lensId)?.focalMm ?? 80);
  if (name === "OPENINGS") return openings(stores.lenses.find((l) => l.id === id)?.marks ?? []);
  return { LAG, EVENNESS, PUPIL, DRY_DOWN }[name];
}
