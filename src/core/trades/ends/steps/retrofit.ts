import { RISE, fallOf } from "../../outside/fall";
import { type Making, card, field, isolate, long, scan } from "./card";

/** What the readings that tell a ring from a radial are written down as. */
export const SHAPE_READINGS = {
  line: "Line, leg to leg",
  neutral: "Neutral, leg to leg",
  earth: "Earth, leg to leg",
} as const;

export const findShape: Making = {
  kind: "find-shape",
  name: "Ring or radial, and which cable is which",
  half: "first",
  measures: [field("expected", "End to end if it is a ring", 0.5, 0.01, 5, "Ω")],
  cards: (m) => [
    isolate,
    card(
      "Take its legs out of the board",
      "Line from its device, neutral and earth from the bars, each leg kept together and labelled A and B.",
      "Two cables of the circuit are out and free; or only one, and it is no ring.",
      "Leaving a neutral on the bar: then everything reads through everything.",
      "Only conductors that are free at both ends tell what they join.",
    ),
    card(
      "Read from leg to leg",
      "Line A to line B, neutral A to neutral B, earth A to earth B.",
      "All three read through: a ring. All open: two radials, or one leg each of something else. One open: a broken ring.",
      "Reading with something plugged in: it bridges line and neutral.",
      "A broken ring works and warns nobody.",
      {
        measure: `about ${m.expected} Ω`,
        asks: { what: SHAPE_READINGS.line, unit: "Ω" },
      },
    ),
    card(
      "Which cable of two",
      "At the point, part the two cables. At the board join line and earth of leg A; read line to earth on each cable at the point.",
      "The one that reads low goes to leg A; the other goes on round.",
      "Taking the upper cable for the one from the board.",
      "Cutting the wrong one leaves a room dead, or makes a second radial.",
    ),
    card(
      "Mark them",
      "A tie and a label on each: from where, to where. Write it into the job as a found cable.",
      "Both its ends are known and on the drawing.",
      "Trusting memory until after the tea break.",
      "The next card cuts one of them.",
    ),
  ],
};

export const breakIn: Making = {
  kind: "break-in",
  name: "Break into an old circuit",
  half: "first",
  measures: [field("left", "Left on each end for its terminals", 200, 100, 600)],
  cards: (m) => [
    isolate,
    card(
      "The one leg",
      "Find the leg on the drawing, both ends labelled. At one end part it from its terminals and prove by a reading that it is this one.",
      "It reads open with its far end free and through with it joined.",
      "Cutting by colour: old and new colours meet in many boxes.",
      "A ring stays a ring only if just one leg is opened.",
    ),
    card(
      "Old colours, new colours",
      "Red was line and is joined to brown; black was neutral and is joined to blue; the earth gets a green-and-yellow sleeve.",
      "Each joint is one carrier: line, neutral, earth; a notice at the board says that both colours are in use.",
      "Black taken for a new line colour: in three-core it is one.",
      "The next person reads the colours and nothing else.",
    ),
    card(
      "Enough to work with",
      "Leave enough on the old cable to reach the new terminals without a pull; old insulation is stripped with care.",
      "It bends without cracking; no copper is nicked.",
      "Old insulation that crumbles left in use.",
      "If it is too short or brittle it is made longer with a joint, not stretched.",
      { measure: long(m.left!) },
    ),
    card(
      "Join and close",
      "Each joint in its box: in the old point's box, under boards that lift, or maintenance-free and closed as its maker says.",
      "Sheath under the relief, copper to the stop, each one tugged; the lid is on.",
      "Connectors in free air under the floor.",
      "A joint wants a box, a relief and a way to it.",
    ),
    card(
      "Read the whole circuit",
      "End to end, and at every point, old and new: it is one circuit now.",
      "The ring reads through on all three; no point reads much above its neighbours.",
      "Testing the new points alone.",
      "What was loose before is yours now.",
      { asks: { what: SHAPE_READINGS.line, unit: "Ω" } },
    ),
  ],
};

