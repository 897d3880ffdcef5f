import { conductorResistance } from "../dead-tests/continuity";
import { atLeast, atMost } from "../geometry/tolerance";
import type { Cable } from "../rules/cables";
import { type Finding, finding } from "../rules/findings";
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
} from "./ratings";

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
  findings: Finding[];
}

const NOMINAL = 230;
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
  const findings: Finding[] = [];
  if (!atMost(i.designCurrent, rating))
    findings.push(
      finding("circuit.device", {
        subject,
        message: `The load is ${num(i.designCurrent)} A on a ${num(rating)} A device.`,
        measured: i.designCurrent,
        limit: rating,
        sense: "most",
        unit: "A",
        remedy: "Split the load, or take a larger device and cable.",
      }),
    );
  if (ring && rating >= 30 && rating <= 32) {
    if (!atLeast(iz, 20))
      findings.push(
        finding("circuit.ring", {
          subject,
          message: `Leg ${worstLeg + 1} carries ${num(iz)} A by method ${i.legs[worstLeg]!.method}; a ring leg needs 20 A.`,
          measured: iz,
          limit: 20,
          sense: "least",
          unit: "A",
          remedy: "Use larger cable, or keep it out of the insulation.",
        }),
      );
  } else if (!atMost(rating, iz))
    findings.push(
      finding("circuit.capacity", {
        subject,
        message: `Leg ${worstLeg + 1} carries ${num(iz)} A by method ${i.legs[worstLeg]!.method}; the device lets ${num(rating)} A through.`,
        measured: iz,
        limit: rating,
        sense: "least",
        unit: "A",
        remedy: "Use larger cable, a smaller device, or another way to run it.",
      }),
    );
  const least = ring ? 2.5 : i.kind === "lighting" ? 1.0 : null;
  if (least !== null && !atLeast(i.cable.csa, least))
    findings.push(
      finding("circuit.min-csa", {
        subject,
        message: `Wired in ${i.cable.csa} mm².`,
        measured: i.cable.csa,
        limit: least,
        sense: "least",
        unit: "mm²",
        remedy: `Use ${least} mm² or more.`,
      }),
    );
  if (ring && i.floorArea !== undefined && i.floorArea !== null && !atMost(i.floorArea, 100))
    findings.push(
      finding("circuit.area", {
        subject,
        message: `The ring serves ${num(i.floorArea)} m².`,
        measured: i.floorArea,
        limit: 100,
        sense: "most",
        unit: "m²",
        remedy: "Make it two circuits.",
      }),
    );
  const share = ring ? 1 / 4 : 1;
  const volts = (voltDrop(i.cable, i.accessories)! * i.designCurrent * metres * share) / 1000;
  const percent = (100 * volts) / NOMINAL;
  const limit = i.kind === "lighting" ? 3 : 5;
  if (!atMost(percent, limit))
    findings.push(
      finding("circuit.drop", {
        subject,
        message: `${num(volts)} V is lost on the way, ${num(percent)} %${ring ? ", with the load half way round" : ", with all load at the far end"}.`,
        measured: percent,
        limit,
        sense: "most",
        unit: "%",
        remedy: "Use larger cable or a shorter way.",
      }),
    );
  const ze = i.ze ?? typicalZe["TN-S"];
  const zs = ze + loopResistance(i.cable, i.earth)! * metres * share * WARM;
  const table = loopLimits[String(rating)];
  const maxZs = table === undefined ? null : i.device.curve === "B" ? table : table / 2;
  if (maxZs === null)
    findings.push(
      finding("circuit.mcb-table", {
        subject,
        message: `There is no loop value for a ${num(rating)} A device.`,
        measured: rating,
        unit: "A",
        remedy: "Ask the maker of the device.",
      }),
    );
  else if (!atMost(zs, maxZs))
    findings.push(
      finding("circuit.loop", {
        subject,
        message: `The loop comes to ${num(zs)} Ω with warm conductors; a ${i.device.curve}${num(rating)} needs ${num(maxZs)} Ω or less.`,
        measured: zs,
        limit: maxZs,
        sense: "most",
        unit: "Ω",
        remedy: "Use larger cable, a shorter way, or ask about an RCD for fault protection.",
      }),
    );
  if (i.ze === null)
    findings.push(
      finding("circuit.loop", {
        severity: "note",
        subject,
        message: `The supply's loop is not given; ${typicalZe["TN-S"]} Ω is taken. Measure it.`,
        remedy: "Enter the measured Ze.",
      }),
    );
  return { iz, worstLeg, zs, maxZs, drop: { volts, percent, limit }, findings };
}
