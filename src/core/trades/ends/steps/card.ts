import { mm } from "../../../base/figures";
import { doubled } from "../../../rules/conductors";
import type { Schools } from "../../../rules/schools";

/** A reading or a torque that a card asks for: it goes to the site record with its run. */
export interface Asks {
  what: string;
  unit: "Ω" | "MΩ" | "V" | "N·m";
  /** The least or the most it may be; none where only the record counts. */
  least?: number;
  most?: number;
}

/** One card of the work: what to do, the measure it needs, how it looks when right, what usually goes wrong, and why it is done. */
export interface StepCard {
  title: string;
  todo: string;
  /** The figure to work to, with its unit. */
  measure?: string;
  check: string;
  mistake: string;
  why: string;
  caution?: string;
  asks?: Asks;
}

/** A measure that a person may set before starting: lengths mm, torque N·m. */
export interface MeasureField {
  key: string;
  title: string;
  unit: string;
  first: number;
  min: number;
  max: number;
}

/** Before the wall is closed, or after: the same end is visited twice. */
export const halves = { first: "First fix", second: "Second fix" } as const;

/** A piece of work as guided cards. */
export interface Making {
  kind: string;
  name: string;
  half: keyof typeof halves;
  measures: readonly MeasureField[];
  cards: (m: Readonly<Record<string, number>>, schools: Schools) => StepCard[];
}

export const field = (
  key: string,
  title: string,
  first: number,
  min: number,
  max: number,
  unit = "mm",
): MeasureField => ({ key, title, unit, first, min, max });

export const card = (
  title: string,
  todo: string,
  check: string,
  mistake: string,
  why: string,
  more: Pick<StepCard, "measure" | "caution" | "asks"> = {},
): StepCard => ({ title, todo, check, mistake, why, ...more });

/** A length with its unit, to the tenth. */
export const long = (x: number): string => `${mm(Math.round(x * 10) / 10)} mm`;

/** First card of all work on what may be live. */
export const isolate = card(
  "Make it dead",
  "Isolate and lock off. Prove the tester, prove dead between all conductors, prove the tester again.",
  "0 V: L–N, L–E, N–E, and the tester works before and after.",
  "Testing line to neutral only: a broken neutral reads nothing too.",
  "What was dead this morning can be fed from another board.",
  { caution: "Nothing is dead until tested. Do not work above the competence or the law that applies." },
);

/** First card where nothing is joined to a supply yet: what is in the wall may still be live. */
export const scan = card(
  "Look and scan",
  "Look at what is above, below and behind. Scan the place for live cable, pipe and metal, both ways, twice.",
  "The detector was tried on a known live cable just before.",
  "Trusting silence: nothing detected is no proof.",
  "A cable in its zone is just where you mean to drill.",
  { caution: "Eyes, ears, lungs and hands. Dust of old boards and ceilings may hold asbestos: stop and ask." },
);

/** Bare copper by the school: so much, doubled over or straight. */
export const stripped = (depth: number, s: Schools): string =>
  s.doubling === "always" ? `${long(doubled(depth))}, doubled` : long(depth);
export const stripWords = (s: Schools): string =>
  s.doubling === "always"
    ? "Strip twice the depth and double each conductor over, a bit less than half."
    : "Strip to the depth; double over only where the terminal is large for the wire.";

export const tails = {
  tail: field("tail", "Tail, from the edge where it comes in", 140, 60, 400),
  sheath: field("sheath", "Sheath that stays inside", 10, 0, 60),
  strip: field("strip", "Terminal depth, by a scrap end", 10, 4, 25),
};

/** Cards that all boxes share: the tails cut, the sheath taken back, the terminals tried. */
export const cutTails = (m: Readonly<Record<string, number>>): StepCard[] => [
  card(
    "Cut the tails",
    "Measure from the edge where the cable comes in, across the box and past its far edge.",
    "The end reaches past the far edge with the cable lying as it will.",
    "Cutting to the middle of the box.",
    "Too short cannot be saved; slightly long can.",
    { measure: long(m.tail!) },
  ),
  card(
    "Take the sheath back",
    "Cut the sheath back inside the box so that the conductors can fold. The grommet is in before the cable.",
    `${long(m.sheath!)} of sheath shows inside the box; no copper or insulation is nicked.`,
    "Sheath left long: the conductors cannot fold and the plate will not close.",
    "The sheath is the insulation where the cable goes through the metal.",
    { measure: `${long(m.sheath!)} inside` },
  ),
  card(
    "Sleeve the earths",
    "Green-and-yellow sleeve over every bare protective conductor, to the terminal, before anything is connected.",
    "No bare copper shows but what goes into the terminal.",
    "Connecting first: then it is not put on at all.",
    "A bare earth pushed back against a live terminal trips at the first use, or worse.",
    { measure: long(m.tail! - m.sheath!) },
  ),
];

export const connectCard = (title: string, todo: string, m: Readonly<Record<string, number>>, s: Schools): StepCard =>
  card(
    title,
    `${todo} ${stripWords(s)} A blade that fills the slot of the screw.`,
    "No copper shows outside the terminal; tug each one.",
    "The screw on insulation: it holds and does not connect.",
    "A loose joint heats, and the wall hides it.",
    { measure: stripped(m.strip!, s) },
  );

export const closeCard = card(
  "Dress and close",
  "Fold the conductors to the back, push home, pull back and retighten everything, then fix the plate. Screws long enough and no longer.",
  "Level, flat to the wall, nothing trapped behind the rim.",
  "Not retightening: the first push loosens them.",
  "Folding works every conductor in its terminal.",
);

/** How the torque of something is called in the record. */
export const torqueOf = (what: string): string => `Torque, ${what}`;

export const torqueCard = (what: string, torque: number): StepCard =>
  card(
    "Tighten by torque",
    `A torque driver, once, to the maker's figure on ${what}; write it down.`,
    "It clicked once; the figure is recorded with the tool's number.",
    "Tightening again after the click: it is then over.",
    "Half of all burnt boards are a screw that was only felt.",
    { measure: `${torque} N·m`, asks: { what: torqueOf(what), unit: "N·m", least: 0.1, most: 20 } },
  );
