import { type CaseRow, fixed, lights, onWall, over, radial, ring } from "./circuit-cases.fixture";

const APP15 = "BS 7671:2018+A2:2022 Appendix 15";
const ADS = "BS 7671:2018+A2:2022 411";
const CAP = "BS 7671:2018+A2:2022 433.1.1";
const LIGHTING = "On-site working practice, lighting";
const S701 = "BS 7671:2018+A2:2022 701";

/** Circuits in which nothing is to be found. */
export const right: readonly CaseRow[] = [
  ["a radial of 2.5 on 20 A", APP15, { on: "s1 s2 s3", circuits: [radial()] }],
  ["a radial of 4 on 32 A", APP15, { on: "s1 s2 s3", circuits: [radial({ cable: "te-4", amps: 32 })] }],
  ["a ring of 2.5 on 32 A", APP15, { on: "s1 s2 s3", circuits: [ring()] }],
  ["a ring on 30 A", APP15, { on: "s1 s2 s3", circuits: [ring({ amps: 30 })] }],
  ["a ring of 4", APP15, { on: "s1 s2 s3", circuits: [ring({ cable: "te-4" })] }],
  ["a ring with a spur", APP15, { on: "s1 s2 s3", circuits: [ring({ spurs: "s1>s3" })] }],
  [
    "a ring with a spur to a twin",
    APP15,
    { on: "s1 s2 s3", with: { s3: { gang: 2 } }, circuits: [ring({ spurs: "s2>s3" })] },
  ],
  ["as many spurs as points on the ring", APP15, { on: "s1 s2 s3 s4", circuits: [ring({ spurs: "s1>s3 s2>s4" })] }],
  [
    "a fused unit on a spur with two outlets behind it",
    APP15,
    { on: "s1 s2 s3 f1 s4", circuits: [ring({ spurs: "s1>f1 f1>s3 f1>s4" })] },
  ],
  [
    "a chain of outlets behind a fused unit",
    APP15,
    { on: "s1 s2 s3 f1 s4", circuits: [ring({ spurs: "s1>f1 f1>s3 s3>s4" })] },
  ],
  [
    "a fused unit in the ring itself with a heater behind it",
    APP15,
    { on: "s1 s2 s3 f1 h1", circuits: [ring({ spurs: "f1>h1" })] },
  ],
  [
    "branches on a radial, and a branch of a branch",
    APP15,
    { on: "s1 s2 s3", circuits: [radial({ spurs: "s1>s2 s2>s3" })] },
  ],
  ["two branches from one point of a radial", APP15, { on: "s1 s2 s3", circuits: [radial({ spurs: "s1>s2 s1>s3" })] }],
  ["a light and its switch", LIGHTING, { on: "l1 w1", with: { w1: { works: "l1" } }, circuits: [lights()] }],
  ["two lights by one switch", LIGHTING, { on: "l1 l2 w1", with: { w1: { works: "l1 l2" } }, circuits: [lights()] }],
  [
    "two gangs for two lights",
    LIGHTING,
    { on: "l1 l2 w1", with: { w1: { gang: 2, works: "l1 l2" } }, circuits: [lights()] },
  ],
  ["two-way", LIGHTING, { on: "l1 w1 w2", with: { w1: { works: "l1" }, w2: { works: "l1" } }, circuits: [lights()] }],
  [
    "intermediate",
    LIGHTING,
    {
      on: "l1 w1 w2 w3",
      with: { w1: { works: "l1" }, w2: { works: "l1" }, w3: { works: "l1" } },
      circuits: [lights()],
    },
  ],
  [
    "looped at the switch",
    LIGHTING,
    {
      on: "l1 w1 w2",
      with: { w1: { works: "l1" }, w2: { works: "l1" } },
      circuits: [lights()],
      schools: { lightingFeed: "switch" },
    },
  ],
  [
    "lights in 1.5 on 10 A",
    LIGHTING,
    { on: "l1 w1", with: { w1: { works: "l1" } }, circuits: [lights({ cable: "te-1.5", amps: 10 })] },
  ],
  ["downlights by a cord", LIGHTING, { on: "dl wp", with: { wp: { works: "dl" } }, circuits: [lights()] }],
  ["a fan on the lights", LIGHTING, { on: "l1 w1 fn", with: { w1: { works: "l1" } }, circuits: [lights()] }],
  [
    "lights behind a fused unit, labelled",
    "BS 7671:2018+A2:2022 514.1",
    {
      on: "s1 s2 f1 l1:wall-light w1",
      with: { f1: { fuse: 3, labelled: true }, w1: { works: "l1" } },
      circuits: [ring({ spurs: "s1>f1 f1>w1 w1>l1" })],
    },
  ],
  [
    "a cooker by its control, after diversity",
    CAP,
    { on: "c1 hb", circuits: [radial({ kind: "cooker", cable: "te-6", rcd: null, walls: "surface", amps: 32 })] },
  ],
  [
    "a cooker control with its outlet on 30 mA",
    "BS 7671:2018+A2:2022 411.3.3",
    { on: "c1 hb", with: { c1: { gang: 2 } }, circuits: [radial({ kind: "cooker", cable: "te-6", amps: 32 })] },
  ],
  [
    "a shower alone on 40 A",
    CAP,
    {
      on: "sh",
      with: { sh: { place: over(2000, 1500) } },
      circuits: [radial({ kind: "shower", cable: "te-10", watts: 9000, amps: 40 })],
    },
  ],
  ["an immersion heater alone", CAP, { on: "im", circuits: [fixed({ amps: 16 })] }],
  [
    "a charging point alone on 32 A",
    "BS 7671:2018+A2:2022 722",
    { on: "vp", circuits: [fixed({ cable: "te-6", amps: 32 })] },
  ],
  ["two heaters on 20 A", CAP, { on: "h1 h2", circuits: [fixed()] }],
  [
    "cable clipped on the surface without an RCD feeds a fixed load",
    "BS 7671:2018+A2:2022 522.6",
    { on: "h1", circuits: [fixed({ rcd: null, walls: "surface" })] },
  ],
  ["one RCD of 30 mA for all", ADS, { on: "s1 s2 s3", circuits: [radial({ rcd: null })], supply: { rcd: 30 } }],
  [
    "an RCD of 300 mA over circuits with 30 mA of their own",
    ADS,
    { on: "s1 s2 s3", circuits: [radial()], supply: { rcd: 300 } },
  ],
  ["type C on a short radial", ADS, { on: "s1 s2 s3", circuits: [radial({ amps: 20, curve: "C" })] }],
  ["Ze of .80", ADS, { on: "s1 s2 s3", circuits: [ring()], supply: { earthing: "TN-S", ze: 0.8 } }],
  ["an outdoor socket on 30 mA", "BS 7671:2018+A2:2022 411.3.3", { on: "os", circuits: [radial()] }],
  [
    "alarms on one circuit",
    "BS 5839-6",
    {
      on: "sa l1 w1",
      with: { l1: { place: over(2000, 800) }, w1: { works: "l1" } },
      circuits: [lights({ points: "l1 w1" }), fixed({ cable: "te-1.5", points: "sa", amps: 6 })],
    },
  ],
  [
    "a light over a bath above 2 250",
    S701,
    { on: "l1 wp", with: { l1: { place: over(400, 400) }, wp: { works: "l1" } }, circuits: [lights()], bath: true },
  ],
  [
    "a shaver socket outside the zones",
    S701,
    { on: "sv", with: { sv: { place: onWall("w2", 1500, 1500) } }, circuits: [lights()], bath: true },
  ],
  [
    "mains within the switch",
    "BS 7671:2018+A2:2022 311.1",
    { on: "s1 s2 s3", circuits: [ring()], supply: { mainSwitch: 100 } },
  ],
  [
    "bonded with 10, seen",
    "BS 7671:2018+A2:2022 544.1",
    { on: "s1 s2 s3", circuits: [ring()], supply: { bonding: [{ service: "gas", csa: 10, seen: true }] } },
  ],
];
