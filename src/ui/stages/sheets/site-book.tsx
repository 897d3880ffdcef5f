"use client";
import { Smartphone } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { Plan } from "../../../core/laid/laid";
import { toCut } from "../../../core/base/figures";
import { closingWords, surfaceName } from "../../../core/words/closing";
import { closingLines, stateWords } from "../../site/closing-view";
import { stateOf } from "../../../core/record/entries";
import { KeptList } from "../../bench/keep-answer";
import { useDesk } from "../../job/store";
import { NotifyList } from "../notify-list";
import { Table } from "../table";
import { type SiteEntry, readingWords, stepNames, steps } from "../../../core/job/site-entry";
import { workTimes } from "../../../core/rules/work-times";
import { Choice } from "../../kit/choice";
import { DaysSheet } from "./days";
import { SheetFrame, link, pickRun, useNames } from "./frame";

/** What a line says beside its step. */
const kindWords: Partial<Record<SiteEntry["kind"], string>> = {
  undone: ", taken back",
  cannot: ", cannot",
  damage: ", damaged",
  repaired: ", repaired",
  released: ", released for closing",
  reopened: ", opened again",
  unmark: ", taken back",
  can: ", can be done again",
  cut: ", cut",
  returned: ", offcut came back",
  built: ", built elsewhere",
};

/** What a mark was about, in a word. */
const markWords = (e: SiteEntry): string => {
  const kind = e.mark?.startsWith("hole:") ? "bore" : e.mark?.split(":")[0];
  const t = kind && kind in workTimes ? workTimes[kind as keyof typeof workTimes].name.toLowerCase() : "";
  return e.mark !== undefined && !e.step && t ? `, ${t}` : "";
};

const metres = (mm: number): string => `${(mm / 1000).toFixed(1)} m`;

export function SiteBookSheet() {
  const { job, house, plan, circuit, runName } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const kept = useDesk((s) => s.kept);
  const [show, setShow] = useState<"days" | "record">("days");
  /** A run, or a surface that was released or opened again. */
  const placeOf = (key: string): string => {
    const [kind, id] = key.split(":");
    if (kind === "point" && id) return runName(id);
    if (kind === "section" && id) return job.sections.find((s) => s.id === id)?.label ?? id;
    return (kind === "wall" || kind === "deck") && id ? surfaceName(house, { kind, id }) : runName(key);
  };
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
                {e.by}: {placeOf(e.run)}
                {e.step ? `, ${stepNames[e.step].toLowerCase()}` : ""}
                {markWords(e)}
                {kindWords[e.kind] ?? ""}
                {e.cut
                  ? `, ${metres(e.cut.length)} of ${job.drums.find((d) => d.id === e.cut!.drum)?.label ?? "an offcut"}`
                  : ""}
                {e.reading ? `, ${readingWords(e.reading)}${e.instrument ? `, ${e.instrument}` : ""}` : ""}
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
      </div>
    </SheetFrame>
  );
}
