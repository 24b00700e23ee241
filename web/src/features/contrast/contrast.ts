import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { type Problem, type Schemas, type SlateView, api, toProblem, unwrap } from "../../shared/api/client";
import { useSlateChange } from "../../shared/api/slate";

export type Asked = Schemas["ContrastAsked"];
export type Proposal = Schemas["ContrastProposal"];
export type ThreadView = Schemas["ThreadView"];
export type Way = NonNullable<Asked["way"]>;

/** Whether anything was asked for besides the way. */
export function isAsked(asked: Asked): boolean {
  return (
    (asked.threads?.length ?? 0) > 0 ||
    asked.light !== undefined ||
    (asked.moreStops ?? 0) !== 0 ||
    asked.school !== undefined ||
    asked.way === "TWO_FILTERS"
  );
}

/** The same with a thread's end moved; every other end stays where it was put. */
export function withThread(asked: Asked, name: string, net: number): Asked {
  const others = (asked.threads ?? []).filter((t) => t.name !== name);
  return { ...asked, light: undefined, school: undefined, threads: [...others, { name, net }] };
}

/** What the page begins with: what stands, its two filters and their order where it is split. */
export function firstAsked(
  parts: readonly { light: { notation: string } }[],
  lights: readonly string[],
): Asked {
  const [first, second] = parts.map((p) => p.light.notation);
  if (first === undefined || second === undefined) return { way: "ONE_FILTER" };
  const hardFirst = lights.indexOf(first) > lights.indexOf(second);
  return {
    way: "TWO_FILTERS",
    soft: hardFirst ? second : first,
    hard: hardFirst ? first : second,
    hardFirst,
  };
}

/** The next light of a row of filters, harder or softer; the same at its end. */
/** Nothing in the beam: not harder or softer than a filter, but more light. */
export const NO_FILTER = "no filter";

export function beside(lights: readonly string[], light: string, by: 1 | -1): string {
  const filters = lights.filter((l) => l !== NO_FILTER);
  const at = filters.indexOf(light === NO_FILTER ? "grade 2" : light);
  return filters[Math.max(0, Math.min(filters.length - 1, at + by))] ?? light;
}

export function useContrast(slate: SlateView) {
  return useQuery<Schemas["ContrastView"], Problem>({
    queryKey: ["contrast", slate.id, slate.recipeId, slate.previewKey],
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(api.GET("/api/slates/{id}/contrast", { params: { path: { id: slate.id } } })).catch(
        (error: unknown) => {
          throw toProblem(error);
        },
      ),
  });
}

/** Long side of the two small pictures in pixels of the page, with room to spare. */
const SHOWN_AT = 300;

/** Decodes the picture of a proposal, so that it is painted together with its figures. */
async function decoded({ picture, ...rest }: Proposal): Promise<Proposal> {
  if (picture === undefined) return rest;
  const image = new Image();
  image.src = `data:image/bmp;base64,${picture}`;
  await image.decode();
  return { ...rest, picture: image.src };
}

/**
 * What is proposed for what is asked, its picture an address to be shown. One is asked for at a time: while a thread is dragged the newest ask waits until the one before has been answered, so that
 * every answer is shown and none is overtaken.
 */
export function useContrastProposal(slate: SlateView, asked: Asked, ends: boolean) {
  const [asking, setAsking] = useState(asked);
  const query = useQuery<Proposal, Problem>({
    queryKey: ["contrast-proposal", slate.id, slate.recipeId, slate.previewKey, asking, ends],
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
    queryFn: () =>
      unwrap(
        api.POST("/api/slates/{id}/contrast/proposal", {
          params: {
            path: { id: slate.id },
            query: isAsked(asking) ? { side: Math.round(SHOWN_AT * window.devicePixelRatio), ends } : {},
          },
          body: asking,
        }),
      )
        .then(decoded)
        .catch((error: unknown) => {
          throw toProblem(error);
        }),
  });
  const { data, error, isFetching, isPlaceholderData } = query;
  if (!isFetching && asking !== asked) setAsking(asked);
  return { data, error, isPlaceholderData: isPlaceholderData || asking !== asked };
}

export function useContrastTaking(slate: SlateView) {
  return useSlateChange<Asked>(slate.id, (asked, version) =>
    unwrap(
      api.POST("/api/slates/{id}/contrast", {
        params: { path: { id: slate.id } },
        body: { version, asked },
      }),
    ),
  );
}

type StripsWanted = Pick<Asked, "soft" | "hard"> & Pick<Schemas["StripsAsked"], "lies">;

/** Plans strips for a split. */
export function useStripsPlan(slate: SlateView) {
  return useSlateChange<StripsWanted>(slate.id, ({ soft, hard, lies }, version) =>
    unwrap(
      api.POST("/api/slates/{id}/contrast/strips", {
        params: { path: { id: slate.id } },
        body: { version, soft, hard, lies },
      }),
    ),
  );
}
