import type { Fact } from "../rules/fact";
import { figure, mm } from "../base/figures";
import { type Say, leg, limit, measured, num, txt } from "./say";

/** Overhead, buried and through walls. */
/** What passes beneath a wire. */
export const beneathWords: Record<string, string> = {
  road: "a road",
  vehicles: "where vehicles reach",
  foot: "where people walk",
  "caravan-vehicles": "where caravans move",
  "caravan-foot": "among caravans",
};
const named = (f: Fact): string => (txt(f, "label") ? `${txt(f, "label")}: ` : "");
const alongIt = (f: Fact): string => (f.where?.at === undefined ? "" : `, ${mm(Math.round(f.where.at))} along it`);

const earthCases: Record<string, (c: string) => { message: string; remedy: string }> = {
  unsaid: (c) => ({
    message: `${c} feeds an outbuilding, and nobody has said how that is earthed.`,
    remedy: "Say whether the house's earth is taken out with the cable, or it has an electrode of its own.",
  }),
  "supply-unknown": (c) => ({
    message: `${c} takes the house's earth out to an outbuilding, and how the house is earthed is not known.`,
    remedy: "Look at the origin of the supply first; say it under Survey, Supply.",
  }),
  combined: (c) => ({
    message: `${c} takes the earth of a TN-C-S supply outdoors.`,
    remedy:
      "Metal that comes out of the ground there is bonded with 10 mm² or more, and the earth of the cable carries that; where that is not so, an electrode of its own and an RCD.",
  }),
  separate: (c) => ({
    message: `${c} takes the house's earth out to the outbuilding.`,
    remedy: "Metal that comes out of the ground there is bonded to it.",
  }),
  "house-electrode": (c) => ({
    message: `${c} leans on the electrode of the house.`,
    remedy: "The RCD opens everything in it; test the electrode, and that it trips.",
  }),
  electrode: (c) => ({
    message: `The outbuilding on ${c} has an electrode of its own.`,
    remedy:
      "Armour and core are earthed at the house only and kept apart from the outbuilding's earth; the electrode is tested, 200 Ω or less, and an RCD stands there.",
  }),
  "electrode-no-rcd": (c) => ({
    message: `The outbuilding on ${c} has an electrode of its own and no RCD.`,
    remedy: "An electrode lets too little through for a breaker: give it an RCD.",
  }),
};

