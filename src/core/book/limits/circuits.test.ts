import { layHouse } from "../../house/house";
import { bathFacts } from "../../trades/bath/bath-facts";
import { wiredFacts } from "../../trades/circuits/wired-facts";
import { supplyFacts } from "../../trades/circuits/supply-facts";
import { alarmFacts } from "../../trades/alarms/alarm-facts";
import { demandFacts } from "../../trades/circuits/demand";
import { rectOutline } from "../../base/polygon";
import { switchingFacts } from "../../trades/lighting/wire";
import { makePlan } from "../../plan/plan";
import { drawFacts } from "../../trades/circuits/found";
import { checkSpurs } from "../../trades/circuits/spurs";
import { checkInsulation } from "../../trades/dead-tests/insulation";
import { readRun } from "../../trades/dead-tests/run-read";
import {
  board,
  calc,
  circuit,
  circuits,
  corners,
  deck,
  design,
  extended,
  found,
  house,
  judgeLimits,
  leg,
  ringFound,
  ringReads,
  socket,
} from "./by-hand.fixture";

/** A found ring of S1 and S2 with a new S3, added to in a given way. */
const addedTo = (more: object, cables: object[] = ringFound) =>
  extended(cables, { extensions: [{ id: "x", circuit: "c", ...more }] });
const light = {
  id: "l1",
  label: "L1",
  kind: "light",
  place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" },
};
const switched = (...controls: string[]) => socket("k1", 3000, 1200, { kind: "switch", controls });
/** The room with a light and its switch on a lighting circuit, and S1 on its own; with whatever else. */
const lit = (
  more: { points?: object[]; circuits?: object[]; rooms?: object[]; fixtures?: object[]; supply?: object } = {},
) =>
  house({
    points: [board, socket("s1", 1000), light, switched("l1")],
    circuits: [circuit(), lights(["l1", "k1"])],
    ...more,
  });
const lights = (points: string[], more: object = {}) =>
  circuit({ id: "li", label: "LI", kind: "lighting", cable: "te-1.0", device: { rating: 6 }, way: 2, points, ...more });
/** Two switches of one gang each. */
const pair = (a: string[], b: string[]) => ({
  feed: "rose" as const,
  lights: ["l1", "l2"],
  switches: [
    { id: "w1", gangs: [{ works: a }] },
    { id: "w2", gangs: [{ works: b }] },
  ],
});
const charger = socket("vp", 2500, 1100, { kind: "charging-point" });
/** A room so long with smoke alarms on its ceiling, the first at x, each on the circuit that it is listed on. */
const alarmed = (x: number, length = 4000, on: string[][] = [["a1"]]) =>
  house({
    rooms: [
      { id: "r", storey: "g", name: "Room", kind: "hall", height: 2400, outline: rectOutline(0, 0, length, 3000) },
    ],
    decks: [deck({ outline: rectOutline(0, 0, length, 3000) })],
    points: [
      board,
      ...on.flat().map((id, n) => ({
        id,
        label: id,
        kind: "smoke-alarm",
        place: { on: "deck", deck: "d", x: x + 500 * n, y: 1500, face: "ceiling" },
      })),
    ],
    circuits: on.map((points, n) => circuit({ id: `c${n}`, label: `C${n}`, kind: "fixed", way: n + 1, points })),
  });
/** A wall light over the bath. */
const washed = (more: object) =>
  bathroom(4000, {
    points: [board, socket("b1", 700, 1800, { kind: "wall-light", ...more })],
    circuits: [],
  });
const bathroom = (u: number, more: object = {}) =>
  lit({
    rooms: [{ id: "r", storey: "g", name: "Room", kind: "bathroom", height: 2400, outline: corners }],
    // A bath from 0 to 1 500 along the north wall: a socket on that wall stands so far beyond its end.
    fixtures: [{ id: "b", wall: "w1", kind: "bath", u: 0, v: 0, width: 1500, height: 560, depth: 700 }],
    points: [board, socket("s1", u), light, switched("l1")],
    ...more,
  });

const bonded = (earthing: string | null, csa: number, seen = true) =>
  supplyFacts(house({ supply: { earthing, bonding: [{ service: "gas", csa, seen }] } }));

const tails = { id: "c.db.s1", from: "db", to: "s1" };

