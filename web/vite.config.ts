import react from "@vitejs/plugin-react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vitest/config";

const server = `http://127.0.0.1:${process.env.VIVID_API_PORT ?? "8080"}`;

export default defineConfig({
  plugins: [react(), tailwindcss()],
  server: { host: "127.0.0.1", proxy: { "/api": server, "/v3": server, "/actuator": server } },
  test: { environment: "jsdom", include: ["src/**/*.test.{ts,tsx}"], setupFiles: [] },
});
