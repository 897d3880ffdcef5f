import { type CaseRow, fixed, lights, onWall, over, radial, ring } from "./circuit-cases.fixture";

const APP15 = "BS 7671:2018+A2:2022 Appendix 15";
const ADS = "BS 7671:2018+A2:2022 411";
const CAP = "BS 7671:2018+A2:2022 433.1.1";
const LIGHTING = "On-site working practice, lighting";
const S701 = "BS 7671:2018+A2:2022 701";

/** Circuits with exactly the findings named, stops and warnings alike. */
export const wrong: readonly CaseRow[] = [
  [
    "sockets without an RCD",
    "BS 7671:2018+A2:2022 411.3.3",
    { on: "s1 s2 s3", circuits: [radial({ rcd: null, walls: "surface" })] },
    "circuit.rcd c1",
  ],
  [
    "sockets on 100 mA",
    "BS 7671:2018+A2:2022 415.1.1",
    { on: "s1 s2 s3", circuits: [radial({ rcd: 100, walls: "surface" })] },
    "circuit.rcd c1",
  ],
  [
    "hidden cable without an RCD",
    "BS 7671:2018+A2:2022 522.6.202",
    { on: "h1", circuits: [fixed({ rcd: null })] },
    "zone.rcd c1",
  ],
  [
    "lights without an RCD",
    "BS 7671:2018+A2:2022 411.3.4",
    { on: "l1 w1", with: { w1: { works: "l1" } }, circuits: [lights({ rcd: null, walls: "surface" })] },
    "circuit.rcd c1",
  ],
  [
    "a shower without an RCD",
    S701,
    {
      on: "sh",
      with: { sh: { place: over(2000, 1500) } },
      circuits: [radial({ kind: "shower", cable: "te-10", watts: 9000, rcd: null, walls: "surface", amps: 40 })],
    },
    "circuit.rcd c1",
  ],
  [
    "a cooker control with outlet without an RCD",
    "BS 7671:2018+A2:2022 411.3.3",
    {
      on: "c1",
      with: { c1: { gang: 2 } },
      circuits: [radial({ kind: "cooker", cable: "te-6", rcd: null, walls: "surface", amps: 32 })],
    },
    "circuit.rcd c1",
  ],
  [
    "a charging point without an RCD",
    "BS 7671:2018+A2:2022 722.531",
    { on: "vp", circuits: [fixed({ cable: "te-6", rcd: null, walls: "surface", amps: 32 })] },
    "circuit.rcd c1",
  ],
  ["2.5 on 32 A as a radial", CAP, { on: "s1 s2 s3", circuits: [radial({ amps: 32 })] }, "circuit.capacity c1"],
  ["4 on 40 A", CAP, { on: "h1", circuits: [fixed({ cable: "te-4", amps: 40 })] }, "circuit.capacity c1"],
  ["1.0 on 20 A", CAP, { on: "h1", circuits: [fixed({ cable: "te-1.0" })] }, "circuit.capacity c1"],
  ["a ring of 1.5", APP15, { on: "s1 s2 s3", circuits: [ring({ cable: "te-1.5" })] }, "circuit.min-csa c1"],
  ["a ring where it is 60 °C", APP15, { on: "s1 s2 s3", circuits: [ring({ ambient: 60 })] }, "circuit.ring c1"],
  ["a radial at 60 °C", CAP, { on: "s1 s2 s3", circuits: [radial({ ambient: 60 })] }, "circuit.capacity c1"],
  [
    "10 kW on 32 A in full",
    CAP,
    {
      on: "c1",
      circuits: [radial({ kind: "cooker", cable: "te-6", watts: 10000, amps: 32 })],
      schools: { cookerCurrent: "full" },
    },
    "circuit.device c1",
  ],
  ["three heaters on 20 A", CAP, { on: "h1 h2 h3", circuits: [fixed()] }, "circuit.device c1"],
  [
    "two lights of 800 W on 6 A",
    CAP,
    { on: "l1 l2 w1", with: { l1: { watts: 800 }, l2: { watts: 800 }, w1: { works: "l1 l2" } }, circuits: [lights()] },
    "circuit.device c1",
  ],
  ["a charging point on 20 A", CAP, { on: "vp", circuits: [fixed({ cable: "te-6" })] }, "circuit.device c1"],
  ["Ze of 1.5 on a ring", ADS, { on: "s1 s2 s3", circuits: [ring()], supply: { ze: 1.5 } }, "circuit.loop c1"],
  [
    "type C of 32 A on Ze .60",
    ADS,
    { on: "s1 s2 s3", circuits: [ring({ amps: 32, curve: "C" })], supply: { ze: 0.6 } },
    "circuit.loop c1",
  ],
  [
    "B63 on Ze .70",
    ADS,
    { on: "k1", circuits: [fixed({ cable: "te-16", amps: 63 })], supply: { ze: 0.7 } },
    "circuit.loop c1",
  ],
  [
    "an electrode and no RCD",
    ADS,
    { on: "h1", circuits: [fixed({ rcd: null, walls: "surface" })], supply: { earthing: "TT", ze: 100 } },
    "circuit.loop:tt-without c1",
  ],
  [
    "an electrode by the RCD alone is relied on, and told",
    ADS,
    { on: "s1 s2 s3", circuits: [radial()], supply: { earthing: "TT", ze: 100 } },
    "circuit.loop:rcd-relied c1",
  ],
  [
    "an electrode of 250",
    "BS 7671:2018+A2:2022 Table 41.5",
    { on: "s1 s2 s3", circuits: [radial()], supply: { earthing: "TT", ze: 250 } },
    "circuit.loop:electrode c1, circuit.loop:rcd-relied c1",
  ],
  [
    "an electrode of 1 800 with 30 mA",
    "BS 7671:2018+A2:2022 Table 41.5",
    { on: "s1 s2 s3", circuits: [radial()], supply: { earthing: "TT", ze: 1800 } },
    "circuit.loop:by-rcd c1, circuit.loop:electrode c1",
  ],
  [
    "a spur on a spur",
    APP15,
    { on: "s1 s2 s3 s4", circuits: [ring({ spurs: "s1>s3 s3>s4" })] },
    "circuit.spur:spur-of-spur s4",
  ],
  [
    "a fused unit on an unfused spur",
    APP15,
    { on: "s1 s2 s3 f1", circuits: [ring({ spurs: "s1>s3 s3>f1" })] },
    "circuit.spur:spur-of-spur f1",
  ],
  [
    "two spurs from one point",
    APP15,
    { on: "s1 s2 s3 s4", circuits: [ring({ spurs: "s1>s3 s1>s4" })] },
    "circuit.spur:same-point c1",
  ],
  [
    "a socket on the lights",
    APP15,
    { on: "l1 w1 s1", with: { w1: { works: "l1" } }, circuits: [lights()] },
    "circuit.spur.source s1",
  ],
  [
    "an outdoor socket on the lights",
    APP15,
    { on: "l1 w1 os", with: { w1: { works: "l1" } }, circuits: [lights()] },
    "circuit.spur.source os",
  ],
  [
    "a socket on a shower circuit",
    APP15,
    { on: "s1", circuits: [radial({ kind: "shower", cable: "te-6", amps: 32 })] },
    "circuit.spur.source s1",
  ],
  [
    "a socket on a cooker circuit",
    APP15,
    { on: "c1 s1", circuits: [radial({ kind: "cooker", cable: "te-6", amps: 32 })] },
    "circuit.spur.source s1",
  ],
  [
    "a light on a ring without a fused unit",
    "BS 7671:2018+A2:2022 314.1",
    { on: "s1 s2 l1:wall-light w1", with: { w1: { works: "l1" } }, circuits: [ring()] },
    "lighting.fed-from-sockets:no-fuse c1",
  ],
  [
    "a light on a radial of sockets without a fused unit",
    "BS 7671:2018+A2:2022 314.1",
    { on: "s1 s2 l1:wall-light w1", with: { w1: { works: "l1" } }, circuits: [radial()] },
    "lighting.fed-from-sockets:no-fuse c1",
  ],
  [
    "a light behind a fused unit that no label tells of",
    "BS 7671:2018+A2:2022 514.1",
    {
      on: "s1 s2 f1 l1:wall-light w1",
      with: { w1: { works: "l1" } },
      circuits: [ring({ spurs: "s1>f1 f1>w1 w1>l1" })],
    },
    "lighting.fed-from-sockets:label c1",
  ],
  [
    "one light of two is not behind the fused unit",
    "BS 7671:2018+A2:2022 314.1",
    {
      on: "s1 s2 f1 l1:wall-light l2:wall-light w1",
      with: { f1: { labelled: true }, w1: { works: "l1 l2" } },
      circuits: [ring({ spurs: "s1>f1 f1>w1 w1>l1" })],
    },
    "lighting.fed-from-sockets:no-fuse c1",
  ],
  [
    "a light without a switch",
    LIGHTING,
    { on: "l1 l2 w1", with: { w1: { works: "l1" } }, circuits: [lights()] },
    "lighting.unswitched l2",
  ],
  [
    "a switch that works nothing",
    LIGHTING,
    { on: "l1 w1 w2", with: { w1: { works: "l1" } }, circuits: [lights()] },
    "lighting.idle-switch w2",
  ],
  [
    "a borrowed neutral",
    "BS 7671:2018+A2:2022 314.4",
    {
      on: "l1 w1 l2 w2",
      with: { w1: { works: "l1" }, w2: { gang: 2, works: "l2 l1" } },
      circuits: [lights({ points: "l1 w1" }), lights({ points: "l2 w2" })],
    },
    "lighting.borrowed w2",
  ],
  [
    "a two-way pair of which one works a light more",
    LIGHTING,
    { on: "l1 l2 w1 w2", with: { w1: { works: "l1 l2" }, w2: { works: "l1" } }, circuits: [lights()] },
    "lighting.two-way w1",
  ],
  [
    "a charging point beside a socket",
    "BS 7671:2018+A2:2022 722.311",
    { on: "vp s1", with: { vp: { watts: 3000 } }, circuits: [radial()] },
    "circuit.own vp",
  ],
  [
    "a shower beside a heater",
    CAP,
    {
      on: "sh h1",
      with: { sh: { place: over(2000, 1500), watts: 7000 }, h1: { watts: 500 } },
      circuits: [radial({ kind: "shower", cable: "te-10", amps: 40 })],
    },
    "circuit.own sh",
  ],
  ["an immersion heater beside a socket", CAP, { on: "im s1", circuits: [radial()] }, "circuit.own im"],
  [
    "lights of 1.0 on 20 A",
    CAP,
    { on: "l1 w1", with: { w1: { works: "l1" } }, circuits: [lights({ amps: 20 })] },
    "circuit.capacity c1",
  ],
  [
    "two circuits on one way",
    "On-site working practice, boards",
    { on: "s1 s2 s3", circuits: [radial({ points: "s1" }), radial({ points: "s2 s3", way: 1 })] },
    "circuit.way:shared c2",
  ],
  [
    "a circuit without a way",
    "On-site working practice, boards",
    { on: "s1 s2 s3", circuits: [radial({ way: null })] },
    "circuit.way:none c1",
  ],
  [
    "a way that the board has not",
    "On-site working practice, boards",
    { on: "s1 s2 s3", circuits: [radial({ way: 9 })] },
    "circuit.way:beyond c1",
  ],
  [
    "a bathroom's lights without an RCD",
    S701,
    {
      on: "l1 wp",
      with: { l1: { place: over(3000, 2500) }, wp: { place: over(3000, 2000), works: "l1" } },
      circuits: [lights({ rcd: null, walls: "surface" })],
      bath: true,
    },
    "bath.rcd c1, circuit.rcd c1",
  ],
  [
    "a heater in a bathroom on 100 mA",
    S701,
    {
      on: "h1",
      with: { h1: { place: onWall("w2", 1500, 300) } },
      circuits: [fixed({ rcd: 100, walls: "surface" })],
      bath: true,
    },
    "bath.rcd c1",
  ],
  [
    "a socket 2 300 from the bath",
    S701,
    { on: "s1", with: { s1: { place: onWall("w0", 3100, 450) } }, circuits: [radial()], bath: true },
    "bath.socket s1",
  ],
  [
    "a socket in a bathroom where no bath is drawn",
    S701,
    { on: "s1", circuits: [radial()], kind: "bathroom" },
    "bath.socket:not-drawn s1",
  ],
  [
    "a switch in zone 2",
    S701,
    {
      on: "l1 w1",
      with: { l1: { place: over(3000, 2500) }, w1: { place: onWall("w0", 1200, 1200), works: "l1" } },
      circuits: [lights()],
      bath: true,
    },
    "bath.ip:switch w1",
  ],
  [
    "a wall light in zone 1 of IPX3",
    S701,
    {
      on: "b1 wp",
      with: { b1: { water: 3, place: onWall("w0", 400, 1900) }, wp: { place: over(3000, 2000), works: "b1" } },
      circuits: [lights()],
      bath: true,
    },
    "bath.ip b1",
  ],
  [
    "a fan in zone 1 of which nothing is known",
    S701,
    { on: "fn", with: { fn: { place: onWall("w0", 400, 2100) } }, circuits: [lights()], bath: true },
    "bath.ip:unknown fn",
  ],
  [
    "gas bonded with 6 on TN-C-S",
    "BS 7671:2018+A2:2022 544.1.1",
    { on: "s1 s2 s3", circuits: [ring()], supply: { bonding: [{ service: "gas", csa: 6, seen: true }] } },
    "supply.bonding j",
  ],
  [
    "two rings and a shower on 60 A",
    "BS 7671:2018+A2:2022 311.1",
    {
      on: "s1 s2 s3 s4 s5 s6 sh",
      with: { sh: { place: over(2000, 1500) } },
      circuits: [
        ring({ points: "s1 s2 s3" }),
        ring({ points: "s4 s5 s6" }),
        radial({ kind: "shower", cable: "te-10", points: "sh", amps: 40 }),
      ],
      supply: { mainSwitch: 60 },
    },
    "supply.demand j",
  ],
  [
    "alarms on two circuits",
    "BS 5839-6",
    {
      on: "sa ha",
      circuits: [fixed({ cable: "te-1.5", points: "sa", amps: 6 }), fixed({ cable: "te-1.5", points: "ha", amps: 6 })],
    },
    "alarm.interlink c2",
  ],
  [
    "an alarm 200 from a wall",
    "BS 5839-6",
    { on: "sa", with: { sa: { place: over(200, 1500) } }, circuits: [fixed({ cable: "te-1.5", amps: 6 })] },
    "alarm.off sa",
  ],
  [
    "an alarm 200 from a light",
    "BS 5839-6",
    {
      on: "sa l1 w1",
      with: { l1: { place: over(700, 1500) }, w1: { works: "l1" } },
      circuits: [lights({ points: "l1 w1 sa" })],
    },
    "alarm.off sa",
  ],
  [
    "a ring through insulation, hanging free",
    CAP,
    { on: "s1 s2 s3", circuits: [ring()], walls: { build: "stud", thickness: 100, insulated: true } },
    "circuit.ring c1",
  ],
  [
    "a radial through insulation, against the board, on 32 A in 4",
    CAP,
    {
      on: "s1 s2 s3",
      circuits: [radial({ cable: "te-4", amps: 32 })],
      walls: { build: "stud", thickness: 100, insulated: true, againstBoard: true },
    },
    "circuit.capacity c1",
  ],
];
