import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useRef } from "react";
import { useNavigate } from "react-router";
import { useRoom } from "../../shared/room/room";
import { type Problem, type Schemas, type SlateView, flat, toProblem } from "../../shared/api/client";

async function takeIn(file: File): Promise<SlateView> {
  const answer = await fetch("/api/imports", {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: await file.arrayBuffer(),
  }).catch(() => undefined);
  const body: unknown = await answer?.json().catch(() => undefined);
  if (!answer?.ok) throw toProblem(body);
  return flat(body as Schemas["SlateView"]);
}

/** Takes a slate file in and opens it; a damaged or foreign one is refused with the reason, and nothing changes. */
export function ImportSlate() {
  const white = useRoom() === "white";
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const client = useQueryClient();
  const take = useMutation<SlateView, Problem, File>({
    mutationFn: takeIn,
    onSuccess: (slate) => {
      void client.invalidateQueries();
      void navigate(`/slates/${slate.id}/keep`);
    },
  });
  return (
    <div className="import">
      <Button disabled={!white} loading={take.isPending} onClick={() => input.current?.click()}>
        Take in a slate file{!white && ", in white light"}
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="visually-hidden"
        aria-label="Slate file"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) take.mutate(file);
        }}
      />
      {take.error && (
        <p className="field-message" role="alert">
          {take.error.at("/file") ?? take.error.message}
        </p>
      )}
    </div>
  );
}
