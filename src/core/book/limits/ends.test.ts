import { makePlan } from "../../plan/plan";
import { glands } from "../../rules/glands";
import { pickGland } from "../../trades/ends/gland-pick";
import { glandRow } from "../../trades/ends/gland-row";
import { tailLength } from "../../trades/ends/tails";
import { calc, house, judgeLimits, two } from "./by-hand.fixture";

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
  "stock.short": {
    allowed: () => makePlan(house({ drums: [{ id: "dr", label: "A", cable: "te-2.5", length: 100_000 }] })).facts,
    broken: () => ({
      facts: makePlan(house({ drums: [{ id: "dr", label: "A", cable: "te-2.5", length: 2000 }] })).facts,
      severity: "warn",
    }),
  },
});
