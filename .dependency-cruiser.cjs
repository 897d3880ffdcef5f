/** Boundaries between the parts of the program; `npm run boundaries` enforces them. */
module.exports = {
  forbidden: [
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true, dependencyTypesNot: ["type-only"] } },
    {
      name: "core-is-pure",
      comment: "The core imports nothing outside itself but zod and small pure libraries.",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { pathNot: "^(src/core|node_modules/(zod|papaparse|@types/papaparse|dxf-parser|dxf-writer))" },
    },
    {
      name: "core-tests",
      severity: "error",
      from: { path: "^src/core/.*\\.test\\.ts$" },
      to: { pathNot: "^(src/core|node_modules)" },
    },
    {
      name: "ui-reaches-data-through-actions",
      severity: "error",
      from: { path: "^src/ui" },
      to: { path: "^src/(data|app|cli)" },
    },
    { name: "nobody-imports-app", severity: "error", from: { pathNot: "^src/app" }, to: { path: "^src/app" } },
    {
      name: "sql-only-in-data",
      severity: "error",
      from: { pathNot: "^src/data" },
      to: { path: "node_modules/(drizzle-orm|@electric-sql|postgres)/" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
