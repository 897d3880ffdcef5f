/**
 * Zones round a bath or shower, mm: `top` above the floor of zones 1 and 2, `beyond` how far zone 2 goes on from the edge, `sockets` how
 * far a socket outlet keeps from zone 1, `hidden` from which depth a cable in
 * the wall is out of them. Source: BS 7671:2018+A2:2022 701.32, 701.411.3.3, 701.512.
 */
export const BATH = { top: 2250, beyond: 600, sockets: 2500, hidden: 50 } as const;

/** Least second figure of the IP code by zone. Source: BS 7671:2018+A2:2022 701.512.2. */
export const waterLeast: Readonly<Record<0 | 1 | 2, number>> = { 0: 7, 1: 4, 2: 4 };
