import { heldAs } from "../trades/fixings/clips";
import { toFace } from "../base/wall-frame";
import type { House, PlacedPoint } from "../house/house";
import { roomServed } from "../house/rooms-of";
import { sectionsOf } from "../house/sections";
import { boardOfCircuit } from "../job/boards";
import type { Circuit, Point } from "../job/model";
import { wiredTo } from "../job/wired";
import type { Run } from "../laid/laid";
import type { Cable } from "../rules/cables";
import { type Fact, fact } from "../rules/fact";
import { type Ways, giveWays } from "../trades/board/give-ways";
import {
  type BoardLayout,
  type BoardTails,
  type XY,
  boardLayout,
  boardTails,
  feedTails,
  mainTerminal,
} from "../trades/board/layout";
import { type Seat, seatsFor } from "../trades/board/seats";
import { type ComingCable, asGiven, crossingsIn, tieOrder } from "../trades/board/tie-order";
import { bendRadius } from "../trades/fixings/bends";
import { type EndCable, type WithEnds, endFigures, fromPoint } from "./end-figures";
import { glandFaces } from "./gland-faces";

/** A cable as it comes into a board. Lengths mm. */
export interface BoardCable {
  run: Run;
  circuit: Circuit;
  cable: Cable;
  /** The point at its far end. */
  other: string;
  /** Which end of a ring it is; null for all else. */
  leg: "out" | "back" | null;
  /** True for the cable that feeds this board from another: it goes to the main switch. */
  feed: boolean;
  /** Its way in this board; null where it feeds it, or has none yet. */
  way: number | null;
  /** Where its line goes; null without a way. */
  terminal: XY | null;
  edge: EndCable["end"]["entry"];
  /** Number of its block, in the order the blocks come in. */
  block: number;
  /** Its seat in the slot of its block; null for armour, which comes through a gland. */
  seat: Seat | null;
  /** Where it comes in, from the left top corner of the board. */
  entry: XY;
  /** The side its brown core lies on, as one faces the board; null for round cable. */
  brown: "left" | "right" | null;
  /** Least inner radius of its bends. */
  radius: number;
  /** From the entry to its terminals; null where it has none yet. */
  tails: BoardTails | null;
  /** What is left at the entry, and what of it is spare when made off. */
  has: number;
  spare: number | null;
}
/** A block: cables that come in together. Lengths mm. */
export interface BoardBlock {
  edge: BoardCable["edge"];
  /** The section they come in; null where they come in a drop of their own. */
  section: string | null;
  /** Left or top end of its slot, from the corner of the board, and how long it is. */
  from: number;
  length: number;
  rows: number;
  /** Each seat a notch of its own; else one slot with a strip. */
  notched: boolean;
  /** Seats left over. */
  spare: number;
}
/** Everything to know of a board. */
export interface BoardFigures {
  board: Point;
  layout: BoardLayout;
  circuits: Circuit[];
  blocks: BoardBlock[];
  /** In the order they are tied at the far end, block by block. */
  cables: BoardCable[];
  crossings: number;
  /** Crossings of the order that crosses least. */
  least: number;
  /** Crossings if they are pulled in and tied in the order that the runs are listed. */
  asListed: number;
  /** What the two schools would give. */
  orders: Record<"heaviest" | "by-room", { ways: Ways; crossings: number }>;
  spareWays: number;
}

