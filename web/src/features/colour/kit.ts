import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type Problem, type Schemas, api, toProblem, unwrap } from "../../shared/api/client";

/** A viewing kit: its name, what its numbers mean, and which there are, the weakest first. */
export type Kit = Schemas["ViewingKit"];

/** What stands on the filters of a viewing kit: how strong each is, or how much to change the pack. */
export type Says = Kit["says"];

type Kits = Schemas["ViewingKits"];

const KEY = ["kits"];
const MOST_FILTERS = 8;
const WEAKEST = 1;
const STRONGEST = 60;

/** The strengths that most kits have. */
export const USUAL_STRENGTHS: readonly number[] = [5, 10, 20];

/** Points of the pack for a point on the filter, to begin with; the looks of a slate teach the rest. */
export const FACTORS: Record<Says, number> = { STRENGTH: 0.5, CORRECTION: 1 };

/** The kits of the bench, the one taken up last first; none before they are there. */
export function useKits() {
  return useQuery<Kits, Problem>({ queryKey: KEY, queryFn: () => unwrap(api.GET("/api/kits")) });
}

/** Enters a kit, changes the one of its name, or takes one up again. */
export function useKeepKit() {
  const client = useQueryClient();
  return useMutation<Kits, Problem, Kit>({
    mutationFn: (kit) =>
      unwrap(api.POST("/api/kits", { body: kit })).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: (kits) => client.setQueryData(KEY, kits),
  });
}

/** "5, 10, 20" as strengths, the weakest first; none where it is no list of them. */
export function strengthsOf(text: string): readonly number[] | undefined {
  const read = text.split(/[;,\s]+/).filter((part) => part !== "");
  const numbers = [...new Set(read.map(Number))].sort((a, b) => a - b);
  const fits = numbers.every((n) => n >= WEAKEST && n <= STRONGEST);
  return numbers.length > 0 && numbers.length <= MOST_FILTERS && fits ? numbers : undefined;
}
