import type { Fact } from "../../rules/fact";
import { radiusFacts } from "../../trades/containment/conduit-bends";
import { spaceFill } from "../../trades/containment/space-fill";
import { termFill } from "../../trades/containment/term-fill";
import { bendFacts } from "../../trades/fixings/bends";
import { clipSpacing } from "../../trades/fixings/clips";
import { checkFire } from "../../trades/fixings/fire";
import { layHouse } from "../../house/house";
import { sealFacts } from "../../plan/section-figures";
import { sectionFacts } from "../../trades/containment/section-facts";
import { calc, checked, clips, house, judgeLimits, onW1, run, surface } from "./by-hand.fixture";

/** Facts of a capping of 25 on a wall, with so many cables of 2.5 in it. */
const inCapping = (count: number): Fact[] => {
  const capping = {
    id: "t1",
    label: "T1",
    kind: "capping",
    size: "25",
    path: [450, 2400].map((v) => ({ on: "wall", wall: "w1", u: 1000, v })),
  };
  const runs = Array.from({ length: count }, (_, n) =>
    run([{ method: "capping", section: "t1", path: onW1([1000, 450], [1000, 2400]) }], { id: `r${n}` }),
  );
  return sectionFacts(layHouse(house({ sections: [capping] })), runs);
};

/** Notes on the seals of a trunking that ends so high on a wall under a deck. */
const sealed = (top: number): Fact[] =>
  sealFacts(
    layHouse(
      house({
        sections: [
          {
            id: "t1",
            label: "T1",
            kind: "trunking-plastic",
            size: "50x50",
            path: [450, top].map((v) => ({ on: "wall", wall: "w1", u: 1000, v })),
          },
        ],
      }),
    ),
  );

/** Facts of a trunking of 50 that goes up from wall 2, so far from its left, where a joist stands at 300. */
const upThrough = (u: number): Fact[] => {
  const path = [
    ...[900, 2400].map((v) => ({ on: "wall", wall: "w2", u, v })),
    { on: "deck", deck: "d", x: 4000, y: 3000 - u },
  ];
  return sectionFacts(
    layHouse(house({ sections: [{ id: "t1", label: "T1", kind: "trunking-plastic", size: "50x50", path }] })),
    [],
  );
};

