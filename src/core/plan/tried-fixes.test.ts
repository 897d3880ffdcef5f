import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { twoRooms, wallOf, withCircuit } from "../house/two-rooms.fixture";
import { type Job, jobSchema } from "../job/model";
import { type Fact, fact } from "../rules/fact";
import { circuitFacts } from "../trades/circuits/circuit-facts";
import { pointFacts } from "./point-facts";
import { fixed, standingFacts, withFix, withTriedFixes } from "./tried-fixes";

const base = twoRooms();
const ids = base.points.filter((p) => p.kind === "socket").map((p) => p.id) as [string, string, string];
const job = withCircuit(base, "c1", ids);
const put = (id: string, u: number, j: Job = job): Job =>
  jobSchema.parse({
    ...j,
    points: j.points.map((p) => (p.id === id ? { ...p, place: { ...p.place, u } } : p)),
  });
const u = (j: Job, id: string): number => (j.points.find((p) => p.id === id)!.place as { u: number }).u;

describe("a fix made", () => {
  it("sets fields of the thing, coordinates in its place, and takes a thing out", () => {
    const point = job.points.find((p) => p.id === ids[0])!;
    const next = fixed(point, { collection: "points", id: ids[0], set: { u: 700, boxDepth: 47 } });
    expect(next).toEqual({ ...point, boxDepth: 47, place: { ...point.place, u: 700 } });
    expect(point.place).toMatchObject({ u: 500 });
    expect(fixed(point, { collection: "points", id: ids[0], set: { boxDepth: 47 } }).place).toBe(point.place);
    expect(fixed(point, { collection: "points", id: ids[0] })).toEqual(point);
    const light = job.points.find((p) => p.kind === "light")!;
    expect(fixed(light, { collection: "points", id: light.id, set: { x: 1, y: 2 } }).place).toMatchObject({
      x: 1,
      y: 2,
    });
    const both = withFix(job, [
      { collection: "points", id: ids[0], set: { v: 600 } },
      { collection: "circuits", id: "c1", remove: true },
    ])!;
    expect(both.points.find((p) => p.id === ids[0])!.place).toMatchObject({ u: 500, v: 600 });
    expect(both.circuits).toEqual([]);
    expect(both.points.map((p) => p.id)).toEqual([...job.points.map((p) => p.id)].sort((a, b) => (a < b ? -1 : 1)));
  });
  it("of a thing that is no longer there is none", () => {
    expect(withFix(job, [{ collection: "points", id: "gone", set: { u: 1 } }])).toBeNull();
    expect(withFix(job, [])).toBe(job);
  });
});

