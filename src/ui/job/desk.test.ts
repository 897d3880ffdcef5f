import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { twoRooms, withCircuit } from "../../core/house/two-rooms.fixture";
import { layHouse } from "../../core/house/house";
import type { Job } from "../../core/job/model";
import { applyPatch } from "../../core/job/patch";
import { runKey } from "../../core/job/run-key";
import type { SiteEntry } from "../../core/job/site-entry";
import { standardCatalogue } from "../../core/rules/catalogue";
import { isPicked, pickPoints, pickedPoints, pressPoint, shiftPoints } from "./picking";
import {
  change,
  edit,
  endPreview,
  mergeMissed,
  openDesk,
  passOver,
  preview,
  redo,
  settle,
  undo,
  useDesk,
} from "./store";

const base = twoRooms();
const sockets = base.points.filter((p) => p.kind === "socket");
const [a, b, c] = sockets.map((p) => p.id) as [string, string, string];
const job = withCircuit(withCircuit(base, "c1", [a, b]), "c2", []);
const desk = () => useDesk.getState();
const point = (id: string, j: Job = desk().job) => j.points.find((p) => p.id === id)!;
const u = (id: string, j?: Job): number => (point(id, j).place as { u: number }).u;
const moved = (id: string, to: number) => {
  const p = point(id);
  return change("points", id, { ...p, place: { ...p.place, u: to } });
};
const start = (book: SiteEntry[] = []): void =>
  openDesk(job, 7, book, standardCatalogue, { stage: "points", room: null });
const keys = { shiftKey: false, ctrlKey: false, metaKey: false };

beforeEach(() => start());

describe("an edit at the desk", () => {
  it("is shown at once, with its house, and waits to be stored under a key of its own", () => {
    expect(edit([moved(a, 900)])).toBeNull();
    expect([u(a), u(a, desk().shown)]).toEqual([900, 900]);
    expect(desk().house.points.find((p) => p.point.id === a)!.space).toEqual([3600, 2100, 450]);
    expect(edit([moved(a, 910)])).toBeNull();
    expect(desk().waiting).toHaveLength(2);
    expect(new Set(desk().waiting.map((w) => w.key)).size).toBe(2);
    expect(desk().version).toBe(7);
  });
  it("that the job cannot bear is refused in a sentence, and changes nothing", () => {
    const before = desk();
    expect(edit([moved(a, 9000)])).toMatch(/^[A-Z].*\.$/);
    expect(edit([change("points", a, { ...point(a), label: "" })])).toMatch(/^[A-Z].*\.$/);
    const c1 = job.circuits.find((x) => x.id === "c1")!;
    expect(edit([moved(a, 900), change("circuits", "c1", { ...c1, points: ["nobody"] })])).toMatch(
      /^Nobody is not one of the points of this job\.$/,
    );
    expect([desk().job, desk().waiting, desk().past]).toEqual([before.job, [], []]);
  });
  it("a change under way is shown and not stored, and is gone when it is let go of", () => {
    preview([moved(a, 1000)]);
    expect([u(a), u(a, desk().shown)]).toEqual([500, 1000]);
    expect(desk().house.points.find((p) => p.point.id === a)!.space[1]).toBe(2000);
    endPreview();
    expect(desk().shown).toBe(desk().job);
    expect(desk().house.points.find((p) => p.point.id === a)!.space[1]).toBe(2500);
    expect(desk().waiting).toEqual([]);
  });
  it("undo and redo go back and forth over any edits, and the house follows", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ which: fc.constantFrom(a, b, c), to: fc.integer({ min: 200, max: 2800 }) }), {
          minLength: 1,
          maxLength: 8,
        }),
        (edits) => {
          start();
          const seen = [desk().job];
          for (const e of edits)
            if (u(e.which) !== e.to && edit([moved(e.which, e.to)]) === null) seen.push(desk().job);
          for (let i = seen.length - 2; i >= 0; i--) {
            expect(undo()).toBe("done");
            expect(desk().job).toEqual(seen[i]);
          }
          expect(undo()).toBe("nothing");
          for (let i = 1; i < seen.length; i++) {
            expect(redo()).toBe("done");
            expect(desk().job).toEqual(seen[i]);
          }
          expect(redo()).toBe("nothing");
          expect(desk().house.points.map((p) => p.space)).toEqual(layHouse(desk().job).points.map((p) => p.space));
          // Whatever was done and undone, what waits leads from the stored job to the one shown.
          expect(desk().waiting.reduce((j, w) => applyPatch(j, w.patch), job)).toEqual(desk().job);
        },
      ),
      { numRuns: 40 },
    );
  });
  it("a new edit leaves nothing to redo", () => {
    edit([moved(a, 900)]);
    undo();
    edit([moved(b, 1400)]);
    expect(redo()).toBe("nothing");
  });
});