/** The figures of a board with the cables laid to it; null where the point is no board. */
export function boardFigures(h: House, plan: WithEnds, id: string): BoardFigures | null {
  const placed = h.points[h.pointOfId.get(id) ?? -1];
  if (placed?.point.kind !== "board") return null;
  const board = placed.point;
  const circuits = h.job.circuits.filter((c) => boardOfCircuit(h.job, c)?.id === id);
  const highest = Math.max(board.ways, ...circuits.map((c) => c.way ?? 0));
  const layout = boardLayout(placed.box, highest);
  const ends = endFigures(h, plan, id)!.cables;
  const groups = blocksOf(h, placed, ends);
  const circuitOf = new Map(h.job.circuits.map((c) => [c.id, c]));
  const fed = new Set(circuits.map((c) => c.id));
  /** The main switch stands before way 1. */
  const place = (e: EndCable, way: number | null): number | null => (fed.has(e.run.circuit) ? way : 0);
  const coming = ends.map((e): ComingCable => ({
    id: e.run.id,
    way: place(e, circuitOf.get(e.run.circuit)?.way ?? null),
    block: groups.findIndex((g) => g.ends.includes(e)),
  }));
  const order = asGiven(coming, board.tied);
  const glands = new Map(
    glandFaces(h, plan, id).flatMap((f) => f.holes.map((o) => [o.run ?? "", { edge: f.edge, x: o.x }] as const)),
  );
  const blocks: BoardBlock[] = [];
  const cables: BoardCable[] = [];
  groups.forEach((g, block) => {
    const mine = order.filter((c) => c.block === block).map((c) => g.ends.find((e) => e.run.id === c.id)!);
    const flat = mine.filter((e) => !e.armour);
    const { seats, rows, notched, spare } = seatsFor(
      flat.map((e) => e.cable),
      g.length,
    );
    const from = Math.min(Math.max(0, g.middle - g.length / 2), Math.max(0, g.edgeLength - g.length));
    blocks.push({ edge: g.edge, section: g.section, from, length: g.length, rows, notched, spare });
    for (const e of mine) {
      const seat = e.armour ? null : seats[flat.indexOf(e)]!;
      const gland = glands.get(e.run.id);
      const along = seat ? from + seat.at : (gland?.x ?? g.middle);
      const circuit = circuitOf.get(e.run.circuit)!;
      const entry = entryAt(placed, g.edge, along);
      const feed = !fed.has(circuit.id);
      const way = feed ? null : circuit.way;
      const terminal = feed ? mainTerminal(layout) : way === null ? null : layout.ways[way - 1]!;
      const tails = feed ? feedTails(layout, entry) : way === null ? null : boardTails(layout, way, entry);
      const has = (e.end.measures.fromMiddle ?? 0) + edgeToMiddle(placed, g.edge);
      cables.push({
        run: e.run,
        circuit,
        cable: e.cable,
        other: e.other,
        leg: circuit.kind === "ring" && e.run.id ? (e.run.from === id ? "out" : "back") : null,
        feed,
        way,
        terminal,
        edge: g.edge,
        block,
        seat,
        entry,
        brown: e.armour || !terminal ? null : terminal.x < entry.x ? "left" : "right",
        radius: bendRadius(heldAs(e.cable), e.cable.width, e.cable.thickness).radius,
        tails,
        has,
        spare: tails && has - Math.max(tails.line, tails.neutral, tails.earth),
      });
    }
  });
  const orderFor = (school: "heaviest" | "by-room"): { ways: Ways; crossings: number } => {
    const ways = giveWays(
      circuits.map((c) => ({
        id: c.id,
        label: c.label,
        rating: c.device.rating,
        rooms: roomNumbers(h, c),
        way: c.way,
        fixed: c.state !== "new" && c.way !== null,
      })),
      school,
    );
    const then = coming.map((c, i) => ({ ...c, way: place(ends[i]!, ways.get(ends[i]!.run.circuit) ?? null) }));
    return { ways, crossings: tieOrder(then).crossings };
  };
  return {
    board,
    layout,
    circuits,
    blocks,
    cables,
    crossings: crossingsIn(order),
    least: tieOrder(coming).crossings,
    asListed: crossingsIn([...coming].sort((a, b) => a.block - b.block)),
    orders: { heaviest: orderFor("heaviest"), "by-room": orderFor("by-room") },
    spareWays: board.ways - new Set(circuits.flatMap((c) => c.way ?? [])).size,
  };
}

interface Group {
  edge: BoardCable["edge"];
  section: string | null;
  /** Middle of it along the edge, and its length there, mm. */
  middle: number;
  length: number;
  edgeLength: number;
  ends: EndCable[];
}

/** Where the edges stand when one goes along the board from the main switch: the left side first, the right last. */
const EDGE_ORDER: Record<BoardCable["edge"], number> = { left: 0, top: 1, behind: 1, bottom: 1, right: 2 };

