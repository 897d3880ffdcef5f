import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { stripOf, toStrip } from "../../core/house/unrolled";
import { makePlan } from "../../core/plan/plan";
import { generatedHouse } from "../../core/routing/generated-house";
import { stageOfRule, stageStates, stages, viewOf } from "../job/stages";
import { words } from "../kit/number-words";
import { nudge, placeAt } from "./tools/move-point";
import { unroll } from "../../core/drawings/unrolled-runs";
import { fitTo } from "./viewport";

const job = generatedHouse(7, 2, 3);
const h = layHouse(job);
const plan = makePlan(job);

describe("the unrolled room", () => {
  it("draws every wall leg of the room where the core has it, to the millimetre", () => {
    const drawn = unroll(h, "r0", plan);
    const strip = stripOf(h, "r0");
    let met = 0;
    for (const l of drawn.legs.filter((x) => !x.inDeck)) {
      const w = strip.walls.find((x) => x.face.wall.id === l.wall)!;
      const path = l.run.legs[l.leg]!.path.map((p) => toStrip(w, p));
      expect(path.some((p) => Math.abs(p.x - l.a.x) < 1e-6 && Math.abs(-p.y - l.a.y) < 1e-6)).toBe(true);
      met++;
    }
    expect(met).toBeGreaterThan(3);
    expect(drawn.width).toBeCloseTo(strip.width, 9);
  });
  it("gives runs on one line a slot each, so that none hides another", () => {
    const drawn = unroll(h, "r0", plan);
    const seen = new Map<string, string>();
    for (const l of drawn.legs) {
      const plumb = Math.abs(l.a.x - l.b.x) < 1;
      const key = `${l.wall} ${plumb} ${Math.round(plumb ? l.a.x : l.a.y)} ${l.slot}`;
      expect([undefined, l.run.id]).toContain(seen.get(key));
      seen.set(key, l.run.id);
    }
  });
});

describe("taking hold of a point", () => {
  const loft = layHouse({
    ...job,
    rooms: job.rooms.map((r) => (r.id === "r0" ? { ...r, slopes: [{ wall: 0, eaves: 350, pitch: 42 }] } : r)),
  });
  const walls = unroll(loft, "r0", null).walls;
  const single = { ...job.points.find((p) => p.kind === "socket")!, gang: 1 as const };
  it("keeps its plate under a sloping top", () => {
    const w = walls.find((x) => x.face.wall.index === 1)!;
    const at = placeAt(walls, single, w.x + 500, -2300, 0.1, true)!;
    // The gable is 350 + 457·tan 42° high at the nearer edge of an 86 plate, 761.5; its middle 43 below.
    expect(at.v).toBeCloseTo(350 + 457 * Math.tan((42 * Math.PI) / 180) - 43, 0);
  });
  it("snaps to the centimetre and to the height of another point, or goes free", () => {
    const room = unroll(h, "r0", null).walls;
    const [a, b] = h.faces
      .find((f) => f.room.id === "r0" && f.points.length)!
      .points.map((p) => job.points.find((q) => q.id === p.id)!);
    const place = placeAt(room, b ?? a!, room[0]!.x + 503.4, -457.2, 0.1, false)!;
    expect(place.u % 10).toBe(0);
    expect(placeAt(room, a!, room[0]!.x + 503.4, -1457.2, 0.1, true)).toMatchObject({
      u: 503.4,
      v: 1457.2,
      snapped: null,
    });
  });
  it("moves by arrow keys: 10, with Shift 100, with Alt 1", () => {
    const press = (key: string, more = {}) => nudge({ key, shiftKey: false, altKey: false, ...more });
    expect(press("ArrowRight")).toEqual({ u: 10, v: 0 });
    expect(press("ArrowUp", { shiftKey: true })).toEqual({ u: 0, v: 100 });
    expect(press("ArrowLeft", { altKey: true })).toEqual({ u: -1, v: 0 });
    expect(press("a")).toBeNull();
  });
});

describe("the viewport", () => {
  it("fits the whole drawing, centred", () => {
    const all = fitTo({ x0: 0, y0: 0, x1: 10_000, y1: 1000 }, 1000, 600);
    expect(all.scale).toBeCloseTo(0.0972, 4);
    expect(all.y + 500 * all.scale).toBeCloseTo(300, 6);
  });
});

describe("the order of work", () => {
  it("says of every stage what is in it, from the plan", () => {
    const s = stageStates(job, plan, []);
    expect(Object.keys(s)).toEqual(stages.map((x) => x.id));
    expect(s.routes).toMatchObject({ words: `${plan.runs.length} runs laid`, open: 0, settled: true });
    expect(s.timber.words).toBe(`${plan.holes.length} holes`);
    expect(stageStates(job, null, []).routes.words).toBe("working out");
    const empty = stageStates({ ...job, rooms: [], points: [], circuits: [] }, null, []);
    expect(empty.survey.settled).toBe(false);
  });
  it("settles each finding in one stage", () => {
    expect(
      [
        "kitchen.sink",
        "circuit.way",
        "timber.over-cut",
        "fill.space",
        "found.colours",
        "stock.short",
        "zone.rcd",
        "route.unreachable",
      ].map(stageOfRule),
    ).toEqual(["points", "circuits", "timber", "containment", "survey", "materials", "circuits", "routes"]);
    expect([viewOf("solid"), viewOf("nothing"), viewOf(undefined)]).toEqual(["solid", null, null]);
  });
});

describe("numbers as people type them", () => {
  it("reads spaces, commas and points, and refuses the rest in words", () => {
    expect(["1 460", "1,5", " 12. ", ".5", "-3", "1,200", "1.2 m"].map((t) => words.parse(t, "mm"))).toEqual([
      1460, 1.5, 12, 0.5, -3, 1200, 1200,
    ]);
    expect(["", "abc", "1.2.3", "1e3", "3/4"].map((t) => words.parse(t))).toEqual([null, null, null, null, null]);
    expect(words.fault("Width", "abc", 0, 10, "mm")).toBe(
      "Width is “abc”: it is not a number. It must be between 0 and 10 mm.",
    );
    expect(words.fault("Width", "20", 0, 10, "mm")).toBe("Width is 20; it must be between 0 and 10 mm.");
    expect(words.fault("Load", "10,000", 0, 20_000, "W")).toBeNull();
  });
});
