import { backupState } from "../data/backup/daily";
import { database } from "../data/client";
import { binnedJobs, countJobs, listJobs } from "../data/jobs";
import { JobsPage } from "../ui/jobs/jobs-page";
import { clearBinned, createJob, duplicateJob, importJob, removeJob, restoreJob } from "./actions";

export const dynamic = "force-dynamic";

/** Jobs that are shown at once. */
const SHOWN = 40;

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const db = await database();
  const { q, all } = await searchParams;
  const words = typeof q === "string" ? q.replaceAll("\0", "").toWellFormed().trim().slice(0, 80) : "";
  const { standing, days, failed } = backupState();
  return (
    <JobsPage
      jobs={await listJobs(db, words, all === undefined ? SHOWN : undefined)}
      found={{ words, total: await countJobs(db, words), whole: await countJobs(db) }}
      bin={await binnedJobs(db)}
      backups={{ newest: standing[0] ?? null, count: standing.length, days, failed }}
      actions={{
        create: createJob,
        duplicate: duplicateJob,
        remove: removeJob,
        restore: restoreJob,
        clear: clearBinned,
        importFile: importJob,
      }}
    />
  );
}
