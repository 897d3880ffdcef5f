import { describe, expect, it } from "vitest";
import { generatedHouse } from "../routing/generated-house";
import { checkInvariants, newlyOffWall, pointsOffWall } from "./invariants";
import { type Job, type Pin, jobSchema } from "./model";
import { pinId, runKey } from "./run-key";

const job = generatedHouse(5);
const paths = (j: Job): string[] => checkInvariants(j).map((r) => r.path);
const put = <K extends "rooms" | "walls" | "openings" | "points" | "circuits" | "decks" | "pins">(
  list: K,
  change: (x: Job[K][number], i: number) => Job[K][number],
): Job => ({ ...job, [list]: (job[list] as Job[K][number][]).map(change) });
const first = (i: number): boolean => i === 0;

describe("what must hold between the things of a job", () => {
  it("holds in a job that was made whole", () => expect(paths(job)).toEqual([]));
  it.each([
    ["a room's storey", put("rooms", (r, i) => (first(i) ? { ...r, storey: "gone" } : r)), /^rooms\..*\.storey$/],
    ["a wall's room", put("walls", (w, i) => (first(i) ? { ...w, room: "gone" } : w)), /^walls\..*\.room$/],
    ["an opening's wall", put("openings", (o, i) => (first(i) ? { ...o, wall: "gone" } : o)), /^openings\..*\.wall$/],
    [
      "a point's wall",
      put("points", (p, i) => (first(i) ? { ...p, place: { on: "wall", wall: "gone", u: 1, v: 1 } } : p)),
      /^points\..*\.place\.wall$/,
    ],
    [
      "a point's deck",
      put("points", (p, i) =>
        first(i) ? { ...p, place: { on: "deck", deck: "gone", x: 1, y: 1, face: "floor" } } : p,
      ),
      /^points\..*\.place\.deck$/,
    ],
    ["what a switch works", put("points", (p, i) => (first(i) ? { ...p, controls: ["gone"] } : p)), /\.controls\.0$/],
    [
      "a circuit's point",
      put("circuits", (c, i) => (first(i) ? { ...c, points: [...c.points, "gone"] } : c)),
      /^circuits\..*\.points$/,
    ],
    ["a circuit's board", put("circuits", (c, i) => (first(i) ? { ...c, board: "gone" } : c)), /^circuits\..*\.board$/],
    ["a circuit's cable", put("circuits", (c, i) => (first(i) ? { ...c, cable: "gone" } : c)), /^circuits\..*\.cable$/],
    [
      "a spur from a point of another circuit",
      put("circuits", (c, i) =>
        first(i) ? { ...c, spurs: [{ point: c.points[0]!, from: "board" }], points: c.points.slice(1) } : c,
      ),
      /^circuits\..*\.spurs$/,
    ],
    [
      "a point on two circuits",
      put("circuits", (c) => ({ ...c, points: [...new Set([...c.points, job.circuits[0]!.points[0]!])] })),
      /^circuits\..*\.points$/,
    ],
    [
      "an opening past its wall's end",
      put("openings", (o, i) => (first(i) ? { ...o, u: 90_000 } : o)),
      /^openings\.[^.]+$/,
    ],
    [
      "bearings that overlap",
      put("decks", (d) => ({
        ...d,
        joists: {
          ...d.joists,
          bearings: [
            [0, 100],
            [90, 200],
          ],
        },
      })),
      /bearings\.1$/,
    ],
    [
      "a bearing that ends before it starts",
      put("decks", (d) => ({ ...d, joists: { ...d.joists, bearings: [[100, 100]] } })),
      /bearings\.0$/,
    ],
    [
      "a slope from a wall that is not there",
      put("rooms", (r, i) => (first(i) ? { ...r, slopes: [{ wall: 9, eaves: 1000, pitch: 30 }] } : r)),
      /slopes\.0\.wall$/,
    ],
    [
      "an outline listed anticlockwise",
      put("rooms", (r, i) => (first(i) ? { ...r, outline: [...r.outline].reverse() } : r)),
      /\.outline$/,
    ],
    ["an id used twice", { ...job, points: [...job.points, job.points[0]!] }, /^points\./],
  ] as const)("%s is refused at its field", (_, broken, path) =>
    expect(paths(broken as Job).some((p) => path.test(p))).toBe(true),
  );
  it("refuses found cables from a point to itself, crooked trunking, and rows that are in no catalogue", () => {
    const j = jobSchema.parse({
      ...job,
      foundCables: [
        {
          id: "f",
          from: "board",
          to: "board",
          cable: "nothing",
          traced: [
            { wall: job.walls[0]!.id, from: { u: 100, v: 100 }, to: { u: 110, v: 100 } },
            { wall: job.walls[0]!.id, from: { u: 100, v: 100 }, to: { u: 109, v: 100 } },
            { wall: "gone", from: { u: 100, v: 100 }, to: { u: 900, v: 700 } },
          ],
        },
      ],
      foundTrunkings: [
        {
          id: "t",
          wall: job.walls[0]!.id,
          size: "none",
          from: { u: 0, v: 0 },
          to: { u: 10, v: 10 },
          holds: [{ cable: "x", count: 1 }],
        },
      ],
      drums: [{ id: "d", label: "D", cable: "y", length: 100 }],
      forbidden: [{ id: "x", place: { on: "wall", wall: "gone", u: 0, v: 0, width: 1, height: 1 } }],
      photos: [{ id: "p", wall: "gone", picture: "q", u: 0, v: 0, at: "now" }],
    });
    expect(paths(j).sort()).toEqual(
      [
        "drums.d.cable",
        "forbidden.x.place",
        "foundCables.f.cable",
        "foundCables.f.to",
        "foundCables.f.traced.1.to",
        "foundCables.f.traced.2.wall",
        "foundTrunkings.t.holds",
        "foundTrunkings.t.size",
        "foundTrunkings.t.to",
        "photos.p.wall",
      ].sort(),
    );
  });
});

