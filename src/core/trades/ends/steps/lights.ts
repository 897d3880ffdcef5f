import { type Making, card, closeCard, connectCard, cutTails, field, isolate, long, tails } from "./card";

const hanging = field("tail", "Left hanging", 200, 50, 1000);

export const rose: Making = {
  kind: "rose",
  name: "Ceiling light",
  half: "second",
  measures: [hanging, tails.strip],
  cards: (m, s) => [
    isolate,
    card(
      "Tell feed, loop and switch",
      "Find the switch drop: with feed and loop dead its two cores read the switch. Flag all three.",
      "The flags agree with the drawing.",
      "Joining by colour: blue to blue makes a dead short through the switch.",
      "Three alike cables come through one hole.",
      { measure: `${long(m.tail!)} hanging` },
    ),
    card(
      "Sleeve",
      "Brown on the blue of the switch drop; green-and-yellow on every bare earth.",
      "Only real neutrals are blue.",
      "Sleeve left off because the rose hides it.",
      "It is opened again by somebody who goes by colour.",
    ),
    connectCard(
      "Connect",
      s.lightingFeed === "rose"
        ? "Lines together in the loop, neutrals to N, the sleeved switched line to the lamp's line, earths together."
        : "One cable only: switched line to L, neutral to N, earth to E. The loop lies behind the switch.",
      m,
      s,
    ),
    card(
      "Carry the weight",
      "The cord's cores round the hooks or the fitting on its own screws into a joist or a noggin; the shade within the maker's weight.",
      "A pull on the flex moves no terminal.",
      "Hung on its cores.",
      "The plasterboard alone holds nothing for long.",
    ),
    card(
      "Keep the ceiling whole",
      "The hole no larger than the cable needs; a downlight has its gap to insulation and what its maker asks for fire.",
      "No light from above, no insulation on the fitting.",
      "Insulation put back over it.",
      "It cooks, and the ceiling is the barrier.",
    ),
  ],
};

export const appliance: Making = {
  kind: "appliance",
  name: "Appliance, fan or alarm",
  half: "second",
  measures: [tails.tail, tails.sheath, tails.strip],
  cards: (m, s) => [
    isolate,
    ...cutTails(m),
    connectCard(
      "Connect by its sheet",
      "Each core to the terminal its maker's sheet names; an interlink core to its own.",
      m,
      s,
    ),
    closeCard,
    card(
      "Work it",
      "Its own switch or fuse cuts it off; an alarm is sounded by its button, and all that are linked sound with it.",
      "It stops and starts by the switch that says so.",
      "Left to whoever brings the appliance.",
      "The one that does not sound is the one on its own.",
    ),
  ],
};

export const wallLight: Making = {
  kind: "wall-light",
  name: "Wall light",
  half: "second",
  measures: [tails.tail, tails.sheath, tails.strip],
  cards: (m, s) => [
    isolate,
    ...cutTails(m),
    connectCard("Connect", "Switched line to L, neutral to N, earth to the metal of the fitting.", m, s),
    card(
      "Joints in an enclosure",
      "Joints stand in the box or in the fitting's own chamber, not in the plaster.",
      "Nothing is joined behind the fitting in the bare wall.",
      "A strip of connectors pushed into the hole.",
      "BS 7671 526.5: every joint is in an enclosure.",
    ),
    closeCard,
  ],
};
