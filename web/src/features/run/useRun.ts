import { type UseMutationResult, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { type Problem, type RunView, type SlateView, api, toProblem, unwrap } from "../../shared/api/client";
import { enterRoom } from "../../app/room";

/** Takes a piece of paper: the room turns to safelight and the run begins. */
export function useBeginSheet(slate: SlateView): UseMutationResult<RunView, Problem, "STRIP" | "PRINT"> {
  const navigate = useNavigate();
  const client = useQueryClient();
  return useMutation<RunView, Problem, "STRIP" | "PRINT">({
    mutationFn: (kind) =>
      unwrap(
        api.POST("/api/slates/{id}/sheets", {
          params: { path: { id: slate.id } },
          body: { version: slate.version, kind },
        }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (run) => {
      client.setQueryData(["run", run.sheetId], run);
      void client.invalidateQueries({ queryKey: ["slate", slate.id] });
      enterRoom("safelight");
      void navigate(`/runs/${run.sheetId}`);
    },
  });
}

export function useRun(sheetId: string) {
  return useQuery({
    queryKey: ["run", sheetId],
    queryFn: () => unwrap(api.GET("/api/sheets/{id}/run", { params: { path: { id: sheetId } } })),
  });
}

export function useLamp(
  sheetId: string,
): UseMutationResult<RunView, Problem, { on: boolean; burst?: number }> {
  const client = useQueryClient();
  return useMutation<RunView, Problem, { on: boolean; burst?: number }>({
    mutationFn: (body) =>
      unwrap(api.POST("/api/sheets/{id}/lamp", { params: { path: { id: sheetId } }, body })).catch(
        (error: unknown) => {
          throw toProblem(error);
        },
      ),
    onSuccess: (run) => client.setQueryData(["run", sheetId], run),
    onError: () => void client.invalidateQueries({ queryKey: ["run", sheetId] }),
  });
}

/** Ends a run: processed and hung, or given up. */
export function useEndRun(
  sheetId: string,
): UseMutationResult<SlateView, Problem, { hang: true } | { hang: false; reason: string }> {
  const client = useQueryClient();
  return useMutation<SlateView, Problem, { hang: true } | { hang: false; reason: string }>({
    mutationFn: (end) =>
      unwrap(
        end.hang
          ? api.POST("/api/sheets/{id}/hang", { params: { path: { id: sheetId } } })
          : api.POST("/api/sheets/{id}/abandon", {
              params: { path: { id: sheetId } },
              body: { reason: end.reason },
            }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (slate) => {
      client.setQueryData(["slate", slate.id], slate);
      void client.invalidateQueries({ queryKey: ["bench"] });
      void client.invalidateQueries({ queryKey: ["run", sheetId] });
    },
  });
}
