"use client";
import Link from "next/link";
import { useEffect, useRef, useState } from "react";
import { groups } from "../../core/calculators/calculator";
import { calculators } from "../../core/calculators/registry";
import { type Recent, addressOf, recentAnswers } from "./recent";

/** All questions, by subject, with a box to find one; recent answers of this device below. */
export function QuestionList({ here, wide }: { here: string | null; wide?: boolean }) {
  const [find, setFind] = useState("");
  const [recent, setRecent] = useState<Recent[]>([]);
  useEffect(() => setRecent(recentAnswers()), [here]);
  const list = useRef<HTMLElement>(null);
  useEffect(() => list.current?.querySelector("[aria-current]")?.scrollIntoView({ block: "nearest" }), [here]);
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (text: string): boolean => words.every((w) => text.toLowerCase().includes(w));
  const shown = groups
    .map((g) => ({ g, list: calculators.filter((c) => c.group === g && fits(`${c.purpose} ${c.name} ${g}`)) }))
    .filter(({ list }) => list.length);
  return (
    <nav ref={list} aria-label="Questions" className={wide ? "" : "lg:min-h-0 lg:overflow-auto"}>
      <input
        type="search"
        aria-label="Find a question"
        placeholder="Find a question"
        value={find}
        onChange={(e) => setFind(e.target.value)}
        className="mb-2 min-h-10 w-full border border-line bg-field px-2.5"
        data-find-question
      />
      {shown.length === 0 ? <p className="p-1 text-soft">No question has “{find}” in it.</p> : null}
      <div className={wide ? "gap-x-8 sm:columns-2 lg:columns-3" : ""}>
        {shown.map(({ g, list }) => (
          <section key={g} className="mb-4 break-inside-avoid">
            <h2 className="text-[13px] text-soft">{g}</h2>
            <ul>
              {list.map((c) => (
                <li key={c.name}>
                  <Link
                    href={`/bench/${c.name}`}
                    aria-current={c.name === here ? "page" : undefined}
                    className={`flex items-center border-l-4 px-2 leading-snug ${wide ? "min-h-12 text-[17px]" : "min-h-9 py-1 text-[14.5px]"} ${c.name === here ? "border-accent bg-panel font-semibold" : "border-transparent hover:bg-panel"}`}
                  >
                    {c.purpose}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      {recent.length && !words.length ? (
        <section className="mb-4 break-inside-avoid" aria-label="Recent answers">
          <h2 className="text-[13px] text-soft">Recent on this device</h2>
          <ul>
            {recent.map((r, i) => (
              <li key={i}>
                <Link
                  href={addressOf(r.name, r.input)}
                  className="block px-2 py-1.5 text-[13.5px] leading-snug hover:bg-panel"
                >
                  {r.headline}{" "}
                  <span className="text-soft">{calculators.find((c) => c.name === r.name)?.purpose ?? r.name}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </nav>
  );
}
