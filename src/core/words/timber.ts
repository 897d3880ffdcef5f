import { count, mm } from "../base/figures";
import type { Fact } from "../rules/fact";
import { type Names, type Say, type Said, flag, joist, leg, limit, list, measured, num, txt } from "./say";

const THERE = "It is there already: drill no more in this joist near it, and ask a structural engineer about a repair.";

/** The sentence of one cut with its joist before it; a cut found in the house is not put right by moving it. */
const inJoist = (f: Fact, n: Names, message: string, remedy: string): Said => {
  const place = joist(f, n);
  return {
    message: place ? `${place}${flag(f, "there") ? ", existing" : ""}: ${message}` : message,
    remedy: flag(f, "there") ? THERE : remedy,
  };
};

/** Joists, studs and what is cut into them. */
export const timberWords = {
  "timber.engineered": (f, n) => ({
    message: `${f.where?.run !== undefined ? `${leg(f, n)}: engineered` : "Engineered"} joists are cut only as their maker says; nothing is computed for them.`,
    remedy: "Ask the maker of the joist for its hole chart.",
  }),
  "timber.long-span": (f, n) => ({
    message:
      `${n.deck(f.where?.deck ?? "")} spans ${mm(measured(f))} clear at joist ${f.where?.joist}; ` +
      `over ${mm(limit(f))} is seldom right.`,
    remedy: "Look from below: where a wall or a steel carries the joists, enter it as a bearing in Survey.",
  }),
  "timber.depth": (f, n) =>
    inJoist(
      f,
      n,
      f.case === "heavy"
        ? "The joist carries a heavy load; the rules of thumb do not hold."
        : `The joist is ${mm(measured(f))} deep; the rules of thumb end at ${mm(limit(f))}.`,
      "Ask a structural engineer.",
    ),
  "timber.cut-place": (f, n) => ({
    message:
      f.case === "joist"
        ? `An old cut is noted on joist ${f.where?.joist} of ${n.deck(f.where?.deck ?? "")}, which has ${count(num(f, "joists"), "joist")}.`
        : f.case === "span"
          ? `An old cut is noted in span ${f.where?.span} of joist ${f.where?.joist} of ${n.deck(f.where?.deck ?? "")}, which has ${count(num(f, "spans"), "span")}.`
          : `An old cut is noted ${mm(measured(f))} from the left bearing of joist ${f.where?.joist} of ${n.deck(f.where?.deck ?? "")}; its span is ${mm(limit(f))}.`,
    remedy: "Put it where it is in Survey, or take it out.",
  }),
  "timber.over-cut": (f, n) => ({
    message: `${joist(f, n)} is cut beyond the rules already; nothing more is drilled in this span of it.`,
    remedy: "Lay the run another way, and ask a structural engineer about a repair.",
  }),
  "timber.in-joist": (f, n) => ({
    message:
      f.case === "stud"
        ? `${leg(f, n)} runs up inside stud ${num(f, "stud")} of ${n.wall(f.where?.wall ?? "")}.`
        : `${leg(f, n)} lies inside joist ${f.where?.joist} of ${n.deck(f.where?.deck ?? "")}.`,
    remedy: f.case === "stud" ? "Take it up beside the stud." : "Clip it to the joist's side.",
  }),
  "timber.hole.zone": (f, n) =>
    inJoist(
      f,
      n,
      `The hole is ${mm(measured(f))} from the nearer bearing; the zone is ${mm(num(f, "from"))} to ${mm(num(f, "to"))}.`,
      "Drill inside the zone, measured from the bearing.",
    ),
  "timber.hole.size": (f, n) =>
    inJoist(
      f,
      n,
      `Ø ${mm(measured(f))} in a joist ${mm(num(f, "depth"))} deep; at most ${mm(limit(f))}.`,
      "Use a smaller bit or a second hole.",
    ),
  "timber.hole.axis": (f, n) =>
    inJoist(
      f,
      n,
      `The centre is ${mm(measured(f))} off the centre line; at most ${mm(limit(f))}.`,
      `Mark the centre ${mm(num(f, "centre"))} from the top.`,
    ),
  "timber.hole.spacing": (f, n) =>
    inJoist(
      f,
      n,
      `The holes are ${mm(measured(f))} apart, centre to centre; at least ${mm(limit(f))}.`,
      "Share one hole, or drill farther along.",
    ),
  "timber.cable-edge": (f, n) =>
    inJoist(
      f,
      n,
      f.case === "notch"
        ? "The cable lies in a notch, within reach of every nail."
        : f.case === "covered"
          ? `A noggin or batten that is fixed later comes ${mm(-measured(f))} over the hole: it would sit on the cables.`
          : `The edge of the hole is ${mm(measured(f))} from the edge of the timber, or of a noggin fixed later; a cable needs ${mm(limit(f))} or a steel plate.`,
      f.case === "notch"
        ? "Fit a steel plate over the notch."
        : f.case === "covered"
          ? "Move the hole beside it, or take a shallower noggin or batten."
          : "Fit a steel plate over the hole.",
    ),
  "timber.notch.zone": (f, n) =>
    inJoist(
      f,
      n,
      `The notch reaches ${mm(measured(f))} from the nearer bearing; it must stay between ${mm(num(f, "from"))} and ${mm(num(f, "to"))}.`,
      "Move or narrow the notch.",
    ),
  "timber.notch.depth": (f, n) =>
    inJoist(
      f,
      n,
      `The notch is ${mm(measured(f))} deep; at most ${mm(limit(f))}.`,
      "Use a hole on the centre line instead.",
    ),
  "timber.notch.both-edges": (f, n) =>
    f.case === "pair"
      ? inJoist(
          f,
          n,
          "There is a notch in the top edge and one in the bottom edge at the same end.",
          "Keep to one edge at each end.",
        )
      : inJoist(
          f,
          n,
          `The notch is in the ${txt(f, "edge")} edge; the school chosen allows the ${list(f, "allowed").join(" or ")} edge.`,
          "Notch the top edge, or choose the other school for the job.",
        ),
  "timber.apart": (f, n) =>
    inJoist(
      f,
      n,
      `Hole and notch are ${mm(measured(f))} apart, edge to edge; at least ${mm(limit(f))}.`,
      "Move the hole along its zone.",
    ),
  "timber.stud": (f) =>
    f.case === "size"
      ? {
          message: `Ø ${mm(measured(f))} in a stud ${mm(num(f, "depth"))} deep; at most ${mm(limit(f))}.`,
          remedy: "Use a smaller bit.",
        }
      : f.case === "axis"
        ? {
            message: `The centre is ${mm(measured(f))} off mid-depth; at most ${mm(limit(f))}.`,
            remedy: `Drill ${mm(num(f, "centre"))} from the face.`,
          }
        : {
            message: `${mm(measured(f))} to the nearest face, outside every zone.`,
            remedy: "Fit a steel plate, or keep the cable in a zone.",
          },
} as const satisfies Record<string, Say>;
