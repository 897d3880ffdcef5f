import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { generatedBlock } from "../routing/generated-block";
import { layHouse } from "./house";
import { changes, house } from "./one-change.fixture";
import { relayHouse } from "./relay";

describe("a house laid out anew from the one before", () => {
  it.each(Object.keys(changes))("%s: comes to the same house as laying all of it", (name) => {
    fc.assert(
      fc.property(fc.nat(500), fc.integer({ min: -90, max: 90 }), (n, by) => {
        const next = changes[name]!(house, n, by);
        expect(relayHouse(layHouse(house), next)).toEqual(layHouse(next));
      }),
      { numRuns: 20 },
    );
  });
  it("holds over many changes in a row", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(changes)), fc.nat(500), fc.integer({ min: -90, max: 90 })), {
          maxLength: 8,
        }),
        (steps) => {
          let job = house;
          let laid = layHouse(job);
          for (const [name, n, by] of steps) {
            if (!job.rooms.length || !job.points.length) break;
            job = changes[name]!(job, n, by);
            laid = relayHouse(laid, job);
          }
          expect(laid).toEqual(layHouse(job));
        },
      ),
      { numRuns: 25 },
    );
  });
  it("shares what is not touched, and never writes into the house before", () => {
    const block = generatedBlock(2, 2);
    const before = layHouse(block);
    const copy = structuredClone({ faces: before.faces, points: before.points });
    const after = relayHouse(before, changes["a point moved"]!(block, 3, 10));
    expect(after.faces.filter((f, i) => f === before.faces[i]).length).toBeGreaterThan(before.faces.length * 0.8);
    expect({ faces: before.faces, points: before.points }).toEqual(copy);
    expect(relayHouse(before, block)).toBe(before);
  });
});
