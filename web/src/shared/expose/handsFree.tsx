import { Checkbox } from "antd";
import { useState } from "react";

const KEY = "key-slate.hands-free";

/** Whether the lamp goes on by itself, on a beat, after the first exposure of a sheet. */
export function isHandsFree(): boolean {
  try {
    return localStorage.getItem(KEY) === "yes";
  } catch {
    return false;
  }
}

const THEN: Record<string, string> = {
  MY_TIMER: "press your timer, and its end counts as told; several presses you count and tell",
  BURNS: "take the card away until the tone",
};

/** Asked before a run of several exposures; kept from last time. */
export function HandsFree(props: { exposures: number; lamp: string }) {
  const [on, setOn] = useState(isHandsFree);
  if (props.exposures < 2) return null;
  return (
    <Checkbox
      checked={on}
      onChange={(event) => {
        const { checked } = event.target;
        setOn(checked);
        try {
          localStorage.setItem(KEY, checked ? "yes" : "no");
        } catch {
          // It then lasts as long as the page.
        }
      }}
    >
      Hands free: after the first exposure eight beats, then {THEN[props.lamp] ?? "the lamp"}; a press makes
      it wait
    </Checkbox>
  );
}
