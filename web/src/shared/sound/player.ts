// Sounds are made here, words are clips; both play on the audio clock. The context opens with a key or a tap, as browsers demand.
import type { Note, Sound } from "./score";

/** A piece of a sound: pitch, or noise where there is none; when it starts and how long it is, seconds. */
interface Voice {
  hertz?: number;
  at: number;
  length: number;
  volume: number;
  shape?: OscillatorType;
}

/** One table of sounds: lamp = click, second = tick, hands = pitch, card = knock, count to the lamp = beat, mistake = buzz, danger = wail. */
export const VOICES: Record<Sound, readonly Voice[]> = {
  lampOn: [{ at: 0, length: 0.03, volume: 0.35 }],
  lampOff: [
    { at: 0, length: 0.03, volume: 0.35 },
    { at: 0.07, length: 0.03, volume: 0.35 },
  ],
  tick: [{ hertz: 1000, at: 0, length: 0.035, volume: 0.12 }],
  holdBegins: [{ hertz: 262, at: 0, length: 0.35, volume: 0.3 }],
  holdEnds: [{ hertz: 1568, at: 0, length: 0.35, volume: 0.25 }],
  burnOpens: [
    { hertz: 440, at: 0, length: 0.14, volume: 0.28 },
    { hertz: 659, at: 0.17, length: 0.2, volume: 0.28 },
  ],
  burnCloses: [
    { hertz: 659, at: 0, length: 0.14, volume: 0.28 },
    { hertz: 440, at: 0.17, length: 0.2, volume: 0.28 },
  ],
  knock: [
    { hertz: 130, at: 0, length: 0.06, volume: 0.5, shape: "triangle" },
    { hertz: 130, at: 0.11, length: 0.06, volume: 0.5, shape: "triangle" },
  ],
  beat: [{ hertz: 330, at: 0, length: 0.09, volume: 0.22, shape: "triangle" }],
  mistake: [{ hertz: 92, at: 0, length: 0.3, volume: 0.3, shape: "sawtooth" }],
  done: [
    { hertz: 784, at: 0, length: 0.4, volume: 0.22 },
    { hertz: 523, at: 0.45, length: 0.6, volume: 0.22 },
  ],
  alarm: [0, 0.5, 1].flatMap((at) => [
    { hertz: 1175, at, length: 0.22, volume: 0.3, shape: "square" as const },
    { hertz: 880, at: at + 0.24, length: 0.22, volume: 0.3, shape: "square" as const },
  ]),
};

/** Between two clips of a sentence, seconds. */
const BETWEEN_CLIPS = 0.06;
const LEAD = 0.02;

let context: AudioContext | undefined;
const clips = new Map<string, AudioBuffer>();
const loading = new Map<string, Promise<AudioBuffer | undefined>>();
let speaking: () => void = () => undefined;

/** Opens the audio clock; to be called in a key press or a tap. */
export function openAudio(): AudioContext | undefined {
  if (typeof AudioContext === "undefined") return undefined;
  context ??= new AudioContext();
  if (context.state === "suspended") void context.resume();
  return context;
}

/** Whether a sound would be heard now; after a reload it is not, until a key was pressed. */
export function isAudible(): boolean {
  return context?.state === "running";
}

/** Puts a sound on the clock of a context; the answer is what stops it. */
export function schedule(ctx: BaseAudioContext, sound: Sound, when: number): AudioScheduledSourceNode[] {
  return VOICES[sound].map((voice) => {
    const start = when + voice.at;
    const gain = ctx.createGain();
    gain.gain.setValueAtTime(0, start);
    gain.gain.linearRampToValueAtTime(voice.volume, start + 0.004);
    gain.gain.setValueAtTime(voice.volume, start + voice.length * 0.8);
    gain.gain.linearRampToValueAtTime(0, start + voice.length);
    const source = voice.hertz === undefined ? noise(ctx) : tone(ctx, voice.hertz, voice.shape);
    source.connect(gain).connect(ctx.destination);
    source.start(start);
    source.stop(start + voice.length + 0.01);
    return source;
  });
}

