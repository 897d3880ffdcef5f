"use client";
import { useState } from "react";
import { mm } from "../../../core/base/figures";
import type { House } from "../../../core/house/house";
import type { SiteEntry } from "../../../core/job/site-entry";
import type { Plan } from "../../../core/laid/laid";
import { chaseNeeds, checkChase } from "../../../core/plan/chase-needs";
import type { Line } from "../../../core/record/do-part";
import type { Part } from "../../../core/record/parts";
import { findingOf, namesOf } from "../../../core/words/findings";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { words } from "../../kit/number-words";
import { SiteField } from "./site-field";
import { TakenReadings } from "./taken-readings";

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
  const run = `wall:${part.at.id}`;
  const taken = entries.filter((e) => e.run === run && e.reading?.unit === "mm");
  const value = words.parse(typed, "mm");
  const [shallow] = value === null ? [] : checkChase(house, plan, part.at.id, value);
  const told = shallow && findingOf(shallow, namesOf(house));
  return (
    <section
      aria-label="Depth"
      className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3 text-[16px]"
      data-depth
    >
      <SiteField
        label="Depth at its shallowest, mm"
        hint={`at least ${mm(chaseNeeds(house, plan, part.at.id))}`}
        name="Depth"
        value={typed}
        onChange={setTyped}
      />
      {told ? (
        <p role="status" className="font-medium text-stop">
          ✕ {told.message} {told.remedy}.
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
            text: told ? "too shallow" : "",
            reading: { what: "Chase, at its shallowest", value: value!, unit: "mm" },
          });
          setTyped("");
        }}
      >
        Write it down
      </Button>
      <TakenReadings entries={taken} />
    </section>
  );
}
