import { useCallback } from "react";
import { type UseMutationResult, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  type Problem,
  type RunView,
  type Schemas,
  type SlateView,
  api,
  flat,
  lampApi,
  toProblem,
  unwrap,
} from "../../shared/api/client";

export type LampRequest = Schemas["LampRequest"];

const DISK_ASKED_EVERY_MS = 1000;

export function useRun(sheetId: string) {
  return useQuery({
    queryKey: ["run", sheetId],
    queryFn: () => unwrap(api.GET("/api/sheets/{id}/run", { params: { path: { id: sheetId } } })),
    // Nobody says when the disk is well again.
    refetchInterval: (query) => (query.state.data?.unwritten === true ? DISK_ASKED_EVERY_MS : false),
  });
}

/** Whether something is being asked for this sheet, at this very moment: a second press before the page is drawn again is none. */
export function useIsAsking(sheetId: string): () => boolean {
  const client = useQueryClient();
  return useCallback(() => client.isMutating({ mutationKey: ["run", sheetId] }) > 0, [client, sheetId]);
}

function useRunChange<A>(
  sheetId: string,
  change: (argument: A) => Promise<RunView>,
): UseMutationResult<RunView, Problem, A> {
  const client = useQueryClient();
  // What was asked before a change may be answered after it, and would then show a lamp dark that is lit.
  const forgetOlder = () => void client.cancelQueries({ queryKey: ["run", sheetId] });
  return useMutation<RunView, Problem, A>({
    mutationKey: ["run", sheetId],
    mutationFn: (argument) =>
      change(argument).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onMutate: forgetOlder,
    onSuccess: (run) => {
      forgetOlder();
      client.setQueryData(["run", sheetId], run);
    },
    onError: () => void client.invalidateQueries({ queryKey: ["run", sheetId] }),
  });
}

/** Lamp on for a step, or off: by the port that is the run's own, or by the page's where a browser refuses the other. */
export function useLamp(run: RunView): UseMutationResult<RunView, Problem, LampRequest> {
  const { sheetId, lampPort } = run;
  return useRunChange<LampRequest>(sheetId, (body) => {
    const request = { params: { path: { id: sheetId } }, body };
    const own = lampApi(lampPort).POST("/api/sheets/{id}/lamp", request);
    return unwrap(own.catch(() => api.POST("/api/sheets/{id}/lamp", request)));
  });
}

/** What happened to the sheet after its light. */
export function useHappened(sheetId: string): UseMutationResult<RunView, Problem, string> {
  return useRunChange<string>(sheetId, (kind) =>
    unwrap(api.POST("/api/sheets/{id}/events", { params: { path: { id: sheetId } }, body: { kind } })),
  );
}

/** The box of the run's paper lies open, or is shut. */
export function useBox(run: RunView): UseMutationResult<RunView, Problem, boolean> {
  const path = { sheet: { path: { id: run.sheetId } }, paper: { path: { id: run.paperId } } };
  return useRunChange<boolean>(run.sheetId, (open) =>
    unwrap(api.POST("/api/papers/{id}/box", { params: path.paper, body: { open } })).then(() =>
      unwrap(api.GET("/api/sheets/{id}/run", { params: path.sheet })),
    ),
  );
}

/** White light against advice, or the alarm: what was not safe is written down. */
export function putOnRecord(what: "white-light" | "alarm"): Promise<Schemas["RoomLightView"]> {
  return unwrap(
    what === "alarm" ? api.POST("/api/alarm") : api.POST("/api/white-light", { body: { onPurpose: true } }),
  );
}

/** Ends a run: processed and hung, or given up. */
export function useEndRun(
  sheetId: string,
): UseMutationResult<SlateView, Problem, { hang: true } | { hang: false; reason: string }> {
  const client = useQueryClient();
  return useMutation<SlateView, Problem, { hang: true } | { hang: false; reason: string }>({
    mutationKey: ["run", sheetId],
    mutationFn: (end) =>
      unwrap(
        end.hang
          ? api.POST("/api/sheets/{id}/hang", { params: { path: { id: sheetId } } })
          : api.POST("/api/sheets/{id}/abandon", {
              params: { path: { id: sheetId } },
              body: { reason: end.reason },
            }),
      ).then(flat, (error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (slate) => {
      client.setQueryData(["slate", slate.id], slate);
      void client.invalidateQueries({ queryKey: ["bench"] });
      void client.invalidateQueries({ queryKey: ["run", sheetId] });
    },
  });
}
