import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, expect, it, vi } from "vitest";
import { type RunView, api } from "../../shared/api/client";
import { useHappened, useRun } from "./useRun";

afterEach(() => vi.restoreAllMocks());

const at = (stepsDone: number) => ({ sheetId: "s", stepsDone, events: [] }) as unknown as RunView;
const answer = (run: RunView) => ({ data: run, response: new Response() });

it("never shows what was asked before the last change and is answered after it", async () => {
  const late: ((run: RunView) => void)[] = [];
  vi.spyOn(api, "GET").mockImplementation(
    (() => new Promise((resolve) => late.push((run) => resolve(answer(run))))) as never,
  );
  vi.spyOn(api, "POST").mockImplementation((() => Promise.resolve(answer(at(1)))) as never);
  const client = new QueryClient();
  client.setQueryData(["run", "s"], at(0));
  const wrapper = (props: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{props.children}</QueryClientProvider>
  );
  const { result } = renderHook(() => ({ run: useRun("s"), happened: useHappened("s") }), { wrapper });
  await waitFor(() => expect(late).toHaveLength(1));
  await act(() => result.current.happened.mutateAsync("IN_STOP"));
  await act(async () => {
    late[0]?.(at(0));
    await Promise.resolve();
  });
  expect(client.getQueryData<RunView>(["run", "s"])?.stepsDone).toBe(1);
  expect(result.current.run.data?.stepsDone).toBe(1);
});
