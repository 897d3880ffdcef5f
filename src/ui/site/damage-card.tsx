"use client";
import { useState } from "react";
import { damageWords } from "../../core/words/closing";
import { mm } from "../../core/base/figures";
import type { SiteEntry } from "../../core/job/site-entry";
import type { Run } from "../../core/laid/laid";
import { damagesOf } from "../../core/record/damage";
import type { Line } from "../../core/record/do-part";
import { Button } from "../kit/button";
import { FaultLine } from "../kit/fault-line";
import { words } from "../kit/number-words";
import { SiteField } from "./day/site-field";

/** What is done about a cable that was hurt before it is hidden. Cores that show are no matter for tape. */
const repairs = [
  "New length drawn in",
  "Cut short of it, joined in a box that stays reachable",
  "Only the sheath's skin: tested, moved clear",
];
const kinds = ["Sheath nicked", "Core to be seen", "Crushed or kinked", "Drilled or nailed"];

/** Damage of a run: told with its place, open until its repair is told. */
export function DamageCard({
  run,
  name,
  entries,
  tell,
}: {
  run: Run;
  name: string;
  entries: readonly SiteEntry[];
  tell: (line: Omit<Line, "run" | "step">) => void;
}) {
  const [asking, setAsking] = useState(false);
  const [where, setWhere] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const mine = damagesOf(entries).filter((d) => d.run === run.id);
  const most = Math.round(run.pathLength);
  const say = (text: string): void => {
    const typed = where.trim();
    const along = typed ? words.parse(typed, "mm") : null;
    const bad = typed ? words.fault("Place", typed, 0, most, "mm", true) : null;
    if (bad) return setFault(bad);
    tell({ kind: "damage", text, ...(along === null ? {} : { along }) });
    setAsking(false);
    setWhere("");
    setFault(null);
  };
  return (
    <section aria-label="Damage" className="px-4 pt-3" data-damage>
      {mine.map((d) => (
        <div key={d.id} className={`border-t border-line py-2 text-[15px] ${d.repair ? "text-soft" : "text-stop"}`}>
          <p>
            {d.repair ? "✓" : "✕"} {damageWords(d, name)} ({d.by})
            {d.repair ? `. Repaired: ${d.repair.text} (${d.repair.by})` : ""}
          </p>
          {d.repair ? null : (
            <div className="mt-1 grid gap-1.5" role="group" aria-label="How it was repaired">
              {repairs.map((r) => (
                <Button key={r} big onClick={() => tell({ kind: "repaired", text: r, after: d.id })}>
                  {r}
                </Button>
              ))}
            </div>
          )}
        </div>
      ))}
      {asking ? (
        <div className="grid gap-2 border-t border-line py-2">
          <SiteField
            label={`Where, mm from the start of the run (0 to ${mm(most)})`}
            hint="leave it empty where you cannot measure"
            name="Place"
            value={where}
            onChange={setWhere}
          />
          <FaultLine big fault={fault} />
          <div className="grid grid-cols-2 gap-2" role="group" aria-label="What it is">
            {kinds.map((k) => (
              <Button key={k} big onClick={() => say(k)}>
                {k}
              </Button>
            ))}
          </div>
        </div>
      ) : null}
      <button
        type="button"
        className="min-h-12 cursor-pointer text-[15px] text-soft underline underline-offset-4"
        aria-expanded={asking}
        onClick={() => setAsking(!asking)}
      >
        {asking ? "No damage after all" : "Tell of damage to this cable"}
      </button>
    </section>
  );
}
