import { type UseMutationResult, useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { type Problem, type RunView, type SlateView, api, toProblem, unwrap } from "../api/client";
import { enterRoom, roomOf } from "../room/room";
import { openAudio } from "../sound/player";

/**
 * Takes a piece of paper: the room turns dark and the run begins. It waits its turn behind the edits of the slate, so that paper is never exposed
 * with what stood before the last of them.
 */
export function useBeginSheet(slate: SlateView): UseMutationResult<RunView, Problem, string> {
  const navigate = useNavigate();
  const client = useQueryClient();
  return useMutation<RunView, Problem, string>({
    scope: { id: `slate-${slate.id}` },
    mutationFn: async (kind) => {
      openAudio();
      // Full screen is entered while it is still light: the browser shows words of its own for it.
      const fullScreen = roomOf(slate.medium.room) === "blackout";
      if (fullScreen) await document.documentElement.requestFullscreen().catch(() => undefined);
      const now = client.getQueryData<SlateView>(["slate", slate.id]);
      return unwrap(
        api.POST("/api/slates/{id}/sheets", {
          params: { path: { id: slate.id } },
          body: { version: now?.version ?? slate.version, kind },
        }),
      ).catch((error: unknown) => {
        if (document.fullscreenElement) void document.exitFullscreen();
        throw toProblem(error);
      });
    },
    onSuccess: (run) => {
      client.setQueryData(["run", run.sheetId], run);
      void client.invalidateQueries({ queryKey: ["slate", slate.id] });
      enterRoom(roomOf(run.room));
      void navigate(`/runs/${run.sheetId}`);
    },
  });
}
