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
  /** Another box of the same paper. */
  boxId?: string;
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
  picks?: "lens" | "enlarger" | "box";
  /** Readings go in twos, and a pair may be left out. */
  pairs?: boolean;
  /** Lines that are typed or pasted instead of readings. */
  text?: {
    label: string;
    hint: string;
    /** Whether they are asked for whatever the way, and may be left empty. */
    always?: boolean;
  };
  /** One of several ways it is done. */
  ways?: readonly { value: string; label: string }[];
  waysLabel?: string;
  /** A number asked once. */
  once?: { label: string; first: number };
  asked: (
    id: string,
    standing: Standing,
    taken: readonly Taken[],
    once: number,
    typed: { text: string; way: string },
  ) => CalibrationAsked;
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

const LIGHTS = ["no filter", "grade 00", "grade 1", "grade 2", "grade 3", "grade 4", "grade 5"];

const EMPTY_CARRIER =
  "Nothing in the carrier, head and opening as for a usual print. A strip in 1/12 or 1/6 stops, closed down so that white and black both lie on it.";

/** Lights by eye: two marks on a strip through each. A row's number says which light, and which mark. */
function byEye(lights: readonly string[], said: Pick<Test, "title" | "why" | "steps">): Test {
  return {
    ...said,
    reading: "Received, s",
    list: "/marks",
    pairs: true,
    rows: lights.flatMap((light, i) => [
      { label: `${light}, still white`, given: 2 * i },
      { label: `${light}, first true black`, given: 2 * i + 1 },
    ]),
    picks: "enlarger",
    asked: (id, standing, taken) => {
      const at = new Map(taken.map((t) => [t.given, t.reading]));
      return {
        path: `/api/stores/papers/${id}/filters`,
        body: {
          enlargerId: standing.enlargerId,
          marks: lights.flatMap((light, i) => {
            const whitesSeconds = at.get(2 * i);
            const blacksSeconds = at.get(2 * i + 1);
            return whitesSeconds === undefined || blacksSeconds === undefined
              ? []
              : [{ light, whitesSeconds, blacksSeconds }];
          }),
        },
      };
    },
  };
}

const FILTERS = byEye(LIGHTS, {
  title: "Filters on this paper",
  why: "A strip through a filter with nothing in the carrier shows how hard it prints, and how much more time it takes than another. No filter is one of them: what putting one in costs is a figure of its own.",
  steps: [
    EMPTY_CARRIER,
    "Dry or wet alike for all. Mark the longest time that is still white, and the first true black.",
    "The same through the other filters, and once with none. Leave out what you do not have.",
  ],
});

/** Graded paper has one light and one range. */
const RANGE = byEye(LIGHTS.slice(0, 1), {
  title: "Range of this paper",
  why: "A grade on the box is a name, and two makers' grades differ by half of one. A strip with nothing in the carrier shows how far white and black really lie apart.",
  steps: [EMPTY_CARRIER, "Mark the longest time that is still white, and the first true black."],
});

/** The same from densities, of filters or of dials. */
const FILTERS_BY_STEPS: Test = {
  title: "Filters by a step negative",
  why: "Densities of a print of a step negative tell the paper's range and the speed of each light. Grades on the dials of a head are read the same way.",
  steps: [
    "Print the step negative through each filter, or at each grade of the dials, so long that its clearest step is black and its densest white.",
    "Read the densities of the print from the clearest step on; a table of a densitometer may be pasted.",
    "A line for each: light, seconds, densities. For example: grade 2; 20; 2.08; 2.05; 1.9 …",
  ],
  reading: "",
  list: "/lines",
  rows: [],
  text: { label: "Prints of the step negative", hint: "grade 2; 20; 2.10; 2.08; 2.01; …" },
  once: { label: "Density from step to step", first: 0.15 },
  picks: "enlarger",
  asked: (id, standing, _taken, once, typed) => ({
    path: `/api/stores/papers/${id}/filters`,
    body: { enlargerId: standing.enlargerId, stepDensity: once, lines: typed.text },
  }),
};

const RANGE_BY_STEPS: Test = {
  ...FILTERS_BY_STEPS,
  title: "Range by a step negative",
  why: "Densities of a print of a step negative tell how far white and black of this paper lie apart.",
  steps: [
    "Print the step negative with no filter, so long that its clearest step is black and its densest white.",
    "Read the densities of the print from the clearest step on; a table of a densitometer may be pasted.",
    "One line: light, seconds, densities. For example: no filter; 20; 2.08; 2.05; 1.9 …",
  ],
  text: { label: "Print of the step negative", hint: "no filter; 20; 2.10; 2.08; 2.01; …" },
};

