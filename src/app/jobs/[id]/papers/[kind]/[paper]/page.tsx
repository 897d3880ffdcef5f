import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { type PaperKind, paperKinds, paperNames } from "../../../../../../core/papers/paper";
import { jobOfPage } from "../../../../../../server/job-of-page";
import { pageOfPaper } from "../../../../../../server/paper-page";

export const dynamic = "force-dynamic";
type Params = Promise<{ id: string; kind: string; paper: string }>;

const isKind = (s: string): s is PaperKind => (paperKinds as readonly string[]).includes(s);

export async function generateMetadata({ params }: { params: Params }): Promise<Metadata> {
  const { id, kind } = await params;
  const found = await jobOfPage(id);
  return { title: found && isKind(kind) ? `${paperNames[kind]}: ${found.job.name}` : "Not found" };
}

/** One paper of a job, to be read before it is printed. */
export default async function Page({ params }: { params: Params }) {
  const { id, kind, paper } = await params;
  if (!isKind(kind)) notFound();
  return pageOfPaper(id, kind, decodeURIComponent(paper));
}
