import { useMutation } from "@tanstack/react-query";
import { Button } from "antd";
import { type Problem, api, toProblem, unwrap } from "../../shared/api/client";

const ASK_EVERY_MS = 400;
const ANSWER_MS = 5_000;
/** Making the practice darkroom for the first time exposes every sheet of its demo slates. */
const PATIENCE_MS = 120_000;

/** Asks until the other darkroom answers: in between this address does not. */
async function openedAs(practice: boolean): Promise<boolean> {
  const last = Date.now() + PATIENCE_MS;
  while (Date.now() < last) {
    await new Promise((resolve) => window.setTimeout(resolve, ASK_EVERY_MS));
    // A connection that was taken up while the address closes may never be answered.
    const bench = await api
      .GET("/api/bench", { signal: AbortSignal.timeout(ANSWER_MS) })
      .catch(() => undefined);
    if (bench?.data?.practice === practice) return true;
  }
  return false;
}

/** Nothing that is made in the practice darkroom came from a real one, and that is said; one switch leads there and back. */
export function PracticeSwitch(props: { practice: boolean }) {
  const other = !props.practice;
  const change = useMutation<unknown, Problem>({
    mutationFn: async () => {
      await unwrap(api.POST("/api/bench/darkroom", { body: { practice: other } })).catch((error: unknown) => {
        const problem = toProblem(error);
        // It may close before its answer is through.
        if (problem.code !== "offline") throw problem;
      });
      if (!(await openedAs(other))) throw toProblem(undefined);
    },
    // Another darkroom is another world: nothing of this page is kept.
    onSuccess: () => window.location.assign("/"),
  });
  return (
    <div className={props.practice ? "practice-mark" : "practice-offer"}>
      {props.practice && (
        <span>
          <strong>Practice darkroom.</strong> Lamp, paper and scans are simulated.
        </span>
      )}
      <Button className="on-dark-quiet" loading={change.isPending} onClick={() => change.mutate()}>
        {change.isPending
          ? "Opening the other darkroom …"
          : props.practice
            ? "To my own darkroom"
            : "To the practice darkroom"}
      </Button>
      {change.error && (
        <span className="field-message" role="alert">
          {change.error.message}
        </span>
      )}
    </div>
  );
}
