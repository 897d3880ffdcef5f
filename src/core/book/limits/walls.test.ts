import { layHouse } from "../../house/house";
import { backToBackFacts } from "../../plan/back-to-back";
import { checkChase } from "../../plan/chase-needs";
import { closedFacts, heldFacts } from "../../plan/held-work";
import { makePlan } from "../../plan/plan";
import {
  across,
  bothSides,
  board,
  checked,
  circuit,
  deck,
  deckLeg,
  held,
  hole,
  house,
  judgeLimits,
  onW1,
  path,
  plumb,
  run,
  socket,
  thin,
  wallRow,
  wall,
} from "./by-hand.fixture";

/** A plumb chase on each side, the second so far along, both so deep. */
const chased = (thickness: number, apart: number, depth: number) => {
  const y = 3000 + thickness;
  const x = 1000 + apart;
  const back: [number, number, number][] = [
    [x, y, 450],
    [x, y, 2000],
  ];
  const there = run([{ path: back, surface: { kind: "wall", id: "q3" }, depth }], {
    id: "c.s1.t1",
    from: "s1",
    to: "t1",
  });
  return backToBackFacts(layHouse(bothSides(thickness, 2000)), [
    run([{ path: onW1([1000, 450], [1000, 2400]), depth }]),
    there,
  ]);
};

/** The deck over the room closed, and opened 300 × 600 from x on, round the joist at y 700. */
const closed = (x: number) =>
  house({
    decks: [deck({ access: "closed", opened: [{ id: "o", kind: "board", x, y: 400, width: 300, depth: 600 }] })],
  });

/** The room with its north wall so thin. */
const thinWall = (thickness: number) =>
  house({ walls: [0, 1, 2, 3].map((i) => wallRow(i, i === 1 ? { thickness } : {})) });

/** A run in a chase of one wall. */
const hidden = run([{ path: onW1([1000, 450], [1000, 2400]), surface: { kind: "wall", id: "w" }, depth: 15 }]);

