import { describe, expect, it } from "vitest";
import { bothSides } from "../book/limits/by-hand.fixture";
import { type House, layHouse } from "../house/house";
import { sectionsOf } from "../house/sections";
import { type Job, canonical, jobSchema } from "../job/model";
import type { Run } from "../laid/laid";
import { cableOf } from "../rules/catalogue";
import { clipsOf } from "./clips";
import { isWayOut, nearDoorway } from "./escape";
import { metalInside } from "./metal-inside";

/** A kitchen with a door of 800 × 2 000, 1 500 from the left of wall 1, into the room behind it. */
const kitchen = (behind: string, more: Partial<Job> = {}): House => {
  const job = bothSides(100, 0);
  return layHouse(
    canonical(
      jobSchema.parse({
        ...job,
        rooms: job.rooms.map((r) => (r.id === "q" ? { ...r, kind: behind } : r)),
        openings: [{ id: "o", wall: "w1", kind: "door", u: 1500, v: 0, width: 800, height: 2000 }],
        ...more,
      }),
    ),
  );
};
const hall = kitchen("hall");
const face = hall.faceOfWall.get("w1")!;
const plumb = (h: House, u: number, from = 450, to = 1200): number =>
  nearDoorway(h, face, { u, v: from }, { u, v: to });
const level = (h: House, v: number, from = 0, to = 4000): number => nearDoorway(h, face, { u: from, v }, { u: to, v });

describe("close to a doorway that leads out", () => {
  it("is 150 beside it and 300 above it, to the millimetre", () => {
    expect([1349, 1350, 2450, 2451].map((u) => plumb(hall, u))).toEqual([0, 750, 750, 0]);
    // Above: the door and 150 on both sides.
    expect([2300, 2301].map((v) => level(hall, v))).toEqual([1100, 0]);
    expect(plumb(hall, 1400, 2000, 2400)).toBe(300);
    expect(level(hall, 1200, 0, 1350)).toBe(0);
    expect(level(hall, 1200, 0, 1351)).toBe(1);
  });
  it("counts only where people get out: a hall or landing behind a door or an arch, not a bedroom, not a window", () => {
    expect(plumb(kitchen("landing"), 1400)).toBe(750);
    expect(plumb(kitchen("bedroom"), 1400)).toBe(0);
    const as = (kind: string): House =>
      kitchen("hall", {
        openings: [{ id: "o", wall: "w1", kind, u: 1500, v: 0, width: 800, height: 2000 }],
      } as Partial<Job>);
    expect([plumb(as("arch"), 1400), plumb(as("window"), 1400)]).toEqual([750, 0]);
  });
  it("counts what is said of a room before its kind: a bedroom people get out by, a hall that they do not", () => {
    const said = (behind: string, wayOut: boolean | null): House => {
      const h = kitchen(behind);
      return layHouse({ ...h.job, rooms: h.job.rooms.map((r) => (r.id === "q" ? { ...r, wayOut } : r)) });
    };
    expect(plumb(said("bedroom", true), 1400)).toBe(750);
    expect(plumb(said("hall", false), 1400)).toBe(0);
    expect([null, true, false].map((wayOut) => isWayOut({ kind: "landing", wayOut }))).toEqual([true, true, false]);
    // In the room itself all of it counts.
    const path = [450, 1400].map((v) => ({ on: "wall", wall: "w1", u: 3000, v }));
    const sections = [{ id: "t", label: "T1", kind: "mini-trunking", size: "25x16", path }];
    const own = (wayOut: boolean | null): number => {
      const job = kitchen("bedroom", { sections } as unknown as Partial<Job>).job;
      const h = layHouse({ ...job, rooms: job.rooms.map((r) => (r.id === "q" ? r : { ...r, wayOut })) });
      return metalInside(h, sectionsOf(h)[0]!);
    };
    expect([own(null), own(true)]).toEqual([0, 2]);
  });
  it("asks for metal clips on cable on the surface there, and inside plastic", () => {
    const cable = cableOf("te-2.5", hall.catalogue)!;
    const metal = (h: House, u: number, method: "surface" | "chase" = "surface"): boolean => {
      const leg = { surface: { kind: "wall", id: "w1" }, method, depth: 0, protected: false };
      const path = [450, 1200].map((z) => [u, 3000, z]);
      const run = { id: "r", from: "db", to: "s1", legs: [{ ...leg, path }] } as unknown as Run;
      return clipsOf(h, cable, run, 0)!.metal;
    };
    expect([metal(hall, 1350), metal(hall, 1349), metal(hall, 1400, "chase")]).toEqual([true, false, false]);
    expect(metal(kitchen("bedroom"), 1400)).toBe(false);
    const cased = (u: number): number => {
      const path = [450, 1400].map((v) => ({ on: "wall", wall: "w1", u, v }));
      const sections = [{ id: "t", label: "T1", kind: "mini-trunking", size: "25x16", path }];
      const h = kitchen("hall", { sections } as unknown as Partial<Job>);
      return metalInside(h, sectionsOf(h)[0]!);
    };
    // 950 close to it: one every 900.
    expect([cased(1400), cased(1000)]).toEqual([2, 0]);
  });
});
