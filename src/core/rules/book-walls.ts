import type { Rule } from "./rule";

const BS7671 = "BS 7671:2018+A2:2022";

/** Rules on the zones of a wall. */
export const zoneRules = {
  "zone.outside": {
    title: "Hidden cable outside every zone",
    text: "A cable hidden less than 50 mm from a wall surface runs in a zone, or inside earthed metal, armour or mechanical protection.",
    limit: "in a zone, or 50 deep, or protected",
    caution: "Look and scan before drilling; silence of a detector is no proof.",
    severity: "stop",
    source: `${BS7671} 522.6.202`,
    why: "The next person drills where no socket, switch, corner or ceiling warns of a cable.",
  },
  "zone.diagonal": {
    title: "Hidden cable on a slope",
    text: "A hidden cable runs level or plumb, never on a slope.",
    limit: "level or plumb",
    severity: "stop",
    source: `${BS7671} 522.6.202`,
    why: "Nobody can guess a slope from the accessories on the wall.",
  },
  "zone.deep": {
    title: "Deep enough to need no zone",
    text: "At 50 mm or more from both surfaces of the wall a cable needs no zone.",
    limit: "50 from both surfaces",
    severity: "note",
    source: `${BS7671} 522.6.202`,
    why: "A shelf screw seldom goes deeper than 50 mm. A later chase or a thinner wall than measured changes that.",
  },
  "chase.depth": {
    title: "Chase too deep for the leaf",
    text: "A chase is at most a third of the leaf deep when it runs plumb, and a sixth when it runs level; of a cavity wall it is the leaf that counts, not the wall.",
    limit: "1/3 plumb, 1/6 level",
    severity: "stop",
    source: "Approved Document A",
    why: "What is left of the leaf must still carry what stands on it; a level cut weakens it most.",
  },
  "chase.level": {
    title: "Long level chase in masonry",
    text: "A level chase in masonry is at most 1 500 long, and 300 in a room that the run does not serve, where a deck, a void or a corner serves with less than three times as much cable.",
    limit: "1 500, or 300 in another room",
    severity: "warn",
    source: "On-site working practice",
    why: "A level cut weakens the wall most, takes longest and is the first to be drilled into; joists and voids are there already.",
  },
  "zone.rcd": {
    title: "30 mA protection for hidden cable",
    text: "In ordinary domestic use a cable in a zone less than 50 mm deep, or at any depth in a partition with metal parts, is protected by a 30 mA RCD.",
    limit: "30 mA",
    caution: "Press the test button; it proves the mechanism, not the time.",
    severity: "stop",
    source: `${BS7671} 522.6.203, 411.3.4`,
    why: "The zone makes a nail unlikely, the RCD makes it survivable.",
  },
  "zone.top-band": {
    title: "Band under the ceiling",
    text: "Within 150 mm of the top of the wall.",
    limit: "150",
    severity: "note",
    source: `${BS7671} 522.6.202`,
    why: "A known place, whatever is on the wall.",
  },
  "zone.corner-band": {
    title: "Corner band",
    text: "Within 150 mm of an angle formed by two adjoining walls, full height.",
    limit: "150",
    severity: "note",
    source: `${BS7671} 522.6.202`,
    why: "A known place, whatever is on the wall.",
  },
  "zone.point": {
    title: "Strips of a point",
    text: "Level or plumb from a point on that surface, as wide or as high as the accessory, to floor, ceiling and the next corners; an opening ends the strip.",
    limit: "as wide or as high as the accessory",
    severity: "note",
    source: `${BS7671} 522.6.202`,
    why: "The accessory is the signpost of its own cable.",
  },
  "zone.reverse": {
    title: "Strips of the other face",
    text: "Where the wall is 100 mm thick or less and the point can be located from this side, its strips count on this face too.",
    limit: "wall ≤ 100 thick",
    severity: "note",
    source: `${BS7671} 522.6.202`,
    why: "A nail from either side reaches a cable in a thin wall.",
  },
} as const satisfies Record<string, Rule>;
