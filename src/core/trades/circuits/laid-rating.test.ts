import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { type Job, canonical, jobSchema, supplySchema } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import { laidCircuits, methodOf } from "./laid-circuit";
import { ratingsOf } from "./laid-rating";

type Laid = Parameters<typeof laidCircuits>;
const laidRatings = (h: Laid[0], runs: Laid[1], holes: Laid[2]) => ratingsOf(h, runs, laidCircuits(h, runs, holes));

// Ze as measured, so that nothing is told of the supply.
const job = canonical({ ...generatedHouse(7, 2, 3), supply: supplySchema.parse({ earthing: "TN-C-S", ze: 0.3 }) });
const facts = (j: Job): string[] => {
  const plan = makePlan(j);
  return laidRatings(layHouse(j), plan.runs, plan.holes).map(
    (f) => `${f.rule} ${f.subject.id} ${Math.round((f.measured ?? 0) * 10) / 10}`,
  );
};
const insulated = (over: number): Job =>
  canonical({ ...job, decks: job.decks.map((d) => ({ ...d, insulationOver: over })) });

describe("circuits rated as they are laid", () => {
  it("bare joists and chases leave a ring of 2.5 its 27 A", () => expect(facts(job)).toEqual([]));
  it("insulation over a ceiling takes it to 21 A at 100 mm, and to 17 A beyond: too little for a ring leg", () => {
    // Table values of 2.5 mm²: method 100 is 21 A, method 101 is 17 A; a ring leg needs 20 A.
    expect(facts(insulated(100))).toEqual([]);
    expect(facts(insulated(101))).toEqual(["circuit.ring ring 17"]);
  });
  it("takes the method from where the leg lies", () => {
    const h = layHouse(insulated(150));
    const leg = (kind: "wall" | "deck", id: string, method: "chase" | "along-joist" | "stud-void") =>
      ({ surface: { kind, id }, method, path: [], depth: 0, protected: false }) as unknown as Parameters<
        typeof methodOf
      >[1];
    expect(methodOf(h, leg("deck", "d", "along-joist"))).toBe("101");
    expect(methodOf(h, leg("wall", "r0w1", "chase"))).toBe("C");
    const stud = layHouse(
      canonical({ ...job, walls: job.walls.map((w) => ({ ...w, build: "stud", insulated: true })) }),
    );
    expect(methodOf(stud, leg("wall", "r0w1", "stud-void"))).toBe("103");
    const fixed = layHouse(
      canonical({ ...stud.job, walls: stud.job.walls.map((w) => ({ ...w, againstBoard: true })) }),
    );
    expect(methodOf(fixed, leg("wall", "r0w1", "stud-void"))).toBe("102");
    expect(methodOf(fixed, leg("wall", "r0w1", "chase"))).toBe("C");
  });
  it("a radial on a device its cable cannot carry is a stop", () => {
    const heavy = canonical({
      ...job,
      circuits: job.circuits.map((c) =>
        c.kind === "ring" ? { ...c, kind: "radial" as const, device: { ...c.device, rating: 32 } } : c,
      ),
    });
    // Sockets may draw all that the device lets through: on a radial of this length that drops too much as well.
    expect(facts(heavy)).toEqual(["circuit.capacity ring 27", "circuit.drop ring 5.4"]);
  });
  it("volt drop is told only where the load is known, and the loop whatever the load", () => {
    const long = (more: object): string[] => {
      const j = canonical({
        ...job,
        circuits: job.circuits.map((c) => (c.kind === "lighting" ? { ...c, cable: "te-1.0", ...more } : c)),
      });
      const plan = makePlan(j);
      // The same runs, eight times as long as they lie.
      const runs = plan.runs.map((r) => ({
        ...r,
        pathLength: r.pathLength * 8,
        legs: r.legs.map((l) => ({ ...l, path: l.path.map((p) => p.map((x) => x * 8) as [number, number, number]) })),
      }));
      return laidRatings(layHouse(j), runs, plan.holes)
        .filter((f) => f.subject.id === "lights")
        .map((f) => f.rule);
    };
    expect(long({ watts: 0 })).not.toContain("circuit.drop");
    expect(long({ watts: 1380 })).toContain("circuit.drop");
    expect(long({ device: { curve: "C", rating: 50 } })).toContain("circuit.loop");
  });
  it("says which leg of which run is the worst, about the circuit", () => {
    const j = insulated(101);
    const plan = makePlan(j);
    const [f] = laidRatings(layHouse(j), plan.runs, plan.holes);
    expect(f).toMatchObject({
      subject: { kind: "circuit", id: "ring" },
      case: "laid",
      measured: 17,
      limit: 20,
      sense: "least",
    });
    const run = plan.runs.find((r) => r.id === f!.where!.run)!;
    expect(run.legs[f!.where!.leg!]!.surface.kind).toBe("deck");
  });
  it("circuits kept as they were, or without a run, are not judged; without a known cable that is told", () => {
    const j = insulated(101);
    const plan = makePlan(j);
    const none = (more: object): unknown[] =>
      laidRatings(
        layHouse(canonical({ ...j, circuits: j.circuits.map((c) => ({ ...c, ...more })) })),
        plan.runs,
        plan.holes,
      );
    expect(none({ state: "keep" })).toEqual([]);
    // Not judged, and told so: a stranger's cable is dangerous until somebody has looked.
    expect(none({ cable: "unknown" })).toMatchObject(
      j.circuits.map((c) => ({
        rule: "circuit.capacity",
        case: "not-judged",
        severity: "warn",
        subject: { id: c.id },
      })),
    );
    expect(laidRatings(layHouse(j), [], [])).toEqual([]);
  });
});

