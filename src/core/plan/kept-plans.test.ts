import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { generatedHouse } from "../routing/generated-house";
import type { Plan } from "../laid/laid";
import { presets } from "../routing/weights";
import { behindWall } from "./behind-wall";
import { makePlan, planHouse } from "./plan";

/*
 * Whole plans as they were when last looked at: where every run goes, what is drilled and what is told. A change of the router that
 * is meant changes them; look at what differs before writing them anew.
 */

const tenth = (x: number): number => Math.round(x * 10) / 10 + 0;
const place = (p: readonly number[]): string => p.map(tenth).join(",");

/** A plan as lines of text: runs with their legs, holes, facts, cable and its bound. */
function linesOf(plan: Plan): string[] {
  return [
    ...plan.runs.map(
      (r) =>
        `run ${r.id} cut ${tenth(r.cutLength)}: ${r.legs.map((l) => `${l.method} ${l.path.map(place).join(" > ")}`).join("; ")}`,
    ),
    ...plan.holes.map(
      (o) =>
        `hole ${o.in.part ?? o.in.kind} ${o.in.joist ?? o.in.wall ?? ""} at ${tenth(o.at)} Ø ${o.diameter} for ${o.runs.length}${o.plated ? " plated" : ""}`,
    ),
    ...plan.takeoff.map((t) => `buy ${t.item} ${t.size} ${tenth(t.quantity)} ${t.unit} for ${t.circuit ?? "all"}`),
    ...plan.ends.map((e) => `end ${e.point} ${e.run} ${e.entry} ${JSON.stringify(e.measures)}`),
    ...plan.clips.map(
      (c) =>
        `clips ${c.run} ${c.leg} ${c.metal ? "metal " : ""}${c.reachable ? "reachable " : ""}${tenth(c.pitch)} of ${c.max}: ${c.marks.map(tenth).join(",")}`,
    ),
    ...plan.facts.map((f) => `fact ${f.rule} ${f.severity} ${f.subject.id} ${f.case ?? ""}`),
    `cable ${tenth(plan.cable.total)} lines ${plan.cable.lines === null ? "none" : tenth(plan.cable.lines)} plumb ${tenth(plan.cable.plumb)} bound ${plan.cable.bound === null ? "none" : tenth(plan.cable.bound)}`,
  ];
}

const deck = (job: Job, more: object): Job =>
  jobSchema.parse({ ...job, decks: job.decks.map((d) => ({ ...d, ...more })) });
const houses: Record<string, () => Job> = {
  "one room": () => generatedHouse(11, 1, 3),
  "two rooms": () => generatedHouse(4, 2, 3),
  "two rooms with more in them": () => generatedHouse(9, 2, 5),
  "three rooms": () => generatedHouse(21, 3, 2),
  "a stair in the deck": () => {
    const job = generatedHouse(4, 2, 3);
    const [x, y] = [job.decks[0]!.outline[0]!.x + 1200, job.decks[0]!.outline[0]!.y + 900];
    const outline = [
      { x, y },
      { x, y: y + 1800 },
      { x: x + 900, y: y + 1800 },
      { x: x + 900, y },
    ];
    return deck(job, { obstacles: [{ id: "stair", kind: "stair", name: "", outline }] });
  },
  "a deck of engineered joists": () => deck(generatedHouse(4, 2, 3), { kind: "engineered" }),
  "joists nobody may drill": () => deck(generatedHouse(9, 2, 3), { access: "closed", heavyJoists: [1, 2, 3, 4] }),
  "part of a wall and of the deck kept free": () => {
    const job = generatedHouse(4, 2, 3);
    const [x, y] = [job.decks[0]!.outline[0]!.x + 600, job.decks[0]!.outline[0]!.y + 1500];
    return jobSchema.parse({
      ...job,
      forbidden: [
        { id: "k1", name: "", place: { on: "wall", wall: "r0w2", u: 900, v: 300, width: 300, height: 1800 } },
        {
          id: "k2",
          name: "",
          place: {
            on: "deck",
            deck: job.decks[0]!.id,
            outline: [
              { x, y },
              { x, y: y + 400 },
              { x: x + 2600, y: y + 400 },
              { x: x + 2600, y },
            ],
          },
        },
      ],
    });
  },
  "points in the order given, on the surface": () => {
    const job = generatedHouse(4, 2, 3);
    return {
      ...job,
      circuits: job.circuits.map((c) => ({ ...c, order: "given" as const, walls: "surface" as const })),
    };
  },
  ...Object.fromEntries(
    Object.entries(presets).map(([name, p]) => [
      `by the weights “${name}”`,
      (): Job => {
        const job = generatedHouse(7, 2, 4);
        return { ...job, settings: { ...job.settings, cost: p.cost } };
      },
    ]),
  ),
};

describe("plans as they were last looked at", () => {
  it("what lies behind each wall of two rooms, from either face", () => {
    const h = layHouse(generatedHouse(4, 2, 3));
    const plan = planHouse(h);
    const at = (p: { u: number; v: number }): string => `${tenth(p.u)},${tenth(p.v)}`;
    const lines = h.job.walls.flatMap((w) =>
      behindWall(h, plan, w.id).map(
        (x) =>
          `${w.id}: ${x.run} ${x.leg} ${x.method} ${at(x.a)} > ${at(x.b)} ${tenth(x.depth)} deep ${x.otherFace ? `from ${x.from}` : "here"}`,
      ),
    );
    expect(lines).toMatchSnapshot();
  });
  it.each(Object.keys(houses))("%s", (name) => {
    expect(linesOf(makePlan(houses[name]!()))).toMatchSnapshot();
  });
});
