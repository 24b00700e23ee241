import { Button, Modal } from "antd";
import { useSyncExternalStore } from "react";
import { api, unwrap } from "../api/client";
import { sound, speak } from "../sound/player";
import { SAID } from "../sound/words";
import { enterRoom } from "./room";

let refused: readonly string[] | undefined;
const listeners = new Set<() => void>();

function refuse(says: readonly string[] | undefined) {
  refused = says;
  listeners.forEach((tell) => tell());
}

const NOBODY_KNOWS = "Key Slate does not answer: nobody knows whether paper is out.";

/** White light is asked for: it comes on where no paper is harmed, else it is refused, spoken, and can be put on all the same. */
export async function askForWhite(): Promise<void> {
  const light = await unwrap(api.GET("/api/white-light")).catch(() => undefined);
  if (light?.safe) return enterRoom("white");
  sound("mistake");
  speak([SAID.paperIsOut]);
  refuse(light?.says ?? [NOBODY_KNOWS]);
}

/** The refusal, wherever one stands; staying dark is the answer that a key gives. */
export function WhiteLightGuard() {
  const says = useSyncExternalStore(
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
      open={says !== undefined}
      title="White light would fog paper"
      onCancel={() => refuse(undefined)}
      footer={
        <>
          <Button type="primary" autoFocus onClick={() => refuse(undefined)}>
            Stay dark
          </Button>
          <Button onClick={allTheSame}>White light all the same</Button>
        </>
      }
    >
      {says?.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <p>What is put on all the same stands on the record of these sheets.</p>
    </Modal>
  );
}
