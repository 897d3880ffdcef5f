import { z } from "zod";
import { drawLines } from "../drawings/line-drawings";
import { cutStock } from "../plan/cut-stock";
import { count, mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

const lengths = (title: string, most: number) =>
  f.rows(title, z.strictObject({ id: f.name(), length: f.size("Length", 10_000_000) }), most);

export default calculator({
  name: "materials.cut",
  purpose: "Which piece do I cut from which drum?",
  group: "Materials and board",
  source: "Branch and bound with proven bounds",
  input: z.strictObject({ pieces: lengths("Pieces", 500), stock: lengths("Drums or lengths", 60) }),
  output: z.object({
    cuts: z.array(z.object({ stock: z.string(), pieces: z.array(z.string()), left: z.number() })),
    unmet: z.array(z.string()),
    left: z.number(),
    bound: z.number(),
    leftBound: z.number(),
    optimal: z.boolean(),
  }),
  first: {
    pieces: [
      { id: "S1–S2", length: 6400 },
      { id: "S2–S3", length: 4200 },
      { id: "DB–S1", length: 11800 },
      { id: "DB–K1", length: 9700 },
    ],
    stock: [
      { id: "D1", length: 25000 },
      { id: "D2", length: 14000 },
    ],
  },
  run: (i) => {
    for (const field of ["pieces", "stock"] as const) {
      const ids = new Set<string>();
      i[field].forEach((x, n) => {
        if (ids.has(x.id)) throw new InputFault(`${field}.${n}.id`, `got "${x.id}"; must differ from the others`);
        ids.add(x.id);
      });
    }
    return cutStock(i.pieces, i.stock);
  },
  sheet: (i, o) => {
    const length = new Map(i.pieces.map((p) => [p.id, p.length]));
    const stock = new Map(i.stock.map((s) => [s.id, s.length]));
    const lines = o.cuts.map((c) => {
      let at = 0;
      return {
        name: `${c.stock}, ${mm(stock.get(c.stock)!)}`,
        length: stock.get(c.stock)!,
        ink: "run1" as const,
        stops: c.pieces.map((p) => ({ at: (at += length.get(p)!), text: p })),
        ends: `left ${mm(c.left)}`,
      };
    });
    return {
      headline: `${count(o.cuts.length, "drum")} opened${o.unmet.length ? `, ${count(o.unmet.length, "piece")} without cable` : ""}; the longest remnant is ${mm(o.left)}${o.optimal ? ". Proven best" : `. At least ${count(o.bound, "drum")} needed; no remnant over ${mm(o.leftBound)} is possible`}.`,
      scene: drawLines(
        "Drums with their pieces, to one scale",
        lines.length ? lines : [{ name: "nothing cut", length: 1, ink: "soft", stops: [] }],
      ),
      steps: o.cuts.map(
        (c) => `${c.stock}: ${c.pieces.map((p) => `${p} ${mm(length.get(p)!)}`).join(", ")}; ${mm(c.left)} left.`,
      ),
    };
  },
});
