import { createHash } from "node:crypto";
import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { relayHouse } from "../../core/house/relay";
import { type Job, canonical } from "../../core/job/model";
import { holdOf } from "../../core/laid/held";
import { planHouse } from "../../core/plan/plan";
import { buildGraph, graphOf } from "../../core/routing/build";
import type { RouteGraph } from "../../core/routing/graph";
import { ternCottage } from "./tern-cottage";

const demo = ternCottage();
/** The demo with a wire hung to the shed by way of a post, in place of the trench. */
const hung = canonical({
  ...demo,
  outsideWays: demo.outsideWays.map((w) => ({
    ...w,
    kind: "catenary" as const,
    from: { ...w.from, v: 2300 },
    to: { ...w.to, v: 1900 },
    posts: [demo.posts[0]!.id],
  })),
});
/** The demo before anything is placed in it. */
const empty: Job = {
  ...demo,
  points: [],
  circuits: [],
  outsideWays: [],
  lightRows: [],
  foundCables: [],
  extensions: [],
};
/** A graph in short: long lists by what comes of summing them up. */
const flat = (g: RouteGraph): string =>
  JSON.stringify(g, (_, x: unknown) =>
    ArrayBuffer.isView(x)
      ? createHash("sha256")
          .update(x as Uint8Array)
          .digest("hex")
      : x,
  );
/** What is left of a graph after a change: the very same, or one made anew. */
function after(job: Job, change: Partial<Job>): "the same" | "another" {
  const next = { ...job, ...change };
  const before = layHouse(job);
  const was = graphOf(before);
  const now = graphOf(relayHouse(before, next));
  expect(flat(now)).toBe(flat(buildGraph(layHouse(next))));
  return now === was ? "the same" : "another";
}

describe("the lines of the demo after a change", () => {
  it("of circuits' names, or of the drums, are the very same", () => {
    const circuits = demo.circuits.map((c) => ({ ...c, label: `${c.label} too` }));
    expect(after(demo, { circuits, drums: [] })).toBe("the same");
    expect(after(hung, { circuits, drums: [] })).toBe("the same");
  });
  it.each<[string, Job, Partial<Job>]>([
    ["the trunking found is gone", demo, { foundTrunkings: [] }],
    ["the sections are gone", demo, { sections: [] }],
    ["the way out of doors is gone", demo, { outsideWays: [] }],
    ["the post of the wire stands elsewhere", hung, { posts: hung.posts.map((p) => ({ ...p, y: p.y + 900 })) }],
    [
      "the wire is to carry thicker armour, and hangs lower",
      hung,
      { circuits: hung.circuits.map((c) => (c.cable.startsWith("swa") ? { ...c, cable: "swa-3x16" } : c)) },
    ],
    [
      "the way out of doors leaves and comes in a little further along, and is as long",
      demo,
      {
        outsideWays: demo.outsideWays.map((w) => ({
          ...w,
          from: { ...w.from, u: w.from.u + 40 },
          to: { ...w.to, u: w.to.u - 40 },
        })),
      },
    ],
    [
      "a door of another room is wider, in a house without points",
      empty,
      { openings: demo.openings.map((o, i) => (i === demo.openings.length - 1 ? { ...o, width: o.width - 60 } : o)) },
    ],
    [
      "joists are set out anew, in a house without points",
      empty,
      { decks: demo.decks.map((d) => ({ ...d, joists: { ...d.joists, first: d.joists.first + 30 } })) },
    ],
    [
      "walls are of studs that were of blocks, in a house without points",
      empty,
      { walls: demo.walls.map((w) => (w.build === "masonry" ? { ...w, build: "stud" as const } : w)) },
    ],
    ["no chase may be as deep as is wanted", demo, { settings: { ...demo.settings, chaseDepth: 45 } }],
    ["nothing is fixed to the walls", demo, { fixtures: [] }],
    ["nothing is kept free", demo, { forbidden: [] }],
    [
      "cable may lie on the surface",
      { ...demo, circuits: demo.circuits.filter((c) => !c.cable.startsWith("swa")) },
      { circuits: demo.circuits },
    ],
  ])("are made anew where %s", (_, job, change) => {
    expect(after(job, change)).toBe("another");
  });
  it.each(demo.points.flatMap((p) => (p.place.on === "wall" ? [[p.name || p.id, p.id]] : [])))(
    "are made anew where %s stands a little higher",
    (_, id) => {
      const points = demo.points.map((p) =>
        p.id === id && p.place.on === "wall" ? { ...p, place: { ...p.place, v: p.place.v + 35 } } : p,
      );
      expect(after(demo, { points })).toBe("another");
    },
  );
  it("with runs done, planned again after an edit, are as planned from scratch", () => {
    const house = layHouse(demo);
    const plan = planHouse(house);
    const held = plan.runs.slice(0, 20).map((r) => holdOf(r, plan.holes, demo.points));
    planHouse(house, { held });
    const circuits = demo.circuits.map((c) => (c.id === "li1" ? { ...c, label: "LX" } : c));
    const decks = demo.decks.map((d, i) => (i ? d : { ...d, joists: { ...d.joists, first: d.joists.first + 7 } }));
    for (const [done, next] of [
      [held, { ...demo, circuits }],
      [held.slice(0, 5), { ...demo, circuits }],
      [held, { ...demo, decks }],
    ] as const) {
      const again = planHouse(relayHouse(house, next), { held: done });
      expect(JSON.stringify(again)).toBe(JSON.stringify(planHouse(layHouse(next), { held: [...done] })));
    }
  });
});
