import { Button, Modal } from "antd";
import { useSyncExternalStore } from "react";
import { api, unwrap } from "../api/client";
import { sound, speak } from "../sound/player";
import { SAID } from "../sound/words";
import { enterRoom } from "./room";

interface Refused {
  says: readonly string[];
  openBoxes: readonly string[];
}

let refused: Refused | undefined;
const listeners = new Set<() => void>();

function refuse(why: Refused | undefined) {
  refused = why;
  listeners.forEach((tell) => tell());
}

const NOBODY_KNOWS = "Key Slate does not answer: nobody knows whether paper is out.";

/** White light is asked for: it comes on where no paper is harmed, else it is refused, spoken, and can be put on all the same. */
export async function askForWhite(): Promise<void> {
  const light = await unwrap(api.GET("/api/white-light")).catch(() => undefined);
  if (light?.safe) return enterRoom("white");
  sound("mistake");
  speak([light?.openBoxes.length === light?.says.length ? SAID.boxIsOpen : SAID.paperIsOut]);
  refuse(light ?? { says: [NOBODY_KNOWS], openBoxes: [] });
}

/** What lay open is shut now: white light is asked for again. */
async function shut(openBoxes: readonly string[]): Promise<void> {
  refuse(undefined);
  for (const id of openBoxes) {
    await unwrap(api.POST("/api/papers/{id}/box", { params: { path: { id } }, body: { open: false } })).catch(
      () => undefined,
    );
  }
  await askForWhite();
}

/** The refusal, wherever one stands; staying dark is the answer that a key gives. */
export function WhiteLightGuard() {
  const why = useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => refused,
  );
  const allTheSame = () => {
    refuse(undefined);
    void unwrap(api.POST("/api/white-light", { body: { onPurpose: true } })).catch(() => undefined);
    enterRoom("white");
  };
  return (
    <Modal
      open={why !== undefined}
      title="White light would fog paper"
      onCancel={() => refuse(undefined)}
      footer={
        <>
          <Button type="primary" autoFocus onClick={() => refuse(undefined)}>
            Stay dark
          </Button>
          {why !== undefined && why.openBoxes.length > 0 && (
            <Button onClick={() => void shut(why.openBoxes)}>
              {why.openBoxes.length === 1 ? "The box is shut" : "The boxes are shut"}
            </Button>
          )}
          <Button onClick={allTheSame}>White light all the same</Button>
        </>
      }
    >
      {why?.says.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <p>What is put on all the same stands on the record of these sheets and boxes.</p>
    </Modal>
  );
}
