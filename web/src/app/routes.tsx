import { createBrowserRouter } from "react-router";
import { BenchPage } from "../features/bench/BenchPage";
import { RollsPage } from "../features/rolls/RollsPage";
import { ErrorPage } from "./ErrorPage";
import { SlateFrame } from "./SlateFrame";

export const router = createBrowserRouter([
  {
    errorElement: <ErrorPage />,
    hydrateFallbackElement: <main className="loading" />,
    children: [
      { path: "/", element: <BenchPage /> },
      { path: "/rolls", element: <RollsPage /> },
      {
        path: "/backups",
        lazy: async () => ({ Component: (await import("../features/backups/BackupsPage")).BackupsPage }),
      },
      {
        path: "/stores",
        lazy: async () => ({ Component: (await import("../features/stores/StoresPage")).StoresPage }),
      },
      {
        path: "/stores/:path/:id/measure/:name",
        lazy: async () => ({ Component: (await import("../features/stores/MeasurePage")).MeasurePage }),
      },
      {
        path: "/stores/papers/:id/cut",
        lazy: async () => ({ Component: (await import("../features/stores/CutPage")).CutPage }),
      },
      {
        path: "/runs/:sheetId",
        lazy: async () => ({ Component: (await import("../features/run/RunPage")).RunPage }),
      },
      {
        path: "/slates/:id/rehearsal/:kind",
        lazy: async () => ({ Component: (await import("../features/run/RehearsalPage")).RehearsalPage }),
      },
      {
        path: "/slates/:id",
        element: <SlateFrame />,
        children: [
          {
            path: "choose",
            lazy: async () => ({ Component: (await import("../features/choose/ChoosePage")).ChoosePage }),
          },
          {
            path: "setup",
            lazy: async () => ({ Component: (await import("../features/setup/SetupPage")).SetupPage }),
          },
          {
            path: "test",
            lazy: async () => ({ Component: (await import("../features/test/TestPage")).TestPage }),
          },
          {
            path: "contrast",
            lazy: async () => ({
              Component: (await import("../features/contrast/ContrastPage")).ContrastPage,
            }),
          },
          {
            path: "colour",
            lazy: async () => ({ Component: (await import("../features/colour/ColourPage")).ColourPage }),
          },
          {
            path: "shape",
            lazy: async () => ({ Component: (await import("../features/shape/ShapePage")).ShapePage }),
          },
          {
            path: "print",
            lazy: async () => ({ Component: (await import("../features/print/PrintPage")).PrintPage }),
          },
          {
            path: "dark/:kind",
            lazy: async () => ({
              Component: (await import("../features/dark/BeforeDarkPage")).BeforeDarkPage,
            }),
          },
          {
            path: "judge",
            lazy: async () => ({ Component: (await import("../features/judge/JudgePage")).JudgePage }),
          },
          {
            path: "keep",
            lazy: async () => ({ Component: (await import("../features/keep/KeepPage")).KeepPage }),
          },
        ],
      },
      { path: "*", element: <ErrorPage /> },
    ],
  },
]);
