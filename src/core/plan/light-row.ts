import type { XY } from "../base/polygon";
import type { House } from "../house/house";
import { placeAlong } from "../house/outside";
import type { LightRow, Post } from "../job/model";
import { wiredTo } from "../job/wired";
import { type Cable, isMetalClad } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { type Fact, fact } from "../rules/fact";
import { fuseLoopLimit } from "../rules/ratings";
import { NOMINAL } from "../rules/supply";
import { WARM, loopResistance, voltDrop } from "../trades/circuits/check-circuit";
import type { LaidCircuit } from "../trades/circuits/laid-circuit";
import { RISE, fallOf } from "../trades/outside/fall";
import { pathLights } from "../trades/outside/path-lights";

/** How far beside its place on the path a post may stand for a light to be set on it, mm. */
const POST_REACH = 600;
/** Left hanging below an entry so that water drips off, mm of cable. Trade habit. */
export const DRIP_LOOP = 150;
/** Left at each end of a length for its terminals, mm. */
const TAIL = 150;
/** Conduit over a path is clear of heads, mm. Trade habit. */
export const CLEAR_OF_HEADS = 2100;
/**
 * Volt drop from the origin, %: of a lighting circuit, and of any other that feeds lights. Source: BS
 * 7671:2018+A2:2022 525, Appendix 4.
 */
const DROP_MOST = { lighting: 3, other: 5 } as const;
/** Gaps differ from even by so much at most before the eye sees it. */
const UNEVEN = 0.1;
/** Supply, neutral and what a sensor lets through. */
const THROUGH_SENSOR = 3;

/** A light of the row: where along the path, on which side, and on which post if any. */
export interface RowLight {
  n: number;
  at: number;
  side: 1 | 2;
  place: XY;
  post: Post | null;
}
/** A length of cable of the row. */
export interface RowLeg {
  from: string;
  to: string;
  /** As it is cut, mm. */
  length: number;
  /** Live cores it must have, the protective conductor aside. */
  live: number;
  /** Current in it, A. */
  amps: number;
}
/** A row of lights with all its figures. */
export interface LightRowFigures {
  row: LightRow;
  cable: Cable | null;
  /** mm along the path. */
  length: number;
  lights: RowLight[];
  /** Trench to dig, mm: along the path, and from the wall to it; 0 along an arbour. */
  dug: number;
  /** Even gap, and the gaps there are, mm along the path. */
  gap: number;
  gaps: number[];
  legs: RowLeg[];
  /** Down from the beam to each light of an arbour, mm; 0 in the ground. */
  drop: number;
  /** All cable with what is left at its ends, mm. */
  total: number;
  /** Ways a junction box needs: in, out, to the light, and those kept free. */
  boxWays: number;
  boxes: number;
  /** Conduit along an arbour, mm, with its bends. */
  conduit: { length: number; bends: number } | null;
  /** The hole at each light, sloped so that water stays out: through what, its angle and length. */
  hole: { through: number; rise: number; angle: number; bore: number };
  amps: number;
  /** Of the row alone, V; and with what the circuit drops before it, %; null where that is not known. */
  volts: number;
  percent: number | null;
  /** Most that it may be, by the kind of its circuit. */
  percentMost: number;
  /** Loop at the last light, Ω hot, and what opens the protection in time; null where the feed is not judged. */
  zs: number | null;
  most: number | null;
  circuit: string | null;
}

const lengthOf = (line: readonly XY[]): number =>
  line.slice(1).reduce((s, p, i) => s + Math.hypot(p.x - line[i]!.x, p.y - line[i]!.y), 0);

/** Beside the path on one of its sides: to the left of who walks from the fed end is side 1. */
function beside(line: readonly XY[], at: number, off: number): XY {
  const p = placeAlong(line, at);
  const [a, b] = [placeAlong(line, Math.max(0, at - 1)), placeAlong(line, Math.min(lengthOf(line), at + 1))];
  const far = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: p.x - ((b.y - a.y) / far) * off, y: p.y + ((b.x - a.x) / far) * off };
}

/** Where along a line a place lies, and how far beside it: left is positive. */
function projected(line: readonly XY[], p: XY): { at: number; off: number } {
  let best = { at: 0, off: Infinity };
  let before = 0;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const far = Math.hypot(b.x - a.x, b.y - a.y);
    if (far <= 0) continue;
    const t = Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / far ** 2));
    const off = Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
    const left = (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) >= 0;
    if (off < Math.abs(best.off)) best = { at: before + t * far, off: left ? off : -off };
    before += far;
  }
  return best;
}

