"use client";
import { Smartphone } from "lucide-react";
import Link from "next/link";
import type { Plan } from "../../../core/laid/laid";
import { toCut } from "../../../core/base/figures";
import { stateOf } from "../../../core/record/entries";
import { KeptList } from "../../bench/keep-answer";
import { useDesk } from "../../job/store";
import { NotifyList } from "../notify-list";
import { Table } from "../table";
import { readingWords, stepNames, steps } from "../../../core/job/site-entry";
import { SheetFrame, link, pickRun, useNames } from "./frame";

export function SiteBookSheet() {
  const { job, plan, circuit, runName } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const kept = useDesk((s) => s.kept);
  const latest = [...siteBook].reverse().slice(0, 60);
  return (
    <SheetFrame
      title="Site book"
      about="What has been done, by whom and when. Lines are only added; a slip is taken back by a further line."
      tools={
        <Link className={link} href={`/jobs/${job.id}/site`}>
          <Smartphone size={14} aria-hidden /> Open on site
        </Link>
      }
    >
      <Table
        label="Steps by run"
        rows={plan?.runs ?? []}
        keyOf={(r) => r.id}
        onPick={(r) => pickRun(r.id)}
        empty="No runs yet."
        columns={[
          { name: "Run", cell: (r) => runName(r.id) },
          { name: "Circuit", cell: (r) => circuit(r.circuit) },
          { name: "Cut, mm", num: true, cell: (r) => toCut(r.cutLength) },
          ...steps.map((s) => ({
            name: stepNames[s],
            cell: (r: Plan["runs"][number]) => {
              const state = stateOf(siteBook, r.id)[s];
              return state.done ? (
                <span className="text-good" title={`${state.by}, ${state.at}`}>
                  ✓ <span className="text-[12px] text-soft">{state.by}</span>
                </span>
              ) : (
                <span className="text-soft">–</span>
              );
            },
          })),
        ]}
      />
      <h3 className="mt-4 text-lg">Latest lines</h3>
      {latest.length ? (
        <ul className="text-[13.5px]">
          {latest.map((e) => (
            <li key={e.id} className="border-b border-dotted border-line py-0.5">
              <span className="num">
                {new Date(e.at).toLocaleString("en-GB", { dateStyle: "short", timeStyle: "short" })}
              </span>{" "}
              {e.by}: {runName(e.run)}
              {e.step ? `, ${stepNames[e.step].toLowerCase()}` : ""}
              {e.kind === "undone" ? ", taken back" : e.kind === "cannot" ? ", cannot" : ""}
              {e.reading ? `, ${readingWords(e.reading)}` : ""}
              {e.text ? ` · ${e.text}` : ""}
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-soft">Nothing yet.</p>
      )}
      <NotifyList />
      <h3 className="mt-4 mb-1 text-lg">Answers kept from the Bench</h3>
      <KeptList kept={kept} />
    </SheetFrame>
  );
}
