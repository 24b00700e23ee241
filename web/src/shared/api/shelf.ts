import {
  keepPreviousData,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { type Problem, type Schemas, api, toProblem, unwrap } from "./client";

type SlatePage = Schemas["SlatePage"];
type RollPage = Schemas["RollPage"];

/** Rolls page by page, the newest first; the pages that were asked for as one list. */
export function useRolls(putAway: boolean, enabled = true) {
  return useInfiniteQuery({
    queryKey: ["rolls", { putAway }],
    enabled,
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      unwrap(
        api.GET("/api/rolls", { params: { query: { putAway, ...(pageParam && { after: pageParam }) } } }),
      ),
    getNextPageParam: (last: RollPage) => (last.moreRolls > 0 ? last.rolls.at(-1)?.id : undefined),
  });
}

export function useRoll(id: string) {
  return useQuery({
    queryKey: ["rolls", id],
    queryFn: () => unwrap(api.GET("/api/rolls/{id}", { params: { path: { id } } })),
  });
}

/** The slates that follow one, page by page; those put away follow none. */
export function useSlates(putAway: boolean, after: string | undefined, enabled: boolean) {
  return useInfiniteQuery({
    queryKey: ["bench", { putAway, after }],
    enabled,
    placeholderData: keepPreviousData,
    initialPageParam: after,
    queryFn: ({ pageParam }) =>
      unwrap(
        api.GET("/api/slates", { params: { query: { putAway, ...(pageParam && { after: pageParam }) } } }),
      ),
    getNextPageParam: (last: SlatePage) => (last.moreSlates > 0 ? last.slates.at(-1)?.id : undefined),
  });
}

/** A slate or a roll, as it is put away. */
export interface Thing {
  kind: "slate" | "roll";
  id: string;
}

/** What can be done with a thing that is not needed now. */
export function useShelf(thing: Thing) {
  const client = useQueryClient();
  const path = { params: { path: { id: thing.id } } };
  const refused = (error: unknown): never => {
    throw toProblem(error);
  };
  const outdated = (...keys: string[][]) =>
    Promise.all(keys.map((queryKey) => client.invalidateQueries({ queryKey })));
  const putAway = useMutation<unknown, Problem, boolean>({
    mutationFn: (away) =>
      unwrap(
        thing.kind === "slate"
          ? api.POST("/api/slates/{id}/put-away", { ...path, body: { away } })
          : api.POST("/api/rolls/{id}/put-away", { ...path, body: { away } }),
      ).catch(refused),
    onSuccess: () => outdated(["bench"], ["rolls"], ["slate", thing.id]),
  });
  const remove = useMutation<unknown, Problem>({
    mutationFn: async () => {
      const answer = await (
        thing.kind === "slate" ? api.DELETE("/api/slates/{id}", path) : api.DELETE("/api/rolls/{id}", path)
      ).catch(() => ({
        error: { code: "offline", detail: "Key Slate does not answer. Is it still running?" },
      }));
      if (answer.error !== undefined) throw toProblem(answer.error);
    },
    // Its own page is left next, and must not ask for it once more.
    onSuccess: () => outdated(["bench"], ["rolls"]),
  });
  return { putAway, remove };
}
