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

/** Whether these are the marks of a reading that is on record. */
export function sameMarks(kinds: readonly MarkKind[], a: Marked, b: Marked): boolean {
  return (
    (a.dry === true) === (b.dry === true) &&
    kinds.every((k) => a[k.field as MarkField] === b[k.field as MarkField])
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
