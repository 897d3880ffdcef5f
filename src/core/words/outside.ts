import { mm } from "../base/figures";
import { type Say, leg, limit, measured, num } from "./say";

/** Overhead, buried and through walls. */
export const outsideWords = {
  "overhead.height": (f) => ({
    message: `${mm(measured(f))} at its lowest; at least ${mm(limit(f))} here.`,
    remedy: "Fix it higher at both ends, or go underground.",
  }),
  "overhead.catenary": (f) => ({
    message: `Armoured cable does not carry itself over ${mm(measured(f))}.`,
    remedy: "Carry it on a catenary wire.",
  }),
  "buried.depth": (f) => ({
    message: `${mm(measured(f))} deep; ${f.severity === "stop" ? `never less than ${mm(limit(f))}` : `${mm(limit(f))} is the custom`}.`,
    remedy: "Dig deeper, or say what keeps it from being disturbed.",
  }),
  "buried.protection": () => ({
    message: "The cable is neither armoured nor in a duct.",
    remedy: "Use armoured cable or a duct.",
  }),
  "buried.bedding": (f) => ({
    message: measured(f) > 0 ? `${mm(measured(f))} of bed and cover.` : "No bed and cover.",
    remedy: "Lay 75 to 100 of sand or sieved soil under and over the cable.",
  }),
  "buried.marker": (f) => ({
    message:
      f.case === "none"
        ? "No marker over the cable."
        : `The marker is ${mm(measured(f))} above the cable${f.case === "out-of-ground" ? ", out of the ground" : ""}.`,
    remedy:
      f.case === "none"
        ? `Lay tape about ${num(f, "usual")} above the cable.`
        : `Lay it about ${num(f, "usual")} above the cable.`,
  }),
  "outside.fall": (f) => ({
    message: `It rises ${mm(measured(f))} inward.`,
    remedy: `Start ${mm(limit(f))} lower outside.`,
  }),
  "outside.sheath": (f, n) => ({
    message: `${leg(f, n)} of ${n.circuit(f.subject.id)} is grey flat cable out of doors.`,
    remedy: "Use armoured cable, or cable whose sheath stands sunlight.",
  }),
} as const satisfies Record<string, Say>;
