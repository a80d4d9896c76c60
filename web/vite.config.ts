import react from "@vitejs/plugin-react";
import tailwindcss from "@tailwindcss/vite";
import type { Plugin } from "vite";
import { VitePWA } from "vite-plugin-pwa";
import { defineConfig } from "vitest/config";

const server = `http://127.0.0.1:${process.env.VIVID_API_PORT ?? "8080"}`;

/**
 * What draws notation is by far the largest part of the interface. The browser fetches it while it has nothing else to
 * do, and compiles it only where notes are shown.
 */
const fetchAhead = (names: readonly string[]): Plugin => ({
  name: "fetch-ahead",
  transformIndexHtml: {
    order: "post",
    handler: (_html, { bundle }) =>
      Object.values(bundle ?? {})
        .filter((file) => file.type === "chunk" && names.includes(file.name))
        .map((file) => ({
          tag: "link",
          attrs: { rel: "prefetch", href: `/${file.fileName}`, as: "script", crossorigin: true },
          injectTo: "head" as const,
        })),
  },
});

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    fetchAhead([
      "Staff",
      "Notation",
      "LinePage",
      "HearPage",
      "RunPage",
      "BoardPage",
      "SeasonPage",
      "LibraryPage",
      "JumpBox",
    ]),
    // The app itself is kept on the device; what it reads is kept by account, and never here.
    VitePWA({
      registerType: "prompt",
      injectRegister: null,
      manifest: {
        name: "Vivid Roster",
        short_name: "Vivid Roster",
        description: "Order for whole sections, hear each student, know who passed.",
        start_url: "/podium",
        display: "standalone",
        background_color: "#FCFAF5",
        theme_color: "#20242C",
        icons: [{ src: "/mark.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
      },
      workbox: {
        globPatterns: ["**/*.{js,css,html,svg,woff2}"],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
        navigateFallback: "/index.html",
        navigateFallbackDenylist: [/^\/(api|actuator|v3|calendar)\//],
      },
    }),
  ],
  build: {
    rolldownOptions: {
      // The browser compiles all of the renderer while it comes, away from the page, instead of bit by bit as it draws.
      output: { postBanner: (chunk) => (chunk.name === "Staff" ? "//# allFunctionsCalledOnLoad" : "") },
    },
  },
  server: { host: "127.0.0.1", proxy: { "/api": server, "/v3": server, "/actuator": server } },
  test: {
    // What draws nothing runs without a page; what draws shares one: a page and all modules anew for each file cost four
    // times what the tests in it do.
    isolate: false,
    unstubGlobals: true,
    testTimeout: 30_000,
    projects: [
      { extends: true, test: { name: "rules", environment: "node", include: ["src/**/*.test.ts"] } },
      {
        extends: true,
        test: {
          name: "screens",
          environment: "jsdom",
          include: ["src/**/*.test.tsx"],
          setupFiles: ["src/test/setup.ts"],
        },
      },
    ],
  },
});
