// Renders what a run sounds like without playing it; built by itself (vite.sounds.config.ts) for the test that listens to it.
import type { Note } from "./score";
import { VOICES, schedule, scheduleWords } from "./player";
import { beatsOf, scoreOf } from "./score";

const RATE = 22050;

/** The rendered sound as 16-bit samples, lower byte first, in base 64. */
async function samplesOf(context: OfflineAudioContext): Promise<string> {
  const samples = (await context.startRendering()).getChannelData(0);
  const bytes = new Uint8Array(2 * samples.length);
  const view = new DataView(bytes.buffer);
  samples.forEach((s, i) => view.setInt16(2 * i, Math.max(-1, Math.min(1, s)) * 32767, true));
  let text = "";
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}

export function notes(score: readonly Note[], seconds: number): Promise<string> {
  const context = new OfflineAudioContext(1, Math.ceil(RATE * seconds), RATE);
  for (const note of score) schedule(context, note.sound, note.at);
  return samplesOf(context);
}

/** Clips, as base 64, said one after another. */
export async function words(clips: readonly string[], seconds: number): Promise<string> {
  const context = new OfflineAudioContext(1, Math.ceil(RATE * seconds), RATE);
  const buffers = await Promise.all(
    clips.map((clip) => context.decodeAudioData(Uint8Array.from(atob(clip), (c) => c.charCodeAt(0)).buffer)),
  );
  scheduleWords(context, buffers, 0);
  return samplesOf(context);
}

export const names = Object.keys(VOICES);
export { beatsOf, scoreOf };
