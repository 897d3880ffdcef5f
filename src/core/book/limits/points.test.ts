import { layHouse } from "../../house/house";
import { pointFacts } from "../../plan/point-facts";
import { house, judgeLimits, kitchen, outlet, points, sinkAt, socket } from "./by-hand.fixture";

judgeLimits("points", {
  "point.off-wall": {
    allowed: () => points([socket("s1", 43, 43)]),
    broken: () => ({ facts: points([socket("s1", 42.9, 43)]), severity: "stop" }),
  },
  "point.circuit": {
    allowed: () => points([socket("s1", 1000)]),
    broken: () => ({ facts: pointFacts(layHouse(house({ circuits: [] }))), severity: "warn" }),
  },
  "point.in-opening": {
    allowed: () =>
      points([socket("s1", 957)], {
        openings: [{ id: "o", wall: "w1", kind: "door", u: 1000, v: 0, width: 800, height: 2000 }],
      }),
    broken: () => ({
      facts: points([socket("s1", 958)], {
        openings: [{ id: "o", wall: "w1", kind: "door", u: 1000, v: 0, width: 800, height: 2000 }],
      }),
      severity: "stop",
    }),
  },
  "point.overlap": {
    allowed: () => points([socket("s1", 1000), socket("s2", 1086)]),
    broken: () => ({ facts: points([socket("s1", 1000), socket("s2", 1085)]), severity: "stop" }),
  },
  "height.new-dwelling": {
    allowed: () =>
      points([socket("s1", 1000, 450), socket("s2", 2000, 1200), socket("s3", 3000, 450)], {
        dwelling: { newDwelling: true },
      }),
    broken: () => ({
      facts: points([socket("s1", 1000, 449)], { dwelling: { newDwelling: true } }),
      severity: "stop",
      measured: 449,
      limit: 450,
    }),
  },
  "kitchen.sink": {
    allowed: () => kitchen([outlet(627), { ...outlet(1700), id: "f", kind: "fused-unit" }]),
    broken: () => ({ facts: kitchen([outlet(628)]), measured: 299, limit: 300 }),
  },
  "kitchen.under-sink": {
    allowed: () => kitchen([outlet(927, 450)]),
    broken: () => ({ facts: kitchen([outlet(928, 450)]), severity: "warn" }),
  },
  "kitchen.worktop": {
    allowed: () => kitchen([outlet(2200, 1050)]),
    broken: () => ({ facts: kitchen([outlet(2200, 1049)]), measured: 149, limit: 150 }),
  },
  "kitchen.hob": {
    allowed: () => kitchen([outlet(2777)]),
    broken: () => ({ facts: kitchen([outlet(2778)]), measured: 149, limit: 150 }),
  },
  "kitchen.behind-hob": {
    allowed: () => kitchen([outlet(2927)]),
    broken: () => ({ facts: kitchen([outlet(2928)]), severity: "stop" }),
  },
  "kitchen.control-reach": {
    allowed: () =>
      kitchen([{ ...outlet(2200), kind: "control", serves: "hob" }], { appliances: [{ id: "hob", u: 4200, v: 1150 }] }),
    broken: () => ({
      facts: kitchen([{ ...outlet(2200), kind: "control", serves: "hob" }], {
        appliances: [{ id: "hob", u: 4201, v: 1150 }],
      }),
      measured: 2001,
      limit: 2000,
    }),
  },
  "kitchen.appliance-switch": {
    allowed: () =>
      kitchen([
        { ...outlet(2200, 450), kind: "appliance-outlet" },
        { ...outlet(2500), id: "f", kind: "fused-unit", serves: "s" },
      ]),
    broken: () => ({ facts: kitchen([{ ...outlet(2200, 450), kind: "appliance-outlet" }]) }),
  },
  "kitchen.notify.wales": {
    // From the bowl's edge at 1 000 along the wall: 4 000 on the wall is 3 000 away; in England nothing is told.
    allowed: () => sinkAt([socket("s1", 3500)], "england"),
    broken: () => ({ facts: sinkAt([socket("s1", 3500)], "wales"), severity: "note", measured: 2500, limit: 3000 }),
  },
});
