import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { cornersOf, turned } from "../../shared/scan/corners";
import type { MarkKind, Marked } from "./marks";
import {
  type Problem,
  type Schemas,
  type SheetView,
  type SlateView,
  api,
  toProblem,
  unwrap,
} from "../../shared/api/client";

/** Where to look in a picture of a test. */
export type Asked = Schemas["Pictured"];
export type PictureView = Schemas["PictureView"];
/** A place, x and y in fractions of the picture. */
export type Place = [number, number];

/** What a tap on the picture says. */
export type Tapped = "white" | "black" | "greyCard" | { field: string };

/** The same with a place tapped: a reference moves there, a tone gets one more spot, or loses the one that is tapped again. */
export function withTap(asked: Asked, tapped: Tapped, at: Place): Asked {
  if (typeof tapped === "string") return { ...asked, [tapped]: at };
  const tones = asked.tones ?? [];
  const known = tones.some((t) => t.field === tapped.field);
  const spotted = (known ? tones : [...tones, { field: tapped.field }]).map((t) =>
    t.field === tapped.field ? { ...t, spots: toggled((t.spots ?? []) as Place[], at) } : t,
  );
  return { ...asked, tones: spotted };
}

/** The picture is asked for every mark of the test at first: where the named tones lie, the answer stands at once. */
export function firstAsked(kinds: readonly MarkKind[]): Asked {
  return { tones: kinds.map(({ field }) => ({ field })) };
}

const THE_TONE: MarkKind = {
  field: "moreStops",
  key: "m",
  label: "The tone that matters",
  flag: "the tone that matters",
  asks: "the tone that matters",
  black: false,
};

/** What is looked for in a picture: the marks of the test; on one sheet the tone that matters, and where contrast is chosen whites and black, which tell the grade. */
export function kindsInPicture(
  kinds: readonly MarkKind[],
  { medium, subject, naming }: Pick<SlateView, "medium" | "subject" | "naming">,
): readonly MarkKind[] {
  if (kinds.length > 0) return kinds;
  const ends =
    medium.choosesContrast && !subject.proof
      ? medium.marks.filter((m) => m.field !== "rightAt" && (naming.blackWanted || !m.black))
      : [];
  return [THE_TONE, ...ends];
}

/** The same with the tones alone that were seen. */
export function answering(asked: Asked, view: PictureView): Asked {
  const seen = new Set(view.tones.filter((t) => t.seconds !== undefined).map((t) => t.field));
  return { ...asked, tones: (asked.tones ?? []).filter((t) => seen.has(t.field ?? "")) };
}

/** Whether a time follows: a black alone tells none. */
export function isMeasured(view: PictureView): boolean {
  return view.tones.some((t) => t.seconds !== undefined && t.field !== "blacksAt");
}

/** Marks of a picture instead of those that were set by hand. */
export function withoutPlaces(marked: Marked, pictured: Asked): Marked {
  const { dry, lamp, second } = marked;
  return { ...(dry !== undefined && { dry }), ...(lamp && { lamp }), ...(second && { second }), pictured };
}

/** The same paper lying a quarter turn further. */
export function turnedIn(asked: Asked, view: PictureView): Asked {
  return { ...asked, papers: view.papers.map((p) => turned(cornersOf(p)).flatMap((c) => [c.x, c.y])) };
}

const SAME = 0.012;

function toggled(spots: readonly Place[], at: Place): Place[] {
  const near = (spot: Place) => Math.hypot(spot[0] - at[0], spot[1] - at[1]) < SAME;
  return spots.some(near) ? spots.filter((s) => !near(s)) : [...spots, at];
}

/** What the picture of a test says. */
export function useMeasured(sheet: SheetView, asked: Asked | undefined, row: number | undefined) {
  return useQuery<PictureView, Problem>({
    queryKey: ["pictured", sheet.id, sheet.pictureId, asked, row],
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/readings/picture", {
          params: { path: { id: sheet.id }, query: { ...(row !== undefined && { row }) } },
          body: asked ?? {},
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
}
