import { describe, expect, it } from "vitest";
import { twoRooms, withCircuit, wallOf } from "../../house/two-rooms.fixture";
import { type Job, jobSchema } from "../../job/model";
import { boardOfCircuit } from "../../job/boards";
import { circuitFacts } from "./circuit-facts";

const base = twoRooms();
const ids = base.points.filter((p) => p.kind === "socket").map((p) => p.id);
const point = (id: string, kind: string, more: object = {}) => ({
  id,
  label: id.toUpperCase(),
  kind,
  place: { on: "wall", wall: wallOf(base, "B", 1).id, u: 900, v: 1400 },
  ...more,
});
const job = (circuits: object[], points: object[] = [point("db", "board", { ways: 3 })]): Job =>
  jobSchema.parse({
    ...base,
    points: [...base.points, ...points],
    circuits: circuits.map((c, i) => ({
      ...withCircuit(base, "x", []).circuits[0],
      id: `c${i}`,
      label: `C${i}`,
      way: i + 1,
      ...c,
    })),
  });
/** What is told of circuits, but that they have no points: most here have none. */
const facts = (circuits: object[], points?: object[]) =>
  circuitFacts(job(circuits, points)).filter((f) => f.rule !== "circuit.empty");

describe("ways of the board", () => {
  it("none given, one past the last, one shared: each is told with the way that is free", () => {
    expect(facts([{ way: null }])).toMatchObject([
      {
        rule: "circuit.way",
        case: "none",
        of: { free: 1 },
        fix: [{ collection: "circuits", id: "c0", set: { way: 1 } }],
      },
    ]);
    expect(facts([{ way: 4 }])).toMatchObject([
      { rule: "circuit.way", case: "beyond", measured: 4, limit: 3, sense: "most", unit: "ways", of: { free: 1 } },
    ]);
    expect(facts([{ way: 3 }])).toEqual([]);
    expect(facts([{ way: 2 }, { way: 2 }])).toMatchObject([
      { rule: "circuit.way", case: "shared", subject: { id: "c1" }, of: { other: "c0", way: 2, free: 1 } },
    ]);
  });
  it("where no way is free no remedy is offered", () => {
    const full = facts([{}, {}, {}, { way: null }]);
    expect(full).toMatchObject([{ rule: "circuit.way", case: "none", of: {} }]);
    expect(full[0]).not.toHaveProperty("fix");
  });
  it("ways are counted board by board, and a circuit without a board of its own is on the first", () => {
    const boards = [point("db", "board", { ways: 3 }), point("db2", "board", { ways: 1 })];
    expect(facts([{ way: 1 }, { way: 1, board: "db2" }], boards)).toEqual([]);
    expect(facts([{ way: 2, board: "db2" }], boards)).toMatchObject([{ case: "beyond", limit: 1, of: { free: 1 } }]);
    const j = job([{}, { board: "db2" }], boards);
    expect(j.circuits.map((c) => boardOfCircuit(j, c)?.id)).toEqual(["db", "db2"]);
    expect(facts([{ way: null }], [])).toEqual([]);
  });
  it("goes by label, whatever the order they were made in", () =>
    expect(
      facts([
        { label: "Z", way: null },
        { label: "A", way: null },
      ]).map((f) => f.subject.id),
    ).toEqual(["c1", "c0"]));
});

describe("points of a circuit", () => {
  const empty = (c: object): unknown[] => circuitFacts(job([c])).filter((f) => f.rule === "circuit.empty");
  it("none, or one on a ring, is told of a new circuit; one found as it is may be anything", () => {
    expect(empty({ kind: "radial" })).toMatchObject([{ case: "none", measured: 0, limit: 1 }]);
    expect(empty({ kind: "ring" })).toMatchObject([{ case: "none", measured: 0, limit: 2 }]);
    expect(empty({ kind: "ring", points: ids.slice(0, 1) })).toMatchObject([{ case: "ring", measured: 1, limit: 2 }]);
    expect(empty({ kind: "ring", points: ids.slice(0, 2) })).toEqual([]);
    expect(empty({ kind: "radial", points: ids.slice(0, 1) })).toEqual([]);
    expect(empty({ kind: "radial", state: "keep" })).toEqual([]);
  });
});

