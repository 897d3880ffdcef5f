import type { Metadata } from "next";
import { catalogueOf } from "../../data/catalogue";
import { database } from "../../data/client";
import { defaultSchools } from "../../data/defaults";
import { findJob, listJobs } from "../../data/jobs";
import { SchoolsPage } from "../../ui/schools/schools-page";
import { chooseSchool } from "../bench-actions";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Schools of practice" };

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { job } = await searchParams;
  const db = await database();
  const jobs = (await listJobs(db)).map(({ id, name }) => ({ id, name }));
  const found = typeof job === "string" ? await findJob(db, job) : null;
  return (
    <SchoolsPage
      job={found?.job ?? null}
      jobs={jobs}
      defaults={await defaultSchools(db)}
      catalogue={await catalogueOf(db)}
      choose={chooseSchool}
    />
  );
}
