import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";
import { parseList } from "../../shared/units/list";

/** A viewing kit: its name, what its numbers mean, and which there are, the weakest first. */
export type Kit = Schemas["ViewingKit"];

/** What stands on the filters of a viewing kit: how strong each is, or how much to change the pack. */
export type Says = NonNullable<Kit["says"]>;

/** A kit of which is known what its numbers mean and which there are. */
export type KnownKit = Kit & { says: Says };

export const isKnown = (kit: Kit): kit is KnownKit => kit.says !== undefined && kit.strengths.length > 0;

type Kits = Schemas["ViewingKits"];

const KEY = ["kits"];
const MOST_FILTERS = 8;
const WEAKEST = 1;
const STRONGEST = 60;

/** The strengths that most kits have. */
export const USUAL_STRENGTHS: readonly number[] = [5, 10, 20];

/** Points of the pack for a point on the filter, to begin with; the looks of a slate teach the rest. */
export const FACTORS: Record<Says, number> = { STRENGTH: 0.5, CORRECTION: 1 };

/** The kits on the shelf of Stores, the one in hand first; none before they are there. */
export function useKits() {
  return useQuery<Kits, Problem>({ queryKey: KEY, queryFn: () => unwrap(api.GET("/api/kits")) });
}

/** Puts a kit on the shelf of Stores, or changes the one of its name, and takes it in hand. */
export function useKeepKit() {
  const client = useQueryClient();
  return useMutation<Kits, Problem, KnownKit>({
    mutationFn: (kit) =>
      unwrap(api.POST("/api/kits", { body: kit })).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (kits) => {
      client.setQueryData(KEY, kits);
      void client.invalidateQueries({ queryKey: ["stores"] });
    },
  });
}

/** "5, 10, 20" as strengths, the weakest first; none where it is no list of them. */
export function strengthsOf(text: string): readonly number[] | undefined {
  const list = parseList(text, false);
  if (typeof list === "string") return undefined;
  const numbers = [...new Set(list)].sort((a, b) => a - b);
  const fits = numbers.every((n) => n >= WEAKEST && n <= STRONGEST);
  return numbers.length <= MOST_FILTERS && fits ? numbers : undefined;
}
