import type { SlateView } from "../../shared/api/client";
import { PatchSpans } from "./PatchSpans";

/** The pieces of a test as they will be laid, drawn as they will come out, with what each gets. */
export function LaidTest(props: { slate: SlateView; picture: string | undefined }) {
  const { test } = props.slate;
  return (
    <figure className="laid-test" style={{ "--aspect": test.aspect } as React.CSSProperties}>
      {props.picture === undefined ? (
        <span className="blank-sheet" />
      ) : (
        <img src={props.picture} alt="The test as it will come out" draggable={false} />
      )}
      <PatchSpans patches={test.patches} />
    </figure>
  );
}