judgeLimits("walls", {
  "chase.back-to-back": {
    // A third of 210 is 70: two boxes of 35, or two chases of 35; 50 along they are in different parts of the wall.
    allowed: () => [
      ...backToBackFacts(layHouse(bothSides(210, 0)), []),
      ...backToBackFacts(layHouse(bothSides(100, 70)), []),
      ...chased(210, 0, 35),
      ...chased(100, 50, 35),
    ],
    broken: () => ({
      facts: [
        ...chased(210, 49.9, 35.1).map((f) => ({ ...f, measured: f.measured! - 0.1 })),
        ...backToBackFacts(layHouse(bothSides(210, 69.9, { boxDepth: 35.1 })), []),
      ],
      severity: "warn",
      measured: 70.1,
      limit: 70,
    }),
  },
  "zone.outside": {
    allowed: () => path(plumb(1043)),
    broken: () => ({ facts: path(plumb(1044)), severity: "stop", measured: -1, limit: 0 }),
  },
  "chase.depth": {
    // Level: a sixth of 90 is 15.
    allowed: () => checked(thinWall(90), [run([{ path: onW1([1000, 450], [2000, 450]) }])]),
    broken: () => ({
      facts: checked(thinWall(89.4), [run([{ path: onW1([1000, 450], [2000, 450]) }])]),
      severity: "stop",
      measured: 15,
      limit: 14.9,
    }),
  },
  "chase.level": {
    allowed: () => checked(thinWall(300), [run([{ path: onW1([1000, 450], [2500, 450]) }], { pin: "p" })]),
    broken: () => ({
      facts: checked(thinWall(300), [run([{ path: onW1([1000, 450], [2502, 450]) }], { pin: "p" })]),
      severity: "warn",
      measured: 1502,
      limit: 1500,
    }),
  },
  "zone.diagonal": {
    allowed: () =>
      path([
        { u: 1000, v: 450 },
        { u: 1000, v: 900 },
      ]),
    broken: () => ({
      facts: path([
        { u: 980, v: 450 },
        { u: 1020, v: 900 },
      ]),
      severity: "stop",
    }),
  },
  "zone.deep": {
    allowed: () => path(plumb(1500), { depth: 49, protected: false }),
    broken: () => ({
      facts: path(plumb(1500), { depth: 50, protected: false }),
      severity: "note",
      measured: 50,
      limit: 50,
    }),
  },
  "zone.rcd": {
    allowed: () => checked(house(), [run([{ path: onW1([1000, 450], [1000, 2000]) }])]),
    broken: () => ({
      facts: checked(house({ circuits: [circuit({ rcd: 100 })] }), [run([{ path: onW1([1000, 450], [1000, 2000]) }])]),
      severity: "stop",
      measured: 100,
      limit: 30,
    }),
  },
  "route.unreachable": {
    allowed: () => makePlan(house()).facts,
    broken: () => ({
      facts: makePlan(house({ decks: [], walls: [0, 1, 2, 3].map((i) => wallRow(i, i % 2 ? {} : { build: "open" })) }))
        .facts,
    }),
  },
  "route.loose-end": {
    allowed: () => checked(house(), [run([{ path: onW1([1043, 450], [1043, 493]) }], { from: "s1", to: "s1" })]),
    broken: () => ({
      facts: checked(house(), [run([{ path: onW1([1045, 450], [1043, 450]) }], { from: "s1", to: "s1" })]),
      severity: "stop",
      measured: 45,
      limit: 0,
    }),
  },
  "route.broken": {
    allowed: () =>
      checked(house(), [run([{ path: onW1([1000, 450], [1000, 900]) }, { path: onW1([1000, 901], [1000, 1200]) }])]),
    broken: () => ({
      facts: checked(house(), [
        run([{ path: onW1([1000, 450], [1000, 900]) }, { path: onW1([1000, 901.1], [1000, 1200]) }]),
      ]),
      severity: "stop",
      measured: 1.1,
      limit: 0,
    }),
  },
  "route.opening": {
    allowed: () =>
      path(plumb(1000), undefined, { ...wall, openings: [{ u: 1000, v: 900, width: 500, height: 500 }] } as never),
    broken: () => ({
      facts: path(plumb(1001), undefined, {
        ...wall,
        openings: [{ u: 1000, v: 900, width: 500, height: 500 }],
      } as never),
      severity: "stop",
    }),
  },
  "route.off-surface": {
    allowed: () => checked(house(), [run([{ path: onW1([1000, 450], [1000, 2401]) }])]),
    broken: () => ({ facts: checked(house(), [run([{ path: onW1([1000, 450], [1000, 2401.1]) }])]), severity: "stop" }),
  },
  "route.through-box": {
    allowed: () =>
      checked(house({ points: [board, socket("s1", 1000), socket("s2", 1500, 600)] }), [
        run([{ path: onW1([1000, 556], [2000, 556]) }]),
      ]),
    broken: () => ({
      facts: checked(house({ points: [board, socket("s1", 1000), socket("s2", 1500, 600)] }), [
        run([{ path: onW1([1000, 558], [2000, 558]) }]),
      ]),
      severity: "warn",
    }),
  },
  "route.forbidden": {
    allowed: () =>
      checked(
        house({
          forbidden: [{ id: "x", place: { on: "wall", wall: "w1", u: 1000, v: 900, width: 300, height: 300 } }],
        }),
        [run([{ path: onW1([1000, 450], [1000, 2000]) }])],
      ),
    broken: () => ({
      facts: checked(
        house({ forbidden: [{ id: "x", place: { on: "wall", wall: "w1", u: 999, v: 900, width: 300, height: 300 } }] }),
        [run([{ path: onW1([1000, 450], [1000, 2000]) }])],
      ),
      severity: "stop",
    }),
  },
  "route.pin-apart": {
    allowed: () => makePlan(house()).facts,
    broken: () => {
      const job = house({ points: [board, socket("s1", 1000), socket("s2", 2000)] });
      const pin = {
        id: "p",
        circuit: "c",
        from: "s1",
        to: "s2",
        number: 1,
        legs: run([{ path: onW1([1000, 450], [2000, 450]) }]).legs,
      };
      return { facts: makePlan({ ...job, pins: [pin] }).facts, severity: "warn" };
    },
  },
  "route.closed": {
    // Joist 2 at y 700 is bored at x 1 200: opened 300 wide from 1 050 on it is reached, from 1 210 on it is not.
    allowed: () => checked(closed(1050), [run([deckLeg(across(500, 900))])], [hole()]),
    broken: () => ({ facts: checked(closed(1210), [run([deckLeg(across(500, 900))])], [hole()]), severity: "stop" }),
  },
  "hole.missing": {
    allowed: () => checked(house(), [run([deckLeg(across(500, 900))])], [hole()]),
    broken: () => ({
      facts: checked(house(), [run([deckLeg(across(500, 900))])], [hole({ centre: [1202, 700, 2500] })]),
      severity: "stop",
    }),
  },
  "hole.too-small": {
    // 45 % of Ø 18 is 114 mm²; one 2.5 flat cable has 58.6, two 117.2.
    allowed: () => checked(house(), [thin], [hole({ diameter: 18 })]),
    broken: () => ({
      facts: checked(house(), [thin, { ...thin, id: "c.db.s2" }], [hole({ diameter: 18, runs: [thin.id, "c.db.s2"] })]),
      severity: "stop",
      measured: (100 * 2 * 58.58) / (Math.PI * 81),
      limit: 45,
    }),
  },
  "chase.shallow": {
    // 15 behind the face, and a cable of 2.5 that is 5.9 thick: 20.9, cut as 21.
    allowed: () => checkChase(layHouse(house()), { runs: [hidden] }, "w", 21),
    broken: () => ({
      facts: checkChase(layHouse(house()), { runs: [hidden] }, "w", 20),
      severity: "stop",
      measured: 20,
      limit: 21,
    }),
  },
  "work.moved": {
    allowed: () => heldFacts(layHouse(house({ points: [board, socket("s1", 1001)] })), [held()]),
    broken: () => ({
      facts: heldFacts(layHouse(house({ points: [board, socket("s1", 1002)] })), [held()]),
      severity: "stop",
      measured: 2,
      limit: 0,
    }),
  },
  "work.closed": {
    // A run that is done lies there as it was; one that is clipped on the face hides nothing.
    allowed: () => [
      ...closedFacts([{ ...hidden, held: true }], ["wall:w"]),
      ...closedFacts([hidden], ["wall:other", "deck:w"]),
      ...closedFacts([{ ...hidden, legs: hidden.legs.map((l) => ({ ...l, depth: 0 })) }], ["wall:w"]),
    ],
    broken: () => ({ facts: closedFacts([hidden], ["wall:w"]), severity: "stop" }),
  },
  "work.cable": {
    allowed: () => heldFacts(layHouse(house()), [held()]),
    broken: () => ({
      facts: heldFacts(layHouse(house({ circuits: [circuit({ cable: "te-4" })] })), [held()]),
      severity: "stop",
    }),
  },
  "work.apart": {
    allowed: () => makePlan(house(), { held: [held()] }).facts,
    broken: () => ({
      facts: makePlan(house({ circuits: [circuit({ points: [] })] }), { held: [held()] }).facts,
      severity: "warn",
    }),
  },
  "work.point-gone": {
    allowed: () => heldFacts(layHouse(house()), [held()]),
    broken: () => ({ facts: heldFacts(layHouse(house({ points: [board] })), [held()]), severity: "stop" }),
  },
});