/** Sets lights on the posts nearest to their places, each post once. */
function onPosts(row: LightRow, lights: RowLight[], gap: number, posts: readonly Post[]): void {
  const half = row.width / 2;
  const near = posts
    .filter((p) => p.room === row.room)
    .map((post) => ({ post, ...projected(row.path, post) }))
    .filter((p) => Math.abs(p.off) <= half + POST_REACH);
  const pairs = lights
    .flatMap((l) =>
      near
        .filter((p) => row.sides === 1 || (p.off >= 0 ? 1 : 2) === l.side)
        .map((p) => ({ l, p, far: Math.abs(p.at - l.at) })),
    )
    .filter((x) => x.far <= Math.max(gap / 2, 1))
    .sort((a, b) => a.far - b.far || a.l.n - b.l.n);
  const [taken, set] = [new Set<string>(), new Set<number>()];
  for (const { l, p } of pairs) {
    if (taken.has(p.post.id) || set.has(l.n)) continue;
    taken.add(p.post.id);
    set.add(l.n);
    Object.assign(l, { at: p.at, place: { x: p.post.x, y: p.post.y }, post: p.post });
  }
}

/** Live cores on the feed and along the row: a sensor at the far end needs the supply out and what it lets through back. */
const liveCores = (row: Pick<LightRow, "sensor" | "override">, feed: boolean): number =>
  row.sensor === "far" || (feed && row.sensor === "near" && row.override) ? THROUGH_SENSOR : 2;

/** Works a row out. `laid` are the circuits as laid, for what comes before it. */
export function lightRowFigures(h: House, row: LightRow, laid: readonly LaidCircuit[] = []): LightRowFigures {
  const from = row.from === null ? undefined : h.points[h.pointOfId.get(row.from) ?? -1];
  const cable = cableOf(row.cable, h.catalogue) ?? null;
  const length = lengthOf(row.path);
  const end = Math.min(row.end, length / 2);
  const { positions, gap } = pathLights(length, row.count, end, row.sides);
  const off = row.width / 2;
  const lights = positions.map(({ at, side }, i): RowLight => ({
    n: i + 1,
    at,
    side,
    place: beside(row.path, at, side === 1 ? off : -off),
    post: null,
  }));
  if (row.onPosts) onPosts(row, lights, gap, h.job.posts);
  lights.sort((a, b) => a.at - b.at || a.n - b.n).forEach((l, i) => (l.n = i + 1));
  const gaps = lights.slice(1).map((l, i) => l.at - lights[i]!.at);
  const ground = row.carried === "ground";
  const amps = (row.count * row.watts) / NOMINAL;
  // In the ground it comes up to each light and goes down again; along an arbour each light hangs on a drop from a box on the beam.
  const upright = ground ? row.line + row.height : 0;
  const drop = ground ? 0 : Math.abs(row.line - row.height) + DRIP_LOOP;
  const ends = 2 * TAIL + (ground ? 2 * DRIP_LOOP : 0);
  // Fed from nothing yet, it is measured from the end of the path.
  const [x, y, z] = from?.space ?? [row.path[0]!.x, row.path[0]!.y, 0];
  const floor = h.faces[from?.face ?? -1]?.floor ?? 0;
  const first = lights[0]!;
  const toFirst =
    Math.hypot(first.place.x - x, first.place.y - y) +
    Math.abs(z - floor - (ground ? -row.line : row.line)) +
    upright +
    ends;
  const legs: RowLeg[] = lights.map((l, i) => {
    const before = lights[i - 1];
    return {
      from: before ? `${row.label}.${before.n}` : (from?.point.label ?? "?"),
      to: `${row.label}.${l.n}`,
      length: before
        ? Math.hypot(l.place.x - before.place.x, l.place.y - before.place.y) + 2 * upright + ends
        : toFirst,
      live: liveCores(row, i === 0),
      amps: ((row.count - i) * row.watts) / NOMINAL,
    };
  });
  const main = legs.reduce((s, l) => s + l.length, 0);
  const perMetre = cable ? (voltDrop(cable) ?? 0) : 0;
  const volts = legs.reduce((s, l) => s + (perMetre * l.amps * l.length) / 1e6, 0);
  const circuit = h.job.circuits.find((c) => row.from !== null && wiredTo(c).includes(row.from))?.id ?? null;
  const feed = laid.find((c) => c.circuit.id === circuit)?.places.find((p) => p.point === row.from);
  const ohms = cable ? (loopResistance(cable) ?? 0) : 0;
  // Behind a fused unit its fuse may open before the device does.
  const unit = from?.point.kind === "fused-unit" ? from.point : null;
  const behind =
    feed && unit && feed.most !== null ? Math.max(feed.most, fuseLoopLimit(unit.fuse)) : (feed?.most ?? null);
  const through = lights.find((l) => l.post)?.post?.breadth ?? 100;
  return {
    row,
    cable,
    length,
    lights,
    dug: ground ? length + Math.hypot(row.path[0]!.x - x, row.path[0]!.y - y) : 0,
    gap,
    gaps,
    legs,
    drop,
    total: main + row.count * drop,
    boxWays: (ground ? 2 : 3) + row.spare,
    boxes: ground ? 0 : row.count,
    conduit: ground
      ? null
      : {
          length: legs.slice(1).reduce((s, l) => s + l.length - ends, 0) + row.count * Math.abs(row.line - row.height),
          bends: row.count + 2 * lights.slice(1).filter((l, i) => l.side !== lights[i]!.side).length,
        },
    hole: { through, rise: RISE, ...fallOf(through, RISE) },
    amps,
    volts,
    percent: feed ? feed.drop.percent + (100 * volts) / NOMINAL : null,
    percentMost:
      h.job.circuits.find((c) => c.id === circuit)?.kind === "lighting" ? DROP_MOST.lighting : DROP_MOST.other,
    zs: feed ? feed.zs + (ohms * main * WARM) / 1000 : null,
    most: behind,
    circuit,
  };
}

