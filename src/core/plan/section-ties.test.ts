import { describe, expect, it } from "vitest";
import { deck, house } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import { laySection } from "../house/sections";
import { cableOf } from "../rules/catalogue";
import type { SectionKind } from "../rules/sections";
import { section, wall } from "../trades/containment/sections.fixture";
import { clipSpacing } from "../trades/fixings/clips";
import { sectionTies } from "./section-ties";

const te = cableOf("te-2.5")!;
const thin = cableOf("te-1.0")!;
const ties = (path: object[], cables = [te], kind: SectionKind = "tray", more: object = {}) => {
  const job = house({
    sections: [section(kind, kind === "tray" ? "100" : kind === "ladder" ? "300" : "50x50", path)],
    ...more,
  });
  const h = layHouse(job);
  return sectionTies(h, laySection(h, job.sections[0]!)!, cables);
};
const level = (v: number): object[] => [wall("w1", 500, v), wall("w1", 2500, v)];

describe("ties on tray, basket and ladder", () => {
  it("stand as close as the clips of each cable, each with its own, first and last 100 from the ends", () => {
    const { max } = clipSpacing("sheathed", 10.1, "horizontal", true);
    expect(max).toBe(300);
    // 1 800 between the first and the last: seven at 300; of the thinner cable, every 250, nine.
    expect(ties(level(700))).toEqual([{ stretch: 0, max: 300, count: 7, metal: false }]);
    expect(clipSpacing("sheathed", thin.width, "horizontal", true).max).toBe(250);
    expect(ties(level(700), [te, te, thin])).toEqual([{ stretch: 0, max: 250, count: 7 + 7 + 9, metal: false }]);
    // Plumb they may stand farther apart.
    const plumb = [wall("w1", 500, 300), wall("w1", 500, 1900)];
    expect(ties(plumb)[0]).toMatchObject({ max: 400, count: 5 });
  });
  it("are of metal over heads, from 2 000 up, and on the way out by that school; never for what lies on the joists", () => {
    expect([1999, 2000].map((v) => ties(level(v))[0]!.metal)).toEqual([false, true]);
    const job = house();
    const hall = { rooms: job.rooms.map((r) => ({ ...r, kind: "hall" })) };
    expect(ties(level(700), [te], "ladder", hall)[0]!.metal).toBe(true);
    const ordinary = { ...hall, settings: { schools: { hallCeiling: "ordinary" } } };
    expect(ties(level(700), [te], "ladder", ordinary)[0]!.metal).toBe(false);
    const onDeck = [500, 2500].map((x) => ({ on: "deck", deck: "d", x, y: 1300 }));
    expect(ties(onDeck, [te], "tray", { decks: [deck({ access: "open" })] })).toMatchObject([
      { metal: false, count: 7 },
    ]);
  });
  it("none where cables lie inside, or there are none", () => {
    expect(ties(level(700), [te], "trunking-plastic")).toEqual([]);
    expect(ties(level(700), [])).toEqual([]);
  });
});
