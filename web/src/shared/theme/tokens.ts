import type { ThemeConfig } from "antd";
import type { Room } from "../room/room";

/** The one place with colours. White light has none of its own: R = G = B; safelight has red alone. */
const seeds = {
  white: {
    slate: "#252525",
    stage: "#8c8c8c",
    paper: "#ececec",
    chalk: "#ffffff",
    ink: "#161616",
    muted: "#555555",
    line: "#c4c4c4",
    field: "#ffffff",
    warn: "#161616",
  },
  safelight: {
    slate: "#000000",
    stage: "#0c0000",
    paper: "#120000",
    chalk: "#e00000",
    ink: "#e00000",
    muted: "#b40000",
    line: "#4a0000",
    field: "#1c0000",
    warn: "#ff0000",
  },
  blackout: {
    slate: "#000000",
    stage: "#000000",
    paper: "#000000",
    chalk: "#000000",
    ink: "#000000",
    muted: "#000000",
    line: "#000000",
    field: "#000000",
    warn: "#000000",
  },
} as const;

/** Filters are shown in their own colours, and never without their letter; in the dark they have none. */
const filters = {
  C: "#00a5c0",
  M: "#d34a9a",
  Y: "#ecc817",
  R: "#d2463c",
  G: "#2f9e55",
  B: "#4a5fc9",
} as const;

/** Ant Design set so that it looks like this product: no blue, no shadows, nearly square. */
export function antTheme(room: Room): ThemeConfig {
  const c = seeds[room];
  const inverse = room === "white" ? c.chalk : "#000000";
  return {
    token: {
      colorPrimary: c.ink,
      colorPrimaryHover: c.ink,
      colorPrimaryActive: c.ink,
      colorPrimaryBg: c.paper,
      colorPrimaryBorder: c.ink,
      colorInfo: c.ink,
      colorLink: c.ink,
      colorText: c.ink,
      colorTextSecondary: c.muted,
      colorTextTertiary: c.muted,
      colorTextDescription: c.muted,
      colorTextPlaceholder: c.muted,
      colorTextDisabled: c.muted,
      colorTextLightSolid: inverse,
      colorBgContainer: c.field,
      colorBgElevated: c.field,
      colorBgBase: c.field,
      colorBgMask: room === "white" ? "rgba(20,20,20,0.6)" : "rgba(0,0,0,0.7)",
      colorBorder: c.muted,
      colorBorderSecondary: c.line,
      colorSplit: c.line,
      colorFill: c.line,
      colorFillSecondary: c.line,
      colorFillTertiary: c.paper,
      colorError: c.warn,
      colorErrorText: c.warn,
      colorWarning: c.warn,
      colorSuccess: c.ink,
      controlItemBgHover: c.paper,
      controlItemBgActive: c.line,
      controlItemBgActiveHover: c.line,
      controlOutline: c.line,
      fontFamily: "'Archivo Variable', system-ui, sans-serif",
      fontSize: 14,
      borderRadius: 2,
      borderRadiusLG: 3,
      borderRadiusSM: 2,
      controlHeight: 34,
      boxShadow: "none",
      boxShadowSecondary: `0 0 0 1px ${c.muted}`,
      wireframe: false,
      motion: false,
    },
    components: {
      Button: { primaryShadow: "none", defaultShadow: "none", dangerShadow: "none", fontWeight: 600 },
      Select: { optionSelectedBg: c.line, optionActiveBg: c.paper, optionSelectedColor: c.ink },
    },
  };
}

/** The seeds as custom properties for the style sheet. */
export function cssVariables(): string {
  return (Object.keys(seeds) as Room[])
    .map((room) => {
      const lines = Object.entries(seeds[room]).map(([name, value]) => `--${name}: ${value};`);
      if (room === "white")
        lines.push(...Object.entries(filters).map(([letter, value]) => `--filter-${letter}: ${value};`));
      return `html[data-room="${room}"] { ${lines.join(" ")} }`;
    })
    .join("\n");
}
