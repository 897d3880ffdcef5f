import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toFace, toSpace } from "../base/wall-frame";
import { applyPatch } from "../job/patch";
import { layHouse } from "./house";
import {
  alignRoom,
  freeCorner,
  joinWalls,
  moveCorner,
  moveRoom,
  moveWall,
  setWall,
  splitWall,
  turnRoom,
} from "./reshape";
import { apply, box, inSpace, newId, room, twoRooms, wallOf } from "./two-rooms.fixture";

describe("reshaping rooms", () => {
  it("moving a corner leaves what is on the walls in its place", () => {
    const job = twoRooms();
    const after = apply(job, moveCorner(job, room(job, "A"), 0, { x: 0, y: -500 }));
    expect(layHouse(after).faces.find((f) => f.room.name === "A" && f.wall.index === 0)!.shape.length).toBe(3500);
    expect(inSpace(after)).toEqual(inSpace(job));
  });
  it("moving a shared wall moves both its faces and keeps its thickness", () => {
    const job = twoRooms();
    const after = apply(job, moveWall(job, room(job, "A"), 2, -300));
    expect(room(after, "A").outline[2]!.x).toBe(3900);
    expect(room(after, "B").outline[0]!.x).toBe(4000);
    const f = layHouse(after).faces.find((x) => x.room.name === "A" && x.wall.index === 2)!;
    expect(f.opposite).toHaveLength(1);
  });
  it("splits a wall beside its door, not through it, and joins it again to the same job", () => {
    const job = twoRooms();
    expect(splitWall(job, room(job, "A"), 3, 900, newId)).toMatch(/lies across 900/);
    expect(splitWall(job, room(job, "A"), 3, 5, newId)).toMatch(/must be between 10 and 3.590/);
    const split = apply(job, splitWall(job, room(job, "A"), 2, 1200, newId));
    expect(room(split, "A").outline).toHaveLength(5);
    expect(inSpace(split)).toEqual(inSpace(job));
    const back = apply(split, joinWalls(split, room(split, "A"), 2));
    expect(back).toEqual(job);
  });
  it("joining over the first corner renumbers the rest and keeps everything in place", () => {
    const job = twoRooms();
    const split = apply(job, splitWall(job, room(job, "A"), 3, 3000, newId));
    const after = apply(split, joinWalls(split, room(split, "A"), 4));
    expect(room(after, "A").outline).toHaveLength(4);
    expect(
      layHouse(after)
        .faces.filter((f) => f.room.name === "A")
        .map((f) => f.wall.index),
    ).toEqual([0, 1, 2, 3]);
    const triangle = { ...room(job, "A"), outline: room(job, "A").outline.slice(0, 3) };
    expect(joinWalls(job, triangle, 0)).toMatch(/three walls/);
  });
  it("moves and turns a room with its ceiling points", () => {
    const job = twoRooms();
    const moved = apply(job, moveRoom(job, room(job, "A"), 0, 200));
    expect(inSpace(moved).get("L1")).toEqual([1800, 1700, 2415]);
    const turned = apply(job, turnRoom(job, room(job, "A"), 90));
    expect(
      layHouse(turned)
        .faces.filter((f) => f.room.name === "A")
        .map((f) => f.shape.length),
    ).toEqual([3000, 3600, 3000, 3600]);
  });
  it("sets a room against another: one wall, two faces, the thickness asked for, whatever way it stood", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 60, max: 500 }),
        fc.integer({ min: 0, max: 359 }),
        fc.constantFrom("left" as const, "right" as const, "middle" as const),
        (mine, other, thickness, turn, lineUp) => {
          let job = twoRooms();
          job = applyPatch(job, turnRoom(job, room(job, "B"), turn));
          job = applyPatch(job, moveRoom(job, room(job, "B"), 20_000, -9000));
          const after = apply(
            job,
            alignRoom(job, room(job, "B"), mine, { room: room(job, "A"), side: other }, thickness, lineUp),
          );
          const h = layHouse(after);
          const [a, b] = [
            h.faces.find((f) => f.room.name === "A" && f.wall.index === other)!,
            h.faces.find((f) => f.room.name === "B" && f.wall.index === mine)!,
          ];
          expect(a.opposite).toEqual([b.n]);
          expect(toFace(a.frame, b.frame.origin).into).toBeCloseTo(-thickness, 0);
          const left = toFace(a.frame, toSpace(b.frame, { u: b.shape.length, v: 0 })).u;
          const want = {
            left: 0,
            right: a.shape.length - b.shape.length,
            middle: (a.shape.length - b.shape.length) / 2,
          }[lineUp];
          expect(left).toBeCloseTo(want, 0);
        },
      ),
      { numRuns: 40 },
    );
    const job = twoRooms();
    expect(alignRoom(job, room(job, "A"), 0, { room: room(job, "A"), side: 1 }, 100, "left")).toMatch(/own wall/);
  });
  it("keeps build on both faces, and refuses a thickness the rooms contradict", () => {
    const job = twoRooms();
    const after = apply(job, setWall(job, wallOf(job, "A", 2), { build: "metal-stud", thickness: 120 }));
    expect(wallOf(after, "B", 0)).toMatchObject({ build: "metal-stud", thickness: 120 });
    expect(setWall(job, wallOf(job, "A", 2), { thickness: 300 })).toMatch(/face in B stands 100 away/);
  });
});

