import { fileURLToPath } from "node:url";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
  build: { assetsInlineLimit: 0 },
  server: { proxy: { "/api": "http://localhost:8080" } },
  test: { environment: "jsdom", include: ["src/**/*.test.{ts,tsx}"] },
});
