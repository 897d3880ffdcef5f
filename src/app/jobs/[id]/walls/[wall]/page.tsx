import type { Metadata } from "next";
import { jobOfPage } from "../../../../../server/job-of-page";
import { pageOfPaper } from "../../../../../server/paper-page";

export const dynamic = "force-dynamic";

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const found = await jobOfPage((await params).id);
  return { title: found ? `Behind a wall: ${found.job.name}` : "Not found" };
}

/** What is behind one wall: where the code on its sheet leads to. */
export default async function Page({ params }: { params: Promise<{ id: string; wall: string }> }) {
  const { id, wall } = await params;
  return pageOfPaper(id, "wall", wall);
}