describe("unrolled and in space", () => {
  it("a place in the house → on the unrolled wall → in the house is the same place, to the thousandth", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: -5000, max: 5000 }), y: fc.integer({ min: -5000, max: 5000 }) }), {
          minLength: 4,
          maxLength: 4,
        }),
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 2400, noNaN: true }),
        (shift, turn, share, v) => {
          let job = twoRooms();
          job = applyPatch(job, turnRoom(job, room(job, "A"), turn));
          job = applyPatch(job, moveRoom(job, room(job, "A"), shift[0]!.x, shift[0]!.y));
          for (const f of layHouse(job).faces) {
            const s = toSpace(f.frame, { u: f.shape.length * share, v });
            const back = toFace(f.frame, s);
            const again = toSpace(f.frame, back, back.into);
            for (const k of [0, 1, 2] as const) expect(Math.abs(again[k] - s[k])).toBeLessThan(1e-3);
            expect(Math.abs(back.into)).toBeLessThan(1e-3);
            expect(back.u).toBeCloseTo(f.shape.length * share, 3);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("what a reshaped wall keeps", () => {
  const photo = (job: ReturnType<typeof twoRooms>, u: number) => ({
    collection: "photos" as const,
    id: "ph",
    before: null,
    after: {
      id: "ph",
      wall: wallOf(job, "A", 2).id,
      picture: "pic",
      u,
      v: 900,
      text: "",
      at: "2026-01-05T10:00:00.000Z",
    },
  });
  it("a corner pulled in pushes what would lie past the end back onto the wall", () => {
    const job = twoRooms();
    // The north wall of A shrinks from 3600 to 1500: its bath of 1700 gets as long as the wall.
    const after = apply(job, moveCorner(job, room(job, "A"), 2, { x: 1500, y: 3000 }));
    expect(after.fixtures[0]).toMatchObject({ u: 0, width: 1500 });
    expect(layHouse(after).faces.find((f) => f.wall.id === wallOf(job, "A", 1).id)!.shape.length).toBe(1500);
  });
  it("splitting gives each half its points, photos and openings, and numbers the walls after it anew", () => {
    let job = twoRooms();
    job = apply(job, [photo(job, 2000)]);
    const old = wallOf(job, "A", 2);
    const south = wallOf(job, "A", 3);
    const split = apply(job, splitWall(job, room(job, "A"), 2, 1000, newId));
    const walls = split.walls.filter((w) => w.room === room(job, "A").id).sort((a, b) => a.index - b.index);
    expect(walls.map((w) => w.index)).toEqual([0, 1, 2, 3, 4]);
    expect(walls[2]!.id).toBe(old.id);
    expect(walls[4]!.id).toBe(south.id);
    expect(walls[3]).toMatchObject({ build: old.build, thickness: old.thickness });
    expect(walls[3]!.id).toMatch(/^w/);
    const at = (label: string) => split.points.find((p) => p.label === label)!.place;
    expect(at("S1")).toMatchObject({ wall: old.id, u: 500 });
    expect(at("S2")).toMatchObject({ wall: walls[3]!.id, u: 500 });
    expect(at("S3")).toMatchObject({ wall: walls[3]!.id, u: 1500 });
    expect(split.photos[0]).toMatchObject({ wall: walls[3]!.id, u: 1000 });
    expect(split.openings[0]).toMatchObject({ wall: south.id, u: 500 });
  });
  it("splits at the very edge of an opening, and from 10 to 10 from the end", () => {
    const job = twoRooms();
    const a = room(job, "A");
    // The door lies from 500 to 1338 of the south wall, 3600 long.
    for (const u of [500, 1338, 10, 3590]) expect(typeof splitWall(job, a, 3, u, newId), String(u)).toBe("object");
    expect(splitWall(job, a, 3, 501, newId)).toBe(
      "The door from 500 to 1\u202f338 lies across 501; split the wall beside it.",
    );
    expect(splitWall(job, a, 3, 1337, newId)).toMatch(/lies across/);
    for (const u of [9.9, 3590.1, NaN])
      expect(splitWall(job, a, 3, u, newId)).toMatch(/must be between 10 and 3.590 mm/);
  });
  it("the wall it unrolls from and its slopes stay the same walls", () => {
    const job = twoRooms();
    const a = {
      ...room(job, "A"),
      startWall: 3,
      slopes: [
        { wall: 1, eaves: 1800, pitch: 30 },
        { wall: 3, eaves: 1900, pitch: 20 },
      ],
    };
    const sloped = { ...job, rooms: job.rooms.map((r) => (r.id === a.id ? a : r)) };
    const split = apply(sloped, splitWall(sloped, a, 2, 1000, newId));
    expect(room(split, "A")).toMatchObject({ startWall: 4, slopes: [{ wall: 1 }, { wall: 4 }] });
    const back = apply(split, joinWalls(split, room(split, "A"), 2));
    expect(back).toEqual(sloped);
    // Joining wall 1 with wall 2: a slope of the lost wall goes with it, later walls move down by one.
    const joined = apply(sloped, joinWalls(sloped, a, 1));
    expect(room(joined, "A")).toMatchObject({ startWall: 2, slopes: [{ wall: 1 }, { wall: 2 }] });
    const lost = apply(sloped, joinWalls(sloped, { ...a, startWall: 3 }, 2));
    expect(room(lost, "A")).toMatchObject({ startWall: 2, slopes: [{ wall: 1 }] });
  });
  it("moving a wall that is another room's too moves both; one that is nobody else's moves alone", () => {
    const job = twoRooms();
    const west = apply(job, moveWall(job, room(job, "A"), 0, 200));
    expect(room(west, "A").outline.map((p) => p.x)).toEqual([200, 200, 3600, 3600]);
    expect(room(west, "B")).toEqual(room(job, "B"));
    expect(inSpace(west).get("S1")).toEqual(inSpace(job).get("S1"));
    expect(moveWall(job, room(job, "A"), 9, 100)).toEqual([]);
  });
  it("a slid wall keeps its neighbours' directions", () => {
    const job = twoRooms();
    const skew = apply(job, moveCorner(job, room(job, "A"), 1, { x: 500, y: 3000 }));
    const after = apply(skew, moveWall(skew, room(skew, "A"), 1, 600));
    // The west wall leans from (0, 0) to (500, 3000); cut at 2400 it ends at 400.
    expect(room(after, "A").outline[1]).toEqual({ x: 400, y: 2400 });
    expect(room(after, "A").outline[2]).toEqual({ x: 3600, y: 2400 });
  });
  it("lined up to stay, a room only comes nearer", () => {
    const job = twoRooms();
    const far = apply(job, moveRoom(job, room(job, "B"), 2000, 700));
    const set = apply(far, alignRoom(far, room(far, "B"), 0, { room: room(far, "A"), side: 2 }, 140, "stay"));
    expect(room(set, "B").outline[0]).toEqual({ x: 3740, y: 700 });
    expect(wallOf(set, "A", 2)).toMatchObject({ thickness: 140, backing: "room" });
    expect(wallOf(set, "B", 0)).toMatchObject({ thickness: 140, backing: "room" });
  });
  it("takes a thickness up to 40 from what the rooms leave, on both faces", () => {
    const job = twoRooms();
    const w = wallOf(job, "A", 2);
    for (const t of [60, 140]) expect(typeof setWall(job, w, { thickness: t })).toBe("object");
    for (const t of [59, 141]) expect(setWall(job, w, { thickness: t })).toMatch(/stands 100 away/);
    expect(setWall(job, wallOf(job, "A", 0), { thickness: 900 })).toHaveLength(1);
    expect(setWall(job, w, { insulated: true })).toHaveLength(2);
  });
  it("a new room stands a thin wall right of the others", () => {
    const job = twoRooms();
    expect(freeCorner(job, "ground")).toEqual({ x: 7400, y: 0 });
    expect(freeCorner(job, "nowhere")).toEqual({ x: 0, y: 0 });
    expect(box(1, 2, 3, 4)).toEqual([
      { x: 1, y: 2 },
      { x: 1, y: 6 },
      { x: 4, y: 6 },
      { x: 4, y: 2 },
    ]);
  });
});
