import { buried } from "../../trades/outside/buried";
import { overhead } from "../../trades/outside/overhead";
import { calc, checked, corners, house, judgeLimits, surface } from "./by-hand.fixture";

judgeLimits("outside", {
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
