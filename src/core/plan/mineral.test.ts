import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { jobSchema } from "../job/model";
import { cableOf } from "../rules/catalogue";
import { loopResistance, tableCurrent, voltDrop } from "../trades/circuits/check-circuit";
import { board, circuit, house, socket } from "../book/limits/by-hand.fixture";
import { endFigures } from "./end-figures";
import { endSteps } from "./end-steps";
import { makePlan } from "./plan";

const job = jobSchema.parse(
  house({
    points: [board, socket("s1", 1000, 450, { mount: "surface" })],
    circuits: [circuit({ cable: "mi-2L2.5", walls: "surface" })],
  }),
);
const h = layHouse(job);
const plan = makePlan(job);

describe("mineral-insulated cable on a circuit", () => {
  it("is rated by its own table: light and heavy duty, its sheath as earth", () => {
    const [light, heavy] = [cableOf("mi-2L2.5")!, cableOf("mi-2H2.5")!];
    expect([tableCurrent(light, "C"), tableCurrent(heavy, "C"), tableCurrent(heavy, "100")]).toEqual([31, 34, null]);
    expect([voltDrop(light), voltDrop(cableOf("mi-2H10")!)]).toEqual([17, 4.2]);
    expect(loopResistance(light)).toBeCloseTo((7.41 + 18.1 / 8.2) / 1000, 9);
    expect(plan.facts.filter((f) => f.rule.startsWith("circuit.") && f.severity === "stop")).toEqual([]);
  });
  it("is measured from face to face of its two boxes, whose halves are taken off the way", () => {
    const run = plan.runs[0]!;
    const [first, second] = ["db", "s1"].map((p) => endFigures(h, plan, p)!.cables[0]!.mineral!);
    const half = (p: string): number => {
      const f = endFigures(h, plan, p)!;
      const { entry } = f.cables[0]!.end;
      return (entry === "left" || entry === "right" ? f.box.width : f.box.height) / 2;
    };
    // At the board the tails are what is left there; at the socket the usual ones, and table and cut length go by them.
    expect(first).toMatchObject({ first: true, tails: 800 });
    const { measures } = endFigures(h, plan, "s1")!.cables[0]!.end;
    expect(measures).toEqual({ tail: 64, sheath: 4, conductor: 60, fromMiddle: 64 - half("s1") });
    expect(second!.first).toBe(false);
    expect(second!.faceToFace).toBeCloseTo(run.pathLength - half("db") - half("s1"), 6);
    expect(second!.sheathEnd - second!.faceToFace).toBeCloseTo(4, 9);
    expect(second!.cut - second!.sheathEnd).toBeCloseTo(60, 9);
    expect(second!.sheathEnd - second!.coverMark).toBeCloseTo(45, 9);
  });
  it("its second end's steps start from these measures, and each end takes a pot", () => {
    const f = endFigures(h, plan, "s1")!;
    const c = f.cables[0]!;
    expect(endSteps(h, plan, f, c)).toContainEqual({
      kind: "mi-second",
      measures: { faceToFace: c.mineral!.faceToFace, entry: expect.closeTo(4, 6), tails: 60, body: 45 },
    });
    const d = endFigures(h, plan, "db")!;
    expect(endSteps(h, plan, d, d.cables[0]!).map((x) => x.kind)).toContain("mi-first");
    expect(plan.takeoff.find((t) => t.item === "Pot, seal and gland")).toMatchObject({
      size: "2L2.5 mineral-insulated",
      quantity: 2,
    });
  });
  it("is clipped by its own column, and may lie hidden outside a zone", () => {
    expect(plan.clips.every((c) => c.max === 600 || c.max === 800)).toBe(true);
    const hidden = makePlan({ ...job, circuits: [{ ...job.circuits[0]!, walls: "hidden" }] });
    expect(hidden.facts.filter((f) => f.rule.startsWith("zone.") && f.severity === "stop")).toEqual([]);
    expect(hidden.runs[0]!.legs.every((l) => l.protected)).toBe(true);
  });
});
