import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { sectionSchema } from "../job/model";
import { changes, house } from "../house/one-change.fixture";
import { relayHouse } from "../house/relay";
import { buildGraph, graphOf } from "./build";
import { EDGE, type RouteGraph } from "./graph";

/** Names of what two graphs do not have alike. */
const unlike = (a: RouteGraph, b: RouteGraph): string[] =>
  (Object.keys(a) as (keyof RouteGraph)[]).filter((name) => {
    const [p, q] = [a[name], b[name]];
    if (!ArrayBuffer.isView(p) || !ArrayBuffer.isView(q)) return JSON.stringify(p) !== JSON.stringify(q);
    const bytes = (x: ArrayBufferView): Buffer => Buffer.from(x.buffer, x.byteOffset, x.byteLength);
    return Buffer.compare(bytes(p), bytes(q)) !== 0;
  });

it("a corner is gone round and a wall gone through in one line at each place, whichever face it is seen from", () => {
  const { a, b, kind } = graphOf(layHouse(house));
  const lines = [...kind.keys()].filter((e) => kind[e] === EDGE.corner || kind[e] === EDGE.through);
  expect(lines.some((e) => kind[e] === EDGE.through)).toBe(true);
  const named = lines.map((e) => [a[e]!, b[e]!].sort((p, q) => p - q).join(" "));
  expect(new Set(named).size).toBe(named.length);
});

describe("the graph of a house put together from parts kept from the one before", () => {
  it.each(Object.keys(changes))("%s: is the same as when all of it is made", (name) => {
    fc.assert(
      fc.property(fc.nat(500), fc.integer({ min: -90, max: 90 }), (n, by) => {
        const before = layHouse(house);
        graphOf(before);
        const next = changes[name]!(house, n, by);
        expect(unlike(graphOf(relayHouse(before, next)), buildGraph(layHouse(next)))).toEqual([]);
      }),
      { numRuns: 8 },
    );
  });
  it.each([
    [
      "an upright trunking set aside by 30",
      (u: number) => {
        const path = [300, 900].map((v) => ({ on: "wall", wall: house.walls[0]!.id, u, v }));
        const s = sectionSchema.parse({ id: "t", label: "T", kind: "mini-trunking", size: "38x16", path });
        return { ...house, sections: [s] };
      },
      [400, 430],
    ],
    [
      "notches by the other school",
      (n: number) => {
        // Over the whole of a span, so that one school allows some which the other does not.
        const lines = Array.from({ length: 30 }, (_, k) => 200 + 75 * k);
        const decks = house.decks.map((d) => ({ ...d, notchLines: lines }));
        const schools = { ...house.settings.schools, notch: n ? ("on-site" as const) : ("warranty" as const) };
        return { ...house, decks, settings: { ...house.settings, schools } };
      },
      [0, 1],
    ],
  ] as const)("%s: nothing else changes, and the graph does", (_, make, [from, to]) => {
    const [a, b] = [make(from), make(to)];
    const before = layHouse(a);
    const was = graphOf(before);
    const next = { ...a, sections: b.sections, settings: b.settings };
    const now = graphOf(relayHouse(before, next));
    expect(unlike(now, buildGraph(layHouse(next)))).toEqual([]);
    expect(unlike(now, was)).not.toEqual([]);
  });
  it("is the very same where a change is none of lines: another device, another name, a drum bought", () => {
    const before = layHouse(house);
    const was = graphOf(before);
    const [c, ...others] = house.circuits;
    const device = { ...c!.device, rating: 16 as const };
    for (const next of [
      { ...house, circuits: [{ ...c!, device }, ...others] },
      { ...house, name: "Another" },
      { ...house, drums: [{ id: "d", cable: "2.5-te", length: 50_000 }] as never },
    ])
      expect(graphOf(relayHouse(before, next))).toBe(was);
    expect(graphOf(layHouse(house))).not.toBe(was);
  });
  it("holds over many changes in a row", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(changes)), fc.nat(500), fc.integer({ min: -90, max: 90 })), {
          maxLength: 6,
        }),
        (steps) => {
          let job = house;
          let laid = layHouse(job);
          for (const [name, n, by] of steps) {
            if (!job.rooms.length || !job.points.length) break;
            graphOf(laid);
            job = changes[name]!(job, n, by);
            laid = relayHouse(laid, job);
          }
          expect(unlike(graphOf(laid), buildGraph(layHouse(job)))).toEqual([]);
        },
      ),
      { numRuns: 15 },
    );
  });
});
