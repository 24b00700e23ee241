import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type Problem, type Schemas, type SlateView, api, toProblem, unwrap } from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";

export type Cast = Schemas["Cast"];

export interface Answer {
  answer: "PROPOSED" | "OWN";
  light?: string;
  seconds?: number;
}

/** What a cast leads to, with the looks before it. */
export function useProposal(sheetId: string, cast: Cast, said: boolean, recipeId: string) {
  return useQuery<Schemas["ColourProposal"], Problem>({
    queryKey: ["cast", sheetId, cast, recipeId],
    enabled: said,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/sheets/{id}/casts/proposal", { params: { path: { id: sheetId } }, body: cast }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
  });
}

/** What other frames of the roll are meant to be like. */
export function useSisterTastes(slate: SlateView): readonly Schemas["SisterTaste"][] {
  const sisters = useQuery({
    queryKey: ["sister-tastes", slate.id],
    queryFn: () => unwrap(api.GET("/api/slates/{id}/sister-tastes", { params: { path: { id: slate.id } } })),
  });
  return sisters.data ?? [];
}

/** Takes the verdict, or something else. */
export function useJudge(slateId: string, sheetId: string, cast: Cast) {
  return useSlateChange<Answer>(slateId, (answer, version) =>
    unwrap(
      api.POST("/api/sheets/{id}/casts", {
        params: { path: { id: sheetId } },
        body: { cast, taking: { version, ...answer } },
      }),
    ),
  );
}
