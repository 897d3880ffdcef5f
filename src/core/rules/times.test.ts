import { describe, expect, it } from "vitest";
import { minutesFor, wallHoleMinutes } from "./times";

const nothing = { newBores: 0, studHoles: 0, walls: [], chase: { plaster: 0, masonry: 0 }, boards: 0, length: 0 };

describe("minutes for a run", () => {
  it("come to those of its parts, each by itself", () => {
    expect(minutesFor(nothing)).toBe(3);
    expect(minutesFor({ ...nothing, length: 10_000 })).toBe(8);
    expect(minutesFor({ ...nothing, newBores: 4 })).toBe(11);
    expect(minutesFor({ ...nothing, studHoles: 2 })).toBe(6);
    expect(minutesFor({ ...nothing, walls: [100, 250] })).toBe(21);
    expect(minutesFor({ ...nothing, chase: { plaster: 2000, masonry: 0 } })).toBe(15);
    expect(minutesFor({ ...nothing, chase: { plaster: 0, masonry: 2000 } })).toBe(27);
    expect(minutesFor({ ...nothing, boards: 3000 })).toBe(15);
  });
  it("for a hole in a wall go with its thickness, and are never less than for a thin one", () => {
    expect(wallHoleMinutes(50)).toBe(6);
    expect(wallHoleMinutes(100)).toBe(6);
    expect(wallHoleMinutes(175)).toBe(9);
    expect(wallHoleMinutes(500)).toBe(22);
  });
});
