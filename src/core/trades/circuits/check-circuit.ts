import { NOMINAL } from "../../rules/supply";
import { conductorResistance } from "../../rules/resistance";
import { atLeast, atMost } from "../../base/tolerance";
import type { Cable } from "../../rules/cables";
import { dutyOf } from "../../rules/mineral-cables";
import { type Fact, fact } from "../../rules/fact";
import {
  ARMOUR_RESISTANCE,
  type Method,
  armourMethods,
  armourRatings,
  armourSection,
  flatMethods,
  flatRatings,
  mineralMethods,
  mineralRatings,
  SHEATH_RESISTANCE,
  groupingFactor,
  type groupings,
  insulationFactor,
  warmthFactor,
  ELECTRODE_MOST,
  RING_LEG,
  type Earthing,
  fuseLoopLimit,
  loopLimit,
  rcdLoopLimit,
  typicalZe,
} from "../../rules/ratings";

export type CircuitKind = "ring" | "radial" | "lighting" | "cooker" | "fixed";
export interface CircuitLeg {
  /** mm. */
  length: number;
  method: Method;
  /** Circuits that lie together, this one included. */
  grouped: number;
  /** °C. */
  ambient: number;
  /** Length that passes through insulation, mm. */
  insulated: number;
  arrangement?: (typeof groupings)[number];
  /** Its own cable, where it is not that of the circuit. */
  cable?: Cable;
  /** Fuse of the fused unit that it lies behind, A. */
  fuse?: number;
}
export interface CircuitInput {
  kind: CircuitKind;
  device: { curve: "B" | "C"; rating: number };
  cable: Cable;
  designCurrent: number;
  legs: readonly CircuitLeg[];
  /** What leaves the legs after the leg by that number, from 0: spurs of a ring, branches of a radial; −1 right at the board. */
  spurs?: readonly { at: number; legs: readonly CircuitLeg[] }[];
  /** External loop impedance, Ω; null when not known. */
  ze: number | null;
  /** How the installation is earthed; null or left out when not known: then it is taken as TN-S. */
  earthing?: Earthing | null;
  /**
   * Of a circuit that starts at a board fed from another: the loop at that board, hot, Ω, null where it has an electrode of its own, and
   * the volts lost on the way to it. Null where nobody knows how it is fed; left out at the main board.
   */
  before?: { zs: number | null; volts: number } | null;
  /** Trip current of the RCD that protects the circuit, mA; null or left out without one. */
  rcd?: number | null;
  /** Temperature the accessories stand, °C: armoured cable on 70 °C accessories is rated as 70 °C cable. */
  accessories?: 70 | 90;
  /** What serves as protective conductor of an armoured cable. */
  earth?: "armour" | "core" | "both";
  /** Floor served, m². */
  floorArea?: number | null;
}
export interface CircuitResult {
  /** What the worst leg carries, A. */
  iz: number;
  /** Its number; those of the spurs follow on the legs. */
  worstLeg: number;
  /** At the place that is nearest to what is allowed there, hot, Ω. */
  zs: number;
  /** What opens the protection there in time, Ω; of TT by its RCD, null without one. */
  maxZs: number | null;
  /** At the worst place. */
  drop: { volts: number; percent: number; limit: number };
  /** At the end of each spur. */
  spurs: PlaceFigures[];
  /** The worst place: how far along the legs it lies, or its spur leaves, mm. */
  points: (PlaceFigures & { at: number })[];
  facts: Fact[];
}

/** Loop and drop at a place of a circuit. */
export interface PlaceFigures {
  zs: number;
  drop: { volts: number; percent: number };
}

/** Warm conductors have this much more resistance than cold ones. */
export const WARM = 1.2;

const num = (x: number, places = 2): string => String(Number(x.toFixed(places)));

type Ratings = Readonly<Record<string, { amps: readonly number[]; drop: number }>>;
/** The table a cable is rated by, and the methods in its order. */
function ratingsOf(cable: Cable, accessories: 70 | 90): [Ratings, readonly Method[]] {
  if (cable.family === "armoured") return [armourRatings[accessories], armourMethods];
  return cable.family === "mi" ? [mineralRatings[dutyOf(cable.id)], mineralMethods] : [flatRatings, flatMethods];
}

/** Table current of a cable by a method, A, or null when the table has none. */
export function tableCurrent(cable: Cable, method: Method, accessories: 70 | 90 = 70): number | null {
  const [table, methods] = ratingsOf(cable, accessories);
  return table[String(cable.csa)]?.amps[methods.indexOf(method)] ?? null;
}

