import { type UseMutationResult, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  type Problem,
  type RecipeChange,
  type Schemas,
  type SlateView,
  type Standing,
  api,
  flat,
  toProblem,
  unwrap,
} from "./client";

const slateKey = (id: string) => ["slate", id] as const;

export function useSlate(id: string) {
  const client = useQueryClient();
  return useQuery({
    queryKey: slateKey(id),
    queryFn: async () => {
      const fetched = flat(await unwrap(api.GET("/api/slates/{id}", { params: { path: { id } } })));
      return newer(client.getQueryData<SlateView>(slateKey(id)), fetched);
    },
  });
}

/** Of two states of a slate the newer one: an answer that was slow must not overwrite what was learned meanwhile. */
export function newer(kept: SlateView | undefined, come: SlateView): SlateView {
  return kept && kept.version > come.version ? kept : come;
}

export type SlateChange<A> = UseMutationResult<SlateView, Problem, A>;

/** What a change answers: the whole slate, or only what an edit can change. */
type Answer = Schemas["SlateView"] | Standing;

/** The slate after a change. */
export function merged(now: SlateView | undefined, answer: Answer): SlateView {
  if ("standing" in answer) return flat(answer);
  if (!now) throw new Error("an edit needs the slate it belongs to");
  return {
    ...now,
    ...answer,
    undoLabel: answer.undoLabel,
    redoLabel: answer.redoLabel,
    acceptedSheetId: answer.acceptedSheetId,
  };
}

/**
 * A change of a slate. Changes of one slate run one after another, each with the version the one before it left, so that
 * fast typing never meets itself as a second window.
 */
export function useSlateChange<A>(
  id: string,
  change: (argument: A, version: number, now: SlateView | undefined) => Promise<Answer>,
): SlateChange<A> {
  const client = useQueryClient();
  return useMutation<SlateView, Problem, A>({
    scope: { id: `slate-${id}` },
    mutationFn: async (argument) => {
      const now = client.getQueryData<SlateView>(slateKey(id));
      try {
        const answer = await change(argument, now?.version ?? 0, now);
        return merged(client.getQueryData<SlateView>(slateKey(id)), answer);
      } catch (error) {
        throw toProblem(error);
      }
    },
    onSuccess: (slate) => {
      client.setQueryData(slateKey(id), slate);
      void client.invalidateQueries({ queryKey: ["bench"] });
    },
  });
}

/** An edit as values, or reckoned from what stands when its turn comes: quick steps then add up. */
export type RecipeEdit = RecipeChange | ((now: SlateView) => RecipeChange);

export function useRecipeEdit(id: string): SlateChange<RecipeEdit> {
  return useSlateChange<RecipeEdit>(id, (edit, version, now) => {
    const change = typeof edit !== "function" ? edit : now ? edit(now) : {};
    return unwrap(
      api.PATCH("/api/slates/{id}/recipe", { params: { path: { id } }, body: { ...change, version } }),
    );
  });
}

/** For a change whose refusal the page shows elsewhere. */
export function quietly(change: Promise<unknown>): void {
  change.catch(() => undefined);
}

/** Focus and frame were looked at as they stand. */
export function useFocusCheck(id: string): SlateChange<"looked"> {
  return useSlateChange<"looked">(id, (_looked, version) =>
    unwrap(api.POST("/api/slates/{id}/focus-check", { params: { path: { id } }, body: { version } })),
  );
}

export function useUndo(id: string): SlateChange<"undo" | "redo"> {
  return useSlateChange<"undo" | "redo">(id, (which, version) =>
    which === "undo"
      ? unwrap(api.POST("/api/slates/{id}/undo", { params: { path: { id } }, body: { version } }))
      : unwrap(api.POST("/api/slates/{id}/redo", { params: { path: { id } }, body: { version } })),
  );
}

export function useStores() {
  return useQuery({
    queryKey: ["stores"],
    queryFn: () => unwrap(api.GET("/api/stores")),
    staleTime: 60_000,
  });
}

export function useBench() {
  return useQuery({ queryKey: ["bench"], queryFn: () => unwrap(api.GET("/api/bench")) });
}
