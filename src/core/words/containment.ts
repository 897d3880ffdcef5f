import { count, mm } from "../base/figures";
import type { Fact } from "../rules/fact";
import { type SectionKind, sectionRows } from "../rules/sections";
import { type Names, type Say, flag, leg, limit, list, measured, num, txt } from "./say";

const families: Record<string, string> = { mi: "mineral-insulated" };

/** A section of containment of the job, before what is wrong with its fill. */
const foldNames: Readonly<Record<string, string>> = { notch: "the notch", cuts: "the fold", bend: "the bend" };

const inTrunking = (f: Fact, n: Names, message: string): string => {
  if (f.subject.kind !== "trunking" && f.subject.kind !== "section") return message;
  const where = f.where?.wall === undefined ? "" : ` on ${n.wall(f.where.wall)}`;
  const size = txt(f, "size").replace("x", " × ");
  const coming = num(f, "coming");
  if (f.subject.kind === "section") {
    const { name } = sectionRows[txt(f, "kind") as SectionKind];
    const inside = flag(f, "there")
      ? `${count(num(f, "there"), "cable")} there and ${coming} to come`
      : count(coming, "cable");
    return `${txt(f, "label")}, ${name.toLowerCase()} ${size}${where}, ${inside}: ${message}`;
  }
  return `Trunking ${size}${where}, ${count(num(f, "there"), "cable")} there${coming ? ` and ${coming} to come` : ""}: ${message}`;
};

/** The size that was found to take them, where there is one. */
const nextSize = (f: Fact, else_: string): string =>
  f.of?.to === undefined ? else_ : `Take ${txt(f, "to").replace("x", " × ")}`;

const near: Record<string, (f: Fact) => string> = {
  bedding: (f) => `bedding ${mm(num(f, "bedding"))} of at most ${mm(num(f, "beddingMost"))}`,
  "sheath-most": (f) => `sheath ${mm(num(f, "overall"))} of at most ${mm(num(f, "sheathMost"))}`,
  "sheath-least": (f) => `sheath ${mm(num(f, "overall"))} of at least ${mm(num(f, "sheathLeast"))}`,
};

const fillSpace: Say = (f, n) => {
  switch (f.case) {
    case "enters":
      return {
        message: inTrunking(
          f,
          n,
          `A cable of ${f.of?.diameter !== undefined ? `Ø ${mm(num(f, "diameter"))}` : `${mm(num(f, "width"))} × ${mm(num(f, "thickness"))}`} does not go in at all.`,
        ),
        remedy: nextSize(f, "Take the next size."),
      };
    case "largest":
      return {
        message: `They take ${measured(f).toFixed(1)} % of the largest ${f.subject.id}, ${txt(f, "size")}.`,
        remedy: "Split the cables over two.",
      };
    case "none":
      return { message: `The catalogue holds no ${f.subject.id}.`, remedy: "Split the cables over two." };
    default:
      return {
        message: inTrunking(f, n, `${measured(f).toFixed(1)} % of the inside is taken; at most ${mm(limit(f))} %.`),
        remedy: nextSize(f, "Take the next size, or split the cables."),
      };
  }
};