describe("what others stored meanwhile", () => {
  const theirs = (id: string, to: number) => {
    const p = point(id, job);
    return { collection: "points" as const, id, before: p, after: { ...p, place: { ...p.place, u: to } } };
  };
  it("comes in beside what waits here, and does not touch what is being changed here", () => {
    edit([moved(a, 900)]);
    mergeMissed({ kind: "patches", patches: [{ version: 8, patch: [theirs(a, 100), theirs(b, 1300)] }] }, 8, new Set());
    expect([u(a), u(b), desk().version]).toEqual([900, 1300, 8]);
    expect(desk().waiting).toHaveLength(1);
  });
  it("takes what was stored off the list, and lays the rest on a job sent whole", () => {
    edit([moved(a, 900)]);
    edit([moved(b, 1400)]);
    const [first] = desk().waiting;
    const whole = applyPatch(job, [theirs(c, 2400)]);
    mergeMissed({ kind: "whole", job: applyPatch(whole, first!.patch) }, 9, new Set([first!.key]));
    expect([u(a), u(b), u(c), desk().version]).toEqual([900, 1400, 2400, 9]);
    expect(desk().waiting).toHaveLength(1);
  });
  it("undo after theirs goes back to before mine, theirs kept", () => {
    edit([moved(a, 900)]);
    mergeMissed({ kind: "patches", patches: [{ version: 8, patch: [theirs(b, 1300)] }] }, 8, new Set());
    expect(undo()).toBe("done");
    expect([u(a), u(b)]).toEqual([500, 1300]);
  });
  it("undo never takes back unasked what another made of it since: it asks, passes over, or does it knowingly", () => {
    edit([moved(b, 1400)]);
    edit([moved(a, 900)]);
    useDesk.setState({ waiting: [] });
    mergeMissed({ kind: "patches", patches: [{ version: 8, patch: [theirs(a, 100)] }] }, 8, new Set());
    expect(undo()).toBe("asks");
    expect([u(a), desk().overwrites]).toEqual([100, { way: "past", things: [{ collection: "points", id: a }] }]);
    passOver();
    expect([u(a), desk().overwrites]).toEqual([100, null]);
    expect(undo()).toBe("done");
    expect([u(a), u(b)]).toEqual([100, 1500]);
    expect(undo()).toBe("nothing");
    start();
    edit([moved(a, 900)]);
    useDesk.setState({ waiting: [] });
    mergeMissed({ kind: "patches", patches: [{ version: 8, patch: [theirs(a, 100)] }] }, 8, new Set());
    expect(undo(true)).toBe("done");
    expect(u(a)).toBe(500);
    // What is then stored expects what the other made of it, so that it is no clash.
    expect((desk().waiting.at(-1)!.patch[0]!.before as { place: { u: number } }).place.u).toBe(100);
  });
  it("undo keeps 2 000 steps and counts those it let go", () => {
    useDesk.setState({ past: Array.from({ length: 2000 }, () => [moved(b, 1400)]) });
    edit([moved(a, 900)]);
    edit([moved(a, 910)]);
    expect([desk().past.length, desk().undoEnds]).toEqual([2000, 2]);
  });
  describe("a clash is settled thing by thing", () => {
    const clash = (): void => {
      start();
      edit([moved(a, 900)]);
      edit([moved(b, 1400), moved(c, 2300)]);
      useDesk.setState({
        storing: "conflict",
        conflict: {
          theirs: applyPatch(job, [theirs(a, 700), theirs(b, 1300)]),
          version: 8,
          clashes: [
            { collection: "points", id: a },
            { collection: "points", id: b },
          ],
          mine: desk().waiting,
        },
      });
    };
    it("all theirs: mine of those goes, what nobody else touched is kept and waits", () => {
      clash();
      expect(settle(() => "theirs")).toBeNull();
      expect([u(a), u(b), u(c), desk().waiting.length, desk().storing, desk().conflict]).toEqual([
        700,
        1300,
        2300,
        1,
        "storing",
        null,
      ]);
      // Undo is still there, and asks before it takes back theirs.
      expect(undo()).toBe("asks");
    });
    it("all mine, laid on top of theirs under new keys that expect what they stored", () => {
      clash();
      const keys = desk().waiting.map((w) => w.key);
      expect(settle(() => "mine")).toBeNull();
      expect([u(a), u(b), u(c), desk().version]).toEqual([900, 1400, 2300, 8]);
      expect(desk().waiting.some((w) => keys.includes(w.key))).toBe(false);
      expect((desk().waiting[0]!.patch[0]!.before as { place: { u: number } }).place.u).toBe(700);
      expect(settle(() => "mine")).toBeNull();
      expect(desk().waiting).toHaveLength(2);
    });
    it("one theirs and one mine", () => {
      clash();
      expect(settle((t) => (t === `points ${a}` ? "theirs" : "mine"))).toBeNull();
      expect([u(a), u(b), u(c)]).toEqual([700, 1400, 2300]);
      expect(desk().waiting).toHaveLength(1);
    });
    it("what does not hold together is refused in words, and the question stays", () => {
      start();
      // I took a point off the job and off its circuit; another named its circuit anew with the point still on it.
      const c1 = desk().job.circuits.find((x) => x.id === "c1")!;
      edit([change("circuits", "c1", { ...c1, points: [b] }), change("points", a, null)]);
      useDesk.setState({
        storing: "conflict",
        conflict: {
          theirs: applyPatch(job, [change("circuits", "c1", { ...c1, name: "Theirs" })]),
          version: 8,
          clashes: [{ collection: "circuits", id: "c1" }],
          mine: desk().waiting,
        },
      });
      const was = desk().conflict;
      expect(settle(() => "theirs")).toMatch(/not one of the points of this job/);
      expect(desk().conflict).toBe(was);
      expect(settle(() => "mine")).toBeNull();
    });
    it("all theirs where nothing of mine is left: it is stored", () => {
      start();
      edit([moved(a, 900)]);
      const conflict = {
        theirs: applyPatch(job, [theirs(a, 700)]),
        version: 8,
        clashes: [{ collection: "points" as const, id: a }],
        mine: desk().waiting,
      };
      useDesk.setState({ storing: "conflict", conflict });
      expect(settle(() => "theirs")).toBeNull();
      expect([u(a), desk().waiting, desk().storing]).toEqual([700, [], "stored"]);
    });
  });
});

