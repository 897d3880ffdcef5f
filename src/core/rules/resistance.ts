/** Resistance of copper conductors at 20 °C, mΩ/m, by section mm². Source: BS 7671:2018+A2:2022 working tables. */
export const conductorResistance: Readonly<Record<string, number>> = {
  "1": 18.1,
  "1.5": 12.1,
  "2.5": 7.41,
  "4": 4.61,
  "6": 3.08,
  "10": 1.83,
  "16": 1.15,
  "25": 0.727,
};

/**
 * R1 + R2 to expect over a length of cable, Ω: line and protective conductor in series, cold.
 * @param length mm
 * @returns null when a section is not in the table
 */
export function expectedR1R2(length: number, line: number, cpc: number): number | null {
  const a = conductorResistance[String(line)];
  const b = conductorResistance[String(cpc)];
  return a === undefined || b === undefined ? null : (length / 1000) * ((a + b) / 1000);
}
