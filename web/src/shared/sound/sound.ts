// All sounds are made here, none is a file. The context opens with the first key, as browsers demand.

let context: AudioContext | undefined;

function audio(): AudioContext | undefined {
  if (typeof AudioContext === "undefined") return undefined;
  context ??= new AudioContext();
  if (context.state === "suspended") void context.resume();
  return context;
}

function tone(hertz: number, startIn: number, length: number, volume: number): void {
  const ctx = audio();
  if (!ctx) return;
  const start = ctx.currentTime + startIn;
  const oscillator = ctx.createOscillator();
  const gain = ctx.createGain();
  oscillator.frequency.value = hertz;
  gain.gain.setValueAtTime(0, start);
  gain.gain.linearRampToValueAtTime(volume, start + 0.008);
  gain.gain.setValueAtTime(volume, start + length - 0.02);
  gain.gain.linearRampToValueAtTime(0, start + length);
  oscillator.connect(gain).connect(ctx.destination);
  oscillator.start(start);
  oscillator.stop(start + length + 0.01);
}

/** Ears alone must be enough: each event has its own pattern. */
export const sound = {
  /** Each second of light. */
  tick: () => tone(1000, 0, 0.035, 0.12),
  lampOn: () => tone(660, 0, 0.12, 0.2),
  lampOff: () => tone(440, 0, 0.25, 0.2),
  /** A lower tone when a hold begins, a higher one when it ends. */
  holdBegins: () => tone(262, 0, 0.35, 0.3),
  holdEnds: () => tone(1047, 0, 0.35, 0.3),
  /** Two short low ones: lay the card over the next patch. */
  cover: () => [0, 0.16].forEach((t) => tone(330, t, 0.09, 0.25)),
  /** Three rising ones: change the filter. */
  changeFilter: () => [392, 523, 659].forEach((f, i) => tone(f, i * 0.18, 0.14, 0.25)),
  /** A long falling pair: all light is given. */
  done: () => [784, 523].forEach((f, i) => tone(f, i * 0.45, 0.4, 0.25)),
};

/** Says a word where the machine has a voice of its own; a voice that lives on a network is never used. */
export function say(words: string): void {
  if (!("speechSynthesis" in window)) return;
  const voice = window.speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith("en"));
  if (!voice) return;
  const utterance = new SpeechSynthesisUtterance(words);
  utterance.voice = voice;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(utterance);
}