describe("fixes that are offered", () => {
  const offered = (j: Job, facts: readonly Fact[]): unknown[] =>
    withTriedFixes(layHouse(j), facts).map((f) => f.fix ?? null);
  it("a point past the end of its wall is sent back onto it", () => {
    const off = put(ids[0], 2990);
    const facts = pointFacts(layHouse(off)).filter((f) => f.rule === "point.off-wall");
    expect(facts[0]!.fix).toEqual([{ collection: "points", id: ids[0], set: { u: 2927, v: 450 } }]);
    // There another plate stands at 2 500: it is clear of it by 281, so the fix holds.
    expect(offered(off, facts)).toEqual([facts[0]!.fix]);
  });
  it("what else is wrong with the house, and stays so, is not held against it", () => {
    const bare = withCircuit(withCircuit(base, "c1", ids.slice(0, 2), { rcd: null }), "c2", ids.slice(2), {
      rcd: null,
    });
    const rough = put(ids[0], 2990, bare);
    const stops = circuitFacts(rough, layHouse(rough).catalogue).filter((f) => f.severity === "stop");
    expect(stops.length).toBeGreaterThan(1);
    const facts = pointFacts(layHouse(rough)).filter((f) => f.rule === "point.off-wall");
    expect(offered(rough, facts)).toEqual([facts[0]!.fix]);
    // The same where what stands wrong is known already.
    const house = layHouse(rough);
    expect(withTriedFixes(house, facts, standingFacts(house))).toEqual(withTriedFixes(house, facts));
  });
  it("one that only puts it onto another point is not", () => {
    // Another plate where it would be sent: that is a stop in place of a stop, and the fact of the other is new.
    const crowded = put(ids[0], 2990, put(ids[2], 2927));
    const facts = pointFacts(layHouse(crowded)).filter((f) => f.rule === "point.off-wall");
    const next = withFix(crowded, facts[0]!.fix!)!;
    const stops = (j: Job): number => pointFacts(layHouse(j)).filter((f) => f.severity === "stop").length;
    expect([stops(crowded), stops(next)]).toEqual([2, 1]);
    // Two plates one on the other before, one fault after: it may be offered; with room before it, it may not.
    const tight = put(ids[0], 2990, put(ids[2], 2700));
    const told = pointFacts(layHouse(tight)).filter((f) => f.rule === "point.off-wall");
    expect(u(withFix(tight, told[0]!.fix!)!, ids[0])).toBe(2927);
    expect(offered(tight, told)).toEqual([told[0]!.fix]);
    const worse: Fact = { ...told[0]!, fix: [{ collection: "points", id: ids[0], set: { u: 1500 } }] };
    // On top of the socket at 1 500: off the wall's end, but onto another plate.
    expect(stops(withFix(tight, worse.fix!)!)).toBe(stops(tight));
    const clear = put(ids[0], 900);
    const needless: Fact = { ...worse, subject: { kind: "point", id: ids[0] } };
    expect(offered(clear, [needless])).toEqual([null]);
  });
  it("one that leaves the fact as it was is not, nor one of what is gone", () => {
    const off = put(ids[0], 2990);
    const [f] = pointFacts(layHouse(off)).filter((x) => x.rule === "point.off-wall");
    const idle: Fact = { ...f!, fix: [{ collection: "points", id: ids[0], set: { boxDepth: 40 } }] };
    const gone: Fact = { ...f!, fix: [{ collection: "points", id: "gone", set: { u: 1 } }] };
    expect(offered(off, [idle, gone])).toEqual([null, null]);
    expect(withTriedFixes(layHouse(off), [idle])[0]).toEqual({ ...idle, fix: undefined });
  });
  it("one that lets go of a pin is left to be tried when it is pressed, and a fact without one stays as it is", () => {
    const pin = fact("route.loose-end", "run", "r", { fix: [{ collection: "pins", id: "gone", remove: true }] });
    const bare = fact("point.circuit", "point", ids[0]);
    const list = [pin, bare];
    expect(withTriedFixes(layHouse(job), list)).toEqual(list);
    const idle = fact("point.circuit", "point", ids[1], { fix: [{ collection: "points", id: "gone", set: { u: 1 } }] });
    expect(withTriedFixes(layHouse(job), [pin, bare, idle]).map((f) => f.fix ?? null)).toEqual([pin.fix, null, null]);
    const mixed = fact("point.circuit", "point", ids[1], {
      fix: [
        { collection: "pins", id: "gone", remove: true },
        { collection: "points", id: ids[1], set: { u: 1400 } },
      ],
    });
    // With anything else in it, it is tried: here the pin is not there.
    expect(offered(job, [mixed])).toEqual([null]);
  });
});

describe("points judged where they stand", () => {
  const told = (j: Job) =>
    pointFacts(layHouse(j)).map((f) => [f.rule, f.case ?? "", f.subject.id, f.fix?.[0]?.set ?? null] as const);
  it("plates may touch and may not overlap; each pair is told once", () => {
    // 146 wide each: from 500 the next may stand at 646.
    expect(told(put(ids[1], 646)).filter((f) => f[0] === "point.overlap")).toEqual([]);
    expect(told(put(ids[1], 645)).filter((f) => f[0] === "point.overlap")).toEqual([
      ["point.overlap", "", ids[0], null],
    ]);
  });
  it("one in a door is sent to its nearer side that has room", () => {
    const door = { ...base.openings[0]!, wall: wallOf(base, "A", 2).id, u: 400, width: 838 };
    const inDoor = jobSchema.parse({ ...job, openings: [door] });
    const of = (j: Job): unknown => told(j).find((f) => f[0] === "point.in-opening" && f[2] === ids[0])?.[3];
    // Middle of the door 819: 500 goes left to 327, 900 right to 1 311.
    expect(of(inDoor)).toEqual({ u: 327 });
    expect(of(put(ids[0], 900, inDoor))).toEqual({ u: 1311 });
    const atEdge = { ...inDoor, openings: [{ ...door, u: 100 }] };
    expect(of(put(ids[0], 150, atEdge))).toEqual({ u: 1011 });
  });
  it("in a new dwelling a socket stands between 450 and 1 200; elsewhere anywhere", () => {
    const at = (v: number, newDwelling = true): unknown[] => {
      const j = jobSchema.parse({
        ...job,
        dwelling: { ...job.dwelling, newDwelling },
        points: job.points.map((p) => (p.id === ids[0] ? { ...p, place: { ...p.place, v } } : p)),
      });
      return told(j).flatMap((f) => (f[0] === "height.new-dwelling" ? [f[3]] : []));
    };
    expect([at(450), at(1200), at(300, false)]).toEqual([[], [], []]);
    expect([at(449), at(1201)]).toEqual([[{ v: 450 }], [{ v: 1200 }]]);
  });
});
