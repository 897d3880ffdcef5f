import { describe, expect, it } from "vitest";
import type { Job } from "../job/model";
import { paintCircuit, wireAs } from "./on-circuit";
import { apply, pinned, twoRooms, withCircuit } from "./two-rooms.fixture";

describe("spurs", () => {
  const wired = (): { job: Job; ids: string[] } => {
    const job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    return { job: withCircuit(job, "c", ids, { label: "R1", kind: "ring" }), ids };
  };
  it("hangs a point on another of its circuit, and takes it back in", () => {
    const { job, ids } = wired();
    const spur = apply(job, wireAs(job, ids[2]!, ids[0]!));
    expect(spur.circuits[0]).toMatchObject({ points: ids.slice(0, 2), spurs: [{ point: ids[2], from: ids[0] }] });
    expect(apply(spur, wireAs(spur, ids[2]!, null)).circuits[0]).toMatchObject({ points: ids, spurs: [] });
  });
  it("refuses a spur on a spur, a second one from a point, and one from elsewhere", () => {
    const { job, ids } = wired();
    const spur = apply(job, wireAs(job, ids[2]!, ids[0]!));
    expect(wireAs(spur, ids[1]!, ids[0]!)).toMatch(/feeds a spur already/);
    expect(wireAs(spur, ids[1]!, ids[2]!)).toMatch(/nothing hangs on a spur but behind a fused unit/);
    expect(wireAs(spur, ids[0]!, ids[1]!)).toMatch(/does not hang on a spur/);
    expect(wireAs(twoRooms(), ids[0]!, ids[1]!)).toMatch(/on no circuit|is none/);
  });
  it("on a radial a branch may branch, but not come back to itself; behind a fused unit of a ring as many as are wanted", () => {
    const { job, ids } = wired();
    const radial = { ...job, circuits: job.circuits.map((c) => ({ ...c, kind: "radial" as const })) };
    const one = apply(radial, wireAs(radial, ids[2]!, ids[1]!));
    const two = apply(one, wireAs(one, ids[1]!, ids[0]!));
    expect(two.circuits[0]!.spurs).toEqual([
      { point: ids[2], from: ids[1] },
      { point: ids[1], from: ids[0] },
    ]);
    expect(wireAs(two, ids[0]!, ids[2]!)).toMatch(/is fed through/);
    expect(wireAs(two, ids[0]!, ids[0]!)).toMatch(/is none/);
    const unit = {
      ...job,
      points: job.points.map((p) => (p.id === ids[0] ? { ...p, kind: "fused-unit" as const, gang: 1 as const } : p)),
    };
    const first = apply(unit, wireAs(unit, ids[1]!, ids[0]!));
    const second = apply(first, wireAs(first, ids[2]!, ids[0]!));
    expect(second.circuits[0]).toMatchObject({ points: [ids[0]], spurs: [{ point: ids[1] }, { point: ids[2] }] });
    expect(apply(second, wireAs(second, ids[2]!, ids[1]!)).circuits[0]!.spurs[1]).toEqual({
      point: ids[2],
      from: ids[1],
    });
  });
});

describe("circuits painted over", () => {
  it("lets go of pins and spurs of what leaves, and leaves alone what stays", () => {
    let job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id) as [string, string, string];
    job = withCircuit(job, "c1", ids.slice(0, 2), { spurs: [{ point: ids[2], from: ids[0] }] });
    job = withCircuit(job, "c2", []);
    job = apply(job, [pinned("c1", ids[0], ids[1]), pinned("c1", ids[0], ids[2])]);
    const moved = apply(job, paintCircuit(job, [ids[2]], "c2"));
    expect(moved.pins.map((p) => [p.from, p.to])).toEqual([[ids[0], ids[1]]]);
    expect(moved.circuits).toMatchObject([
      { id: "c1", points: ids.slice(0, 2), spurs: [] },
      { id: "c2", points: [ids[2]] },
    ]);
    const off = apply(job, paintCircuit(job, [ids[0]], null));
    expect(off.pins).toEqual([]);
    expect(off.circuits[0]).toMatchObject({ points: [ids[1]], spurs: [] });
    expect(paintCircuit(job, [ids[1]], "c1")).toEqual([]);
    expect(paintCircuit(job, ["none"], "c2")).toEqual([]);
  });
  it("a spur put back or hung elsewhere lets go of its own pins only", () => {
    let job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id) as [string, string, string];
    job = withCircuit(job, "c1", ids);
    job = apply(job, [pinned("c1", ids[0], ids[1]), pinned("c1", ids[1], ids[2])]);
    const spur = apply(job, wireAs(job, ids[2], ids[0]));
    expect(spur.pins.map((p) => [p.from, p.to])).toEqual([[ids[0], ids[1]]]);
    expect(spur.circuits[0]).toMatchObject({ points: ids.slice(0, 2), spurs: [{ point: ids[2], from: ids[0] }] });
    // Hung on another point instead, it is still one spur.
    expect(apply(spur, wireAs(spur, ids[2], ids[1])).circuits[0]).toMatchObject({
      spurs: [{ point: ids[2], from: ids[1] }],
    });
    expect(wireAs(job, ids[2], ids[2])).toMatch(/S3 is none/);
    expect(wireAs(job, job.points.find((p) => p.kind === "light")!.id, ids[0])).toMatch(/on no circuit yet/);
  });
});
