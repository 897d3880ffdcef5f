import { mm } from "../base/figures";
import { type Fact } from "../rules/fact";
import { type Names, type Say, type Said, limit, measured, num, txt } from "./say";

const who = (f: Fact, n: Names): string => n.point(f.subject.id);
const placeFix = (f: Fact, n: Names): Pick<Said, "remedy"> => {
  const { u, v } = f.of ?? {};
  if (u === undefined && v === undefined) return { remedy: "Move it to another place." };
  return {
    remedy: `Move ${who(f, n)} to ${[u, v]
      .filter((x) => x !== undefined)
      .map((x) => mm(Number(x)))
      .join(", ")}`,
  };
};

/** Where points stand, and the kitchen. */
export const pointWords = {
  "point.off-wall": (f, n) =>
    f.case === "deck"
      ? { message: `${who(f, n)} lies outside ${n.deck(f.where?.deck ?? "")}.`, remedy: "Move it onto the deck." }
      : f.case === "open-side"
        ? {
            message: `${who(f, n)} is on ${n.wall(f.where?.wall ?? "")}, an open side without a wall.`,
            remedy: "Move it to a wall, or give that side one.",
          }
        : { message: `${who(f, n)} reaches past the edge of its wall.`, ...placeFix(f, n) },
  "point.circuit": (f, n) => ({
    message: `${who(f, n)} is on no circuit.`,
    remedy: "Add it to a circuit in Circuits.",
  }),
  "point.in-opening": (f, n) => ({
    message: `${who(f, n)} is in the ${txt(f, "opening")}.`,
    ...(f.of?.u === undefined ? { remedy: "Move it to another wall." } : placeFix(f, n)),
  }),
  "point.overlap": (f, n) => ({
    message: `${who(f, n)} and ${n.point(txt(f, "other"))} overlap.`,
    remedy: "Move one of them.",
  }),
  "height.new-dwelling": (f, n) => ({
    message: `${who(f, n)} is ${mm(measured(f))} above the floor in a new dwelling.`,
    remedy: `Move ${who(f, n)} to ${mm(limit(f))} up`,
  }),
  "kitchen.under-sink": (f, n) => ({ message: `${who(f, n)} is under the sink.`, ...placeFix(f, n) }),
  "kitchen.sink": (f, n) => ({
    message: `The edge of ${who(f, n)} is ${mm(measured(f))} from the edge of the bowl, along the worktop.`,
    ...placeFix(f, n),
  }),
  "kitchen.worktop": (f, n) => ({
    message: `The centre of ${who(f, n)} is ${mm(measured(f))} above the worktop.`,
    remedy: `Raise ${who(f, n)} to ${mm(num(f, "v"))}`,
  }),
  "kitchen.behind-hob": (f, n) => ({ message: `${who(f, n)} is behind the hob.`, ...placeFix(f, n) }),
  "kitchen.hob": (f, n) => ({
    message: `${who(f, n)} is ${mm(measured(f))} from the edge of the hob.`,
    ...placeFix(f, n),
  }),
  "kitchen.control-reach": (f, n) =>
    f.case === "load"
      ? {
          message: `What ${who(f, n)} serves draws ${measured(f).toFixed(1)} A together.`,
          remedy: "Give each appliance its own control.",
        }
      : {
          message: `${who(f, n)} is ${mm(measured(f))} from ${txt(f, "fixture")}.`,
          remedy: `Move ${who(f, n)} nearer, or fit another control.`,
        },
  "kitchen.appliance-switch": (f, n) => ({
    message: `${who(f, n)} is below the worktop and nothing above it switches it off.`,
    remedy: "Put an FCU or a switch above the worktop and let it work this outlet.",
  }),
  "kitchen.notify.wales": (f, n) => ({
    message: `${who(f, n)} is ${mm(measured(f))} from the sink: notifiable in Wales.`,
    remedy: "Notify the work before it starts, unless it only puts like for like.",
  }),
} as const satisfies Record<string, Say>;
