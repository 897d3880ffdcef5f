import { database } from "../data/client";
import { listJobs } from "../data/jobs";
import { JobsPage } from "../ui/jobs/jobs-page";
import { createJob, duplicateJob, importJob, removeJob, restoreJob } from "./actions";

export const dynamic = "force-dynamic";

export default async function Page() {
  const jobs = await listJobs(await database());
  return (
    <JobsPage
      jobs={jobs}
      actions={{
        create: createJob,
        duplicate: duplicateJob,
        remove: removeJob,
        restore: restoreJob,
        importFile: importJob,
      }}
    />
  );
}
