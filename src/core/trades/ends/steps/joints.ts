import { type Making, type StepCard, card, field, isolate, long, torqueCard, torqueOf } from "./card";

export const jointBox: Making = {
  kind: "joint-box",
  name: "Junction box with lever connectors",
  half: "first",
  measures: [
    field("strip", "Bare copper for the connector", 11, 8, 15),
    field("cables", "Cables that meet", 3, 1, 20, ""),
    field("amps", "Rating wanted", 20, 1, 125, "A"),
  ],
  cards: (m, s) => [
    isolate,
    card(
      "The right box",
      `Rated ${m.amps} A or more, with room for ${m.cables} cables and a connector for each conductor ` +
        "that meets. Closed for good only if it bears the mark of BS 5733.",
      "Its marking says MF, and its rating is above that of the device.",
      "A round box with screws under a glued floor.",
      "Screws loosen as copper settles; what cannot be reached must not need it.",
      { measure: `${m.cables} cables, ${m.amps} A` },
    ),
    card(
      "Fix it",
      "To the side of a joist or to the wall, before the cables: not laid on the ceiling.",
      "It does not move when a cable is pulled.",
      "Hung on its cables.",
      "The joint then carries the weight.",
    ),
    card(
      "Bring the cables in",
      "Sheath under the strain relief at each entry, before any conductor is cut.",
      "Pull on the sheath: nothing moves inside.",
      "Relief on the conductors and not on the sheath.",
      "The joint must not feel the cable.",
    ),
    card(
      "Strip and connect",
      "Bare each conductor straight and square; lever up, to the stop, lever down. Sleeve the earths.",
      "Copper is seen at the end of the window; tug each one.",
      "Copper too long, bare outside; or too short, clamped on insulation.",
      "The gauge on the connector's side knows better than the eye.",
      { measure: long(m.strip!) },
    ),
    card(
      "Close",
      s.floorJoints === "closed"
        ? "Complete the box exactly as its maker says for maintenance-free use: relief, lid and screws."
        : "Close the lid and leave a hatch that lifts off: under carpet counts, a glued floor does not.",
      s.floorJoints === "closed"
        ? "Lid secured; the maker's mark can be read."
        : "The hatch opens with what is at hand.",
      "Calling an ordinary box maintenance-free.",
      "It is maintenance-free only when completed as its maker says.",
    ),
    card(
      "Record",
      "Photograph it with a tape in the picture, and mark it on the plan.",
      "The next person can find it.",
      "Closing the floor first.",
      "A joint that nobody knows of is found with a saw.",
    ),
  ],
};

export const isolator: Making = {
  kind: "isolator",
  name: "Isolating switch",
  half: "second",
  measures: [
    field("torque", "Maker's torque", 2, 0.3, 20, "N·m"),
    field("tail", "Tail, from the edge where it comes in", 140, 60, 600),
    field("strip", "Terminal depth, by a scrap end", 10, 4, 25),
  ],
  cards: (m) => [
    isolate,
    card(
      "See what it opens",
      "Check with a meter which poles the switch really opens, and which side is line and which is load.",
      "Every live pole reads open when off.",
      "Trusting the picture on the lid.",
      "Some open one pole, and the lamp says off.",
    ),
    card(
      "Identify the cores",
      "Number or sleeve each core at both ends.",
      "Continuity of each, one by one.",
      "Counting from the colour of one end only.",
      "Two made off by different habits put line on earth.",
    ),
    card(
      "Strip and connect",
      "Strip to the terminal, all strands in. Supply to the side marked line; the earth is carried through, unbroken.",
      "Tug each one; the earth goes in and out.",
      "A stray strand to the next terminal; the earth left hanging on the way on.",
      "The switch opens live poles; the earth never.",
      { measure: long(m.strip!) },
    ),
    torqueCard("the isolating switch", m.torque!),
    card(
      "Close and label",
      "Lid, seals, label of what it isolates; an unused entry has its plug.",
      "It locks off.",
      "Seal left out of an unused entry.",
      "Water and ants find the one hole.",
    ),
  ],
};

/** What the torque of a way is written down as. */
const WAY = "the way";
export const TORQUE_AT_WAY = torqueOf(WAY);

/** Where a cable at a board is cut, from where it comes in. */
const boardMeasures = [
  field("sheath", "Sheath past the entry", 40, 0, 200),
  field("line", "Line, from the entry", 320, 50, 3000),
  field("neutral", "Neutral, from the entry", 410, 50, 3000),
  field("earth", "Earth, from the entry", 460, 50, 3000),
];
const sheathOff = (m: Readonly<Record<string, number>>): StepCard =>
  card(
    "Sheath off",
    "Ring it past the entry and draw it off whole.",
    `${long(m.sheath!)} of sheath inside.`,
    "Stripped outside the box: single insulation in the slot.",
    "The sheath is what the edge may touch.",
    { measure: `${long(m.sheath!)} past the entry` },
  );

