const NOTED: Record<string, string> = { SLIP: "a slip", GOOD: "good", AGAIN: "to be made again" };

/** What was noted of a sheet in its run, in a sentence; nothing where nothing was. */
export function notedIn(sheet: { events: readonly { kind: string }[] }): string | undefined {
  const words = [...new Set(sheet.events.flatMap((e) => NOTED[e.kind] ?? []))];
  return words.length === 0 ? undefined : `Noted in the run: ${words.join(", ")}.`;
}
