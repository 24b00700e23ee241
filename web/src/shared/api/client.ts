import { type Viewing, viewing, viewingQuery } from "../preview/viewing";
import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type SheetView = Schemas["SheetView"];
export type RunView = Schemas["RunView"];
export type StepView = Schemas["StepView"];
export type LightView = Schemas["LightView"];
export type ThirdView = Schemas["ThirdView"];
export type VerdictView = Schemas["VerdictView"];
export type FrameView = Schemas["FrameView"];
export type Standing = Schemas["StandingView"];
export type RecipeChange = Omit<Schemas["RecipeChange"], "version">;

/** A slate as the page keeps it: what stands, what never changes, and the sheets. */
export type SlateView = Standing & Omit<Schemas["SlateView"], "standing">;

/** An area that has been drawn, with all that an area has. */
export type AreaView = Schemas["AreaView"] & {
  key: string;
  name: string;
  shape: Schemas["StoredShape"];
  tool: string;
};

/** The slate of an answer, flat. */
export function flat(answer: Schemas["SlateView"]): SlateView {
  const { standing, ...rest } = answer;
  return { ...standing, ...rest };
}

/** The areas of a slate's plan; the server never leaves a part of one out. */
export function areasOf(slate: SlateView): AreaView[] {
  return slate.local.areas as AreaView[];
}

export const api = createClient<paths>({ baseUrl: window.location.origin });

const lampApis = new Map<number, typeof api>();

/** The port that takes nothing but what a run asks: no picture under way makes a lit lamp wait, not even in the browser. */
export function lampApi(port: number): typeof api {
  const known = lampApis.get(port);
  if (known) return known;
  const { protocol, hostname } = window.location;
  const made = createClient<paths>({ baseUrl: `${protocol}//${hostname}:${String(port)}` });
  lampApis.set(port, made);
  return made;
}

export interface FieldError {
  pointer: string;
  code: string;
  message: string;
}

/** A problem document of the server, or a server that does not answer. */
export class Problem extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly errors: FieldError[] = [],
  ) {
    super(message);
  }

  /** The message that belongs to one field. */
  at(pointer: string): string | undefined {
    return this.errors.find((e) => e.pointer === pointer)?.message;
  }
}

interface ProblemBody {
  code?: string;
  detail?: string;
  errors?: FieldError[];
}

interface Answer<T> {
  data?: T;
  error?: unknown;
}

/** The data of an answer, or a Problem thrown. */
export async function unwrap<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new Problem("offline", "Key Slate does not answer. Is it still running?");
  }
  if (answer.data !== undefined && answer.error === undefined) return answer.data;
  throw toProblem(answer.error);
}

export function toProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const body = (error ?? {}) as ProblemBody;
  return new Problem(
    body.code ?? "unexpected",
    body.detail ?? "Something went wrong. Nothing was changed.",
    body.errors ?? [],
  );
}

/** Whether both parts of a split lie on its patches: no one curve reads their picture. */
export function isOfBothLights(sheet: SheetView): boolean {
  return sheet.patches.some((p) => p.light.includes(" + "));
}

/** Whether all patches of a test got one light, or it is no test: pieces of different packs are compared at Test and nowhere else. */
export function isOfOneLight(sheet: SheetView): boolean {
  return new Set(sheet.patches.map((p) => p.light)).size <= 1;
}

/** The picture of a sheet, if it has one. */
export function sheetPicture(sheet: { pictureId?: string }): string | undefined {
  return sheet.pictureId === undefined ? undefined : picture(sheet.pictureId);
}

export function picture(pictureId: string): string {
  return `/api/pictures/${pictureId}`;
}

export function positive(frameId: string, side = 960): string {
  return positiveAt(`/api/frames/${frameId}/positive`, side);
}

/** The positive of what a slate prints, by the path the server names. */
export function positiveAt(path: string, side = 960): string {
  return `${path}?side=${String(side)}`;
}

/** The test that is planned, as it will come out; its key is in the address. */
export function testPicture(slate: SlateView, seen: Viewing, side = 480): string {
  const query = new URLSearchParams({
    key: `${slate.previewKey}-${slate.recipeId}`,
    side: String(side),
    ...(slate.base.pack && viewingQuery(seen)),
  });
  return `/api/slates/${slate.id}/test-preview?${query.toString()}`;
}

/** The print neutral and with each cast, one under the other. */
export function castPictures(slate: SlateView, scale: number): string {
  const query = new URLSearchParams({ key: slate.castsKey, scale: String(scale), side: "120" });
  return `/api/slates/${slate.id}/casts-of-it?${query.toString()}`;
}

/** The computed print of what stands; its key is in the address, so the same picture has the same address. */
export function previewPicture(
  slate: SlateView,
  withLocalWork: boolean,
  { side = 960, ends = false, seen = viewing() }: { side?: number; ends?: boolean; seen?: Viewing } = {},
): string {
  const query = new URLSearchParams({
    key: slate.previewKey,
    local: String(withLocalWork),
    side: String(side),
    ...(ends && { ends: "true" }),
    ...(slate.base.pack && viewingQuery(seen)),
  });
  return `/api/slates/${slate.id}/preview?${query.toString()}`;
}
