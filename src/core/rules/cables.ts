import { same } from "../base/tolerance";
import { COVER_ADDS, type MineralCable, mineralCables, sheathSection } from "./mineral-cables";

/** A cable of the catalogue. Outside sizes are typical; a maker's sheet goes before them. */
export interface Cable {
  id: string;
  name: string;
  family: "sheathed" | "armoured" | "mi" | "signal";
  /** Conductor section, mm², and section of the protective conductor. */
  csa: number;
  cpc: number;
  cores: number;
  /** Outside size, mm: flat cable width × thickness, round cable diameter in both. */
  width: number;
  thickness: number;
  /** Armoured cable: diameter over the bedding and of one armour wire, mm. */
  bedding?: number;
  wire?: number;
  source: string;
}

const TE = "BS 6004 flat cable, typical sizes";
const SWA = "BS 5467 armoured cable, typical sizes";

const flat = (csa: number, cpc: number, width: number, thickness: number): Cable => ({
  id: `te-${csa.toFixed(csa < 4 ? 1 : 0)}`,
  name: `${csa.toFixed(csa < 4 ? 1 : 0)} mm² twin and earth`,
  family: "sheathed",
  csa,
  cpc,
  cores: 2,
  width,
  thickness,
  source: TE,
});

const armoured = (cores: number, csa: number, bedding: number, overall: number, wire: number): Cable => ({
  bedding,
  wire,
  id: `swa-${cores}x${csa}`,
  name: `${cores}-core ${csa} mm² armoured`,
  family: "armoured",
  csa,
  cpc: cores === 3 ? csa : 0,
  cores,
  width: overall,
  thickness: overall,
  source: SWA,
});

/** Mineral-insulated cable with its plastic cover; the copper sheath is its protective conductor. */
const mineral = (m: MineralCable): Cable => ({
  id: `mi-${m.id}`,
  name: `${m.id} mineral-insulated`,
  family: "mi",
  csa: m.csa,
  cpc: sheathSection(m.id),
  cores: m.cores,
  width: m.sheath + COVER_ADDS,
  thickness: m.sheath + COVER_ADDS,
  source: "BS EN 60702-1 cable, typical sizes",
});

/** Cable that carries no mains, round, its cores by number. */
const signal = (id: string, name: string, cores: number, csa: number, overall: number, source: string): Cable => ({
  id,
  name,
  family: "signal",
  csa,
  cpc: 0,
  cores,
  width: overall,
  thickness: overall,
  source,
});

export const cables: readonly Cable[] = [
  flat(1.0, 1.0, 7.2, 4.5),
  flat(1.5, 1.0, 8.2, 5.0),
  flat(2.5, 1.5, 10.1, 5.8),
  flat(4, 1.5, 11.5, 6.4),
  flat(6, 2.5, 13.3, 7.4),
  flat(10, 4.0, 16.9, 9.2),
  flat(16, 6.0, 19.5, 10.6),
  {
    ...flat(1.0, 1.0, 9.6, 4.7),
    id: "te3-1.0",
    name: "1.0 mm² three-core and earth",
    cores: 3,
    source: "BS 6004 flat cable, typical sizes",
  },
  {
    ...flat(1.5, 1.0, 10.5, 5.2),
    id: "te3-1.5",
    name: "1.5 mm² three-core and earth",
    cores: 3,
    source: "BS 6004 flat cable, typical sizes",
  },
  armoured(2, 1.5, 7.9, 12.3, 0.9),
  armoured(2, 2.5, 9.0, 13.6, 0.9),
  armoured(2, 4, 10.1, 14.7, 0.9),
  armoured(2, 6, 11.3, 15.9, 0.9),
  armoured(2, 10, 13.2, 18.0, 0.9),
  armoured(2, 16, 14.9, 20.4, 1.25),
  armoured(3, 1.5, 8.4, 12.8, 0.9),
  armoured(3, 2.5, 9.5, 14.1, 0.9),
  armoured(3, 4, 10.7, 15.3, 0.9),
  armoured(3, 6, 12.0, 16.6, 0.9),
  armoured(3, 10, 14.0, 19.5, 1.25),
  armoured(3, 16, 15.9, 21.6, 1.25),
  armoured(4, 1.5, 9.1, 13.5, 0.9),
  armoured(4, 2.5, 10.4, 15.0, 0.9),
  armoured(4, 4, 11.8, 16.4, 0.9),
  armoured(4, 6, 13.2, 18.7, 1.25),
  armoured(4, 10, 15.6, 21.1, 1.25),
  armoured(4, 16, 17.7, 23.4, 1.25),
  ...mineralCables.filter((m) => m.cores <= 3).map(mineral),
  signal("data-4p", "Data cable, 4 pairs", 8, 0.2, 6.2, "BS EN 50288 data cable, typical size"),
  signal("coax-75", "Coaxial cable, 75 Ω", 1, 0.8, 6.7, "BS EN 50117 coaxial cable, typical size"),
  signal("tel-2p", "Telephone cable, 2 pairs", 4, 0.2, 4.2, "BS EN 60708 telephone cable, typical size"),
  signal("bell-2", "Bell cable, 2 cores", 2, 0.2, 3.6, "Typical size"),
];

/** True for cable that carries no mains: data, television, telephone, bell. */
export const isSignalCable = (c: Pick<Cable, "family"> | null | undefined): boolean => c?.family === "signal";

/** True for cable whose sheath or armour is earthed metal: it may lie hidden outside a zone. Source: BS 7671:2018+A2:2022 522.6.204. */
export const isMetalClad = (c: Pick<Cable, "family"> | null | undefined): boolean =>
  c?.family === "armoured" || c?.family === "mi";

/** Largest outside dimension, mm: what clip tables and bends go by. */
export const overall = (c: Cable): number => Math.max(c.width, c.thickness);

/** Outside section in mm²: flat cable width × thickness, round cable π d²/4. */
export const section = (c: { width: number; thickness: number; family?: string }): number =>
  same(c.width, c.thickness) ? (Math.PI * c.width ** 2) / 4 : c.width * c.thickness;
