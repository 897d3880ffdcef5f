/** Boundaries between the parts of the program; `npm run boundaries` enforces them. */

/** Folders of the core from the ground up: each imports only what stands before it. The same list stands in ARCHITECTURE.md. */
const layers = [
  "base",
  "rules",
  "job",
  "house",
  "laid",
  "trades",
  "routing",
  "plan",
  "record",
  "words",
  "book",
  "drawings",
  "calculators",
  "formats",
  "papers",
];
const layerRules = layers.map((layer, i) => ({
  name: `core-${layer}-looks-down-only`,
  comment: `core/${layer} imports only ${layers.slice(0, i).join(", ") || "nothing else of the core"}.`,
  severity: "error",
  from: { path: `^src/core/${layer}/`, pathNot: "\\.(test|fixture)\\.ts$" },
  to: { path: `^src/core/(${layers.slice(i + 1).join("|") || "none"})/` },
}));

/** Trades side by side: none imports another, but that each may look at what stands before it here. */
const trades = [
  "zones",
  "timber",
  "kitchen",
  "dead-tests",
  "outside",
  "fixings",
  "ends",
  "containment",
  "circuits",
  "retrofit",
  "board",
];
const tradeRules = trades.map((trade, i) => ({
  name: `trade-${trade}-looks-down-only`,
  severity: "error",
  from: { path: `^src/core/trades/${trade}/`, pathNot: "\\.(test|fixture)\\.ts$" },
  to: { path: `^src/core/trades/(${trades.slice(i + 1).join("|") || "none"})/` },
}));

module.exports = {
  forbidden: [
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true, dependencyTypesNot: ["type-only"] } },
    ...layerRules,
    ...tradeRules,
    {
      name: "core-folders-are-listed",
      comment: "A folder of the core that is not in the list has no place in the order.",
      severity: "error",
      from: {},
      to: { path: `^src/core/(?!(${layers.join("|")})/)` },
    },
    {
      name: "words-only-above-the-plan",
      comment: "Checks return facts. Only screens, papers, calculators and the command line put them in words.",
      severity: "error",
      from: {
        path: "^src/core/(base|rules|job|house|laid|trades|routing|plan|record)/",
        pathNot: "\\.(test|fixture)\\.ts$",
      },
      to: { path: "^src/core/words/" },
    },
    {
      name: "core-is-pure",
      comment: "The core imports nothing outside itself but zod and small pure libraries.",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.(test|fixture)\\.ts$" },
      to: { pathNot: "^(src/core|node_modules/(zod|papaparse|@types/papaparse|dxf-parser|dxf-writer))" },
    },
    {
      name: "core-tests",
      severity: "error",
      from: { path: "^src/core/.*\\.(test|fixture)\\.ts$" },
      to: { pathNot: "^(src/core|node_modules|(fs|path)$)" },
    },
    {
      name: "fixtures-are-for-tests",
      comment: "Houses laid by hand for tests are imported by tests only.",
      severity: "error",
      from: { pathNot: "\\.(test|fixture)\\.ts$" },
      to: { path: "\\.fixture\\.ts$" },
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
