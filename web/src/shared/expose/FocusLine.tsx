import { Button } from "antd";
import { type SlateView } from "../api/client";
import { useFocusCheck } from "../api/slate";
import { useKeys } from "../keys/keys";

/** What may have moved since focus and frame were looked at; one press answers, and nothing waits for it. */
export function FocusLine(props: { slate: SlateView }) {
  const { slate } = props;
  const check = useFocusCheck(slate.id);
  const moved = slate.geometry.movedSinceLook;
  const looked = () => {
    if (moved.length > 0 && !check.isPending) check.mutate("looked");
  };
  useKeys({ f: looked });
  if (moved.length === 0) return null;
  return (
    <p className="focus-line">
      <span>Look at focus and frame: {moved.join(", ")}.</span>
      <Button size="small" loading={check.isPending} onClick={looked}>
        Looked at <kbd>F</kbd>
      </Button>
      {check.error && (
        <span className="field-message" role="alert">
          {check.error.message}
        </span>
      )}
    </p>
  );
}
