import { useSyncExternalStore } from "react";
import { useViewing, viewing, viewingQuery } from "./viewing";
import { type RecipeChange, type SlateView, previewPicture } from "../api/client";

/** Long side of a picture while something is dragged; the full one follows when it is let go. */
const DRAFT_SIDE = 480;

/** What a draft needs of the world; another one in tests. */
export interface Surroundings {
  fetch: (path: string, body: string) => Promise<Blob | undefined>;
  /** Decodes a picture; its address, ready to be painted. */
  decode: (picture: Blob) => Promise<string>;
  forget: (address: string) => void;
}

/**
 * The picture of a change that nobody has taken yet. One is asked for at a time: what is dragged meanwhile waits, and only
 * the newest of it is asked for next.
 */
export class DraftPicture {
  private picture: string | undefined;
  private slateId: string | undefined;
  private waiting: { path: string; body: string } | undefined;
  private asking = false;
  private turn = 0;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly world: Surroundings) {}

  readonly subscribe = (tell: () => void): (() => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };

  /** The draft of a slate that is shown instead of what stands; none when nothing is dragged. */
  of(slateId: string): string | undefined {
    return this.slateId === slateId ? this.picture : undefined;
  }

  /** A change under the pointer. */
  offer(
    slate: Pick<SlateView, "id" | "version">,
    change: RecipeChange,
    { withLocalWork = true }: { withLocalWork?: boolean } = {},
  ): void {
    this.slateId = slate.id;
    const query = new URLSearchParams({
      local: String(withLocalWork),
      side: String(DRAFT_SIDE),
      ...viewingQuery(viewing()),
    }).toString();
    this.waiting = {
      path: `/api/slates/${slate.id}/previews?${query}`,
      body: JSON.stringify({ ...change, version: slate.version }),
    };
    void this.ask();
  }

  /** Nothing is dragged any more: what stands is shown again. */
  end(): void {
    this.turn += 1;
    this.waiting = undefined;
    this.slateId = undefined;
    this.show(undefined);
  }

  private async ask(): Promise<void> {
    if (this.asking || !this.waiting) return;
    const { path, body } = this.waiting;
    const turn = this.turn;
    this.waiting = undefined;
    this.asking = true;
    try {
      const blob = await this.world.fetch(path, body);
      const picture = blob && (await this.world.decode(blob));
      if (picture !== undefined) {
        if (turn === this.turn) this.show(picture);
        else this.world.forget(picture);
      }
    } catch {
      // A draft that fails is left out; the edit itself says what is wrong.
    }
    this.asking = false;
    void this.ask();
  }

  private show(picture: string | undefined): void {
    if (this.picture !== undefined) this.world.forget(this.picture);
    this.picture = picture;
    this.listeners.forEach((tell) => tell());
  }
}

async function decoded(blob: Blob): Promise<string> {
  const address = URL.createObjectURL(blob);
  const image = new Image();
  image.src = address;
  await image.decode();
  return address;
}

/** The one drag there can be on a screen. */
export const draft = new DraftPicture({
  fetch: async (path, body) => {
    const answer = await fetch(path, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body,
    });
    return answer.ok ? answer.blob() : undefined;
  },
  decode: decoded,
  forget: (address) => URL.revokeObjectURL(address),
});

/** The computed print of a slate: of what is dragged while it is dragged, else of what stands; none without a scan. */
export function useStandingPicture(slate: SlateView, withLocalWork: boolean): string | undefined {
  const seen = useViewing();
  const dragged = useSyncExternalStore(draft.subscribe, () => draft.of(slate.id));
  if (slate.subject.positivePath === undefined) return undefined;
  return dragged ?? previewPicture(slate, withLocalWork, { seen });
}