judgeLimits("containment", {
  "section.joist": {
    allowed: () => upThrough(348.5),
    broken: () => ({ facts: upThrough(348), severity: "stop", measured: -0.5, limit: 0 }),
  },
  "fill.space": {
    allowed: () => spaceFill({ width: 100, height: 10 }, [{ width: 45, thickness: 10, qty: 1 }]).facts,
    broken: () => ({
      facts: spaceFill({ width: 100, height: 10 }, [{ width: 45.1, thickness: 10, qty: 1 }]).facts,
      severity: "stop",
      measured: 45.1,
      limit: 45,
    }),
  },
  // A 25 mm capping takes cables of 23 side by side: two of 2.5, 10.1 each, and not three.
  "fill.layer": {
    allowed: () => inCapping(2),
    broken: () => ({ facts: inCapping(3), severity: "stop", measured: 30.3, limit: 23 }),
  },
  "fill.spare": {
    allowed: () => spaceFill({ width: 100, height: 10 }, [{ width: 37.9, thickness: 10, qty: 1 }]).facts,
    broken: () => ({
      facts: spaceFill({ width: 100, height: 10 }, [{ width: 38, thickness: 10, qty: 1 }]).facts,
      severity: "warn",
      measured: 38,
      limit: 38,
    }),
  },
  "fill.term": {
    allowed: () =>
      (
        termFill({ kind: "conduit", size: "16", length: 3000, bends: 0 }, [
          { csa: 1, construction: "solid", qty: 13 },
        ]) as { facts: Fact[] }
      ).facts,
    broken: () => ({
      facts: (
        termFill({ kind: "conduit", size: "16", length: 3000, bends: 0 }, [
          { csa: 1, construction: "solid", qty: 14 },
        ]) as { facts: Fact[] }
      ).facts,
      severity: "stop",
      measured: 308,
      limit: 290,
    }),
  },
  "fill.draw-in": {
    allowed: () =>
      (
        termFill({ kind: "conduit", size: "20", length: 3000, bends: 2 }, [
          { csa: 1.5, construction: "solid", qty: 1 },
        ]) as { facts: Fact[] }
      ).facts,
    broken: () => ({
      facts: (
        termFill({ kind: "conduit", size: "20", length: 3000, bends: 3 }, [
          { csa: 1.5, construction: "solid", qty: 1 },
        ]) as { facts: Fact[] }
      ).facts,
      severity: "warn",
      measured: 3,
      limit: 2,
    }),
  },
  "bend.radius": {
    allowed: () => bendFacts("sheathed", 10, 30, 30),
    broken: () => ({ facts: bendFacts("sheathed", 10, 30, 29.9), severity: "stop", measured: 29.9, limit: 30 }),
  },
  "bend.maker": {
    allowed: () => bendFacts("armoured", 60, 360, undefined),
    broken: () => ({ facts: bendFacts("armoured", 60.1, 360, undefined), severity: "warn", measured: 60.1, limit: 60 }),
  },
  "bend.conduit": {
    allowed: () => radiusFacts(20, 50),
    broken: () => ({ facts: radiusFacts(20, 49.9), severity: "stop", measured: 49.9, limit: 50 }),
  },
  "fold.room": {
    allowed: () => calc("fold.trunking", { depth: 50, angle: 90, at: 50 }),
    broken: () => ({
      facts: calc("fold.trunking", { depth: 50, angle: 90, at: 49 }),
      severity: "stop",
      measured: -1,
      limit: 0,
    }),
  },
  "clip.spacing": {
    allowed: () => checked(house(), [surface], [], clips([100, 400, 700, 1000, 1300, 1600, 1900])),
    broken: () => ({
      facts: checked(house(), [surface], [], clips([100, 400, 700, 1001, 1300, 1600, 1900])),
      severity: "stop",
      measured: 301,
      limit: 300,
    }),
  },
  "clip.end": {
    allowed: () => checked(house(), [surface], [], clips([150, 450, 750, 1050, 1350, 1650, 1850])),
    broken: () => ({
      facts: checked(house(), [surface], [], clips([100, 400, 700, 1000, 1300, 1600, 1849])),
      severity: "warn",
      measured: 151,
      limit: 150,
    }),
  },
  "clip.maker": {
    allowed: () => clipSpacing("sheathed", 40, "horizontal", true).facts,
    broken: () => ({
      facts: clipSpacing("sheathed", 40.1, "horizontal", true).facts,
      severity: "warn",
      measured: 40.1,
    }),
  },
  "clip.out-of-reach": {
    allowed: () => clipSpacing("sheathed", 10, "horizontal", true).facts,
    broken: () => ({ facts: clipSpacing("sheathed", 10, "horizontal", false).facts, severity: "note", limit: 450 }),
  },
  "clip.trunking": {
    allowed: () =>
      calc("clip.trunking", { material: "metal", width: 20, height: 15.1, orientation: "horizontal", length: 2000 }),
    broken: () => ({
      facts: calc("clip.trunking", {
        material: "metal",
        width: 20,
        height: 15,
        orientation: "horizontal",
        length: 2000,
      }),
      severity: "warn",
      measured: 300,
    }),
  },
  "fire.collapse": {
    allowed: () =>
      checkFire({
        where: "kept-by-structure",
        fixings: "plastic",
        overEscape: true,
        besideDoor: null,
        aboveDoor: null,
      }),
    broken: () => ({
      facts: checkFire({ where: "surface", fixings: "plastic", overEscape: false, besideDoor: 150, aboveDoor: null }),
      severity: "stop",
      measured: 150,
    }),
  },
  // To the ceiling, not just below it; 47 × 47 inside is more than 710 mm².
  "fire.seal": {
    allowed: () => sealed(2390),
    broken: () => ({ facts: sealed(2400), severity: "note", measured: 2209, limit: 710 }),
  },
  "fire.suspended": {
    allowed: () =>
      checkFire({ where: "surface", fixings: "metal", overEscape: true, besideDoor: null, aboveDoor: null }),
    broken: () => ({
      facts: checkFire({
        where: "suspended-ceiling",
        fixings: "metal",
        overEscape: false,
        besideDoor: null,
        aboveDoor: null,
      }),
      severity: "stop",
    }),
  },
});