/** What is wrong with a row of lights. */
export function lightRowFacts(f: LightRowFigures): Fact[] {
  const { row, cable } = f;
  const out: Fact[] = [];
  const of = { label: row.label };
  const told = (rule: Parameters<typeof fact>[0], rest: Parameters<typeof fact>[3]): void =>
    void out.push(fact(rule, "row", row.id, { ...rest, of: { ...of, ...rest?.of } }));
  if (f.gaps.some((g) => Math.abs(g - f.gap) > UNEVEN * f.gap))
    told("lights.gap", { limit: f.gap, of: { from: Math.min(...f.gaps), to: Math.max(...f.gaps) }, unit: "mm" });
  if (!cable) return out;
  const armour = isMetalClad(cable);
  if (!armour && row.carried === "ground") told("lights.cable", { case: "ground", of: { cable: cable.id } });
  if (!armour && row.carried === "arbour" && row.height < row.line - 1 && cable.id.startsWith("te"))
    told("lights.cable", { case: "sun", of: { cable: cable.id } });
  if (row.carried === "arbour" && row.line < CLEAR_OF_HEADS)
    told("lights.conduit", { measured: row.line, limit: CLEAR_OF_HEADS, sense: "least", unit: "mm" });
  const need = Math.max(...f.legs.map((l) => l.live));
  // Armour is the earth, so that all cores are live; flat cable has its protective conductor beside them.
  if (cable.cores < need)
    told("lights.cores", {
      measured: cable.cores,
      limit: need,
      sense: "least",
      unit: "cores",
      of: { cable: cable.id },
    });
  if (f.circuit === null) told("lights.fed", row.from === null ? { case: "nothing" } : { of: { point: row.from } });
  if (f.percent !== null && f.percent > f.percentMost + 1e-9)
    told("lights.drop", {
      measured: f.percent,
      limit: f.percentMost,
      sense: "most",
      unit: "%",
      of: { volts: f.volts },
    });
  if (f.zs !== null && f.most !== null && f.zs > f.most + 1e-9)
    told("lights.loop", { measured: f.zs, limit: f.most, sense: "most", unit: "Ω" });
  return out;
}

/** All rows of a job with their figures. */
export const lightRows = (h: House, laid: readonly LaidCircuit[]): LightRowFigures[] =>
  h.job.lightRows.map((r) => lightRowFigures(h, r, laid));
