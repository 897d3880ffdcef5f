import { describe, expect, it } from "vitest";
import { roomSheet } from "../drawings/house-sheets";
import { layHouse } from "../house/house";
import { type SiteEntry, siteEntrySchema } from "../job/site-entry";
import { legPosition } from "../laid/move-leg";
import { planHouse } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { type Built, asBuiltNow, builtElsewhere } from "./as-built";
import { builtBehind } from "./built-behind";
import { linesOfDone } from "./do-part";
import { heldRuns } from "./held";
import { partsOf } from "./parts";

const job = generatedHouse(3);
const h = layHouse(job);
const bare = planHouse(h);
let n = 0;
const put = (lines: readonly object[]): SiteEntry[] =>
  lines.map((l) =>
    siteEntrySchema.parse({
      id: `e${String(++n).padStart(5, "0")}`,
      by: "Pat",
      at: new Date(Date.UTC(2026, 10, 30, 8, 0, n)).toISOString(),
      ...l,
    }),
  );
/** A run that ends in a plumb drop to a point on a wall, drawn in. */
const run = bare.runs.find((r) => {
  const last = r.legs.at(-1)!;
  const p = h.points[h.pointOfId.get(r.to)!]!;
  return (
    last.surface.kind === "wall" &&
    legPosition(h, last)?.measure === "u" &&
    p.face >= 0 &&
    h.faces[p.face]!.wall.build === "masonry" &&
    p.point.kind !== "board" &&
    r.legs.length > 2
  );
})!;
const parts = partsOf(h, bare);
const entries = put(
  linesOfDone(
    parts.find((p) => p.id === `draw-in:${run.id}`)!,
    parts,
    new Set(),
    { plan: bare, job, entries: [] },
  ),
);
const plan = planHouse(h, { held: heldRuns(entries) });
const place = job.points.find((p) => p.id === run.to)!.place as { u: number; v: number };
const good = (b: Built): Extract<Built, { ok: true }> => {
  expect(b).toMatchObject({ ok: true });
  return b as Extract<Built, { ok: true }>;
};
const indexOf = run.legs.length - 1;

