import type { StepView } from "../api/client";

/** The sounds of a run; each has one meaning. */
export type Sound =
  | "lampOn"
  | "lampOff"
  | "tick"
  | "holdBegins"
  | "holdEnds"
  | "burnOpens"
  | "burnCloses"
  | "knock"
  | "beat"
  | "mistake"
  | "done"
  | "alarm";

/** A sound at a moment, in real seconds from now. */
export interface Note {
  at: number;
  sound: Sound;
}

interface Playing {
  /** Seconds on the timer's clock that are still to come, and how far into the step the light is. */
  left: number;
  from: number;
  /** Seconds of the timer's clock in a real second. */
  speed: number;
}

/** Hands free: so many beats, a second apart on the timer's clock, then the lamp on the next one. */
const BEATS = 8;

export function beatsOf(speed: number): { notes: Note[]; over: number } {
  const beat = 1 / speed;
  const notes = Array.from({ length: BEATS }, (_, i) => ({ at: (i + 1) * beat, sound: "beat" as const }));
  return { notes, over: (BEATS + 1) * beat };
}

const LEAST_APART = 0.02;

function begins(does: string): Sound | undefined {
  if (does === "HOLD") return "holdBegins";
  if (does === "BURN") return "burnOpens";
  return does === "CARD" ? "knock" : undefined;
}

function ends(does: string): Sound | undefined {
  if (does === "HOLD") return "holdEnds";
  return does === "BURN" ? "burnCloses" : undefined;
}

/** What is heard from lamp on to lamp off: clicks, a tick each second, and what the hands do at each turn of the step. */
export function scoreOf(step: StepView, playing: Playing): Note[] {
  const { left, from, speed } = playing;
  const notes: Note[] = [{ at: 0, sound: "lampOn" }];
  for (let s = 1; s < left - 0.25; s++) notes.push({ at: s / speed, sound: "tick" });
  let start = 0;
  step.phases.forEach((phase, i) => {
    const end = start + phase.seconds;
    const beginsAt = (start - from) / speed;
    const endsAt = (end - from) / speed;
    const opening = begins(phase.does);
    if (opening && beginsAt >= 0 && (i > 0 || phase.does !== "CARD"))
      notes.push({ at: beginsAt, sound: opening });
    const closing = ends(phase.does);
    if (closing && endsAt >= 0) notes.push({ at: endsAt, sound: closing });
    start = end;
  });
  notes.push({ at: left / speed, sound: "lampOff" });
  return notes.filter((n) => n.at <= left / speed + LEAST_APART).sort((a, b) => a.at - b.at);
}
