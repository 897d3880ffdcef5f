import { describe, expect, it } from "vitest";
import { linkedConnectors } from "../../rules/connectors";
import type { Point } from "../../job/model";
import { connectorWords, terminalWords } from "../../words/wiring";
import { connectorsOf } from "./connectors";
import { type WiredRun, wiringAt } from "./terminals";
import { pointSchema, circuitSchema, settingsSchema } from "../../job/model";

const point = (id: string, kind: string, more: object = {}): Point =>
  pointSchema.parse({ id, label: id.toUpperCase(), kind, place: { on: "wall", wall: "w", u: 0, v: 0 }, ...more });
const points = [
  point("board", "board"),
  point("j", "junction-box"),
  point("l1", "wall-light"),
  point("l2", "wall-light"),
  point("w1", "switch", { gang: 2, controls: ["l1", "l2"] }),
];
const circuit = circuitSchema.parse({
  ...{ id: "c", label: "LI1", name: "Lights", kind: "lighting", device: { rating: 6 }, rcd: 30, cable: "te-1.0" },
  ...{ way: 1, points: ["j", "l1", "l2", "w1"] },
});
const job = { points, circuits: [circuit], settings: settingsSchema.parse({}) };
const run = (to: string, carries: WiredRun["carries"], number = 1): WiredRun => ({
  ...{ id: `${to}${number}`, circuit: "c", from: "j", to, number, carries },
});
const flat = { cores: 2, family: "sheathed" } as const;
const at = (runs: WiredRun[], cores = 2) => wiringAt(job, runs, () => ({ ...flat, cores }), "j");

describe("connectors of a joint box, one by one", () => {
  // Feed in, two lights, and a twin to the switch for each of its gangs: line and switched line.
  const cables = at([
    { ...run("board", ["line", "neutral"]) },
    run("l1", ["switched-line", "neutral"]),
    run("l2", ["switched-line", "neutral"]),
    run("w1", ["line", "switched-line"], 1),
    run("w1", ["line", "switched-line"], 2),
  ]);
  const found = connectorsOf(cables);
  it("lines, neutrals and earths meet in one each, and the switched line of each light in its own", () => {
    expect(found.map((x) => [x.name, x.carries, x.cores, x.ways])).toEqual([
      ["A", "line", 3, [3]],
      ["B", "neutral", 3, [3]],
      ["C", "cpc", 5, [5]],
      ["D", "switched-line", 2, [2]],
      ["E", "switched-line", 2, [2]],
    ]);
    const joined = (name: string): string[] =>
      cables.flatMap((c) => (c.cores.some((k) => k.terminal.connector === name) ? [c.run] : []));
    expect([joined("D"), joined("E")]).toEqual([
      ["l11", "w11"],
      ["l21", "w12"],
    ]);
    expect(joined("C")).toHaveLength(5);
  });
  it("are said by letter, what they join and the ways of what is taken", () => {
    expect(found.map(connectorWords).slice(0, 3)).toEqual([
      "A, line: 3 cores, one of 3 ways",
      "B, neutral: 3 cores, one of 3 ways",
      "C, cpc: 5 cores, one of 5 ways",
    ]);
    expect(cables[0]!.cores.map(terminalWords)).toEqual([
      "line connector A",
      "neutral connector B",
      "earth connector C",
    ]);
  });
  it("a core that carries nothing is parked in one of its own", () => {
    const spare = at([run("l1", ["line", "neutral"]), run("l2", ["line", "neutral"])], 3);
    expect(
      connectorsOf(spare)
        .filter((x) => x.carries === "spare")
        .map((x) => [x.cores, x.ways]),
    ).toEqual([
      [1, [2]],
      [1, [2]],
    ]);
    expect(connectorWords(connectorsOf(spare)[3]!)).toBe("D: one core parked, of 2 ways");
  });
});

it("beyond five ways connectors are linked, each link taking a way at both its ends", () => {
  expect([1, 2, 3, 4, 5].map(linkedConnectors)).toEqual([[2], [2], [3], [5], [5]]);
  // Six: four and the link in one, the link and two in the other.
  expect(linkedConnectors(6)).toEqual([5, 3]);
  expect(linkedConnectors(8)).toEqual([5, 5]);
  // Nine: 4 + link, link + 3 + link, link + 2.
  expect(linkedConnectors(9)).toEqual([5, 5, 3]);
  for (let n = 1; n < 40; n++) {
    const ways = linkedConnectors(n);
    const free = ways.reduce((s, w) => s + w, 0) - 2 * (ways.length - 1);
    expect(free).toBeGreaterThanOrEqual(n);
    expect(free - n).toBeLessThan(3);
  }
});