/** Puts a sentence on the clock of a context, clip after clip. */
export function scheduleWords(
  ctx: BaseAudioContext,
  buffers: readonly AudioBuffer[],
  when: number,
): AudioScheduledSourceNode[] {
  let at = when;
  return buffers.map((buffer) => {
    const source = ctx.createBufferSource();
    source.buffer = buffer;
    source.connect(ctx.destination);
    source.start(at);
    at += buffer.duration + BETWEEN_CLIPS;
    return source;
  });
}

function tone(ctx: BaseAudioContext, hertz: number, shape: OscillatorType = "sine"): OscillatorNode {
  const oscillator = ctx.createOscillator();
  oscillator.type = shape;
  oscillator.frequency.value = hertz;
  return oscillator;
}

/** A short burst of noise, the same every time. */
function noise(ctx: BaseAudioContext): AudioBufferSourceNode {
  const buffer = ctx.createBuffer(1, Math.ceil(ctx.sampleRate * 0.05), ctx.sampleRate);
  const samples = buffer.getChannelData(0);
  let seed = 1;
  for (let i = 0; i < samples.length; i++) {
    seed = (seed * 16807) % 2147483647;
    samples[i] = (2 * seed) / 2147483647 - 1;
  }
  const source = ctx.createBufferSource();
  source.buffer = buffer;
  return source;
}

function stopping(sources: readonly AudioScheduledSourceNode[]): () => void {
  return () => {
    for (const source of sources) {
      try {
        source.stop();
      } catch {
        // It had ended by itself.
      }
    }
  };
}

/** Plays notes on the audio clock, whatever the page does meanwhile; the answer silences what is still to come. */
export function play(notes: readonly Note[]): () => void {
  const ctx = openAudio();
  if (!ctx) return () => undefined;
  const now = ctx.currentTime + 0.01;
  return stopping(notes.flatMap((n) => schedule(ctx, n.sound, now + n.at)));
}

export function sound(name: Sound): void {
  play([{ at: 0, sound: name }]);
}

function clip(ctx: BaseAudioContext, id: string): Promise<AudioBuffer | undefined> {
  const kept = loading.get(id);
  if (kept) return kept;
  const load = fetch(`/voice/${id}.mp3`)
    .then((answer) => (answer.ok ? answer.arrayBuffer() : Promise.reject(new Error(id))))
    .then((bytes) => ctx.decodeAudioData(bytes))
    .then((buffer) => {
      clips.set(id, buffer);
      return buffer;
    })
    .catch(() => {
      // Asked for again the next time: a word must not be missing for good because the server was slow once.
      loading.delete(id);
      return undefined;
    });
  loading.set(id, load);
  return load;
}

/** Fetches the clips of what will be said, while it is light and the server answers. */
export function prepare(ids: readonly string[]): void {
  const ctx = openAudio();
  if (ctx) for (const id of ids) void clip(ctx, id);
}

/** Stops what is being said. */
export function hush(): void {
  speaking();
}

/** Says clips one after another; a new sentence cuts the one before. */
export function speak(ids: readonly string[]): void {
  hush();
  const ctx = openAudio();
  if (!ctx || ids.length === 0) return;
  let cut = false;
  speaking = () => {
    cut = true;
  };
  const begin = (buffers: readonly (AudioBuffer | undefined)[]) => {
    if (cut) return;
    const known = buffers.filter((b): b is AudioBuffer => b !== undefined);
    speaking = stopping(scheduleWords(ctx, known, ctx.currentTime + LEAD));
  };
  const ready = ids.map((id) => clips.get(id));
  if (ready.every((b) => b !== undefined)) begin(ready);
  else void Promise.all(ids.map((id) => clip(ctx, id))).then(begin);
}