export const underBoards: Making = {
  kind: "under-boards",
  name: "Rod a cable under the boards",
  half: "first",
  measures: [
    field("length", "Length of the pull", 4000, 200, 40_000),
    field("spare", "Left under the floor", 500, 0, 3000),
  ],
  cards: (m) => [
    scan,
    card(
      "Lift few boards",
      "With the joists: a board at each end. Across them: a run of boards, and a hole on the middle of each joist.",
      "The tongue is cut along one edge only; the board comes up whole, and is marked for where it lay.",
      "Levering against a pipe.",
      "Every board lifted is one that may creak for ever.",
    ),
    card(
      "Look along the bay",
      "A torch and a mirror before the rod: pipes, old cable, wasps, rubble.",
      "You see the far hole's light.",
      "Rodding blind through old wiring that is live.",
      "What you feel is not what it is.",
    ),
    card(
      "Two legs, one pull",
      "Fold the cable in the middle and tape the fold to the rod: one pull brings both legs. Cut at the fold when both are home.",
      "Both legs lie flat, without a twist, and a hand's length of each shows.",
      "Pulling by the conductors.",
      "The second pull is always the one that sticks.",
      { measure: long(m.length!) },
    ),
    card(
      "Leave spare",
      "A loose loop under the floor by the point, clear of pipes; clipped where it could be trodden.",
      "It is not under a nail line.",
      "Cut to the last hand's width.",
      "The next change of this point wants it.",
      { measure: long(m.spare!) },
    ),
    card(
      "Boards down",
      "Screwed, not nailed, within the joist; the way of the cable drawn on the board.",
      "No screw stands over a hole in a joist.",
      "The old nail holes, which go where the cable now is.",
      "Cables in floors are hurt on the way back down.",
    ),
  ],
};

export const oldDraws: Making = {
  kind: "old-draws",
  name: "Draw a cable in with the old one",
  half: "first",
  measures: [field("length", "Length of the pull", 4000, 200, 40_000)],
  cards: (m) => [
    isolate,
    card(
      "Will it move",
      "Free both ends and pull a hand's width to and fro. It must be the old cable itself, and nothing tied to it.",
      "The far end moves at once, as much as the near one.",
      "Pulling harder: a clip then tears its sheath, or a tee its joint.",
      "A cable that is clipped or plastered in draws nothing.",
    ),
    card(
      "Count the bends",
      "No more than two easy bends; the new cable no thicker than the old.",
      "The way in and the way out are the same hole.",
      "A 2.5 in the way of a 1.0 round three corners.",
      "It sticks in the middle, and then neither goes back.",
    ),
    card(
      "Join for the pull",
      "Stagger the conductors, twist two, fold the rest back; tape to a smooth point; a cord as well, for the next time.",
      "The joint is no thicker than the cable and bends with it.",
      "A knot.",
      "It must go where the old one went.",
    ),
    card(
      "One pulls, one feeds",
      "Straight in, slowly, the sheath flat; stop when it stops.",
      "The metre marks at the near end are written down.",
      "Jerking.",
      "Drawing heats the sheath where it rubs.",
      { measure: long(m.length!) },
    ),
  ],
};

export const mendOld: Making = {
  kind: "mend-old",
  name: "Old cable too short or damaged",
  half: "first",
  measures: [field("short", "How much it is short", 100, 10, 2000)],
  cards: (m) => [
    isolate,
    card(
      "How far back is it sound",
      "Cut back until sheath, insulation and copper are bright and whole; scorched or green copper goes.",
      "Insulation bends without cracking; at 500 V the length reads as new work should.",
      "Taping over a nick.",
      "A nick in the sheath is often one in the insulation.",
      { measure: long(m.short!) },
    ),
    card(
      "Choose",
      "A new length from point to point where it can be drawn; else a joint in a box that is reached; else a maintenance-free one.",
      "No joint is made in a wall or under a floor that is closed without its mark.",
      "A crimp in plaster.",
      "The best repair is no joint.",
    ),
    card(
      "Through crimps, where the box is too small",
      "The right sleeve for each conductor, the tool for that sleeve, staggered; a heat-shrink over each and one over all.",
      "Each is tugged before it is shrunk.",
      "Pliers for a crimp tool.",
      "It is a joint that nobody will look at again.",
    ),
    card(
      "Behind the plate",
      "Where the tails are short inside the box: lever connectors and new tails, if the box has room for them.",
      "The plate closes without a push; the box is deep enough by its count.",
      "Making a shallow box hold three connectors.",
      "Pressure works joints loose.",
    ),
    card(
      "Read it",
      "Continuity of each conductor through the mend, insulation between all of them, and to earth.",
      "No more than the length explains; insulation as new.",
      "Testing before the heat-shrink has cooled, and not after.",
      "A mend is proved by a figure.",
      { asks: { what: "Insulation through the mend", unit: "MΩ", least: 1 } },
    ),
  ],
};

