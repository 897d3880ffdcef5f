import { boardOfCircuit } from "../../job/boards";
import { NOMINAL } from "../../rules/supply";
import { atMost } from "../../base/tolerance";
import { type Catalogue, cableOf, standardCatalogue } from "../../rules/catalogue";
import { cookerDemand } from "./cooker";
import { wiredTo } from "../../job/wired";
import { needsRcd } from "./needs-rcd";
import { type Fact, fact } from "../../rules/fact";
import type { Job, Point } from "../../job/model";

/** What is wrong with a circuit as described: its way, its RCD, its conductor, its spurs. */
export function circuitFacts(job: Job, catalogue: Catalogue = standardCatalogue): Fact[] {
  const out: Fact[] = [];
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
    const give: Pick<Fact, "of" | "fix"> =
      free === null
        ? { of: {} }
        : { of: { free }, fix: [{ collection: "circuits" as const, id: c.id, set: { way: free } }] };
    if (board && c.way === null) out.push(fact("circuit.way", "circuit", c.id, { case: "none", ...give }));
    else if (board && c.way !== null && c.way > ways)
      out.push(
        fact("circuit.way", "circuit", c.id, {
          case: "beyond",
          measured: c.way,
          limit: ways,
          sense: "most",
          unit: "ways",
          ...give,
        }),
      );
    else if (c.way !== null && taken.has(place))
      out.push(
        fact("circuit.way", "circuit", c.id, {
          case: "shared",
          ...give,
          of: { ...give.of, other: taken.get(place)!, way: c.way },
        }),
      );
    if (c.way !== null) taken.set(place, c.id);
    const has = (kind: Point["kind"], gang?: number): boolean =>
      job.points.some((p) => p.kind === kind && (gang === undefined || p.gang === gang) && wiredTo(c).includes(p.id));
    const sockets =
      ((c.kind === "ring" || c.kind === "radial") && c.device.rating <= 32) ||
      has("socket") ||
      has("cooker-control", 2);
    const wants = sockets || c.kind === "lighting" || c.kind === "shower";
    if (wants) out.push(...needsRcd("circuit.rcd", job, c));
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
          fact("circuit.device", "circuit", c.id, {
            measured: design,
            limit: c.device.rating,
            sense: "most",
            unit: "A",
            of: { full, cooker: c.kind === "cooker" ? 1 : 0, named: 1 },
          }),
        );
    }
    const cable = cableOf(c.cable, catalogue);
    const least = c.kind === "ring" ? 2.5 : c.kind === "lighting" ? 1.0 : null;
    if (cable && least !== null && cable.csa < least)
      out.push(
        fact("circuit.min-csa", "circuit", c.id, {
          measured: cable.csa,
          limit: least,
          sense: "least",
          unit: "mm²",
          fix: [{ collection: "circuits", id: c.id, set: { cable: `te-${least.toFixed(1)}` } }],
        }),
      );
    if (c.kind === "ring" && c.spurs.length > c.points.length)
      out.push(
        fact("circuit.spur", "circuit", c.id, {
          case: "count",
          measured: c.spurs.length,
          limit: c.points.length,
          sense: "most",
          unit: "spurs",
        }),
      );
    for (const s of c.kind === "ring" ? c.spurs : [])
      if (c.spurs.filter((x) => x.from === s.from).length > 1 && c.spurs.find((x) => x.from === s.from) === s)
        out.push(fact("circuit.spur", "circuit", c.id, { case: "same-point", of: { from: s.from } }));
  }
  return out;
}
