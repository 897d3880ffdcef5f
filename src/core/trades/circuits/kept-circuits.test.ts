import { expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { type Job, canonical, supplySchema } from "../../job/model";
import type { Hole, Run } from "../../laid/laid";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import { laidCircuits } from "./laid-circuit";

const house = generatedHouse(7, 2, 3);
const beside = { ...house.circuits[0]!, id: "beside", kind: "radial" as const, way: 9, points: [], spurs: [] };
const job = canonical({
  ...house,
  circuits: [...house.circuits, beside],
  supply: supplySchema.parse({ earthing: "TN-C-S", ze: 0.3 }),
});
const plan = makePlan(job);

interface Laid {
  job: Job;
  runs: readonly Run[];
  holes: readonly Hole[];
}
const said = ({ job: j, runs, holes }: Laid): string => JSON.stringify(laidCircuits(layHouse(j), runs, holes));
const base: Laid = { job, runs: plan.runs, holes: plan.holes };

const ring = job.circuits.find((c) => c.kind === "ring")!;
const first = plan.runs.find((r) => r.circuit === ring.id)!;
const another = (change: (r: Run) => Partial<Run>, which = first): Laid => ({
  ...base,
  runs: plan.runs.map((r) => (r === which ? { ...r, ...change(r) } : r)),
});
/** A run that leaves the way of the lights. */
const [lights] = laidCircuits(layHouse(job), plan.runs, plan.holes).filter((c) => c.off.length);
const branch = plan.runs.find((r) => lights!.off.includes(r.to) || lights!.off.includes(r.from))!;
const longer = (r: Run): Partial<Run> => ({
  legs: r.legs.map((l) => ({
    ...l,
    path: [...l.path, l.path[l.path.length - 1]!.map((x) => x + 500) as (typeof l.path)[0]],
  })),
});
const out = new Set(lights!.off);
const [from, to] = out.has(branch.to) ? (["from", "to"] as const) : (["to", "from"] as const);
const wall = (change: object): Laid => ({
  ...base,
  job: { ...job, walls: job.walls.map((w) => ({ ...w, ...change })) },
});
const supply = (change: object): Laid => ({ ...base, job: { ...job, supply: { ...job.supply, ...change } } });
const sockets = ring.points;
/** The ring's circuit stays the very same; only what is round it changes. */
const others: Record<string, Laid> = {
  "another loop": supply({ ze: 0.35 }),
  "another earthing": supply({ earthing: "TN-S" }),
  "an RCD for all": supply({ rcd: 10 }),
  "larger rooms": {
    ...base,
    job: {
      ...job,
      rooms: job.rooms.map((r) => ({ ...r, outline: r.outline.map((c) => ({ x: c.x * 1.2, y: c.y })) })),
    },
  },
  "insulation over the ceiling": {
    ...base,
    job: { ...job, decks: job.decks.map((d) => ({ ...d, insulationOver: 150 })) },
  },
  "insulated stud walls": wall({ build: "stud", insulated: true }),
  "no socket left": {
    ...base,
    job: {
      ...job,
      points: job.points.map((p) => (sockets.includes(p.id) ? { ...p, kind: "fused-unit" as const, fuse: 3 } : p)),
    },
  },
  "one behind a fused unit": {
    ...base,
    job: {
      ...job,
      points: job.points.map((p) =>
        p.id === sockets[0]
          ? { ...p, kind: "fused-unit" as const, fuse: 3, controls: [sockets[1]!] }
          : p.id === sockets[1]
            ? { ...p, kind: "appliance-outlet" as const }
            : p,
      ),
    },
  },
  "a leg the less": another((r) => ({ legs: r.legs.slice(1) })),
  "a leg longer": another(longer),
  "a branch longer": another(longer, branch),
  "a branch from another joint": another(() => ({ [from]: lights!.way.find((id) => id !== branch[from])! }), branch),
  "a branch to another point": another(() => ({ [to]: ring.points[0]! }), branch),
  "a run by another name": another(() => ({ id: "another" })),
  "a run of another cable": another(() => ({ cable: "te-4" })),
  "a run the less": { ...base, runs: plan.runs.filter((r) => r !== first) },
  "with a circuit that runs along it all the way": {
    ...base,
    runs: [
      ...plan.runs,
      ...plan.runs.filter((r) => r.circuit === ring.id).map((r) => ({ ...r, id: `${r.id}x`, circuit: beside.id })),
    ],
  },
};

it("what a circuit comes to is known again only while it is laid as it was", () => {
  const was = said(base);
  expect(said(base)).toBe(was);
  const [before] = laidCircuits(layHouse(job), plan.runs, plan.holes);
  expect(laidCircuits(layHouse(job), plan.runs, plan.holes)[0]).toBe(before);
  for (const [name, laid] of Object.entries(others)) {
    expect(laid.job.circuits, name).toBe(job.circuits);
    const fresh = said(structuredClone(laid));
    expect(fresh, name).not.toBe(was);
    said(base);
    expect(said(laid), name).toBe(fresh);
  }
  expect(said(base)).toBe(was);
});

it("a circuit with something that no table holds is left out, the first time and again", () => {
  const hot = { ...job, circuits: job.circuits.map((c) => (c.id === ring.id ? { ...c, ambient: 80 } : c)) };
  for (let k = 0; k < 2; k++)
    expect(laidCircuits(layHouse(hot), plan.runs, plan.holes).map((c) => c.circuit.id)).toEqual([lights!.circuit.id]);
});