export const boardEnd: Making = {
  kind: "board-end",
  name: "Cable at the board",
  half: "second",
  measures: [...boardMeasures, field("torque", "Maker's torque, way", 2, 0.3, 20, "N·m")],
  cards: (m) => [
    isolate,
    card(
      "In its seat",
      "Slot cut and filed, grommet strip on; the deepest cable first, one at a time, in the order they " +
        "are tied, the face forward that its flag says.",
      "No cable lies over another at the slot; kinks are stroked out.",
      "All pulled in at once.",
      "The order is fixed at the far end and cannot be mended here.",
    ),
    sheathOff(m),
    card(
      "Line",
      "Along the side, square to its way, into the device to the stop.",
      "It lies by itself; no insulation under the screw.",
      "The shortest way across the devices.",
      "Whoever changes a device wants to see which is whose.",
      { measure: long(m.line!) },
    ),
    card(
      "Neutral and earth",
      "To the screw of the same number as its way on each bar.",
      "Way 3, screw 3, on both bars.",
      "Neutral on the bar of another RCD: it trips at once, or never tests.",
      "One number finds all three.",
      { measure: `N ${long(m.neutral!)}, E ${long(m.earth!)}` },
    ),
    torqueCard(WAY, m.torque!),
    card(
      "Spare and seal",
      "What is over is folded behind, not cut; the slot sealed; flag left on.",
      "The cover goes on without a push.",
      "Cut to look neat.",
      "The next board is wider.",
    ),
  ],
};

/** What the torque of a board's main switch is written down as. */
const MAIN = "the main switch";
export const TORQUE_AT_MAIN = torqueOf(MAIN);

export const feedEnd: Making = {
  kind: "feed-end",
  name: "Cable that feeds a board",
  half: "second",
  measures: [...boardMeasures, field("torque", "Maker's torque, main switch", 3, 0.5, 20, "N·m")],
  cards: (m) => [
    isolate,
    card(
      "Dead at the board it comes from",
      "Its way there is off and locked off; the cable is proved dead at this end, by a tester proved before and after.",
      "Nothing between any two of line, neutral and earth.",
      "Off at this board's own main switch: what comes in is live still.",
      "The main switch of a second board isolates what goes out of it, never what feeds it.",
      { caution: "Where another trade or another key has that board, wait for whoever holds it." },
    ),
    sheathOff(m),
    card(
      "Line and neutral",
      "To the main switch, each into its own terminal, insulation up to it; along the side, never across the devices.",
      "Line where the switch says line; neither can be pulled.",
      "Neutral to the bar past the switch: it is not switched.",
      "A main switch opens both.",
      { measure: `L ${long(m.line!)}, N ${long(m.neutral!)}` },
    ),
    card(
      "Earth",
      "To the first screw of the earth bar, before those of the ways; or as the earth of the outbuilding is decided.",
      "One conductor under the screw.",
      "House earth and an electrode of its own joined in one bar.",
      "Which earth an outbuilding has is decided once, and stands in its circuit.",
      { measure: long(m.earth!) },
    ),
    torqueCard(MAIN, m.torque!),
    card(
      "Label",
      "Where it is fed from, by board and way, inside the lid; the feed's way there named after this board.",
      "Each board names the other.",
      "Two boards, and nobody knows which switches which.",
      "Whoever works on it next isolates by these words.",
    ),
  ],
};

export const mainSwitch: Making = {
  kind: "main-switch",
  name: "Main switch of a board",
  half: "second",
  measures: [field("torque", "Maker's torque, main switch", 3, 0.5, 20, "N·m")],
  cards: (m) => [
    isolate,
    card(
      "The supply is not yours",
      "Its fuse and seals are the supplier's: ask them, or whoever they allow, to take it out. Off at the main switch its own incoming terminals are live.",
      "The tails are proved dead at the main switch by a proved tester.",
      "The switch is off, so the terminals are thought dead.",
      "Nothing in the house isolates what comes before its main switch.",
      { caution: "Stop where you may not. The supply is isolated and locked off by those who may, and proved dead." },
    ),
    card(
      "The tails",
      "Line and neutral of the tails into their own terminals, insulation to the terminal, no strand outside; held where they come in.",
      "Neither can be pulled or turned; the line is in line.",
      "Line and neutral changed over; a tail that hangs on its screw.",
      "The heaviest current of the house goes through these two.",
    ),
    torqueCard(MAIN, m.torque!),
    card(
      "The busbar",
      "Each device sits with its jaw on the bar, not behind it; its screw by its own figure.",
      "A tug at each; the bar is seen in each jaw.",
      "One device on the wrong side of the bar: it looks the same from the front.",
      "It carries for a while, and then burns.",
    ),
  ],
};
