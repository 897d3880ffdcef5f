import { describe, expect, it } from "vitest";
import { checkInvariants } from "../job/invariants";
import type { Job } from "../job/model";
import { type Change, applyPatch } from "../job/patch";
import { outsideWithout } from "./outside-kept";
import { splitWall } from "./reshape";
import { removeRoom, withoutPoints } from "./rooms";
import { across, strip, yardJob } from "./yard.fixture";

const job = yardJob({
  grounds: [strip("lawn", 0, 1000)],
  posts: [{ id: "p", room: "out", label: "P1", x: 2000, y: 6000, height: 4200 }],
  outsideWays: [across("trench"), { ...across("catenary"), id: "v", posts: ["p"] }],
  lightRows: [
    {
      id: "r",
      label: "PL1",
      room: "out",
      from: "k",
      path: [
        { x: 1000, y: 4000 },
        { x: 1000, y: 9000 },
      ],
      count: 3,
      cable: "swa-3x1.5",
    },
  ],
  extensions: [{ id: "x", circuit: "c", broken: { from: "db", to: "k" }, joints: [{ point: "k" }, { point: "db" }] }],
  photos: [{ id: "ph", wall: null, outside: "w", picture: "pic", u: 0, v: 0, at: "" }],
});
/** The job after changes, which must hold. */
const after = (changes: Change[]): Job => {
  const done = applyPatch(job, changes);
  expect(checkInvariants(done)).toEqual([]);
  return done;
};

describe("what hangs on things that go", () => {
  it("a row whose feed goes stays, fed from nothing; an extension lets go of the joint and the leg", () => {
    const j = after(withoutPoints(job, new Set(["k"])));
    expect(j.lightRows[0]!.from).toBeNull();
    expect(j.extensions[0]).toMatchObject({ broken: null, joints: [{ point: "db" }] });
  });
  it("with the yard all that lies in it goes; with another room only the ways to its walls, and their photos", () => {
    const yard = after(removeRoom(job, "out"));
    expect([yard.grounds, yard.posts, yard.outsideWays, yard.lightRows, yard.photos].map((l) => l.length)).toEqual([
      0, 0, 0, 0, 0,
    ]);
    expect(after(removeRoom(job, "shed")).outsideWays).toHaveLength(2);
  });
  it("a wire lets go of a post, a way takes its photos along, an extension goes with its circuit", () => {
    expect(after(outsideWithout(job, { posts: new Set(["p"]) })).outsideWays.map((w) => w.posts)).toEqual([[], []]);
    const j = after(outsideWithout(job, { ways: new Set(["w"]) }));
    expect([j.outsideWays.map((w) => w.id), j.photos]).toEqual([["v"], []]);
    expect(outsideWithout(job, { circuits: new Set(["c"]) }).map((c) => [c.collection, c.after])).toEqual([
      ["extensions", null],
    ]);
  });
  it("a way keeps its place in the house when its wall is split", () => {
    let n = 0;
    const made = splitWall(
      job,
      job.rooms.find((r) => r.id === "out")!,
      3,
      1500,
      (p) => `${p}${++n}`,
    );
    if (typeof made === "string") throw new Error(made);
    const j = after(made);
    const [way] = j.outsideWays;
    expect(way!.from.wall).not.toBe("out3");
    expect(way!.from.u).toBe(500);
  });
});
