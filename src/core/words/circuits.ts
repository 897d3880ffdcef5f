import { figure } from "../base/figures";
import type { Fact } from "../rules/fact";
import type { FoundShape } from "../trades/circuits/found";
import { type Names, type Say, type Said, and, flag, leg, limit, list, measured, num, txt } from "./say";

const c = (f: Fact, n: Names): string => n.circuit(f.subject.id);
/** "C1 as laid: " before a sentence about a circuit of the plan. */
const laid = (f: Fact, n: Names, message: string): string =>
  f.case === "laid" || f.of?.laid === 1 ? `${c(f, n)} as laid: ${message}` : message;
const worst = (f: Fact, n: Names): string =>
  f.where?.run !== undefined ? leg(f, n) : `Leg ${(f.where?.leg ?? 0) + 1}`;
const way = (f: Fact, n: Names): Pick<Said, "remedy"> =>
  f.of?.free === undefined
    ? { remedy: "Fit a larger consumer unit, or free a way." }
    : { remedy: `Put ${c(f, n)} on way ${num(f, "free")}` };

const foundShape: Say = (f, n) => {
  const at = list(f, "points").map(n.point).join(", ");
  const why: Record<string, string> = {
    "no-cable": "no cable of it found yet",
    loose: `an end at ${at} is not traced, so it cannot be told whether it is a ring`,
    "no-cable-at": `no cable found at ${at} yet`,
    board: "two cables at every point, but not two at the board: trace the way back to it",
  };
  return {
    message: `${c(f, n)}: ${why[f.case ?? ""] ?? "its ends are not traced"}.`,
    remedy: "Trace the ends, dead and proved dead, before it is extended.",
  };
};

