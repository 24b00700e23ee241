import { Button } from "antd";
import type { Problem } from "../api/client";

/** What went wrong with a change, where nothing closer to the field can say it. */
export function ProblemBar(props: { problem: Problem | null | undefined; onReload?: () => void }) {
  if (!props.problem) return null;
  const stale = props.problem.code === "stale-version";
  return (
    <div className="problem-bar" role="alert">
      <p>{props.problem.message}</p>
      {stale && props.onReload && (
        <Button size="small" onClick={props.onReload}>
          Load the newer state
        </Button>
      )}
    </div>
  );
}
