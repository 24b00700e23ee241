import { useCallback, useEffect, useLayoutEffect, useState } from "react";
import { type Schemas, api, unwrap } from "../../shared/api/client";
import { useKeys } from "../../shared/keys/keys";
import { type Room, enterRoom, roomNow } from "../../shared/room/room";
import { askForWhite } from "../../shared/room/whiteLight";
import { giveScreenBack } from "../../shared/room/wholeScreen";
import { prepare, sound, speak } from "../../shared/sound/player";
import { ASKED, SAID } from "../../shared/sound/words";

type Cut = Schemas["CutView"];

/** Where the hands are: at a step, at the box, or done and in any light. */
type At = number | "box" | "done";

/** The box is told to lie open, so that no window puts white light on meanwhile; without an answer the room is dark all the same. */
function lies(id: string, open: boolean): Promise<unknown> {
  return unwrap(api.POST("/api/papers/{id}/box", { params: { path: { id } }, body: { open } })).catch(
    () => undefined,
  );
}

/** The cuts one after another, heard; the paper lies open, so that the room stays dark until its box is shut. */
export function CutAloud(props: { plan: Cut; paperId: string; room: Room; onLeave: () => void }) {
  const { plan, paperId, room, onLeave } = props;
  const [at, setAt] = useState<At>(0);
  const said = useCallback(
    (place: At): string[] =>
      place === "done"
        ? [SAID.boxIsShut]
        : place === "box"
          ? [SAID.allIsCut, ASKED["PAPER_BOXED"] ?? ""]
          : (plan.steps[place]?.said ?? []),
    [plan],
  );
  useLayoutEffect(() => {
    const before = roomNow();
    enterRoom(room);
    return () => {
      // However one leaves: a box that lies open bears no white light.
      if (before === "white") void askForWhite();
      else enterRoom(before);
    };
  }, [room]);
  useEffect(
    () => prepare([...plan.steps.flatMap((s) => s.said), ...said("box"), ...said("done")]),
    [plan, said],
  );
  useEffect(() => speak(said(at)), [at, said]);
  useEffect(() => void lies(paperId, true), [paperId]);
  const go = (place: At) => {
    if (place === "done") {
      giveScreenBack();
      void lies(paperId, false).then(askForWhite);
    }
    setAt(place);
  };
  const press = () => {
    if (at === "done") onLeave();
    else if (at === "box") go("done");
    else go(at + 1 < plan.steps.length ? at + 1 : "box");
  };
  useKeys({
    " ": press,
    r: () => speak(said(at)),
    Backspace: () => {
      if (typeof at === "number" && at > 0) go(at - 1);
      else sound("mistake");
    },
    Escape: () => {
      // Never straight into the light: first the box.
      if (at === "done") onLeave();
      else go("box");
    },
  });
  const step = typeof at === "number" ? plan.steps[at] : undefined;
  return (
    <main className="run cut-aloud" aria-label="The cuts, one after another" data-keys="own">
      <div className="run-words" aria-live="polite">
        <p className="run-small">
          {step ? `Step ${String(Number(at) + 1)} of ${String(plan.steps.length)}` : plan.line}
        </p>
        <p className="run-now">
          {step
            ? step.again
              ? "The fence stays"
              : `Fence to ${step.fence}`
            : at === "box"
              ? "Box shut?"
              : "The box is shut"}
        </p>
        <p className="run-then">
          {step
            ? step.words
            : at === "box"
              ? "Every piece into the box. Press when it is shut."
              : "All is cut."}
        </p>
      </div>
      <div className="run-keys">
        <button type="button" onClick={press}>
          {at === "done" ? "Back to the plan" : at === "box" ? "It is shut" : "Next"} <kbd>Space</kbd>
        </button>
        <button type="button" onClick={() => speak(said(at))}>
          Again <kbd>R</kbd>
        </button>
        {at !== "done" && at !== "box" && (
          <button type="button" onClick={() => go("box")}>
            Stop <kbd>Esc</kbd>
          </button>
        )}
      </div>
    </main>
  );
}