describe("protection and conductors", () => {
  const rcd = (c: object): unknown[] => facts([c]).filter((f) => f.rule === "circuit.rcd");
  it("sockets up to 32 A and lights want 30 mA; a cooker or a larger radial does not", () => {
    expect(rcd({ rcd: null })).toMatchObject([
      { limit: 30, sense: "most", unit: "mA", fix: [{ collection: "circuits", id: "c0", set: { rcd: 30 } }] },
    ]);
    expect(rcd({ rcd: null })[0]).not.toHaveProperty("measured");
    expect(rcd({ rcd: 100 })).toMatchObject([{ measured: 100 }]);
    expect(rcd({ kind: "ring", rcd: 100, device: { rating: 32 } })).toHaveLength(1);
    expect(rcd({ kind: "lighting", rcd: null, device: { rating: 6 } })).toHaveLength(1);
    expect(rcd({ rcd: null, device: { rating: 40 } })).toEqual([]);
    expect(rcd({ kind: "cooker", rcd: null, device: { rating: 32 } })).toEqual([]);
  });
  it("a device smaller than the load is a stop: 10 000 W at 230 V is 43.48 A, 20.04 A after diversity, 25.04 A with an outlet", () => {
    const device = (c: object, points?: object[]) => facts([c], points).filter((f) => f.rule === "circuit.device");
    expect(device({ watts: 10_000, device: { rating: 40 } })).toMatchObject([
      { limit: 40, sense: "most", unit: "A", of: { cooker: 0, named: 1 } },
    ]);
    expect(device({ watts: 10_000, device: { rating: 40 } })[0]!.measured).toBeCloseTo(43.478, 3);
    expect(device({ watts: 9200, device: { rating: 40 } })).toEqual([]);
    expect(device({ watts: 9201, device: { rating: 40 } })).toHaveLength(1);
    expect(device({ watts: 0, device: { rating: 1 } })).toEqual([]);
    // The cooker's school counts for a cooker only, and its outlet with it.
    const control = [point("db", "board", { ways: 3 }), point("cc", "cooker-control", { gang: 2 })];
    const divers = (c: object, points: object[]) =>
      circuitFacts({
        ...job([c], points),
        settings: { ...base.settings, schools: { ...base.settings.schools, cookerCurrent: "diversity" } },
      }).filter((f) => f.rule === "circuit.device");
    const cooker = { kind: "cooker", watts: 10_000, device: { rating: 20 }, cable: "te-6.0" };
    expect(divers(cooker, control)[0]!.measured).toBeCloseTo(10 + 0.3 * 33.478, 2);
    expect(divers({ ...cooker, points: ["cc"] }, control)[0]!.measured).toBeCloseTo(15 + 0.3 * 33.478, 2);
    expect(divers({ ...cooker, points: [ids[0]] }, control)[0]!.measured).toBeCloseTo(20.043, 2);
    expect(
      divers({ ...cooker, points: ["cc"] }, [control[0]!, point("cc", "cooker-control", { gang: 1 })])[0]!.measured,
    ).toBeCloseTo(20.043, 2);
    expect(divers({ ...cooker, kind: "radial" }, control)[0]!.measured).toBeCloseTo(43.478, 2);
    expect(divers(cooker, control)[0]!.of).toMatchObject({ cooker: 1 });
  });
  it("a ring of 1.5 and lights of less than 1.0 are too thin; what is offered is the least", () => {
    const thin = (c: object) => facts([c]).filter((f) => f.rule === "circuit.min-csa");
    expect(thin({ kind: "ring", cable: "te-1.5", device: { rating: 32 } })).toMatchObject([
      { measured: 1.5, limit: 2.5, sense: "least", unit: "mm²", fix: [{ set: { cable: "te-2.5" } }] },
    ]);
    expect(thin({ kind: "ring", cable: "te-2.5" })).toEqual([]);
    expect(thin({ kind: "lighting", cable: "te-1.0" })).toEqual([]);
    expect(thin({ cable: "te-1.0" })).toEqual([]);
    expect(thin({ kind: "ring", cable: "unknown" })).toEqual([]);
  });
});

describe("spurs of a circuit", () => {
  it("more spurs than points on a ring, and two from one point, each told once", () => {
    const spurs = (from: string[]) => from.map((f, i) => ({ point: `p${i}`, from: f }));
    const told = (c: object) =>
      facts([c])
        .filter((f) => f.rule === "circuit.spur")
        .map((f) => [f.case, f.measured ?? null, f.limit ?? null]);
    const two = ids.slice(0, 2);
    expect(told({ kind: "ring", points: two, spurs: spurs([two[0]!, two[1]!]) })).toEqual([]);
    expect(told({ kind: "ring", points: two, spurs: spurs([two[0]!, two[1]!, "z"]) })).toEqual([["count", 3, 2]]);
    expect(told({ points: two, spurs: spurs([two[0]!, two[1]!, "z"]) })).toEqual([]);
    const same = spurs([two[0]!, two[0]!]);
    expect(told({ kind: "ring", points: two, spurs: same })).toEqual([["same-point", null, null]]);
    // On a radial they are branches.
    expect(told({ points: two, spurs: same })).toEqual([]);
  });
});
