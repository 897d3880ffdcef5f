/**
 * Numbers as people write them: one reader for the desk, the Bench, the walk, the site view, CSV and the find box.
 * `1200`, `1,200`, `1 200`, `1200 mm`, `1200mm`, `1.2 m` and `120 cm` are one length. A point is always the decimal mark; a comma
 * with groups of three digits after it marks thousands, with one or two digits after it decimals, and anything else is refused.
 */

/** What a unit measures, and how many of its dimension's own unit (mm, A, W, Ω …) it holds. */
const writtenUnits: Readonly<Record<string, readonly [dimension: string, factor: number]>> = {
  mm: ["length", 1],
  cm: ["length", 10],
  m: ["length", 1000],
  "mm²": ["area", 1],
  mm2: ["area", 1],
  "m²": ["area", 1e6],
  m2: ["area", 1e6],
  A: ["current", 1],
  mA: ["current", 0.001],
  W: ["power", 1],
  kW: ["power", 1000],
  V: ["voltage", 1],
  mV: ["voltage", 0.001],
  Ω: ["resistance", 1],
  ohm: ["resistance", 1],
  ohms: ["resistance", 1],
  mΩ: ["resistance", 0.001],
  kΩ: ["resistance", 1000],
  MΩ: ["resistance", 1e6],
  "%": ["share", 1],
  "°": ["angle", 1],
  deg: ["angle", 1],
  "°C": ["temperature", 1],
  C: ["temperature", 1],
  N: ["force", 1],
  kg: ["mass", 1],
  min: ["time", 1],
  Nm: ["torque", 1],
};
const dimensionNames: Readonly<Record<string, string>> = {
  length: "mm, cm or m",
  power: "W or kW",
  current: "A or mA",
};

export type NumberRead = { ok: true; value: number } | { ok: false; why: string };

const no = (why: string): NumberRead => ({ ok: false, why });

/** Spaces that people and programs put between thousands. */
const SPACES = /[\s\u2009\u202f\u00a0]+/g;
/** Longest text read as a number, characters. */
const LONGEST = 40;

/**
 * Reads a number in `unit` (empty: a bare number) as typed.
 * @returns the number in the field's own unit, or a clause that says what stands in the way (to follow "Height is “3/4”; ")
 */
export function readNumber(typed: string, unit = ""): NumberRead {
  const text = typed.replace(SPACES, " ").replace(/^ | $/g, "");
  if (text === "") return no("it is empty");
  if (text.length > LONGEST) return no("it is too long for a number");
  if (/^[+-]?\d+ ?\/ ?\d+$|[½¼¾⅓⅔⅛]/.test(text))
    return no("fractions are not read; write it as a decimal, such as 0.75");
  const parts = /^([+-]?)([\d.,' ]*\d[\d., ]*)(\D*)$/.exec(text);
  if (!parts) return no("it is not a number");
  const digits = readDigits(parts[2]!.replace(/ $/, ""));
  if (typeof digits === "string") return no(digits);
  const factor = factorOf(parts[3]!.trim(), unit);
  if (typeof factor === "string") return no(factor);
  const value = Number(`${parts[1]}${digits.text}`) * factor;
  // A length given in m or cm is what was written to the last digit, not what binary makes of it.
  return { ok: true, value: factor === 1 ? value : Number(value.toPrecision(12)) };
}

/** Digits with their marks of thousands taken out and the decimal mark a point; else why they cannot be told. */
function readDigits(text: string): { text: string } | string {
  if (/^(\d+\.?\d*|\.\d+)$/.test(text)) return { text };
  // Thousands apart by commas or by spaces, all groups of three, with or without decimals after a point.
  if (/^[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(text)) return { text: text.replaceAll(",", "") };
  if (/^[1-9]\d{0,2}( \d{3})+([.,]\d+)?$/.test(text)) return { text: text.replaceAll(" ", "").replace(",", ".") };
  if (/^\d+,\d{1,2}$/.test(text) || /^0,\d+$/.test(text)) return { text: text.replace(",", ".") };
  if (/^\d{1,3}(\.\d{3})+(,\d+)?$/.test(text) || /,.*\.|\..*,|,.*,|\..*\./.test(text))
    return "its points and commas can be read two ways; write 1200 or 1200.5";
  if (/ /.test(text)) return "its spaces do not part thousands; write it without them";
  if (/,/.test(text)) return "its comma can be read two ways; write 1200 for thousands, 1.2 for decimals";
  return "it is not a number";
}

function factorOf(written: string, unit: string): number | string {
  if (written === "" || written === unit) return 1;
  const own = writtenUnits[unit];
  const as = writtenUnits[written] ?? writtenUnits[written.toLowerCase()];
  if (!as) return `${written} is not a unit it can be in`;
  if (!own || as[0] !== own[0])
    return `it is in ${written}; ${unit ? `write ${(own && dimensionNames[own[0]]) ?? unit}` : "write it without a unit"}`;
  return as[1] / own[1];
}
