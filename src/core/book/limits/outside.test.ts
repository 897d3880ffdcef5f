import { buried } from "../../trades/outside/buried";
import { overhead } from "../../trades/outside/overhead";
import { rectOutline } from "../../base/polygon";
import { across, strip, yardJob } from "../../house/yard.fixture";
import { makePlan } from "../../plan/plan";
import type { Fact } from "../../rules/fact";
import { calc, checked, corners, house, judgeLimits, surface } from "./by-hand.fixture";

/** Facts of a yard with a way across it, its ground and its circuit. */
const yard = (more: Record<string, unknown>, circuit: Record<string, unknown> = {}): readonly Fact[] =>
  makePlan(yardJob(more, circuit)).facts;
const trench = (more: Record<string, unknown> = {}) => ({ outsideWays: [across("trench", more)] });
const wire = { outsideWays: [across("catenary")] };
const treeAt = (x0: number, x1: number) => ({
  id: "t",
  room: "out",
  kind: "tree",
  outline: rectOutline(x0, 5000, x1, 6000),
});
/** Facts of a row of lights in the yard, fed from a fused unit of a lighting circuit. */
const lit = (row: Record<string, unknown> = {}, more: Record<string, unknown> = {}, device = 6): readonly Fact[] =>
  yard({
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 8, place: { on: "wall", wall: "in1", u: 2000, v: 1400 } },
      { id: "f", label: "F1", kind: "fused-unit", fuse: 13, place: { on: "wall", wall: "in1", u: 2500, v: 450 } },
    ],
    circuits: [
      {
        id: "li",
        label: "LI",
        name: "Lights",
        kind: "lighting",
        device: { rating: device },
        rcd: 30,
        cable: "te-1.5",
        way: 2,
        points: ["f"],
      },
    ],
    lightRows: [
      {
        id: "r",
        label: "PL1",
        room: "out",
        from: "f",
        path: [
          { x: 2000, y: 3500 },
          { x: 2000, y: 9100 },
        ],
        count: 6,
        end: 300,
        cable: "swa-3x1.5",
        ...row,
      },
    ],
    ...more,
  });
const postsAt = (y: number) => ({ posts: [{ id: "p", room: "out", label: "P1", x: 1400, y, height: 900 }] });

