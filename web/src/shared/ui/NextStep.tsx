import { Button } from "antd";
import { useNavigate } from "react-router";
import type { Schemas } from "../api/client";

/** The way on from wherever the slate stands, with its key. */
export function NextStepButton(props: { slateId: string; next: Schemas["NextStepView"] }) {
  const navigate = useNavigate();
  const { slateId, next } = props;
  return (
    <Button
      type="primary"
      className="on-dark"
      onClick={() => void navigate(`/slates/${slateId}/${next.station}`)}
    >
      {next.action} <kbd>N</kbd>
    </Button>
  );
}
