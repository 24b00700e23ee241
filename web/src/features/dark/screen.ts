/** What is known of this screen. */
export interface Screen {
  kind: "" | "BACKLIT" | "OWN_LIGHT" | "OUTSIDE";
  /** How long a coin test of one's own showed nothing, minutes. */
  coinMinutes?: number | undefined;
}

const KEY = "key-slate.screen";
const UNKNOWN: Screen = { kind: "" };

export function keptScreen(): Screen {
  try {
    return { ...UNKNOWN, ...(JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<Screen>) };
  } catch {
    return UNKNOWN;
  }
}

export function keepScreen(screen: Screen): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(screen));
  } catch {
    // It is asked again then.
  }
}

/** In one line; "safe" is said only after a coin test, and for no longer than it lasted. */
export function saysOf(screen: Screen): string {
  if (screen.kind === "OUTSIDE") return "outside; no light of it may come through the door";
  if (screen.kind === "") return "say what it is, black still glows";
  if (screen.coinMinutes !== undefined)
    return `safe here for ${String(screen.coinMinutes)} minutes, by your coin test`;
  return screen.kind === "BACKLIT"
    ? "backlit, it glows at black: covered, or face down, while colour paper is out"
    : "black gives no light of its own; not tested here, so cover it";
}
