/** One thing to look at or to hold before the light goes out. */
export interface Item {
  words: string;
  /** Asked each time, and not only once a session or when it changed. */
  always: boolean;
}

const KEY = "key-slate.list-answered";

/** When the whole list was answered in this session; none when it was not. */
export function answeredAt(): string | undefined {
  try {
    return window.sessionStorage.getItem(KEY) ?? undefined;
  } catch {
    return undefined;
  }
}

export function answer(now: Date): void {
  try {
    const two = (n: number) => String(n).padStart(2, "0");
    window.sessionStorage.setItem(KEY, `${two(now.getHours())}:${two(now.getMinutes())}`);
  } catch {
    // The whole list is then asked for each sheet.
  }
}
