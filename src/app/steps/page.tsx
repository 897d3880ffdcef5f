import type { Metadata } from "next";
import { makingOf } from "../../core/trades/ends/steps/makings";
import { database } from "../../data/client";
import { defaultSchools } from "../../data/defaults";
import { findJob } from "../../data/jobs";
import { StepsPage } from "../../ui/steps/steps-page";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Steps" };

/** `?kind=outlet&job=ID&box=70&past=70`: a termination, the job whose schools count, and measures to start from. */
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
    <StepsPage schools={found?.job.settings.schools ?? (await defaultSchools(db))} start={kind} measures={measures} />
  );
}
