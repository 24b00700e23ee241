import type { RunView, SlateView } from "../../shared/api/client";
import { scriptOf, stationOf } from "../../shared/expose/planned";
import { nextOf } from "./next";

/** A run as it will be, without paper and without a lamp: made from the plan, and led by the same rules as a real one. */
export function begun(slate: SlateView, kind: string, speed: number): RunView {
  const script = [...scriptOf(slate, kind)];
  const station = stationOf(slate, kind);
  const view = station === "test" ? slate.test.area : { left: 0, top: 0, width: 1, height: 1 };
  const { imageWidthMm, imageHeightMm, crop } = slate.setup;
  return atStep(
    {
      sheetId: "rehearsal",
      slateId: slate.id,
      ...(slate.subject.positivePath !== undefined && { positivePath: slate.subject.positivePath }),
      title: slate.naming.title,
      label: "Rehearsal",
      kind,
      station,
      lookedAtStation: station,
      state: "EXPOSING",
      room: slate.medium.room,
      lamp: slate.setup.lamp,
      lampPort: 0,
      script,
      areas: slate.local.areas,
      view: {
        left: crop.left + view.left * crop.width,
        top: crop.top + view.top * crop.height,
        width: view.width * crop.width,
        height: view.height * crop.height,
      },
      aspect: (imageWidthMm * view.width) / (imageHeightMm * view.height),
      stepsDone: 0,
      nextSetSeconds: 0,
      fromSeconds: 0,
      resumed: false,
      lampOn: false,
      elapsedSeconds: 0,
      clockSpeed: speed,
      powerLost: false,
      unwritten: false,
      left: false,
      paperId: "",
      boxOpen: false,
      whiteLight: { safe: true, waitSeconds: 0, says: "White light is safe." },
      events: [],
    },
    0,
  );
}

function atStep(run: RunView, done: number): RunView {
  const step = run.script[done];
  return {
    ...run,
    lampOn: false,
    stepsDone: done,
    step: step?.place,
    nextSetSeconds: step ? step.setSeconds * step.presses : 0,
  };
}

/** The lamp has given the step. */
export function given(run: RunView): RunView {
  return run.lampOn ? atStep(run, run.stepsDone + 1) : run;
}

/** What is told besides the light: a word on how it went, leaving and coming back, the box, an answer taken back. */
export function happened(run: RunView, kind: string): RunView {
  const events = kind === "TAKEN_BACK" ? run.events.slice(0, -1) : [...run.events, { kind, happenedAt: "" }];
  const ways = events.filter((e) => e.kind === "LEFT" || e.kind === "CAME_BACK");
  return { ...run, left: ways.at(-1)?.kind === "LEFT", events };
}

/** One press, the next thing: what a real run would do. */
export function pressed(run: RunView): RunView {
  const next = nextOf(run);
  switch (next.do) {
    case "light":
      return { ...run, lampOn: true, elapsedSeconds: 0 };
    case "told":
      return given(run);
    case "event":
      return happened(run, next.kind);
    case "hang":
      return { ...run, state: "HUNG" };
    default:
      return run;
  }
}
