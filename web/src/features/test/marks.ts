import type { Schemas, SlateView } from "../../shared/api/client";

/** The marks of a reading, in patches from the first; halves lie between two. */
export type Marked = Schemas["Marks"];
export type MarkField = "whitesAt" | "blacksAt" | "rightAt";
/** What a mark is called and asks for: the kind of paper says which ones there are. */
export type MarkKind = SlateView["medium"]["marks"][number];

/** The mark that is looked for after one has been set. */
export function markAfter(kinds: readonly MarkKind[], field: string): string {
  const at = kinds.findIndex((k) => k.field === field);
  return kinds[(at + 1) % kinds.length]?.field ?? field;
}

/** The named tone of a mark. */
export function toneField(field: MarkField): "whitesTone" | "rightTone" | "blacksTone" {
  return field === "whitesAt" ? "whitesTone" : field === "blacksAt" ? "blacksTone" : "rightTone";
}

/** Whether there is enough to say something: a mark, an answer off the test, or a word about a whole sheet. */
export function isMarked(kinds: readonly MarkKind[], marked: Marked): boolean {
  if (kinds.length === 0) return marked.moreStops !== undefined;
  if (marked.beyond !== undefined) return true;
  // A black alone tells no time, unless it is all that is asked for.
  return kinds.some((k) => (kinds.length === 1 || !k.black) && marked[k.field as MarkField] !== undefined);
}

/** Whether these are the marks of a reading that is on record. */
export function sameMarks(kinds: readonly MarkKind[], a: Marked, b: Marked): boolean {
  return (
    (a.dry === true) === (b.dry === true) &&
    a.beyond === b.beyond &&
    a.blackBeyond === b.blackBeyond &&
    a.moreStops === b.moreStops &&
    JSON.stringify(a.looks ?? []) === JSON.stringify(b.looks ?? []) &&
    kinds.every((k) => {
      const tone = toneField(k.field as MarkField);
      return a[k.field as MarkField] === b[k.field as MarkField] && a[tone] === b[tone];
    })
  );
}

/** What a patch, counted from 0, is marked as. */
export function marksOf(kinds: readonly MarkKind[], marked: Marked, at: number): string {
  return kinds
    .flatMap((k) => {
      const mark = marked[k.field as MarkField];
      if (mark === at) return [k.flag];
      return mark === at + 0.5 ? [`${k.flag}, just past`] : [];
    })
    .join("; ");
}
