import { type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import { useKeys } from "../shared/keys/keys";
import { enterRoom, useRoom } from "../shared/room/room";
import { BenchEdge } from "./BenchEdge";
import { KeyList } from "./KeyList";

/** A place beside the slates: the bench edge below it, and the keys that every such place has. */
export function PlaceFrame(props: { className?: string; children: ReactNode }) {
  const room = useRoom();
  const navigate = useNavigate();
  const [keysOpen, setKeysOpen] = useState(false);
  useKeys({
    b: () => void navigate("/"),
    s: () => enterRoom(room === "white" ? "safelight" : "white"),
    "?": () => setKeysOpen(true),
  });
  return (
    <div className={`frame rolls ${props.className ?? ""}`}>
      {props.children}
      <BenchEdge onKeys={() => setKeysOpen(true)} />
      <KeyList open={keysOpen} onClose={() => setKeysOpen(false)} />
    </div>
  );
}
