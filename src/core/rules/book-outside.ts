import type { Rule } from "./rule";

const GUIDE = "On-site working practice to BS 7671:2018+A2:2022";
const KITCHEN = "Kitchen working practice to BS 7671:2018+A2:2022";

/** Rules outside the house, and the kitchen rules that concern what serves what. */
export const outsideRules = {
  "overhead.height": {
    title: "Too low overhead",
    text: "An overhead cable clears what passes beneath: 5.8 m over roads and wherever vehicles reach, 3.5 m where none can, 6 m where caravans and their cars move.",
    limit: "5 800, 3 500, 6 000",
    severity: "stop",
    source: `${GUIDE}, heights of overhead cables`,
    why: "Loads, ladders and masts reach higher than one thinks.",
  },
  "overhead.catenary": {
    title: "Armour does not carry itself",
    text: "Armoured cable between buildings is carried by a catenary wire, which has its own span from its maker.",
    limit: "catenary",
    severity: "stop",
    source: `${GUIDE}, supports of overhead cables`,
    why: "The cable's own weight pulls its ends out of the glands.",
  },
  "buried.depth": {
    title: "Not deep enough",
    text: "A buried cable lies deep enough not to be disturbed: 600 mm by custom, never less than 450.",
    limit: "600; stop below 450",
    severity: "warn",
    source: "BS 7671:2018+A2:2022 522.8.10, and custom",
    why: "A spade, a fence post, a ploughed bed.",
  },
  "buried.protection": {
    title: "Buried without protection",
    text: "A buried cable is armoured or runs in a duct.",
    limit: "armour or duct",
    severity: "stop",
    source: "BS 7671:2018+A2:2022 522.8.10",
    why: "Plain sheath does not stop a spade.",
  },
  "buried.bedding": {
    title: "Bed of the trench",
    text: "Bed and cover of 75 to 100 mm of sand or sieved soil.",
    limit: "75 to 100",
    severity: "warn",
    source: "Trade habit",
    why: "A sharp stone works through the sheath over years.",
  },
  "buried.marker": {
    title: "Marker over the cable",
    text: "A marker tape lies between cable and surface, about 150 mm above the cable.",
    limit: "about 150 above",
    severity: "warn",
    source: "BS 7671:2018+A2:2022 522.8.10",
    why: "It is met before the cable is.",
  },
  "outside.fall": {
    title: "Hole without a fall",
    text: "A hole through a wall or post rises inward by 15 mm or more, with a drip loop below the entry.",
    limit: "≥ 15",
    severity: "warn",
    source: "Trade habit",
    why: "Water follows the cable to the terminals.",
  },
  "outside.sheath": {
    title: "Grey flat cable in sunlight",
    text: "Ordinary flat cable is not used where the sun reaches it.",
    limit: "never",
    severity: "stop",
    source: "BS 7671:2018+A2:2022 522.11",
    why: "The sheath cracks within years.",
  },
  "kitchen.control-reach": {
    title: "Control out of reach",
    text: "A cooker control is within 2 m of each appliance it serves, and what it serves draws at most 50 A together.",
    limit: "2 000; 50 A",
    severity: "stop",
    source: KITCHEN,
    why: "It is the switch one runs for.",
  },
  "kitchen.appliance-switch": {
    title: "Appliance without a switch",
    text: "An outlet below the worktop or behind an appliance has a switch above the worktop within reach.",
    limit: "one above the worktop",
    severity: "stop",
    source: KITCHEN,
    why: "A jammed machine must be stopped without pulling it out.",
  },
  "kitchen.notify.wales": {
    title: "Notifiable in a Welsh kitchen",
    text: "In a Welsh dwelling, work within 3 m of the sink along a taut string round obstacles is notifiable, but for like-for-like.",
    limit: "3 000",
    severity: "note",
    source: "Approved Document P, Wales",
    why: "The rule of that country; it stops at walls and doors that close.",
  },
  "timber.stud": {
    title: "Hole in a stud",
    text: "A hole through a stud or plate of a loadless partition is at most a quarter of its depth, at mid-depth; a cable less than 50 mm from either face of the stud needs a zone or a plate.",
    limit: "0.25 × depth",
    severity: "stop",
    source: "Approved Document A, and on-site practice",
    why: "Board screws reach the middle of a thin stud.",
  },
} as const satisfies Record<string, Rule>;
