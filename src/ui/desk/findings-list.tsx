"use client";
import { useState } from "react";
import type { Finding } from "../../core/rules/findings";
import { stageOfRule } from "../job/stages";
import { type Selection, useDesk, usePlan } from "../job/store";
import { FindingCard } from "./finding-card";

/** True when a finding is about what is picked out. */
function concerns(f: Finding, s: Selection, points: Set<string>): boolean {
  if (!s) return false;
  switch (s.kind) {
    case "wall":
      return points.has(f.subject);
    case "joist":
      return f.subject.startsWith(`${s.deck}.J${s.joist}.`) || f.message.startsWith(`Joist ${s.joist} of `);
    case "points":
      return s.ids.includes(f.subject);
    case "run":
    case "point":
    case "circuit":
    case "deck":
      return f.subject === s.id;
  }
}

/** Findings about what is picked (`picked`), or the rest: of this stage, or all of them. */
export function FindingsList({ picked }: { picked: boolean }) {
  const plan = usePlan();
  const planFault = useDesk((s) => s.planFault);
  const selection = useDesk((s) => s.selection);
  const stage = useDesk((s) => s.stage);
  const house = useDesk((s) => s.house);
  const [all, setAll] = useState(false);
  if (planFault)
    return picked ? null : (
      <p role="alert" className="text-stop">
        The plan could not be worked out: {planFault}. What you entered is kept.
      </p>
    );
  if (!plan) return picked ? null : <p className="text-soft">Checking.</p>;
  const onWall = new Set(
    selection?.kind === "wall"
      ? (house.faces[house.faceOfWall.get(selection.id) ?? -1]?.points ?? []).map((p) => p.id)
      : [],
  );
  const mine = plan.findings.filter((f) => concerns(f, selection, onWall));
  const rest = plan.findings.filter(
    (f) => !mine.includes(f) && f.severity !== "note" && (all || stage === "routes" || stageOfRule(f.rule) === stage),
  );
  const hidden = plan.findings.filter((f) => !mine.includes(f) && f.severity !== "note").length - rest.length;
  if (picked)
    return mine.length ? (
      <section aria-label="Findings about what is picked" aria-live="polite">
        {mine.map((f, i) => (
          <FindingCard key={`${f.rule} ${f.subject} ${i}`} f={f} />
        ))}
      </section>
    ) : null;
  return (
    <section aria-label="Findings" aria-live="polite">
      <h2 className="text-lg">{mine.length ? "Also to settle" : "To settle"}</h2>
      {rest.length ? (
        rest.map((f, i) => <FindingCard key={`${f.rule} ${f.subject} ${i}`} f={f} />)
      ) : (
        <p className="text-[13.5px] text-soft">
          Nothing {all || stage === "routes" ? "in this job" : "at this stage"}.
        </p>
      )}
      {hidden > 0 || all ? (
        <button
          type="button"
          className="mt-1 min-h-7 cursor-pointer text-[13.5px] text-accent underline underline-offset-2"
          onClick={() => setAll(!all)}
        >
          {all ? "Only this stage" : `Show ${hidden} at other stages`}
        </button>
      ) : null}
    </section>
  );
}
