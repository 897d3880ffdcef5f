import { mm } from "../../../base/figures";
import { tailLength } from "../tails";
import { type Making, isolate } from "./card";

const box = { width: 70, height: 70 };
const tail = { key: "past", title: "Past the far edge of the box", unit: "mm", first: 70, min: 30, max: 120 };
const strip = { key: "strip", title: "Terminal depth, by a scrap end", unit: "mm", first: 10, min: 4, max: 25 };

export const outlet: Making = {
  kind: "outlet",
  name: "Socket outlet",
  measures: [
    { key: "box", title: "Box across, from the entry", unit: "mm", first: 70, min: 40, max: 200 },
    tail,
    strip,
  ],
  cards: (m, s) => [
    isolate,
    {
      title: "Cut the tails",
      todo: `Measure from the edge where the cable comes in, across the box and ${mm(m.past!)} past the far edge.`,
      measure: `${mm(tailLength({ width: m.box!, height: m.box! }, "top", m.past!).length)} mm`,
      check: "The end reaches past the far edge with the cable lying as it will.",
      mistake: "Cutting to the middle of the box: too short cannot be saved, slightly long can.",
    },
    {
      title: "Take the sheath back",
      todo: "Cut the sheath back inside the box so that the conductors can fold; a grommet where it enters metal.",
      check: "About 10 mm of sheath shows inside the box, no copper or insulation is nicked.",
      mistake: "Sheath left long: the conductors cannot fold and the plate will not close.",
    },
    {
      title: "Find the terminal depths",
      todo: "Try each terminal with a scrap end. Line, neutral and earth differ.",
      measure: `${mm(m.strip!)} mm`,
      check: "A scrap end bottoms with no copper showing.",
      mistake: "One strip length for all three.",
    },
    {
      title: "Strip",
      todo:
        s.doubling === "always"
          ? `Strip twice the depth and double each conductor over, a bit less than half.`
          : "Strip to the depth; double over only where the terminal is large for the wire.",
      measure: s.doubling === "always" ? `${mm(2 * m.strip! - 1)} mm, doubled` : `${mm(m.strip!)} mm`,
      check: "No copper shows outside the terminal.",
      mistake: "Ringing the copper with the knife: it breaks there later.",
    },
    {
      title: "Connect",
      todo:
        s.twoEarths === "separate"
          ? "Both conductors flat or stacked; one earth in each earth terminal."
          : "Both conductors flat or stacked; both earths together in one terminal.",
      check: "Tug each one.",
      mistake: "The screw on insulation: it holds and does not connect.",
    },
    {
      title: "Earth the box",
      todo: "A tail from the metal box to the accessory's earth terminal.",
      measure: `${mm(m.box! + m.past!)} mm`,
      check: "Green-and-yellow sleeve on every bare earth.",
      mistake: "Left out because the screws seem to do it.",
    },
    {
      title: "Dress and close",
      todo: "Fold the conductors to the back, push home, pull back and retighten everything, then fix the plate.",
      check: "Level, flat to the wall, nothing trapped behind the rim.",
      mistake: "Not retightening: the first push loosens them.",
    },
  ],
};

export const jointBox: Making = {
  kind: "joint-box",
  name: "Joint box with lever connectors",
  measures: [{ key: "strip", title: "Bare copper for the connector", unit: "mm", first: 11, min: 8, max: 15 }],
  cards: (m, s) => [
    isolate,
    {
      title: "Bring the cables in",
      todo: "Sheath under the strain relief at each entry, before any conductor is cut.",
      check: "Pull on the sheath: nothing moves inside.",
      mistake: "Relief on the conductors and not on the sheath.",
    },
    {
      title: "Strip",
      todo: "Bare each conductor straight and square.",
      measure: `${mm(m.strip!)} mm`,
      check: "Held to the gauge on the connector's side.",
      mistake: "Copper too long, bare outside; or too short, clamped on insulation.",
    },
    {
      title: "Connect",
      todo: "Lever up, conductor to the stop, lever down. Sleeve the earths.",
      check: "Copper is seen at the end of the window; tug each one.",
      mistake: "Stranded and solid mixed in a connector not made for it.",
    },
    {
      title: "Close",
      todo:
        s.floorJoints === "closed"
          ? "Complete the box exactly as its maker says for maintenance-free use: relief, lid and screws."
          : "Close the lid and leave a hatch that lifts off: under carpet counts, a glued floor does not.",
      check:
        s.floorJoints === "closed"
          ? "Lid secured; the maker's mark can be read."
          : "The hatch opens with what is at hand.",
      mistake: "Calling an ordinary box maintenance-free.",
    },
    {
      title: "Record",
      todo: "Photograph it with a tape in the picture, and mark it on the plan.",
      check: "The next person can find it.",
      mistake: "Closing the floor first.",
    },
  ],
};

