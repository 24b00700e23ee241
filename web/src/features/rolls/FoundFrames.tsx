import { Button } from "antd";
import type { FrameView } from "../../shared/api/client";
import type { useFound } from "../../shared/api/frames";
import { FrameButton } from "../../shared/ui/FrameButton";

/** Frames that were looked for, from whichever roll. */
export function FoundFrames(props: {
  found: ReturnType<typeof useFound>;
  chosen: string | undefined;
  onChoose: (frame: FrameView) => void;
}) {
  const { found } = props;
  const frames = found.data?.pages.flatMap((page) => page.frames) ?? [];
  const more = (found.data?.pages.at(-1)?.count ?? 0) - frames.length;
  return (
    <section className="proof" aria-label="Frames found">
      {found.data && frames.length === 0 && (
        <p className="proof-empty">No frame has all of that. Leave something out, or show all rolls.</p>
      )}
      <ul className="film found">
        {frames.map((frame) => (
          <li key={frame.id}>
            <FrameButton
              frame={frame}
              withRoll
              chosen={frame.id === props.chosen}
              onChoose={props.onChoose}
            />
          </li>
        ))}
      </ul>
      {more > 0 && (
        <Button
          className="more on-dark-quiet"
          loading={found.isFetchingNextPage}
          onClick={() => void found.fetchNextPage()}
        >
          More ({more})
        </Button>
      )}
    </section>
  );
}