/** Circuits, their cables and devices, and what was found in the house. */
export const circuitWords = {
  "circuit.empty": (f, n) => ({
    message:
      f.case === "ring"
        ? `${n.circuit(f.subject.id)} is a ring with one point on it.`
        : `${n.circuit(f.subject.id)} has no points.`,
    remedy:
      f.case === "ring" ? "Put another point on it, or make it a radial." : "Put its points on it, or take it out.",
  }),
  "circuit.board": () => ({
    message: "The job has circuits but no consumer unit; place one.",
    remedy: "Add a board point.",
  }),
  "circuit.way": (f, n) => ({
    message:
      f.case === "none"
        ? `${c(f, n)} has no way in the consumer unit.`
        : f.case === "beyond"
          ? `${c(f, n)} is on way ${measured(f)}, but the consumer unit has ${limit(f)}.`
          : `${c(f, n)} and ${n.circuit(txt(f, "other"))} share way ${num(f, "way")}.`,
    ...way(f, n),
  }),
  "circuit.rcd": (f, n) => ({
    message: `${c(f, n)} ${f.measured === undefined ? "has no RCD" : `is behind ${f.measured} mA`}.`,
    remedy: `Put ${c(f, n)} behind a 30 mA RCD`,
  }),
  "circuit.device": (f, n) => {
    if (!flag(f, "named"))
      return {
        message: laid(f, n, `The load is ${figure(measured(f))} A on a ${figure(limit(f))} A device.`),
        remedy: "Split the load, or take a larger device and cable.",
      };
    const after = measured(f) < num(f, "full") ? ` after diversity, ${figure(num(f, "full"), 1)} A in full` : "";
    return {
      message: `${c(f, n)} draws ${figure(measured(f), 1)} A${after} on a ${figure(limit(f))} A device.`,
      remedy:
        flag(f, "cooker") && !after
          ? "Take a larger device and cable, or reckon with diversity in Schools."
          : "Take a larger device and cable, or split the load.",
    };
  },
  "circuit.ring": (f, n) => ({
    message: laid(
      f,
      n,
      `${worst(f, n)} carries ${figure(measured(f))} A by method ${txt(f, "method")}; a ring leg needs 20 A.`,
    ),
    remedy: "Use larger cable, or keep it out of the insulation.",
  }),
  "circuit.capacity": (f, n) =>
    f.case === "not-judged"
      ? {
          message: `${c(f, n)} as laid is not judged: no table holds a rating or a resistance for a cable of it.`,
          remedy: "Give it a cable of the tables, or have it worked out by its maker's sheet.",
        }
      : {
          message: laid(
            f,
            n,
            `${worst(f, n)} carries ${figure(measured(f))} A by method ${txt(f, "method")}; ${flag(f, "fuse") ? "the fuse" : "the device"} lets ${figure(limit(f))} A through.`,
          ),
          remedy: "Use larger cable, a smaller device, or another way to run it.",
        },
  "circuit.min-csa": (f, n) => ({
    message: f.fix ? `${c(f, n)} is wired in ${measured(f)} mm².` : `Wired in ${measured(f)} mm².`,
    remedy: f.fix ? `Use ${limit(f)} mm²` : `Use ${limit(f)} mm² or more.`,
  }),
  "circuit.area": (f) => ({
    message: `The ring serves ${figure(measured(f))} m².`,
    remedy: "Make it two circuits.",
  }),
  "circuit.drop": (f, n) => ({
    message: laid(
      f,
      n,
      `${figure(num(f, "volts"))} V is lost on the way, ${figure(measured(f))} %${flag(f, "ring") ? ", with the load half way round" : ", with all load at the far end"}.`,
    ),
    remedy: "Use larger cable or a shorter way.",
  }),
  "circuit.loop": (f, n) =>
    f.case === "ze-taken"
      ? {
          message: `The supply's Ze is not given; ${num(f, "ze")} Ω is taken${
            txt(f, "earthing") === "unknown"
              ? ", the most that is usual"
              : `, the most that is usual with ${txt(f, "earthing")}`
          }. Measure it.`,
          remedy: "Enter the measured Ze under Survey, supply.",
        }
      : f.case === "feed-unknown"
        ? {
            message: laid(
              f,
              n,
              `Zs ${figure(measured(f))} Ω is from its own board on and the supply's Ze; how that board is fed is not known, and the loop and the volt drop of what feeds it come on top.`,
            ),
            remedy: "Put the board on the circuit that feeds it, or measure the loop at it.",
          }
        : f.case === "tt-without"
          ? {
              message: laid(
                f,
                n,
                `The earth is an electrode (TT) and no RCD protects the circuit: at ${figure(measured(f))} Ω no circuit-breaker opens in time.`,
              ),
              remedy: "Put it on a 30 mA RCD.",
            }
          : f.case === "by-rcd"
            ? {
                message: laid(
                  f,
                  n,
                  `Zs ${figure(measured(f))} Ω; with an electrode the ${num(f, "trip")} mA RCD allows ${figure(limit(f))}.`,
                ),
                remedy: "A better electrode, or an RCD that trips at less.",
              }
            : f.case === "rcd-relied"
              ? {
                  message: laid(
                    f,
                    n,
                    `The earth is an electrode (TT): at ${figure(measured(f))} Ω only the ${num(f, "trip")} mA RCD opens on a fault to earth; it allows ${figure(limit(f))}.`,
                  ),
                  remedy: "Test the RCD and the electrode; press the test button twice a year.",
                }
              : f.case === "electrode"
                ? {
                    message: laid(
                      f,
                      n,
                      `The electrode has ${figure(measured(f))} Ω; above ${figure(limit(f))} it may not stay so in dry ground.`,
                    ),
                    remedy: "Drive it deeper, or add another.",
                  }
                : {
                    message: laid(
                      f,
                      n,
                      `Zs ${figure(measured(f))} Ω hot; ${txt(f, "device")} allows ${figure(limit(f))}.`,
                    ),
                    remedy: "Use larger cable, a shorter way, or ask about an RCD for fault protection.",
                  },
  "circuit.spur": (f, n) => {
    switch (f.case) {
      case "outlets":
        return {
          message: `${n.point(f.subject.id)} has ${measured(f)} outlets on one unfused spur.`,
          remedy: "Put an FCU before them, or take them into the ring.",
        };
      case "spur-of-spur":
        return {
          message: `${n.point(f.subject.id)} is a spur from the spur ${n.point(txt(f, "from"))}.`,
          remedy: "Take it from a point on the ring, or put an FCU at the start of the spur.",
        };
      case "several":
        return {
          message: `${and(list(f, "spurs").map(n.point))} are all taken from ${n.point(f.subject.id)} without a fuse.`,
          remedy: "Start each spur at a point of its own, or use an FCU.",
        };
      case "same-point":
        return {
          message: `More than one spur of ${c(f, n)} starts at ${n.point(txt(f, "from"))}.`,
          remedy: "Start each spur at a point of its own, or use an FCU.",
        };
      default:
        return f.subject.kind === "circuit"
          ? {
              message: `${c(f, n)} has ${measured(f)} spurs on ${limit(f)} points.`,
              remedy: "Take some points into the ring.",
            }
          : {
              message: `${measured(f)} unfused spurs on ${limit(f)} points of the ring.`,
              remedy: "Take some of them into the ring.",
            };
    }
  },
  "circuit.spur.source": (f, n) => ({
    message: `${n.point(f.subject.id)} takes a socket outlet from a ${txt(f, "source")} circuit.`,
    remedy: "Take it from a socket circuit.",
  }),
  "found.colours": (f, n) => ({
    message: `Old colours at ${n.point(f.subject.id)}: the sheath and colours say nothing of its size or make-up.`,
    remedy: "Measure it, test it, and label old and new colours at the board.",
  }),
  "found.unknown": (f, n) => ({
    message: `The cable between ${n.point(f.subject.id)} and ${n.point(txt(f, "to"))} has not been identified.`,
    remedy: "Isolate, prove dead, and look before anything is joined to it.",
  }),
  "found.shape": (f, n) => ({
    message: `${c(f, n)} is recorded as a ring. One cable in and none out at ${list(f, "last").map(n.point).join(", ")}: found radial.`,
    remedy: "Treat it as a radial: device at most 20 A on 2.5 mm² and no spurs on its spurs.",
  }),
  "found.shape-open": foundShape,
  "retrofit.break": (f, n) => ({
    message: `${c(f, n)} is extended by breaking the leg ${n.point(txt(f, "from"))} to ${n.point(txt(f, "to"))}: two joints, ${num(f, "points")} new ${num(f, "points") === 1 ? "point" : "points"} in between, and it stays a ring.`,
    remedy: "Isolate, prove dead, prove the tester; test the ring end to end afterwards.",
  }),
  "extend.shape": (f, n) =>
    f.case === "other"
      ? {
          message: `${c(f, n)} reads as a ${txt(f, "found")} and is taken for a ${txt(f, "taken")}.`,
          remedy: `Make it a ${txt(f, "found")} in the job, or find out why it reads so.`,
        }
      : {
          message: `Nobody has read whether ${c(f, n)} is a ring or a radial.`,
          remedy: "Isolate, prove dead, take its legs out of the board and read from leg to leg.",
        },
  "extend.leg": (f, n) => ({
    message: `The leg ${n.point(txt(f, "from"))} to ${n.point(txt(f, "to"))} of ${c(f, n)} is to be broken, and no cable between them was traced.`,
    remedy: "Join the two ends of one cable at the one point and read them at the other.",
  }),
  "extend.joint": (f, n) => ({
    message: `There are no boards to lift by ${n.point(txt(f, "point"))} for a joint of ${c(f, n)}.`,
    remedy: "Join in the old point's box, or in a new box on the wall.",
  }),
  "retrofit.trace": (f, n) => ({
    message: `${c(f, n)} is to be extended, but no leg of it has been traced from point to point.`,
    remedy: "Enter the cables found in Survey: from where to where.",
  }),
  "retrofit.draw": (f, n) => ({
    message: `The old cable between ${n.point(txt(f, "from"))} and ${n.point(txt(f, "to"))} comes out and can pull the new one in: fold the new one in two on its end and draw it in.`,
    remedy: "Isolate and prove dead first; try by hand that the old one moves.",
  }),
} as const satisfies Record<string, Say>;

/** What the cables found in the house say of a circuit. */
export function foundShapeWords(s: FoundShape, point: (id: string) => string): string {
  const at = (ids: readonly string[]): string => ids.map(point).join(", ");
  switch (s.why) {
    case "no-cable":
      return "No cable of it found yet.";
    case "loose":
      return `An end at ${at(s.loose)} is not traced: no saying yet whether it is a ring.`;
    case "no-cable-at":
      return `No cable found at ${at(s.loose)} yet.`;
    case "last":
      return `One cable in and none out at ${at(s.lastPoints)}: a radial.`;
    case "whole":
      return "Two cables at every point and two at the board: a ring.";
    case "board":
      return "Two cables at every point, but not two at the board: trace the way back to it.";
  }
}
