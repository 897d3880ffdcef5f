import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { lastReleased, surfacesOf } from "../../../core/record/closing";
import { surfaceName } from "../../../core/words/closing";
import { roomSheet } from "../../../core/drawings/house-sheets";
import { sceneSvg } from "../../../core/formats/scene-files";
import { database } from "../../../data/client";
import { findJob } from "../../../data/jobs";
import { jobOfLink } from "../../../data/people/reader-links";
import { planOf } from "../../../data/plans";

export const metadata: Metadata = { title: "Wall sheets", referrer: "no-referrer", robots: { index: false } };
export const dynamic = "force-dynamic";

/** The walls of a job with what runs in them, for whoever has the link: nothing else of it, and nothing to change. */
export default async function Page({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const db = await database();
  const id = await jobOfLink(db, token);
  const found = id === null ? null : await findJob(db, id);
  if (!found) notFound();
  const { job, house, plan, siteBook } = await planOf(db, found.job);
  const walls = surfacesOf(job, plan).filter((s) => s.kind === "wall");
  return (
    <main className="mx-auto max-w-6xl p-4 sm:p-6">
      <h1 className="text-3xl">{job.name}: wall sheets</h1>
      <p className="text-soft">{job.address}</p>
      <p className="my-3 border-l-4 border-stop bg-panel p-3 font-medium">
        Before you drill, cut or fix: have the circuit isolated and proved dead by a competent person, and scan the wall
        with a detector, where nothing is drawn too. Cables may lie other than drawn until the wall is released.
      </p>
      {job.rooms.map((r) => (
        <section key={r.id} className="mt-5" data-sheet={r.name}>
          <h2 className="text-xl">
            {r.name}
            <span className="text-soft"> · walls side by side, as seen from inside; lengths in millimetres</span>
          </h2>
          <div
            className="mt-1 overflow-x-auto border border-line bg-white"
            role="region"
            aria-label={`Walls of ${r.name}, to be moved sideways`}
            // It scrolls: keys must reach it.
            tabIndex={0}
          >
            <div
              className="[&>svg]:h-auto [&>svg]:min-w-[900px] [&>svg]:w-full"
              role="img"
              aria-label={`Walls of ${r.name}`}
              dangerouslySetInnerHTML={{ __html: sceneSvg(roomSheet(house, r.id, plan)) }}
            />
          </div>
          <ul className="mt-1 flex flex-wrap gap-x-6 text-[14px]" data-released>
            {walls
              .filter((w) => house.faces[house.faceOfWall.get(w.id)!]!.room.id === r.id)
              .map((w) => {
                const last = lastReleased(siteBook, w.key);
                return (
                  <li key={w.key}>
                    <a className="underline underline-offset-2" href={`/sheets/${token}/${encodeURIComponent(w.id)}`}>
                      {surfaceName(house, w)}
                    </a>
                    :{" "}
                    {last
                      ? `released by ${last.by}, ${last.at.slice(0, 10)}`
                      : "not released, cables may still be moved"}
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
    </main>
  );
}
