import type { RunView } from "../api/client";

/** Clips the page itself says; the server says the rest in the steps of a script. All are in web/voice/words.tsv. */
export const SAID = {
  allLightIsGiven: "all-light-is-given",
  whiteLightIsSafe: "white-light-is-safe",
  theRest: "the-rest",
  giveUpPressAgain: "give-up-press-again",
  paperIsOut: "paper-is-out",
  pressToLook: "press-l",
  fullScreenLeft: "full-screen-left",
  fullScreenBack: "full-screen-back",
  powerWasLost: "power-was-lost",
  soundIsOn: "sound-is-on",
  voiceHeard: "voice-heard",
  rehearsal: "rehearsal",
  rehearsalDone: "rehearsal-done",
  allIsCut: "all-is-cut",
  notYetWhite: "not-yet-white",
  closeAndCount: "close-and-count",
  youMayLeave: "you-may-leave",
  welcomeBack: "welcome-back",
  slipNoted: "slip-noted",
  goodNoted: "good-noted",
  againNoted: "again-noted",
  takenBack: "taken-back",
  holdForAlarm: "hold-for-alarm",
  alarmLeave: "alarm-leave",
  boxIsOpen: "box-is-open",
  boxIsShut: "box-is-shut",
} as const;

/** The questions of a sheet's way and of its box, by its events. */
export const ASKED: Record<string, string> = {
  IN_DEVELOPER: "in-developer",
  IN_STOP: "in-stop",
  IN_FIXER: "in-fixer",
  DRUM_CLOSED: "drum-closed",
  PAPER_BOXED: "box-shut",
  PAPER_TAKEN: "set-as-shown",
};

/** Everything a run can say: fetched before the light goes out. */
export function vocabulary(script: Readonly<RunView["script"]>): string[] {
  return [
    ...new Set([
      ...script.flatMap((s) => [...s.said, ...s.putAwaySaid]),
      ...Object.values(SAID),
      ...Object.values(ASKED),
    ]),
  ];
}
