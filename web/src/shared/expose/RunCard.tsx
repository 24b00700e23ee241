import type { SlateView } from "../api/client";
import { useRoom } from "../room/room";

/** The run on a card for the wall; it opens as a file, which only white light bears. */
export function RunCard(props: { slate: SlateView; kind: string }) {
  if (useRoom() !== "white") return null;
  return (
    <a
      className="on-dark-link"
      title="This run on a card for the wall (PDF)"
      href={`/api/slates/${props.slate.id}/run-card/${props.kind}`}
      target="_blank"
      rel="noreferrer"
    >
      Card
    </a>
  );
}
