import { describe, expect, it } from "vitest";
import { deck, house, socket } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { laySection } from "../../house/sections";
import { checkInvariants } from "../../job/invariants";
import { type Section, jobSchema } from "../../job/model";
import { withStretchAt } from "../../job/move-section";
import { withJunctions } from "../../job/section-junctions";
import { makePlan } from "../../plan/plan";
import { takeOff } from "../../plan/take-off";
import { buildGraph } from "../../routing/build";
import { EDGE } from "../../routing/graph";
import { findingOf, namesOf } from "../../words/findings";
import { sectionFacts } from "./section-facts";
import { sectionPieces } from "./section-pieces";
import { riseRoom } from "./section-rises";
import { sectionFixings } from "./section-supports";
import { sectionCorners } from "./section-turns";
import { section, wall } from "./sections.fixture";

const onDeck = (x: number, y: number) => ({ on: "deck" as const, deck: "d", x, y });
/** Up wall w2, which stands at x = 4 000, through the ceiling 1 700 from its left, and on to the joists, which are 200 deep. */
const up = [wall("w2", 1700, 900), wall("w2", 1700, 2400), onDeck(4000, 1300)];
const open = { decks: [deck({ access: "open" })] };
const laid = (path: object[], kind: Section["kind"] = "conduit-metal", more: object = {}, size = "20") => {
  const job = house({ ...open, sections: [section(kind, size, path, { corners: "folded", ...more })] });
  const h = layHouse(job);
  return { job, h, s: laySection(h, job.sections[0]!)! };
};
const refusals = (path: object[], more: object = {}): string[] =>
  checkInvariants(house({ ...open, ...more, sections: [section("conduit-metal", "20", path)] })).map((r) => r.message);