describe("loop and drop at every point", () => {
  const points = job.circuits.find((c) => c.id === "ring")!.points;
  const laid = (more: object = {}, supply: object = { ze: 0.3 }) => {
    const j = jobSchema.parse({
      ...job,
      supply,
      circuits: job.circuits.map((c) => (c.id === "ring" ? { ...c, ...more } : c)),
    });
    const h = layHouse(j);
    const plan = makePlan(j);
    const out = laidCircuits(h, plan.runs, plan.holes).find((x) => x.circuit.id === "ring")!;
    return { j, plan, out, facts: laidRatings(h, plan.runs, plan.holes) };
  };
  const runLength = (legs: readonly { length: number }[]) => legs.reduce((s, l) => s + l.length, 0) / 1000;
  const WARM_LOOP = 0.01951 * 1.2;
  it("of a ring: x(L − x)/L of it at x, and nothing higher than at half way round", () => {
    const { out, plan } = laid();
    const whole = runLength(out.legs);
    expect(whole).toBeCloseTo(
      plan.runs.filter((r) => r.circuit === "ring").reduce((s, r) => s + r.pathLength, 0) / 1000,
      6,
    );
    expect(new Set(out.places.map((p) => p.point))).toEqual(new Set(points));
    for (const p of out.places) {
      expect(p.zs).toBeCloseTo(0.3 + ((p.along * (whole - p.along)) / whole) * WARM_LOOP, 9);
      expect(p.zs).toBeLessThanOrEqual(out.result.zs + 1e-9);
    }
    expect(out.result.zs).toBeCloseTo(0.3 + (whole / 4) * WARM_LOOP, 9);
  });
  it("of its spur: that of its joint and its own length", () => {
    const [last, from] = [points.at(-1)!, points[0]!];
    const { out, plan } = laid({ points: points.slice(0, -1), spurs: [{ point: last, from }] });
    const own = plan.runs.find((r) => r.circuit === "ring" && [r.from, r.to].includes(last))!;
    const [joint, end] = [from, last].map((id) => out.places.find((p) => p.point === id)!);
    expect(joint!.spur).toBe(0);
    expect(end!.spur).toBeCloseTo(own.pathLength / 1000, 6);
    expect(end!.zs - joint!.zs).toBeCloseTo((own.pathLength / 1000) * WARM_LOOP, 6);
    expect(end!.along).toBe(joint!.along);
    // The spur is no part of the way round, but its legs are rated with the others.
    expect(out.legs.filter((l) => l.run === own.id)).toHaveLength(own.legs.length);
  });
  it("of a radial with a branch: each point by its own way from the board", () => {
    const { out, plan } = laid({ kind: "radial", device: { curve: "B", rating: 20 } });
    for (const p of out.places) expect(p.zs).toBeCloseTo(0.3 + (p.along + p.spur) * WARM_LOOP, 9);
    expect(new Set(out.places.map((p) => p.point))).toEqual(new Set(points));
    const legs = plan.runs.filter((r) => r.circuit === "ring").flatMap((r) => r.legs.map((_, i) => `${r.id} ${i}`));
    expect(new Set(out.legs.map((l) => `${l.run} ${l.leg}`))).toEqual(new Set(legs));
  });
  it("by the supply: what is not measured is taken and said once; an electrode goes by the RCD, said once", () => {
    expect(laid({}, {}).facts.map((f) => [f.subject.kind, f.case, f.of?.ze])).toEqual([["job", "ze-taken", 0.8]]);
    expect(laid({}, {}).out.result.zs - laid({}, { earthing: "TN-C-S" }).out.result.zs).toBeCloseTo(0.45, 9);
    const tt = laid({}, { earthing: "TT", ze: 90 });
    expect(tt.facts.map((f) => [f.case, f.severity, f.limit])).toEqual([["rcd-relied", "warn", 1667]]);
    const without = laid({ rcd: null }, { earthing: "TT", ze: 90 });
    expect(without.facts.map((f) => [f.case, f.subject.id])).toContainEqual(["tt-without", "ring"]);
    // One RCD for the whole of it does as well.
    expect(laid({ rcd: null }, { earthing: "TT", ze: 90, rcd: 100 }).facts.map((f) => [f.case, f.limit])).toEqual([
      ["rcd-relied", 500],
    ]);
  });
});
