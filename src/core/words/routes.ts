import { count, mm } from "../base/figures";
import type { Fact } from "../rules/fact";
import { NOTCH_AT } from "../rules/notches";
import { partWords } from "./holes";
import { type Names, type Say, type Said, and, cap, flag, leg, limit, list, measured, num, txt } from "./say";

const again = (f: Fact, otherwise = "Lay the run another way."): Pick<Said, "remedy"> => ({
  remedy: f.fix ? "Lay this run again" : otherwise,
});
/** The leg by its run in a plan, or by its number in a path that was asked about. */
const stretch = (f: Fact, n: Names): string =>
  f.where?.run !== undefined ? leg(f, n) : flag(f, "several") ? `Leg ${(f.where?.leg ?? 0) + 1}` : "The leg";

const barWords: Record<string, (deck: string) => string> = {
  engineered: (d) => `${d} has engineered joists, which are drilled only as their maker says`,
  deep: (d) => `${d} has joists deeper than 250, which need an engineer`,
  shallow: (d) => `${d} has joists too shallow for the smallest bit`,
  closed: (d) => `${d} is closed, and its joists are bored only where it is opened`,
  obstacles: (d) => `${d} has steel or other obstacles in the way`,
};

const unreachable: Say = (f, n) => {
  const who = n.point(f.subject.id);
  switch (f.case) {
    case "nowhere":
      return { message: `${who} stands on no wall and no deck.` };
    case "off-wall":
    case "off-deck":
      return { message: `${who} lies off its ${f.case === "off-wall" ? "wall" : "deck"}, so no line starts there.` };
    case "concrete":
      return { message: `${who} hangs on ${n.deck(f.where?.deck ?? "")}, which is concrete: no cable is laid in it.` };
    case "on-deck":
      return { message: `${who} hangs on ${n.deck(f.where?.deck ?? "")}, where no cable can be laid.` };
    case "bores-full":
      return {
        message: `No compliant route from ${n.point(txt(f, "from"))} to ${who} is left: every hole on the way is full.`,
        remedy: "Ask for another line of holes, or pin the run by hand.",
      };
    case "too-thick":
      return {
        message: `${cap(n.cable(txt(f, "cable")))} from ${n.point(txt(f, "from"))} to ${who} goes through no hole that the joists on the way may have.`,
        remedy: "Move one of them, take another cable, or pin the run by hand.",
      };
    case "no-way":
      return {
        message: `No compliant route joins ${n.point(txt(f, "from"))} and ${who}.`,
        remedy: "Move one of them, or pin the run by hand.",
      };
    case "on-wall":
      return {
        message: `${who} is on ${n.wall(f.where?.wall ?? "")}: ${flag(f, "cut") ? "openings cut its strips off" : "no strip of it leads to a deck or a corner"}${flag(f, "deckOver") ? "" : ", and there is no deck over this room that a cable could enter"}${flag(f, "further") ? "" : " on this wall"}.`,
        remedy: "Move the point, add a deck, or take the cable on the surface.",
      };
    default: {
      const bars = list(f, "bars").flatMap((b, i) => barWords[b]?.(n.deck(list(f, "decks")[i]!)) ?? []);
      return {
        message: `The cable can leave ${who} into ${and(list(f, "decks").map(n.deck))}, but no hole that may be drilled leads on to the board${bars.length ? `: ${bars.join("; ")}` : ""}.`,
        remedy: "Lay it another way, or pin a run by hand.",
      };
    }
  }
};

