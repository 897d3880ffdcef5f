import { z } from "zod";
import { compareCircuits } from "../routing/compare";
import { drawLines } from "../drawings/line-drawings";
import { same } from "../base/tolerance";
import { mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";

const orderName = (n: number): string => (n === 0 ? "board" : String(n));

export default calculator({
  name: "circuit.compare",
  purpose: "One ring or two radials: which takes less cable?",
  group: "Circuits",
  source: "Exact by dynamic programming over subsets up to 13 points; above, one-tree and spanning-tree bounds",
  input: z.strictObject({
    distances: z
      .array(z.array(z.number().min(0).max(10_000_000)).max(121))
      .min(3)
      .max(121)
      .meta({ title: "Path lengths between places", unit: "mm", hint: "one row a place, the board first" }),
  }),
  output: z.object({
    ring: z.object({ order: z.array(z.number()), length: z.number(), bound: z.number() }),
    radials: z.object({
      orders: z.tuple([z.array(z.number()), z.array(z.number())]),
      lengths: z.tuple([z.number(), z.number()]),
      total: z.number(),
      bound: z.number(),
    }),
    optimal: z.boolean(),
    bound: z.number(),
  }),
  first: {
    distances: [
      [0, 4000, 7000, 9000, 6000],
      [4000, 0, 3500, 7000, 8000],
      [7000, 3500, 0, 3000, 7500],
      [9000, 7000, 3000, 0, 4500],
      [6000, 8000, 7500, 4500, 0],
    ],
  },
  run: ({ distances: d }) => {
    d.forEach((row, i) => {
      if (row.length !== d.length)
        throw new InputFault(`distances.${i}`, `got ${row.length} lengths; must be ${d.length}, one for each place`);
    });
    d.forEach((row, i) =>
      row.forEach((x, j) => {
        if (i === j && x !== 0)
          throw new InputFault(`distances.${i}.${j}`, `got ${x}; must be 0, a place is no way from itself`);
        if (!same(x, d[j]![i]!))
          throw new InputFault(`distances.${i}.${j}`, `got ${x}; must be ${d[j]![i]}, the same as the other way round`);
      }),
    );
    return compareCircuits(d);
  },
  sheet: ({ distances: d }, o) => {
    const stops = (order: readonly number[]) => {
      let at = 0;
      return order.map((p, k) => ({ at: (at += k ? d[order[k - 1]!]![p]! : 0), text: orderName(p) }));
    };
    const less = o.ring.length - o.radials.total;
    return {
      headline: `Ring ${mm(o.ring.length / 1000)} m, two radials ${mm(o.radials.total / 1000)} m: ${Math.abs(less) < 1 ? "the same" : less > 0 ? `radials save ${mm(less / 1000)} m` : `the ring saves ${mm(-less / 1000)} m`}${o.optimal ? "; proven shortest" : `; within ${figureOver(o)} % of the least possible`}.`,
      scene: drawLines("One ring against two radials, opened out to one scale", [
        {
          name: `ring ${mm(o.ring.length / 1000)} m`,
          length: o.ring.length,
          ink: "run1",
          stops: [...stops(o.ring.order), { at: o.ring.length, text: "board" }],
        },
        {
          name: `radial ${mm(o.radials.lengths[0] / 1000)} m`,
          length: o.radials.lengths[0],
          ink: "run2",
          stops: stops(o.radials.orders[0]),
        },
        {
          name: `radial ${mm(o.radials.lengths[1] / 1000)} m`,
          length: o.radials.lengths[1],
          ink: "run3",
          stops: stops(o.radials.orders[1]),
        },
      ]),
      steps: [
        "A ring saves copper on paper, but one loose terminal breaks it silently and a leg may then carry the full rating of its device.",
        "Two 20 A radials give more in total and are simpler to find faults in, for one more way in the board.",
      ],
    };
  },
});

const figureOver = (o: {
  ring: { length: number; bound: number };
  radials: { total: number; bound: number };
}): string => (100 * (Math.max(o.ring.length / o.ring.bound, o.radials.total / o.radials.bound) - 1)).toFixed(1);
