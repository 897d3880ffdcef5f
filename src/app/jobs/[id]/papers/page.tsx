import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { labelKinds, labelsOf } from "../../../../core/papers/labels";
import { papersOf } from "../../../../core/papers/pack";
import { paperKinds } from "../../../../core/papers/paper";
import { nowOf } from "../../../../core/record/day";
import { database } from "../../../../data/client";
import { planOf } from "../../../../data/plans";
import { jobOfPage } from "../../../../server/job-of-page";
import { PapersView } from "../../../../ui/papers/papers-view";

export const dynamic = "force-dynamic";

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const found = await jobOfPage((await params).id);
  return { title: found ? `Papers: ${found.job.name}` : "Not found" };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const found = await jobOfPage((await params).id);
  if (!found) notFound();
  const { job, house, plan, siteBook } = await planOf(await database(), found.job);
  const papers = papersOf(house, plan, siteBook, {
    kinds: paperKinds,
    room: null,
    wall: null,
    wallLink: null,
    now: nowOf(new Date()),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  });
  const roomOf = (p: (typeof papers)[number]): string | null =>
    p.kind === "room" || p.kind === "boxes" ? p.id : (house.faces[house.faceOfWall.get(p.id) ?? -1]?.room.id ?? null);
  return (
    <PapersView
      job={{ id: job.id, name: job.name, address: job.address }}
      rooms={job.rooms.map(({ id, name }) => ({ id, name }))}
      labels={labelKinds.map((k) => ({ kind: k, lines: labelsOf(house, plan, [k]).map((l) => l.lines) }))}
      papers={papers.map((p) => ({ kind: p.kind, id: p.id, title: p.title, room: roomOf(p) }))}
    />
  );
}
