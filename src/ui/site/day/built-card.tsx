"use client";
import { useEffect, useState } from "react";
import { pointLabels } from "../../../core/job/labels";
import type { House } from "../../../core/house/house";
import type { Job } from "../../../core/job/model";
import type { SiteEntry } from "../../../core/job/site-entry";
import type { Plan, Run } from "../../../core/laid/laid";
import { toMark } from "../../../core/base/figures";
import { legWords } from "../../../core/drawings/tape";
import { legPosition } from "../../../core/laid/move-leg";
import type { Measured } from "../../../core/record/as-built";
import type { Line } from "../../../core/record/do-part";
import { findingOf, namesOf } from "../../../core/words/findings";
import { surfaceName } from "../../../core/words/closing";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { words } from "../../kit/number-words";
import { SiteField } from "./site-field";

// Fetched when the page stands, so that it is there without a signal.
const asBuilt = () => import("../../../core/record/as-built");

const from: Record<"u" | "v" | "x" | "y", string> = {
  u: "from the left-hand corner",
  v: "above the floor",
  x: "from the west edge of the house",
  y: "from the south edge of the house",
};

/** Where a leg or a box was built, by two measurements; taken into the plan and judged at once. */
export function BuiltCard({
  house,
  plan,
  run,
  entries,
  onBuilt,
}: {
  house: House;
  plan: Plan;
  run: Run;
  entries: SiteEntry[];
  onBuilt: (lines: readonly Line[], job: Job, plan: Plan) => void;
}) {
  const [open, setOpen] = useState(false);
  const [what, setWhat] = useState<string | null>(null);
  const [a, setA] = useState("");
  const [b, setB] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [said, setSaid] = useState<{ good: boolean; lines: string[] } | null>(null);
  useEffect(() => void asBuilt().catch(() => undefined), []);
  const label = pointLabels(house.job);
  const legs = run.legs.flatMap((l, i) => {
    const at = l.surface.kind === "wall" || l.surface.kind === "deck" ? legPosition(house, l) : null;
    const surface =
      l.surface.kind === "wall" || l.surface.kind === "deck"
        ? surfaceName(house, { kind: l.surface.kind, id: l.surface.id })
        : "";
    return at ? [{ key: `leg ${i}`, i, at, name: `Leg ${i + 1}, ${legWords[l.method]}, ${surface}` }] : [];
  });
  const points = [run.from, run.to].flatMap((id) => {
    const p = house.points[house.pointOfId.get(id) ?? -1]?.point;
    return p && p.place.on === "wall" && p.kind !== "board"
      ? [{ key: `point ${id}`, id, place: p.place, name: `${label(id)}, its box` }]
      : [];
  });
  const leg = legs.find((l) => l.key === what);
  const point = points.find((p) => p.key === what);
  const fields: [string, string, number] | null = leg
    ? ["At one end", "At its other end", leg.at.value]
    : point
      ? ["From the left-hand corner", "Above the floor", point.place.u]
      : null;
  const take = async (): Promise<void> => {
    if (!fields) return setFault("Nothing is picked: say which leg or box was built elsewhere.");
    const bad = words.fault(fields[0], a, 0, 100_000, "mm") ?? words.fault(fields[1], b, 0, 100_000, "mm");
    if (bad) return setFault(bad);
    const [first, second] = [words.parse(a, "mm")!, words.parse(b, "mm")!];
    const measured: Measured = leg
      ? { kind: "leg", run: run.id, leg: leg.i, first, second }
      : { kind: "point", point: point!.id, u: first, v: second };
    const { builtElsewhere } = await asBuilt();
    const made = builtElsewhere(house, plan, entries, measured);
    if (!made.ok) return setFault(made.message);
    setFault(null);
    const names = namesOf(house);
    const broken = made.broken.map((f) => findingOf(f, names).message);
    setSaid({ good: !broken.length, lines: broken.length ? broken : ["Zones, holes and ratings hold as built."] });
    onBuilt(made.lines, made.job, made.plan);
    setA("");
    setB("");
    setWhat(null);
  };
  return (
    <section aria-label="Built elsewhere" className="grid gap-2 px-4 pt-2" data-built>
      {run.built ? <p className="text-[15px] font-medium">As built: it lies where it was measured.</p> : null}
      {said ? (
        <div
          role="status"
          className={`text-[16px] font-medium ${said.good ? "text-good" : "text-stop"}`}
          data-built-says={said.good ? "holds" : "broken"}
        >
          {said.lines.map((l, i) => (
            <p key={i}>
              {said.good ? "✓" : "✕"} {l}
            </p>
          ))}
        </div>
      ) : null}
      {open ? (
        <div className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3">
          <div className="grid gap-1.5" role="group" aria-label="What was built elsewhere">
            {[...points, ...legs].map((x) => (
              <Button
                key={x.key}
                big
                aria-pressed={what === x.key}
                className="whitespace-normal!"
                onClick={() => setWhat(x.key)}
              >
                {what === x.key ? "✓ " : ""}
                {x.name}
              </Button>
            ))}
          </div>
          {fields ? (
            <>
              <p className="text-[15px] text-soft">
                {leg
                  ? `Planned ${toMark(leg.at.value)} ${from[leg.at.measure]}. Measure it at both its ends.`
                  : `Planned ${toMark(point!.place.u)} from the left-hand corner, ${toMark(point!.place.v)} above the floor. Measure to its middle.`}
              </p>
              {(
                [
                  [fields[0], a, setA],
                  [fields[1], b, setB],
                ] as const
              ).map(([name, value, set]) => (
                <SiteField key={name} label={`${name}, mm`} name={name} value={value} onChange={set} />
              ))}
            </>
          ) : null}
          <FaultLine big fault={fault} />
          <Button big look="solid" onClick={() => void take()} data-take-built>
            That is how it is built
          </Button>
        </div>
      ) : null}
      <button
        type="button"
        className="min-h-12 cursor-pointer text-left text-[15px] text-soft underline underline-offset-4"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
          setFault(null);
        }}
      >
        {open ? "It is where it was planned" : "It was built elsewhere than planned"}
      </button>
    </section>
  );
}
