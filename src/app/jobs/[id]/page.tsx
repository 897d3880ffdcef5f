import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { catalogueOf } from "../../../data/catalogue";
import { database } from "../../../data/client";
import { jobOfPage } from "../../../server/job-of-page";
import { keptAnswers } from "../../../data/kept-answers";
import { doneButNotHeld } from "../../../core/record/held";
import { planOf } from "../../../data/plans";
import { siteBookOf } from "../../../data/site-book";
import { Desk } from "../../../ui/desk/desk";
import { isStage, viewOf } from "../../../ui/job/stages";
import { changesSince, edit, restoreJob, siteBook } from "../../actions";

export const dynamic = "force-dynamic";

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await jobOfPage((await params).id);
  return { title: found?.job.name ?? "Not found" };
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const q = await searchParams;
  const db = await database();
  const found = await jobOfPage(id);
  if (!found) notFound();
  // Ticks of an earlier edition are held before the desk lays anything round them.
  const stored = await siteBookOf(db, id);
  const record = doneButNotHeld(stored).length ? (await planOf(db, found.job)).siteBook : stored;
  const room = typeof q.room === "string" && found.job.rooms.some((r) => r.id === q.room) ? q.room : null;
  return (
    <Desk
      job={found.job}
      version={found.version}
      siteBook={record}
      catalogue={await catalogueOf(db)}
      kept={await keptAnswers(db, id)}
      start={{ stage: isStage(q.stage) ? q.stage : "points", room, view: viewOf(q.view) }}
      tour={q.tour !== undefined}
      actions={{ edit, changesSince, siteBook, restore: restoreJob }}
    />
  );
}
