// Mutation testing of the core: `npm run mutants [folder]`, such as `npm run mutants trades/timber`. Not part of `npm test`.
const folder = process.env.MUTANTS ?? "";

/** @type {Record<string, unknown>} */
export default {
  packageManager: "npm",
  plugins: ["@stryker-mutator/vitest-runner"],
  testRunner: "vitest",
  vitest: { configFile: "vitest.mutants.config.ts", related: true },
  coverageAnalysis: "perTest",
  mutate: process.env.MUTANTS_LINES?.split(" ") ?? [
    `src/core/${folder ? `${folder}/` : ""}**/*.ts`,
    "!src/core/**/*.{test,fixture}.ts",
  ],
  ignorePatterns: [".next", "docs", "e2e", "data", "public"],
  reporters: ["clear-text", "json", "progress-append-only"],
  clearTextReporter: { logTests: false, allowColor: false, reportMutants: true },
  jsonReporter: { fileName: ".lumbet/mutants.json" },
  tempDirName: ".lumbet/stryker",
  concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
  timeoutMS: 20_000,
  disableTypeChecks: true,
  ignoreStatic: true,
  thresholds: { high: 80, low: 70, break: null },
};
