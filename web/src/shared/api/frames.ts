import {
  keepPreviousData,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { type Problem, type Schemas, api, toProblem, unwrap } from "./client";

export type FrameDetail = Schemas["FrameDetail"];
export type NeedAsked = Schemas["NeedAsked"];
export type Notes = Schemas["NotesView"];
export type History = Schemas["HistoryView"];

/** What frames are looked for by; whatever is left out may be anything. */
export interface Looked {
  words?: string;
  rating?: string;
  printed?: boolean;
  film?: string;
  paper?: string;
  size?: string;
  fromDay?: string;
  toDay?: string;
  lightFrom?: string;
  lightTo?: string;
}

/** A frame with all that is known of it. */
export function useFrame(id: string) {
  return useQuery({
    queryKey: ["frame", id],
    queryFn: () => unwrap(api.GET("/api/frames/{id}", { params: { path: { id } } })),
  });
}

/** Changes what is said of a frame; proof sheets and searches show it at once. */
export function useFrameChange(id: string) {
  const client = useQueryClient();
  return useMutation<FrameDetail, Problem, Schemas["FrameChange"]>({
    mutationFn: (body) =>
      unwrap(api.PATCH("/api/frames/{id}", { params: { path: { id } }, body })).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (detail) => {
      client.setQueryData(["frame", id], detail);
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["found"] });
    },
  });
}

/** Changes what a roll is called, how it is cut and what is known of it. */
export function useRollChange(id: string) {
  const client = useQueryClient();
  return useMutation<Schemas["RollView"], Problem, Schemas["RollChange"]>({
    mutationFn: (body) =>
      unwrap(api.PATCH("/api/rolls/{id}", { params: { path: { id } }, body })).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["history", id] });
      void client.invalidateQueries({ queryKey: ["found"] });
    },
  });
}

/** Keeps or forgets what a frame needs beside another one. */
export function useNeed(id: string) {
  const client = useQueryClient();
  return useMutation<unknown, Problem, NeedAsked | undefined>({
    mutationFn: (body) => {
      const params = { path: { id } };
      const sent = body
        ? unwrap(api.PUT("/api/frames/{id}/need", { params, body }))
        : unwrap(api.DELETE("/api/frames/{id}/need", { params }));
      return sent.catch((error: unknown) => {
        throw toProblem(error);
      });
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["frame", id] });
      void client.invalidateQueries({ queryKey: ["rolls"] });
      void client.invalidateQueries({ queryKey: ["found"] });
    },
  });
}

/** What the scan of the proof says of two frames, when asked. */
export function useNeedByScan(id: string) {
  return useMutation<Schemas["NeedByScan"], Problem, string>({
    mutationFn: (against) =>
      unwrap(
        api.GET("/api/frames/{id}/need/by-scan", { params: { path: { id }, query: { against } } }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
}

export function useHistory(rollId: string, enabled: boolean) {
  return useQuery({
    queryKey: ["history", rollId],
    enabled,
    queryFn: () => unwrap(api.GET("/api/rolls/{id}/history", { params: { path: { id: rollId } } })),
  });
}

export function useFormats() {
  return useQuery({
    queryKey: ["formats"],
    staleTime: Infinity,
    queryFn: () => unwrap(api.GET("/api/formats")),
  });
}

/** Frames that are looked for, page by page; the last answer stays until the next one is there. */
export function useFound(looked: Looked, enabled: boolean) {
  return useInfiniteQuery({
    queryKey: ["found", looked],
    enabled,
    retry: false,
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      unwrap(api.GET("/api/search", { params: { query: { ...looked, skipped: pageParam } } })),
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.frames.length, 0);
      return shown < last.count ? shown : undefined;
    },
  });
}

export function useSearchChoices(enabled: boolean) {
  return useQuery({
    queryKey: ["found", "choices"],
    enabled,
    queryFn: () => unwrap(api.GET("/api/search/choices")),
  });
}
