import { describe, expect, it } from "vitest";
import { type Described, jobOf } from "./circuit-cases.fixture";
import { makePlan } from "./plan";

/** Rules that judge circuits; those on walls, joists and papers are others' matter. */
const JUDGES = /^(circuit|lighting|bath|supply|alarm|zone\.rcd)/;
const finds = (d: Described): string[] =>
  makePlan(jobOf(d))
    .facts.filter((f) => JUDGES.test(f.rule) && f.severity !== "note")
    .map((f) => `${f.rule}${f.case && f.case !== "laid" ? `:${f.case}` : ""} ${f.subject.id}`)
    .sort();

const ring = (points: string[], more: object = {}) => ({ kind: "ring", device: { rating: 32 }, points, ...more });
const lights = (points: string[], more: object = {}) => ({
  kind: "lighting",
  device: { rating: 6 },
  cable: "te-1.0",
  points,
  ...more,
});
const S3: Described["points"] = [
  ["s1", "socket"],
  ["s2", "socket"],
  ["s3", "socket"],
];
const tray = [{ id: "b", wall: "w0", kind: "bath", u: 0, v: 0, width: 800, height: 150, depth: 800 }];
const APP15 = "BS 7671:2018+A2:2022 Appendix 15";
const ADS = "BS 7671:2018+A2:2022 411";
const CAP = "BS 7671:2018+A2:2022 433.1.1";
const LIGHTING = "On-site working practice, lighting";
const S701 = "BS 7671:2018+A2:2022 701";

type Row = [what: string, source: string, d: Described, finds?: string[]];

