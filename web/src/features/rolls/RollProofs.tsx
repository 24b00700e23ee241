import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { Link, useNavigate } from "react-router";
import { type Problem, type Schemas, api, unwrap } from "../../shared/api/client";

/** The proofs of a roll: those that were made, and a new one, which is a slate like any other until it hangs. */
export function RollProofs(props: { roll: Schemas["RollView"] }) {
  const { roll } = props;
  const navigate = useNavigate();
  const client = useQueryClient();
  const start = useMutation<{ id: string }, Problem>({
    mutationFn: () => unwrap(api.POST("/api/slates", { body: { rollId: roll.id } })),
    onSuccess: (slate) => {
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["bench"] });
      void navigate(`/slates/${slate.id}/setup`);
    },
  });
  return (
    <>
      {roll.proofs.map((proof) => (
        <span className="roll-proof" key={proof.slateId}>
          {proof.accepted ? "Proof: " : "Proof begun: "}
          <Link to={`/slates/${proof.slateId}/${proof.accepted ? "keep" : "test"}`}>{proof.recipeLine}</Link>
        </span>
      ))}
      {roll.frames.length > 0 && (
        <Button
          size="small"
          className="roll-proof-new"
          loading={start.isPending}
          onClick={() => start.mutate()}
        >
          {roll.proofs.length === 0 ? "Proof in contact" : "Another proof"}
        </Button>
      )}
      {start.error && (
        <span className="field-message" role="alert">
          {start.error.message}
        </span>
      )}
    </>
  );
}
