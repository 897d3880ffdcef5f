import { mainsOf } from "../../job/mains";
import { boardOfCircuit } from "../../job/boards";
import { atMost } from "../../base/tolerance";
import { type Catalogue, cableOf, standardCatalogue } from "../../rules/catalogue";
import { accessories, isSocket } from "../../rules/accessories";
import { circuitLoad } from "./load";
import { asWired, behindFuse, pointsById, wiredTo } from "../../job/wired";
import { needsRcd } from "./needs-rcd";
import { type Fact, fact } from "../../rules/fact";
import type { Job, Point } from "../../job/model";

/** What is wrong with a circuit as described: its way, its RCD, its conductor, its spurs. */
export function circuitFacts(job: Job, catalogue: Catalogue = standardCatalogue): Fact[] {
  const out: Fact[] = [];
  const pointOf = pointsById(job.points);
  // Ways are counted board by board.
  const taken = new Map<string, string>();
  const freeWay = (board: Point | undefined): number | null => {
    for (let w = 1; w <= (board?.ways ?? 0); w++)
      if (!job.circuits.some((c) => c.way === w && boardOfCircuit(job, c)?.id === board?.id)) return w;
    return null;
  };
  for (const listed of mainsOf(job).sort((a, b) => (a.label < b.label ? -1 : 1))) {
    const c = asWired(listed, job.points);
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
    const own = wiredTo(c).flatMap((id) => pointOf.get(id) ?? []);
    const sockets =
      ((c.kind === "ring" || c.kind === "radial") && c.device.rating <= 32) ||
      own.some((p) => isSocket(p.kind) || (p.kind === "cooker-control" && p.gang === 2));
    const shower = c.kind === "shower" || own.some((p) => p.kind === "shower-pull-cord");
    const wants = sockets || c.kind === "lighting" || shower || own.some((p) => p.kind === "charging-point");
    if (wants) out.push(...needsRcd("circuit.rcd", job, c));
    const { amps, full, from } = circuitLoad(job, c);
    if (!atMost(amps, c.device.rating))
      out.push(
        fact("circuit.device", "circuit", c.id, {
          measured: amps,
          limit: c.device.rating,
          sense: "most",
          unit: "A",
          of: { full, cooker: c.kind === "cooker" ? 1 : 0, named: 1, from },
        }),
      );
    for (const p of own) {
      const { own: alone } = accessories[p.kind];
      const others = own.filter(
        (q) => q !== p && accessories[q.kind].use !== "control" && accessories[q.kind].use !== "joint",
      );
      if (alone && others.length)
        out.push(
          fact("circuit.own", "point", p.id, {
            severity: alone,
            of: { circuit: c.id, others: others.map((q) => q.id) },
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
    // A ring of one point is two cables side by side to the same place.
    const fewest = c.kind === "ring" ? 2 : 1;
    if (c.state === "new" && c.points.length < fewest)
      out.push(
        fact("circuit.empty", "circuit", c.id, {
          case: c.points.length ? "ring" : "none",
          measured: c.points.length,
          limit: fewest,
          sense: "least",
          unit: "points",
        }),
      );
    if (c.kind === "ring") {
      const behind = behindFuse(c, (id) => pointOf.get(id)?.kind);
      const direct = c.spurs.filter((s) => !behind.has(s.point));
      const unfused = direct.filter((s) => pointOf.get(s.point)?.kind !== "fused-unit");
      if (unfused.length > c.points.length)
        out.push(
          fact("circuit.spur", "circuit", c.id, {
            case: "count",
            measured: unfused.length,
            limit: c.points.length,
            sense: "most",
            unit: "spurs",
          }),
        );
      for (const s of direct)
        if (direct.filter((x) => x.from === s.from).length > 1 && direct.find((x) => x.from === s.from) === s)
          out.push(fact("circuit.spur", "circuit", c.id, { case: "same-point", of: { from: s.from } }));
    }
  }
  return out;
}
