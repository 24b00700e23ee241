import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import { type SlateView, api } from "../api/client";
import { useRecipeEdit } from "../api/slate";
import { useBeginSheet } from "./useBeginSheet";

afterEach(() => vi.restoreAllMocks());

const slate = { id: "a", version: 3, medium: { room: "SAFELIGHT" } } as unknown as SlateView;

it("waits for the edit before it: no paper is exposed with what stood earlier", async () => {
  const sent: { method: string; version: unknown }[] = [];
  let answerEdit: (value: unknown) => void = () => undefined;
  const versionOf = (options: unknown) => (options as { body: { version: number } }).body.version;
  vi.spyOn(api, "PATCH").mockImplementation(((_: string, options: unknown) => {
    sent.push({ method: "PATCH", version: versionOf(options) });
    return new Promise((resolve) => (answerEdit = resolve));
  }) as unknown as typeof api.PATCH);
  vi.spyOn(api, "POST").mockImplementation(((_: string, options: unknown) => {
    sent.push({ method: "POST", version: versionOf(options) });
    return Promise.resolve({ data: { sheetId: "s", room: "SAFELIGHT" } });
  }) as unknown as typeof api.POST);
  const client = new QueryClient();
  client.setQueryData(["slate", "a"], slate);
  const wrapper = (props: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <MemoryRouter>{props.children}</MemoryRouter>
    </QueryClientProvider>
  );
  const { result } = renderHook(() => ({ edit: useRecipeEdit("a"), begin: useBeginSheet(slate) }), {
    wrapper,
  });
  act(() => {
    result.current.edit.mutate({ base: { seconds: 12 } });
    result.current.begin.mutate("PRINT");
  });
  await waitFor(() => expect(sent.map((s) => s.method)).toEqual(["PATCH"]));
  await act(async () => {
    answerEdit({ data: { ...slate, version: 4 } });
    await Promise.resolve();
  });
  await waitFor(() => expect(sent.map((s) => s.method)).toEqual(["PATCH", "POST"]));
  expect(sent[1]?.version).toBe(4);
});
