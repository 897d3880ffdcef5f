import { layHouse } from "../../house/house";
import { deckFacts } from "../../plan/deck-facts";
import { checkJoist } from "../../trades/timber/check-joist";
import { checkStud } from "../../trades/timber/stud";
import { bore, checked, deck, deckLeg, hole, house, joist, judgeLimits, judged, notch, run } from "./by-hand.fixture";

const oldHole = (more: object) => ({
  id: "o",
  kind: "hole",
  joist: 2,
  at: 1400,
  diameter: 20,
  fromTop: 100,
  ...more,
});

/** Joists east and west over so much, with a bearing at either side. */
const spanning = (long: number) =>
  deck({
    outline: [
      { x: 0, y: 0 },
      { x: 0, y: 3000 },
      { x: long + 200, y: 3000 },
      { x: long + 200, y: 0 },
    ],
    joists: {
      direction: "east-west",
      depth: 200,
      breadth: 47,
      spacing: 400,
      first: 300,
      bearings: [
        [0, 100],
        [long + 100, long + 200],
      ],
    },
  });

judgeLimits("timber", {
  "timber.engineered": {
    allowed: () => judged(bore(1200)),
    broken: () => ({
      facts: checkJoist({ ...joist, kind: "engineered" }, [bore(1200)], { notchSchool: "warranty" }),
      severity: "stop",
    }),
  },
  "timber.depth": {
    allowed: () => checkJoist({ ...joist, depth: 250 }, [], { notchSchool: "warranty" }),
    broken: () => ({
      facts: checkJoist({ ...joist, depth: 251 }, [], { notchSchool: "warranty" }),
      severity: "stop",
      measured: 251,
      limit: 250,
    }),
  },
  "timber.long-span": {
    // Joists over the whole room: of 5 000 between its walls none is asked about.
    allowed: () => deckFacts(layHouse(house({ decks: [spanning(5000)] }))),
    broken: () => ({
      facts: deckFacts(layHouse(house({ decks: [spanning(5001)] }))),
      severity: "warn",
      measured: 5001,
      limit: 5000,
    }),
  },
  "timber.cut-place": {
    // Joists run over the whole 4 000: a cut right at the far bearing is still in the span.
    allowed: () => checked(house({ decks: [deck({ existingCuts: [oldHole({ at: 4000 })] })] }), []),
    broken: () => ({
      facts: checked(house({ decks: [deck({ existingCuts: [oldHole({ at: 4001 })] })] }), []),
      severity: "warn",
      measured: 4001,
      limit: 4000,
    }),
  },
  "timber.over-cut": {
    allowed: () =>
      checked(
        house({
          decks: [deck({ existingCuts: [{ id: "o", kind: "hole", joist: 2, at: 1400, diameter: 20, fromTop: 100 }] })],
        }),
        [],
        [hole()],
      ),
    broken: () => ({
      facts: checked(
        house({
          decks: [deck({ existingCuts: [{ id: "o", kind: "hole", joist: 2, at: 300, diameter: 20, fromTop: 100 }] })],
        }),
        [],
        [hole()],
      ),
    }),
  },
  "timber.in-joist": {
    allowed: () =>
      checked(house(), [
        run([
          deckLeg(
            [
              [600, 724, 2500],
              [1800, 724, 2500],
            ],
            "along-joist",
          ),
        ]),
      ]),
    broken: () => ({
      facts: checked(house(), [
        run([
          deckLeg(
            [
              [600, 720, 2500],
              [1800, 720, 2500],
            ],
            "along-joist",
          ),
        ]),
      ]),
      severity: "stop",
    }),
  },
  "timber.hole.zone": {
    allowed: () => judged(bore(1000), bore(1600, 20, 100, "b"), bore(2400, 20, 100, "c"), bore(3000, 20, 100, "d")),
    broken: () => ({ facts: judged(bore(999)), severity: "stop", measured: 999, limit: 1000 }),
  },
  "timber.hole.size": {
    allowed: () => judged(bore(1200, 50)),
    broken: () => ({ facts: judged(bore(1200, 50.1)), severity: "stop", measured: 50.1, limit: 50 }),
  },
  "timber.hole.axis": {
    allowed: () => judged(bore(1200, 20, 105)),
    broken: () => ({ facts: judged(bore(1200, 20, 94.9)), severity: "stop", measured: 5.1, limit: 5 }),
  },
  "timber.hole.spacing": {
    allowed: () => judged(bore(1200, 20), bore(1275, 25, 100, "b")),
    broken: () => ({
      facts: judged(bore(1200, 20), bore(1274, 25, 100, "b")),
      severity: "stop",
      measured: 74,
      limit: 75,
    }),
  },
  "timber.cable-edge": {
    // 40 from the axis to the top of the hole leaves 50 at the bottom edge, mirrored.
    allowed: () => judged({ ...bore(1200, 20, 140), id: "e" }, bore(2600, 20, 60, "f")),
    broken: () => ({ facts: judged({ ...bore(1200, 20, 140.5), id: "e" }), measured: 49.5, limit: 50 }),
  },
  "timber.notch.zone": {
    allowed: () => judged(notch(410), notch(790, 20, "top", "m")),
    broken: () => ({ facts: judged(notch(409)), severity: "stop", measured: 399, limit: 400 }),
  },
  "timber.notch.depth": {
    allowed: () => judged(notch(600, 30)),
    broken: () => ({ facts: judged(notch(600, 30.1)), severity: "stop", measured: 30.1, limit: 30 }),
  },
  "timber.notch.both-edges": {
    allowed: () => judged(notch(600)),
    broken: () => ({ facts: judged(notch(600, 20, "bottom")) }),
  },
  "timber.apart": {
    // Edge to edge: the notch ends at 790 + 10, the hole starts at 10 before its middle.
    allowed: () =>
      checkJoist({ ...joist, span: 3000 }, [notch(590), bore(710)], { notchSchool: "on-site", axisTolerance: 500 }),
    broken: () => ({
      facts: checkJoist({ ...joist, span: 3000 }, [notch(590), bore(709)], { notchSchool: "on-site" }),
      severity: "stop",
      measured: 99,
      limit: 100,
    }),
  },
  "timber.stud": {
    allowed: () => checkStud(100, 25, 55, true).facts,
    broken: () => ({ facts: checkStud(100, 25.1, 50, true).facts, measured: 25.1, limit: 25 }),
  },
});
