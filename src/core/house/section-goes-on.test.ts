import { describe, expect, it } from "vitest";
import { deck, house } from "../book/limits/by-hand.fixture";
import { checkInvariants } from "../job/invariants";
import { type Job, jobSchema } from "../job/model";
import { withDeckPlaceAt } from "../job/move-section";
import { section, wall } from "../trades/containment/sections.fixture";
import { layHouse } from "./house";
import { type WayOn, waysOn } from "./section-goes-on";

/** Two storeys of one room each, 222 between the ceiling of the one and the floor of the other. */
const two = (path: object[], access = "open"): Job => {
  const base = house({ decks: [deck({ access, boards: { thickness: 22 } })] });
  const room = base.rooms[0]!;
  return jobSchema.parse({
    ...base,
    storeys: [...base.storeys, { id: "f", name: "First", level: 2622, height: 2400 }],
    rooms: [room, { ...room, id: "q", storey: "f", name: "Over" }],
    walls: [...base.walls, ...base.walls.map((w) => ({ ...w, id: w.id.replace("w", "q"), room: "q" }))],
    sections: [section("conduit-metal", "20", path)],
  });
};
const from = (path: object[], access?: string): { job: Job; ways: WayOn[] } => {
  const job = two(path, access);
  return { job, ways: waysOn(layHouse(job), job.sections[0]!) };
};
const named = (ways: readonly WayOn[]): string[] => ways.map((w) => `${w.end} ${w.to.id}`);

describe("ways on for a section", () => {
  const up = [wall("w2", 1700, 900), wall("w2", 1700, 2400)];
  it("from the ceiling: over the joists of an open deck, and to the wall right above, each a path that may be stored", () => {
    const { job, ways } = from(up);
    expect(named(ways)).toEqual(["last d", "last q2"]);
    expect(ways.map((w) => w.path.slice(2))).toEqual([
      [
        { on: "deck", deck: "d", x: 4000, y: 1300 },
        { on: "deck", deck: "d", x: 3500, y: 1300 },
      ],
      [wall("q2", 1700, 0), wall("q2", 1700, 500)],
    ]);
    for (const w of ways)
      expect(checkInvariants({ ...job, sections: [{ ...job.sections[0]!, path: w.path }] })).toEqual([]);
  });
  it("not over the joists of a deck with boards on; from the floor down to the wall below; from its first end before it", () => {
    expect(named(from(up, "boards-up").ways)).toEqual(["last q2"]);
    const down = from([wall("q2", 1700, 0), wall("q2", 1700, 800)]);
    expect(named(down.ways)).toEqual(["first w2"]);
    expect(down.ways[0]!.path).toEqual([
      wall("w2", 1700, 1900),
      wall("w2", 1700, 2400),
      wall("q2", 1700, 0),
      wall("q2", 1700, 800),
    ]);
    expect(
      checkInvariants({ ...down.job, sections: [{ ...down.job.sections[0]!, path: down.ways[0]!.path }] }),
    ).toEqual([]);
  });
  it("none where it ends short of the ceiling, or nothing is there to go on to", () => {
    expect(from([wall("w2", 1700, 900), wall("w2", 1700, 2390)]).ways).toEqual([]);
    expect(from([wall("q2", 1700, 900), wall("q2", 1700, 2400)]).ways).toEqual([]);
    expect(from([wall("w2", 1700, 0), wall("w2", 1700, 900)]).ways).toEqual([]);
    // A floor more than a metre off is no longer through one deck.
    const far = two(up);
    const storeys = far.storeys.map((s) => (s.id === "f" ? { ...s, level: 3420 } : s));
    expect(named(waysOn(layHouse({ ...far, storeys }), far.sections[0]!))).toEqual(["last d"]);
    const capping = two(up);
    expect(waysOn(layHouse(capping), { ...capping.sections[0]!, kind: "capping", size: "25" })).toEqual([]);
  });
});

describe("a place of a section on a deck", () => {
  it("is moved with what stands level with it, and no more", () => {
    const onDeck = (x: number, y: number) => ({ on: "deck" as const, deck: "d", x, y });
    const path = [onDeck(4000, 1300), onDeck(2000, 1300), onDeck(2000, 500), onDeck(1000, 500)];
    expect(withDeckPlaceAt({ path }, 1, "x", 1500)).toEqual([
      onDeck(4000, 1300),
      onDeck(1500, 1300),
      onDeck(1500, 500),
      onDeck(1000, 500),
    ]);
    expect(withDeckPlaceAt({ path }, 1, "y", 1200)).toEqual([
      onDeck(4000, 1200),
      onDeck(2000, 1200),
      onDeck(2000, 500),
      onDeck(1000, 500),
    ]);
  });
});
