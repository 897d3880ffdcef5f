import { describe, expect, it } from "vitest";
import { deck, house } from "../../../core/book/limits/by-hand.fixture";
import {
  type DeckSectionTool,
  deckPlace,
  decksToDrawOn,
  endsThere,
  withDeckPlace,
  withTypedPlace,
} from "./deck-section";

const job = house({ decks: [deck({ access: "open" }), deck({ id: "b", name: "Boarded", access: "boards-up" })] });
const tool: DeckSectionTool = { kind: "deck-section", section: "tray", size: "100", deck: null, places: [] };
const at = (x: number, y: number) => ({ x, y });

describe("drawing over the joists of a deck", () => {
  it("a place comes to the centimetre, with Alt to the millimetre; a further one along or across, whichever way is farther", () => {
    expect(deckPlace([], at(1234.4, 876), false)).toEqual(at(1230, 880));
    expect(deckPlace([], at(1234.4, 876), true)).toEqual(at(1234, 876));
    expect(deckPlace([at(1000, 1000)], at(1900, 1300), false)).toEqual(at(1900, 1000));
    expect(deckPlace([at(1000, 1000)], at(1200, 300), false)).toEqual(at(1000, 300));
  });
  it("the first place says which deck, one that lies open; the others stay on it", () => {
    expect(decksToDrawOn(job).map((d) => d.id)).toEqual(["d"]);
    const one = withDeckPlace(tool, job, at(1000, 1000));
    expect(one).toMatchObject({ deck: "d", places: [at(1000, 1000)] });
    expect(withDeckPlace(tool, job, at(9000, 1000))).toMatch(
      /^Nothing lies there to draw on; a section lies on Deck\.$/,
    );
    expect(withDeckPlace(tool, { decks: [] }, at(1000, 1000))).toMatch(/a deck that is open, and none is\.$/);
    expect(withDeckPlace(one as DeckSectionTool, job, at(4500, 1000))).toMatch(/^That is beyond the edge of Deck/);
  });
  it("a place typed has to lie along or across too; what cannot be read is said with its field", () => {
    const one = withDeckPlace(tool, job, at(1000, 1000)) as DeckSectionTool;
    expect(withTypedPlace(one, job, "2.5 m", "1000")).toMatchObject({ places: [at(1000, 1000), at(2500, 1000)] });
    expect(withTypedPlace(one, job, "2500", "1200")).toMatch(
      /its next place is as far from the west, or as far from the south/,
    );
    expect(withTypedPlace(one, job, "far", "1200")).toMatch(/^From the west is “far”/);
    expect(withTypedPlace(one, job, "1000", "")).toMatch(/^From the south is/);
  });
  it("the same place again puts nothing, and ends it where there are two", () => {
    const one = withDeckPlace(tool, job, at(1000, 1000)) as DeckSectionTool;
    expect(withDeckPlace(one, job, at(1000, 1000))).toBe(one);
    expect(endsThere(one, at(1000, 1000))).toBe(false);
    const two = withDeckPlace(one, job, at(2000, 1000)) as DeckSectionTool;
    expect([endsThere(two, at(2000, 1000)), endsThere(two, at(1000, 1000))]).toEqual([true, false]);
  });
});
