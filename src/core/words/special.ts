import { count, figure, mm } from "../base/figures";
import type { Fact } from "../rules/fact";
import { type Names, type Say, limit, list, measured, num, txt } from "./say";

const c = (f: Fact, n: Names): string => n.circuit(f.subject.id);
const are = (f: Fact): string => (list(f, "points").length > 1 ? "are" : "is");
const service = (f: Fact): string => (txt(f, "service") === "other" ? "other service" : `${txt(f, "service")} service`);

/** What a line without mains is tried by once it is drawn. */
export const SIGNAL_TEST = "every core from end to end, to its own terminal, none crossed with another";

/** The supply, lights and their switches, rooms with a bath, alarms, and what wants a circuit of its own. */
export const specialWords = {
  "signal.apart": (f, n) => ({
    message:
      f.case === "hole"
        ? `${n.run(f.subject.id)} goes through one hole with mains cables.`
        : f.case === "section"
          ? `${n.run(f.subject.id)} lies with mains cables in ${txt(f, "section")}.`
          : `${n.run(f.subject.id)} runs ${mm(measured(f))} from ${n.circuit(txt(f, "circuit"))} for ${mm(num(f, "length"))}; it keeps ${mm(limit(f))}, or is divided.`,
    remedy:
      f.case === "hole"
        ? "Drill it a hole of its own, 50 from the other."
        : f.case === "section"
          ? "Give it a section of its own, or one with a divider."
          : `Clip it ${mm(limit(f))} to the side of the mains, within the zone, or lay it in a tube of its own; cross at right angles.`,
  }),
  "signal.mixed": (f, n) => ({
    message:
      f.case === "on-mains"
        ? `${c(f, n)} is mains and leads to ${list(f, "points").map(n.point).join(", ")}, which carries none.`
        : f.case === "on-line"
          ? `${c(f, n)} carries no mains and leads to ${list(f, "points").map(n.point).join(", ")}, which needs it.`
          : f.case === "cable-on-mains"
            ? `${c(f, n)} is mains on a cable that is made for none.`
            : `${c(f, n)} carries no mains and lies in mains cable.`,
    remedy:
      f.case === "on-mains" || f.case === "on-line"
        ? "Put them on a circuit of their own kind."
        : f.case === "cable-on-mains"
          ? "Choose a mains cable."
          : "Choose a cable for data, television, telephone or bells.",
  }),
  "signal.start": (f, n) =>
    f.case === "no-line"
      ? {
          message: `No line leads to ${n.point(f.subject.id)}.`,
          remedy: "Put it on a line for data, television, telephone or bells, or take it off.",
        }
      : {
          message: `${c(f, n)} has no cabinet to start from.`,
          remedy: "Place a cabinet for data where its cables come together.",
        },
  "supply.demand": (f) => ({
    message: `The whole house is taken to draw ${figure(measured(f), 1)} A; the main switch is for ${figure(limit(f))} A${num(f, "unknown") ? `, and ${count(num(f, "unknown"), "circuit")} of no known load ${num(f, "unknown") === 1 ? "comes" : "come"} on top` : ""}.`,
    remedy: "Ask the distributor what the supply bears, or leave a load out.",
  }),
  "circuit.own": (f, n) => ({
    message: `${n.point(f.subject.id)} shares ${n.circuit(txt(f, "circuit"))} with ${list(f, "others").map(n.point).join(", ")}; it ${f.severity === "stop" ? "needs" : "usually has"} a circuit of its own.`,
    remedy: "Give it a circuit and a way of its own.",
  }),
  "supply.bonding": (f) =>
    f.case === "unseen"
      ? {
          message: `The bond of the ${service(f)} was not seen at both ends.`,
          remedy: "Look where it comes in and at the main earth terminal; test it from end to end.",
        }
      : {
          message: `The ${service(f)} is bonded with ${figure(measured(f))} mm²; ${
            txt(f, "earthing") === "unknown" ? "with an earthing that is not known" : `with ${txt(f, "earthing")}`
          } it takes ${figure(limit(f))} or more.`,
          remedy: "Lay a larger bond before the new circuits are made alive.",
        },
  "lighting.fed-from-sockets": (f, n) =>
    f.case === "label"
      ? {
          message: `${list(f, "points").map(n.point).join(", ")} behind ${n.point(txt(f, "unit"))} ${are(f)} fed from ${c(f, n)}, a socket circuit, and not labelled so.`,
          remedy:
            "Put a label at the fused unit, at the light and at the board, and say so at the unit; the unit cuts both poles.",
        }
      : {
          message: `${list(f, "points").map(n.point).join(", ")} ${are(f)} on ${c(f, n)}, a socket circuit, with no fused unit.`,
          remedy: "Put it on a lighting circuit, or behind a fused unit of 3 A.",
        },
  "lighting.unswitched": (f, n) => ({
    message: `No switch works ${n.point(f.subject.id)}.`,
    remedy: "Name it at a switch.",
  }),
  "lighting.idle-switch": (f, n) => ({
    message: `${n.point(f.subject.id)} works no light.`,
    remedy: "Name the lights it works, or take it out.",
  }),
  "lighting.borrowed": (f, n) => ({
    message: `${n.point(f.subject.id)} is wired on ${n.circuit(txt(f, "own"))} and works ${n.point(txt(f, "light"))} on ${n.circuit(txt(f, "other"))}: line and neutral would come from two circuits.`,
    remedy: "Put both on one circuit.",
  }),
  "lighting.two-way": (f, n) => ({
    message: `${n.point(f.subject.id)} and ${n.point(txt(f, "other"))} work ${list(f, "lights").map(n.point).join(", ")} together, but ${list(f, "alone").map(n.point).join(", ")} only one of them.`,
    remedy: "Let both work the same lights, or give the other light a gang of its own.",
  }),
  "bath.rcd": (f, n) => ({
    message: `${c(f, n)} ${f.case === "passing" ? `lies in a zone on ${n.wall(txt(f, "wall"))}` : "serves a bathroom"} ${f.measured === undefined ? "without an RCD" : `on a ${measured(f)} mA RCD`}.`,
    remedy: `Put ${c(f, n)} on 30 mA`,
  }),
  "bath.ip": (f, n) => {
    const zone = `zone ${num(f, "zone")} of the bath`;
    if (f.case === "switch")
      return {
        message: `${n.point(f.subject.id)} stands in ${zone}; only cords switch there.`,
        remedy: "Move it out of the room, or switch by a cord.",
      };
    return {
      message: `${n.point(f.subject.id)} stands in ${zone}: IPX${limit(f)} or better; ${f.case === "unknown" ? "what it stands is not known" : `it has IPX${measured(f)}`}.`,
      remedy:
        f.case === "unknown" ? "Give its IP figure at the point." : "Choose one made for the zone, or move it out.",
    };
  },
  "alarm.cover": (f, n) => ({
    message: `A place of ${txt(f, "room")} is ${mm(measured(f))} from ${num(f, "alarms") > 1 ? "the nearest alarm" : n.point(f.subject.id)}; ${mm(limit(f))} is the most.`,
    remedy: "Move it towards the middle, or add another.",
  }),
  "alarm.off": (f, n) => ({
    message: `${n.point(f.subject.id)} is ${mm(measured(f))} from ${txt(f, "from") === "light" ? n.point(txt(f, "light")) : "the wall"}; ${mm(limit(f))} is the least.`,
    remedy: "Move it farther off.",
  }),
  "alarm.interlink": (f, n) => ({
    message: `The alarms are on ${list(f, "circuits").map(n.circuit).join(" and ")}: they do not sound together.`,
    remedy: "Put them on one circuit, or link them by radio as their maker says.",
  }),
  "bath.socket": (f, n) =>
    f.case === "not-drawn"
      ? {
          message: `${n.point(f.subject.id)} is a socket outlet in a bathroom; no bath or tray is drawn to measure from.`,
          remedy: "Draw the bath or tray in Survey.",
        }
      : {
          message: `${n.point(f.subject.id)} stands ${mm(measured(f))} from the bath; a socket outlet needs ${mm(limit(f))}.`,
          remedy: "Move it farther off, or take it out of the room.",
        },
} satisfies Record<string, Say>;
