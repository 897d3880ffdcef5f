import { defineConfig } from "vitest/config";

/** What was kept to compare with is written anew only when asked (`npx vitest run -u`): a missing one fails. */
const update = process.argv.includes("-u") ? "all" : "none";

export default defineConfig({
  test: { include: ["src/**/*.test.ts"], testTimeout: 300_000, hookTimeout: 300_000, update },
});
