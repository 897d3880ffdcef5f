/** "1 hole", "2 holes". */
export const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
/** A number with at most `places` decimals and no trailing noughts. */
export const figure = (x: number, places = 2): string => String(Number(x.toFixed(places)));
