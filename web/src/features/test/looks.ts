import type { Schemas } from "../../shared/api/client";
import type { Marked } from "./marks";

/** One look of several at a test. */
export type Look = Schemas["Look"];
export const MOST_LOOKS = 5;

/** The marks of the look that is under way. */
export function lookOf({ whitesAt, blacksAt, rightAt }: Marked): Look {
  return {
    ...(whitesAt !== undefined && { whitesAt }),
    ...(blacksAt !== undefined && { blacksAt }),
    ...(rightAt !== undefined && { rightAt }),
  };
}

/** A reading with all its looks, as it is sent. */
export function withLooks(marked: Marked, earlier: readonly Look[]): Marked {
  return earlier.length === 0 ? marked : { ...marked, looks: [...earlier, lookOf(marked)] };
}

/** The same marks with those of another look in place of theirs. */
export function withLook(marked: Marked, look: Look): Marked {
  const rest = { ...marked };
  delete rest.whitesAt;
  delete rest.blacksAt;
  delete rest.rightAt;
  return { ...rest, ...look };
}

/** Whether some tone was marked more than a patch apart in two looks. */
export function areApart(looks: readonly Look[]): boolean {
  return (["whitesAt", "blacksAt", "rightAt"] as const).some((field) => {
    const places = looks.flatMap((l) => l[field] ?? []);
    return Math.max(...places) - Math.min(...places) > 1;
  });
}
