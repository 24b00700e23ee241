import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type Problem, type Schemas, api, toProblem, unwrap } from "./client";

export type Stores = Schemas["StoresView"];
export type Constant = Schemas["ConstantView"];
export type Calibration = Schemas["CalibrationView"];

/** One change of the shelves; they are answered as they are then, and whatever rests on them is asked for anew. */
export function useStoresChange<A>(change: (argument: A) => Promise<Stores>) {
  const client = useQueryClient();
  return useMutation<Stores, Problem, A>({
    mutationFn: (argument) =>
      change(argument).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (stores) => {
      client.setQueryData(["stores"], stores);
      for (const key of ["slate", "bench", "kits"]) void client.invalidateQueries({ queryKey: [key] });
    },
  });
}

/** The shelves that are added to and changed alike. */
export const SHELF_CALLS = {
  enlargers: {
    add: (body: Schemas["EnlargerAsked"]) => unwrap(api.POST("/api/stores/enlargers", { body })),
    change: (id: string, body: Schemas["EnlargerAsked"]) =>
      unwrap(api.PATCH("/api/stores/enlargers/{id}", { params: { path: { id } }, body })),
  },
  lenses: {
    add: (body: Schemas["LensAsked"]) => unwrap(api.POST("/api/stores/lenses", { body })),
    change: (id: string, body: Schemas["LensAsked"]) =>
      unwrap(api.PATCH("/api/stores/lenses/{id}", { params: { path: { id } }, body })),
  },
  papers: {
    add: (body: Schemas["PaperAsked"]) => unwrap(api.POST("/api/stores/papers", { body })),
    change: (id: string, body: Schemas["PaperAsked"]) =>
      unwrap(api.PATCH("/api/stores/papers/{id}", { params: { path: { id } }, body })),
  },
  baths: {
    add: (body: Schemas["BathAsked"]) => unwrap(api.POST("/api/stores/baths", { body })),
    change: (id: string, body: Schemas["BathAsked"]) =>
      unwrap(api.PATCH("/api/stores/baths/{id}", { params: { path: { id } }, body })),
  },
  things: {
    add: (body: Schemas["ThingAsked"]) => unwrap(api.POST("/api/stores/things", { body })),
    change: (id: string, body: Schemas["ThingAsked"]) =>
      unwrap(api.PATCH("/api/stores/things/{id}", { params: { path: { id } }, body })),
  },
} as const;

export type ShelfPath = keyof typeof SHELF_CALLS;

export const retire = (asked: { id: string; retired: boolean }) =>
  unwrap(
    api.POST("/api/stores/{id}/retired", {
      params: { path: { id: asked.id } },
      body: { retired: asked.retired },
    }),
  );

export const enterConstant = (asked: { id: string; body: Schemas["ConstantAsked"] }) =>
  unwrap(api.POST("/api/stores/{id}/constants", { params: { path: { id: asked.id } }, body: asked.body }));

export const takeBack = (id: string) =>
  unwrap(api.DELETE("/api/stores/constants/{id}", { params: { path: { id } } }));

export const preferUnits = (body: Schemas["Units"]) => unwrap(api.PUT("/api/stores/units", { body }));

export const readMeter = (body: Schemas["MeterAsked"]) => unwrap(api.POST("/api/practice/meter", { body }));

/** A test of one thing: which address, and what it is asked with. */
export interface CalibrationAsked {
  path: string;
  body: Record<string, unknown>;
}

async function calibrate(asked: CalibrationAsked, keep: boolean): Promise<Calibration> {
  const answer = await fetch(asked.path, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ ...asked.body, keep }),
  }).catch(() => undefined);
  const body: unknown = await answer?.json().catch(() => undefined);
  if (!answer?.ok) throw toProblem(body);
  return body as Calibration;
}

/** What readings say so far; nothing is kept. */
export function useCalibration(asked: CalibrationAsked | undefined) {
  return useQuery<Calibration, Problem>({
    queryKey: ["calibration", asked],
    enabled: asked !== undefined,
    retry: false,
    queryFn: () => calibrate(asked ?? { path: "", body: {} }, false),
  });
}

export function useKeepCalibration() {
  const client = useQueryClient();
  return useMutation<Calibration, Problem, CalibrationAsked>({
    mutationFn: (asked) => calibrate(asked, true),
    onSuccess: () =>
      Promise.all(
        ["stores", "slate", "bench"].map((key) => client.invalidateQueries({ queryKey: [key] })),
      ).then(() => undefined),
  });
}