describe("one pin a run", () => {
  const legs = [
    {
      surface: { kind: "wall" as const, id: job.walls[0]!.id },
      method: "chase" as const,
      path: [
        [0, 0, 0],
        [0, 0, 9],
      ] as [number, number, number][],
      depth: 15,
      protected: false,
    },
  ];
  const [a, b] = job.circuits[0]!.points as [string, string];
  const ends = { circuit: job.circuits[0]!.id, from: a, to: b };
  const pin = (more: Partial<Pin> = {}): Pin => ({ id: pinId(ends), ...ends, number: 1, legs, ...more });
  it("is known by its run in either direction, and refused a second time or under another id", () => {
    expect(paths({ ...job, pins: [pin()] })).toEqual([]);
    expect(paths({ ...job, pins: [pin({ from: b, to: a })] })).toEqual([]);
    expect(paths({ ...job, pins: [pin({ id: "pin-other" })] })).toEqual(["pins.pin-other.id"]);
    expect(paths({ ...job, pins: [pin(), pin({ id: "pin-other", from: b, to: a })] })).toEqual(["pins.pin-other"]);
    const second = pin({ number: 2, id: pinId(ends, 2) });
    expect(paths({ ...job, pins: [pin(), second] })).toEqual([]);
    expect(runKey({ ...ends, from: b, to: a })).toBe(runKey(ends));
    expect(runKey(ends, 2)).not.toBe(runKey(ends));
  });
});

describe("points off their wall", () => {
  const p = job.points.find((x) => x.place.on === "wall")!;
  const at = (u: number, v: number): Job =>
    put("points", (x) => (x.id === p.id ? { ...x, place: { ...x.place, u, v } as never } : x));
  const wall = job.walls.find((w) => p.place.on === "wall" && w.id === p.place.wall)!;
  const room = job.rooms.find((r) => r.id === wall.room)!;
  const [c, d] = [room.outline[wall.index]!, room.outline[(wall.index + 1) % room.outline.length]!];
  const length = Math.hypot(d.x - c.x, d.y - c.y);
  it("are told to the millimetre on all four sides", () => {
    expect(pointsOffWall(at(0, 0))).toEqual([]);
    expect(pointsOffWall(at(length, room.height))).toEqual([]);
    expect(pointsOffWall(at(-1, 450)).map((r) => r.path)).toEqual([`points.${p.id}.place.u`]);
    expect(pointsOffWall(at(length + 1, 450))).toHaveLength(1);
    expect(pointsOffWall(at(500, -1)).map((r) => r.path)).toEqual([`points.${p.id}.place.v`]);
    expect(pointsOffWall(at(500, room.height + 1))).toHaveLength(1);
  });
  it("are refused where an edit makes them, and left where they were", () => {
    expect(newlyOffWall(job, at(-1, 450))).toHaveLength(1);
    expect(newlyOffWall(at(-1, 450), at(-2, 450))).toEqual([]);
  });
});

describe("the tree of a circuit", () => {
  const ring = job.circuits.find((c) => c.points.length >= 4)!;
  const [a, b, c, d] = ring.points as [string, string, string, string];
  const refusals = (more: Partial<typeof ring>): string[] =>
    checkInvariants({
      ...job,
      pins: [],
      circuits: job.circuits.map((x) => (x.id === ring.id ? { ...ring, ...more } : x)),
    })
      .filter((r) => r.path.startsWith("circuits."))
      .map((r) => `${r.path.split(".").slice(2).join(".")}: ${r.message}`);
  const rest = ring.points.filter((x) => x !== b && x !== c);
  it("a spur may start from a spur, back to a point of the circuit", () => {
    expect(
      refusals({
        points: rest,
        spurs: [
          { point: b, from: a },
          { point: c, from: b },
        ],
      }),
    ).toEqual([]);
  });
  it("one that leads round and round is refused as that", () => {
    expect(
      refusals({
        points: rest,
        spurs: [
          { point: b, from: c },
          { point: c, from: b },
        ],
      }),
    ).toEqual([
      expect.stringMatching(/^spurs: the spur to .* leads back to itself/),
      expect.stringMatching(/^spurs: the spur to .* leads back to itself/),
    ]);
  });
  it("one that starts nowhere on it is refused with where it starts", () => {
    expect(
      refusals({
        points: rest,
        spurs: [
          { point: b, from: "board" },
          { point: c, from: a },
        ],
      }),
    ).toEqual([expect.stringMatching(/^spurs: the spur to .* starts at board, which is not a point of/)]);
  });
  it("a run has one cable of its own, of the catalogue, between points of the job", () => {
    const own = (from: string, to: string, number = 1, cable = "te-4") => ({ from, to, number, cable });
    expect(refusals({ runCables: [own(a, d), own(a, d, 2)] })).toEqual([]);
    expect(refusals({ runCables: [own(a, d), own(d, a)] })).toEqual([
      expect.stringMatching(/^runCables\.1: the run .* two cables/),
    ]);
    expect(refusals({ runCables: [own(a, d, 1, "nothing")] })).toEqual([
      expect.stringMatching(/^runCables\.0\.cable: nothing is not in/),
    ]);
    expect(refusals({ runCables: [own(a, "nobody")] })).toEqual([
      expect.stringMatching(/^runCables\.0\.to: nobody is not one of/),
    ]);
  });
});
