import { describe, expect, it } from "vitest";
import { toFace } from "../base/wall-frame";
import { layHouse } from "../house/house";
import { generatedHouse } from "../routing/generated-house";
import { behindWall } from "./behind-wall";
import { makePlan } from "./plan";

describe("what is behind a wall", () => {
  const job = generatedHouse(7, 3, 4);
  const h = layHouse(job);
  const plan = makePlan(job);
  const shared = h.faces.filter((f) => f.opposite.length);
  it("lists the same legs from either face, mirrored, with depths that add up to the distance between them", () => {
    let met = 0;
    for (const f of shared) {
      const o = h.faces[f.opposite[0]!]!;
      for (const x of behindWall(h, plan, f.wall.id)) {
        const twin = behindWall(h, plan, o.wall.id).find(
          (y) => y.run === x.run && y.leg === x.leg && y.from === x.from,
        );
        if (!twin) continue;
        met++;
        expect(twin.a.u).toBeCloseTo(f.shape.length - x.a.u, 3);
        expect(twin.a.v).toBeCloseTo(x.a.v, 3);
        expect(x.depth + twin.depth).toBeCloseTo(-toFace(f.frame, o.frame.origin).into, 3);
        expect(x.otherFace).toBe(!twin.otherFace);
      }
    }
    expect(met).toBeGreaterThan(0);
  });
  it("goes from left to right, and is empty for a wall that is not there", () => {
    for (const f of shared) {
      const us = behindWall(h, plan, f.wall.id).map((x) => Math.min(x.a.u, x.b.u));
      expect(us).toEqual([...us].sort((a, b) => a - b));
    }
    expect(behindWall(h, plan, "none")).toEqual([]);
    expect(behindWall(h, null, shared[0]!.wall.id)).toEqual([]);
  });
});