/** Volt drop of a cable, mV per A per m, or null. */
export const voltDrop = (cable: Cable, accessories: 70 | 90 = 70): number | null =>
  ratingsOf(cable, accessories)[0][String(cable.csa)]?.drop ?? null;

/** By cable and what serves it as earth: its loop, looked up once. */
const loops = { armour: new WeakMap(), core: new WeakMap(), both: new WeakMap() } satisfies Record<
  string,
  WeakMap<Cable, number | null>
>;

/** Resistance of line and protective conductor together, Ω per m at 20 °C, or null when the table has no such section. */
export function loopResistance(cable: Cable, earth: keyof typeof loops = "armour"): number | null {
  const known: WeakMap<Cable, number | null> = loops[earth];
  let loop = known.get(cable);
  if (loop === undefined) known.set(cable, (loop = lookedUp(cable, earth)));
  return loop;
}

function lookedUp(cable: Cable, earth: keyof typeof loops): number | null {
  const line = conductorResistance[String(cable.csa)];
  if (line === undefined) return null;
  if (cable.family === "mi") return (line + SHEATH_RESISTANCE / cable.cpc) / 1000;
  if (cable.family !== "armoured") {
    const cpc = conductorResistance[String(cable.cpc)];
    return cpc === undefined ? null : (line + cpc) / 1000;
  }
  const steel = armourSection[String(cable.csa)]?.[cable.cores - 2];
  if (steel === undefined) return null;
  const armour = ARMOUR_RESISTANCE / steel;
  const back = earth === "core" ? line : earth === "armour" ? armour : 1 / (1 / armour + 1 / line);
  return (line + back) / 1000;
}

/** What is missing from the tables for this input: the field and the words; null when all can be looked up. */
export function circuitFault(i: CircuitInput): { path: string; message: string } | null {
  const hot = i.cable.family === "armoured" && i.accessories === 90 ? 90 : 70;
  for (const [n, l] of [...i.legs, ...(i.spurs ?? []).flatMap((s) => s.legs)].entries()) {
    const cable = l.cable ?? i.cable;
    if (tableCurrent(cable, l.method, i.accessories) === null) {
      const methods: readonly string[] = ratingsOf(cable, i.accessories ?? 70)[1];
      return {
        path: `legs.${n}.method`,
        message: methods.includes(l.method)
          ? `there is no rating for ${cable.id}`
          : `got "${l.method}"; for ${cable.id} it must be ${methods.map((m) => `"${m}"`).join(" or ")}`,
      };
    }
    if (l.insulated > 0 && l.method !== "C")
      return {
        path: `legs.${n}.insulated`,
        message: `got ${l.insulated} with method ${l.method}; a length through insulation goes with method "C" only, the other methods hold it already`,
      };
    if (warmthFactor(l.method, l.ambient, hot) === null)
      return { path: `legs.${n}.ambient`, message: `got ${l.ambient}; must be at most 60` };
    if (l.cable && loopResistance(l.cable, i.earth) === null)
      return { path: "cable", message: `got "${l.cable.id}"; there is no conductor resistance for it` };
  }
  if (loopResistance(i.cable, i.earth) === null)
    return { path: "cable", message: `got "${i.cable.id}"; there is no conductor resistance for it` };
  if (i.earth && i.earth !== "armour" && i.cable.family === "armoured" && i.cable.cores < 3)
    return { path: "earth", message: `got "${i.earth}"; a core as earth needs a cable with three cores or more` };
  return null;
}

/** A single or twin outlet draws no more than this, A. Source: on-site working practice. */
const OUTLET = 20;

/**
 * What counts of the way to a place of a circuit, in any measure that adds up along it: on a ring both ways round lie side by side, and
 * the worst is half way round, a quarter of the whole; on the others it is the way itself.
 */
const counted = (kind: CircuitKind, x: number, whole: number): number =>
  kind !== "ring" ? x : whole > 0 ? (x * (whole - x)) / whole : 0;

/** Sum of what each metre of the legs has, as far as so many metres along them; the whole of it when left out. */
function along(legs: readonly CircuitLeg[], perMetre: (l: CircuitLeg) => number, metres = Infinity): number {
  let [sum, left] = [0, metres];
  for (const l of legs) {
    const part = Math.min(left, l.length / 1000);
    sum += part * perMetre(l);
    left -= part;
    if (left <= 0) break;
  }
  return sum;
}

