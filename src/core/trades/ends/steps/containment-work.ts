import { type Making, card, field, long, scan } from "./card";

export const trunkingWork: Making = {
  kind: "trunking",
  name: "Fold trunking by hand",
  half: "first",
  measures: [field("width", "Width of the trunking", 50, 10, 200), field("mark", "End to the fold", 600, 20, 4000)],
  cards: (m, s) => [
    scan,
    card(
      "Square all round",
      "A line on all three sides at the fold, by the square.",
      "The line meets itself at the back.",
      "Lines that do not meet: the square lies.",
      "The fold goes where the line goes.",
      { measure: long(m.mark!) },
    ),
    card(
      "Mark the V",
      "For 90°: half the width each side of the line on the sides; print the opened-out piece and lay it on.",
      "The two halves are alike.",
      "The second mark of a set at the middle of the second cut.",
      "It is wrong by half a notch.",
      { measure: `${long(m.width! / 2)} each side` },
    ),
    card(
      "Cut the sides only",
      s.trunkingCut === "grinder"
        ? "A grinder with guard; never through the back. One half of each V comes out, with the lips; the " +
            "other half is the tab that slides inside."
        : "A fine hacksaw; never through the back. One half of each V comes out, with the lips; the other " +
            "half is the tab that slides inside.",
      "The back is whole; tabs are left on both sides.",
      "The whole V cut out: nothing is left to bolt.",
      "The tab is what holds the corner.",
      { caution: "Eyes, ears, lungs and hands when cutting." },
    ),
    card(
      "Deburr and fold",
      "File until a finger runs clean; fold over an edge, tabs inside.",
      "The square agrees on both sides; no gap at the lips.",
      "Lips left on through the fold.",
      "A burr is found by the first cable drawn in.",
    ),
    card(
      "Drill and bolt",
      "Both skins together, bolts with their heads inside, earth continuity across each joint of metal.",
      "Nothing sharp stands inside.",
      "Nuts inside.",
      "Cables are drawn over them.",
    ),
  ],
};

export const trayWork: Making = {
  kind: "tray",
  name: "Bend tray flat by hand",
  half: "first",
  measures: [
    field("width", "Width of the tray", 100, 50, 600),
    field("mark", "End to the outer corner", 600, 50, 3000),
  ],
  cards: (m) => [
    scan,
    card(
      "Centre line and cuts",
      "Centre line of the bend; two cuts either side, lip to lip, the outer lip left whole.",
      "At 90° the finished size, end to outer corner, is the mark of the cut less the cut plus the width.",
      "Cutting the outer lip.",
      "It is the hinge.",
      { measure: `${long(m.mark!)}, width ${long(m.width!)}` },
    ),
    card(
      "Fold",
      "Fold both sides inwards to the centre line, once.",
      "A known 90° agrees.",
      "Flexing it to try: the lip weakens each time.",
      "It breaks at the third.",
    ),
    card(
      "Trim and bolt",
      "Trim the four lips, deburr, bolt from below with flat heads above.",
      "A hand runs over it without a catch.",
      "Bolts standing up among the cables.",
      "The cable lies on it for forty years.",
    ),
    card(
      "Fix",
      "Supports by the table; metal ties where it hangs or stands over heads.",
      "It does not sag between two supports.",
      "Plastic ties under it.",
      "In a fire the cables come down across the way out.",
    ),
  ],
};

export const conduitWork: Making = {
  kind: "conduit",
  name: "Bend and fit conduit",
  half: "first",
  measures: [
    field("diameter", "Outside diameter", 20, 16, 50),
    field("mark", "End to the inside of the bend", 300, 50, 3000),
  ],
  cards: (m) => [
    scan,
    card(
      "Mark and bend",
      "Spring or former of its size; a little past the angle and back. Plastic is warmed first when it is cold.",
      "Round all through, radius inside two and a half diameters or more.",
      "No spring: it goes flat.",
      "A flat bend stops the cable, and it cannot be mended.",
      { measure: `${long(m.mark!)}, radius ${long(2.5 * m.diameter!)} or more` },
    ),
    card(
      "Flush to a hole",
      "Set it so that its end stands flat on the face at the hole, no gap to plug with sealant.",
      "Daylight nowhere round the bush.",
      "A gap filled with sealant.",
      "Sealant holds nothing.",
    ),
    card(
      "Cut and ream",
      "Hacksaw, square; ream the inside until a finger runs clean; bush at every end.",
      "No edge inside.",
      "Reamed outside only.",
      "The edge peels every cable that passes.",
    ),
    card(
      "Join",
      "Screwed metal: thread as long as half the coupler, a running coupler where neither can turn, " +
        "with its lock ring; continuity across it. Plastic: glued, but an expansion coupler each 6 m.",
      "Threads are covered, joints tight.",
      "Threads left bare: they rust first.",
      "Metal conduit is often the earth.",
      { asks: { what: "Continuity of the conduit", unit: "Ω", least: 0, most: 0.5 } },
    ),
    card(
      "Draw in",
      "No more than two bends between boxes; all its cables together, one hand feeding.",
      "They come without a jerk.",
      "One by one: each saws into the last.",
      "The insulation of the first is cut by the fifth.",
    ),
  ],
};
