import { readFileSync } from "node:fs";
import { readJobFile } from "../core/job/file";
import { makePlan } from "../core/plan/plan";

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
process.stdout.write(JSON.stringify(makePlan(read.file.job, { clock: () => performance.now() }), null, 2) + "\n");
