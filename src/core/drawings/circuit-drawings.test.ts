import { describe, expect, it } from "vitest";
import { corners, house, socket } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import { jobOf } from "../plan/circuit-cases.fixture";
import { makePlan } from "../plan/plan";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { drawCircuitLine } from "./circuit-line";
import { bathZoneShapes, planZoneShapes } from "./room-zones";
import type { Shape } from "./scene";

const texts = (shapes: readonly Shape[]): string[] => shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
const drawn = (c: object, points: [string, string, object?][], more: object = {}) => {
  const job = jobOf({ points, circuits: [c], ...more });
  const h = layHouse(job);
  const plan = makePlan(job);
  const laid = laidCircuits(h, plan.runs, plan.holes)[0]!;
  return { laid, shapes: drawCircuitLine(laid, (id) => id.toUpperCase()).shapes };
};

describe("a circuit along its cable", () => {
  it("has a bar for every leg, the points by name, and the weakest leg marked with what it carries", () => {
    const { laid, shapes } = drawn({ points: ["s1", "s2"] }, [
      ["s1", "socket"],
      ["s2", "socket"],
    ]);
    const bars = shapes.filter((s) => s.kind === "line" && s.closed);
    expect(bars).toHaveLength(laid.legs.length);
    expect(texts(shapes)).toEqual(expect.arrayContaining(["board", "S2"]));
    expect(texts(shapes).filter((t) => t.startsWith("weakest"))).toEqual([
      `weakest: ${Math.round(laid.result.iz * 10) / 10} A, method ${laid.legs[laid.result.worstLeg]!.method}`,
    ]);
    expect(bars.some((b) => b.kind === "line" && b.fill === "stop")).toBe(false);
  });
  it("a leg that carries too little is red, and a longer bar carries more", () => {
    const { laid, shapes } = drawn({ points: ["s1"], device: { rating: 32 } }, [["s1", "socket"]]);
    expect(shapes.filter((s) => s.kind === "line" && s.fill === "stop").length).toBe(
      laid.legs.filter((l) => l.carries < 32).length,
    );
  });
  it("what hangs on it is drawn under it, a spur on the way to another with that one", () => {
    const spurs = [
      { point: "f1", from: "s1" },
      { point: "s3", from: "f1" },
    ];
    const { shapes } = drawn({ kind: "ring", device: { rating: 32 }, points: ["s1", "s2", "s4"], spurs }, [
      ["s1", "socket"],
      ["s2", "socket"],
      ["f1", "fused-unit"],
      ["s3", "socket"],
      ["s4", "socket"],
    ]);
    expect(texts(shapes).filter((t) => t.startsWith("off to"))).toEqual(["off to S3"]);
  });
});

describe("zones of a bath and reach of alarms", () => {
  const tub = { id: "b", wall: "w1", kind: "bath", u: 1000, v: 0, width: 1000, height: 560, depth: 700 };
  const of = (kind: string, points: object[] = []) =>
    layHouse(
      house({
        rooms: [{ id: "r", storey: "g", name: "Room", kind, height: 2400, outline: corners }],
        fixtures: [tub],
        points,
        circuits: [],
      }),
    );
  it("zone 1 over the bath and zone 2 at both its sides on its wall; nothing in another kind of room", () => {
    const h = of("bathroom");
    const face = h.faces[h.faceOfWall.get("w1")!]!;
    const boxes = bathZoneShapes(h, face).flatMap((s) => (s.kind === "line" ? [s.points.map((p) => p[0])] : []));
    expect(boxes.map((xs) => [Math.min(...xs), Math.max(...xs)])).toEqual([
      [1000, 2000],
      [400, 1000],
      [2000, 2600],
    ]);
    const other = of("bedroom");
    expect(bathZoneShapes(other, other.faces[0]!)).toEqual([]);
  });
  it("on plan zone 2 keeps within the room", () => {
    const h = of("bathroom");
    const shapes = planZoneShapes(h, "g", () => true);
    for (const s of shapes)
      if (s.kind === "line")
        for (const [x, y] of s.points) {
          expect(x).toBeGreaterThanOrEqual(-1e-6);
          expect(x).toBeLessThanOrEqual(4000 + 1e-6);
          expect(-y).toBeGreaterThanOrEqual(-1e-6);
          expect(-y).toBeLessThanOrEqual(3000 + 1e-6);
        }
    expect(planZoneShapes(h, "elsewhere", () => true)).toEqual([]);
  });
  it("a smoke alarm reaches 7 500 and a heat alarm 5 300, those that are wanted; a socket reaches nowhere", () => {
    const at = (id: string, kind: string) => ({
      id,
      label: id,
      kind,
      place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" },
    });
    const h = of("hall", [at("sa", "smoke-alarm"), at("ha", "heat-alarm"), at("co", "co-alarm"), socket("s1", 1000)]);
    const reach = (wanted: (id: string) => boolean) =>
      planZoneShapes(h, "g", wanted).flatMap((s) => (s.kind === "circle" ? [s.r] : []));
    expect(reach(() => true).sort()).toEqual([5300, 7500]);
    expect(reach((id) => id === "ha")).toEqual([5300]);
  });
});
