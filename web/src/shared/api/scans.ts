import { type Problem, type Schemas, toProblem } from "./client";
import { type Corner, written } from "../scan/corners";
import type { FrameDetail } from "./frames";

/** What a scan shows; "guess" leaves it to the server, which says what it took it for. */
export type Shows = "guess" | "negative" | "positive";

/** Kinds of files that are taken in. */
export const SCANS = "image/jpeg,image/png,image/tiff,.tif,.tiff";

async function send<T>(path: string, form: FormData, signal?: AbortSignal): Promise<T> {
  const answer = await fetch(path, { method: "POST", body: form, ...(signal && { signal }) }).catch(
    (error: unknown) => {
      if (signal?.aborted) throw error;
      return undefined;
    },
  );
  const body: unknown = await answer?.json().catch(() => undefined);
  if (!answer)
    throw toProblem({ code: "offline", detail: "Key Slate does not answer. Is it still running?" });
  if (!answer.ok) throw toProblem(body);
  return body as T;
}

/** The message about a file itself. */
export function aboutFile(problem: Problem): string {
  return problem.at("/file") ?? problem.at("/corners") ?? problem.errors[0]?.message ?? problem.message;
}

/** A frame as it is added; its number is the next one when none is given. */
export interface AddedFrame {
  number?: string;
  title?: string;
  upright?: boolean;
  shows: Shows;
  file?: File | undefined;
}

export function addFrame(rollId: string, frame: AddedFrame, signal?: AbortSignal): Promise<unknown> {
  const form = new FormData();
  if (frame.number) form.set("number", frame.number);
  if (frame.title) form.set("title", frame.title);
  if (frame.upright) form.set("upright", "true");
  if (frame.file) {
    form.set("file", frame.file);
    shown(form, frame.shows);
  }
  return send(`/api/rolls/${rollId}/frames`, form, signal);
}

/** Hands in the scan of a roll's whole sheet. */
export function handSleeve(rollId: string, file: File): Promise<Schemas["SleeveView"]> {
  const form = new FormData();
  form.set("file", file);
  return send(`/api/rolls/${rollId}/sleeve`, form);
}

/** Where papers lie in a picture that is about to be handed in. */
export function papersIn(file: File): Promise<Schemas["PapersView"]> {
  const form = new FormData();
  form.set("file", file);
  return send("/api/pictures/papers", form);
}

/** Gives a frame another picture. */
export function scanFrame(frameId: string, file: File, shows: Shows): Promise<FrameDetail> {
  const form = new FormData();
  form.set("file", file);
  shown(form, shows);
  return send(`/api/frames/${frameId}/scan`, form);
}

/** Gives a frame a photograph of its projection or of a print, squared by its corners. */
export function photographFrame(
  frameId: string,
  photo: { file: File; corners: readonly Corner[]; upright: boolean },
): Promise<FrameDetail> {
  const form = new FormData();
  form.set("file", photo.file);
  form.set("corners", written(photo.corners));
  form.set("upright", String(photo.upright));
  form.set("negative", "false");
  return send(`/api/frames/${frameId}/scan`, form);
}

function shown(form: FormData, shows: Shows) {
  if (shows !== "guess") form.set("negative", String(shows === "negative"));
}
