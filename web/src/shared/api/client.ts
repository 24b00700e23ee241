import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type SlateView = Schemas["SlateView"];
export type SheetView = Schemas["SheetView"];
export type RunView = Schemas["RunView"];
export type VerdictView = Schemas["VerdictView"];
export type AreaView = Schemas["AreaView"];
export type FrameView = Schemas["FrameView"];
export type RecipeChange = Omit<Schemas["RecipeChange"], "version">;

export const api = createClient<paths>({ baseUrl: window.location.origin });

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

export function sheetPicture(sheetId: string): string {
  return `/api/sheets/${sheetId}/picture`;
}

export function positive(frameId: string, side = 960): string {
  return `/api/frames/${frameId}/positive?side=${String(side)}`;
}

/** The computed print of the standing recipe; the basis is in the address, since it moves with the sheets made. */
export function previewPicture(slate: SlateView, withLocalWork: boolean, side = 960): string {
  const basis = slate.sheets.filter((s) => s.speedOffsetStops !== undefined).at(-1)?.id ?? "none";
  const query = new URLSearchParams({
    recipe: slate.recipe.id,
    local: String(withLocalWork),
    side: String(side),
    basis,
  });
  return `/api/slates/${slate.id}/preview?${query.toString()}`;
}