describe("picking", () => {
  it("a press picks one, with Shift one more or one less; pressing one of several keeps them all", () => {
    expect(pressPoint(a, keys)).toBe(true);
    expect(desk().selection).toEqual({ kind: "point", id: a });
    expect(pressPoint(b, { ...keys, shiftKey: true })).toBe(false);
    expect(desk().selection).toEqual({ kind: "points", ids: [a, b] });
    expect(pressPoint(b, keys)).toBe(true);
    expect(pickedPoints(desk().selection)).toEqual([a, b]);
    expect([isPicked(desk().selection, b), isPicked(desk().selection, c), isPicked(null, a)]).toEqual([
      true,
      false,
      false,
    ]);
    pressPoint(a, { ...keys, metaKey: true });
    expect(desk().selection).toEqual({ kind: "point", id: b });
    pressPoint(c, keys);
    expect(desk().selection).toEqual({ kind: "point", id: c });
    pressPoint(c, { ...keys, ctrlKey: true });
    expect(desk().selection).toBeNull();
    pickPoints([]);
    expect(pickedPoints({ kind: "wall", id: "w" })).toEqual([]);
  });
  it("while painting a press puts a point on the circuit, and a second press takes it off", () => {
    useDesk.setState({ paint: "c2" });
    expect(pressPoint(a, keys)).toBe(false);
    expect(desk().job.circuits.map((x) => x.points)).toEqual([[b], [a]]);
    pressPoint(a, keys);
    expect(desk().job.circuits.map((x) => x.points)).toEqual([[b], []]);
    expect(desk().selection).toBeNull();
  });
  it("several are moved by the same amount, to a tenth, on walls along and up, on decks east and north; all or none", () => {
    const light = desk().job.points.find((p) => p.kind === "light")!;
    expect(shiftPoints([point(a), point(b), light], 10.04, -20)).toBeNull();
    expect([point(a).place, point(b).place]).toMatchObject([
      { u: 510, v: 430 },
      { u: 1510, v: 430 },
    ]);
    expect(point(light.id).place).toMatchObject({ x: 1810, y: 1480 });
    expect(shiftPoints([point(a), point(c)], 600, 0)).toMatch(/\.$/);
    expect([u(a), u(c)]).toEqual([510, 2500]);
  });
});

