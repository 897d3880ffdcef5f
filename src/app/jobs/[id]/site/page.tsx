import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { database } from "../../../../data/client";
import { jobOfPage } from "../../../../server/job-of-page";
import { forSite, planOf } from "../../../../data/plans";
import { SiteView } from "../../../../ui/site/site-view";
import { addSiteEntries } from "../../../actions";

export const dynamic = "force-dynamic";

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const found = await jobOfPage((await params).id);
  return { title: found ? `Site: ${found.job.name}` : "Not found" };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const db = await database();
  const found = await jobOfPage(id);
  if (!found) notFound();
  const planned = await planOf(db, found.job);
  return (
    <SiteView name={found.job.name} planned={forSite(planned)} siteBook={planned.siteBook} send={addSiteEntries} />
  );
}
