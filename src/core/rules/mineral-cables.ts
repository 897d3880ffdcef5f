/** A mineral-insulated cable by its designation: cores, duty (L light 500 V, H heavy 750 V), section. Sheath Ø mm, typical. */
export interface MineralCable {
  id: string;
  cores: number;
  duty: "L" | "H";
  csa: number;
  sheath: number;
}

/** What a plastic cover adds to the sheath's diameter, mm. Typical. */
export const COVER_ADDS = 1.5;

const row = (id: string, sheath: number): MineralCable => {
  const [, cores, duty, csa] = /^(\d+)([LH])([\d.]+)$/.exec(id)!;
  return { id, cores: Number(cores), duty: duty as "L" | "H", csa: Number(csa), sheath };
};

/** Section of the copper sheath, which is the protective conductor, mm². Typical; source: BS EN 60702-1 cables, makers' sheets. */
const sheaths: Readonly<Record<string, number>> = {
  "2L1": 5.4,
  "2L1.5": 6.3,
  "2L2.5": 8.2,
  "2L4": 10.7,
  "3L1": 6.7,
  "3L1.5": 7.8,
  "3L2.5": 9.5,
  "2H1.5": 11,
  "2H2.5": 13,
  "2H4": 16,
  "2H6": 18,
  "2H10": 24,
};
/** Section of the sheath as protective conductor, mm²; 5 where none is listed. Typical. */
export const sheathSection = (id: string): number => sheaths[id] ?? 5;

/** Duty by the id of a cable of the catalogue, "mi-2H4": light where it does not say. */
export const dutyOf = (cable: string): "L" | "H" => (/^mi-\d+H/.test(cable) ? "H" : "L");

export const mineralCables: readonly MineralCable[] = [
  row("2L1", 5.1),
  row("2L1.5", 5.7),
  row("2L2.5", 6.6),
  row("2L4", 7.7),
  row("3L1", 5.8),
  row("3L1.5", 6.4),
  row("3L2.5", 7.3),
  row("4L1", 6.3),
  row("4L1.5", 7.0),
  row("4L2.5", 8.1),
  row("7L1", 7.6),
  row("7L1.5", 8.4),
  row("7L2.5", 9.7),
  row("2H1.5", 7.9),
  row("2H2.5", 8.7),
  row("2H4", 9.8),
  row("2H6", 10.9),
  row("2H10", 12.7),
];
