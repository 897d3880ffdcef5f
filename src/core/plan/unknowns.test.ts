import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { twoRooms } from "../house/two-rooms.fixture";
import type { Job } from "../job/model";
import { unknownWords } from "../words/unknowns";
import { type UnknownKind, unknownKinds, unknownsOf } from "./unknowns";

const of = (job: Job): Map<UnknownKind, string[]> => new Map(unknownsOf(layHouse(job)).map((u) => [u.kind, u.of]));

describe("what is not known of a house", () => {
  it("is everything at first, each with what is taken in its place", () => {
    const list = unknownsOf(layHouse(twoRooms()));
    expect(list.map((u) => u.kind)).toEqual([
      "board",
      "earthing",
      "main-switch",
      "bonding",
      "outside-walls",
      "studs",
      "noggins",
    ]);
    for (const u of list) {
      const said = unknownWords(u);
      expect(said.unknown).toMatch(/^[A-Z]/);
      expect(said.took).toMatch(/\.$/);
    }
    // An earth from the sheath is taken: 0.8 Ω, as typical for TN-S. Studs 600 apart.
    expect(unknownWords(list.find((u) => u.kind === "earthing")!).took).toContain("0.8 Ω");
    expect(unknownWords(list.find((u) => u.kind === "studs")!).took).toContain("600 apart");
    expect(of(twoRooms()).get("outside-walls")).toHaveLength(6);
    // The wall between the rooms is one wall, counted once.
    expect(of(twoRooms()).get("studs")).toHaveLength(7);
  });
  it("goes, thing by thing, as it is told", () => {
    const job = twoRooms();
    const told: Job = {
      ...job,
      supply: { ...job.supply, earthing: "TT", mainSwitch: 100, bonding: [{ service: "water", csa: 10, seen: true }] },
      walls: job.walls.map((w) => ({ ...w, build: "masonry" as const, thickness: 300, backing: "outside" as const })),
      decks: job.decks.map((d) => ({ ...d, noggins: [{ at: 1000, depth: 100, edge: "top" as const, later: false }] })),
    };
    const left = of(told);
    expect([...left.keys()]).toEqual(["board", "ze", "cavity"]);
    expect(left.get("cavity")!.length).toBeGreaterThan(0);
    expect(unknownWords(unknownsOf(layHouse(told)).find((u) => u.kind === "ze")!).took).toMatch(/\d Ω/);
    const more = of({
      ...told,
      supply: { ...told.supply, ze: 18 },
      walls: told.walls.map((w) => ({ ...w, leaf: 100 })),
      decks: [],
    });
    expect([...more.keys()]).toEqual(["board", "deck-over"]);
  });
  it("asks whether a masonry wall below carries a deck that is borne at its edges alone", () => {
    const job = twoRooms();
    const masonry: Job = {
      ...job,
      walls: job.walls.map((w) => ({ ...w, build: "masonry" as const })),
      decks: job.decks.map((d) => ({
        ...d,
        joists: {
          ...d.joists,
          direction: "east-west" as const,
          bearings: [
            [-100, 0],
            [7300, 7400],
          ] as [number, number][],
        },
      })),
    };
    expect(of(masonry).get("bearings")).toEqual([job.decks[0]!.name]);
    const borne = masonry.decks.map((d) => ({
      ...d,
      joists: { ...d.joists, bearings: [...d.joists.bearings, [3600, 3700]] as [number, number][] },
    }));
    expect(of({ ...masonry, decks: borne }).has("bearings")).toBe(false);
    expect(of(job).has("bearings")).toBe(false);
  });
  it("has words for every kind", () => {
    for (const kind of unknownKinds) {
      const said = unknownWords({ kind, of: ["A", "B"], taken: 1 });
      expect(said.unknown.length).toBeGreaterThan(5);
      expect(said.took.length).toBeGreaterThan(5);
    }
  });
});
