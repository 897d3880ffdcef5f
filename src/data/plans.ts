import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import { type House, layHouse } from "../core/house/house";
import type { Job } from "../core/job/model";
import type { SiteEntry } from "../core/job/site-entry";
import { holdOf } from "../core/laid/held";
import type { Plan } from "../core/laid/laid";
import { planHouse } from "../core/plan/plan";
import { releasedSurfaces } from "../core/record/closing";
import { doneButNotHeld, heldRuns } from "../core/record/held";
import type { Catalogue } from "../core/rules/catalogue";
import { catalogueOf } from "./catalogue";
import type { Db } from "./db";
import { addSiteEntries, siteBookOf } from "./site-book";

/** Plans kept in memory under the hash of all they are made from. */
const MOST = 24;
const kept = new Map<string, { house: House; plan: Plan }>();

/** What a plan was worked out from and came to. */
export interface Planned {
  job: Job;
  house: House;
  plan: Plan;
  siteBook: SiteEntry[];
  catalogue: Catalogue;
}

/**
 * The plan of a stored job with what has been done: out of the cache when nothing it is made from has changed, else worked out. Print,
 * export and site view all read it here.
 */
export async function planOf(db: Db, job: Job): Promise<Planned> {
  const catalogue = await catalogueOf(db);
  let siteBook = await siteBookOf(db, job.id);
  let { house, plan } = worked(job, catalogue, siteBook);
  const loose = doneButNotHeld(siteBook);
  if (loose.length && (await holdAsPlanned(db, job, plan, loose))) {
    siteBook = await siteBookOf(db, job.id);
    ({ house, plan } = worked(job, catalogue, siteBook));
  }
  return { job, house, plan, siteBook, catalogue };
}

const written = new WeakMap<Plan, { job: Job; text: string }>();

/** What a phone needs of a job to carry it out, as one text: written once for a plan, however many phones open it. */
export function forSite({ job, plan, catalogue }: Planned): string {
  const there = written.get(plan);
  if (there?.job === job) return there.text;
  const text = JSON.stringify({ job, plan, catalogue });
  written.set(plan, { job, text });
  return text;
}

function worked(job: Job, catalogue: Catalogue, siteBook: readonly SiteEntry[]): { house: House; plan: Plan } {
  const held = heldRuns(siteBook);
  const closed = releasedSurfaces(siteBook);
  const key = createHash("sha256")
    .update(JSON.stringify([job, catalogue, held, closed]))
    .digest("base64");
  const there = kept.get(key);
  if (there) {
    // The newest asked for stands last.
    kept.delete(key);
    kept.set(key, there);
    return there;
  }
  const house = layHouse(job, catalogue);
  const made = { house, plan: planHouse(house, { held, closed }) };
  kept.set(key, made);
  for (const old of kept.keys()) {
    if (kept.size <= MOST) break;
    kept.delete(old);
  }
  return made;
}

/** Ticks of the first edition held nothing: what was done is held as it is planned now, with a line that says so. */
async function holdAsPlanned(db: Db, job: Job, plan: Plan, runs: readonly string[]): Promise<boolean> {
  const lines = runs.flatMap((id): SiteEntry[] => {
    const run = plan.runs.find((r) => r.id === id);
    return run
      ? [
          {
            id: nanoid(16),
            run: id,
            kind: "note",
            step: null,
            text: "Ticked in an earlier edition: held from here on as it is planned now.",
            by: "Lumbet",
            at: new Date().toISOString(),
            held: holdOf(run, plan.holes, job.points),
          },
        ]
      : [];
  });
  if (lines.length) await addSiteEntries(db, job.id, lines);
  return lines.length > 0;
}
