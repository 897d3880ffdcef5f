import { defineConfig } from "vitest/config";

/** What was kept to compare with is written anew only when asked (`npx vitest run -u`): a missing one fails. */
const update = process.argv.includes("-u") ? "all" : "none";
const test = { testTimeout: 300_000, hookTimeout: 300_000, update } as const;

/** Both cores of the smallest machine: of its own accord it would leave one idle. */
const maxWorkers = 2;

const shared = ["src/core/**/*.test.ts", "src/data/demo/**/*.test.ts"];

export default defineConfig({
  test: {
    ...test,
    maxWorkers,
    projects: [
      // The core and what is worked out of the demo have no state to keep apart: their files share one reading of it, which takes a
      // third of the time.
      { test: { ...test, name: "core", include: shared, isolate: false } },
      { test: { ...test, name: "around it", include: ["src/**/*.test.ts"], exclude: shared } },
    ],
  },
});
