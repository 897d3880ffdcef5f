import { describe, expect, it } from "vitest";
import { checkInvariants } from "../job/invariants";
import { jobSchema } from "../job/model";
import { layHouse } from "./house";
import {
  freeLabel,
  groundOf,
  nearestYardWall,
  postAt,
  rowAlong,
  usualGround,
  usualWay,
  wayBetween,
} from "./outside-made";
import { wallLightFrom } from "./wall-light";
import { across, yardJob } from "./yard.fixture";

const h = layHouse(yardJob());
const inside = layHouse(
  jobSchema.parse({
    ...yardJob(),
    rooms: yardJob().rooms.filter((r) => r.kind !== "yard"),
    walls: yardJob().walls.filter((w) => w.room !== "out"),
  }),
);

describe("what is drawn out of doors", () => {
  it("a trench from press to press leaves the nearest walls at their foot, with the turns between", () => {
    const made = wayBetween(
      h,
      "trench",
      [
        { x: 900, y: 3600 },
        { x: 1500.4, y: 6000.6 },
        { x: 3000, y: 9000 },
      ],
      "w",
    );
    // The house's wall is seen from the yard: its left is at x 4 000.
    expect(made).toMatchObject({
      label: "TR1",
      from: { wall: "out3", u: 3100, v: 0 },
      to: { wall: "out1", u: 3000, v: 0 },
      turns: [{ x: 1500, y: 6001 }],
    });
    expect(nearestYardWall(h, { x: 900, y: 3600 })).toMatchObject({ u: 3100, off: 300 });
  });
  it("a wire leaves at a height that the wall has; a trench keeps clear of a door", () => {
    expect(
      wayBetween(
        h,
        "catenary",
        [
          { x: 1000, y: 3400 },
          { x: 1000, y: 9200 },
        ],
        "w",
      ),
    ).toMatchObject({ label: "CW1", from: { v: 3800 }, turns: [] });
    const door = layHouse(
      yardJob({ openings: [{ id: "d", wall: "out3", kind: "door", u: 1800, v: 0, width: 900, height: 2000 }] }),
    );
    const at = (x: number) =>
      wayBetween(
        door,
        "trench",
        [
          { x, y: 3400 },
          { x: 1000, y: 9200 },
        ],
        "w",
      );
    expect([at(2000), at(1400)].map((w) => (typeof w === "string" ? w : w.from.u))).toEqual([1700, 2800]);
  });
  it("is refused with words at one place, without a yard, and with too few places", () => {
    expect(
      wayBetween(
        h,
        "trench",
        [
          { x: 1000, y: 3400 },
          { x: 1100, y: 3400 },
        ],
        "w",
      ),
    ).toMatch(/begins and ends at one place/);
    for (const made of [
      wayBetween(
        inside,
        "trench",
        [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
        ],
        "w",
      ),
      usualWay(inside, "trench", "w"),
      groundOf(
        inside,
        "lawn",
        [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
        ],
        "g",
      ),
      usualGround(inside, "lawn", "g"),
      postAt(inside, { x: 0, y: 0 }, "p"),
      rowAlong(inside, [{ x: 0, y: 0 }], "r"),
    ])
      expect(made).toMatch(/yard/);
    expect(groundOf(h, "lawn", [{ x: 1, y: 4000 }], "g")).toMatch(/Two corners/);
    expect(rowAlong(h, [{ x: 1, y: 4000 }], "r")).toMatch(/Two places/);
  });
  it("a row is fed from the nearest point that may feed it", () => {
    expect(
      rowAlong(
        h,
        [
          { x: 1000, y: 4000 },
          { x: 1000, y: 9000 },
        ],
        "r",
      ),
    ).toMatchObject({ from: "k", room: "out", label: "PL1" });
    expect(
      rowAlong(
        layHouse(yardJob({ points: [], circuits: [] })),
        [
          { x: 1000, y: 4000 },
          { x: 1000, y: 9000 },
        ],
        "r",
      ),
    ).toMatch(/nothing to feed it/);
  });
  it("what is put in at a usual place stands in a job that holds", () => {
    const trench = usualWay(h, "trench", "w");
    const ground = usualGround(h, "drive", "g");
    const post = postAt(h, { x: 2000, y: 5000 }, "p");
    const row = rowAlong(
      h,
      [
        { x: 1000, y: 4000 },
        { x: 1000, y: 9000 },
      ],
      "r",
    );
    expect(
      checkInvariants(yardJob({ outsideWays: [trench], grounds: [ground], posts: [post], lightRows: [row] })),
    ).toEqual([]);
    expect(ground).toMatchObject({
      kind: "drive",
      outline: [
        { x: 0, y: 5700 },
        { x: 0, y: 6900 },
        { x: 4000, y: 6900 },
        { x: 4000, y: 5700 },
      ],
    });
    expect(freeLabel("P", [{ label: "P1" }, { label: "P3" }])).toBe("P2");
  });
  it("names that lead nowhere are refused by field", () => {
    const paths = (more: Record<string, unknown>) => checkInvariants(yardJob(more)).map((r) => r.path);
    expect(paths({ outsideWays: [across("catenary", { posts: ["gone"], to: { wall: "no", u: 0, v: 0 } })] })).toEqual(
      expect.arrayContaining([expect.stringMatching(/posts/), expect.stringMatching(/to\.wall/)]),
    );
    expect(
      paths({
        grounds: [
          {
            id: "g",
            room: "no",
            kind: "lawn",
            outline: [
              { x: 0, y: 0 },
              { x: 0, y: 1 },
              { x: 1, y: 1 },
            ],
          },
        ],
      }).join(),
    ).toMatch(/room/);
    expect(paths({ extensions: [{ id: "x", circuit: "no", joints: [{ point: "no" }] }] }).join()).toMatch(
      /circuit.*joints\.0\.point/,
    );
    expect(
      paths({
        lightRows: [
          {
            id: "r",
            label: "R",
            room: "out",
            from: "no",
            path: [
              { x: 0, y: 0 },
              { x: 0, y: 1 },
            ],
            count: 2,
            cable: "none",
          },
        ],
      }).join(),
    ).toMatch(/from/);
  });
});