/** Zones, runs on their way, and work that is done. */
export const routeWords = {
  "zone.outside": (f, n) => ({
    message: `${stretch(f, n)} strays ${mm(-measured(f))} outside every zone at ${mm(num(f, "depth"))} deep, unprotected.`,
    ...(f.fix ? again(f) : { remedy: "Move the leg into a strip or band, or protect it with earthed metal." }),
  }),
  "zone.diagonal": (f, n) => ({
    message: `${stretch(f, n)} is on a slope: ${mm(num(f, "across"))} across and ${mm(num(f, "up"))} up or down.`,
    ...(f.fix ? again(f) : { remedy: "Run it level, then plumb." }),
  }),
  "zone.deep": (f, n) => ({
    message: `${stretch(f, n)} is ${mm(num(f, "depth"))} deep, at least 50 from both surfaces; it needs no zone.`,
  }),
  "zone.rcd": (f, n) => ({
    message: `${n.circuit(f.subject.id)} is hidden in walls less than 50 deep ${f.measured === undefined ? "without an RCD" : `behind ${f.measured} mA`}.`,
    remedy: `Put ${n.circuit(f.subject.id)} behind a 30 mA RCD`,
  }),
  "route.unreachable": unreachable,
  "route.loose-end": (f, n) => ({
    message: `The run from ${n.run(f.subject.id)} ends ${f.measured === undefined ? "far" : mm(f.measured)} from ${n.point(txt(f, "point"))}.`,
    ...again(f),
  }),
  "route.broken": (f, n) => ({
    message: `${leg(f, n)} starts ${mm(measured(f))} from where the leg before it ends.`,
    ...again(f),
  }),
  "route.opening": (f, n) => ({
    message: `${stretch(f, n)} runs through opening ${num(f, "opening")}${f.where?.wall ? ` of ${n.wall(f.where.wall)}` : ""}.`,
    ...(f.fix ? again(f) : {}),
  }),
  "route.off-surface": (f, n) =>
    f.case === "wall-gone"
      ? { message: `${leg(f, n)}: its wall is no longer there.`, ...again(f) }
      : f.case === "deck-gone"
        ? { message: `${leg(f, n)}: its deck is no longer there.`, ...again(f) }
        : f.case === "way-gone"
          ? {
              message: `${leg(f, n)}: the way out of doors it was to take is no longer there, or lies elsewhere.`,
              ...again(f),
            }
          : f.case === "section-gone"
            ? { message: `${leg(f, n)}: the containment it was to lie in is no longer there.`, ...again(f) }
            : f.case === "askew"
              ? { message: `${leg(f, n)} runs askew to the joists.`, remedy: "Run along the joists, then across." }
              : {
                  message: `${leg(f, n)} leaves ${f.where?.wall !== undefined ? n.wall(f.where.wall) : n.deck(f.where?.deck ?? "")}.`,
                  ...again(f),
                },
  "route.through-box": (f, n) => ({
    message: `${leg(f, n)} passes through the box of ${n.point(txt(f, "point"))}.`,
    remedy: "Move one of the points, or join the circuits' order.",
  }),
  "route.forbidden": (f, n) => ({
    message: `${leg(f, n)} crosses ${f.case === "beam" ? `the ${txt(f, "name")}` : txt(f, "name") || "a part kept free"} ${f.where?.wall !== undefined ? `on ${n.wall(f.where.wall)}` : `in ${n.deck(f.where?.deck ?? "")}`}.`,
    ...again(f),
  }),
  "route.pin-apart": (f, n) => ({
    message: `${n.run(f.subject.id)} is pinned, but the circuit as it stands does not join them: one cable more than it needs.`,
    remedy: "Let go of the pin",
  }),
  "chase.shallow": (f, n) => ({
    message: `The chase in ${n.wall(f.where?.wall ?? "")} is ${mm(measured(f))} deep where ${mm(f.limit ?? 0)} is needed: ${mm((f.limit ?? 0) - measured(f))} too shallow.`,
    remedy: "Cut it deeper",
  }),
  "work.moved": (f, n) => {
    const was =
      f.of?.wall !== undefined
        ? `${mm(num(f, "u"))} from the left and ${mm(num(f, "v"))} up on ${n.wall(txt(f, "wall"))}`
        : `${mm(num(f, "x"))} east and ${mm(num(f, "y"))} north on ${n.deck(txt(f, "deck"))}`;
    return {
      message: `${n.point(f.subject.id)} was ${was} when ${n.run(f.where?.run ?? "")} was done; it is now planned ${f.measured === undefined ? "elsewhere" : `${mm(f.measured)} away`}.`,
      remedy: `Put ${n.point(f.subject.id)} back where it was done`,
    };
  },
  "work.closed": (f, n) => ({
    message: `${n.run(f.subject.id)} would be hidden in ${f.where?.wall === undefined ? n.deck(f.where?.deck ?? "") : n.wall(f.where.wall)}, which was released for closing.`,
    remedy: "Lay it another way, or open the face again on site with a reason",
  }),
  "work.cable": (f, n) => ({
    message: `${n.run(f.subject.id)} was done in ${n.cable(txt(f, "was"))}; the circuit is now planned in ${n.cable(txt(f, "now"))}.`,
    remedy: "Put the cable back, or take the ticks back and draw it again.",
  }),
  "work.apart": (f, n) => ({
    message: `A cable of ${n.circuit(txt(f, "circuit"))} lies between ${n.point(txt(f, "from"))} and ${n.point(txt(f, "to"))}, done on site; the circuit as it stands does not join them.`,
    remedy: "Put the points back in their order, or take the cable out and its ticks back.",
  }),
  "work.point-gone": (f, n) => ({
    message:
      f.case === "circuit"
        ? `The circuit of ${n.run(f.subject.id)} has been taken out, but its cable is in.`
        : `${n.run(f.subject.id)} is done, but ${n.point(txt(f, "point"))} has been taken out.`,
    remedy: "Undo it, or take the ticks back.",
  }),
  "chase.depth": (f, n) => ({
    message: `${f.where?.run === undefined ? "A" : `${leg(f, n)}: a`} ${f.case} chase ${mm(measured(f))} deep in a leaf of ${mm(num(f, "leaf"))}${f.where?.wall === undefined ? "" : ` on ${n.wall(f.where.wall)}`}; at most ${mm(Math.floor((f.limit ?? 0) * 10) / 10)}.`,
    ...again(f, "Take it up to the deck, lay it on the surface, or cut a shallower chase."),
  }),
  "chase.level": (f, n) => ({
    message: `${leg(f, n)}: ${mm(measured(f))} chased level ${
      f.case === "elsewhere" ? "round a room it does not serve" : "in masonry"
    }, from ${n.wall(f.where?.wall ?? "")} on; at most ${mm(f.limit ?? 0)}${
      txt(f, "kept") === "yes" ? ". No deck, void or corner serves with less than three times as much cable" : ""
    }.`,
    ...again(f, "Bring the points nearer, open a deck, or lay it on the surface."),
  }),
  "route.closed": (f, n) => ({
    message: `${placeOfHole(f, n)}: the deck is closed there.`,
    remedy: "Open the deck there, or lay the run another way.",
  }),
  "hole.missing": (f, n) => ({
    message: `${leg(f, n)} ${crossed(f, n)} and no hole is listed there.`,
    remedy: "Work out the plan again.",
  }),
  "hole.too-small": (f, n) => ({
    message:
      f.case === "notch"
        ? `${placeOfHole(f, n)}: ${count(num(f, "cables"), "cable")} side by side want a notch ${mm(measured(f))} wide; one plate covers ${mm(limit(f))}, and holds cables up to ${mm(2 * (NOTCH_AT - 2))} thick.`
        : `${placeOfHole(f, n)}: Ø ${mm(num(f, "diameter"))} for ${count(num(f, "cables"), "cable")}, ${measured(f).toFixed(0)} % full.`,
    remedy:
      f.case === "notch"
        ? "Lay a run over another line, or through a hole."
        : "Drill a second hole farther along, or lay a run another way.",
  }),
  "stock.short": (f, n) => ({
    message: `${cap(n.cable(f.subject.id))}: ${num(f, "unmet")} of ${num(f, "lengths")} lengths do not fit on the drums, ${mm(num(f, "short"))} m in all; the longest is ${mm(num(f, "longest"))} m.`,
    remedy: `Bring another ${Math.ceil(num(f, "short"))} m or more.`,
  }),
} as const satisfies Record<string, Say>;

/** What a leg goes through without a hole. */
function crossed(f: Fact, n: Names): string {
  const { deck, joist, at } = f.where ?? {};
  if (f.case === "wall") return "goes through a wall";
  if (f.case === "joist") return `crosses joist ${joist} of ${n.deck(deck ?? "")}`;
  if (f.case === "deck-noggin")
    return `goes through the noggin beside joist ${joist} of ${n.deck(deck ?? "")}, ${mm(at ?? 0)} along it,`;
  return `goes through a ${partWords[f.case ?? ""] ?? "stud"} ${at === undefined ? "" : `${mm(at)} from the left end`} of ${n.wall(f.where?.wall ?? "")}`;
}

function placeOfHole(f: Fact, n: Names): string {
  const { wall, deck, joist, span, at } = f.where ?? {};
  const from = at === undefined ? "" : `, ${mm(at)} from its left ${wall !== undefined ? "end" : "bearing"}`;
  if (wall !== undefined) return `Hole in ${n.wall(wall)}${from}`;
  return `Joist ${joist} of ${n.deck(deck ?? "")}${span !== undefined && span > 1 ? `, span ${span}` : ""}${from}`;
}
