// All sounds are made here, none is a file. The context opens with the first key, as browsers demand.
import type { Note, Sound } from "./score";

/** A piece of a sound: pitch, or noise where there is none; when it starts and how long it is, seconds. */
interface Voice {
  hertz?: number;
  at: number;
  length: number;
  volume: number;
  shape?: OscillatorType;
}

/** One table of sounds: lamp = click, second = tick, hands = pitch, card = knock, mistake = buzz. */
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
  mistake: [{ hertz: 92, at: 0, length: 0.3, volume: 0.3, shape: "sawtooth" }],
  done: [
    { hertz: 784, at: 0, length: 0.4, volume: 0.22 },
    { hertz: 523, at: 0.45, length: 0.6, volume: 0.22 },
  ],
};

let context: AudioContext | undefined;

/** Opens the audio clock; to be called in a key press or a tap. */
export function openAudio(): AudioContext | undefined {
  if (typeof AudioContext === "undefined") return undefined;
  context ??= new AudioContext();
  if (context.state === "suspended") void context.resume();
  return context;
}

/** Puts a sound on the clock of a context; returns what stops it. */
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

/** Plays notes on the audio clock, whatever the page does meanwhile; the answer silences what is still to come. */
export function play(notes: readonly Note[]): () => void {
  const ctx = openAudio();
  if (!ctx) return () => undefined;
  const now = ctx.currentTime + 0.01;
  const sources = notes.flatMap((n) => schedule(ctx, n.sound, now + n.at));
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

export function sound(name: Sound): void {
  play([{ at: 0, sound: name }]);
}

/** Says words where the machine has a voice of its own; a voice that lives on a network is never used. */
export function say(words: string): void {
  if (words === "" || !("speechSynthesis" in window)) return;
  const voice = window.speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith("en"));
  if (!voice) return;
  const utterance = new SpeechSynthesisUtterance(words);
  utterance.voice = voice;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(utterance);
}