describe("built elsewhere", () => {
  it("a leg lies where it was measured at both its ends, the run ends where it did, and the plan has it as built", () => {
    const at = legPosition(h, run.legs[indexOf]!)!;
    const b = good(
      builtElsewhere(h, plan, entries, {
        kind: "leg",
        run: run.id,
        leg: indexOf,
        first: at.value + 30,
        second: at.value + 34,
      }),
    );
    const now = b.plan.runs.find((r) => r.id === run.id)!;
    expect(now).toMatchObject({ built: true, held: true });
    expect(
      now.legs.some(
        (l) =>
          l.surface.id === run.legs[indexOf]!.surface.id &&
          Math.abs((legPosition(h, l)?.value ?? 0) - (at.value + 32)) < 1e-6,
      ),
    ).toBe(true);
    expect(now.legs.at(-1)!.path.at(-1)).toEqual(run.legs.at(-1)!.path.at(-1));
    const room = h.faces[h.faceOfWall.get(run.legs[indexOf]!.surface.id)!]!.room.id;
    const said = (p: typeof plan): number =>
      roomSheet(layHouse(b.job), room, p).shapes.filter((x) => x.kind === "text" && x.text === "as built").length;
    expect([said(plan), said(b.plan)]).toEqual([0, 1]);
    // Off the point's zone it is told.
    const far = good(
      builtElsewhere(h, plan, entries, {
        kind: "leg",
        run: run.id,
        leg: indexOf,
        first: at.value + 300,
        second: at.value + 300,
      }),
    );
    expect(far.broken.map((f) => f.rule)).toContain("zone.outside");
  });
  it("stays so: the lines of the record hold it, whatever is planned later, and another run is not moved by it", () => {
    const at = legPosition(h, run.legs[indexOf]!)!;
    const b = good(
      builtElsewhere(h, plan, entries, {
        kind: "leg",
        run: run.id,
        leg: indexOf,
        first: at.value + 20,
        second: at.value + 20,
      }),
    );
    const all = [...entries, ...put(b.lines)];
    const again = planHouse(layHouse(b.job), { held: heldRuns(all) });
    expect(again.runs.find((r) => r.id === run.id)!.legs).toEqual(b.plan.runs.find((r) => r.id === run.id)!.legs);
    // Taken back altogether nothing of it is held.
    expect(
      heldRuns([...all, ...put([{ run: run.id, kind: "undone", step: "drawn-in", after: entries[0]!.id }])]),
    ).toEqual([]);
  });
  it("a leg that leans, and one that no single measure moves, are refused with words", () => {
    expect(
      builtElsewhere(h, plan, entries, { kind: "leg", run: run.id, leg: indexOf, first: 1000, second: 1060 }),
    ).toMatchObject({
      ok: false,
      message: expect.stringMatching(/60 apart: it leans/),
    });
    expect(builtElsewhere(h, plan, entries, { kind: "leg", run: run.id, leg: 99, first: 1, second: 1 })).toMatchObject({
      ok: false,
    });
  });
  it("a point takes the end of its done run with it, plumb above it, and nothing is loose", () => {
    for (const [du, dv] of [
      [-60, 0],
      [40, 25],
      [0, -30],
    ] as const) {
      const b = good(
        builtElsewhere(h, plan, entries, { kind: "point", point: run.to, u: place.u + du, v: place.v + dv }),
      );
      expect(b.job.points.find((p) => p.id === run.to)!.place).toMatchObject({ u: place.u + du, v: place.v + dv });
      const now = b.plan.runs.find((r) => r.id === run.id)!;
      const there = layHouse(b.job).points.find((p) => p.point.id === run.to)!.space;
      now.legs
        .at(-1)!
        .path.at(-1)!
        .forEach((x, i) => expect(x).toBeCloseTo(there[i]!, 6));
      const last = now.legs.at(-1)!;
      expect(legPosition(h, last)!.measure).toBe("u");
      expect(b.plan.facts.filter((f) => f.rule === "route.broken" || f.rule === "work.moved")).toEqual([]);
      expect(b.lines.map((l) => l.run)).toEqual([`point:${run.to}`, run.id]);
    }
  });
  it("a point whose plate would leave the wall is refused with what is allowed", () => {
    expect(builtElsewhere(h, plan, entries, { kind: "point", point: run.to, u: 1, v: 450 })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/off the wall; it must be/),
    });
  });
});

describe("a device that has told what was built and not been answered", () => {
  const b = good(builtElsewhere(h, plan, entries, { kind: "point", point: run.to, u: place.u - 60, v: place.v }));
  const all = [...entries, ...put(b.lines)];
  it("knows that its plan is behind, works it out, and is behind no more", () => {
    expect(builtBehind(job, plan, entries)).toBe(false);
    expect(builtBehind(job, plan, all)).toBe(true);
    const now = asBuiltNow(h, all);
    expect(now.job.points.find((p) => p.id === run.to)!.place).toMatchObject({ u: place.u - 60 });
    expect(now.plan.runs.find((r) => r.id === run.id)!.legs).toEqual(b.plan.runs.find((r) => r.id === run.id)!.legs);
    expect(builtBehind(now.job, now.plan, all)).toBe(false);
  });
  it("takes the last word of two about one point", () => {
    const later = put([
      {
        run: `point:${run.to}`,
        kind: "built",
        step: null,
        place: {
          on: "wall",
          wall: (job.points.find((p) => p.id === run.to)!.place as { wall: string }).wall,
          u: place.u + 10,
          v: place.v,
        },
      },
    ]);
    expect(asBuiltNow(h, [...later, ...all]).job.points.find((p) => p.id === run.to)!.place).toMatchObject({
      u: place.u + 10,
    });
  });
});
