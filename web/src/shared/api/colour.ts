import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type Schemas, type SlateView, api, toProblem } from "./client";

/** What all looks say together; nothing before the first. */
export function useWeighed(slate: SlateView): Schemas["ColourView"] | undefined {
  const weighed = useQuery({
    queryKey: ["colour", slate.id, slate.version],
    placeholderData: keepPreviousData,
    queryFn: async () => {
      const answer = await api.GET("/api/slates/{id}/colour", { params: { path: { id: slate.id } } });
      if (!answer.response.ok) throw toProblem(answer.error);
      return answer.data ?? null;
    },
  });
  return weighed.data ?? undefined;
}
