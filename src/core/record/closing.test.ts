import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type SiteEntry, siteEntrySchema, steps } from "../job/site-entry";
import { layHouse } from "../house/house";
import { photoSchema } from "../job/found";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { closingWords, surfaceName } from "../words/closing";
import { closedFacts } from "../plan/held-work";
import { closingList, openOf, refusedReleases, releasedSurfaces, surfaceState, surfacesOf } from "./closing";
import { damagesOf } from "./damage";
import { neededSteps } from "./needed";

const job = generatedHouse(3);
const plan = { ...makePlan(job), facts: [] };
const surfaces = surfacesOf(job, plan);
const wall = surfaces.find((s) => s.kind === "wall" && s.runs.length > 1)!;
const withPhoto = {
  ...job,
  photos: surfaces.map((s, i) => ({
    id: `ph${i}`,
    wall: s.kind === "wall" ? s.id : null,
    deck: s.kind === "deck" ? s.id : null,
    outside: s.kind === "outside" ? s.id : null,
    picture: "p",
    u: 0,
    v: 0,
    text: "",
    at: "",
  })),
};

let n = 0;
const line = (run: string, kind: SiteEntry["kind"], more: Partial<SiteEntry> = {}): SiteEntry => ({
  id: `e${String(++n).padStart(5, "0")}`,
  run,
  kind,
  step: null,
  text: "",
  by: "Pat",
  at: new Date(Date.UTC(2026, 10, 26, 8, 0, n)).toISOString(),
  ...more,
});
const done = (runs: readonly string[]): SiteEntry[] =>
  runs.flatMap((r) => neededSteps(plan, r).flatMap((step) => (step === "made-off" ? [] : [line(r, "done", { step })])));

describe("before a surface is closed", () => {
  it("every run is on the surfaces that its hidden legs lie in, and on no other", () => {
    for (const r of plan.runs)
      for (const s of surfaces)
        expect(s.runs.includes(r.id)).toBe(
          r.legs.some((l) => `${l.surface.kind}:${l.surface.id}` === s.key && (s.kind !== "wall" || l.depth > 0)),
        );
    // Clipped on its face a cable is not hidden by anything.
    const bare = plan.runs.map((r) => ({
      ...r,
      legs: r.legs.map((l) => ({ ...l, depth: 0, method: "surface" as const })),
    }));
    expect(surfacesOf(job, { runs: bare })).toEqual([]);
    expect(new Set(surfaces.map((s) => s.key)).size).toBe(surfaces.length);
  });
  it("what is in it is drilled, drawn in, clipped and tested on the tails; making off is for second fix", () => {
    const open = closingList(wall, withPhoto, plan, []);
    expect(new Set(open.steps.map((s) => s.step))).toEqual(
      new Set(wall.runs.flatMap((r) => neededSteps(plan, r)).filter((s) => s !== "made-off")),
    );
    const all = done(wall.runs);
    expect(openOf(closingList(wall, withPhoto, plan, all))).toBe(0);
    expect(surfaceState(closingList(wall, withPhoto, plan, all), all, wall.key)).toEqual({ kind: "ready" });
    expect(closingList(wall, job, plan, all)).toMatchObject({ photo: true });
  });
  it("each line that is missing stands against it alone, whichever it is", () => {
    const all = done(wall.runs);
    fc.assert(
      fc.property(fc.nat(all.length - 1), (i) => {
        const list = closingList(
          wall,
          withPhoto,
          plan,
          all.filter((_, k) => k !== i),
        );
        expect(list.steps).toEqual([{ step: all[i]!.step, runs: [all[i]!.run] }]);
        expect(openOf(list)).toBe(1);
      }),
    );
  });
  it("a broken rule there stands against it, one elsewhere does not", () => {
    const all = done(wall.runs);
    const of = (where: object, severity: "stop" | "warn" = "stop", run = wall.runs[0]!) =>
      openOf(
        closingList(
          wall,
          withPhoto,
          { ...plan, facts: [{ rule: "zone.leg", severity, subject: { kind: "run", id: run }, where } as never] },
          all,
        ),
      );
    const elsewhere = surfaces.find((s) => s.kind === "wall" && s.key !== wall.key)!;
    expect([of({ wall: wall.id }), of({}), of({ wall: elsewhere.id }), of({ deck: "d" })]).toEqual([1, 1, 0, 0]);
    expect([of({ wall: wall.id }, "warn"), of({}, "stop", "another")]).toEqual([0, 0]);
  });
  it("damage stands against every surface of its run until that damage is repaired", () => {
    const run = wall.runs[0]!;
    const all = done(wall.runs);
    const nick = line(run, "damage", { text: "nick in the sheath", along: 1240 });
    const other = line(run, "damage", { text: "another" });
    const repair = line(run, "repaired", { text: "new length", after: nick.id });
    const open = (lines: SiteEntry[]) =>
      closingList(wall, withPhoto, plan, [...all, ...lines]).damage.map((d) => d.text);
    expect(open([nick, other])).toEqual(["nick in the sheath", "another"]);
    expect(open([nick, other, repair])).toEqual(["another"]);
    expect(damagesOf([nick, repair])[0]).toMatchObject({ along: 1240, repair: { text: "new length", by: "Pat" } });
  });
  it("it is released by name and time, opened again with a reason, and released anew", () => {
    const all = done(wall.runs);
    const release = line(wall.key, "released", { text: "seen" });
    const again = line(wall.key, "reopened", { text: "socket to be moved" });
    const at = (lines: SiteEntry[]) => surfaceState(closingList(wall, withPhoto, plan, lines), lines, wall.key).kind;
    expect([at(all), at([...all, release]), at([...all, release, again])]).toEqual(["ready", "released", "ready"]);
    expect(at([...all, release, again, line(wall.key, "released")])).toBe("released");
    const nick = line(wall.runs[0]!, "damage", { text: "drilled by the kitchen fitter" });
    const now = [...all, release, nick];
    expect(surfaceState(closingList(wall, withPhoto, plan, now), now, wall.key)).toMatchObject({
      kind: "released",
      by: "Pat",
      since: 1,
    });
  });
  it("a release with anything open is refused, as the record stands with the lines sent before it", () => {
    const all = done(wall.runs);
    const release = line(wall.key, "released");
    const nick = line(wall.runs[0]!, "damage", { text: "nick" });
    const refused = (before: SiteEntry[], lines: SiteEntry[]) => [
      ...refusedReleases(withPhoto, plan, before, lines).values(),
    ];
    expect(refused(all, [release])).toEqual([]);
    expect(refused([], [...all, release])).toEqual([]);
    expect(refused(all.slice(1), [release])).toEqual([1]);
    expect(refused(all, [nick, release])).toEqual([1]);
    expect(refused(all, [release, nick])).toEqual([]);
    expect(refused(all, [line("wall:none", "released")])).toEqual([0]);
  });
  it("is told in words that name the surface and the run", () => {
    const h = layHouse(job);
    const words = closingWords(h, closingList(wall, job, plan, []), (id) => `run ${id}`);
    expect(surfaceName(h, wall)).toMatch(/, wall \d+$/);
    expect(words).toContain(`Not drawn in: run ${wall.runs[0]}`);
    expect(words.at(-1)).toMatch(/^No photo/);
  });
});

