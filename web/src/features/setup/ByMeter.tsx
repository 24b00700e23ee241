import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import type { SlateContext } from "../../app/SlateFrame";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { TextField } from "../../shared/ui/TextField";
import { seconds } from "../../shared/units/format";
import { parseQuantity } from "../../shared/units/parse";

/** Two readings of a meter in place of size, opening and lamp: the surest way to another set-up. */
export function ByMeter({ slate, edit }: SlateContext) {
  const [before, setBefore] = useState("");
  const [now, setNow] = useState("");
  const luxBefore = reading(before);
  const luxNow = reading(now);
  const found = useQuery<Schemas["Proposal"], Problem>({
    queryKey: ["slate", slate.id, "starting-time", slate.recipeId, luxBefore, luxNow],
    enabled: luxBefore !== undefined && luxNow !== undefined,
    retry: false,
    queryFn: () =>
      unwrap(
        api.GET("/api/slates/{id}/starting-time", {
          params: { path: { id: slate.id }, query: { luxBefore: luxBefore ?? 0, luxNow: luxNow ?? 0 } },
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
  const start = found.data;
  return (
    <details
      className="by-meter"
      // Its fields would open behind the verdict.
      onToggle={(event) => event.currentTarget.scrollIntoView({ block: "end" })}
    >
      <summary>By a meter at the board</summary>
      <div className="field-row">
        <TextField
          label="As it stood for the print"
          value={before}
          error={unread(before) ?? found.error?.at("/luxBefore")}
          onChange={setBefore}
        />
        <TextField
          label="As it stands now"
          value={now}
          error={unread(now) ?? found.error?.at("/luxNow")}
          onChange={setNow}
        />
      </div>
      {start && (
        <p className="note">
          {start.arithmetic.slice(1).join(" ")}{" "}
          <Button
            size="small"
            onClick={() =>
              edit.mutate({
                base: {
                  takeStartingTime: true,
                  ...(luxBefore !== undefined && { luxBefore }),
                  ...(luxNow !== undefined && { luxNow }),
                },
              })
            }
          >
            Set {seconds(start.seconds)} s
          </Button>
        </p>
      )}
    </details>
  );
}

function unread(text: string): string | undefined {
  const parsed = parseQuantity(text);
  return text.trim() !== "" && parsed.kind === "error" ? parsed.message : undefined;
}

function reading(text: string): number | undefined {
  const parsed = parseQuantity(text);
  return parsed.kind === "error" ? undefined : parsed.value;
}