describe("a section from a wall up into a deck", () => {
  it("is one path: up the wall, straight through the deck and on over the joists", () => {
    const { s } = laid([...up, onDeck(2000, 1300)]);
    expect(s.stretches.map((x) => [x.face >= 0 ? "wall" : "deck", x.length, x.plumb])).toEqual([
      ["wall", 1500, true],
      ["deck", 200, true],
      ["deck", 2000, false],
    ]);
    expect(s.length).toBe(3700);
    expect(refusals([...up, onDeck(2000, 1300)])).toEqual([]);
  });
  it("is refused in words where it does not go straight up, or leaves the wall below its ceiling", () => {
    expect(refusals([...up.slice(0, 2), onDeck(4000, 1302)])).toMatchObject([/straight up or down/]);
    expect(refusals([wall("w2", 1700, 900), wall("w2", 1700, 2390), onDeck(4000, 1300)])).toMatchObject([
      /at its ceiling or its floor only/,
    ]);
    const high = { decks: [deck({ access: "open", underside: 3300 })] };
    expect(refusals(up, high)).toMatchObject([/one deck at a time; .* 1100 mm/]);
  });
  it("turns off its wall towards the room inside, along the wall flat; on the deck it goes on as it has turned", () => {
    const turns = (...on: object[]): string[] => {
      const { h, s } = laid([...up, ...on]);
      return sectionCorners(h, s).map((c) => c.turn);
    };
    // The room lies west of the wall; facing it, south is to the right.
    expect(turns(onDeck(2000, 1300))).toEqual(["inside"]);
    expect(turns(onDeck(4000, 500))).toEqual(["right"]);
    expect(turns(onDeck(4000, 2900))).toEqual(["left"]);
    // Off the wall its open side has come to look down: south is then to the left of one going west.
    expect(turns(onDeck(2000, 1300), onDeck(2000, 500))).toEqual(["inside", "right"]);
    expect(turns(onDeck(4000, 500), onDeck(2000, 500))).toEqual(["right", "inside"]);
    // A section that only lies on the deck looks up.
    const { h, s } = laid([onDeck(1000, 1300), onDeck(2000, 1300), onDeck(2000, 2000)]);
    expect(sectionCorners(h, s).map((c) => c.turn)).toEqual(["left"]);
  });
  it("is one length through the ceiling, bent over the joists, and nothing is fixed within the deck", () => {
    const { h, s } = laid([...up, onDeck(2000, 1300)]);
    const pieces = sectionPieces(h, s);
    // 1 500 + 200 + 2 000, its middle 10 shorter either side of the bend, which cuts its corner.
    const whole = 3700 - 20 - 2 * 60 + (60 * Math.PI) / 2;
    expect(pieces.map((p) => p.folds.length)).toEqual([1]);
    expect(pieces[0]!.length).toBeCloseTo(whole, 6);
    expect(sectionFixings(s).map((f) => f.marks.length > 0)).toEqual([true, false, true]);
    // Bought corners: up to the corner one piece and not two; no coupler in the ceiling.
    const fitted = laid([...up, onDeck(2000, 1300)], "conduit-metal", { corners: "fitted" });
    expect(sectionPieces(fitted.h, fitted.s).map((p) => Math.round(p.length))).toEqual([1680, 1980]);
    const couplers = takeOff(fitted.h, [], [], [], []).filter((l) => /coupler/.test(l.item));
    expect(couplers).toEqual([]);
  });
  it("goes between the joists with all its width: told to the half millimetre, with the way out", () => {
    // Joists run east to west, 47 broad, one at 2 700 from the south: 300 from the left of w2. Trunking is 50 wide.
    const at = (u: number) =>
      laid([wall("w2", u, 900), wall("w2", u, 2400), onDeck(4000, 3000 - u)], "trunking-plastic", {}, "50x50");
    const told = (u: number) => sectionFacts(at(u).h, []).filter((f) => f.rule === "section.joist");
    expect(told(348.5)).toEqual([]);
    expect(told(251.5)).toEqual([]);
    const [f] = told(330);
    expect(f).toMatchObject({
      severity: "stop",
      measured: -18.5,
      limit: 0,
      where: { wall: "w2", deck: "d", joist: 7 },
    });
    const words = findingOf(f!, namesOf(at(330).h));
    expect(words.message).toMatch(
      /^T1 goes through Deck at 330 from the left of .*, where joist 7 stands: 19 of it lie in the joist\.$/,
    );
    expect(words.remedy).toMatch(/^Move it 19 along the wall/);
    expect(told(251.9)).toHaveLength(1);
    // Along a joist it is the depth that counts, off the wall into the room: a joist at 2 950 fills what w1 has beside it.
    const beside = house({
      decks: [deck({ access: "open", joists: { ...deck().joists, first: 150 } })],
      sections: [
        section("trunking-plastic", "50x50", [wall("w1", 1000, 900), wall("w1", 1000, 2400), onDeck(1000, 3000)]),
      ],
    });
    const h = layHouse(beside);
    const s = laySection(h, beside.sections[0]!)!;
    expect(riseRoom(h, s, s.stretches[1]!)).toMatchObject({ joist: 8, room: -23.5 });
    // Oval tube is in the wall itself, clear of what stands beside it.
    const oval = laySection(h, { ...beside.sections[0]!, kind: "oval", size: "20" })!;
    expect(riseRoom(h, oval, oval.stretches[1]!)).toMatchObject({ joist: 8, room: 26.5 });
  });
  it("stays over itself when its stretch on the wall is moved, and what goes on level with it", () => {
    const path = [...up, onDeck(2000, 1300), onDeck(2000, 500)] as Section["path"];
    const { job } = laid(path);
    const next = withJunctions(job, path, withStretchAt({ path }, 1, 1900));
    expect(next).toEqual([
      wall("w2", 1900, 900),
      wall("w2", 1900, 2400),
      onDeck(4000, 1100),
      onDeck(2000, 1100),
      onDeck(2000, 500),
    ]);
    expect(refusals(next)).toEqual([]);
    // Straight over the joists to the wall opposite and down that: it comes along there too.
    const across = [...up, onDeck(0, 1300), wall("w0", 1300, 2400), wall("w0", 1300, 900)] as Section["path"];
    const brought = withJunctions(job, across, withStretchAt({ path: across }, 1, 1900));
    expect(brought.slice(2)).toEqual([
      onDeck(4000, 1100),
      onDeck(0, 1100),
      wall("w0", 1100, 2400),
      wall("w0", 1100, 900),
    ]);
    const back = withJunctions(job, across, withStretchAt({ path: across }, 5, 1000));
    expect(back.slice(0, 4)).toEqual([
      wall("w2", 2000, 900),
      wall("w2", 2000, 2400),
      onDeck(4000, 1000),
      onDeck(0, 1000),
    ]);
    // Moved on the deck, the wall's part follows.
    const moved = path.map((p, i) => (i === 2 && p.on === "deck" ? { ...p, y: 1000 } : p));
    expect(withJunctions(job, path, moved).slice(0, 2)).toEqual([wall("w2", 2000, 900), wall("w2", 2000, 2400)]);
  });
});

describe("the lines of a section that goes up into a deck", () => {
  it("lead up from the wall where it starts at the ceiling, with nothing of it on the wall", () => {
    const { h } = laid([wall("w2", 1850, 2400), onDeck(4000, 1150), onDeck(2000, 1150)]);
    const g = buildGraph(h);
    const rises = [...g.kind.keys()].filter((e) => g.kind[e] === EDGE.rise && g.section[e]! > 0);
    expect(rises.map((e) => [g.length[e], g.x[g.a[e]!], g.y[g.a[e]!]])).toEqual([[200, 4000, 1150]]);
  });
});

