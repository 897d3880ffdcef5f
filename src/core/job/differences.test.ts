import { describe, expect, it } from "vitest";
import { twoRooms, withCircuit } from "../house/two-rooms.fixture";
import { differences, thingName } from "./differences";

const job = withCircuit(twoRooms(), "c1", []);
const point = job.points[0]!;

describe("two of the same thing", () => {
  it("differ in the fields that differ, those within by their path", () => {
    const moved = { ...point, label: "S9", place: { ...point.place, u: 911 } };
    expect(differences(point, moved)).toEqual([
      { field: "label", theirs: point.label, mine: "S9" },
      { field: "place, u", theirs: String((point.place as { u: number }).u), mine: "911" },
    ]);
    expect(differences(point, { ...point })).toEqual([]);
    expect(differences({ a: [1, 2], b: true }, { a: [1], c: 1 })).toEqual([
      { field: "a", theirs: "[1,2]", mine: "[1]" },
      { field: "b", theirs: "yes", mine: "–" },
      { field: "c", theirs: "–", mine: "1" },
    ]);
  });
  it("deleted by one of them, it says so", () => {
    expect(differences(null, point)).toEqual([{ field: "it", theirs: "deleted", mine: "kept" }]);
    expect(differences(point, null)).toEqual([{ field: "it", theirs: "kept", mine: "deleted" }]);
  });
  it("are called by the name that a person gave", () => {
    expect(thingName({ collection: "points", id: point.id }, job)).toBe(`point ${point.label}`);
    expect(thingName({ collection: "rooms", id: job.rooms[0]!.id }, job)).toBe(`room ${job.rooms[0]!.name}`);
    expect(thingName({ collection: "head", id: "supply" }, job)).toBe("the job's supply");
    expect(thingName({ collection: "foundCables", id: "x" }, job)).toBe("found cable x");
    expect(thingName({ collection: "points", id: point.id }, { ...job, points: [] }, job)).toBe(`point ${point.label}`);
  });
});
