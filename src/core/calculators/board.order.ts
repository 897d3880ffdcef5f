import { z } from "zod";
import { crossings, entryOrder } from "../trades/board/entry-order";
import { drawEntries } from "../drawings/line-drawings";
import { count } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "board.order",
  purpose: "In what order do the circuits go into the board?",
  group: "Materials and board",
  source: "Trade habit: the heaviest next to the main switch",
  input: z.strictObject({
    circuits: f.rows(
      "Circuits",
      z.strictObject({
        id: f.name("Circuit"),
        rating: f.number("Rating", "A", 0.1, 1000),
        arrival: f.number("Position in trunking, 0 = main-switch side", "", 0, 1000),
      }),
      100,
    ),
    fixed: f
      .rows("Fixed ways", z.strictObject({ id: f.name("Circuit"), way: f.whole("Way", 1, 100) }), 100)
      .default([]),
  }),
  output: z.object({ order: z.array(z.string().nullable()), crossings: z.number(), arrivalOrder: z.array(z.string()) }),
  first: {
    circuits: [
      { id: "lights", rating: 6, arrival: 0 },
      { id: "ring", rating: 32, arrival: 1 },
      { id: "cooker", rating: 40, arrival: 2 },
      { id: "kiln", rating: 25, arrival: 3 },
    ],
  },
  run: (i) => {
    const ids = new Set<string>();
    i.circuits.forEach((c, n) => {
      if (ids.has(c.id)) throw new InputFault(`circuits.${n}.id`, `got "${c.id}"; must differ from the other circuits`);
      ids.add(c.id);
    });
    const ways = new Map<number, string>();
    const done = new Set<string>();
    i.fixed.forEach((x, n) => {
      if (!ids.has(x.id)) throw new InputFault(`fixed.${n}.id`, `got "${x.id}"; must be one of ${[...ids].join(", ")}`);
      if (done.has(x.id)) throw new InputFault(`fixed.${n}.id`, `got "${x.id}"; must be fixed once only`);
      if (ways.has(x.way))
        throw new InputFault(`fixed.${n}.way`, `got ${x.way}; must be a way of its own, ${ways.get(x.way)} is on it`);
      ways.set(x.way, x.id);
      done.add(x.id);
    });
    return entryOrder(i.circuits, i.fixed);
  },
  sheet: (i, o) => {
    const arriving = [...i.circuits].sort((a, b) => a.arrival - b.arrival || (a.id < b.id ? -1 : 1)).map((c) => c.id);
    return {
      headline: o.crossings
        ? `${count(o.crossings, "crossing")} as they arrive; none if the trunking holds them as ${o.arrivalOrder.join(", ")}.`
        : "None crosses another on the way in.",
      scene: drawEntries(arriving, o.order, new Map(i.circuits.map((c) => [c.id, `${c.id} ${c.rating}`]))),
      steps: [
        `Ways from the main switch: ${o.order.map((id) => id ?? "empty").join(", ")}.`,
        `Order in the trunking, from the main-switch side: ${o.arrivalOrder.join(", ")}. It is fixed at the far end and cannot be mended at the board without a twist.`,
        `${crossings(o.arrivalOrder, o.arrivalOrder) === 0 ? "Flag each cable: what it feeds and where." : ""}`,
      ],
    };
  },
});