judgeLimits("circuits", {
  "circuit.board": {
    allowed: () => makePlan(house()).facts,
    broken: () => ({ facts: makePlan(house({ points: [socket("s1", 1000)] })).facts, severity: "stop" }),
  },
  "circuit.way": {
    allowed: () => circuits({ way: 8 }),
    broken: () => ({ facts: circuits({ way: 9 }), severity: "stop", measured: 9, limit: 8 }),
  },
  "circuit.rcd": {
    allowed: () => [
      ...circuits({}),
      ...circuits({ kind: "lighting", cable: "te-1.0", device: { rating: 6 } }),
      ...circuits({ kind: "fixed", rcd: null, device: { rating: 40 }, cable: "te-10", points: [] }),
    ],
    broken: () => ({
      facts: circuits({ kind: "lighting", cable: "te-1.0", device: { rating: 6 }, rcd: 100 }),
      severity: "stop",
      measured: 100,
      limit: 30,
    }),
  },
  "circuit.device": {
    allowed: () => design({ designCurrent: 20 }),
    broken: () => ({ facts: design({ designCurrent: 20.1 }), severity: "stop", measured: 20.1, limit: 20 }),
  },
  "circuit.empty": {
    allowed: () =>
      circuits({ kind: "ring", points: ["s1", "s2"] }, { points: [board, socket("s1", 1000), socket("s2", 2000)] }),
    broken: () => ({
      facts: circuits({ kind: "ring", points: ["s1"] }, { points: [board, socket("s1", 1000)] }),
      severity: "warn",
      measured: 1,
      limit: 2,
    }),
  },
  "circuit.own": {
    allowed: () => circuits({ points: ["vp"] }, { points: [board, charger] }),
    broken: () => ({
      facts: circuits({ points: ["vp", "s1"] }, { points: [board, charger, socket("s1", 1000)] }),
      severity: "stop",
    }),
  },
  "supply.demand": {
    // A radial on 20 A and lights of 100 W, of which two thirds count: 20.29 A.
    allowed: () => demandFacts(lit({ supply: { mainSwitch: 21 } })),
    broken: () => ({
      facts: demandFacts(lit({ supply: { mainSwitch: 20 } })),
      severity: "warn",
      measured: 20 + (0.66 * 100) / 230,
      limit: 20,
    }),
  },
  "circuit.capacity": {
    allowed: () => design({ legs: leg({ method: "A" }) }),
    broken: () => ({ facts: design({ legs: leg({ method: "101" }) }), severity: "stop", measured: 17, limit: 20 }),
  },
  "circuit.ring": {
    allowed: () => design({ kind: "ring", device: { curve: "B", rating: 32 }, legs: leg({ method: "A" }) }),
    broken: () => ({
      facts: design({ kind: "ring", device: { curve: "B", rating: 32 }, legs: leg({ method: "101" }) }),
      severity: "stop",
      measured: 17,
      limit: 20,
    }),
  },
  "circuit.drop": {
    // 18 mV × 20 A × L / 1000: 5 % of 230 V is 11.5 V, at 31.944 m.
    allowed: () => design({ legs: leg({ length: 31_944 }), device: { curve: "B", rating: 20 } }),
    broken: () => ({
      facts: design({ legs: leg({ length: 31_945 }) }),
      severity: "stop",
      measured: (100 * 18 * 20 * 31.945) / 1000 / 230,
      limit: 5,
    }),
  },
  "circuit.loop": {
    // 2.19 = 0.35 + 19.51 mΩ × 1.2 × L: L = 78.59 m.
    allowed: () => design({ designCurrent: 1, legs: leg({ length: 78_500 }) }),
    broken: () => ({
      facts: design({ designCurrent: 1, legs: leg({ length: 78_700 }) }),
      severity: "stop",
      measured: 0.35 + 0.01951 * 1.2 * 78.7,
      limit: 2.19,
    }),
  },
  "lighting.fed-from-sockets": {
    allowed: () => wiredFacts(lit()),
    broken: () => ({
      facts: wiredFacts(lit({ circuits: [circuit({ points: ["s1", "l1", "k1"] })] })),
      severity: "stop",
    }),
  },
  "lighting.unswitched": {
    allowed: () => wiredFacts(lit()),
    broken: () => ({
      facts: wiredFacts(lit({ points: [board, socket("s1", 1000), light, switched()] })),
      severity: "warn",
    }),
  },
  "lighting.idle-switch": {
    allowed: () => wiredFacts(lit()),
    broken: () => ({
      facts: wiredFacts(lit({ points: [board, socket("s1", 1000), light, switched()] })),
      severity: "warn",
    }),
  },
  "alarm.cover": {
    // From the middle of 4 000 × 3 000 a corner is 2 500 away; from x = 3 800 of a room of 11 000 the far ones are 7 353.
    allowed: () => alarmFacts(layHouse(alarmed(3800, 11_000))),
    broken: () => ({
      facts: alarmFacts(layHouse(alarmed(3400, 11_000))),
      severity: "warn",
      measured: Math.hypot(7600, 1500),
      limit: 7500,
    }),
  },
  "alarm.off": {
    allowed: () => alarmFacts(layHouse(alarmed(300))),
    broken: () => ({ facts: alarmFacts(layHouse(alarmed(299))), severity: "warn", measured: 299, limit: 300 }),
  },
  "alarm.interlink": {
    allowed: () => alarmFacts(layHouse(alarmed(2000, 4000, [["a1", "a2"]]))),
    broken: () => ({ facts: alarmFacts(layHouse(alarmed(2000, 4000, [["a1"], ["a2"]]))), severity: "warn" }),
  },
  "bath.ip": {
    allowed: () => bathFacts(layHouse(washed({ water: 4 }))),
    broken: () => ({ facts: bathFacts(layHouse(washed({ water: 3 }))), severity: "stop", measured: 3, limit: 4 }),
  },
  "lighting.two-way": {
    allowed: () => switchingFacts(pair(["l1", "l2"], ["l1", "l2"]), "input"),
    broken: () => ({ facts: switchingFacts(pair(["l1", "l2"], ["l1"]), "input"), severity: "stop" }),
  },
  "lighting.borrowed": {
    allowed: () => wiredFacts(lit()),
    broken: () => ({
      facts: wiredFacts(lit({ circuits: [lights(["l1"]), lights(["k1"], { id: "lj", label: "LJ", way: 3 })] })),
      severity: "stop",
    }),
  },
  "bath.rcd": {
    allowed: () => bathFacts(layHouse(bathroom(4000))),
    broken: () => ({
      facts: bathFacts(layHouse(bathroom(4000, { circuits: [circuit({ rcd: 100 }), lights(["l1", "k1"])] }))),
      severity: "stop",
      measured: 100,
      limit: 30,
    }),
  },
  "bath.socket": {
    allowed: () => bathFacts(layHouse(bathroom(4000))),
    broken: () => ({
      facts: bathFacts(layHouse(bathroom(3998))),
      severity: "stop",
      measured: 2498,
      limit: 2500,
    }),
  },
  "supply.bonding": {
    allowed: () => [...bonded("TN-C-S", 10), ...bonded("TN-S", 6), ...bonded("TT", 6), ...bonded(null, 10)],
    broken: () => ({ facts: bonded("TN-C-S", 9.9), severity: "warn", measured: 9.9, limit: 10 }),
  },
  "circuit.min-csa": {
    allowed: () => circuits({ kind: "ring", device: { rating: 32 } }),
    broken: () => ({
      facts: circuits({ kind: "ring", device: { rating: 32 }, cable: "te-1.5" }),
      severity: "stop",
      measured: 1.5,
      limit: 2.5,
    }),
  },
  "circuit.area": {
    allowed: () => design({ kind: "ring", floorArea: 100 }),
    broken: () => ({ facts: design({ kind: "ring", floorArea: 101 }), severity: "warn", measured: 101, limit: 100 }),
  },
  "circuit.spur": {
    allowed: () =>
      checkSpurs(
        [
          { id: "a", on: "ring", outlets: 2 },
          { id: "b", on: "spur", from: "a", outlets: 2 },
        ],
        "ring",
      ),
    broken: () => ({
      facts: checkSpurs(
        [
          { id: "a", on: "ring", outlets: 2 },
          { id: "b", on: "spur", from: "a", outlets: 3 },
        ],
        "ring",
      ),
      severity: "stop",
      measured: 3,
      limit: 2,
    }),
  },
  "circuit.spur.source": {
    allowed: () => checkSpurs([{ id: "a", on: "radial", outlets: 0 }], "lighting"),
    broken: () => ({ facts: checkSpurs([{ id: "a", on: "radial", outlets: 1 }], "lighting"), severity: "stop" }),
  },
  "found.colours": {
    allowed: () => found([{ ...ringFound[0]!, colours: "new" }]),
    broken: () => ({ facts: found([{ ...ringFound[0]!, colours: "old" }]), severity: "warn" }),
  },
  "found.unknown": {
    allowed: () => found([{ id: "f", from: "db", to: "s1", cable: "te-2.5" }]),
    broken: () => ({ facts: found([{ id: "f", from: "db", to: "s1", cable: "" }]), severity: "warn" }),
  },
  "found.shape": {
    allowed: () => found(ringFound),
    broken: () => ({ facts: found(ringFound.slice(0, 2)), severity: "stop" }),
  },
  "found.shape-open": {
    allowed: () => found(ringFound),
    broken: () => ({ facts: found([...ringFound.slice(0, 2), { id: "f3", from: "s2", to: null }]), severity: "note" }),
  },
  "retrofit.break": {
    allowed: () => extended([]),
    broken: () => ({ facts: extended(ringFound), severity: "note" }),
  },
  "extend.shape": {
    allowed: () => addedTo({ shape: "ring" }),
    broken: () => ({ facts: addedTo({ shape: "radial" }), severity: "stop" }),
  },
  "extend.leg": {
    allowed: () => addedTo({ shape: "ring", broken: { from: "s2", to: "s1" } }),
    broken: () => ({
      facts: addedTo({ shape: "ring", broken: { from: "s1", to: "s2" } }, [ringFound[0]!, ringFound[2]!]),
      severity: "warn",
    }),
  },
  "extend.joint": {
    allowed: () => addedTo({ shape: "ring", joints: [{ point: "s1", where: "new-box" }] }),
    broken: () => ({
      facts: addedTo({ shape: "ring", joints: [{ point: "s1", where: "under-floor" }] }),
      severity: "stop",
    }),
  },
  "retrofit.trace": {
    allowed: () => extended(ringFound),
    broken: () => ({ facts: extended([]), severity: "warn" }),
  },
  "retrofit.draw": {
    allowed: () =>
      drawFacts(house({ foundCables: [{ id: "f", from: "db", to: "s1", fate: "keep" }] }), [
        { id: "c.db.s1", from: "db", to: "s1" },
      ]),
    broken: () => ({
      facts: drawFacts(house({ foundCables: [{ id: "f", from: "db", to: "s1", fate: "take-out" }] }), [
        { id: "c.db.s1", from: "s1", to: "db" },
      ]),
      severity: "note",
    }),
  },
  "test.ring": {
    allowed: () => ringReads(0.445, 0.495),
    broken: () => ({ facts: ringReads(0.445, 0.496), severity: "stop", measured: 0.051, limit: 0.05 }),
  },
  "test.insulation": {
    allowed: () => checkInsulation(200, 500),
    broken: () => ({ facts: checkInsulation(0.99, 500), severity: "stop", measured: 0.99, limit: 1 }),
  },
  "test.tails": {
    // A tenth of 1 Ω either way; 0.05 Ω where that is more.
    allowed: () =>
      readRun(tails, { lineEarth: 1, lineNeutral: 0.4 }, { lineEarth: 1.1, lineNeutral: 0.45, polarity: "right" }),
    broken: () => ({
      facts: readRun(tails, { lineEarth: 1, lineNeutral: 0.4 }, { lineEarth: 1.101, lineNeutral: 0.4 }),
      severity: "stop",
      measured: 1.101,
      limit: 1,
    }),
  },
  "test.radial": {
    // 24 m at 19.51 mΩ is 0.46824; a tenth of it, or 0.05, either way.
    allowed: () => calc("test.radial", { length: 24_000, line: 2.5, cpc: 1.5, measured: 0.518 }),
    broken: () => ({
      facts: calc("test.radial", { length: 24_000, line: 2.5, cpc: 1.5, measured: 0.519 }),
      severity: "warn",
      measured: 0.519,
      limit: 0.46824,
    }),
  },
});