describe("a wall light from a socket", () => {
  const job = (c: object = {}, points: object[] = []) => {
    const base = yardJob();
    return layHouse(
      yardJob({
        points: [
          ...base.points,
          { id: "s", label: "S1", kind: "socket", place: { on: "wall", wall: "in0", u: 1500, v: 450 } },
          ...points,
        ],
        circuits: [
          {
            id: "r",
            label: "R1",
            name: "Sockets",
            kind: "radial",
            device: { rating: 20 },
            rcd: 30,
            cable: "te-2.5",
            way: 2,
            points: ["s"],
            ...c,
          },
        ],
      }),
    );
  };
  let n = 0;
  const id = (p: string): string => `${p}${++n}`;
  it("comes behind a fused unit of 3 A and its switch, all three plumb over each other, wired one behind the other and labelled", () => {
    const made = wallLightFrom(job(), "s", id);
    if (typeof made === "string") throw new Error(made);
    const points = made.changes
      .filter((c) => c.collection === "points")
      .map(
        (c) =>
          c.after as {
            id: string;
            kind: string;
            fuse: number;
            labelled: boolean;
            controls: string[];
            place: { u: number; v: number };
          },
      );
    expect(points.map((p) => [p.kind, p.place.u, p.place.v])).toEqual([
      ["fused-unit", 1700, 450],
      ["switch", 1700, 1200],
      ["wall-light", 1700, 1800],
    ]);
    expect([points[0]!.fuse, points[0]!.labelled, points[1]!.controls]).toEqual([3, true, [points[2]!.id]]);
    const circuit = made.changes.at(-1)!.after as { spurs: { point: string; from: string }[] };
    expect(circuit.spurs.map((s) => s.from)).toEqual(["s", points[0]!.id, points[1]!.id]);
  });
  it("goes to the other side where something stands beside the socket", () => {
    const made = wallLightFrom(
      job({}, [{ id: "x", label: "X1", kind: "socket", place: { on: "wall", wall: "in0", u: 1700, v: 1200 } }]),
      "s",
      id,
    );
    expect(typeof made === "string" ? made : (made.changes[0]!.after as { place: { u: number } }).place.u).toBe(1300);
  });
  it("is refused from lighting, from a spur, from a socket that feeds one already, and from none", () => {
    expect(wallLightFrom(job({ kind: "lighting" }), "s", id)).toMatch(/no socket circuit/);
    expect(wallLightFrom(job({ points: ["k"], spurs: [{ point: "s", from: "k" }] }), "s", id)).toMatch(
      /on a spur itself/,
    );
    expect(wallLightFrom(job({ spurs: [{ point: "k", from: "s" }] }), "s", id)).toMatch(/feeds a spur already/);
    expect(wallLightFrom(job({ points: ["k"] }), "s", id)).toMatch(/on no circuit/);
    expect(wallLightFrom(job(), "gone", id)).toMatch(/socket on a wall/);
  });
});
