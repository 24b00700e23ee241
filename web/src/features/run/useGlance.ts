import { useCallback, useEffect, useState } from "react";
import type { RunView } from "../../shared/api/client";
import type { Keys } from "../../shared/keys/keys";
import { roomOf } from "../../shared/room/room";
import { sound, speak } from "../../shared/sound/player";
import { SAID } from "../../shared/sound/words";
import { isBoxed, paperIsOut } from "./next";

const GLANCE_MS = 3000;

/**
 * A look at the black screen, by two keys so that no slip lights it: G, then L. While paper is out it is refused; Shift and L forces it. A glance
 * is on record, as it may have cost the sheet.
 */
export function useGlance(
  run: RunView,
  record: (kind: string) => void,
  onGlance: (open: boolean) => void,
): Keys {
  const [asked, setAsked] = useState(false);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    onGlance(open);
    if (!open) return;
    const end = window.setTimeout(() => setOpen(false), GLANCE_MS);
    return () => window.clearTimeout(end);
  }, [open, onGlance]);
  const look = useCallback(() => {
    record("GLANCE");
    setAsked(false);
    setOpen(true);
  }, [record]);
  if (roomOf(run.room) !== "blackout" || isBoxed(run)) return {};
  const out = paperIsOut(run);
  return {
    g: () => {
      speak([out ? SAID.paperIsOut : SAID.pressToLook]);
      setAsked(true);
    },
    l: () => {
      if (asked && !out) return look();
      if (asked) sound("mistake");
    },
    L: () => asked && look(),
  };
}