export const outsideWords = {
  "overhead.height": (f) => ({
    message: `${named(f)}${mm(Math.round(measured(f)))} at its lowest${alongIt(f)}; at least ${mm(limit(f))} ${beneathWords[txt(f, "beneath")] ? `over ${beneathWords[txt(f, "beneath")]}`.replace("over where", "where") : "here"}.`,
    remedy: "Fix it higher at both ends, pull it tighter, or go underground.",
  }),
  "overhead.tree": (f) => ({
    message: `${named(f)}it goes through the spread of a tree${alongIt(f)}.`,
    remedy: "Go round it, or underground.",
  }),
  "buried.duct": (f) => ({
    message: `${named(f)}under ${txt(f, "name") || `the ${txt(f, "kind")}`} from ${mm(Math.round(f.where?.at ?? 0))} to ${mm(Math.round(num(f, "to")))} along it without a duct.`,
    remedy: "Lay it in a duct there, with a draw cord.",
  }),
  "buried.roots": (f) => ({
    message: `${named(f)}under the spread of a tree from ${mm(Math.round(f.where?.at ?? 0))} to ${mm(Math.round(num(f, "to")))} along it.`,
    remedy: "Dig round it; ask before roots are cut.",
  }),
  "buried.service": (f) => ({
    message: `${named(f)}${mm(Math.round(measured(f)))} from the ${txt(f, "service")}${alongIt(f)}; about ${mm(limit(f))} is usual.`,
    remedy: "Go deeper or shallower there, or put a tile between; its owner says how near one may go.",
  }),
  "outside.gone": (f) => ({
    message: `${txt(f, "label")} has lost a wall or a post that it hangs on.`,
    remedy: "Give it both its walls and its posts again, or take it out.",
  }),
  "outside.unused": (f) => ({
    message: `No cable lies in ${txt(f, "label")}.`,
    remedy: "Give the circuit an armoured cable, move its ends nearer, or take it out.",
  }),
  "outside.earth": (f, n) => earthCases[f.case ?? ""]!(n.circuit(f.subject.id)),
  "lights.gap": (f) => ({
    message: `${named(f)}gaps from ${mm(Math.round(num(f, "from")))} to ${mm(Math.round(num(f, "to")))}; even would be ${mm(Math.round(limit(f)))}.`,
    remedy: "Another number of lights, or posts set to suit.",
  }),
  "lights.cable": (f, n) => ({
    message: `${named(f)}${n.cable(txt(f, "cable"))} ${f.case === "ground" ? "in the ground" : "in the sun"}.`,
    remedy:
      f.case === "ground"
        ? "Armoured cable."
        : "Cable in conduit throughout, or whose sheath stands sunlight; armour does.",
  }),
  "lights.cores": (f, n) => ({
    message: `${named(f)}${n.cable(txt(f, "cable"))} has ${measured(f)} live cores; its sensor needs ${limit(f)}.`,
    remedy: "A cable with a core more, or the sensor at the fed end without a switch past it.",
  }),
  "lights.fed": (f, n) => ({
    message:
      f.case === "nothing"
        ? `${named(f)}it is fed from nothing.`
        : `${named(f)}${n.point(txt(f, "point"))}, which feeds it, is on no circuit.`,
    remedy: f.case === "nothing" ? "Choose the point that feeds it." : "Put that point on a circuit.",
  }),
  "lights.drop": (f) => ({
    message: `${named(f)}${figure(measured(f))} % at the last light; at most ${limit(f)} %.`,
    remedy: "A larger cable, lights of fewer watts, or two rows.",
  }),
  "lights.loop": (f) => ({
    message: `${named(f)}Zs ${figure(measured(f))} Ω hot at the last light; ${figure(limit(f))} is allowed.`,
    remedy: "A larger cable, or a smaller fuse before it.",
  }),
  "lights.conduit": (f) => ({
    message: `${named(f)}conduit ${mm(measured(f))} over the path.`,
    remedy: `At ${mm(limit(f))} or more, or outside the posts.`,
  }),
  "overhead.catenary": (f) => ({
    message: `Armoured cable does not carry itself over ${mm(measured(f))}.`,
    remedy: "Carry it on a catenary wire.",
  }),
  "buried.depth": (f) => ({
    message: `${named(f)}${mm(Math.round(measured(f)))} deep${alongIt(f)}; ${f.severity === "stop" ? `never less than ${mm(limit(f))}` : `${mm(limit(f))} is the custom`}.`,
    remedy: "Dig deeper, or say what keeps it from being disturbed.",
  }),
  "buried.protection": (f, n) => ({
    message: txt(f, "label")
      ? `${n.run(f.subject.id)} lies in ${txt(f, "label")} and is neither armoured nor in a duct.`
      : "The cable is neither armoured nor in a duct.",
    remedy: "Use armoured cable or a duct.",
  }),
  "buried.bedding": (f) => ({
    message: `${named(f)}${measured(f) > 0 ? `${mm(measured(f))} of bed and cover.` : "no bed and cover."}`.replace(
      /^n/,
      "N",
    ),
    remedy: "Lay 75 to 100 of sand or sieved soil under and over the cable.",
  }),
  "buried.marker": (f) => ({
    message:
      f.case === "none"
        ? `${named(f)}no marker over the cable.`.replace(/^n/, "N")
        : `${named(f)}The marker is ${mm(measured(f))} above the cable${f.case === "out-of-ground" ? ", out of the ground" : ""}.`,
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
