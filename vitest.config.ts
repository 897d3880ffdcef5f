import { defineConfig } from "vitest/config";

/** What was kept to compare with is written anew only when asked (`npx vitest run -u`): a missing one fails. */
const update = process.argv.includes("-u") ? "all" : "none";
const test = { testTimeout: 300_000, hookTimeout: 300_000, update } as const;

export default defineConfig({
  test: {
    ...test,
    projects: [
      // The core has no state of its own to keep apart: its files share one reading of it, which takes a third of the time.
      { test: { ...test, name: "core", include: ["src/core/**/*.test.ts"], isolate: false } },
      { test: { ...test, name: "around it", include: ["src/**/*.test.ts"], exclude: ["src/core/**"] } },
    ],
  },
});