/**
 * Loop and drop at a place of a circuit: so far along its legs, m, and along the legs of a spur of its own from there. A spur's are
 * those of the circuit at its joint plus its own length, never a share of the sum. All load is taken at the far end, of a ring half
 * way round; a spur of a ring carries no more than one outlet draws, and one behind a fuse no more than the fuse.
 * Source: BS 7671:2018+A2:2022 411.4, 525, Appendix 4.
 */
export function atPlace(i: CircuitInput, x: number, spur: readonly CircuitLeg[] = []): PlaceFigures {
  const ohms = (l: CircuitLeg): number => loopResistance(l.cable ?? i.cable, i.earth)!;
  const drop = (l: CircuitLeg): number => voltDrop(l.cable ?? i.cable, i.accessories)!;
  const onSpur = i.kind === "ring" ? Math.min(i.designCurrent, OUTLET) : i.designCurrent;
  const far = (per: (l: CircuitLeg) => number): number => counted(i.kind, along(i.legs, per, x), along(i.legs, per));
  const volts =
    (i.before?.volts ?? 0) +
    (i.designCurrent * far(drop) + along(spur, (l) => drop(l) * Math.min(onSpur, l.fuse ?? Infinity))) / 1000;
  const zs = (i.before?.zs ?? externalLoop(i)) + (far(ohms) + along(spur, ohms)) * WARM;
  return { zs, drop: { volts, percent: (100 * volts) / NOMINAL } };
}

/**
 * What opens the protection in time at a place, Ω: the device's limit, or that of a fuse it lies behind where that is more; of TT by
 * its RCD, null without.
 */
export function mostAt(i: CircuitInput, spur: readonly CircuitLeg[] = []): number | null {
  if (i.earthing === "TT") return i.rcd ? rcdLoopLimit(i.rcd) : null;
  const device = loopLimit(i.device.curve, i.device.rating);
  const fuse = spur[spur.length - 1]?.fuse;
  return fuse === undefined ? device : Math.max(device, fuseLoopLimit(fuse));
}

/** External loop reckoned with, Ω: as measured, else the largest usual for the earthing; not knowing that, of TN-S. */
export const externalLoop = (i: Pick<CircuitInput, "ze" | "earthing">): number =>
  i.ze ?? typicalZe[i.earthing ?? "TN-S"];

/** What a leg carries, A: its method, what lies with it, warmth and insulation. */
export const carried = (i: CircuitInput, l: CircuitLeg): number =>
  tableCurrent(l.cable ?? i.cable, l.method, i.accessories)! *
  groupingFactor(l.grouped, l.arrangement) *
  warmthFactor(l.method, l.ambient, (l.cable ?? i.cable).family === "armoured" && i.accessories === 90 ? 90 : 70)! *
  insulationFactor(l.insulated);

/** A ring on a 30 or 32 A device: each leg carries 20 A and not what the device does. */
const sharing = (i: CircuitInput): boolean => i.kind === "ring" && i.device.rating >= 30 && i.device.rating <= 32;

/** What a leg must carry, A: its fuse, 20 A in a leg of a ring, else the rating of the device. */
export function mustCarry(i: CircuitInput, l: CircuitLeg): number {
  if (l.fuse !== undefined) return Math.min(l.fuse, i.device.rating);
  return sharing(i) ? RING_LEG : i.device.rating;
}

/**
 * The design checks of one circuit: load, device, current-carrying capacity of the worst leg, volt drop, fault loop at the worst place,
 * the ends of its spurs among them. Lengths mm. Source: BS 7671:2018+A2:2022 433, 525, 411, Appendix 4. Call `circuitFault` first;
 * throws when a table lacks a value.
 */