const right: Row[] = [
  ["a radial of 2.5 on 20 A", APP15, { points: S3, circuits: [{ points: ["s1", "s2", "s3"] }] }],
  [
    "a radial of 4 on 32 A",
    APP15,
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"], device: { rating: 32 }, cable: "te-4" }] },
  ],
  ["a ring of 2.5 on 32 A", APP15, { points: S3, circuits: [ring(["s1", "s2", "s3"])] }],
  ["a ring on 30 A", APP15, { points: S3, circuits: [ring(["s1", "s2", "s3"], { device: { rating: 30 } })] }],
  ["a ring of 4", APP15, { points: S3, circuits: [ring(["s1", "s2", "s3"], { cable: "te-4" })] }],
  [
    "a ring with a spur",
    APP15,
    { points: S3, circuits: [ring(["s1", "s2"], { spurs: [{ point: "s3", from: "s1" }] })] },
  ],
  [
    "a ring with a spur to a twin",
    APP15,
    {
      points: [...S3.slice(0, 2), ["s3", "socket", { gang: 2 }]],
      circuits: [ring(["s1", "s2"], { spurs: [{ point: "s3", from: "s2" }] })],
    },
  ],
  [
    "as many spurs as points on the ring",
    APP15,
    {
      points: [...S3, ["s4", "socket"]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "s3", from: "s1" },
            { point: "s4", from: "s2" },
          ],
        }),
      ],
    },
  ],
  [
    "a fused unit on a spur with two outlets behind it",
    APP15,
    {
      points: [...S3, ["f1", "fused-unit"], ["s4", "socket"]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "f1", from: "s1" },
            { point: "s3", from: "f1" },
            { point: "s4", from: "f1" },
          ],
        }),
      ],
    },
  ],
  [
    "a chain of outlets behind a fused unit",
    APP15,
    {
      points: [...S3, ["f1", "fused-unit"], ["s4", "socket"]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "f1", from: "s1" },
            { point: "s3", from: "f1" },
            { point: "s4", from: "s3" },
          ],
        }),
      ],
    },
  ],
  [
    "a fused unit in the ring itself with a heater behind it",
    APP15,
    {
      points: [...S3, ["f1", "fused-unit"], ["h1", "heater"]],
      circuits: [ring(["s1", "s2", "s3", "f1"], { spurs: [{ point: "h1", from: "f1" }] })],
    },
  ],
  [
    "branches on a radial, and a branch of a branch",
    APP15,
    {
      points: S3,
      circuits: [
        {
          points: ["s1"],
          spurs: [
            { point: "s2", from: "s1" },
            { point: "s3", from: "s2" },
          ],
        },
      ],
    },
  ],
  [
    "two branches from one point of a radial",
    APP15,
    {
      points: S3,
      circuits: [
        {
          points: ["s1"],
          spurs: [
            { point: "s2", from: "s1" },
            { point: "s3", from: "s1" },
          ],
        },
      ],
    },
  ],
  [
    "a light and its switch",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1"])],
    },
  ],
  [
    "two lights by one switch",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["l2", "light"],
        ["w1", "switch", { controls: ["l1", "l2"] }],
      ],
      circuits: [lights(["l1", "l2", "w1"])],
    },
  ],
  [
    "two gangs for two lights",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["l2", "light"],
        ["w1", "switch", { gang: 2, controls: ["l1", "l2"] }],
      ],
      circuits: [lights(["l1", "l2", "w1"])],
    },
  ],
  [
    "two-way",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["w2", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1", "w2"])],
    },
  ],
  [
    "intermediate",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["w2", "switch", { controls: ["l1"] }],
        ["w3", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1", "w2", "w3"])],
    },
  ],
  [
    "looped at the switch",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["w2", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1", "w2"])],
      schools: { lightingFeed: "switch" },
    },
  ],
  [
    "lights in 1.5 on 10 A",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1"], { cable: "te-1.5", device: { rating: 10 } })],
    },
  ],
  [
    "downlights by a cord",
    LIGHTING,
    {
      points: [
        ["dl", "downlights"],
        ["wp", "pull-cord", { controls: ["dl"] }],
      ],
      circuits: [lights(["dl", "wp"])],
    },
  ],
  [
    "a fan on the lights",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["fn", "fan"],
      ],
      circuits: [lights(["l1", "w1", "fn"])],
    },
  ],
  [
    "lights behind a fused unit, labelled",
    "BS 7671:2018+A2:2022 514.1",
    {
      points: [
        ...S3.slice(0, 2),
        ["f1", "fused-unit", { fuse: 3, labelled: true }],
        ["l1", "wall-light"],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "f1", from: "s1" },
            { point: "w1", from: "f1" },
            { point: "l1", from: "w1" },
          ],
        }),
      ],
    },
  ],
  [
    "a cooker by its control, after diversity",
    CAP,
    {
      points: [
        ["c1", "cooker-control"],
        ["hb", "hob"],
      ],
      circuits: [
        { kind: "cooker", device: { rating: 32 }, cable: "te-6", points: ["c1", "hb"], rcd: null, walls: "surface" },
      ],
    },
  ],
  [
    "a cooker control with its outlet on 30 mA",
    "BS 7671:2018+A2:2022 411.3.3",
    {
      points: [
        ["c1", "cooker-control", { gang: 2 }],
        ["hb", "hob"],
      ],
      circuits: [{ kind: "cooker", device: { rating: 32 }, cable: "te-6", points: ["c1", "hb"] }],
    },
  ],
  [
    "a shower alone on 40 A",
    CAP,
    {
      points: [["sh", "shower-pull-cord", { place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" } }]],
      circuits: [{ kind: "shower", device: { rating: 40 }, cable: "te-10", watts: 9000, points: ["sh"] }],
    },
  ],
  [
    "an immersion heater alone",
    CAP,
    { points: [["im", "immersion"]], circuits: [{ kind: "fixed", device: { rating: 16 }, points: ["im"] }] },
  ],
  [
    "a charging point alone on 32 A",
    "BS 7671:2018+A2:2022 722",
    {
      points: [["vp", "charging-point"]],
      circuits: [{ kind: "fixed", device: { rating: 32 }, cable: "te-6", points: ["vp"] }],
    },
  ],
  [
    "two heaters on 20 A",
    CAP,
    {
      points: [
        ["h1", "heater"],
        ["h2", "heater"],
      ],
      circuits: [{ kind: "fixed", points: ["h1", "h2"] }],
    },
  ],
  [
    "cable clipped on the surface without an RCD feeds a fixed load",
    "BS 7671:2018+A2:2022 522.6",
    { points: [["h1", "heater"]], circuits: [{ kind: "fixed", rcd: null, walls: "surface", points: ["h1"] }] },
  ],
  [
    "one RCD of 30 mA for all",
    ADS,
    { points: S3, circuits: [{ rcd: null, points: ["s1", "s2", "s3"] }], supply: { rcd: 30 } },
  ],
  [
    "an RCD of 300 mA over circuits with 30 mA of their own",
    ADS,
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"] }], supply: { rcd: 300 } },
  ],
  [
    "type C on a short radial",
    ADS,
    { points: S3, circuits: [{ device: { rating: 20, curve: "C" }, points: ["s1", "s2", "s3"] }] },
  ],
  ["Ze of .80", ADS, { points: S3, circuits: [ring(["s1", "s2", "s3"])], supply: { earthing: "TN-S", ze: 0.8 } }],
  [
    "an outdoor socket on 30 mA",
    "BS 7671:2018+A2:2022 411.3.3",
    { points: [["os", "outdoor-socket"]], circuits: [{ points: ["os"] }] },
  ],
  [
    "alarms on one circuit",
    "BS 5839-6",
    {
      points: [
        ["sa", "smoke-alarm"],
        ["l1", "light", { place: { on: "deck", deck: "d", x: 2000, y: 800, face: "ceiling" } }],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1"]), { kind: "fixed", device: { rating: 6 }, cable: "te-1.5", points: ["sa"] }],
    },
  ],
  [
    "a light over a bath above 2 250",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [
        ["l1", "light", { place: { on: "deck", deck: "d", x: 400, y: 400, face: "ceiling" } }],
        ["wp", "pull-cord", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "wp"])],
    },
  ],
  [
    "a shaver socket outside the zones",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [["sv", "shaver", { place: { on: "wall", wall: "w2", u: 1500, v: 1500 } }]],
      circuits: [lights(["sv"])],
    },
  ],
  [
    "mains within the switch",
    "BS 7671:2018+A2:2022 311.1",
    { points: S3, circuits: [ring(["s1", "s2", "s3"])], supply: { mainSwitch: 100 } },
  ],
  [
    "bonded with 10, seen",
    "BS 7671:2018+A2:2022 544.1",
    {
      points: S3,
      circuits: [ring(["s1", "s2", "s3"])],
      supply: { bonding: [{ service: "gas", csa: 10, seen: true }] },
    },
  ],
];

