import { describe, expect, it } from "vitest";
import { standardCatalogue } from "../rules/catalogue";
import { jobOf } from "./circuit-cases.fixture";
import { circuitRemedies } from "./circuit-remedies";
import { makePlan } from "./plan";
import { withFix } from "./tried-fixes";

const points: [string, string][] = [
  ["s1", "socket"],
  ["s2", "socket"],
];
const tried = (c: object, more: object = {}) => {
  const job = jobOf({ points, circuits: [{ points: ["s1", "s2"], ...c }], ...more });
  return { job, ...circuitRemedies(job, standardCatalogue, "c1") };
};

describe("what would make a circuit hold", () => {
  it("nothing need be tried where it holds, or where there is no such circuit", () => {
    expect(tried({})).toMatchObject({ holds: true, found: [], tried: 0 });
    expect(circuitRemedies(tried({}).job, standardCatalogue, "nobody")).toMatchObject({ holds: true, tried: 0 });
  });
  it("2.5 on 32 A holds with 4, or with 25 A; each leaves nothing against it", () => {
    const { job, found, holds } = tried({ device: { rating: 32 } });
    expect(holds).toBe(false);
    expect(found.map((f) => [f.kind, f.to])).toEqual([
      ["cable", "te-4"],
      ["device", 25],
    ]);
    for (const f of found) {
      const after = makePlan(withFix(job, f.fix)!).facts.filter((x) => x.severity === "stop" && x.subject.id === "c1");
      expect(after).toEqual([]);
    }
  });
  it("goes past a size that does not do", () => {
    // Through insulation against the board 4 carries 27 A and 6 carries 35.
    const walls = { build: "stud", thickness: 100, insulated: true, againstBoard: true };
    const { found } = tried({ device: { rating: 32 } }, { walls });
    expect(found[0]).toMatchObject({ kind: "cable", to: "te-6" });
  });
  it("a smaller device is none where the load is known and larger", () => {
    const fixed = tried({ kind: "fixed", device: { rating: 32 }, watts: 6900 });
    expect(fixed.found.map((f) => f.kind)).toEqual(["cable"]);
  });
  it("a ring is not made into something else: thicker cable or none", () => {
    const walls = { build: "stud", thickness: 100, insulated: true };
    const { found } = tried({ kind: "ring", device: { rating: 32 } }, { walls, points: [...points, ["s3", "socket"]] });
    expect(found.every((f) => f.kind === "cable")).toBe(true);
  });
  it("nor is it put on less than 30 A, though that would do for its loop", () => {
    const long = tried(
      { kind: "ring", device: { rating: 32 }, cable: "te-2.5" },
      { supply: { ze: 1.36 }, points: [...points, ["s3", "socket"]] },
    );
    expect(long.holds).toBe(false);
    expect(long.found.map((f) => f.kind)).not.toContain("device");
  });
  it("says so where nothing does", () => {
    expect(tried({}, { supply: { ze: 19 } })).toMatchObject({ holds: false, found: [] });
  });
});
