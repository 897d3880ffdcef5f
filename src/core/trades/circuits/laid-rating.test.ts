import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { type Job, canonical } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import { laidRatings, methodOf } from "./laid-rating";

const job = generatedHouse(7, 2, 3);
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
    expect(methodOf(stud, leg("wall", "r0w1", "stud-void"))).toBe("102");
  });
  it("a radial on a device its cable cannot carry is a stop", () => {
    const heavy = canonical({
      ...job,
      circuits: job.circuits.map((c) =>
        c.kind === "ring" ? { ...c, kind: "radial" as const, device: { ...c.device, rating: 32 } } : c,
      ),
    });
    expect(facts(heavy)).toEqual(["circuit.capacity ring 27"]);
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
  it("circuits kept as they were, without a known cable or without a run are not judged", () => {
    const j = insulated(101);
    const plan = makePlan(j);
    const none = (more: object): unknown[] =>
      laidRatings(
        layHouse(canonical({ ...j, circuits: j.circuits.map((c) => ({ ...c, ...more })) })),
        plan.runs,
        plan.holes,
      );
    expect(none({ state: "keep" })).toEqual([]);
    expect(none({ cable: "unknown" })).toEqual([]);
    expect(laidRatings(layHouse(j), [], [])).toEqual([]);
  });
});