const wrong: Row[] = [
  [
    "sockets without an RCD",
    "BS 7671:2018+A2:2022 411.3.3",
    { points: S3, circuits: [{ rcd: null, walls: "surface", points: ["s1", "s2", "s3"] }] },
    ["circuit.rcd c1"],
  ],
  [
    "sockets on 100 mA",
    "BS 7671:2018+A2:2022 415.1.1",
    { points: S3, circuits: [{ rcd: 100, walls: "surface", points: ["s1", "s2", "s3"] }] },
    ["circuit.rcd c1"],
  ],
  [
    "hidden cable without an RCD",
    "BS 7671:2018+A2:2022 522.6.202",
    { points: [["h1", "heater"]], circuits: [{ kind: "fixed", rcd: null, points: ["h1"] }] },
    ["zone.rcd c1"],
  ],
  [
    "lights without an RCD",
    "BS 7671:2018+A2:2022 411.3.4",
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1"], { rcd: null, walls: "surface" })],
    },
    ["circuit.rcd c1"],
  ],
  [
    "a shower without an RCD",
    S701,
    {
      points: [["sh", "shower-pull-cord", { place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" } }]],
      circuits: [
        {
          kind: "shower",
          device: { rating: 40 },
          cable: "te-10",
          watts: 9000,
          rcd: null,
          walls: "surface",
          points: ["sh"],
        },
      ],
    },
    ["circuit.rcd c1"],
  ],
  [
    "a cooker control with outlet without an RCD",
    "BS 7671:2018+A2:2022 411.3.3",
    {
      points: [["c1", "cooker-control", { gang: 2 }]],
      circuits: [
        { kind: "cooker", device: { rating: 32 }, cable: "te-6", points: ["c1"], rcd: null, walls: "surface" },
      ],
    },
    ["circuit.rcd c1"],
  ],
  [
    "a charging point without an RCD",
    "BS 7671:2018+A2:2022 722.531",
    {
      points: [["vp", "charging-point"]],
      circuits: [{ kind: "fixed", device: { rating: 32 }, cable: "te-6", rcd: null, walls: "surface", points: ["vp"] }],
    },
    ["circuit.rcd c1"],
  ],
  [
    "2.5 on 32 A as a radial",
    CAP,
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"], device: { rating: 32 } }] },
    ["circuit.capacity c1"],
  ],
  [
    "4 on 40 A",
    CAP,
    {
      points: [["h1", "heater"]],
      circuits: [{ kind: "fixed", points: ["h1"], device: { rating: 40 }, cable: "te-4" }],
    },
    ["circuit.capacity c1"],
  ],
  [
    "1.0 on 20 A",
    CAP,
    { points: [["h1", "heater"]], circuits: [{ kind: "fixed", points: ["h1"], cable: "te-1.0" }] },
    ["circuit.capacity c1"],
  ],
  [
    "a ring of 1.5",
    APP15,
    { points: S3, circuits: [ring(["s1", "s2", "s3"], { cable: "te-1.5" })] },
    ["circuit.min-csa c1"],
  ],
  [
    "a ring where it is 60 °C",
    APP15,
    { points: S3, circuits: [ring(["s1", "s2", "s3"], { ambient: 60 })] },
    ["circuit.ring c1"],
  ],
  [
    "a radial at 60 °C",
    CAP,
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"], ambient: 60 }] },
    ["circuit.capacity c1"],
  ],
  [
    "10 kW on 32 A in full",
    CAP,
    {
      points: [["c1", "cooker-control"]],
      circuits: [{ kind: "cooker", device: { rating: 32 }, cable: "te-6", watts: 10_000, points: ["c1"] }],
      schools: { cookerCurrent: "full" },
    },
    ["circuit.device c1"],
  ],
  [
    "three heaters on 20 A",
    CAP,
    {
      points: [
        ["h1", "heater"],
        ["h2", "heater"],
        ["h3", "heater"],
      ],
      circuits: [{ kind: "fixed", points: ["h1", "h2", "h3"] }],
    },
    ["circuit.device c1"],
  ],
  [
    "15 lights of 100 W on 6 A",
    CAP,
    {
      points: Array.from(
        { length: 15 },
        (_, n) =>
          [`l${n}`, "light", { place: { on: "deck", deck: "d", x: 300 + 230 * n, y: 1500, face: "ceiling" } }] as const,
      )
        .map((x): Described["points"][number] => [...x])
        .concat([["w1", "switch", { controls: Array.from({ length: 15 }, (_, n) => `l${n}`) }]]),
      circuits: [lights([...Array.from({ length: 15 }, (_, n) => `l${n}`), "w1"])],
    },
    ["circuit.device c1"],
  ],
  [
    "a charging point on 20 A",
    CAP,
    { points: [["vp", "charging-point"]], circuits: [{ kind: "fixed", cable: "te-6", points: ["vp"] }] },
    ["circuit.device c1"],
  ],
  [
    "Ze of 1.5 on a ring",
    ADS,
    { points: S3, circuits: [ring(["s1", "s2", "s3"])], supply: { ze: 1.5 } },
    ["circuit.loop c1"],
  ],
  [
    "type C of 32 A on Ze .60",
    ADS,
    { points: S3, circuits: [ring(["s1", "s2", "s3"], { device: { rating: 32, curve: "C" } })], supply: { ze: 0.6 } },
    ["circuit.loop c1"],
  ],
  [
    "B63 on Ze .70",
    ADS,
    {
      points: [["k1", "isolator"]],
      circuits: [{ kind: "fixed", device: { rating: 63 }, cable: "te-16", points: ["k1"] }],
      supply: { ze: 0.7 },
    },
    ["circuit.loop c1"],
  ],
  [
    "an electrode and no RCD",
    ADS,
    {
      points: [["h1", "heater"]],
      circuits: [{ kind: "fixed", rcd: null, walls: "surface", points: ["h1"] }],
      supply: { earthing: "TT", ze: 100 },
    },
    ["circuit.loop:tt-without c1"],
  ],
  [
    "an electrode by the RCD alone is relied on, and told",
    ADS,
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"] }], supply: { earthing: "TT", ze: 100 } },
    ["circuit.loop:rcd-relied c1"],
  ],
  [
    "an electrode of 250",
    "BS 7671:2018+A2:2022 Table 41.5",
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"] }], supply: { earthing: "TT", ze: 250 } },
    ["circuit.loop:electrode c1", "circuit.loop:rcd-relied c1"],
  ],
  [
    "an electrode of 1 800 with 30 mA",
    "BS 7671:2018+A2:2022 Table 41.5",
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"] }], supply: { earthing: "TT", ze: 1800 } },
    ["circuit.loop:by-rcd c1", "circuit.loop:electrode c1"],
  ],
  [
    "a spur on a spur",
    APP15,
    {
      points: [...S3, ["s4", "socket"]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "s3", from: "s1" },
            { point: "s4", from: "s3" },
          ],
        }),
      ],
    },
    ["circuit.spur:spur-of-spur s4"],
  ],
  [
    "a fused unit on an unfused spur",
    APP15,
    {
      points: [...S3, ["f1", "fused-unit"]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "s3", from: "s1" },
            { point: "f1", from: "s3" },
          ],
        }),
      ],
    },
    ["circuit.spur:spur-of-spur f1"],
  ],
  [
    "two spurs from one point",
    APP15,
    {
      points: [...S3, ["s4", "socket"]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "s3", from: "s1" },
            { point: "s4", from: "s1" },
          ],
        }),
      ],
    },
    ["circuit.spur:same-point c1"],
  ],
  [
    "a socket on the lights",
    APP15,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["s1", "socket"],
      ],
      circuits: [lights(["l1", "w1", "s1"])],
    },
    ["circuit.spur.source s1"],
  ],
  [
    "an outdoor socket on the lights",
    APP15,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["os", "outdoor-socket"],
      ],
      circuits: [lights(["l1", "w1", "os"])],
    },
    ["circuit.spur.source os"],
  ],
  [
    "a socket on a shower circuit",
    APP15,
    {
      points: [["s1", "socket"]],
      circuits: [{ kind: "shower", device: { rating: 32 }, cable: "te-6", points: ["s1"] }],
    },
    ["circuit.spur.source s1"],
  ],
  [
    "a socket on a cooker circuit",
    APP15,
    {
      points: [
        ["c1", "cooker-control"],
        ["s1", "socket"],
      ],
      circuits: [{ kind: "cooker", device: { rating: 32 }, cable: "te-6", points: ["c1", "s1"] }],
    },
    ["circuit.spur.source s1"],
  ],
  [
    "a light on a ring without a fused unit",
    "BS 7671:2018+A2:2022 314.1",
    {
      points: [...S3.slice(0, 2), ["l1", "wall-light"], ["w1", "switch", { controls: ["l1"] }]],
      circuits: [ring(["s1", "s2", "l1", "w1"])],
    },
    ["lighting.fed-from-sockets:no-fuse c1"],
  ],
  [
    "a light on a radial of sockets without a fused unit",
    "BS 7671:2018+A2:2022 314.1",
    {
      points: [...S3.slice(0, 2), ["l1", "wall-light"], ["w1", "switch", { controls: ["l1"] }]],
      circuits: [{ points: ["s1", "s2", "l1", "w1"] }],
    },
    ["lighting.fed-from-sockets:no-fuse c1"],
  ],
  [
    "a light behind a fused unit that no label tells of",
    "BS 7671:2018+A2:2022 514.1",
    {
      points: [...S3.slice(0, 2), ["f1", "fused-unit"], ["l1", "wall-light"], ["w1", "switch", { controls: ["l1"] }]],
      circuits: [
        ring(["s1", "s2"], {
          spurs: [
            { point: "f1", from: "s1" },
            { point: "w1", from: "f1" },
            { point: "l1", from: "w1" },
          ],
        }),
      ],
    },
    ["lighting.fed-from-sockets:label c1"],
  ],
  [
    "one light of two is not behind the fused unit",
    "BS 7671:2018+A2:2022 314.1",
    {
      points: [
        ...S3.slice(0, 2),
        ["f1", "fused-unit", { labelled: true }],
        ["l1", "wall-light"],
        ["l2", "wall-light"],
        ["w1", "switch", { controls: ["l1", "l2"] }],
      ],
      circuits: [
        ring(["s1", "s2", "l2"], {
          spurs: [
            { point: "f1", from: "s1" },
            { point: "w1", from: "f1" },
            { point: "l1", from: "w1" },
          ],
        }),
      ],
    },
    ["lighting.fed-from-sockets:no-fuse c1"],
  ],
  [
    "a light without a switch",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["l2", "light"],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "l2", "w1"])],
    },
    ["lighting.unswitched l2"],
  ],
  [
    "a switch that works nothing",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["w2", "switch"],
      ],
      circuits: [lights(["l1", "w1", "w2"])],
    },
    ["lighting.idle-switch w2"],
  ],
  [
    "a borrowed neutral",
    "BS 7671:2018+A2:2022 314.4",
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
        ["l2", "light"],
        ["w2", "switch", { controls: ["l2", "l1"], gang: 2 }],
      ],
      circuits: [lights(["l1", "w1"]), lights(["l2", "w2"])],
    },
    ["lighting.borrowed w2"],
  ],
  [
    "a two-way pair of which one works a light more",
    LIGHTING,
    {
      points: [
        ["l1", "light"],
        ["l2", "light"],
        ["w1", "switch", { controls: ["l1", "l2"] }],
        ["w2", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "l2", "w1", "w2"])],
    },
    ["lighting.two-way w1"],
  ],
  [
    "a charging point beside a socket",
    "BS 7671:2018+A2:2022 722.311",
    {
      points: [
        ["vp", "charging-point", { watts: 3000 }],
        ["s1", "socket"],
      ],
      circuits: [{ points: ["vp", "s1"] }],
    },
    ["circuit.own vp"],
  ],
  [
    "a shower beside a heater",
    CAP,
    {
      points: [
        [
          "sh",
          "shower-pull-cord",
          { place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" }, watts: 7000 },
        ],
        ["h1", "heater", { watts: 500 }],
      ],
      circuits: [{ kind: "shower", device: { rating: 40 }, cable: "te-10", points: ["sh", "h1"] }],
    },
    ["circuit.own sh"],
  ],
  [
    "an immersion heater beside a socket",
    CAP,
    {
      points: [
        ["im", "immersion"],
        ["s1", "socket"],
      ],
      circuits: [{ points: ["im", "s1"] }],
    },
    ["circuit.own im"],
  ],
  [
    "lights of 1.0 on 20 A",
    CAP,
    {
      points: [
        ["l1", "light"],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1"], { device: { rating: 20 } })],
    },
    ["circuit.capacity c1"],
  ],
  [
    "two circuits on one way",
    "On-site working practice, boards",
    { points: S3, circuits: [{ points: ["s1"] }, { points: ["s2", "s3"], way: 1 }] },
    ["circuit.way:shared c2"],
  ],
  [
    "a circuit without a way",
    "On-site working practice, boards",
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"], way: null }] },
    ["circuit.way:none c1"],
  ],
  [
    "a way that the board has not",
    "On-site working practice, boards",
    { points: S3, circuits: [{ points: ["s1", "s2", "s3"], way: 9 }] },
    ["circuit.way:beyond c1"],
  ],
  [
    "a bathroom's lights without an RCD",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [
        ["l1", "light", { place: { on: "deck", deck: "d", x: 3000, y: 2500, face: "ceiling" } }],
        ["wp", "pull-cord", { controls: ["l1"], place: { on: "deck", deck: "d", x: 3000, y: 2000, face: "ceiling" } }],
      ],
      circuits: [lights(["l1", "wp"], { rcd: null, walls: "surface" })],
    },
    ["bath.rcd c1", "circuit.rcd c1"],
  ],
  [
    "a heater in a bathroom on 100 mA",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [["h1", "heater", { place: { on: "wall", wall: "w2", u: 1500, v: 300 } }]],
      circuits: [{ kind: "fixed", rcd: 100, walls: "surface", points: ["h1"] }],
    },
    ["bath.rcd c1"],
  ],
  [
    "a socket 2 300 from the bath",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [["s1", "socket", { place: { on: "wall", wall: "w0", u: 3100, v: 450 } }]],
      circuits: [{ points: ["s1"] }],
    },
    ["bath.socket s1"],
  ],
  [
    "a socket in a bathroom where no bath is drawn",
    S701,
    { kind: "bathroom", points: [["s1", "socket"]], circuits: [{ points: ["s1"] }] },
    ["bath.socket:not-drawn s1"],
  ],
  [
    "a switch in zone 2",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [
        ["l1", "light", { place: { on: "deck", deck: "d", x: 3000, y: 2500, face: "ceiling" } }],
        ["w1", "switch", { controls: ["l1"], place: { on: "wall", wall: "w0", u: 1200, v: 1200 } }],
      ],
      circuits: [lights(["l1", "w1"])],
    },
    ["bath.ip:switch w1"],
  ],
  [
    "a wall light in zone 1 of IPX3",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [
        ["b1", "wall-light", { water: 3, place: { on: "wall", wall: "w0", u: 400, v: 1900 } }],
        ["wp", "pull-cord", { controls: ["b1"], place: { on: "deck", deck: "d", x: 3000, y: 2000, face: "ceiling" } }],
      ],
      circuits: [lights(["b1", "wp"])],
    },
    ["bath.ip b1"],
  ],
  [
    "a fan in zone 1 of which nothing is known",
    S701,
    {
      kind: "bathroom",
      fixtures: tray,
      points: [["fn", "fan", { place: { on: "wall", wall: "w0", u: 400, v: 2100 } }]],
      circuits: [lights(["fn"])],
    },
    ["bath.ip:unknown fn"],
  ],
  [
    "gas bonded with 6 on TN-C-S",
    "BS 7671:2018+A2:2022 544.1.1",
    { points: S3, circuits: [ring(["s1", "s2", "s3"])], supply: { bonding: [{ service: "gas", csa: 6, seen: true }] } },
    ["supply.bonding j"],
  ],
  [
    "two rings and a shower on 60 A",
    "BS 7671:2018+A2:2022 311.1",
    {
      points: [
        ...S3,
        ["s4", "socket"],
        ["s5", "socket"],
        ["s6", "socket"],
        ["sh", "shower-pull-cord", { place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" } }],
      ],
      circuits: [
        ring(["s1", "s2", "s3"]),
        ring(["s4", "s5", "s6"]),
        { kind: "shower", device: { rating: 40 }, cable: "te-10", points: ["sh"] },
      ],
      supply: { mainSwitch: 60 },
    },
    ["supply.demand j"],
  ],
  [
    "alarms on two circuits",
    "BS 5839-6",
    {
      points: [
        ["sa", "smoke-alarm"],
        ["ha", "heat-alarm"],
      ],
      circuits: [
        { kind: "fixed", device: { rating: 6 }, cable: "te-1.5", points: ["sa"] },
        { kind: "fixed", device: { rating: 6 }, cable: "te-1.5", points: ["ha"] },
      ],
    },
    ["alarm.interlink c2"],
  ],
  [
    "an alarm 200 from a wall",
    "BS 5839-6",
    {
      points: [["sa", "smoke-alarm", { place: { on: "deck", deck: "d", x: 200, y: 1500, face: "ceiling" } }]],
      circuits: [{ kind: "fixed", device: { rating: 6 }, cable: "te-1.5", points: ["sa"] }],
    },
    ["alarm.off sa"],
  ],
  [
    "an alarm 200 from a light",
    "BS 5839-6",
    {
      points: [
        ["sa", "smoke-alarm"],
        ["l1", "light", { place: { on: "deck", deck: "d", x: 700, y: 1500, face: "ceiling" } }],
        ["w1", "switch", { controls: ["l1"] }],
      ],
      circuits: [lights(["l1", "w1", "sa"])],
    },
    ["alarm.off sa"],
  ],
  [
    "a ring through insulation, hanging free",
    CAP,
    { walls: { build: "stud", thickness: 100, insulated: true }, points: S3, circuits: [ring(["s1", "s2", "s3"])] },
    ["circuit.ring c1"],
  ],
  [
    "a radial through insulation, against the board, on 32 A in 4",
    CAP,
    {
      walls: { build: "stud", thickness: 100, insulated: true, againstBoard: true },
      points: S3,
      circuits: [{ points: ["s1", "s2", "s3"], device: { rating: 32 }, cable: "te-4" }],
    },
    ["circuit.capacity c1"],
  ],
];

describe("right circuits have no finding", () => {
  it("forty of them", () => expect(right).toHaveLength(40));
  for (const [what, source, d] of right) it(`${what} (${source})`, () => expect(finds(d)).toEqual([]));
});

describe("wrong circuits have exactly their findings", () => {
  it("sixty of them", () => expect(wrong).toHaveLength(60));
  for (const [what, source, d, wanted] of wrong) it(`${what} (${source})`, () => expect(finds(d)).toEqual(wanted));
});

it("a stretch through insulation takes from what is clipped or in plaster: 27 A × .78 over 100 mm, × .63 over 200", () => {
  const through = (insulated: number) => finds({ points: S3, circuits: [{ points: ["s1", "s2", "s3"], insulated }] });
  expect([through(0), through(100), through(200)]).toEqual([[], [], ["circuit.capacity c1"]]);
});
