import type { Metadata } from "next";
import { makingOf } from "../../core/trades/ends/steps/makings";
import { database } from "../../data/client";
import { defaultSchools } from "../../data/defaults";
import { siteBookOf } from "../../data/site-book";
import { addSiteEntries } from "../actions";
import { findJob } from "../../data/jobs";
import { StepsPage } from "../../ui/steps/steps-page";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Steps" };

/**
 * `?kind=outlet&job=ID&run=KEY&tail=140`: a piece of work, the job whose schools count, the run whose record its readings go to, and
 * measures to start from.
 */
export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const q = await searchParams;
  const db = await database();
  const found = typeof q.job === "string" ? await findJob(db, q.job) : null;
  const kind = typeof q.kind === "string" && makingOf(q.kind) ? q.kind : null;
  const measures = Object.fromEntries(
    Object.entries(q).flatMap(([k, v]) =>
      typeof v === "string" && v !== "" && Number.isFinite(Number(v)) ? [[k, Number(v)]] : [],
    ),
  );
  return (
    <StepsPage
      schools={found?.job.settings.schools ?? (await defaultSchools(db))}
      start={kind}
      measures={measures}
      record={
        found && typeof q.run === "string" && q.run.length <= 140
          ? {
              job: found.job.id,
              name: found.job.name,
              run: q.run,
              at: typeof q.at === "string" ? q.at : null,
              stored: await siteBookOf(db, found.job.id),
            }
          : null
      }
      send={addSiteEntries}
    />
  );
}
