import { defineConfig } from "vitest/config";

/** Tests of the core alone, with few examples each: a mutant is judged by whether a test notices it, not by how often it is asked. */
export default defineConfig({
  test: {
    include: ["src/core/**/*.test.ts"],
    testTimeout: 300_000,
    isolate: false,
    setupFiles: ["./scripts/few-examples.ts"],
  },
});