export function checkCircuit(i: CircuitInput): CircuitResult {
  const ring = i.kind === "ring";
  const rating = i.device.rating;
  const subject = i.kind;
  const all = [...i.legs, ...(i.spurs ?? []).flatMap((s) => s.legs)];
  const carries = all.map((l) => carried(i, l));
  const must = all.map((l) => mustCarry(i, l));
  // The leg that is nearest to what it must carry, or farthest below it.
  const worstLeg = carries.reduce((w, x, n) => (x / must[n]! < carries[w]! / must[w]! ? n : w), 0);
  const iz = carries[worstLeg]!;
  const facts: Fact[] = [];
  if (!atMost(i.designCurrent, rating))
    facts.push(
      fact("circuit.device", "circuit", subject, {
        measured: i.designCurrent,
        limit: rating,
        sense: "most",
        unit: "A",
      }),
    );
  const { fuse, grouped, arrangement = "bunched" } = all[worstLeg]!;
  if (!atLeast(iz, must[worstLeg]!))
    facts.push(
      fact(fuse === undefined && sharing(i) ? "circuit.ring" : "circuit.capacity", "circuit", subject, {
        where: { leg: worstLeg },
        measured: iz,
        limit: must[worstLeg]!,
        sense: "least",
        unit: "A",
        of: {
          method: all[worstLeg]!.method,
          ...(fuse === undefined ? {} : { fuse }),
          ...(grouped > 1 ? { grouped, arrangement } : {}),
        },
      }),
    );
  const csa = Math.min(...all.flatMap((l) => (l.fuse === undefined ? [(l.cable ?? i.cable).csa] : [])));
  const thinnest = ring ? 2.5 : i.kind === "lighting" ? 1.0 : null;
  if (thinnest !== null && !atLeast(csa, thinnest))
    facts.push(
      fact("circuit.min-csa", "circuit", subject, {
        measured: csa,
        limit: thinnest,
        sense: "least",
        unit: "mm²",
      }),
    );
  if (ring && i.floorArea !== undefined && i.floorArea !== null && !atMost(i.floorArea, 100))
    facts.push(
      fact("circuit.area", "circuit", subject, { measured: i.floorArea, limit: 100, sense: "most", unit: "m²" }),
    );
  const metres = i.legs.reduce((s, l) => s + l.length, 0) / 1000;
  const end = ring ? metres / 2 : metres;
  const spurs = (i.spurs ?? []).map((s) => {
    const at = i.legs.slice(0, s.at + 1).reduce((sum, l) => sum + l.length, 0);
    return { at, most: mostAt(i, s.legs), ...atPlace(i, at / 1000, s.legs) };
  });
  const places = [{ at: end * 1000, most: mostAt(i), ...atPlace(i, end) }, ...spurs];
  const near = (p: (typeof places)[number]): number => p.zs / (p.most ?? 1);
  const worst = places.reduce((a, b) => (near(b) > near(a) ? b : a));
  const { volts, percent } = places.reduce((a, b) => (b.drop.percent > a.drop.percent ? b : a)).drop;
  const limit = i.kind === "lighting" ? 3 : 5;
  if (!atMost(percent, limit))
    facts.push(
      fact("circuit.drop", "circuit", subject, {
        measured: percent,
        limit,
        sense: "most",
        unit: "%",
        of: { volts, ring: ring ? 1 : 0 },
      }),
    );
  facts.push(...loopFacts(i, worst.zs, worst.most));
  return {
    iz,
    worstLeg,
    zs: worst.zs,
    maxZs: worst.most,
    drop: { volts, percent, limit },
    spurs: spurs.map(({ zs, drop }) => ({ zs, drop })),
    points: [{ at: worst.at, zs: worst.zs, drop: worst.drop }],
    facts,
  };
}

/** Judges the loop at the worst place: by the device, or where the earth is an electrode by the RCD. */
function loopFacts(i: CircuitInput, zs: number, maxZs: number | null): Fact[] {
  const loop = (rest: Parameters<typeof fact>[3]): Fact => fact("circuit.loop", "circuit", i.kind, rest);
  const found: Fact[] = [];
  const most = { sense: "most", unit: "Ω" } as const;
  if (i.earthing === "TT") {
    const trip = i.rcd ?? null;
    if (trip === null || maxZs === null) found.push(loop({ case: "tt-without", measured: zs, unit: "Ω" }));
    else if (!atMost(zs, maxZs))
      found.push(loop({ case: "by-rcd", measured: zs, limit: maxZs, ...most, of: { trip } }));
    else found.push(loop({ case: "rcd-relied", severity: "warn", measured: zs, limit: maxZs, ...most, of: { trip } }));
    if (i.ze !== null && !atMost(i.ze, ELECTRODE_MOST))
      found.push(loop({ case: "electrode", severity: "warn", measured: i.ze, limit: ELECTRODE_MOST, ...most }));
  } else if (!atMost(zs, maxZs!))
    found.push(
      loop({ measured: zs, limit: maxZs!, ...most, of: { device: `${i.device.curve}${num(i.device.rating)}` } }),
    );
  if (i.before === null) found.push(loop({ case: "feed-unknown", severity: "warn", measured: zs, unit: "Ω" }));
  if (i.ze === null)
    found.push(
      loop({ case: "ze-taken", severity: "note", of: { ze: externalLoop(i), earthing: i.earthing ?? "unknown" } }),
    );
  return found;
}
