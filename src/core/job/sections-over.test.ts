import { describe, expect, it } from "vitest";
import { deck, house } from "../book/limits/by-hand.fixture";
import { changeOf } from "../house/change-of";
import { moveWall } from "../house/reshape";
import { section, wall } from "../trades/containment/sections.fixture";
import { checkInvariants } from "./invariants";
import { type Job, jobSchema } from "./model";
import { type Change, applyPatch } from "./patch";
import { withSectionsOver } from "./sections-over";

const onDeck = (x: number, y: number) => ({ on: "deck", deck: "d", x, y });
const path = [wall("w2", 1700, 900), wall("w2", 1700, 2400), onDeck(4000, 1300), onDeck(2000, 1300)];
const job = house({ decks: [deck({ access: "open" })], sections: [section("conduit-metal", "20", path)] });
const after = (j: Job, patch: readonly Change[]): Job => applyPatch(j, withSectionsOver(j, patch));

describe("a section through a deck, when what it hangs on is moved", () => {
  it("comes along when its wall is moved: right over it again, and what lies level with it", () => {
    const moved = moveWall(job, job.rooms[0]!, 2, 500);
    const by = applyPatch(job, moved as Change[]);
    expect(checkInvariants(by).map((r) => r.message)).toMatchObject([/straight up or down/]);
    const next = after(job, moved as Change[]);
    expect(checkInvariants(next)).toEqual([]);
    const x = next.rooms[0]!.outline[2]!.x;
    expect(Math.abs(x - 4000)).toBe(500);
    expect(next.sections[0]!.path).toEqual([path[0], path[1], onDeck(x, 1300), onDeck(2000, 1300)]);
  });
  it("goes up to the ceiling again when that is raised, once for a section changed in the same edit", () => {
    const room = job.rooms[0]!;
    const patch = [
      changeOf(job, "rooms", room.id, { ...room, height: 2350 }),
      changeOf(job, "sections", "t1", { ...job.sections[0]!, label: "T9" }),
    ];
    const whole = withSectionsOver(job, patch);
    expect(whole.filter((c) => c.collection === "sections")).toHaveLength(1);
    const next = applyPatch(job, whole);
    expect(next.sections[0]).toMatchObject({ label: "T9", path: [path[0], { ...path[1], v: 2350 }, path[2], path[3]] });
    expect(checkInvariants(next)).toEqual([]);
  });
  it("of two walls the upper part stays over the lower", () => {
    const base = house({ decks: [deck({ access: "boards-up", boards: { thickness: 22 } })] });
    const room = base.rooms[0]!;
    const up = [wall("w3", 2000, 1500), wall("w3", 2000, 2400), wall("q3", 2000, 0), wall("q3", 2000, 400)];
    const two = jobSchema.parse({
      ...base,
      storeys: [...base.storeys, { id: "f", name: "First", level: 2622, height: 2400 }],
      rooms: [room, { ...room, id: "q", storey: "f", name: "Over" }],
      walls: [...base.walls, ...base.walls.map((w) => ({ ...w, id: w.id.replace("w", "q"), room: "q" }))],
      sections: [section("conduit-metal", "25", up)],
    });
    // The room above made wider to the west and the east: its wall begins elsewhere.
    const q = two.rooms.find((r) => r.id === "q")!;
    const outline = q.outline.map((p) => ({ ...p, x: p.x > 0 ? 4300 : p.x }));
    const next = after(two, [changeOf(two, "rooms", "q", { ...q, outline })]);
    expect(next.sections[0]!.path).toEqual([up[0], up[1], wall("q3", 2300, 0), wall("q3", 2300, 400)]);
    expect(checkInvariants(next)).toEqual([]);
    // Drawn downwards it is the same.
    const down = { ...two, sections: [{ ...two.sections[0]!, path: [...two.sections[0]!.path].reverse() }] };
    const turned = after(down, [changeOf(down, "rooms", "q", { ...q, outline })]);
    expect([...turned.sections[0]!.path].reverse()).toEqual(next.sections[0]!.path);
  });
  it("leaves every other patch, and what is still right, as it is", () => {
    const s = job.sections[0]!;
    const patch = [changeOf(job, "sections", s.id, { ...s, label: "T2" })];
    expect(withSectionsOver(job, patch)).toBe(patch);
    const w = job.walls[0]!;
    const walls = [changeOf(job, "walls", w.id, { ...w, insulated: true })];
    expect(withSectionsOver(job, walls)).toBe(walls);
  });
});
