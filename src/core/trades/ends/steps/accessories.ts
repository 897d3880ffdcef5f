import { type Making, card, closeCard, connectCard, cutTails, field, isolate, long, tails } from "./card";

const measures = [tails.tail, tails.sheath, tails.strip];

export const outlet: Making = {
  kind: "outlet",
  name: "Socket outlet",
  half: "second",
  measures,
  cards: (m, s) => [
    isolate,
    ...cutTails(m),
    card(
      "Find the terminal depths",
      "Try each terminal with a scrap end. Line, neutral and earth differ.",
      "A scrap end bottoms with no copper showing.",
      "One strip length for all three.",
      "Copper that shows can be touched; copper that is short is clamped by its tip.",
      { measure: long(m.strip!) },
    ),
    connectCard(
      "Connect by the marks",
      "Brown to L, blue to N: the marks on the accessory, not its left and right. " +
        `${s.twoEarths === "separate" ? "One earth in each earth terminal." : "Both earths together in one terminal."}`,
      m,
      s,
    ),
    card(
      "Earth the box",
      "A tail from the metal box to the accessory's earth terminal.",
      "Both ends are tight, and the tail is sleeved.",
      "Left out because the screws seem to do it.",
      "Lugs are painted, and some are floating.",
      { measure: long(m.tail! - m.sheath!) },
    ),
    closeCard,
    card(
      "Test it",
      "Line–neutral and line–earth at the outlet, and polarity by the tester's lamps as well.",
      "As expected at this place of the ring or radial.",
      "Lamps only: they say nothing of how good the earth is.",
      "A bad earth works for years.",
      { asks: { what: "Line to earth at the outlet", unit: "Ω", least: 0 } },
    ),
  ],
};

export const fusedUnit: Making = {
  kind: "fused-unit",
  name: "FCU (fused connection unit)",
  half: "second",
  measures: [...measures, field("fuse", "Fuse", 3, 1, 13, "A")],
  cards: (m, s) => [
    isolate,
    card(
      "Tell feed from load",
      "Feed as the circuit, load as the appliance or the lights ask. Flag both before they go in.",
      "Flags on both cables.",
      "Supply and load side exchanged: the fuse then protects nothing.",
      "Behind the plate they look alike.",
    ),
    ...cutTails(m),
    connectCard(
      "Connect",
      "Feed to the terminals marked supply, load to those marked load, both earths, the box tail.",
      m,
      s,
    ),
    card(
      "Cord grip",
      "Where the load is a flexible cord: its sheath under the grip, the grip tight on it.",
      "A pull on the cord moves nothing inside.",
      "The grip on the cores.",
      "The first pull otherwise comes on the terminals, the earth first.",
    ),
    card(
      "Fuse and label",
      `Fit ${m.fuse} A. If it feeds lighting, label it here, at the light and at the board, and switch both poles.`,
      "The label can be read with the plate on.",
      "Leaving the 13 A fuse it came with.",
      "The person who changes that light will switch off the lighting circuit and believe it dead.",
      { measure: `${m.fuse} A` },
    ),
    closeCard,
  ],
};

export const cookerControl: Making = {
  kind: "cooker-control",
  name: "Cooker control",
  half: "second",
  measures,
  cards: (m, s) => [
    isolate,
    ...cutTails(m),
    card(
      "Shape the heavy ones",
      "Bend the conductors to their terminals before they are connected, by hand and pliers with smooth jaws.",
      "Each lies at its terminal by itself.",
      "Pushing the plate home on straight conductors.",
      "6 and 10 mm² push the accessory, not the other way round.",
    ),
    connectCard("Connect", "Supply and load as marked, both earths, the tail of the box.", m, s),
    card(
      "Torque",
      "The maker's figure on every terminal, once.",
      "It clicked once.",
      "By feel: thick copper settles.",
      "It carries its full current for an hour every Sunday.",
      { asks: { what: "Torque, cooker control", unit: "N·m", least: 0.1, most: 20 } },
    ),
    closeCard,
  ],
};

const neutrals = (neutralHere: boolean): string =>
  neutralHere ? " Neutrals that only pass through are joined in a connector and parked at the back." : "";

export const lightSwitch: Making = {
  kind: "switch",
  name: "Switch, one way",
  half: "second",
  measures,
  cards: (m, s) => [
    isolate,
    ...cutTails(m),
    card(
      "Mark the switched core",
      "Brown sleeve on any blue, black or grey core that carries " +
        `line.${neutrals(s.lightingFeed === "switch" || s.switchNeutral === "yes")}`,
      "No bare blue in a switch but a neutral.",
      "The next person takes it for a neutral.",
      "In a switch drop both cores are line.",
    ),
    connectCard("Connect", "Permanent line to COM, switched line to L1.", m, s),
    card(
      "Earth",
      "Sleeved earth to the box; a metal plate needs it too.",
      "Continuity from the board to the plate.",
      "Earth cut off because the plate is plastic today.",
      "The next plate is metal.",
    ),
    closeCard,
  ],
};

export const twoWaySwitch: Making = {
  kind: "switch-two-way",
  name: "Switch, two-way or intermediate",
  half: "second",
  measures,
  cards: (m, s) => [
    isolate,
    ...cutTails(m),
    card(
      "Sleeve the three-core",
      "Brown sleeves over black and grey at both ends: all three carry line.",
      "Six sleeves, three at each switch.",
      "Sleeves at one end only.",
      "Grey is taken for neutral, black for whatever one is used to.",
    ),
    connectCard(
      "COM, L1, L2",
      "Brown of the three-core to COM at both, black to L1 at both, grey to L2 at both; line and " +
        "switched line at the first switch as drawn. An intermediate takes the pair in at L1 and L2, out " +
        "at L3 and L4.",
      m,
      s,
    ),
    card(
      "Try all four",
      "Each switch up and down, light on and off from both.",
      "Every flick of either changes the light.",
      "Only tried from one side.",
      "COM and a strapper changed over work in three of four places.",
    ),
    closeCard,
  ],
};

export const gangSwitch: Making = {
  kind: "switch-gangs",
  name: "Switch, several gangs",
  half: "second",
  measures,
  cards: (m, s) => [
    isolate,
    card(
      "Flag each light's cable",
      "Which cable goes to which light, and the order on the plate: nearest the door first, or as one faces the lights.",
      "Flags stay on until it is closed.",
      "Found out by trying, with the plate hanging out.",
      "Three alike pairs behind one plate.",
    ),
    ...cutTails(m),
    connectCard(
      "Connect gang by gang",
      "The line once, linked from COM to COM; each switched line to the L1 of its gang, sleeved brown.",
      m,
      s,
    ),
    card(
      "One circuit only",
      "Line and neutral of every light here come from one circuit.",
      "With that circuit off the whole plate is dead.",
      "A light of another circuit worked from here: a borrowed neutral.",
      "Somebody isolates one and touches the other: BS 7671 314.4.",
    ),
    closeCard,
  ],
};