/** Cables by the section or the drop that they come in, in the order that these stand along the board. */
function blocksOf(h: House, placed: PlacedPoint, ends: readonly EndCable[]): Group[] {
  const frame = h.faces[placed.face]?.frame;
  const { place } = placed.point;
  // On a deck everything comes in behind its middle.
  const { u, v } = place.on === "wall" ? place : { u: 0, v: 0 };
  const sections = new Map(sectionsOf(h).map((s) => [s.section.id, s]));
  const groups = new Map<string, Group>();
  for (const e of ends) {
    const edge = e.end.entry;
    const side = edge === "left" || edge === "right";
    const edgeLength = side ? placed.box.height : placed.box.width;
    const near = e.run.from === placed.point.id ? e.run.legs : [...e.run.legs].reverse();
    const section = near.slice(0, 2).find((l) => l.section !== undefined)?.section ?? null;
    // Where it turns first, or where it lies when it is of no length.
    const [here, first = here] = fromPoint(e.run, placed.point.id);
    const at = frame ? toFace(frame, first!) : { u, v };
    const middle = side ? v + placed.box.height / 2 - at.v : at.u - (u - placed.box.width / 2);
    const key = `${edge} ${section ?? Math.round(middle)}`;
    const inside = section === null ? undefined : sections.get(section)?.size.inside;
    const length = Math.min(edgeLength, inside && "width" in inside ? inside.width : edgeLength);
    const g = groups.get(key);
    if (g) g.ends.push(e);
    else groups.set(key, { edge, section, middle, length, edgeLength, ends: [e] });
  }
  return [...groups.values()].sort((a, b) => EDGE_ORDER[a.edge] - EDGE_ORDER[b.edge] || a.middle - b.middle);
}

const edgeToMiddle = (p: PlacedPoint, edge: BoardCable["edge"]): number =>
  edge === "behind" ? 0 : (edge === "left" || edge === "right" ? p.box.width : p.box.height) / 2;

function entryAt({ box }: PlacedPoint, edge: BoardCable["edge"], along: number): XY {
  switch (edge) {
    case "left":
      return { x: 0, y: along };
    case "right":
      return { x: box.width, y: along };
    case "bottom":
      return { x: along, y: box.height };
    default:
      return { x: along, y: edge === "behind" ? box.height / 2 : 0 };
  }
}

/** Numbers of the rooms a circuit serves, as one walks the house: storey by storey, in the order they were surveyed. */
function roomNumbers(h: House, c: Circuit): number[] {
  const level = new Map(h.job.storeys.map((s) => [s.id, s.level]));
  const walk = h.job.rooms
    .map((r, i) => ({ id: r.id, i, level: level.get(r.storey) ?? 0 }))
    .sort((a, b) => a.level - b.level || a.i - b.i)
    .map((r) => r.id);
  const served = wiredTo(c).flatMap((p) => roomServed(h, p) ?? []);
  return [...new Set(served.map((r) => walk.indexOf(r)))].filter((n) => n >= 0).sort((a, b) => a - b);
}

/** Ways to keep for what comes next. Trade habit. */
export const SPARE_WAYS = 1;

/** What is wrong at the boards of a plan. */
export function boardFacts(h: House, plan: WithEnds): Fact[] {
  const out: Fact[] = [];
  for (const { point } of h.points) {
    const f = point.kind === "board" ? boardFigures(h, plan, point.id) : null;
    if (!f) continue;
    if (f.crossings > f.least)
      out.push(
        fact("board.crossing", "point", point.id, {
          measured: f.crossings,
          limit: f.least,
          sense: "most",
          unit: "crossings",
          fix: [{ collection: "points", id: point.id, set: { tied: [] } }],
        }),
      );
    for (const c of f.cables)
      if (c.tails && c.spare !== null && c.spare < 0)
        out.push(
          fact("board.tail", "run", c.run.id, {
            measured: c.has,
            limit: c.has - c.spare,
            sense: "least",
            unit: "mm",
            of: { board: point.id },
          }),
        );
    if (!point.existing && f.circuits.length && f.spareWays < SPARE_WAYS)
      out.push(
        fact("board.spare", "point", point.id, {
          measured: Math.max(0, f.spareWays),
          limit: SPARE_WAYS,
          sense: "least",
          unit: "ways",
        }),
      );
  }
  return out;
}
