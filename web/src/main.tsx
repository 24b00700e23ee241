import "./shared/theme/vision";
import "@fontsource-variable/archivo/wdth.css";
import "antd/dist/reset.css";
import "./shared/theme/theme.css";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { ConfigProvider } from "antd";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { RouterProvider } from "react-router";
import { router } from "./app/routes";
import { useRoom } from "./shared/room/room";
import { WhiteLightGuard } from "./shared/room/whiteLight";
import { antTheme, cssVariables } from "./shared/theme/tokens";

const variables = document.createElement("style");
variables.textContent = cssVariables();
document.head.append(variables);

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: true } },
});

function Application() {
  const room = useRoom();
  return (
    <ConfigProvider theme={antTheme(room)} button={{ autoInsertSpace: false }} wave={{ disabled: true }}>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
        <WhiteLightGuard />
      </QueryClientProvider>
    </ConfigProvider>
  );
}

// A reload while the server is gone stays black; browsers without it show their own page then.
if ("serviceWorker" in navigator) void navigator.serviceWorker.register("/shell.js").catch(() => undefined);

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <Application />
    </StrictMode>,
  );
}