judgeLimits("outside", {
  "buried.duct": {
    allowed: () =>
      yard({ ...trench({ ducts: [{ from: 1000, to: 2000, size: 63 }] }), grounds: [strip("drive", 1000, 2000)] }),
    broken: () => ({
      facts: yard({
        ...trench({ ducts: [{ from: 1001, to: 2000, size: 63 }] }),
        grounds: [strip("drive", 1000, 2000)],
      }),
      severity: "warn",
    }),
  },
  "buried.roots": {
    allowed: () => yard({ ...trench(), grounds: [treeAt(2100, 3000)] }),
    broken: () => ({ facts: yard({ ...trench(), grounds: [treeAt(1900, 3000)] }), severity: "warn" }),
  },
  "buried.service": {
    allowed: () => yard(trench({ services: [{ at: 3000, kind: "water", depth: 900 }] })),
    broken: () => ({
      facts: yard(trench({ services: [{ at: 3000, kind: "water", depth: 899 }] })),
      severity: "warn",
      measured: 299,
      limit: 300,
    }),
  },
  "overhead.tree": {
    allowed: () => yard({ ...wire, grounds: [treeAt(2100, 3000)] }),
    broken: () => ({ facts: yard({ ...wire, grounds: [treeAt(1900, 3000)] }), severity: "warn" }),
  },
  "outside.gone": {
    allowed: () => yard({ outsideWays: [across("catenary", { posts: ["p"] })], ...postsAt(6000) }),
    broken: () => ({ facts: yard({ outsideWays: [across("catenary", { posts: ["p"] })] }), severity: "stop" }),
  },
  "outside.unused": {
    allowed: () => yard(trench()),
    broken: () => ({ facts: yard(trench(), { cable: "te-6" }), severity: "note" }),
  },
  "outside.earth": {
    allowed: () => yard(trench(), { kind: "fixed", farEarth: null }),
    broken: () => ({ facts: yard(trench(), { farEarth: null }), severity: "warn" }),
  },
  "lights.gap": {
    allowed: () => lit({ onPosts: true }, postsAt(5900)),
    broken: () => ({ facts: lit({ onPosts: true }, postsAt(5901)), severity: "note", limit: 1000 }),
  },
  "lights.cable": {
    allowed: () => lit({ cable: "te-1.5", carried: "arbour", line: 2200, height: 2200 }),
    broken: () => ({ facts: lit({ cable: "te-1.5" }), severity: "stop" }),
  },
  "lights.cores": {
    allowed: () => lit({ sensor: "far", cable: "swa-3x1.5" }),
    broken: () => ({ facts: lit({ sensor: "far", cable: "swa-2x1.5" }), severity: "stop", measured: 2, limit: 3 }),
  },
  "lights.fed": {
    allowed: () => lit(),
    broken: () => ({ facts: lit({}, { circuits: [] }), severity: "warn" }),
  },
  "lights.drop": {
    allowed: () => lit({ watts: 100 }),
    broken: () => ({ facts: lit({ watts: 1000 }), severity: "stop", limit: 3 }),
  },
  "lights.loop": {
    allowed: () => lit(),
    broken: () => ({ facts: lit({ count: 60 }, {}, 50), severity: "stop" }),
  },
  "lights.conduit": {
    allowed: () => lit({ carried: "arbour", line: 2100, height: 2000 }),
    broken: () => ({
      facts: lit({ carried: "arbour", line: 2099, height: 2000 }),
      severity: "warn",
      measured: 2099,
      limit: 2100,
    }),
  },
  "outside.sheath": {
    allowed: () =>
      checked(
        house({ rooms: [{ id: "r", storey: "g", name: "Yard", kind: "yard", height: 2400, outline: corners }] }),
        [{ ...surface, cable: "swa-3x2.5", legs: surface.legs.map((l) => ({ ...l, protected: true })) }],
      ),
    broken: () => ({
      facts: checked(
        house({ rooms: [{ id: "r", storey: "g", name: "Yard", kind: "yard", height: 2400, outline: corners }] }),
        [surface],
      ),
      severity: "stop",
    }),
  },
  "outside.fall": {
    allowed: () => calc("outside.fall", { through: 300, rise: 15 }),
    broken: () => ({
      facts: calc("outside.fall", { through: 300, rise: 14.9 }),
      severity: "warn",
      measured: 14.9,
      limit: 15,
    }),
  },
  "overhead.height": {
    allowed: () => overhead("foot", 3500, 5000, true).facts,
    broken: () => ({ facts: overhead("foot", 3499, 5000, true).facts, severity: "stop", measured: 3499, limit: 3500 }),
  },
  "overhead.catenary": {
    allowed: () => overhead("foot", 3500, 5000, true).facts,
    broken: () => ({ facts: overhead("foot", 3500, 5000, false).facts, severity: "stop", measured: 5000 }),
  },
  "buried.depth": {
    allowed: () => buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker: 150 }),
    broken: () => ({
      facts: buried({ depth: 449, armoured: true, duct: false, bedding: 75, marker: 150 }),
      severity: "stop",
      measured: 449,
      limit: 450,
    }),
  },
  "buried.protection": {
    allowed: () => buried({ depth: 600, armoured: false, duct: true, bedding: 75, marker: 150 }),
    broken: () => ({
      facts: buried({ depth: 600, armoured: false, duct: false, bedding: 75, marker: 150 }),
      severity: "stop",
    }),
  },
  "buried.bedding": {
    allowed: () => buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker: 150 }),
    broken: () => ({
      facts: buried({ depth: 600, armoured: true, duct: false, bedding: 74, marker: 150 }),
      severity: "warn",
      measured: 74,
      limit: 75,
    }),
  },
  "buried.marker": {
    allowed: () =>
      [100, 250].flatMap((marker) => buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker })),
    broken: () => ({
      facts: buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker: 99 }),
      severity: "warn",
      measured: 99,
      limit: 150,
    }),
  },
});
