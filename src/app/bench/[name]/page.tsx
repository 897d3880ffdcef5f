import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { calculatorNamed } from "../../../core/calculators/registry";
import { catalogueOf } from "../../../data/catalogue";
import { database } from "../../../data/client";
import { listJobs } from "../../../data/jobs";
import { keptAnswers } from "../../../data/kept-answers";
import { Bench } from "../../../ui/bench/bench";
import { dropBenchAnswer, keepBenchAnswer } from "../../bench-actions";

export const dynamic = "force-dynamic";

interface Props {
  params: Promise<{ name: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: calculatorNamed((await params).name)?.purpose ?? "Not found" };
}

/** The input of the address, if it is whole JSON; what it says is judged by the calculator. */
function given(text: string | string[] | undefined): unknown {
  if (typeof text !== "string") return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export default async function Page({ params, searchParams }: Props) {
  const { name } = await params;
  if (!calculatorNamed(name)) notFound();
  const { input } = await searchParams;
  const db = await database();
  const jobs = (await listJobs(db)).map((j) => ({ id: j.id, name: j.name }));
  return (
    <Bench
      key={`${name} ${String(input)}`}
      name={name}
      input={given(input)}
      catalogue={await catalogueOf(db)}
      kept={await keptAnswers(db)}
      jobs={jobs}
      actions={{ keep: keepBenchAnswer, drop: dropBenchAnswer }}
    />
  );
}
