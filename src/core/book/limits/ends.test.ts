import { makePlan } from "../../plan/plan";
import { glands } from "../../rules/glands";
import { pickGland } from "../../trades/ends/gland-pick";
import { type House, layHouse } from "../../house/house";
import type { Run } from "../../laid/laid";
import type { Fact } from "../../rules/fact";
import { backToBackFacts } from "../../plan/back-to-back";
import { boardFacts, boardFigures } from "../../plan/board-figures";
import { endFacts } from "../../plan/end-figures";
import { endOf } from "../../plan/ends";
import { leakageFacts } from "../../trades/board/leakage";
import { glandRow } from "../../trades/ends/gland-row";
import { tailLength } from "../../trades/ends/tails";
import { board, bothSides, calc, circuit, deck, house, judgeLimits, onW1, run, socket, two } from "./by-hand.fixture";

/** S1 in a box so deep, its circuit in that cable. */
const boxed = (boxDepth: number, more: object = {}, c: object = {}, job: object = {}): Fact[] =>
  makePlan(house({ points: [board, socket("s1", 1000, 450, { boxDepth, ...more })], circuits: [circuit(c)], ...job }))
    .facts;
const armoured = { cable: "swa-3x10", walls: "surface" };
const AT = "c.db.s1";

/** A junction box 700 into a closed deck that is opened from 0 so far; with no opening given the deck is open. */
const jointUnder = (width: number, kind: "hatch" | null, floorJoints: "hatch" | "closed" = "hatch"): Fact[] => {
  const opened = kind ? { access: "closed", opened: [{ id: "o", kind, x: 0, y: 0, width, depth: 3000 }] } : {};
  const joint = { id: "s1", label: "J1", kind: "junction-box", place: { on: "deck", deck: "d", x: 700, y: 1000 } };
  const job = house({ decks: [deck(opened)], points: [board, joint], settings: { schools: { floorJoints } } });
  const h = layHouse(job);
  return endFacts(
    h,
    laidTo(
      h,
      run([
        {
          path: [
            [2000, 0, 1400],
            [700, 1000, 2400],
          ],
        },
      ]),
    ),
  );
};
/** A run with its two ends. */
const laidTo = (h: House, r: Run) => {
  const laid = { ...r, held: null, pin: null } as never;
  return { runs: [r], ends: [endOf(h, laid, "db", true), endOf(h, laid, "s1", false)] };
};

/** Armour that bends so far from the middle of S1, whose box is 70 across. */
const bendsAt = (from: number): Fact[] => {
  const h = layHouse(house({ circuits: [circuit(armoured)] }));
  const last = run(
    [{ path: onW1([3000, 450 + from], [1000, 450 + from]) }, { path: onW1([1000, 450 + from], [1000, 450]) }],
    { cable: "swa-3x10" },
  );
  return endFacts(h, laidTo(h, last));
};

/** Two circuits that come down one drop to a board, tied in that order. */
const tied = (order: string[]): Fact[] =>
  makePlan(
    house({
      points: [{ ...board, tied: order }, socket("s1", 1000), socket("s2", 2000)],
      circuits: [circuit(), circuit({ id: "e", label: "C2", way: 2, points: ["s2"] })],
    }),
  ).facts;

/** With so much left at the board beyond what its farthest terminal wants. */
const left = (beyond: number): Fact[] => {
  const at = (boardTail: number) => {
    const job = house({ settings: { boardTail } });
    return { h: layHouse(job), plan: makePlan(job) };
  };
  const first = at(800);
  const [c] = boardFigures(first.h, first.plan, "db")!.cables;
  const then = at(800 - c!.spare! + beyond);
  return boardFacts(then.h, then.plan);
};
const waysOf = (ways: number, more: object = {}): Fact[] =>
  makePlan(house({ points: [{ ...board, ways, ...more }, socket("s1", 1000)] })).facts;
/** 15 double sockets, and one more of so many gangs. */
const leaking = (gangs: (1 | 2)[]): Fact[] => {
  const points = gangs.map((gang, i) => socket(`s${i + 1}`, 100 + 200 * i, 450, { gang }));
  return leakageFacts(house({ points: [board, ...points], circuits: [circuit({ points: points.map((p) => p.id) })] }));
};
const doubles = Array.from({ length: 15 }, () => 2 as const);

