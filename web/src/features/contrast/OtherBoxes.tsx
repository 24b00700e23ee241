import { Button } from "antd";
import type { SlateContext } from "../../app/SlateFrame";
import { useStores } from "../../shared/api/slate";
import type { Stores } from "../../shared/api/stores";

type Box = Stores["papers"][number];

/** Boxes of the same graded paper, softest first, the one that stands among them; of one grade in several boxes the fullest. */
export function gradesOf(papers: readonly Box[], paperId: string): Box[] {
  const own = papers.find((p) => p.id === paperId);
  if (own?.grade === undefined) return [];
  const byGrade = new Map<number, Box>([[own.grade, own]]);
  for (const p of papers) {
    if (p.name !== own.name || p.grade === undefined || p.grade === own.grade) continue;
    const known = byGrade.get(p.grade);
    if (known === undefined || p.sheetsLeft > known.sheetsLeft) byGrade.set(p.grade, p);
  }
  return [...byGrade.values()].sort((a, b) => (a.grade ?? 0) - (b.grade ?? 0));
}

/** Boxes to choose contrast by, and a step to the next harder or softer one. */
export function useOtherBoxes({ slate, edit }: SlateContext) {
  const boxes = gradesOf(useStores().data?.papers ?? [], slate.setup.paperId);
  const at = boxes.findIndex((p) => p.id === slate.setup.paperId);
  const take = (box: Box | undefined) => {
    if (box && box.id !== slate.setup.paperId) edit.mutate({ setup: { paperId: box.id } });
  };
  return { boxes, take, step: (by: 1 | -1) => take(boxes[at + by]) };
}

/** On graded paper contrast is chosen by taking another box; light tones stay, and the time goes along. */
export function OtherBoxes(props: { slate: SlateContext["slate"] } & ReturnType<typeof useOtherBoxes>) {
  return (
    <div className="field">
      <span>Boxes of this paper; light tones are held.</span>
      <div className="contrast-steps" role="group" aria-label="Boxes of this paper">
        {props.boxes.map((box) => {
          const stands = box.id === props.slate.setup.paperId;
          return (
            <Button
              key={box.id}
              aria-pressed={stands}
              type={stands ? "primary" : "default"}
              onClick={() => props.take(box)}
            >
              Paper grade {box.grade}
            </Button>
          );
        })}
      </div>
    </div>
  );
}
