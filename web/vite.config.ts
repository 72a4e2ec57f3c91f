import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { VitePWA } from "vite-plugin-pwa";
import { viteStaticCopy } from "vite-plugin-static-copy";
import { defineConfig } from "vitest/config";

const api = createHash("sha256").update(readFileSync("openapi.json")).digest("hex").slice(0, 12);

const POSE_FILES = [
  "pose.js",
  "pose_web.binarypb",
  "pose_landmark_full.tflite",
  "pose_solution_packed_assets.data",
  "pose_solution_packed_assets_loader.js",
  "pose_solution_simd_wasm_bin.js",
  "pose_solution_simd_wasm_bin.wasm",
];

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // Fetched only when a clip is opened, and as they are: they load each other by name.
    viteStaticCopy({
      targets: POSE_FILES.map((file) => ({ src: `node_modules/@mediapipe/pose/${file}`, dest: "pose" })),
    }),
    VitePWA({
      registerType: "autoUpdate",
      injectRegister: "script-defer",
      includeAssets: ["icon.svg", "icon-180.png"],
      manifest: {
        name: "Hodegon",
        short_name: "Hodegon",
        description: "Your practice, from the feet up",
        start_url: "/",
        display: "standalone",
        background_color: "#f6f1e6",
        theme_color: "#f6f1e6",
        icons: [
          { src: "icon-192.png", sizes: "192x192", type: "image/png" },
          { src: "icon-512.png", sizes: "512x512", type: "image/png" },
          { src: "icon-maskable-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
        ],
      },
      workbox: {
        // Works from the first visit on; what the new version lacks, main.tsx loads anew.
        skipWaiting: true,
        clientsClaim: true,
        globPatterns: ["**/*.{js,css,html,svg,woff2}"],
        // Only a coach makes a PDF or looks into a clip, and not without a server.
        globIgnores: [
          "**/pdf-*.js",
          "**/*Pdf-*.js",
          "**/*.ttf",
          "pose/**",
          "**/points.worker-*.js",
          "**/ClipView-*.js",
          "**/finding-*.js",
        ],
        navigateFallback: "index.html",
        navigateFallbackDenylist: [/^\/(api|v3|operator)\//, /^\/health$/],
      },
    }),
  ],
  // What a phone keeps has the shape of this API, and is thrown away with it.
  define: { API_SHAPE: JSON.stringify(api) },
  resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
  build: { assetsInlineLimit: 0 },
  server: { proxy: { "/api": "http://localhost:8080" } },
  // One environment for all files: making it anew for each took most of the time.
  test: {
    environment: "jsdom",
    isolate: false,
    include: ["src/**/*.test.{ts,tsx}"],
    setupFiles: ["src/test/setup.ts"],
    testTimeout: 30_000,
  },
});
