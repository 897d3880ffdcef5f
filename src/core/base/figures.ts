/** "1 hole", "2 holes". */
export const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
/** A number with at most `places` decimals and no trailing noughts. */
export const figure = (x: number, places = 2): string => String(Number(x.toFixed(places)));

/** A measured value for a gauge: lengths as `mm`, shares to a tenth of a percent, other units with up to three decimals. */
export const quantity = (x: number, unit: string | undefined): string =>
  unit === undefined || unit === "mm" ? mm(x) : String(Number(x.toFixed(unit === "%" ? 1 : 3)));

/** A length for a sentence: whole millimetres with narrow spaces that no line breaks at between thousands, one decimal when it matters. */
export function mm(x: number): string {
  const r = Math.round(x * 10) / 10;
  const s = Number.isInteger(r) ? String(r) : r.toFixed(1);
  const [whole, part] = s.split(".");
  const spaced = whole!.replace(/\B(?=(\d{3})+(?!\d))/g, "\u202f");
  return part ? `${spaced}.${part}` : spaced;
}

/** A place to mark in the house: whole millimetres, as a pencil has it. */
export const toMark = (at: number): string => mm(Math.round(at));

/** A length to cut, whole mm and never short, as it stands on every screen: 17 181.4 is cut at 17 182. */
export const toCut = (length: number): string => mm(Math.ceil(length - 1e-6));

/** The most a thing may be, to a tenth and never more than it is: 48.75 is Ø 48.7 at most. */
export const most = (limit: number): string => mm(Math.floor(limit * 10 + 1e-6) / 10);
