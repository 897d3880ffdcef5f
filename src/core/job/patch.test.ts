import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { generatedHouse } from "../routing/generated-house";
import { type Job, canonical } from "./model";
import { type Change, applyPatch, changesBetween, clashesOf, current, equal, inverse, parsePatch } from "./patch";

const job = generatedHouse(4);
const rename = (j: Job, i: number, label: string): Change => {
  const p = j.points[i % j.points.length]!;
  return { collection: "points", id: p.id, before: p, after: { ...p, label } };
};
/** Patches that each follow from the one before, as a hand makes them. */
const edits = fc.array(
  fc.oneof(
    fc.tuple(fc.constant("move" as const), fc.nat(50), fc.integer({ min: 0, max: 900 })),
    fc.tuple(fc.constant("add" as const), fc.nat(50), fc.nat(9)),
    fc.tuple(fc.constant("drop" as const), fc.nat(50), fc.nat(9)),
    fc.tuple(fc.constant("name" as const), fc.nat(50), fc.nat(9)),
  ),
  { minLength: 1, maxLength: 9 },
);
function made(from: Job, list: [string, number, number][]): { job: Job; patch: Change[] } {
  let j = from;
  const patch: Change[] = [];
  for (const [kind, i, n] of list) {
    const p = j.points[i % j.points.length];
    let c: Change | null = null;
    if (kind === "name") c = { collection: "head", id: "name", before: j.name, after: `Job ${n}` };
    else if (kind === "add") {
      const id = `n-${i}-${n}`;
      c = {
        collection: "points",
        id,
        before: current(j, { collection: "points", id }),
        after: { ...job.points[0]!, id, label: "N" },
      };
    } else if (p && kind === "drop") c = { collection: "points", id: p.id, before: p, after: null };
    else if (p) c = { collection: "points", id: p.id, before: p, after: { ...p, label: `L${n}` } };
    if (!c) continue;
    patch.push(c);
    j = applyPatch(j, [c]);
  }
  return { job: j, patch };
}

describe("a patch", () => {
  it("property: applied and then its inverse leaves the job as it was", () =>
    fc.assert(
      fc.property(edits, (list) => {
        const { job: after, patch } = made(job, list);
        expect(applyPatch(job, patch)).toEqual(after);
        expect(applyPatch(after, inverse(patch))).toEqual(job);
      }),
    ));
  it("property: leaves every list in canonical order, and what it does not name the same thing", () =>
    fc.assert(
      fc.property(edits, (list) => {
        const { job: after, patch } = made(job, list);
        expect(after).toEqual(canonical(after));
        expect(after.walls).toBe(job.walls);
        const named = new Set(patch.map((c) => c.id));
        for (const p of after.points) if (!named.has(p.id)) expect(job.points).toContain(p);
      }),
    ));
  it("property: of one hand never clashes with itself; the same patch from another's job does", () =>
    fc.assert(
      fc.property(edits, (list) => {
        const { patch } = made(job, list);
        expect(clashesOf(job, patch)).toEqual([]);
      }),
    ));
  it("clashes where another has changed the thing, also in the middle of a chain, and not where the outcome is there", () => {
    const first = rename(job, 0, "A");
    const second: Change = { ...first, before: first.after, after: { ...(first.after as object), label: "B" } };
    const theirs = applyPatch(job, [rename(job, 0, "X")]);
    expect(clashesOf(theirs, [first, second])).toEqual([{ collection: "points", id: first.id }]);
    expect(clashesOf(applyPatch(job, [first]), [second])).toEqual([]);
    expect(clashesOf(applyPatch(job, [first]), [first])).toEqual([]);
    expect(clashesOf(job, [second])).toHaveLength(1);
    expect(clashesOf(job, [{ ...first, before: null }])).toHaveLength(1);
  });
  it("property: changes between two jobs lead from one to the other", () =>
    fc.assert(
      fc.property(edits, (list) => {
        const { job: after } = made(job, list);
        const between = changesBetween(job, after);
        expect(applyPatch(job, between)).toEqual(after);
        if (after.points === job.points) expect(between.every((c) => c.collection === "head")).toBe(true);
        expect(changesBetween(after, after)).toEqual([]);
      }),
    ));
});

describe("equality of plain data", () => {
  it.each([
    [{ a: 1, b: [1, { c: null }] }, { b: [1, { c: null }], a: 1 }, true],
    [{ a: 1 }, { a: 1, b: undefined }, true],
    [{ a: 1 }, { a: 1, b: null }, false],
    [[1, 2], [2, 1], false],
    [[], {}, false],
    [0, -0, false],
    [NaN, NaN, true],
    [null, {}, false],
    ["1", 1, false],
    [{ a: [] }, { a: [] }, true],
    [{ a: 1 }, { b: 1 }, false],
  ])("%j and %j: %s", (a, b, want) => expect(equal(a, b)).toBe(want));
});

describe("a patch from outside", () => {
  const p = job.points[0]!;
  const bad = (patch: unknown): string => {
    const r = parsePatch(patch);
    return "refusals" in r ? r.refusals.map((x) => x.path).join(" ") : "taken";
  };
  it("is refused by its field, whatever it is", () => {
    expect(bad(null)).toBe("");
    expect(bad([])).toBe("");
    expect(bad([{ collection: "ghosts", id: "x", before: null, after: null }])).toMatch(/collection/);
    expect(bad([{ collection: "points", id: p.id, before: p, after: { ...p, label: "" } }])).toBe(
      `points.${p.id}.label`,
    );
    expect(bad([{ collection: "points", id: p.id, before: p, after: { ...p, id: "other" } }])).toBe(
      `points.${p.id}.id`,
    );
    expect(bad([{ collection: "head", id: "version", before: 1, after: 2 }])).toBe("head.version");
    expect(bad([{ collection: "head", id: "name", before: "a", after: "" }])).toMatch(/^name/);
    expect(bad([{ collection: "head", id: "name", before: "a", after: "x".repeat(81) }])).toMatch(/^name/);
    expect(bad([{ collection: "points", id: p.id, before: p, after: p }])).toBe("taken");
    expect(bad([{ collection: "points", id: p.id, before: p, after: null }])).toBe("taken");
  });
});
