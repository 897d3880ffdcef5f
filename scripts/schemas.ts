import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { z } from "zod";
import { jobFileSchema } from "../src/core/job/file";
import { planFileSchema } from "../src/core/formats/plan-file";
import { rulesDocument } from "../src/core/book/rules-document";

/** Publishes the JSON Schemas of job and plan files and the rule book from the code; with --check only says whether they are up to date. */
const schema = (s: unknown): string => JSON.stringify(s, null, 2) + "\n";
const files = {
  "docs/formats/job-file.schema.json": schema(z.toJSONSchema(jobFileSchema, { io: "input" })),
  "docs/formats/plan.schema.json": schema(z.toJSONSchema(planFileSchema)),
  "docs/rules.md": rulesDocument(),
};
let stale = false;
mkdirSync("docs/formats", { recursive: true });
for (const [path, text] of Object.entries(files)) {
  if (!process.argv.includes("--check")) writeFileSync(path, text);
  else if (!existsSync(path) || readFileSync(path, "utf8") !== text) {
    console.error(`${path} is not up to date: run npm run schemas.`);
    stale = true;
  }
}
process.exit(stale ? 1 : 0);
