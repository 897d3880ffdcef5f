import type { Metadata } from "next";
import { database } from "../../data/client";
import { listJobs } from "../../data/jobs";
import { keptAnswers } from "../../data/kept-answers";
import { BenchFront } from "../../ui/bench/bench";
import { dropBenchAnswer, keepBenchAnswer } from "../bench-actions";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Bench" };

export default async function Page() {
  const db = await database();
  return (
    <BenchFront
      kept={await keptAnswers(db)}
      jobs={(await listJobs(db)).map(({ id, name }) => ({ id, name }))}
      actions={{ keep: keepBenchAnswer, drop: dropBenchAnswer }}
    />
  );
}
