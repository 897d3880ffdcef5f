/** Ways of the lever connectors an electrician carries. Typical. */
export const connectorWays = [2, 3, 5] as const;

/**
 * Ways of the lever connectors that join so many cores: the smallest that takes them; beyond the largest several, each linked to the next
 * by one short wire that takes a way at both its ends. A core that is parked has one of two ways.
 */
export function linkedConnectors(cores: number): number[] {
  const most = connectorWays[connectorWays.length - 1]!;
  const out: number[] = [];
  let left = cores;
  for (let linked = 0; left + linked > most; linked = 1) {
    out.push(most);
    left -= most - linked - 1;
  }
  const last = left + (out.length ? 1 : 0);
  return [...out, connectorWays.find((w) => w >= last)!];
}
