import { describe, expect, it } from "vitest";
import { boardCsv, clipsCsv, endsCsv } from "../../core/formats/ends-csv";
import { drawBox, drawBoxDepth } from "../../core/drawings/box-drawing";
import { mm } from "../../core/base/figures";
import { layHouse } from "../../core/house/house";
import { jobSchema } from "../../core/job/model";
import { boardFigures } from "../../core/plan/board-figures";
import { endFigures } from "../../core/plan/end-figures";
import { endSteps } from "../../core/plan/end-steps";
import { isSignalCable } from "../../core/rules/cables";
import { makingOf, startMeasures } from "../../core/trades/ends/steps/makings";
import { job, laid, h, plan, schools, at } from "./laid-cottage.fixture";

describe("the ends of the cottage", () => {
  it("every end opens a card whose figures are those of the plan, and steps that start from them", () => {
    for (const end of plan.ends) {
      const f = endFigures(h, plan, end.point)!;
      const c = f.cables.find((x) => x.run.id === end.run)!;
      expect(c.end).toEqual(end);
      const steps = endSteps(h, plan, f, c);
      const b = f.placed.point.kind === "board" ? boardFigures(h, plan, end.point)! : null;
      const unplaced = b?.cables.find((x) => x.run.id === end.run)?.way === null;
      // First fix, then the end itself; a cable whose circuit has no way is not connected yet.
      expect(steps.some((x) => makingOf(x.kind)!.half === "first")).toBe(true);
      const mains = !isSignalCable(c.cable);
      expect(steps.some((x) => makingOf(x.kind)!.half === "second")).toBe(mains && (!unplaced || c.armour !== null));
      for (const x of steps) {
        const making = makingOf(x.kind)!;
        // No measure is outside what its field takes, so that none is quietly replaced by the usual one.
        const m = startMeasures(making, x.measures);
        for (const field of making.measures)
          if (field.key in x.measures)
            expect([x.kind, field.key, m[field.key]]).toEqual([x.kind, field.key, x.measures[field.key]]);
        const said = making
          .cards(m, schools)
          .map((y) => y.measure ?? "")
          .join(" ");
        if (x.kind === "coil") expect(said).toContain(`${mm(end.measures.tail!)} mm`);
      }
      expect(drawBox(f, (x) => x.other).shapes.length).toBeGreaterThan(3);
    }
  });
  it("a junction box wants 11 of bare copper for its connectors, and says how many cables meet", () => {
    const joint = {
      id: "j9",
      label: "J9",
      kind: "junction-box",
      place: { on: "wall", wall: "hall-w1", u: 2200, v: 2200 },
    } as const;
    const own = jobSchema.parse({
      ...job,
      points: [...job.points, joint],
      circuits: job.circuits.map((c) => (c.id === "r2" ? { ...c, points: [...c.points, "j9"] } : c)),
    });
    const { h: there, plan: then } = laid(() => own);
    const f = endFigures(there, then, "j9")!;
    expect(f.room).toBeNull();
    expect(endSteps(there, then, f, f.cables[0]!).at(-1)).toMatchObject({
      kind: "joint-box",
      measures: { strip: 11, cables: f.cables.length, amps: 20 },
    });
  });
  it("a switch is guided by how it is wired: one way, two ways, two gangs", () => {
    const kind = (id: string): string => {
      const f = endFigures(h, plan, id)!;
      return endSteps(h, plan, f, f.cables[0]!).at(-1)!.kind;
    };
    expect(["w1", "w2", "w3", "l1", "f1", "s4"].map(kind)).toEqual([
      "switch",
      "switch-two-way",
      "switch-gangs",
      "rose",
      "fused-unit",
      "outlet",
    ]);
  });
  it("a 2-gang box of 25 with three 2.5 cables is warned, and a press makes it deep enough", () => {
    const s = job.points.find(
      (p) =>
        p.kind === "socket" && p.gang === 2 && !p.existing && plan.ends.filter((e) => e.point === p.id).length === 2,
    )!;
    // A third cable: a spur to a socket that the ring has not.
    const spur = plan.runs.find(
      (r) =>
        r.from !== s.id &&
        r.to !== s.id &&
        r.circuit === plan.runs.find((x) => x.from === s.id || x.to === s.id)!.circuit,
    )!;
    const third = { ...spur, id: `${spur.id}.x`, from: s.id };
    const fake = {
      runs: [...plan.runs, third],
      ends: [...plan.ends, { ...plan.ends.find((e) => e.point === s.id)!, run: third.id }],
    };
    const thin = layHouse(at(s.id, { boxDepth: 25 })(job));
    const room = (x: typeof h, p: { runs: typeof plan.runs; ends: typeof plan.ends }) => endFigures(x, p, s.id)!.room!;
    expect(room(thin, plan).closes).toBe(true);
    expect(room(thin, fake)).toMatchObject({ closes: false, layers: 2, takes: 35, has: 25 });
    expect(room(thin, fake).needs).toBeCloseTo(18 + 2 * 3.4 + 2, 9);
    expect(drawBoxDepth(room(thin, fake), 70).label).toBe("Depth of the box: 26.8 needed, 25 there");
  });
});

describe("lists for other programs", () => {
  const rows = (csv: string): string[][] =>
    csv
      .trim()
      .split(/\r?\n/)
      .map((l) => l.split(","));
  it("ends, one line a cable at a point, with the armour's marks where there is armour", () => {
    const all = rows(endsCsv(job, plan, h));
    expect(all).toHaveLength(plan.ends.length + 1);
    expect(all.find((r) => r[0] === "K1")!.slice(-5)).toEqual(["32.1 of 80", "20 indoor", "90", "103", "293"]);
    expect(all.find((r) => r[0] === "S4")!.slice(5, 9)).toEqual([
      expect.stringMatching(/left|right/),
      "190",
      "10",
      "180",
    ]);
  });
  it("the board, in the order tied; clips, each from its own wall or joist", () => {
    const tied = rows(boardCsv(job, plan, h)).slice(1);
    expect(tied.map((r) => [r[1], r[2], r[3], r[5]].join(" "))).toEqual([
      "1 K  ",
      "2 R1 out 2",
      "3 R1 back 2",
      "4 LI1  3",
      "5 LI2  4",
      "6 R2  5",
      "7 AL  7",
    ]);
    const clips = rows(clipsCsv(job, plan, h)).slice(1);
    expect(clips.length).toBeGreaterThan(plan.clips.length);
    expect(clips.reduce((n, r) => n + r[r.length - 1]!.split(";").length, 0)).toBe(
      plan.clips.reduce((n, c) => n + c.marks.length, 0),
    );
    expect(new Set(clips.map((r) => r.find((x) => /corner|floor|ceiling|bearing|leg$/.test(x))))).not.toContain(
      "start of the leg",
    );
  });
});
