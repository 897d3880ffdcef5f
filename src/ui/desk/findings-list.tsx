"use client";
import { useMemo, useState } from "react";
import { type Fact, factKey } from "../../core/rules/fact";
import { findingOf, namesOf } from "../../core/words/findings";
import { stageOfRule } from "../job/stages";
import { type Selection, useDesk, useSnapshot } from "../job/store";
import { FindingCard } from "./finding-card";

/** True when a fact is about what is picked out. */
function concerns({ subject, where }: Fact, s: Selection, points: ReadonlySet<string>): boolean {
  if (!s) return false;
  switch (s.kind) {
    case "wall":
      return where?.wall === s.id || (subject.kind === "point" && points.has(subject.id));
    case "joist":
      return where?.deck === s.deck && where.joist === s.joist;
    case "points":
      return subject.kind === "point" && s.ids.includes(subject.id);
    case "run":
      return where?.run === s.id || (subject.kind === "run" && subject.id === s.id);
    case "deck":
      return where?.deck === s.id;
    case "outside":
      return (subject.kind === "outside" || subject.kind === "row") && subject.id === s.id;
    case "section":
    case "point":
    case "circuit":
      return subject.kind === s.kind && subject.id === s.id;
  }
}

/** Findings about what is picked (`picked`), or the rest: of this stage, or all of them. */
export function FindingsList({ picked }: { picked: boolean }) {
  const { plan, house } = useSnapshot();
  const selection = useDesk((s) => s.selection);
  const stage = useDesk((s) => s.stage);
  const [all, setAll] = useState(false);
  const names = useMemo(() => namesOf(house), [house]);
  if (!plan) return picked ? null : <p className="text-soft">Checking.</p>;
  const onWall = new Set(
    selection?.kind === "wall"
      ? (house.faces[house.faceOfWall.get(selection.id) ?? -1]?.points ?? []).map((p) => p.id)
      : [],
  );
  // Of a section also what becomes of the circuits whose legs lie in it.
  const legOf = (f: Fact): string | undefined =>
    plan.runs.find((r) => r.id === f.where?.run)?.legs[f.where?.leg ?? -1]?.section;
  const mine = plan.facts.filter(
    (f) => concerns(f, selection, onWall) || (selection?.kind === "section" && legOf(f) === selection.id),
  );
  const rest = plan.facts.filter(
    (f) => !mine.includes(f) && f.severity !== "note" && (all || stage === "routes" || stageOfRule(f.rule) === stage),
  );
  const hidden = plan.facts.filter((f) => !mine.includes(f) && f.severity !== "note").length - rest.length;
  if (picked)
    return mine.length ? (
      <section aria-label="Findings about what is picked" aria-live="polite">
        {mine.map((f) => (
          <FindingCard key={factKey(f)} f={findingOf(f, names)} />
        ))}
      </section>
    ) : null;
  return (
    <section aria-label="Findings" aria-live="polite">
      <h2 className="text-lg">{mine.length ? "Also to settle" : "To settle"}</h2>
      {rest.length ? (
        rest.map((f) => <FindingCard key={factKey(f)} f={findingOf(f, names)} />)
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
