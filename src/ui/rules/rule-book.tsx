"use client";
import Link from "next/link";
import { useEffect, useState } from "react";
import { book } from "../../core/rules/book";
import { editionOf } from "../../core/rules/editions";
import type { Rule } from "../../core/rules/rule";
import type { BookTable } from "../../core/book/tables";
import { PageBar } from "../kit/page-bar";

const chapters: readonly (readonly [prefix: string, name: string])[] = [
  ["zone", "Zones on walls"],
  ["timber", "Timber"],
  ["clip", "Support"],
  ["fire", "Fire"],
  ["bend", "Bends"],
  ["fill", "Fill"],
  ["fold", "Folding"],
  ["gland", "Glands"],
  ["mi", "Mineral-insulated ends"],
  ["end", "Ends"],
  ["circuit", "Circuits"],
  ["kitchen", "Kitchen"],
  ["height", "Heights"],
  ["overhead", "Overhead"],
  ["buried", "Buried"],
  ["outside", "Outside"],
  ["lights", "Lights outside"],
  ["extend", "Adding to old circuits"],
  ["retrofit", "Old cable and new"],
  ["test", "Dead tests"],
  ["point", "Points of the plan"],
  ["route", "Routes of the plan"],
  ["hole", "Holes of the plan"],
  ["stock", "Stock"],
];
const severity = { stop: "Stop", warn: "Look", note: "Note" } as const;
const tone = { stop: "text-stop", warn: "text-warn", note: "text-soft" } as const;

/** Every rule and every table, as data, with a box to search them. */
export function RuleBook({ tables }: { tables: BookTable[] }) {
  const [find, setFind] = useState("");
  const [picked, setPicked] = useState<string | null>(null);
  useEffect(() => {
    const show = (): void => {
      const id = decodeURIComponent(window.location.hash.slice(1));
      setPicked(id || null);
      if (id) document.getElementById(id)?.scrollIntoView({ block: "start" });
    };
    show();
    window.addEventListener("hashchange", show);
    return () => window.removeEventListener("hashchange", show);
  }, []);
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (...texts: (string | undefined)[]): boolean =>
    words.every((w) => texts.some((t) => t?.toLowerCase().includes(w)));
  const rules = (Object.entries(book) as [string, Rule][]).filter(([id, r]) =>
    fits(id, r.title, r.text, r.why, r.source, r.limit, r.caution),
  );
  const shown = tables.filter((t) => fits(t.title, t.source, t.id, ...t.rows.flat().map(String)));
  return (
    <div className="min-h-dvh">
      <PageBar here="Rule book" />
      <main className="mx-auto max-w-5xl p-4 sm:p-6">
        <h1 className="text-3xl">Rule book</h1>
        <p className="max-w-[75ch] text-soft">
          Every rule and table the program judges by, in our words, with its source. Figures are a working aid: local
          code and licensed practice come first. Values marked typical may be replaced by a maker&apos;s sheet in the{" "}
          <Link className="underline underline-offset-2" href="/catalogue">
            catalogue
          </Link>
          ; where practitioners differ, the{" "}
          <Link className="underline underline-offset-2" href="/schools">
            schools
          </Link>{" "}
          decide.
        </p>
        <div className="sticky top-0 z-10 my-3 flex flex-wrap items-center gap-3 border-y border-line bg-page py-2">
          <input
            type="search"
            aria-label="Search the rule book"
            placeholder="Search: sink, 150, gland, BS 7671 …"
            value={find}
            onChange={(e) => setFind(e.target.value)}
            className="min-h-10 w-full max-w-md border border-line bg-field px-2.5"
            data-find-rule
          />
          <span role="status" className="text-[14px] text-soft">
            {rules.length} {rules.length === 1 ? "rule" : "rules"}, {shown.length}{" "}
            {shown.length === 1 ? "table" : "tables"}
          </span>
          <a href="#tables" className="text-[14px] underline underline-offset-2">
            To the tables
          </a>
        </div>
        {rules.length + shown.length === 0 ? <p className="text-lg">Nothing in the book has “{find}” in it.</p> : null}
        {chapters.map(([prefix, name]) => {
          const list = rules.filter(([id]) => id.split(".")[0] === prefix);
          return list.length ? (
            <section key={prefix} className="mb-5" aria-label={`Rules: ${name}`}>
              <h2 className="mb-1 border-b border-ink text-xl">{name}</h2>
              {list.map(([id, r]) => (
                <article
                  key={id}
                  id={id}
                  data-rule={id}
                  className={`grid scroll-mt-16 gap-x-5 border-b border-dotted border-line py-2.5 sm:grid-cols-[1fr_15rem] ${picked === id ? "border-l-4 border-l-accent bg-panel pl-3 [border-left-style:solid]" : ""}`}
                >
                  <div>
                    <h3 className="text-[16px]">{r.title}</h3>
                    <p>{r.text}</p>
                    <p className="text-[13.5px] text-soft">{r.why}</p>
                    {r.caution ? <p className="text-[13.5px] font-medium text-warn">! {r.caution}</p> : null}
                  </div>
                  <dl className="text-[13.5px] max-sm:mt-1">
                    <div>
                      <dt className="sr-only">Limit</dt>
                      <dd className="num text-[14px] font-medium">{r.limit}</dd>
                    </div>
                    <div>
                      <dt className="sr-only">Weight</dt>
                      <dd className={tone[r.severity]}>{severity[r.severity]}</dd>
                    </div>
                    <div>
                      <dt className="sr-only">Source</dt>
                      <dd>{r.source}</dd>
                    </div>
                    <div>
                      <dt className="sr-only">Edition</dt>
                      <dd className="text-soft">{editionOf(r.source)}</dd>
                    </div>
                    <div>
                      <dt className="sr-only">Id</dt>
                      <dd className="num text-[12.5px] text-soft">{id}</dd>
                    </div>
                  </dl>
                </article>
              ))}
            </section>
          ) : null;
        })}
        <h2 id="tables" className="mt-8 mb-2 scroll-mt-16 text-2xl">
          Tables
        </h2>
        <div className="grid gap-5">
          {shown.map((t) => (
            <section
              key={t.id}
              id={`table-${t.id}`}
              aria-label={`Figures: ${t.title}`}
              className="min-w-0 scroll-mt-16"
            >
              <h3 className="text-[17px]">{t.title}</h3>
              <p className="text-[13.5px] text-soft">
                {t.source}; {editionOf(t.source)}. {t.caution}
              </p>
              <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`${t.title}, table`}>
                <table className="mt-1 border-collapse text-[14px]">
                  <thead>
                    <tr>
                      {t.columns.map((c) => (
                        <th
                          key={c}
                          scope="col"
                          className="border-b border-ink px-2.5 py-1 text-left font-cond font-semibold"
                        >
                          {c}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {t.rows.map((r, i) => (
                      <tr key={i} className="border-b border-dotted border-line">
                        {r.map((x, k) => (
                          <td
                            key={k}
                            className={`px-2.5 py-0.5 ${typeof x === "number" || /^[\d.,/ –-]+$/.test(String(x)) ? "num" : ""}`}
                          >
                            {x}
                          </td>
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            </section>
          ))}
        </div>
      </main>
    </div>
  );
}