judgeLimits("ends", {
  "gland.fit": {
    allowed: () => pickGland({ bedding: 11.7, overall: 15.9, wire: 0.8 }, true, glands).facts,
    broken: () => ({ facts: pickGland({ bedding: 40, overall: 50, wire: 0.8 }, true, glands).facts, severity: "stop" }),
  },
  "gland.edge": {
    allowed: () => pickGland({ bedding: 11.3, overall: 15.5, wire: 0.9 }, true, glands).facts,
    broken: () => ({
      facts: pickGland({ bedding: 11.4, overall: 15.5, wire: 0.9 }, true, glands).facts,
      severity: "warn",
    }),
  },
  "gland.row": {
    allowed: () => glandRow(74, two(glands[0]!, glands[0]!) as never, 10, 0).facts,
    broken: () => ({
      facts: glandRow(73.9, two(glands[0]!, glands[0]!) as never, 10, 0).facts,
      severity: "stop",
      measured: 74,
      limit: 73.9,
    }),
  },
  "mi.strip": {
    allowed: () => calc("mi.strip", { faceToFace: 100, stripperBody: 100 }),
    broken: () => ({
      facts: calc("mi.strip", { faceToFace: 100, stripperBody: 101 }),
      severity: "stop",
      measured: -1,
      limit: 0,
    }),
  },
  "end.tail": {
    allowed: () => [
      ...tailLength({ width: 70, height: 70 }, "left", 50).facts,
      ...tailLength({ width: 70, height: 70 }, "left", 70).facts,
    ],
    broken: () => ({
      facts: tailLength({ width: 70, height: 70 }, "left", 71).facts,
      severity: "warn",
      measured: 71,
      limit: 70,
    }),
  },
  "end.box-depth": {
    // 18 behind the plate, four conductors in one layer of 3.4, screws 2.
    allowed: () => boxed(23.4),
    broken: () => ({ facts: boxed(23.3), severity: "warn", measured: 23.3, limit: 23.4 }),
  },
  "end.joint-reach": {
    allowed: () => [...jointUnder(700, "hatch"), ...jointUnder(699, "hatch", "closed"), ...jointUnder(0, null)],
    broken: () => ({ facts: jointUnder(699, "hatch"), severity: "warn" }),
  },
  "party.boxes": {
    allowed: () => [
      ...backToBackFacts(layHouse(bothSides(250, 220, { backing: "party" })), []),
      // At another height nothing lies behind it.
      ...backToBackFacts(layHouse(bothSides(250, 0, { backing: "party", v: 520 })), []),
    ],
    broken: () => ({
      facts: backToBackFacts(layHouse(bothSides(250, 219.9, { backing: "party" })), []),
      severity: "warn",
      measured: 149.9,
      limit: 150,
    }),
  },
  "gland.depth": {
    allowed: () => boxed(43.5, {}, armoured),
    broken: () => ({ facts: boxed(43.4, {}, armoured), severity: "stop", measured: 43.4, limit: 43.5 }),
  },
  "gland.place": {
    allowed: () => boxed(60, { glandAt: { [AT]: 21.75 } }, armoured),
    broken: () => ({
      facts: boxed(60, { glandAt: { [AT]: 21.7 } }, armoured),
      severity: "stop",
      measured: 21.7,
      limit: 21.75,
    }),
  },
  "gland.approach": {
    allowed: () => bendsAt(35 + 117),
    broken: () => ({ facts: bendsAt(35 + 116.9), severity: "warn", measured: 116.9, limit: 117 }),
  },
  "armour.earth": {
    allowed: () => [
      ...boxed(60, {}, { ...armoured, cable: "swa-2x6" }, { settings: { schools: { armourEarth: "armour" } } }),
      ...boxed(60, {}, { ...armoured, cable: "swa-2x10" }),
    ],
    broken: () => ({
      facts: boxed(60, {}, { ...armoured, cable: "swa-2x10" }, { settings: { schools: { armourEarth: "armour" } } }),
      severity: "stop",
      measured: 26,
      limit: (10 * 143) / 46,
    }),
  },
  "board.crossing": {
    allowed: () => [...tied([]), ...tied(["c.db.s1", "e.db.s2"])],
    broken: () => ({ facts: tied(["e.db.s2", "c.db.s1"]), severity: "warn", measured: 1, limit: 0 }),
  },
  "board.tail": {
    allowed: () => left(0),
    broken: () => ({ facts: left(-1), severity: "warn" }),
  },
  "board.spare": {
    allowed: () => [...waysOf(2), ...waysOf(1, { existing: true })],
    broken: () => ({ facts: waysOf(1), severity: "note", measured: 0, limit: 1 }),
  },
  "board.leakage": {
    allowed: () => leaking(doubles),
    broken: () => ({ facts: leaking([...doubles, 1]), severity: "warn", measured: 9.3, limit: 9 }),
  },
  "stock.short": {
    allowed: () => makePlan(house({ drums: [{ id: "dr", label: "A", cable: "te-2.5", length: 100_000 }] })).facts,
    broken: () => ({
      facts: makePlan(house({ drums: [{ id: "dr", label: "A", cable: "te-2.5", length: 2000 }] })).facts,
      severity: "warn",
    }),
  },
});
