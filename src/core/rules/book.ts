import { circuitRules } from "./book-circuits";
import { containmentRules } from "./book-containment";
import { outsideRules } from "./book-outside";
import type { Rule } from "./rule";

/**
 * The rule book: every rule the program judges by, as data. Figures are a working aid: local codes and licensed
 * practice come first.
 */
const BS7671 = "BS 7671:2018+A2:2022";
const GUIDE = "On-site working practice to BS 7671:2018+A2:2022";
const TIMBER = "Approved Document A, and new-home warranty practice";
const OWN = "Lumbet: check of the plan itself";

const ownRules = {
  "zone.outside": {
    title: "Hidden cable outside every zone",
    text: "A cable hidden less than 50 mm from a wall surface runs in a zone, or inside earthed metal, armour or mechanical protection.",
    limit: "in a zone, or 50 deep, or protected", caution: "Look and scan before drilling; silence of a detector is no proof.",
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
  "zone.rcd": {
    title: "30 mA protection for hidden cable",
    text: "In ordinary domestic use a cable in a zone less than 50 mm deep, or at any depth in a partition with metal parts, is protected by a 30 mA RCD.",
    limit: "30 mA", caution: "Press the test button; it proves the mechanism, not the time.",
    severity: "stop",
    source: `${BS7671} 522.6.203, 411.3.4`,
    why: "The zone makes a nail unlikely, the RCD makes it survivable.",
  },
  "zone.top-band": { title: "Band under the ceiling", text: "Within 150 mm of the top of the wall.", limit: "150", severity: "note", source: `${BS7671} 522.6.202`, why: "A known place, whatever is on the wall." },
  "zone.corner-band": { title: "Corner band", text: "Within 150 mm of an angle formed by two adjoining walls, full height.", limit: "150", severity: "note", source: `${BS7671} 522.6.202`, why: "A known place, whatever is on the wall." },
  "zone.point": { title: "Strips of a point", text: "Level or plumb from a point on that surface, as wide or as high as the accessory, to floor, ceiling and the next corners; an opening ends the strip.", limit: "as wide or as high as the accessory", severity: "note", source: `${BS7671} 522.6.202`, why: "The accessory is the signpost of its own cable." },
  "zone.reverse": { title: "Strips of the other face", text: "Where the wall is 100 mm thick or less and the point can be located from this side, its strips count on this face too.", limit: "wall ≤ 100 thick", severity: "note", source: `${BS7671} 522.6.202`, why: "A nail from either side reaches a cable in a thin wall." },
  "timber.hole.zone": {
    title: "Hole off its part of the span",
    text: "The centre of a hole lies between 0.25 and 0.40 of the clear span from either bearing.",
    limit: "0.25 to 0.40 of the span",
    severity: "stop",
    source: TIMBER,
    why: "Near the bearing shear is greatest, at mid-span bending is; between them the middle of the joist has strength to spare. Measure from the bearing, not from the room face.",
  },
  "timber.hole.size": { title: "Hole too big", text: "A hole is at most a quarter of the joist's depth.", limit: "0.25 × depth", severity: "stop", source: TIMBER, why: "The timber above and below the hole carries the floor." },
  "timber.hole.axis": { title: "Hole off the centre line", text: "A hole sits on the centre line of the joist's depth, within the tolerance set for the job.", limit: "± 5, or as set", severity: "stop", source: TIMBER, why: "On the centre line the wood is neither stretched nor squeezed, and nails from either face stay short of the cable." },
  "timber.hole.spacing": { title: "Holes too close together", text: "Holes are at least three times the larger diameter apart, centre to centre.", limit: "3 × the larger diameter", severity: "stop", source: TIMBER, why: "Close holes act as one long cut." },
  "timber.notch.zone": {
    title: "Notch off its part of the span",
    text: "A notch keeps between 0.10 and 0.20 of the span from a bearing (warranty school) or 0.07 and 0.25 (on-site school).",
    limit: "0.10–0.20 or 0.07–0.25 of the span",
    severity: "stop",
    source: TIMBER,
    why: "Two schools: the warranty figures are the stricter, the on-site figures are the older rule of thumb. The job's setting picks.",
  },
  "timber.notch.depth": { title: "Notch too deep", text: "A notch is at most 0.15 of the depth (warranty school) or one eighth (on-site school).", limit: "0.15 or 0.125 × depth", severity: "stop", source: TIMBER, why: "A notch takes away the wood that works hardest." },
  "timber.notch.both-edges": { title: "Notches on both edges at one end", text: "Notches are on the top edge; where a school allows either edge, never both at the same end.", limit: "one edge at each end", severity: "stop", source: TIMBER, why: "Two notches facing each other leave a short beam between them." },
  "timber.apart": { title: "Hole and notch too close", text: "A hole and a notch are at least 100 mm apart along the span, edge to edge.", limit: "100", severity: "stop", source: TIMBER, why: "The wood between them splits along the grain." },
  "timber.depth": { title: "Ask a structural engineer", text: "A joist deeper than 250 mm, or one carrying a heavy load such as a trimmer, partition, cylinder or steel, is outside the rules of thumb.", limit: "depth ≤ 250, no heavy load", caution: "Structural cuts beyond the rules need an engineer.", severity: "stop", source: TIMBER, why: "The rules were worked out for ordinary floors." },
  "timber.engineered": { title: "Engineered joist: maker only", text: "I-joists, metal-web and glued beams follow their maker's instructions; nothing is computed here.", limit: "maker's instructions", caution: "Never bore or notch one by rule of thumb.", severity: "stop", source: "Maker's instructions", why: "Their flanges and webs carry the load in another way, and each maker's rules differ." },
  "timber.over-cut": { title: "Joist cut too far already", text: "A span of a joist whose old holes or notches break the rules is bored no more.", limit: "no further cut", caution: "Ask a structural engineer before anything else is taken out of it.", severity: "stop", source: "Approved Document A, working practice", why: "What is left of it carries less than it was meant to, and nobody knows by how much." },
  "timber.cable-edge": {
    title: "Cable near the edge of the timber",
    text: "A cable through a joist, under a floor or above a ceiling keeps 50 mm from the top and bottom of the timber, measured from the edge of its hole, or is protected by a steel plate.",
    limit: "50",
    severity: "warn",
    source: `${BS7671} 522.6.201`,
    why: "Floor nails and ceiling screws reach about 50 mm. A batten or noggin added later moves that edge.",
  },
  "timber.in-joist": { title: "Cable runs inside a joist", text: "A run passes across a joist only through a bored hole.", limit: "through a hole", severity: "stop", source: OWN, why: "A line through solid wood cannot be built." },
  "clip.spacing": { title: "Clips too far apart", text: "Reachable cable is supported at most as far apart as the table allows for its diameter across the widest axis, its kind and its direction.", limit: "250 to 2 000 by the table", severity: "stop", source: `${GUIDE}, support of cables`, why: "It follows the outside of the cable, not the copper in it." },
  "clip.maker": { title: "Ask the cable's maker", text: "Cable outside the table is supported as its maker says.", limit: "maker's sheet", severity: "warn", source: "Maker's instructions", why: "No figure is published for it." },
  "clip.out-of-reach": { title: "Out of reach: spacing by judgement", text: "Where a cable cannot be reached after closing the table does not bind; it must still not strain, sag or fall.", limit: "450, or the table", severity: "note", source: `${GUIDE}, support of cables`, why: "Two schools: a fixed 450 mm or each joist, or stay on the table everywhere." },
  "clip.end": { title: "First and last clip", text: "The first and last clip are within 150 mm of a box, bend or gland.", limit: "150", severity: "warn", source: "Trade habit", why: "A free end works loose and pulls at the terminal." },
  "end.tail": { title: "Length of tails", text: "Conductors are cut 50 to 70 mm longer than the far edge of the box.", limit: "50 to 70", severity: "warn", source: "Trade habit", why: "Short tails pull at the terminal and cannot be made longer; long ones crowd the box." },
  "kitchen.sink": { title: "Outlet near the sink", text: "The edge of an outlet is at least 300 mm along the surface from the edge of the bowl.", limit: "300", severity: "stop", source: "Kitchen working practice to BS 7671:2018+A2:2022", why: "Splashes and wet hands." },
  "kitchen.under-sink": { title: "Outlet under the sink", text: "No outlet is under the bowl, where a leak reaches it and a hand does not.", limit: "not under the bowl", severity: "warn", source: "Kitchen working practice to BS 7671:2018+A2:2022", why: "Traps and taps leak, and it cannot be reached to switch off." },
  "kitchen.worktop": { title: "Outlet low over the worktop", text: "The centre of an outlet is at least 150 mm above the worktop.", limit: "150", severity: "stop", source: "Kitchen working practice to BS 7671:2018+A2:2022", why: "Spills, and room for a plug and its bend." },
  "kitchen.hob": { title: "Outlet near the hob", text: "An outlet or control is at least 150 mm from the edge of the hob.", limit: "150", severity: "stop", source: "Kitchen working practice to BS 7671:2018+A2:2022", why: "Heat and leads across the rings." },
  "kitchen.behind-hob": { title: "Outlet or control behind the hob", text: "No outlet or control is behind the hob.", limit: "never", caution: "Isolate the old control before moving it.", severity: "stop", source: "Kitchen working practice to BS 7671:2018+A2:2022", why: "One reaches over a fire to switch off the fire." },
  "height.new-dwelling": { title: "Height in a new dwelling", text: "In a new dwelling outlets and switches are between 450 and 1200 mm above the floor.", limit: "450 to 1 200", severity: "stop", source: "Approved Document M", why: "People who cannot stoop or stretch live there too. An older house is not bound by it." },
  "point.in-opening": { title: "Point in an opening", text: "A point sits on wall, not in a door, window or arch.", limit: "on wall", severity: "stop", source: OWN, why: "There is nothing to fix it to." },
  "point.off-wall": { title: "Point off its surface", text: "A point lies wholly on its wall or deck.", limit: "on its surface", severity: "stop", source: OWN, why: "It cannot be fixed there." },
  "point.overlap": { title: "Two points in one place", text: "Accessories do not overlap.", limit: "apart", severity: "stop", source: OWN, why: "Only one box fits." },
  "point.circuit": { title: "Point on no circuit", text: "Every point that takes a cable belongs to a circuit.", limit: "one circuit", severity: "warn", source: OWN, why: "It would stay dead." },
  "circuit.way": { title: "Circuit without a way", text: "Every circuit has a way of its own in the board.", limit: "one way each", severity: "stop", source: OWN, why: "There is nothing to connect it to." },
  "circuit.board": { title: "No board", text: "The job has a board with ways for its circuits.", limit: "one board", severity: "stop", source: OWN, why: "Runs start at the board." },
  "circuit.rcd": { title: "30 mA protection of the circuit", text: "Socket outlets up to 32 A and lighting in a dwelling have 30 mA RCD protection.", limit: "30 mA", severity: "stop", source: `${BS7671} 411.3.3, 411.3.4`, why: "A fault through a person is cut off in time." },
  "circuit.min-csa": { title: "Conductor too small", text: "Socket rings are wired in 2.5 mm² or more, lighting in 1.0 mm² or more.", limit: "2.5 mm² rings, 1.0 mm² lighting", severity: "stop", source: `${BS7671} 433.1.204, Table 52.3`, why: "Less copper overheats before its device opens." },
  "circuit.spur": { title: "Too many spurs", text: "One unfused spur feeds one single or one twin outlet; a ring has no more spurs than points on the ring.", limit: "one single or twin each; spurs ≤ points on the ring", severity: "stop", source: `${GUIDE}, Appendix 15`, why: "The spur's cable carries less than the device allows through." },
  "route.unreachable": { title: "No legal way there", text: "Every run follows zones, holes and decks from point to point.", limit: "a legal way", severity: "stop", source: OWN, why: "The message names what is in the way." },
  "route.loose-end": { title: "Pinned run no longer meets its point", text: "A pinned run starts and ends at its points.", limit: "ends at its points", severity: "stop", source: OWN, why: "A point has moved since the run was pinned." },
  "route.broken": { title: "Run with a gap", text: "The legs of a run follow one another without a gap.", limit: "no gap", severity: "stop", source: OWN, why: "It cannot be built." },
  "route.opening": { title: "Run through an opening", text: "No leg crosses a door, window or arch.", limit: "never", severity: "stop", source: OWN, why: "It cannot be built." },
  "route.off-surface": { title: "Run off its surface", text: "A leg stays on the wall or in the deck it belongs to.", limit: "on its surface", severity: "stop", source: OWN, why: "It cannot be built." },
  "route.through-box": { title: "Run through another point's box", text: "A run keeps clear of boxes that it does not serve.", limit: "clear of boxes", severity: "warn", source: "Trade habit", why: "It makes the box crowded and the next person guess." },
  "route.forbidden": { title: "Run through a part kept free", text: "No leg crosses a part of a wall or deck that the survey keeps free.", limit: "never", severity: "stop", source: OWN, why: "Another service, a cupboard to be, or the user's own word." },
  "hole.missing": { title: "Crossing without a hole", text: "Each joist or wall that a run crosses has a hole listed for it.", limit: "a hole for each crossing", severity: "stop", source: OWN, why: "The boring schedule would be short." },
  "hole.too-small": { title: "Hole too small for what passes", text: "Cables fill at most 45 % of their hole, and the widest fits across it.", limit: "45 % full", severity: "stop", source: GUIDE, why: "A tight hole strips the sheath when the cable is drawn." },
  "stock.short": { title: "Drum too short", text: "The lengths of a cable fit on the drums there are.", limit: "lengths ≤ drums", severity: "warn", source: OWN, why: "A run that ends short behind a wall costs the most." },
} as const satisfies Record<string, Rule>;

export const book = { ...ownRules, ...circuitRules, ...containmentRules, ...outsideRules } as const;

export type RuleId = keyof typeof book;

/** The row of a rule. */
export const ruleOf = (id: RuleId): Rule => book[id];
/** The row of a rule named in a finding, or null when this edition of the book does not hold it. */
export const findRule = (id: string): Rule | null => (Object.hasOwn(book, id) ? book[id as RuleId] : null);
