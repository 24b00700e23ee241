import { defineConfig } from "vite";

/** The sounds by themselves, for the test that renders and listens to them. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: "dist-sounds",
    lib: {
      entry: "src/shared/sound/offline.ts",
      name: "sounds",
      formats: ["iife"],
      fileName: () => "sounds.js",
    },
  },
});
