"use client";
import { useState } from "react";
import { mm } from "../../../core/base/figures";
import type { House } from "../../../core/house/house";
import { type SiteEntry, readingWords } from "../../../core/job/site-entry";
import type { Plan } from "../../../core/laid/laid";
import type { Line } from "../../../core/record/do-part";
import { type Part, chaseNeeds } from "../../../core/record/parts";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { words } from "../../kit/number-words";

/** The depth of a chase where it is shallowest, held against what its cables need. */
export function DepthCard({
  house,
  plan,
  part,
  entries,
  tell,
}: {
  house: House;
  plan: Plan;
  part: Part;
  entries: SiteEntry[];
  tell: (line: Line) => void;
}) {
  const [typed, setTyped] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const needs = Math.ceil(chaseNeeds(house, plan, part.at.id));
  const run = `wall:${part.at.id}`;
  const taken = entries.filter((e) => e.run === run && e.reading?.unit === "mm");
  const value = typed.trim() ? words.parse(typed, "mm") : null;
  const shallow = value !== null && value < needs;
  return (
    <section
      aria-label="Depth"
      className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3 text-[16px]"
      data-depth
    >
      <label className="grid grid-cols-[minmax(0,1fr)_8rem] items-center gap-2">
        <span>
          Depth at its shallowest, mm
          <span className="block text-[14px] text-soft">at least {mm(needs)}</span>
        </span>
        <input
          className="num min-h-12 border border-line bg-field px-2 text-[18px]"
          inputMode="numeric"
          data-field="Depth"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
        />
      </label>
      {shallow ? (
        <p role="status" className="font-medium text-stop">
          ✕ {mm(needs - value)} too shallow: cut deeper, or the cable stands out of the plaster.
        </p>
      ) : null}
      <FaultLine big fault={fault} />
      <Button
        big
        onClick={() => {
          const bad = words.fault("Depth", typed, 1, 300, "mm");
          if (bad) return setFault(bad);
          setFault(null);
          tell({
            run,
            kind: "reading",
            step: null,
            text: shallow ? "too shallow" : "",
            reading: { what: "Chase, at its shallowest", value: value!, unit: "mm" },
          });
          setTyped("");
        }}
      >
        Write it down
      </Button>
      {taken.map((e) => (
        <p key={e.id} className="text-[15px]">
          {readingWords(e.reading!)} <span className="text-soft">{e.by}</span>
        </p>
      ))}
    </section>
  );
}
