import { readFileSync } from "node:fs";
import { readJobFile } from "../core/job/file";
import { layHouse } from "../core/house/house";
import { planHouse } from "../core/plan/plan";
import { releasedSurfaces } from "../core/record/closing";
import { heldRuns } from "../core/record/held";
import { standardCatalogue, withRows } from "../core/rules/catalogue";
import { planFile } from "../core/formats/plan-file";

/** `npm run -s plan -- job.json`: prints the whole plan of a job file as JSON. Bad input: exit 2 and one JSON object on stderr. */
function fail(code: string, message: string, path = ""): never {
  process.stderr.write(JSON.stringify({ error: { code, message, path } }) + "\n");
  process.exit(2);
}

const [file] = process.argv.slice(2);
if (!file) fail("usage", "name the job file: npm run -s plan -- job.json");
let text: string;
try {
  text = readFileSync(file, "utf8");
} catch (e) {
  fail("unreadable", `${file} cannot be read: ${(e as Error).message}`);
}
const read = readJobFile(text);
if (!read.ok)
  fail(
    "refused",
    read.refusals.map((r) => (r.path ? `${r.path}: ${r.message}` : r.message)).join("; "),
    read.refusals[0]?.path,
  );
const { job, catalogue, siteBook } = read.file;
const house = layHouse(job, withRows(standardCatalogue, catalogue));
const plan = planHouse(house, {
  clock: () => performance.now(),
  held: heldRuns(siteBook),
  closed: releasedSurfaces(siteBook),
});
process.stdout.write(JSON.stringify(planFile(house, plan), null, 2) + "\n");
