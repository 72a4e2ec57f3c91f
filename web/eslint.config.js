import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** Each part may use those before it and none after it, so that no cycle runs between parts. */
const ORDER = [
  "calendar",
  "api",
  "ui",
  "invite",
  "feet",
  "drill",
  "progress",
  "shots",
  "plan",
  "practice",
  "account",
  "academy",
  "approach",
  "lesson",
  "day",
  "report",
  "student",
  "phone",
];

const inOrder = ORDER.slice(0, -1).map((part, at) => ({
  files: [`src/${part}/**`, `src/features/${part}/**`],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          {
            regex: `^(@/|(\\.\\./)+)(features/)?(${ORDER.slice(at + 1).join("|")})/`,
            message: `${part} comes before it (eslint.config.js): parts use only those before them.`,
          },
        ],
      },
    ],
  },
}));

export default tseslint.config(
  { ignores: ["dist", "node_modules", "target", "src/api/schema.d.ts"] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  {
    // Run by hand, half in Node and half in a page.
    files: ["films/*.mjs"],
    languageOptions: {
      globals: {
        URL: "readonly",
        Buffer: "readonly",
        process: "readonly",
        window: "readonly",
        fetch: "readonly",
        btoa: "readonly",
        console: "readonly",
        document: "readonly",
        performance: "readonly",
        File: "readonly",
        AbortController: "readonly",
      },
    },
  },
  ...inOrder,
);
