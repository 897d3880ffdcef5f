import { type Finding, finding } from "../rules/findings";

export interface SpurPoint {
  id: string;
  on: "ring" | "radial" | "spur" | "fused-spur";
  /** Point it is taken from; the board when left out. */
  from?: string | undefined;
  /** Outlets at the point: 1 single, 2 twin. */
  outlets: number;
}
export type SpurSource = "ring" | "radial" | "lighting" | "cooker" | "shower";

/**
 * Judges the spurs of a circuit: one single or twin per unfused spur, no spur from a spur, no more spurs than points on the
 * ring, none from lighting, cooker or shower circuits; several only behind a fused unit. Source: on-site practice, Appendix 15.
 */
export function checkSpurs(points: readonly SpurPoint[], source: SpurSource): Finding[] {
  const out: Finding[] = [];
  const byId = new Map(points.map((p) => [p.id, p]));
  /** True when somewhere up the line there is a fused unit. */
  const behindFuse = (p: SpurPoint): boolean => {
    const seen = new Set<string>();
    for (
      let q: SpurPoint | undefined = p;
      q && !seen.has(q.id);
      q = q.from === undefined ? undefined : byId.get(q.from)
    ) {
      if (q.on === "fused-spur") return true;
      seen.add(q.id);
    }
    return false;
  };
  const spurs = points.filter((p) => p.on === "spur" || p.on === "fused-spur");
  const unfused = points.filter((p) => p.on === "spur" && !behindFuse(p));
  if (source === "lighting" || source === "cooker" || source === "shower")
    for (const p of points)
      if (p.outlets > 0)
        out.push(
          finding("circuit.spur.source", {
            subject: p.id,
            message: `${p.id} takes a socket outlet from a ${source} circuit.`,
            remedy: "Take it from a socket circuit.",
          }),
        );
  for (const p of unfused) {
    if (p.outlets > 2)
      out.push(
        finding("circuit.spur", {
          subject: p.id,
          message: `${p.id} has ${p.outlets} outlets on one unfused spur.`,
          measured: p.outlets,
          limit: 2,
          sense: "most",
          unit: "outlets",
          remedy: "Put a fused unit before them, or take them into the ring.",
        }),
      );
    const from = p.from === undefined ? undefined : byId.get(p.from);
    if (from?.on === "spur")
      out.push(
        finding("circuit.spur", {
          subject: p.id,
          message: `${p.id} is a spur from the spur ${from.id}.`,
          remedy: "Take it from a point on the ring, or put a fused unit at the start of the spur.",
        }),
      );
  }
  const at = new Map<string, string[]>();
  for (const p of unfused)
    if (p.from !== undefined && byId.get(p.from)?.on !== "spur") at.set(p.from, [...(at.get(p.from) ?? []), p.id]);
  for (const [from, ids] of at)
    if (ids.length > 1)
      out.push(
        finding("circuit.spur", {
          subject: from,
          message: `${ids.join(" and ")} are all taken from ${from} without a fuse.`,
          measured: ids.length,
          limit: 1,
          sense: "most",
          unit: "spurs",
          remedy: "Start each spur at a point of its own, or use a fused unit.",
        }),
      );
  const onRing = points.filter((p) => p.on === "ring").length;
  const direct = spurs.filter((p) => p.on === "spur" && !behindFuse(p)).length;
  if (source === "ring" && direct > onRing)
    out.push(
      finding("circuit.spur", {
        subject: "ring",
        message: `${direct} unfused spurs on ${onRing} points of the ring.`,
        measured: direct,
        limit: onRing,
        sense: "most",
        unit: "spurs",
        remedy: "Take some of them into the ring.",
      }),
    );
  return out;
}