/** Containment, fixings, glands and ends. */
export const containmentWords = {
  "fill.space": fillSpace,
  "fill.layer": (f, n) => ({
    message: inTrunking(f, n, `they take ${mm(measured(f))} side by side; there is room for ${mm(limit(f))}.`),
    remedy: nextSize(f, "Take the next size, or a second one beside it."),
  }),
  "fill.spare": (f, n) => ({
    message: inTrunking(f, n, `${measured(f).toFixed(1)} % is taken: little room for the next circuit.`),
    remedy: "Take the next size if another circuit may come.",
  }),
  "fill.term": (f) =>
    f.case === "largest"
      ? {
          message: `The cable factors come to ${measured(f)}; the largest ${f.subject.id}, ${txt(f, "size")}, takes ${limit(f)}.`,
          remedy: "Split the circuits over two.",
        }
      : {
          message: `The cable factors come to ${mm(measured(f))}; ${f.subject.id} takes ${mm(limit(f))}.`,
          remedy: "Take the next size, or split the circuits.",
        },
  "fill.draw-in": (f, n) => ({
    message:
      f.case === "section"
        ? `${txt(f, "label")} turns by ${Number(measured(f).toFixed(1))} right angles: box ${num(f, "box")} of ${num(f, "boxes")} to draw from ` +
          (f.where?.wall === undefined
            ? `on ${n.deck(f.where?.deck ?? "")}, ${mm(num(f, "u"))} from the west and ${mm(num(f, "v"))} from the south.`
            : `${mm(num(f, "u"))} from the left of ${n.wall(f.where.wall)}, ${mm(num(f, "v"))} up.`)
        : f.case === "beyond"
          ? `${mm(num(f, "metres"))} m with ${count(measured(f), "bend")} is beyond the table.`
          : `${measured(f)} right angles between draw-in points.`,
    remedy:
      f.case === "section"
        ? "It is counted in its pieces and in the materials; draw the cable in from it."
        : "Put a box to draw in from along the way.",
  }),
  "bend.radius": (f) => ({
    message: `The bend has an inner radius of ${mm(measured(f))}; at least ${mm(limit(f))}.`,
    remedy: "Re-form it wider; replace the cable if it is creased.",
  }),
  "bend.maker": (f) => ({
    message: `Armoured cable of ${mm(measured(f))}: ask its maker.`,
    remedy: "Follow the maker's sheet.",
  }),
  "bend.conduit": (f) => ({
    message: `${f.subject.kind === "section" ? `${txt(f, "label")}: inner` : "Inner"} radius ${mm(measured(f))} for conduit of ${mm(num(f, "outside"))}; at least ${mm(limit(f))}.`,
    remedy: "Use a larger former.",
  }),
  "fold.room": (f, n) =>
    f.case === "section"
      ? {
          message: inTrunking(
            f,
            n,
            `${foldNames[txt(f, "way")] ?? "the notch"} at ${mm(Math.round(num(f, "at")))} of piece ${num(f, "piece")} ` +
              `${f.of?.way === "bend" ? "has no room: it would meet the end or the next bend by" : "meets the end or the next notch by"} ` +
              `${mm(Math.round(-measured(f)))}.`,
          ),
          remedy: "Move the corner or the pipe's side of it farther off, or use a bought fitting.",
        }
      : {
          message: `The notch would start ${mm(-measured(f))} before the end.`,
          remedy: `Fold at ${mm(num(f, "half"))} or farther.`,
        },
  "section.joist": (f, n) => ({
    message:
      `${txt(f, "label")} goes through ${n.deck(f.where?.deck ?? "")} at ${mm(num(f, "u"))} ` +
      `from the left of ${n.wall(f.where?.wall ?? "")}, where joist ${f.where?.joist ?? ""} stands: ` +
      `${mm(Math.round(-measured(f)))} of it lie in the joist.`,
    remedy: `Move it ${mm(Math.ceil(-measured(f)))} along the wall, to the side where the joist is nearer its edge, or end it at the ceiling.`,
  }),
  "clip.spacing": (f, n) => ({
    message: `${leg(f, n)}: clips ${mm(measured(f))} apart.`,
    remedy: "Space them evenly within the limit.",
  }),
  "clip.end": (f, n) => ({
    message: `${leg(f, n)}: the last clip is ${mm(measured(f))} from the end.`,
    remedy: "Set a clip nearer to the end.",
  }),
  "clip.maker": (f) => ({
    message: `No spacing is published for ${families[txt(f, "family")] ?? txt(f, "family")} cable of ${mm(measured(f))} (band ${txt(f, "band")}).`,
    remedy: "Follow the cable maker's advice.",
  }),
  "clip.out-of-reach": (f) => ({
    message: `Out of reach the table does not bind${f.limit === undefined ? "" : `; ${mm(f.limit)} by judgement`}. The cable must still not strain, sag or fall.`,
  }),
  "clip.trunking": (f) => ({
    message: `No spacing is published for a section of ${mm(measured(f))} mm².`,
    remedy: "Follow the maker.",
  }),
  "fire.collapse": (f) => ({
    message: `Held by plastic alone ${
      f.case === "over"
        ? "over an escape route"
        : f.case === "beside" || f.case === "above"
          ? `${mm(measured(f))} ${f.case} a doorway of an escape route`
          : "here"
    }.`,
    remedy: "Use metal clips, ties or containment, or run it where the structure keeps it up.",
  }),
  "fire.suspended": () => ({
    message: "It is fixed to a suspended ceiling.",
    remedy: "Fix it to the structure above, in metal.",
  }),
  "fire.seal": (f, n) => ({
    message:
      f.case === "cable" || f.case === "fire-wall"
        ? `${n.run(f.subject.id)} passes ${n.wall(f.where?.wall ?? "")}, ` +
          `which ${f.case === "cable" ? "separates dwellings" : "holds fire back"}, ` +
          `${mm(num(f, "u"))} from the left and ${mm(num(f, "v"))} up: fire-stopping round it` +
          `${num(f, "diameter") > 0 ? `, in a hole of ${mm(num(f, "diameter"))} through ${mm(num(f, "thickness"))}` : ""}.`
        : `${txt(f, "label")} passes through the ${txt(f, "where")} at ${mm(num(f, "u"))} from the left: ` +
          `intumescent, ${num(f, "width")} × ${num(f, "depth")}, round ` +
          `it${f.case === "inside" ? ", and inside it" : ""}.`,
    remedy: "Seal it when its cables are in; look at the maker's sheet of the seal.",
  }),
  "gland.fit": (f) => ({
    message: `No gland of the table takes bedding ${mm(num(f, "bedding"))}, sheath ${mm(num(f, "overall"))} and wire ${num(f, "wire")} together.`,
    remedy: "Measure the cable again, and look at the maker's sheet.",
  }),
  "gland.edge": (f) => ({
    message: `Close to the edge of the ${txt(f, "gland") || f.subject.id}: ${list(f, "near")
      .flatMap((k) => near[k]?.(f) ?? [])
      .join(", ")}.`,
    remedy: "Measure this drum before drilling.",
  }),
  "gland.row": (f, n) => ({
    message:
      (f.subject.kind === "point" ? `${n.point(f.subject.id)}: ` : "") +
      `${num(f, "glands")} glands need ${mm(measured(f))} and the face has ${mm(limit(f))}; ` +
      `${num(f, "would")} of them would fit.`,
    remedy: num(f, "would") ? `Put ${num(f, "would")} in this row, the rest in another face.` : "Use a wider face.",
  }),
  "mi.strip": (f) => ({
    message: `The cover would stop ${mm(-measured(f))} inside the first box.`,
    remedy: "Take the cover off whole and watch the mark by eye.",
  }),
  "end.tail": (f) => ({
    message:
      f.sense === "least"
        ? `${mm(measured(f))} past the far edge is short: a short tail cannot be saved.`
        : `${mm(measured(f))} past the far edge is long: it crowds the box.`,
    remedy: "Leave 50 to 70 past the far edge.",
  }),
} as const satisfies Record<string, Say>;
