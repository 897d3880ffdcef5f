import { describe, expect, it } from "vitest";
import type { Job } from "../job/model";
import type { SiteEntry } from "../job/site-entry";
import { generatedHouse } from "../routing/generated-house";
import { frozenChanges } from "./frozen";

const job: Job = generatedHouse(3);
const point = job.points.find((p) => p.place.on === "wall" && p.kind === "socket")!;
const wall = job.walls.find((w) => point.place.on === "wall" && w.id === point.place.wall)!;
const deck = job.decks[0]!;
let n = 0;
const line = (run: string, kind: SiteEntry["kind"]): SiteEntry => ({
  id: `e${++n}`,
  run,
  kind,
  step: null,
  text: "",
  by: "Pat",
  at: new Date(Date.UTC(2026, 10, 26, 8, 0, n)).toISOString(),
});
const key = `wall:${wall.id}`;
const released = [line(key, "released")];
const change = <K extends "points" | "walls" | "rooms" | "decks">(list: K, id: string, set: object): Job => ({
  ...job,
  [list]: (job[list] as { id: string }[]).map((x) => (x.id === id ? { ...x, ...set } : x)),
});
const moved = change("points", point.id, { place: { ...point.place, u: 700 } });

describe("a surface that is released", () => {
  it("keeps its drawing: a point moved, taken out, put in or of another box, the wall, its room, an opening, a section", () => {
    const section = (on: string): Job => ({
      ...job,
      sections: [
        {
          id: "sx",
          label: "X",
          kind: "capping",
          size: "25",
          path: [
            { on: "wall", wall: on, u: 100, v: 100 },
            { on: "wall", wall: on, u: 100, v: 900 },
          ],
          corners: "fitted",
          innerRadius: null,
          intoWall: "none",
          state: "new",
          holds: [],
          out: [],
        },
      ],
    });
    const opening = { id: "ox", wall: wall.id, kind: "window", u: 100, v: 900, width: 400, height: 400 } as const;
    const changes: Job[] = [
      moved,
      { ...job, points: job.points.filter((p) => p.id !== point.id) },
      { ...job, points: [...job.points, { ...point, id: "new" }] },
      change("points", point.id, { boxDepth: 47 }),
      change("points", point.id, { mount: "surface" }),
      change("walls", wall.id, { thickness: wall.thickness + 10 }),
      change("rooms", wall.room, { height: 2000 }),
      { ...job, openings: [...job.openings, opening] },
      section(wall.id),
    ];
    for (const after of changes) {
      const told = frozenChanges(job, after, released);
      expect(told.map((r) => r.path)).toContain(`walls.${wall.id}`);
      expect(told[0]!.message).toMatch(
        /, wall \d was released for closing by Pat on 2026-11-26: .* Open it again first/,
      );
    }
    const other = job.walls.find((w) => w.id !== wall.id && w.room === wall.room)!;
    expect(frozenChanges(job, section(other.id), released)).toEqual([]);
    expect(frozenChanges(job, change("walls", other.id, { thickness: 222 }), released)).toEqual([]);
  });
  it("may still be named, loaded and photographed, and is free when it is opened again or was never released", () => {
    for (const set of [{ label: "Z9" }, { watts: 900 }, { name: "by the sink" }])
      expect(frozenChanges(job, change("points", point.id, set), released)).toEqual([]);
    const photo = { id: "p", wall: wall.id, deck: null, outside: null, picture: "p", u: 0, v: 0, text: "", at: "" };
    expect(frozenChanges(job, { ...job, photos: [photo] }, released)).toEqual([]);
    // A place is the same whatever order it is written in.
    const { on, ...rest } = point.place;
    expect(frozenChanges(job, change("points", point.id, { place: { ...rest, on } }), released)).toEqual([]);
    expect(frozenChanges(job, moved, [])).toEqual([]);
    expect(frozenChanges(job, moved, [...released, line(key, "reopened")])).toEqual([]);
    expect(frozenChanges(job, moved, [...released, line(key, "reopened"), line(key, "released")])).toHaveLength(1);
  });
  it("of a deck keeps its timber and not its name", () => {
    const shut = [line(`deck:${deck.id}`, "released")];
    expect(frozenChanges(job, change("decks", deck.id, { underside: deck.underside + 5 }), shut)[0]).toMatchObject({
      path: `decks.${deck.id}`,
    });
    expect(frozenChanges(job, change("decks", deck.id, { name: "Floor" }), shut)).toEqual([]);
    expect(frozenChanges(job, moved, shut)).toEqual([]);
  });
});