const HEAD_TABLE: Test = {
  title: "Grades by the dials",
  why: "With a table, grades on this enlarger are made by its dials: what they stand at is said with every grade, and what the head does not reach is not offered.",
  steps: [
    "One filter alone moves least light; both paired, or at one time for all grades, keep the time where it is.",
    "A table that came with paper or head may be typed or pasted: grade, yellow, magenta, factor of time over white light.",
    "Then print a step negative through some grades: this head's own figures win.",
  ],
  reading: "",
  list: "/lines",
  rows: [],
  ways: [
    { value: "SINGLE", label: "one filter alone" },
    { value: "PAIRED", label: "yellow and magenta paired" },
    { value: "CONSTANT_TIME", label: "one time for all grades" },
    { value: "OWN", label: "my own table" },
  ],
  text: { label: "My own table", hint: "grade, yellow, magenta, factor\n2, 0, 0, 1\n3, 0, 31, 1.6" },
  asked: (id, _standing, _taken, _once, typed) => ({
    path: `/api/stores/enlargers/${id}/head-table`,
    body: { way: typed.way, ...(typed.way === "OWN" && { lines: typed.text }) },
  }),
};

const PACK_TIMES: Test = {
  title: "Time with the pack",
  why: "More filter, less light: how much of it each filter of this head costs the print. With its own factors a move of the pack keeps the density, and colour is judged alone.",
  steps: [
    "Print one grey at a pack, then at another one with 30 points or more of one filter added.",
    "Give the second a short strip, and find the patch as dark as the first. A tint does no harm: look at light and dark alone.",
    "One line for each pair: 0/48/58 14 = 0/78/58 21. Factors that are known are one line: 0.30, 0.60, 0.10.",
    "All three should add up to 1, or grey in the pack is counted two ways.",
  ],
  reading: "",
  list: "/lines",
  rows: [],
  waysLabel: "How far times follow",
  ways: [
    { value: "ON", label: "wholly" },
    { value: "SMALL", label: "by half" },
    { value: "OFF", label: "not at all" },
  ],
  text: {
    label: "Pairs of sheets, or factors of cyan, magenta and yellow",
    hint: "0/48/58 14 = 0/78/58 21\n0/48/58 14 = 0/48/98 15.5",
    always: true,
  },
  asked: (id, _standing, _taken, _once, typed) => ({
    path: `/api/stores/enlargers/${id}/pack-times`,
    body: { follows: typed.way, lines: typed.text },
  }),
};

const GELS: Test = {
  title: "Packs made of gels",
  why: "Where a head has no dials, a pack is a few gels in its drawer. With the gels that exist every pack that is advised can be made, of as few as do.",
  steps: [
    "One line for each colour, its letter first: M 5 10 20 40. Two of a strength are written twice.",
    "Left empty: one each of 5, 10, 20 and 40 of cyan, magenta and yellow.",
    "Gels fade: hold them against new ones once a year. A hot lamp is no place for fingers.",
  ],
  reading: "",
  list: "/lines",
  rows: [],
  text: { label: "The gels that exist", hint: "C 5 10 20 40\nM 5 10 20 40\nY 5 10 20 40", always: true },
  asked: (id, _standing, _taken, _once, typed) => ({
    path: `/api/stores/enlargers/${id}/gels`,
    body: { lines: typed.text },
  }),
};

const THREE_LIGHTS: Test = {
  title: "A head of three lights",
  why: "Where a head has no filters but red, green and blue light, a print is three exposures. Key Slate keeps the pack that the three print as, and gives the three times wherever one is advised.",
  steps: [
    "Left empty: a quarter of white light each. As long as a recipe stays on this head, nothing hangs on it.",
    "To bring packs from another head: print one grey there, then find the three times that print the same grey here.",
    "One line for each match: 0/48/58 14 = 56 16.4 14.5. Shares that are known are one line: 0.25, 0.25, 0.25.",
    "A head with a timer of its own has one for each light. Filters held under the lens by hand: not while the lamp is hot.",
  ],
  reading: "",
  list: "/lines",
  rows: [],
  text: {
    label: "Matches, or the shares of red, green and blue",
    hint: "0/48/58 14 = 56 16.4 14.5",
    always: true,
  },
  asked: (id, _standing, _taken, _once, typed) => ({
    path: `/api/stores/enlargers/${id}/lights`,
    body: { lines: typed.text },
  }),
};

const BATCH_SPEED: Test = {
  title: "This box beside another",
  why: "Another batch may need a third of a stop more or less. One patch of the same grey on both tells how much, and prints that were kept are made again with it.",
  steps: [
    "One filter, one opening. A strip in 1/12 stops on each box, processed together.",
    "Find the same middle grey on both. Note its time on the other box, and on this one.",
  ],
  given: "Other box, s",
  reading: "This box, s",
  list: "/pairs",
  rows: [{ label: "Grey 1", given: 10 }],
  picks: "box",
  asked: (id, standing, taken) => ({
    path: `/api/stores/papers/${id}/batch`,
    body: {
      otherId: standing.boxId ?? "",
      pairs: taken.map((t) => ({ otherSeconds: t.given, seconds: t.reading })),
    },
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
  if (stores.papers.find((p) => p.id === id)?.grade !== undefined) {
    if (name === "FILTERS") return RANGE;
    if (name === "FILTERS_BY_STEPS") return RANGE_BY_STEPS;
  }
  return {
    LAG,
    EVENNESS,
    PUPIL,
    DRY_DOWN,
    FILTERS,
    FILTERS_BY_STEPS,
    HEAD_TABLE,
    PACK_TIMES,
    GELS,
    LIGHTS: THREE_LIGHTS,
    BATCH_SPEED,
  }[name];
}
