import { type Fact, fact } from "../../rules/fact";

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
export function checkSpurs(points: readonly SpurPoint[], source: SpurSource): Fact[] {
  const out: Fact[] = [];
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
    for (const p of points) if (p.outlets > 0) out.push(fact("circuit.spur.source", "point", p.id, { of: { source } }));
  for (const p of unfused) {
    if (p.outlets > 2)
      out.push(
        fact("circuit.spur", "point", p.id, {
          case: "outlets",
          measured: p.outlets,
          limit: 2,
          sense: "most",
          unit: "outlets",
        }),
      );
    const from = p.from === undefined ? undefined : byId.get(p.from);
    if (from?.on === "spur")
      out.push(fact("circuit.spur", "point", p.id, { case: "spur-of-spur", of: { from: from.id } }));
  }
  for (const p of spurs) {
    const from = p.from === undefined ? undefined : byId.get(p.from);
    if (p.on === "fused-spur" && from?.on === "spur" && !behindFuse(from))
      out.push(fact("circuit.spur", "point", p.id, { case: "spur-of-spur", of: { from: from.id } }));
  }
  const at = new Map<string, string[]>();
  for (const p of unfused)
    if (p.from !== undefined && byId.get(p.from)?.on !== "spur") at.set(p.from, [...(at.get(p.from) ?? []), p.id]);
  for (const [from, ids] of at)
    if (ids.length > 1)
      out.push(
        fact("circuit.spur", "point", from, {
          case: "several",
          measured: ids.length,
          limit: 1,
          sense: "most",
          unit: "spurs",
          of: { spurs: ids },
        }),
      );
  const onRing = points.filter((p) => p.on === "ring").length;
  const direct = spurs.filter((p) => p.on === "spur" && !behindFuse(p)).length;
  if (source === "ring" && direct > onRing)
    out.push(
      fact("circuit.spur", "input", "ring", {
        case: "count",
        measured: direct,
        limit: onRing,
        sense: "most",
        unit: "spurs",
      }),
    );
  return out;
}
