import { count, figure, mm } from "../base/figures";
import type { Say } from "./say";
import { limit, measured, num, txt } from "./say";

const half = (x: number): number => Math.round(x * 10) / 10;

/** What is wrong at boxes, glands and boards. */
export const endWords = {
  "end.box-depth": (f, n) => ({
    message:
      `${n.point(f.subject.id)}: ${count(num(f, "cables"), "cable")} in a box ${mm(measured(f))} deep ` +
      `needs ${mm(half(limit(f)))}: accessory ${mm(num(f, "accessory"))}, ` +
      `${count(num(f, "layers"), "layer")} of conductors ${mm(half(num(f, "conductors")))}, ` +
      (num(f, "connectors") ? `connectors ${mm(half(num(f, "connectors")))}, ` : "") +
      `screws ${mm(num(f, "screws"))}.`,
    remedy: f.fix
      ? `Use a box ${mm(Number(f.fix[0]?.set?.boxDepth))} deep`
      : "No box sold is so deep: bring fewer cables here.",
  }),
  "end.joint-reach": (f, n) => ({
    message: `${n.point(f.subject.id)} in ${n.deck(f.where?.deck ?? "")} lies under no hatch and no board that lifts.`,
    remedy: "Draw a hatch over it, move it under one, or take a maintenance-free box: see Schools.",
  }),
  "party.boxes": (f, n) => ({
    message:
      `${n.point(f.subject.id)} and ${n.point(txt(f, "other"))} stand in one separating wall ` +
      `${measured(f) ? `${mm(half(measured(f)))} apart` : "back to back"}.`,
    remedy: f.fix
      ? `Move ${n.point(f.subject.id)} to ${mm(half(Number(f.fix[0]?.set?.u)))}`
      : "Move one of them along the wall.",
  }),
  "chase.back-to-back": (f, n) => ({
    message:
      f.case === "boxes"
        ? `The boxes of ${n.point(f.subject.id)} and ${n.point(txt(f, "other"))} are back to back: ` +
          `${mm(measured(f))} of the wall, a third is ${mm(half(limit(f)))}.`
        : `The chases of ${n.run(f.subject.id)} and ${n.run(txt(f, "other"))} are back to back: ` +
          `${mm(measured(f))} of the wall, a third is ${mm(half(limit(f)))}.`,
    remedy: "Move one along the wall, or use a shallower box or the surface.",
  }),
  "gland.depth": (f, n) => ({
    message:
      `${n.point(f.subject.id)} is ${mm(measured(f))} deep; gland ${txt(f, "gland")}, ` +
      `${mm(num(f, "corners"))} across corners, wants ${mm(half(limit(f)))}.`,
    remedy: f.fix
      ? `Use an enclosure ${mm(Number(f.fix[0]?.set?.boxDepth))} deep`
      : "Bring it into a deeper enclosure beside.",
  }),
  "gland.place": (f, n) => ({
    message:
      `${f.subject.kind === "section" ? `A tube at the end of ${txt(f, "label")}` : `A gland of ${n.point(f.subject.id)}`} is ${mm(half(measured(f)))} from ` +
      `${f.case === "edge" ? "the edge of its face" : f.case === "hole" ? "a hole that is there" : "its neighbour"}; ` +
      `it wants ${mm(half(limit(f)))}.`,
    remedy: f.subject.kind === "section" ? "Draw it elsewhere, or a wider trunking." : "Move it along the face.",
  }),
  "gland.approach": (f, n) => ({
    message:
      `The last bend before ${n.point(f.subject.id)} is ${mm(half(measured(f)))} from its face; the ` +
      `sweep wants ${mm(half(limit(f)))}.`,
    remedy: "Bring it in at another side, or bend it further off.",
  }),
  "armour.earth": (f, n) => ({
    message:
      `${n.circuit(f.subject.id)}: the armour of ${txt(f, "cable")} is ${mm(measured(f))} mm²; alone as ` +
      `earth it wants ${figure(limit(f), 1)}.`,
    remedy: "Use a core as well as the armour: see Schools.",
  }),
  "board.tail": (f, n) => ({
    message:
      `${n.run(f.subject.id)}: ${mm(measured(f))} is left at ${n.point(txt(f, "board"))}, and its ` +
      `farthest terminal wants ${mm(limit(f))}.`,
    remedy: "Leave more at the board: see the job's settings.",
  }),
  "board.crossing": (f, n) => ({
    message:
      `As they are tied at ${n.point(f.subject.id)}, ${count(measured(f), "pair")} cross; ` +
      `${limit(f) ? `${limit(f)} must` : "none need"}.`,
    remedy: "Tie them in the order that crosses least",
  }),
  "board.spare": (f, n) => ({
    message: `${n.point(f.subject.id)} has no spare way.`,
    remedy: "Choose a board with more ways.",
  }),
  "board.leakage": (f, n) => ({
    message:
      `${f.subject.kind === "circuit" ? n.circuit(f.subject.id) : "The whole installation"}: about ` +
      `${figure(measured(f), 1)} mA leaks in ordinary use; behind ${num(f, "rcd")} mA at most ` +
      `${figure(limit(f), 1)}.`,
    remedy: "Part the circuit, or give what leaks most an RCD of its own.",
  }),
} as const satisfies Record<string, Say>;
