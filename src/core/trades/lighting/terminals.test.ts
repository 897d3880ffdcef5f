import { describe, expect, it } from "vitest";
import { board, circuit, house, socket } from "../../book/limits/by-hand.fixture";
import { cableOf } from "../../rules/catalogue";
import { runKey } from "../../job/run-key";
import type { Carried } from "../../rules/cores";
import { gangsOf } from "./gangs";
import { isDrawn, wiringAt } from "./terminals";

const at = (id: string, kind: string, more: object = {}) => socket(id, 1000, 1200, { kind, label: id, ...more });
const run = (from: string, to: string, carries: Carried[], number = 1) => ({
  id: runKey({ circuit: "li", from, to }, number),
  circuit: "li",
  from,
  to,
  number,
  carries,
});
const points = [
  board,
  at("l1", "wall-light"),
  at("l2", "wall-light"),
  at("w1", "switch", { controls: ["l1"] }),
  at("w2", "switch", { controls: ["l1"] }),
  at("w3", "switch", { controls: ["l1"] }),
];
const lighting = (ids: string[], more: object = {}) =>
  circuit({ id: "li", label: "LI", kind: "lighting", cable: "te-1.0", points: ids, ...more });

/** Every core at a point: "other: colour/sleeve carries>terminal". */
function read(
  id: string,
  runs: ReturnType<typeof run>[],
  ids = points.slice(1).map((p) => p.id),
  all: object[] = points,
  more: object = {},
): string[] {
  const job = house({ points: all, circuits: [lighting(ids, more)] });
  return wiringAt(job, runs, (r) => cableOf(r.carries.length > 2 ? "te3-1.0" : "te-1.0"), id).map(
    (c) =>
      `${c.other}: ${c.cores
        .filter((k) => k.carries !== "cpc")
        .map(
          (k) =>
            `${k.colour}${k.sleeve ? `/${k.sleeve}` : ""} ${k.carries}>${k.terminal.gang ? `${k.terminal.gang} ` : ""}${k.terminal.mark}${k.terminal.link ? "+" : ""}`,
        )
        .join(", ")}`,
  );
}
const FEED: Carried[] = ["line", "neutral"];
const THREE: Carried[] = ["common", "strapper-1", "strapper-2"];

describe("looped at the rose", () => {
  const runs = [run("db", "l1", FEED), run("l1", "l2", FEED), run("l1", "w1", ["line", "switched-line"])];
  it("three cables meet: line looped, neutrals together, switched line alone, the drop's blue sleeved brown", () => {
    expect(read("l1", runs)).toEqual([
      "db: brown line>loop, blue neutral>N",
      "l2: brown line>loop, blue neutral>N",
      "w1: brown line>loop, blue/brown switched-line>SL",
    ]);
  });
  it("a one-way switch has COM and L1", () => {
    expect(read("w1", runs)).toEqual(["l1: brown line>COM, blue/brown switched-line>L1"]);
  });
  it("a light that no switch works has the line at the lamp itself", () => {
    expect(read("l2", runs)).toEqual(["l1: brown line>L, blue neutral>N"]);
  });
  it("with a neutral in the drop grey is sleeved blue and parked", () => {
    expect(read("w1", [run("l1", "w1", ["line", "neutral", "switched-line"])])).toEqual([
      "l1: brown line>COM, black/brown switched-line>L1, grey/blue neutral>connector",
    ]);
  });
});

describe("two-way and intermediate", () => {
  const runs = [run("l1", "w1", ["line", "switched-line"]), run("w1", "w2", THREE), run("w2", "w3", THREE)];
  it("the drop joins the pair at the first switch, commons are joined by brown, strappers sleeved brown", () => {
    expect(read("w1", runs)).toEqual([
      "l1: brown line>L1, blue/brown switched-line>L2",
      "w2: brown common>COM, black/brown strapper-1>L1, grey/brown strapper-2>L2",
    ]);
    expect(read("w3", runs)).toEqual(["w2: brown common>COM, black/brown strapper-1>L1, grey/brown strapper-2>L2"]);
  });
  it("an intermediate passes the strappers through and joins the commons in a connector", () => {
    expect(read("w2", runs)).toEqual([
      "w1: brown common>connector, black/brown strapper-1>L1, grey/brown strapper-2>L2",
      "w3: brown common>connector, black/brown strapper-1>L3, grey/brown strapper-2>L4",
    ]);
  });
});

