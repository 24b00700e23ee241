const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** What a copy is: "was just made", "is 3 min old", "is 5 h old", "is 2 days old". */
export function ago(at: string, now = Date.now()): string {
  const age = Math.max(0, now - Date.parse(at));
  if (age < MINUTE) return "was just made";
  if (age < HOUR) return `is ${String(Math.floor(age / MINUTE))} min old`;
  if (age < 2 * DAY) return `is ${String(Math.floor(age / HOUR))} h old`;
  return `is ${String(Math.floor(age / DAY))} days old`;
}

/** The day and the minute, as the clock on the wall has it: "2026-03-04 12:05". */
export function day(at: string): string {
  const moment = new Date(at);
  const two = (n: number) => String(n).padStart(2, "0");
  return (
    [moment.getFullYear(), two(moment.getMonth() + 1), two(moment.getDate())].join("-") +
    ` ${two(moment.getHours())}:${two(moment.getMinutes())}`
  );
}

/** "12.3 MB", "840 MB": a million bytes each. */
export function megabytes(bytes: number): string {
  const mega = bytes / 1e6;
  return `${mega < 100 ? mega.toFixed(1) : mega.toFixed(0)} MB`;
}
