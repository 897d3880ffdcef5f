import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { makePlan } from "../../../../core/plan/plan";
import { catalogueOf } from "../../../../data/catalogue";
import { database } from "../../../../data/client";
import { findJob } from "../../../../data/jobs";
import { siteBookOf } from "../../../../data/site-book";
import { SiteView } from "../../../../ui/site/site-view";
import { addSiteEntries } from "../../../actions";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Site" };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const db = await database();
  const found = await findJob(db, id);
  if (!found) notFound();
  const catalogue = await catalogueOf(db);
  return (
    <SiteView
      job={found.job}
      plan={makePlan(found.job, { catalogue })}
      catalogue={catalogue}
      siteBook={await siteBookOf(db, id)}
      send={addSiteEntries}
    />
  );
}