describe("several gangs", () => {
  const two = (id: string) => at(id, "switch", { controls: ["l1", "l2"], gang: 2 });
  const all = [...points.slice(0, 3), two("w1"), two("w2")];
  const ids = ["l1", "l2", "w1", "w2"];
  it("each drop goes to the gang of its light, each pair of gangs has its own cable", () => {
    const runs = [
      run("l1", "w1", ["line", "switched-line"]),
      run("l2", "w1", ["line", "switched-line"]),
      run("w1", "w2", THREE),
      run("w1", "w2", THREE, 2),
    ];
    expect(read("w1", runs, ids, all)).toEqual([
      "l1: brown line>1 L1, blue/brown switched-line>1 L2",
      "l2: brown line>2 L1, blue/brown switched-line>2 L2",
      "w2: brown common>1 COM, black/brown strapper-1>1 L1, grey/brown strapper-2>1 L2",
      "w2: brown common>2 COM, black/brown strapper-1>2 L1, grey/brown strapper-2>2 L2",
    ]);
  });
  it("looped at the switch the line goes on to the other gangs, and the neutrals are parked", () => {
    const one = [...points.slice(0, 3), two("w1")];
    const runs = [run("db", "w1", FEED), run("w1", "l1", ["switched-line", "neutral"])];
    expect(read("w1", runs, ["l1", "l2", "w1"], one)).toEqual([
      "db: brown line>1 COM+, blue neutral>connector",
      "l1: brown switched-line>1 L1, blue neutral>connector",
    ]);
    expect(read("l1", runs, ["l1", "l2", "w1"], one)).toEqual(["w1: brown switched-line>SL, blue neutral>N"]);
  });
  it("what each gang works: the first light the first, the rest of a wide plate the second, unless said otherwise", () => {
    const light = (id: string): boolean => id.startsWith("l");
    const p = (gang: 1 | 2, controls: string[], gangOf: Record<string, number> = {}) =>
      gangsOf({ gang, controls, gangOf }, light);
    expect(p(1, ["l1", "l2"])).toEqual([["l1", "l2"]]);
    expect(p(2, ["l1", "l2", "l3"])).toEqual([["l1"], ["l2", "l3"]]);
    expect(p(1, ["l1", "l2", "l3"], { l3: 2 })).toEqual([["l1", "l2"], ["l3"]]);
    expect(p(2, ["a1", "l1"], { a1: 3 })).toEqual([["l1"], []]);
  });
});

describe("elsewhere", () => {
  it("a fused unit takes the circuit at its feed and what lies behind it at its load", () => {
    const all = [board, at("s1", "socket"), at("f1", "fused-unit"), at("l1", "wall-light")];
    const spurs = [
      { point: "f1", from: "s1" },
      { point: "l1", from: "f1" },
    ];
    expect(read("f1", [run("s1", "f1", []), run("f1", "l1", [])], ["s1"], all, { kind: "ring", spurs })).toEqual([
      "s1: brown line>L-feed, blue neutral>N-feed",
      "l1: brown line>L-load, blue neutral>N-load",
    ]);
  });
  it("in a junction box all go to connectors; a third core that carries nothing is parked", () => {
    const all = [board, at("j1", "junction-box")];
    expect(read("j1", [run("db", "j1", [])], ["j1"], all)).toEqual([
      "db: brown line>connector, blue neutral>connector",
    ]);
    const job = house({ points, circuits: [lighting(["l1", "w1"])] });
    const spare = wiringAt(
      job,
      [run("l1", "w1", ["line", "switched-line"])],
      () => ({ cores: 3, family: "sheathed" }),
      "w1",
    );
    expect(spare[0]!.cores.map((k) => [k.colour, k.old, k.carries])).toEqual([
      ["brown", "red", "line"],
      ["black", "yellow", "switched-line"],
      ["grey", "blue", "spare"],
      ["green-yellow", "green", "cpc"],
    ]);
  });
  it("a point that is on no circuit, or that is not there, has none; sockets are not drawn", () => {
    expect(read("l2", [], ["l1"])).toEqual([]);
    expect(read("nobody", [])).toEqual([]);
    expect((["socket", "wall-light", "pull-cord", "fused-unit"] as const).map((kind) => isDrawn({ kind }))).toEqual([
      false,
      true,
      true,
      true,
    ]);
  });
});
