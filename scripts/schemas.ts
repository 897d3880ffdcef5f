import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { z } from "zod";
import { jobFileSchema } from "../src/core/job/file";
import { planSchema } from "../src/core/plan/plan-model";

/** Publishes the JSON Schemas of job and plan files from the models; with --check only says whether they are up to date. */
const files = { "docs/formats/job-file.schema.json": z.toJSONSchema(jobFileSchema, { io: "input" }), "docs/formats/plan.schema.json": z.toJSONSchema(planSchema) };
let stale = false;
mkdirSync("docs/formats", { recursive: true });
for (const [path, schema] of Object.entries(files)) {
  const text = JSON.stringify(schema, null, 2) + "\n";
  if (!process.argv.includes("--check")) writeFileSync(path, text);
  else if (!existsSync(path) || readFileSync(path, "utf8") !== text) {
    console.error(`${path} is not up to date: run npm run schemas.`);
    stale = true;
  }
}
process.exit(stale ? 1 : 0);