export const softPlaster: Making = {
  kind: "soft-plaster",
  name: "Fix into soft or hollow plaster",
  half: "first",
  measures: [field("plaster", "Plaster over the wall", 25, 0, 80)],
  cards: (m) => [
    scan,
    card(
      "What is behind it",
      "Tap: dull is on masonry, hollow is lath or loose. A thin screw tells how thick it is.",
      "You know what the screw will hold in.",
      "A plug as long as the plaster.",
      "Old lime plaster holds nothing.",
      { measure: long(m.plaster!) },
    ),
    card(
      "Through to what holds",
      "Drill on into brick or stone, slowly, without hammer through the plaster; plug wholly in the masonry.",
      "The plug's mouth is behind the plaster.",
      "Hammer action from the face: a plate of plaster comes off.",
      "The screw bears on masonry; the plaster is only passed.",
      { measure: long(m.plaster! + 35) },
    ),
    card(
      "Lath and board",
      "A surface box on a fixing that spreads behind, or over a noggin; a flush box in a frame that grips the board.",
      "It does not rock when a plug is pulled.",
      "Screws in laths.",
      "A lath splits the first winter.",
    ),
    card(
      "Make good",
      "Damp the edges, fill in two coats, the second flush.",
      "No crack round the box.",
      "Filling dry old lime with quick plaster.",
      "It draws the water out and falls away.",
    ),
  ],
};

export const trenchWork: Making = {
  kind: "trench",
  name: "Lay a cable in a trench",
  half: "first",
  measures: [
    field("depth", "Cable below the ground", 600, 300, 1500),
    field("bed", "Bed under it and cover over it", 75, 0, 200),
    field("marker", "Tape above it", 150, 50, 400),
  ],
  cards: (m) => [
    card(
      "Ask and look first",
      "Ask the owners where water, gas, drains and cables lie; look for covers and meters; scan; dig by hand near them.",
      "Every line is pegged on the grass.",
      "Digging because the scanner was silent.",
      "Plastic pipes and dead cables say nothing.",
      {
        caution:
          "Nothing in the ground is dead until tested. Eyes, ears and hands; nobody in a trench deeper than the waist without shoring.",
      },
    ),
    card(
      "Dig",
      "As wide as the spade, its bottom even, deeper by the bed than the cable lies; topsoil on one side, the rest on the other.",
      "The rod reads the same all along, or as the drawing says.",
      "Measuring from the heap and not from the lawn.",
      "Sideways dips hold water and stones.",
      { measure: long(m.depth! + m.bed!) },
    ),
    card(
      "Bed, cable, cover",
      "Sand or sieved soil under it; lay the cable with slack, not taut; the same over it.",
      "No stone touches it; a duct under wheels, with a cord in it.",
      "Pulling it round the corners.",
      "Ground moves; a taut cable does not.",
      { measure: long(m.bed!) },
    ),
    card(
      "Photograph and test, open",
      "A tape in the picture, from a fixed corner; insulation and continuity before a spade of soil goes back.",
      "The picture shows cable, bed and tape measure; the readings are in the record.",
      "Filling on the dry day and testing on the wet one.",
      "A spade nick is found now, for nothing.",
    ),
    card(
      "Tape and fill",
      "Soil, then the marker tape above the cable, then the rest, trodden in layers; topsoil last.",
      "The words on the tape look up.",
      "Tape laid on the cable.",
      "The tape is to be met first.",
      { measure: `${long(m.marker!)} above it` },
    ),
  ],
};

export const catenaryWork: Making = {
  kind: "catenary",
  name: "Hang a cable from a wire",
  half: "first",
  measures: [
    field("dip", "Dip of the wire in its middle", 150, 5, 3000),
    field("height", "Height at its lowest", 3600, 2000, 8000),
  ],
  cards: (m) => [
    card(
      "Fixings that hold",
      "Eye bolts right through, or resin in sound masonry; posts set so that they do not lean in.",
      "Pull well past the wire's pull by hand winch: nothing moves.",
      "A hook in a fascia board.",
      "The flatter it hangs the harder it pulls.",
      { caution: "Ladders tied or footed; nobody beneath; eyes and hands: a wire under tension whips." },
    ),
    card(
      "Pull until it dips so much",
      "Strain it and measure the dip in the middle from a string between the eyes.",
      "The dip is as worked out, with the cable's weight still to come: a little less now.",
      "Strained like a washing line.",
      "Half the dip is twice the pull.",
      { measure: long(m.dip!) },
    ),
    card(
      "Tie the cable on",
      "Ties that stand sunlight, at every hand and a half; the cable carries nothing.",
      "It lies under the wire without bows.",
      "Indoor ties: they are gone in two summers.",
      "Its own weight draws it out of the glands.",
    ),
    card(
      "Drip loop",
      "Below each entry the cable hangs lower than the hole, then rises into it; the hole rises inward.",
      `Water drips off the loop. The hole rises ${RISE} over the wall: start lower outside.`,
      "Straight in from above.",
      "Water follows the cable to the terminals.",
      { measure: `${fallOf(225, RISE).angle.toFixed(1)}° through 225` },
    ),
    card(
      "Measure the height",
      "Over the ground at its lowest, on the day and in its own weight.",
      "No less than what passes beneath needs: 3 500 over feet, 5 800 where vehicles reach.",
      "Measured at the wall.",
      "A van is taller than one thinks.",
      { measure: long(m.height!) },
    ),
  ],
};
