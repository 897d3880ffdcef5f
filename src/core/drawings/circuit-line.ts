import { mm } from "../base/figures";
import { mustCarry } from "../trades/circuits/check-circuit";
import type { LaidCircuit } from "../trades/circuits/laid-circuit";
import { type Scene, pen } from "./scene";

/** Tallest bar, and the room between the way and the bars, as shares of the length of the drawing. */
const TALL = 0.16;

/**
 * A circuit opened out along its cable: every leg as a bar as high as what it carries, with the line of what it must carry, its points
 * where they lie, and the weakest leg marked. The way first, then each spur or branch under it. x along the cable, mm.
 */
export function drawCircuitLine(x: LaidCircuit, label: (point: string) => string): Scene {
  const p = pen();
  const ways = x.input.legs.length;
  let at = ways;
  const spurs = (x.input.spurs ?? []).map((s, n) => {
    const legs = x.legs.slice(at, at + s.legs.length);
    at += legs.length;
    return { legs, to: x.off[n]! };
  });
  const key = ({ legs }: (typeof spurs)[number]): string => legs.map((l) => `${l.run} ${l.leg}`).join("|");
  // A spur on the way to another is drawn with that one.
  const whole = spurs.filter((a) => !spurs.some((b) => b !== a && key(b).startsWith(`${key(a)}|`)));
  const rows = [x.legs.slice(0, ways), ...whole.map((s) => s.legs)];
  const long = (legs: readonly { length: number }[]): number => legs.reduce((sum, l) => sum + l.length, 0);
  const longest = Math.max(1, ...rows.map(long));
  const most = Math.max(...x.legs.map((l) => Math.max(l.carries, mustCarry(x.input, l))));
  const tall = longest * TALL;
  const high = (amps: number): number => (amps / most) * tall;
  const weakest = x.legs[x.result.worstLeg]!;
  rows.forEach((legs, n) => {
    const foot = n * tall * 2.1;
    let from = 0;
    for (const l of legs) {
      const worst = l === weakest;
      const short = l.carries < mustCarry(x.input, l);
      p.rect(
        from,
        foot - high(l.carries),
        l.length,
        high(l.carries),
        short ? "stop" : worst ? "zone" : "cable",
        "soft",
        {
          id: `${l.run} ${l.leg}`,
          width: 0.7,
          cover: short || worst ? 1 : 0.55,
        },
      );
      const must = foot - high(mustCarry(x.input, l));
      p.line(
        [
          [from, must],
          [from + l.length, must],
        ],
        "ink",
        { width: 1.4 },
      );
      if (worst)
        p.text(
          from + l.length / 2,
          foot - tall,
          `weakest: ${mm(Math.round(l.carries * 10) / 10)} A, method ${l.method}`,
          {
            drop: -0.5,
            ink: short ? "stop" : "ink",
            anchor: from < longest * 0.3 ? "start" : from > longest * 0.7 ? "end" : "middle",
          },
        );
      from += l.length;
    }
    p.line(
      [
        [0, foot],
        [from, foot],
      ],
      "ink",
      { heavy: true },
    );
  });
  const onWay = x.places.filter((q) => q.spur === 0).map((q) => ({ at: q.along * 1000, text: label(q.point) }));
  const places = [{ at: 0, text: "board" }, ...onWay].sort((a, b) => a.at - b.at);
  let free = -Infinity;
  for (const s of places) {
    p.circle(s.at, 0, longest * 0.006, "paper", "ink", { heavy: true });
    // A name that would cover the one before it is left out: the table has them all.
    if (s.at < free) continue;
    free = s.at + longest * 0.13;
    p.text(s.at, 0, s.text, { drop: 1.2, ink: "soft", size: 11, anchor: s.at < longest * 0.05 ? "start" : "middle" });
  }
  whole.forEach(({ to }, n) =>
    p.text(0, (n + 1) * tall * 2.1, `off to ${label(to)}`, { anchor: "start", drop: 1.2, ink: "soft", size: 11 }),
  );
  return { label: `What ${x.circuit.label} carries along its cable`, shapes: p.shapes, template: false };
}
