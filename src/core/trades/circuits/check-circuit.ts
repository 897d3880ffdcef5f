import { NOMINAL } from "../../rules/supply";
import { conductorResistance } from "../../rules/resistance";
import { atLeast, atMost } from "../../base/tolerance";
import type { Cable } from "../../rules/cables";
import { type Fact, fact } from "../../rules/fact";
import {
  ARMOUR_RESISTANCE,
  type Method,
  ambientFactor,
  armourMethods,
  armourRatings,
  armourSection,
  flatMethods,
  flatRatings,
  groupingFactor,
  type groupings,
  insulationFactor,
  loopLimits,
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
}
export interface CircuitInput {
  kind: CircuitKind;
  device: { curve: "B" | "C"; rating: number };
  cable: Cable;
  designCurrent: number;
  legs: readonly CircuitLeg[];
  /** External loop impedance, Ω; null when not known. */
  ze: number | null;
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
  worstLeg: number;
  zs: number;
  maxZs: number | null;
  drop: { volts: number; percent: number; limit: number };
  facts: Fact[];
}

/** Warm conductors have this much more resistance than cold ones. */
const WARM = 1.2;

const num = (x: number, places = 2): string => String(Number(x.toFixed(places)));

/** Table current of a cable by a method, A, or null when the table has none. */
export function tableCurrent(cable: Cable, method: Method, accessories: 70 | 90 = 70): number | null {
  const [table, methods]: [Readonly<Record<string, { amps: readonly number[] }>>, readonly Method[]] =
    cable.family === "armoured" ? [armourRatings[accessories], armourMethods] : [flatRatings, flatMethods];
  return table[String(cable.csa)]?.amps[methods.indexOf(method)] ?? null;
}

/** Volt drop of a cable, mV per A per m, or null. */
export const voltDrop = (cable: Cable, accessories: 70 | 90 = 70): number | null =>
  (cable.family === "armoured" ? armourRatings[accessories] : flatRatings)[String(cable.csa)]?.drop ?? null;

/** Resistance of line and protective conductor together, Ω per m at 20 °C, or null when the table has no such section. */
export function loopResistance(cable: Cable, earth: "armour" | "core" | "both" = "armour"): number | null {
  const line = conductorResistance[String(cable.csa)];
  if (line === undefined) return null;
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
  for (const [n, l] of i.legs.entries()) {
    if (tableCurrent(i.cable, l.method, i.accessories) === null) {
      const methods: readonly string[] = i.cable.family === "armoured" ? armourMethods : flatMethods;
      return {
        path: `legs.${n}.method`,
        message: methods.includes(l.method)
          ? `there is no rating for ${i.cable.id}`
          : `got "${l.method}"; for ${i.cable.id} it must be ${methods.map((m) => `"${m}"`).join(" or ")}`,
      };
    }
    if (l.insulated > 0 && l.method !== "C")
      return {
        path: `legs.${n}.insulated`,
        message: `got ${l.insulated} with method ${l.method}; a length through insulation goes with method "C" only, the other methods hold it already`,
      };
    if (ambientFactor(l.ambient, hot) === null)
      return { path: `legs.${n}.ambient`, message: `got ${l.ambient}; must be at most 60` };
  }
  if (loopResistance(i.cable, i.earth) === null)
    return { path: "cable", message: `got "${i.cable.id}"; there is no conductor resistance for it` };
  if (i.earth && i.earth !== "armour" && i.cable.family === "armoured" && i.cable.cores < 3)
    return { path: "earth", message: `got "${i.earth}"; a core as earth needs a cable with three cores or more` };
  return null;
}

/**
 * The design checks of one circuit: load, device, current-carrying capacity of the worst leg, volt drop, fault loop. Radials
 * take all load at the far end; rings half way round, which is mV × length × current / 4. Lengths mm.
 * Source: BS 7671:2018+A2:2022 433, 525, 411, Appendix 4. Call `circuitFault` first; throws when a table lacks a value.
 */
export function checkCircuit(i: CircuitInput): CircuitResult {
  const ring = i.kind === "ring";
  const rating = i.device.rating;
  const hot = i.cable.family === "armoured" && i.accessories === 90 ? 90 : 70;
  const subject = i.kind;
  const carries = i.legs.map(
    (l) =>
      tableCurrent(i.cable, l.method, i.accessories)! *
      groupingFactor(l.grouped, l.arrangement) *
      ambientFactor(l.ambient, hot)! *
      insulationFactor(l.insulated),
  );
  const iz = Math.min(...carries);
  const worstLeg = carries.indexOf(iz);
  const metres = i.legs.reduce((s, l) => s + l.length, 0) / 1000;
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
  if (ring && rating >= 30 && rating <= 32) {
    if (!atLeast(iz, 20))
      facts.push(
        fact("circuit.ring", "circuit", subject, {
          where: { leg: worstLeg },
          measured: iz,
          limit: 20,
          sense: "least",
          unit: "A",
          of: { method: i.legs[worstLeg]!.method },
        }),
      );
  } else if (!atMost(rating, iz))
    facts.push(
      fact("circuit.capacity", "circuit", subject, {
        where: { leg: worstLeg },
        measured: iz,
        limit: rating,
        sense: "least",
        unit: "A",
        of: { method: i.legs[worstLeg]!.method },
      }),
    );
  const least = ring ? 2.5 : i.kind === "lighting" ? 1.0 : null;
  if (least !== null && !atLeast(i.cable.csa, least))
    facts.push(
      fact("circuit.min-csa", "circuit", subject, { measured: i.cable.csa, limit: least, sense: "least", unit: "mm²" }),
    );
  if (ring && i.floorArea !== undefined && i.floorArea !== null && !atMost(i.floorArea, 100))
    facts.push(
      fact("circuit.area", "circuit", subject, { measured: i.floorArea, limit: 100, sense: "most", unit: "m²" }),
    );
  const share = ring ? 1 / 4 : 1;
  const volts = (voltDrop(i.cable, i.accessories)! * i.designCurrent * metres * share) / 1000;
  const percent = (100 * volts) / NOMINAL;
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
  const ze = i.ze ?? typicalZe["TN-S"];
  const zs = ze + loopResistance(i.cable, i.earth)! * metres * share * WARM;
  const table = loopLimits[String(rating)];
  const maxZs = table === undefined ? null : i.device.curve === "B" ? table : table / 2;
  if (maxZs === null) facts.push(fact("circuit.mcb-table", "circuit", subject, { measured: rating, unit: "A" }));
  else if (!atMost(zs, maxZs))
    facts.push(
      fact("circuit.loop", "circuit", subject, {
        measured: zs,
        limit: maxZs,
        sense: "most",
        unit: "Ω",
        of: { device: `${i.device.curve}${num(rating)}` },
      }),
    );
  if (i.ze === null)
    facts.push(
      fact("circuit.loop", "circuit", subject, { case: "ze-taken", severity: "note", of: { ze: typicalZe["TN-S"] } }),
    );
  return { iz, worstLeg, zs, maxZs, drop: { volts, percent, limit }, facts };
}
