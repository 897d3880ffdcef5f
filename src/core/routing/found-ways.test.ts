import { describe, expect, it } from "vitest";
import { distance, toFace } from "../base/wall-frame";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { behindWall } from "../plan/behind-wall";
import { makePlan } from "../plan/plan";
import { buildGraph } from "./build";
import { foundWays } from "./found-ways";
import { generatedHouse } from "./generated-house";

const base = generatedHouse(7, 2, 3);
const [a, b] = base.points.filter((p) => p.kind === "socket");
const board = base.points.find((p) => p.kind === "board")!;
const withFound = (...cables: object[]): Job =>
  jobSchema.parse({
    ...base,
    foundCables: cables.map((c, i) => ({ id: `f${i}`, from: board.id, to: a!.id, ...c })),
  });
const ways = (j: Job) => {
  const h = layHouse(j);
  return foundWays(h, buildGraph(h));
};

describe("a cable found in the house", () => {
  it("is taken to run hidden, without a break, from point to point", () => {
    const [way] = ways(withFound({}));
    expect(way).toMatchObject({ id: "f0", from: board.id, to: a!.id });
    const h = layHouse(base);
    const end = (id: string) => h.points[h.pointOfId.get(id)!]!.space;
    const path = way!.legs.flatMap((l) => l.path);
    expect(distance(path[0]!, end(board.id))).toBeLessThan(400);
    expect(distance(path[path.length - 1]!, end(a!.id))).toBeLessThan(150);
    for (let i = 1; i < way!.legs.length; i++) {
      const before = way!.legs[i - 1]!.path;
      expect(distance(before[before.length - 1]!, way!.legs[i]!.path[0]!)).toBeLessThan(1);
    }
    for (const l of way!.legs) expect(l.method).not.toBe("surface");
  });
  it("keeps to where a cable may be hidden, though others lie on the surface", () => {
    const job = withFound({}, { from: a!.id, to: b!.id });
    const surface = { ...job, circuits: job.circuits.map((c) => ({ ...c, walls: "surface" as const })) };
    expect(buildGraph(layHouse(surface)).hidden).toContain(0);
    expect(ways(surface)).toEqual(ways(job));
  });
  it("has no way when it comes out, or while its other end is not found, or is a point that is gone", () => {
    expect(ways(withFound({ fate: "take-out" }, { to: null }))).toEqual([]);
    expect(ways(withFound({ to: "gone" }))).toEqual([]);
    expect(ways(base)).toEqual([]);
  });
  it("takes no room from the runs that are laid, is in no take-off, and is the same whatever the weights", () => {
    const plain = makePlan(base);
    const plan = makePlan(withFound({}, { from: a!.id, to: b!.id }));
    expect(plan.runs).toEqual(plain.runs);
    expect(plan.takeoff).toEqual(plain.takeoff);
    expect(plan.found.map((f) => f.id)).toEqual(["f0", "f1"]);
    const dear = withFound({}, { from: a!.id, to: b!.id });
    const cost = { ...dear.settings.cost, bore: 9000, chase: 9 };
    expect(makePlan({ ...dear, settings: { ...dear.settings, cost } }).found).toEqual(plan.found);
  });
  it("lies where it was traced, on a slope if need be, and is taken for granted only on other walls", () => {
    const h = layHouse(base);
    const at = board.place.on === "wall" ? board.place : null;
    const stretch = { wall: at!.wall, from: { u: at!.u, v: 1700 }, to: { u: at!.u - 400, v: 2300 } };
    const [plain] = ways(withFound({}));
    const [way] = ways(withFound({ traced: [stretch] }));
    expect(way!.traced).toHaveLength(1);
    const frame = h.faces[h.faceOfWall.get(at!.wall)!]!.frame;
    expect(way!.traced[0]!.path.map((p) => toFace(frame, p))).toMatchObject([stretch.from, stretch.to]);
    expect(way!.traced[0]!.method).not.toBe("surface");
    expect(plain!.legs.some((l) => l.surface.id === at!.wall)).toBe(true);
    expect(way!.legs).toEqual(plain!.legs.filter((l) => l.surface.kind !== "wall" || l.surface.id !== at!.wall));
    const seen = behindWall(h, makePlan(withFound({ traced: [stretch] })), at!.wall).filter((x) => x.run === "f0");
    expect(seen.map((x) => x.state)).toEqual(["traced"]);
  });
  it("shows what was traced though its other end is not found or it comes out; a stretch past its wall is left out", () => {
    const stretch = { wall: "r0w0", from: { u: 500, v: 400 }, to: { u: 500, v: 1400 } };
    const far = { ...stretch, from: { u: 500, v: 400 }, to: { u: 99_000, v: 400 } };
    const [open, out, none] = [
      ways(withFound({ to: null, traced: [stretch, far] })),
      ways(withFound({ fate: "take-out", traced: [stretch] })),
      ways(withFound({ to: null, traced: [far] })),
    ];
    expect(open).toMatchObject([{ to: null, legs: [], traced: [{ surface: { kind: "wall", id: "r0w0" } }] }]);
    expect(open[0]!.traced).toHaveLength(1);
    expect(out).toMatchObject([{ to: a!.id, legs: [] }]);
    expect(none).toEqual([]);
  });
});
