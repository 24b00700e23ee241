import { render, screen } from "@testing-library/react";
import { RouterProvider, createMemoryRouter } from "react-router";
import { expect, it, vi } from "vitest";
import { Problem } from "../shared/api/client";
import { ErrorPage } from "./ErrorPage";

function failing(error: Error) {
  vi.spyOn(console, "error").mockImplementation(() => undefined);
  const Failing = () => {
    throw error;
  };
  const router = createMemoryRouter([{ path: "/", element: <Failing />, errorElement: <ErrorPage /> }]);
  render(<RouterProvider router={router} />);
}

it("offers the log of what nobody expected", async () => {
  failing(new Problem("unexpected", "Nothing was changed."));
  expect(await screen.findByText("Nothing was changed.")).toBeVisible();
  expect(screen.getByRole("link", { name: "Save the log" })).toHaveAttribute("href", "/api/log");
});

it("offers none where the reason is known", async () => {
  failing(new Problem("not-found", "There is no such slate."));
  expect(await screen.findByText("There is no such slate.")).toBeVisible();
  expect(screen.queryByRole("link", { name: "Save the log" })).toBeNull();
});
