import type { ShelfPath, Stores } from "../../shared/api/stores";
import type { Schemas } from "../../shared/api/client";

/** What is asked of a thing; what no computation needs at once stands behind "more". */
export interface Fact {
  name: string;
  label: string;
  as: "text" | "number" | "numbers" | "length" | "choice" | "yes";
  unit?: string;
  options?: readonly { value: string; label: string }[];
  more?: boolean;
  /** What stands in the field of a new thing. */
  first?: string;
}

/** A thing as the page handles it, whichever shelf it stands on. */
export interface Thing {
  id: string;
  name: string;
  /** Two short lines under its drawing. */
  lines: readonly string[];
  /** What stands in the fields of its form. */
  values: Readonly<Record<string, unknown>>;
  constants: readonly Schemas["ConstantView"][];
}

export type Drawing =
  | "enlarger"
  | "lens"
  | "paper"
  | "bath"
  | "easel"
  | "carrier"
  | "filters"
  | "drum"
  | "light"
  | "room"
  | "screen";

export interface ShelfOf {
  key: string;
  title: string;
  one: string;
  path: ShelfPath;
  /** The kind that is sent for a thing of a shelf that holds several. */
  kind?: Schemas["ThingView"]["kind"];
  drawing: Drawing;
  facts: readonly Fact[];
  things: (stores: Stores) => Thing[];
}

const NAME: Fact = { name: "name", label: "Name", as: "text" };

const LAMPS = [
  { value: "MY_TIMER", label: "a timer of my own" },
  { value: "BURNS", label: "it burns, a card moves" },
];
const SWITCHED = { value: "SWITCHED", label: "switched (simulated)" };

const SIZE: readonly Fact[] = [
  { name: "longMm", label: "Long side", as: "length" },
  { name: "shortMm", label: "Short side", as: "length" },
];
const FEED: Fact = {
  name: "feed",
  label: "What goes in first",
  as: "choice",
  options: [
    { value: "LONG", label: "the long side" },
    { value: "SHORT", label: "the short side" },
  ],
};
const WET: readonly Fact[] = [
  { name: "pieces", label: "Sheets or pieces at once", as: "number" },
  { name: "darkUntil", label: "Dark until", as: "text" },
  FEED,
];

function others(kind: string) {
  return (stores: Stores): Thing[] =>
    stores.things
      .filter((t) => t.kind === kind)
      .map((t) => ({
        id: t.id,
        name: t.name,
        lines: t.says.slice(0, 2),
        values: { name: t.name, ...t.facts },
        constants: t.constants,
      }));
}

function shelf(
  kind: NonNullable<ShelfOf["kind"]>,
  title: string,
  one: string,
  drawing: Drawing,
  facts: readonly Fact[],
): ShelfOf {
  return {
    key: kind,
    title,
    one,
    path: "things",
    kind,
    drawing,
    facts: [NAME, ...facts],
    things: others(kind),
  };
}

