import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { applyPatch } from "../job/patch";
import type { Job } from "../job/model";
import { generatedBlock } from "../routing/generated-block";
import { generatedHouse } from "../routing/generated-house";
import { layHouse } from "./house";
import { relayHouse } from "./relay";

const house = generatedHouse(4, 4, 4);
const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!;

/** One change of each kind that a hand makes, chosen by numbers. */
const changes: Record<string, (j: Job, n: number, by: number) => Job> = {
  "a point moved": (j, n, by) => {
    const p = pick(
      j.points.filter((x) => x.place.on === "wall"),
      n,
    );
    const place = { ...p.place, u: (p.place as { u: number }).u + by };
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after: { ...p, place } }]);
  },
  "a point to another wall": (j, n) => {
    const p = pick(
      j.points.filter((x) => x.place.on === "wall"),
      n,
    );
    const after = { ...p, place: { on: "wall", wall: pick(j.walls, n * 7).id, u: 600, v: 450 } };
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after }]);
  },
  "a point taken out": (j, n) => {
    const p = pick(j.points, n);
    return applyPatch(j, [{ collection: "points", id: p.id, before: p, after: null }]);
  },
  "a point put in": (j, n) => {
    const p = { ...pick(j.points, n), id: `new-${n}`, label: "N" };
    return applyPatch(j, [{ collection: "points", id: p.id, before: null, after: p }]);
  },
  "an opening moved": (j, n, by) => {
    const o = pick(j.openings, n);
    const after = { ...o, u: Math.max(0, o.u + by) };
    return applyPatch(j, [{ collection: "openings", id: o.id, before: o, after }]);
  },
  "a doorway between rooms put in": (j, n) => {
    const inner = j.walls.filter((w) => w.index === 2);
    const o = { id: `door-${n}`, wall: pick(inner, n).id, kind: "door", u: 700, v: 0, width: 838, height: 2040 };
    return applyPatch(j, [{ collection: "openings", id: o.id, before: null, after: o }]);
  },
  "a wall made thicker": (j, n, by) => {
    const w = pick(j.walls, n);
    const after = { ...w, thickness: w.thickness + Math.abs(by) };
    return applyPatch(j, [{ collection: "walls", id: w.id, before: w, after }]);
  },
  "a room made higher": (j, n, by) => {
    const r = pick(j.rooms, n);
    const after = { ...r, height: r.height + Math.abs(by) };
    return applyPatch(j, [{ collection: "rooms", id: r.id, before: r, after }]);
  },
  "a room moved": (j, n, by) => {
    const r = pick(j.rooms, n);
    const after = { ...r, outline: r.outline.map((c) => ({ x: c.x + by, y: c.y })) };
    return applyPatch(j, [{ collection: "rooms", id: r.id, before: r, after }]);
  },
  "an opening put in": (j, n) => {
    const o = { id: `o-${n}`, wall: pick(j.walls, n).id, kind: "door", u: 200, v: 0, width: 700, height: 1900 };
    return applyPatch(j, [{ collection: "openings", id: o.id, before: null, after: o }]);
  },
  "a deck lowered": (j, n, by) => {
    const d = pick(j.decks, n);
    const after = { ...d, underside: d.underside + by };
    return applyPatch(j, [{ collection: "decks", id: d.id, before: d, after }]);
  },
  "a room taken out": (j, n) => {
    const r = pick(j.rooms, n);
    return { ...j, rooms: j.rooms.filter((x) => x !== r), walls: j.walls.filter((w) => w.room !== r.id) };
  },
};

describe("a house laid out anew from the one before", () => {
  it.each(Object.keys(changes))("%s: comes to the same house as laying all of it", (name) => {
    fc.assert(
      fc.property(fc.nat(500), fc.integer({ min: -90, max: 90 }), (n, by) => {
        const next = changes[name]!(house, n, by);
        expect(relayHouse(layHouse(house), next)).toEqual(layHouse(next));
      }),
      { numRuns: 20 },
    );
  });
  it("holds over many changes in a row", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(changes)), fc.nat(500), fc.integer({ min: -90, max: 90 })), {
          maxLength: 8,
        }),
        (steps) => {
          let job = house;
          let laid = layHouse(job);
          for (const [name, n, by] of steps) {
            if (!job.rooms.length || !job.points.length) break;
            job = changes[name]!(job, n, by);
            laid = relayHouse(laid, job);
          }
          expect(laid).toEqual(layHouse(job));
        },
      ),
      { numRuns: 25 },
    );
  });
  it("shares what is not touched, and never writes into the house before", () => {
    const block = generatedBlock(2, 2);
    const before = layHouse(block);
    const copy = structuredClone({ faces: before.faces, points: before.points });
    const after = relayHouse(before, changes["a point moved"]!(block, 3, 10));
    expect(after.faces.filter((f, i) => f === before.faces[i]).length).toBeGreaterThan(before.faces.length * 0.8);
    expect({ faces: before.faces, points: before.points }).toEqual(copy);
    expect(relayHouse(before, block)).toBe(before);
  });
});
