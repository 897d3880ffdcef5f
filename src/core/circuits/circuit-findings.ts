import { atMost } from "../geometry/tolerance";
import { type Catalogue, cableOf, standardCatalogue } from "../rules/catalogue";
import { figure } from "../rules/words";
import { cookerDemand } from "./cooker";
import { type Finding, finding } from "../rules/findings";
import type { Circuit, Job, Point } from "../job/model";

/** Nominal voltage, V. */
const NOMINAL = 230;

/** Board that feeds a circuit: its own, else the first of the job; undefined when there is none. */
export const boardOfCircuit = (job: Job, c: Circuit): Point | undefined =>
  (c.board === null ? undefined : job.points.find((p) => p.id === c.board)) ??
  job.points.find((p) => p.kind === "board");

/** What is wrong with a circuit as described: its way, its RCD, its conductor, its spurs. */
export function circuitFindings(job: Job, catalogue: Catalogue = standardCatalogue): Finding[] {
  const out: Finding[] = [];
  // Ways are counted board by board.
  const taken = new Map<string, string>();
  const freeWay = (board: Point | undefined): number | null => {
    for (let w = 1; w <= (board?.ways ?? 0); w++)
      if (!job.circuits.some((c) => c.way === w && boardOfCircuit(job, c)?.id === board?.id)) return w;
    return null;
  };
  for (const c of [...job.circuits].sort((a, b) => (a.label < b.label ? -1 : 1))) {
    const board = boardOfCircuit(job, c);
    const ways = board?.ways ?? 0;
    const free = freeWay(board);
    const place = `${board?.id ?? ""} ${c.way}`;
    const give =
      free === null
        ? { remedy: board ? "Fit a larger board, or free a way." : "Place a board first." }
        : {
            remedy: `Give ${c.label} way ${free}`,
            fix: [{ collection: "circuits" as const, id: c.id, set: { way: free } }],
          };
    if (board && c.way === null)
      out.push(finding("circuit.way", { subject: c.id, message: `${c.label} has no way in the board.`, ...give }));
    else if (board && c.way !== null && c.way > ways)
      out.push(
        finding("circuit.way", {
          subject: c.id,
          message: `${c.label} is on way ${c.way}, but the board has ${ways}.`,
          measured: c.way,
          limit: ways,
          sense: "most",
          unit: "ways",
          ...give,
        }),
      );
    else if (c.way !== null && taken.has(place))
      out.push(
        finding("circuit.way", {
          subject: c.id,
          message: `${c.label} and ${taken.get(place)} share way ${c.way}.`,
          ...give,
        }),
      );
    if (c.way !== null) taken.set(place, c.label);
    const sockets = (c.kind === "ring" || c.kind === "radial") && c.device.rating <= 32;
    if ((sockets || c.kind === "lighting") && c.rcd !== 30)
      out.push(
        finding("circuit.rcd", {
          subject: c.id,
          message: `${c.label} ${c.rcd === null ? "has no RCD" : `is behind ${c.rcd} mA`}.`,
          ...(c.rcd === null ? {} : { measured: c.rcd }),
          limit: 30,
          sense: "most",
          unit: "mA",
          remedy: `Put ${c.label} behind a 30 mA RCD`,
          fix: [{ collection: "circuits", id: c.id, set: { rcd: 30 } }],
        }),
      );
    if (c.watts > 0) {
      const outlet = c.points.some((id) =>
        job.points.some((p) => p.id === id && p.kind === "cooker-control" && p.gang === 2),
      );
      const { full, design } = cookerDemand(
        c.watts,
        NOMINAL,
        outlet,
        c.kind === "cooker" ? job.settings.schools.cookerCurrent : "full",
      );
      if (!atMost(design, c.device.rating))
        out.push(
          finding("circuit.device", {
            subject: c.id,
            message: `${c.label} draws ${figure(design, 1)} A${design < full ? ` after diversity, ${figure(full, 1)} A in full` : ""} on a ${c.device.rating} A device.`,
            measured: design,
            limit: c.device.rating,
            sense: "most",
            unit: "A",
            remedy:
              c.kind === "cooker" && design === full
                ? "Take a larger device and cable, or look at diversity among the schools."
                : "Take a larger device and cable, or split the load.",
          }),
        );
    }
    const cable = cableOf(c.cable, catalogue);
    const least = c.kind === "ring" ? 2.5 : c.kind === "lighting" ? 1.0 : null;
    if (cable && least !== null && cable.csa < least)
      out.push(
        finding("circuit.min-csa", {
          subject: c.id,
          message: `${c.label} is wired in ${cable.csa} mm².`,
          measured: cable.csa,
          limit: least,
          sense: "least",
          unit: "mm²",
          remedy: `Use ${least} mm²`,
          fix: [{ collection: "circuits", id: c.id, set: { cable: `te-${least.toFixed(1)}` } }],
        }),
      );
    if (c.kind === "ring" && c.spurs.length > c.points.length)
      out.push(
        finding("circuit.spur", {
          subject: c.id,
          message: `${c.label} has ${c.spurs.length} spurs on ${c.points.length} points.`,
          measured: c.spurs.length,
          limit: c.points.length,
          sense: "most",
          unit: "spurs",
          remedy: "Take some points into the ring.",
        }),
      );
    for (const s of c.spurs)
      if (c.spurs.filter((x) => x.from === s.from).length > 1 && c.spurs.find((x) => x.from === s.from) === s)
        out.push(
          finding("circuit.spur", {
            subject: c.id,
            message: `More than one spur of ${c.label} starts at the same point.`,
            remedy: "Start each spur at a point of its own, or use a fused unit.",
          }),
        );
  }
  return out;
}