/** The shelves in working order. */
export function shelvesOf(stores: Stores): ShelfOf[] {
  return [
    {
      key: "enlarger",
      title: "Enlargers and heads",
      one: "enlarger",
      path: "enlargers",
      drawing: "enlarger",
      facts: [
        NAME,
        {
          name: "lamp",
          label: "How its lamp is timed",
          as: "choice",
          options: stores.practice ? [SWITCHED, ...LAMPS] : LAMPS,
          first: stores.practice ? "SWITCHED" : "MY_TIMER",
        },
        { name: "columnMm", label: "Lens above easel at most", as: "length" },
        { name: "head", label: "Head, in words", as: "text", more: true, first: "Diffusion head" },
        { name: "dials", label: "The head has dials for a pack", as: "yes", more: true },
      ],
      things: (s) =>
        s.enlargers.map((e) => ({
          id: e.id,
          name: e.name,
          lines: [e.head, `lag ${e.lagSeconds.toFixed(2)} s, ${e.lagSource}`],
          values: e,
          constants: e.constants,
        })),
    },
    {
      key: "lens",
      title: "Lenses",
      one: "lens",
      path: "lenses",
      drawing: "lens",
      facts: [
        { name: "focalMm", label: "Focal length", as: "number", unit: "mm" },
        { name: "openMark", label: "Widest mark, f/", as: "number" },
        { name: "smallestMark", label: "Smallest mark, f/", as: "number" },
        {
          name: "marksPerStop",
          label: "Clicks",
          as: "choice",
          options: [
            { value: "1", label: "full stops" },
            { value: "2", label: "half stops" },
            { value: "3", label: "third stops" },
          ],
          first: "2",
        },
        { ...NAME, more: true },
        { name: "coversMm", label: "Longest diagonal it covers", as: "length", more: true },
      ],
      things: (s) =>
        s.lenses.map((l) => ({
          id: l.id,
          name: l.name,
          lines: [
            `f/${String(l.marks[0] ?? "")} to f/${String(l.marks.at(-1) ?? "")}`,
            `covers ${String(Math.round(l.coversMm))} mm`,
          ],
          values: {
            ...l,
            openMark: l.marks[0],
            smallestMark: l.marks.at(-1),
            marksPerStop: String(l.marksPerStop),
          },
          constants: l.constants,
        })),
    },
    {
      key: "paper",
      title: "Paper",
      one: "box of paper",
      path: "papers",
      drawing: "paper",
      facts: [
        NAME,
        {
          name: "kind",
          label: "For",
          as: "choice",
          options: [
            { value: "MONOCHROME", label: "monochrome" },
            { value: "COLOUR", label: "colour" },
          ],
          first: "MONOCHROME",
        },
        {
          name: "grade",
          label: "Contrast",
          as: "choice",
          options: [
            { value: "", label: "by filters, or colour" },
            ...["0", "1", "2", "3", "4", "5"].map((grade) => ({
              value: grade,
              label: `one: paper grade ${grade}`,
            })),
          ],
          first: "",
        },
        ...SIZE,
        { name: "batch", label: "Box and batch", as: "text" },
        { name: "sheetsLeft", label: "Sheets left", as: "number" },
        {
          name: "base",
          label: "Base",
          as: "choice",
          options: [
            { value: "RC", label: "resin-coated" },
            { value: "FB", label: "fibre" },
          ],
          first: "RC",
          more: true,
        },
        { name: "surface", label: "Surface", as: "text", more: true },
        { name: "sheetsInBox", label: "Sheets in a full box", as: "number", more: true },
        { name: "reserveSheets", label: "Kept as a reserve", as: "number", more: true },
        { name: "openedOn", label: "Opened on, year-month-day", as: "text", more: true },
        { name: "sheetPrice", label: "Price of a sheet, in your money", as: "number", more: true },
      ],
      things: (s) =>
        s.papers.map((p) => ({
          id: p.id,
          name: p.name,
          lines: [
            ...(p.grade === undefined ? [] : [`paper grade ${String(p.grade)}`]),
            p.counted
              ? `${String(Math.floor(p.sheetsLeft))} of ${String(p.sheetsInBox)}, ${p.batch}`
              : p.batch,
            ...(p.litAt === undefined
              ? []
              : [`lay open when light came on, ${p.litAt.slice(0, 10)}: try a sheet before it is trusted`]),
            ...p.pieces.map((c) => `${String(c.pieces)} pieces ${String(c.longMm)} × ${String(c.shortMm)}`),
          ],
          values: {
            ...p,
            longMm: p.widthMm,
            shortMm: p.heightMm,
            sheetsLeft: p.counted ? Math.round(10 * p.sheetsLeft) / 10 : undefined,
          },
          constants: p.constants,
        })),
    },
    {
      key: "bath",
      title: "Baths",
      one: "bath",
      path: "baths",
      drawing: "bath",
      facts: [
        NAME,
        {
          name: "process",
          label: "For",
          as: "choice",
          options: [
            { value: "MONOCHROME", label: "monochrome" },
            { value: "COLOUR", label: "colour" },
          ],
          first: "MONOCHROME",
        },
        { name: "capacityM2", label: "Paper it can take", as: "number", unit: "m²" },
        { name: "usedM2", label: "Taken so far", as: "number", unit: "m²" },
        { name: "leastSeconds", label: "White light after, 0 as usual", as: "number", unit: "s", more: true },
        { name: "mixedNow", label: "Mixed anew just now", as: "yes", more: true },
      ],
      things: (s) =>
        s.baths.map((b) => ({
          id: b.id,
          name: b.name,
          lines: [
            `${String(Math.round(100 * b.usedShare))} % used, ${String(b.sheetsLeft)} sheets of 20 × 25 left`,
            ...(b.leastSeconds === undefined ? [] : [`white light after ${String(b.leastSeconds)} s in it`]),
          ],
          values: {
            ...b,
            usedM2: Math.round(1000 * b.usedM2) / 1000,
            leastSeconds: b.leastSeconds ?? 0,
            mixedNow: false,
          },
          constants: [],
        })),
    },
    shelf("EASEL", "Easels", "easel", "easel", [
      ...SIZE,
      { name: "bordersFixedMm", label: "Fixed borders, if it has no blades", as: "length", more: true },
    ]),
    shelf("CARRIER", "Carriers", "carrier", "carrier", SIZE),
    shelf("FILTER_SET", "Filter sets", "filter set", "filters", [
      {
        name: "place",
        label: "Where they sit",
        as: "choice",
        options: [
          { value: "ABOVE_NEGATIVE", label: "above the negative" },
          { value: "BELOW_LENS", label: "below the lens" },
          { value: "HEAD", label: "in the head" },
        ],
      },
      { name: "timeFactor", label: "Time × when one is put in", as: "number", more: true },
    ]),
    shelf("VIEWING_KIT", "Viewing kits", "viewing kit", "filters", [
      {
        name: "says",
        label: "What stands on its filters",
        as: "choice",
        options: [
          { value: "STRENGTH", label: "their strength" },
          { value: "CORRECTION", label: "the correction" },
        ],
      },
      { name: "strengths", label: "Which strengths are there", as: "numbers", first: "5, 10, 20" },
    ]),
    shelf("DRUM", "Drums", "drum", "drum", [...SIZE, ...WET]),
    shelf("MACHINE", "Machines", "machine", "drum", [...SIZE, ...WET]),
    shelf("SAFELIGHT", "Safelights", "safelight", "light", []),
    shelf("VIEWING_LIGHT", "Lights to judge by", "light", "light", [
      { name: "kelvin", label: "Colour temperature", as: "number", unit: "K" },
    ]),
    shelf("ROOM", "The darkroom", "room", "room", []),
    shelf("SCREEN", "Screens in the room", "screen", "screen", []),
  ];
}