export const fusedUnit: Making = {
  kind: "fused-unit",
  name: "Fused connection unit",
  measures: [tail, strip, { key: "fuse", title: "Fuse", unit: "A", first: 3, min: 1, max: 13 }],
  cards: (m) => [
    isolate,
    {
      title: "Tell feed from load",
      todo: "Feed 2.5 mm², load 1.5 mm² for lighting or as the appliance asks. Mark them before they go in.",
      check: "Flags on both cables.",
      mistake: "Supply and load side exchanged: the fuse then protects nothing.",
    },
    {
      title: "Cut the tails",
      todo: `Across the box and ${mm(m.past!)} past its far edge.`,
      measure: `${mm(tailLength(box, "top", m.past!).length)} mm`,
      check: "Both cables reach past the far edge.",
      mistake: "The load tail cut short because it is thin.",
    },
    {
      title: "Connect",
      todo: "Feed to the supply terminals, load to the load terminals, both earths, the box tail.",
      measure: `${mm(m.strip!)} mm`,
      check: "Tug each one.",
      mistake: "Neutral of the load joined to the feed side, past the switch.",
    },
    {
      title: "Fuse and label",
      todo: `Fit ${m.fuse} A. If it feeds lighting, label it and switch both poles: the person who changes that light will switch off the lighting circuit and believe it dead.`,
      measure: `${m.fuse} A`,
      check: "The label can be read with the plate on.",
      mistake: "Leaving the 13 A fuse it came with.",
    },
  ],
};

export const lightSwitch: Making = {
  kind: "switch",
  name: "Light switch",
  measures: [tail, strip],
  cards: (m, s) => [
    isolate,
    {
      title: "Cut the tails",
      todo: `Across the box and ${mm(m.past!)} past its far edge.`,
      measure: `${mm(tailLength(box, "top", m.past!).length)} mm`,
      check: "The ends pass the far edge.",
      mistake: "A cable 40 short behind a tiled wall cannot be mended.",
    },
    {
      title: "Mark the switched core",
      todo: "Brown sleeve on any blue or grey core that carries line.",
      check: "No bare blue in a switch without a neutral.",
      mistake: "The next person takes it for a neutral.",
    },
    {
      title: "Strip and connect",
      todo:
        s.doubling === "always"
          ? "Strip twice the depth and double over."
          : "Strip to the depth; double over only where the terminal is large for the wire.",
      measure: s.doubling === "always" ? `${mm(2 * m.strip! - 1)} mm, doubled` : `${mm(m.strip!)} mm`,
      check: "Tug each one; no copper shows.",
      mistake: "Line and switched line in the wrong terminals of a two-way switch.",
    },
    {
      title: "Earth",
      todo: "Sleeved earth to the box; a metal plate needs it too.",
      check: "Continuity from the board to the plate.",
      mistake: "Earth cut off because the plate is plastic today.",
    },
    {
      title: "Close",
      todo: "Dress, push home, retighten, fix level.",
      check: "It switches what it says.",
      mistake: "Long fixing screws through a cable.",
    },
  ],
};

export const isolator: Making = {
  kind: "isolator",
  name: "Isolating switch",
  measures: [{ key: "torque", title: "Maker's torque", unit: "N·m", first: 2, min: 0.3, max: 20 }, strip],
  cards: (m) => [
    isolate,
    {
      title: "See what it opens",
      todo: "Check with a meter which poles the switch really opens, and which side is supply.",
      check: "Every live pole reads open when off.",
      mistake: "Trusting the picture on the lid.",
    },
    {
      title: "Identify the cores",
      todo: "Number or sleeve each core at both ends.",
      check: "Continuity of each, one by one.",
      mistake: "Counting from the colour of one end only.",
    },
    {
      title: "Strip and connect",
      todo: "Strip to the terminal, all strands in.",
      measure: `${mm(m.strip!)} mm`,
      check: "Tug each one.",
      mistake: "A stray strand to the next terminal.",
    },
    {
      title: "Tighten by torque",
      todo: "A torque driver, once, to the maker's figure; write it down.",
      measure: `${m.torque} N·m`,
      check: "Recorded in the site book with the tool's number.",
      mistake: "Tightening again after the click: it is then over.",
    },
    {
      title: "Close and label",
      todo: "Lid, seals, label of what it isolates.",
      check: "It locks off.",
      mistake: "Seal left out of an unused entry.",
    },
  ],
};
