"use client";
import { Smartphone } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { Plan } from "../../../core/laid/laid";
import { toCut } from "../../../core/base/figures";
import { closingWords } from "../../../core/words/closing";
import { lineWords } from "../../../core/words/record";
import { closingLines, stateWords } from "../../site/closing-view";
import { stateOf } from "../../../core/record/entries";
import { KeptList } from "../../bench/keep-answer";
import { useDesk } from "../../job/store";
import { NotifyList } from "../notify-list";
import { Table } from "../table";
import { stepNames, steps } from "../../../core/job/site-entry";
import { Choice } from "../../kit/choice";
import { useMe } from "../../kit/me";
import { personName } from "../../kit/person";
import { SinceLooked } from "../../site/since-looked";
import { DaysSheet } from "./days";
import { SheetFrame, link, pickRun, useNames } from "./frame";

export function SiteBookSheet() {
  const { job, house, plan, circuit, runName } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const kept = useDesk((s) => s.kept);
  const me = useMe();
  const [show, setShow] = useState<"days" | "record">("days");
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
      <Choice
        className="no-print mb-2"
        label="Show"
        value={show}
        options={[
          ["days", "Days to come"],
          ["record", "Record"],
        ]}
        onChange={setShow}
      />
      <div className="mb-2 empty:hidden">
        <SinceLooked house={house} plan={plan} entries={siteBook} by={me.name ?? (personName() || "Electrician 1")} />
      </div>
      {show === "days" ? <DaysSheet /> : null}
      <div hidden={show === "days"}>
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
        {plan ? (
          <>
            <h3 className="mt-4 mb-1 text-lg">Before it is closed</h3>
            <p className="mb-1 text-[13.5px] text-soft">
              Each wall and deck with cables in it. It is released on site, by name and time, when nothing stands
              against it; making off is for second fix.
            </p>
            <Table
              label="Surfaces before closing"
              rows={closingLines(house, plan, siteBook)}
              keyOf={(l) => l.surface.key}
              empty="Nothing is laid yet."
              columns={[
                { name: "Surface", cell: (l) => l.name },
                { name: "Runs", num: true, cell: (l) => String(l.surface.runs.length) },
                {
                  name: "State",
                  cell: (l) => (
                    <span
                      className={
                        l.state.kind === "open"
                          ? "whitespace-nowrap text-stop"
                          : l.state.kind === "ready"
                            ? "text-good"
                            : ""
                      }
                      data-surface-state={l.state.kind}
                    >
                      {stateWords(l.state)}
                    </span>
                  ),
                },
                {
                  name: "Photos",
                  cell: (l) =>
                    job.photos
                      .filter((p) => (l.surface.kind === "wall" ? p.wall : p.deck) === l.surface.id)
                      .map((p, i) => (
                        <a
                          key={p.id}
                          className="mr-1.5 underline"
                          href={`/api/jobs/${job.id}/pictures/${p.picture}`}
                          target="_blank"
                          rel="noreferrer"
                          aria-label={`Photo ${i + 1} of ${l.name}`}
                        >
                          {i + 1}
                        </a>
                      )),
                },
                {
                  name: "First against it",
                  cell: (l) => (l.state.kind === "open" ? (closingWords(house, l.list, runName)[0] ?? "") : ""),
                },
              ]}
            />
          </>
        ) : null}
        <h3 className="mt-4 text-lg">Latest lines</h3>
        {latest.length ? (
          <ul className="text-[13.5px]">
            {latest.map((e) => (
              <li key={e.id} className="border-b border-dotted border-line py-0.5">
                <span className="num">
                  {new Date(e.at).toLocaleString("en-GB", { dateStyle: "short", timeStyle: "short" })}
                </span>{" "}
                {e.by}: {lineWords(house, plan, e)}
              </li>
            ))}
          </ul>
        ) : (
          <p className="text-soft">Nothing yet.</p>
        )}
        <NotifyList />
        <h3 className="mt-4 mb-1 text-lg">Answers kept from the Bench</h3>
        <KeptList kept={kept} />
      </div>
    </SheetFrame>
  );
}
