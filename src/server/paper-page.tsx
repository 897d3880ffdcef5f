import { notFound } from "next/navigation";
import { papersOf } from "../core/papers/pack";
import type { PaperKind } from "../core/papers/paper";
import { nowOf } from "../core/record/day";
import { database } from "../data/client";
import { planOf } from "../data/plans";
import { PaperPage } from "../ui/papers/paper-page";
import { jobOfPage } from "./job-of-page";

/** One paper of a job as a page; not found where the job has no such paper. */
export async function pageOfPaper(id: string, kind: PaperKind, paper: string) {
  const found = await jobOfPage(id);
  if (!found) notFound();
  const { job, house, plan, siteBook } = await planOf(await database(), found.job);
  const wall = kind === "wall" || kind === "stick" ? paper : null;
  const room = kind === "room" ? paper : null;
  const one = papersOf(house, plan, siteBook, {
    kinds: [kind],
    room,
    wall,
    wallLink: null,
    now: nowOf(new Date()),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  }).find((p) => p.id === paper);
  if (!one) notFound();
  const q = new URLSearchParams({ kinds: kind, size: "A4", one: paper });
  return (
    <PaperPage
      job={{ id: job.id, name: job.name, address: job.address }}
      paper={one}
      back={{ href: `/jobs/${job.id}/papers`, name: "All papers of the job" }}
      kept={`/api/jobs/${job.id}/papers.pdf?${q.toString()}`}
    />
  );
}
