import { Modal } from "antd";
import { useRoom } from "../shared/room/room";
import type { Stations } from "./BenchEdge";

const GENERAL: readonly (readonly [string, string])[] = [
  ["B", "Bench"],
  ["N", "next step"],
  ["U", "undo"],
  ["Shift U", "redo"],
  ["S", "white light or safelight"],
  ["↑ ↓", "one step in a field; with Shift a bigger one"],
  ["?", "this list"],
];
const ROLLS: readonly (readonly [string, string])[] = [
  ["/", "find a frame; Escape shows all rolls"],
  ["arrows", "from frame to frame on a proof sheet; Enter picks it, and again leads to what is known of it"],
  ["P M X", "the picked frame: print it, maybe, no"],
];
const TEST: readonly (readonly [string, string])[] = [
  ["C T O D G P", "plan: cover strip, same spot, openings, wedge disc, one sheet, pieces"],
  ["E", "expose the test as planned; at Print, the print"],
  ["W M K", "mark the whites, the middle, or the first black"],
  ["A", "look at one patch alone"],
  ["G", "look again with the marks hidden; all looks count together"],
  ["I", "read it from its picture; then P bare paper, N full black, Y grey card, L a quarter turn"],
  ["← →", "on a mark: half a patch lighter or darker"],
  ["arrows", "on a named tone, a strip or a window: move it; with Shift farther"],
];
const COLOUR: readonly (readonly [string, string])[] = [
  [
    "V A P I T",
    "viewing filter; by name; pieces, where the sheet is of some; a spot in a picture; a colour meter",
  ],
  ["arrows", "walk round the rose, or from piece to piece; + and − the strength; Enter takes it"],
  ["G", "look again with nothing marked; all looks count together"],
  ["L", "time a look: two seconds at the print, then rest on the grey of the screen"],
  ["Y", "a grey card lies beside the print, or nothing; in a picture: the spot is the grey card"],
  ["W", "in a picture without a rim: bare paper is tapped, or the spot again"],
];
const SHAPE: readonly (readonly [string, string])[] = [
  ["O", "new ellipse"],
  ["L", "new lasso"],
  ["K", "new card edge"],
  ["arrows", "on an area: move it; + and − make it larger or smaller"],
  ["W", "with and without local work"],
];
const RUN: readonly (readonly [string, string])[] = [
  ["Space", "the next thing: lamp on, in the developer, hang; a foot switch alike"],
  ["Space, held", "say it again, or end the light; two seconds: take back"],
  ["R", "say it again"],
  ["X", "end the light now"],
  ["U", "take back the last answer; a lit lamp goes off"],
  ["S O D", "a slip; good; to be made again"],
  ["K", "the box lies open, or is shut"],
  ["B", "leave: close, count, and again when all is safe"],
  ["A, held", "alarm: leave, paper is replaceable"],
  ["⌫ ⌫", "give the sheet up; the second press does it"],
  ["F", "in the blackout room: full screen again, after the alarm"],
  ["G L", "in the blackout room: look at the screen; refused while paper is out, unless with Shift"],
];

function Group(props: { title: string; rows: readonly (readonly [string, string])[] }) {
  return (
    <section>
      <h3>{props.title}</h3>
      <dl>
        {props.rows.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** The list of keys. */
export function KeyList(props: { open: boolean; stations?: Stations; onClose: () => void }) {
  const room = useRoom();
  return (
    <Modal open={props.open} onCancel={props.onClose} footer={null} title="Keys" width={720}>
      <div className="key-list">
        <Group title="Anywhere" rows={GENERAL} />
        <Group title="Rolls" rows={ROLLS} />
        {props.stations && (
          <Group title="Stations" rows={props.stations.map((s) => [s.key, s.name] as const)} />
        )}
        <Group title="Test" rows={TEST} />
        {props.stations?.some((s) => s.name === "Colour") && <Group title="Colour" rows={COLOUR} />}
        <Group title="Shape" rows={SHAPE} />
        <Group title="Under the lamp" rows={RUN} />
      </div>
      {room === "white" && (
        <p className="note">
          For scripts: <a href="/api/reference">reference of the API</a>. It is bright, and opens in white
          light only.
        </p>
      )}
    </Modal>
  );
}