describe("work that is done", () => {
  it("is not changed without being asked: the edit waits for a word, and knowingly it is made", () => {
    const key = runKey({ circuit: "c1", from: a, to: b });
    const run = {
      key,
      circuit: "c1",
      from: a,
      to: b,
      number: 1,
      cable: "te-2.5",
      legs: [
        {
          surface: { kind: "wall", id: (point(a, job).place as { wall: string }).wall },
          method: "chase",
          path: [
            [3600, 2500, 450],
            [3600, 1500, 450],
          ],
          depth: 15,
          protected: false,
        },
      ],
      holes: [],
      cutLength: 1500,
      points: [a, b].map((id) => ({ id, place: point(id, job).place })),
    };
    const entry = {
      id: "e1",
      run: key,
      kind: "done",
      step: "bored",
      text: "",
      by: "Me",
      at: "2026-01-05T10:00:00.000Z",
      held: run,
    };
    start([entry as SiteEntry]);
    const said = edit([moved(a, 900)]);
    if (said === null) throw new Error("the entry did not hold the run");
    expect(said).toMatch(/already done/);
    expect([u(a), desk().waiting.length]).toEqual([500, 0]);
    expect(desk().contradicts!.touched.length).toBeGreaterThan(0);
    expect(edit(desk().contradicts!.patch, true)).toBeNull();
    expect(u(a)).toBe(900);
    expect(edit([moved(c, 2400)])).toBeNull();
  });
  it("is not made in a wall that is released: the sentence says how to open it again", () => {
    const said = (kind: "released" | "reopened", at: string): SiteEntry => ({
      id: `${kind} ${at}`,
      run: `wall:${(point(a, job).place as { wall: string }).wall}`,
      kind,
      step: null,
      text: "Seen",
      by: "Pat",
      at,
    });
    const released = said("released", "2026-01-05T10:00:00.000Z");
    start([released]);
    expect(edit([moved(a, 900)])).toMatch(/was released for closing by Pat on 2026-01-05: .* Open it again first/);
    expect([u(a), desk().waiting.length]).toEqual([500, 0]);
    start([released, said("reopened", "2026-01-05T11:00:00.000Z")]);
    expect(edit([moved(a, 900)])).toBeNull();
    expect(u(a)).toBe(900);
  });
});
