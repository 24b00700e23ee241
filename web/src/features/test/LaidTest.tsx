import type { SlateView } from "../../shared/api/client";
import { seconds } from "../../shared/units/format";

/** The pieces of a test as they will be laid, drawn as they will come out, with what each gets. */
export function LaidTest(props: { slate: SlateView; picture: string | undefined }) {
  const { test } = props.slate;
  const percent = (share: number) => `${(100 * share).toFixed(3)}%`;
  return (
    <figure className="laid-test" style={{ "--aspect": test.aspect } as React.CSSProperties}>
      {props.picture === undefined ? (
        <span className="blank-sheet" />
      ) : (
        <img src={props.picture} alt="The test as it will come out" draggable={false} />
      )}
      {test.patches.map((p) => (
        <span
          key={p.number}
          className="strip-patch"
          style={{
            left: percent(p.place.left),
            top: percent(p.place.top),
            width: percent(p.place.width),
            height: percent(p.place.height),
          }}
        >
          <b>{p.number}</b>
          <span className="patch-seconds">{p.name === "" ? `${seconds(p.totalSeconds)} s` : p.name}</span>
        </span>
      ))}
    </figure>
  );
}
