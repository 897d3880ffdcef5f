import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { papersOf } from "../../../../core/papers/pack";
import { nowOf } from "../../../../core/record/day";
import { database } from "../../../../data/client";
import { findJob } from "../../../../data/jobs";
import { jobOfLink } from "../../../../data/people/reader-links";
import { planOf } from "../../../../data/plans";
import { PaperPage } from "../../../../ui/papers/paper-page";

export const metadata: Metadata = { title: "Behind a wall", referrer: "no-referrer", robots: { index: false } };
export const dynamic = "force-dynamic";

/** What is behind one wall, for whoever has the link: its photos are the job's and stay with it. */
export default async function Page({ params }: { params: Promise<{ token: string; wall: string }> }) {
  const { token, wall } = await params;
  const db = await database();
  const id = await jobOfLink(db, token);
  const found = id === null ? null : await findJob(db, id);
  if (!found) notFound();
  const { job, house, plan, siteBook } = await planOf(db, found.job);
  const [paper] = papersOf(house, plan, siteBook, {
    kinds: ["wall"],
    room: null,
    wall,
    wallLink: null,
    now: nowOf(new Date()),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  });
  if (!paper) notFound();
  const photos = paper.blocks.findIndex((b) => b.kind === "photos");
  return (
    <PaperPage
      job={{ id: job.id, name: job.name, address: job.address }}
      paper={{ ...paper, blocks: photos < 0 ? paper.blocks : paper.blocks.slice(0, photos - 1) }}
      back={{ href: `/sheets/${token}`, name: "All walls" }}
      kept={null}
    />
  );
}