describe("runs through a section that goes up into a deck", () => {
  const way = [
    wall("w2", 1700, 500),
    wall("w2", 1700, 2400),
    onDeck(4000, 1300),
    onDeck(2000, 1300),
    onDeck(2000, 0),
    wall("w3", 2000, 2400),
    wall("w3", 2000, 1500),
  ];
  const job = (access: string, path: object[] = way) =>
    jobSchema.parse({
      ...house({ decks: [deck({ access })] }),
      points: [
        house().points.find((p) => p.kind === "board"),
        socket("s1", 0, 0, { place: { on: "wall", wall: "w2", u: 1700, v: 450 } }),
      ],
      sections: [section("conduit-metal", "25", path)],
    });
  const inSection = (j: ReturnType<typeof job>): string[] =>
    makePlan(j).runs.flatMap((r) => r.legs.flatMap((l) => (l.section === "t1" ? [l.surface.kind] : [])));
  it("lie in it from wall to wall, through the deck at both ends, and no check finds a fault", () => {
    const plan = makePlan(job("open"));
    expect(plan.runs).toHaveLength(1);
    const legs = plan.runs[0]!.legs.filter((l) => l.section === "t1");
    expect(legs.map((l) => l.surface.kind)).toEqual(["wall", "deck", "deck", "deck", "deck", "wall"]);
    const plumb = legs.filter((l) => l.surface.kind === "deck" && l.path[0]![2] !== l.path[1]![2]);
    expect(plumb.map((l) => Math.abs(l.path[1]![2] - l.path[0]![2]))).toEqual([200, 200]);
    expect(plan.facts.filter((f) => f.severity === "stop" && /^(route|hole|zone|timber)/.test(f.rule))).toEqual([]);
    expect(plan.holes.filter((o) => o.in.kind === "joist")).toEqual([]);
  });
  it("do not where a joist stands in its way, nor over the joists of a deck with boards on", () => {
    const blocked = way.map((p) =>
      p.on === "deck" && p.x === 4000 ? { ...p, y: 1500 } : p.on === "wall" && p.wall === "w2" ? { ...p, u: 1500 } : p,
    );
    const moved = blocked.map((p) => (p.on === "deck" && p.y === 1300 ? { ...p, y: 1500 } : p));
    const through = makePlan(job("open", moved)).runs[0]!.legs.filter(
      (l) => l.section === "t1" && l.path.every((q) => q[0] === 4000),
    );
    expect(through.filter((l) => l.surface.kind === "deck")).toEqual([]);
    expect(inSection(job("boards-up"))).not.toContain("deck");
  });
  it("go up through a floor to the wall of the storey above in one section", () => {
    const base = house({ decks: [deck({ access: "boards-up", boards: { thickness: 22 } })] });
    const room = base.rooms[0]!;
    const two = jobSchema.parse({
      ...base,
      storeys: [...base.storeys, { id: "f", name: "First", level: 2622, height: 2400 }],
      rooms: [room, { ...room, id: "q", storey: "f", name: "Over" }],
      walls: [...base.walls, ...base.walls.map((w) => ({ ...w, id: w.id.replace("w", "q"), room: "q" }))],
      points: [
        base.points.find((p) => p.kind === "board"),
        socket("s1", 0, 0, { place: { on: "wall", wall: "q3", u: 2000, v: 450 } }),
      ],
      sections: [
        section("conduit-metal", "25", [
          wall("w3", 2000, 1500),
          wall("w3", 2000, 2400),
          wall("q3", 2000, 0),
          wall("q3", 2000, 400),
        ]),
      ],
    });
    expect(checkInvariants(two)).toEqual([]);
    // Whichever way it was drawn, it stands on the lower wall.
    for (const path of [two.sections[0]!.path, [...two.sections[0]!.path].reverse()]) {
      const h = layHouse({ ...two, sections: [{ ...two.sections[0]!, path }] });
      expect(laySection(h, h.job.sections[0]!)!.stretches[1]!.beside).toBe(h.faceOfWall.get("w3"));
    }
    const plan = makePlan(two);
    const legs = plan.runs[0]!.legs.filter((l) => l.section === "t1");
    expect(legs.map((l) => l.surface.kind)).toEqual(["wall", "deck", "wall"]);
    expect(plan.facts.filter((f) => f.severity === "stop" && /^(route|hole|zone|timber)/.test(f.rule))).toEqual([]);
    // Sealed at the ceiling and at the floor.
    expect(
      plan.facts
        .filter((f) => f.rule === "fire.seal")
        .map((f) => f.of!.where)
        .sort(),
    ).toEqual(["ceiling", "floor"]);
  });
});
