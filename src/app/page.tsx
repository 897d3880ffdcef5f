import { backupState } from "../data/backup/daily";
import { database } from "../data/client";
import { binnedJobs, listJobs } from "../data/jobs";
import { JobsPage } from "../ui/jobs/jobs-page";
import { clearBinned, createJob, duplicateJob, importJob, removeJob, restoreJob } from "./actions";

export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  const { standing, days, failed } = backupState();
  return (
    <JobsPage
      jobs={await listJobs(db)}
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