it("lines of damage, repair and opening again say what it is; a measure is of damage alone", () => {
  const base = { id: "a", run: "r", step: null, by: "Pat", at: "2026-11-26T10:00:00Z" };
  const ok = (x: object) => siteEntrySchema.safeParse({ ...base, ...x }).success;
  expect(ok({ kind: "damage", text: "nick", along: 1240 })).toBe(true);
  for (const kind of ["damage", "reopened"]) expect(ok({ kind, text: " " })).toBe(false);
  expect([ok({ kind: "repaired", text: "new", after: "d" }), ok({ kind: "repaired", text: "new" })]).toEqual([
    true,
    false,
  ]);
  expect([ok({ kind: "note", text: "x", along: 1 }), ok({ kind: "damage", text: "x", along: 1.5 })]).toEqual([
    false,
    false,
  ]);
  expect(steps).toHaveLength(5);
});

it("what is released and not opened again is closed: nothing new is laid in it without a word", () => {
  const released = line(wall.key, "released", { text: "seen" });
  expect(releasedSurfaces([released])).toEqual([wall.key]);
  expect(releasedSurfaces([released, line(wall.key, "reopened", { text: "leak", after: released.id })])).toEqual([]);
  const told = (entries: SiteEntry[], held: boolean): string[] =>
    closedFacts(
      plan.runs.map((r) => ({ ...r, held })),
      releasedSurfaces(entries),
    ).map((f) => f.subject.id);
  expect(told([released], false).sort()).toEqual([...wall.runs].sort());
  expect(told([released], true)).toEqual([]);
  expect(told([], false)).toEqual([]);
});

it("a deck is photographed like a wall; a photo is of one or the other", () => {
  const deck = surfaces.find((s) => s.kind === "deck")!;
  expect(closingList(deck, { ...job, photos: [] }, plan, []).photo).toBe(true);
  expect(closingList(deck, withPhoto, plan, []).photo).toBe(false);
  const photo = { id: "p", picture: "p", u: 0, v: 0, at: "" };
  expect(photoSchema.safeParse({ ...photo, wall: "w", deck: null, outside: null }).success).toBe(true);
  expect(photoSchema.safeParse({ ...photo, wall: "w" }).success).toBe(true);
  expect(photoSchema.safeParse({ ...photo, wall: null, deck: "d" }).success).toBe(true);
  expect(photoSchema.safeParse({ ...photo, wall: null }).success).toBe(false);
  expect(photoSchema.safeParse({ ...photo, wall: "w", deck: "d" }).success).toBe(false);
});
