import DxfParser from "dxf-parser";
import { type XY, bounds, selfCrossing, signedArea } from "../base/polygon";
import type { Refusal } from "../job/patch";
import { mm } from "../base/figures";

/** Largest drawing file read, characters, and most stretches taken from it. */
export const DXF_MOST = 20_000_000;
const STRETCHES_MOST = 50_000;
/** Ends of lines nearer than this belong together, mm after scaling. */
const JOIN = 5;
/** Smallest outline that can be a room, mm²: half a square metre. */
const ROOM_LEAST = 500_000;

/** Lines of one layer of a drawing, in the drawing's own units. */
export interface DxfLayer {
  name: string;
  /** Closed outlines and open lines, corners in drawing units. */
  closed: XY[][];
  open: XY[][];
}
export interface DxfPlan {
  layers: DxfLayer[];
  /** Millimetres in a drawing unit as the file says, or null when it does not. */
  unit: number | null;
  unitName: string;
  /** What was not read, in words. */
  left: string[];
}

/** Units of the file's header number that a plan may be drawn in, mm. */
const units: Record<number, [name: string, mm: number]> = {
  1: ["inches", 25.4],
  2: ["feet", 304.8],
  4: ["millimetres", 1],
  5: ["centimetres", 10],
  6: ["metres", 1000],
  14: ["decimetres", 100],
};

interface Entity {
  type: string;
  layer?: string;
  vertices?: { x: number; y: number; bulge?: number }[];
  shape?: boolean;
  startPoint?: { x: number; y: number };
  endPoint?: { x: number; y: number };
}

/**
 * Reads the lines and polylines of a DXF file by layer. Arcs, text, blocks and the like are counted and left out.
 * @returns the plan, or why the file cannot be taken; nothing is guessed
 */
export function readDxf(text: string): { plan: DxfPlan } | { refusals: Refusal[] } {
  const refuse = (message: string): { refusals: Refusal[] } => ({ refusals: [{ path: "drawing", message }] });
  if (text.length > DXF_MOST) return refuse(`the drawing has ${text.length} characters; at most ${DXF_MOST} are read`);
  if (text.startsWith("AutoCAD Binary DXF")) return refuse("the drawing is a binary DXF; save it as an ASCII DXF");
  if (!/^\s*0\s*\r?\n\s*SECTION/m.test(text.slice(0, 4000)))
    return refuse("the file is not a DXF drawing: it does not start with a section");
  const skipped = new Map<string, number>();
  const lean = linesOnly(text, skipped);
  if ("message" in lean) return refuse(lean.message);
  let file: { entities?: unknown[]; header?: Record<string, unknown> } | null;
  try {
    file = new DxfParser().parseSync(lean.text) as unknown as typeof file;
  } catch (e) {
    return refuse(`the drawing cannot be read: ${(e as Error).message.slice(0, 120)}`);
  }
  if (!file || !Array.isArray(file.entities))
    return refuse("the drawing ends before its lines begin; it may be cut short");
  const layers = new Map<string, DxfLayer>();
  let count = 0;
  for (const raw of file.entities as Entity[]) {
    const points = (raw.vertices ?? []).map((p) => ({ x: p.x, y: p.y }));
    const usable =
      (raw.type === "LINE" && points.length >= 2) ||
      ((raw.type === "LWPOLYLINE" || raw.type === "POLYLINE") && points.length >= 2);
    if (!usable) {
      skipped.set(raw.type, (skipped.get(raw.type) ?? 0) + 1);
      continue;
    }
    if (points.some((p) => !Number.isFinite(p.x) || !Number.isFinite(p.y)))
      return refuse(`a ${raw.type.toLowerCase()} on layer ${raw.layer ?? "0"} has a corner without a number`);
    count += points.length;
    if (count > STRETCHES_MOST)
      return refuse(`the drawing has more than ${STRETCHES_MOST} stretches; leave out what is no wall`);
    if ((raw.vertices ?? []).some((p) => p.bulge))
      skipped.set("curved stretch drawn straight", (skipped.get("curved stretch drawn straight") ?? 0) + 1);
    const layer = layers.get(raw.layer ?? "0") ?? { name: raw.layer ?? "0", closed: [], open: [] };
    layers.set(layer.name, layer);
    const [first, last] = [points[0]!, points[points.length - 1]!];
    if (raw.shape && points.length > 2) layer.closed.push(points);
    else if (points.length > 3 && first.x === last.x && first.y === last.y) layer.closed.push(points.slice(0, -1));
    else layer.open.push(points);
  }
  if (!layers.size)
    return refuse(
      `the drawing has no lines or polylines${skipped.size ? `, only ${[...skipped].map(([k, n]) => `${n} ${k.toLowerCase()}`).join(", ")}` : ""}`,
    );
  const code = Number(file.header?.$INSUNITS);
  const unit = units[code];
  return {
    plan: {
      layers: [...layers.values()].sort((a, b) => (a.name < b.name ? -1 : 1)),
      unit: unit?.[1] ?? null,
      unitName: unit?.[0] ?? "not said",
      left: [...skipped].map(([k, n]) => `${n} × ${k.toLowerCase()}`),
    },
  };
}

/** Kinds of entity a plan is read from, and how the one that spans several ends. */
const read = new Set(["LINE", "LWPOLYLINE"]);

/**
 * The drawing with nothing in it but its unit, its lines and its polylines, every section and polyline closed: what is cut short or
 * unbalanced is refused here, before anything is made of it. Other entities are counted in `skipped`.
 */
function linesOnly(text: string, skipped: Map<string, number>): { text: string } | { message: string } {
  const lines = text.split(/\r\n|\r|\n/);
  while (lines.length && lines[lines.length - 1]!.trim() === "") lines.pop();
  if (lines.length % 2) return { message: "the drawing ends in the middle of a value; it may be cut short" };
  const out: string[] = [];
  let section = "";
  let keep = false;
  let inPolyline = false;
  let unit = "";
  let ended = false;
  let entity: Raw | null = null;
  let kept = 0;
  for (let i = 0; i < lines.length; i += 2) {
    const code = lines[i]!.trim();
    const value = lines[i + 1]!.trim();
    if (!/^-?\d{1,4}$/.test(code))
      return { message: `line ${i + 1} is “${code.slice(0, 20)}”; a group code, a whole number, is wanted there` };
    if (ended) break;
    if (code === "0") {
      if (value === "SECTION") {
        if (section) return { message: `the section ${section} is not closed before the next begins` };
        section = lines[i + 2]?.trim() === "2" ? lines[i + 3]!.trim() : "";
        if (!section) return { message: `the section at line ${i + 1} has no name` };
        continue;
      }
      if (value === "ENDSEC") {
        if (inPolyline) return { message: "a polyline is not closed; the drawing may be cut short" };
        section = "";
        keep = false;
        continue;
      }
      if (value === "EOF") {
        ended = true;
        continue;
      }
      if (section !== "ENTITIES") continue;
      if (value === "POLYLINE") inPolyline = true;
      keep = inPolyline ? ["POLYLINE", "VERTEX", "SEQEND"].includes(value) : read.has(value);
      if (value === "SEQEND") inPolyline = false;
      else if (!keep && !inPolyline) skipped.set(value, (skipped.get(value) ?? 0) + 1);
    }
    if (section === "HEADER" && code === "9" && value === "$INSUNITS" && lines[i + 2]?.trim() === "70")
      unit = lines[i + 3]!.trim();
    if (section !== "ENTITIES" || !keep) continue;
    if (code === "0") {
      const told = closeEntity(entity, out);
      if (told) return { message: told };
      entity = { type: value, groups: [] };
    } else entity?.groups.push([code, value]);
    if (++kept > KEPT_MOST)
      return { message: `the drawing has more than ${STRETCHES_MOST} stretches; leave out what is no wall` };
  }
  if (section) return { message: `the section ${section} is not closed; the drawing may be cut short` };
  if (!ended) return { message: "the drawing does not end as a DXF does; it may be cut short" };
  const told = closeEntity(entity, out);
  if (told) return { message: told };
  const head = /^\d+$/.test(unit) ? ["0", "SECTION", "2", "HEADER", "9", "$INSUNITS", "70", unit, "0", "ENDSEC"] : [];
  return { text: [...head, "0", "SECTION", "2", "ENTITIES", ...out, "0", "ENDSEC", "0", "EOF", ""].join("\n") };
}

/** An entity as it stands in the file: its kind, and its values by their group codes. */
interface Raw {
  type: string;
  groups: [code: string, value: string][];
}
/** Most values of lines and polylines: so many of each corner. */
const KEPT_MOST = STRETCHES_MOST * 12;
/** What is passed on of each kind: layer, flags, corners, bulge. Its number of corners is counted here, never believed. */
const passed: Readonly<Record<string, ReadonlySet<string>>> = {
  LINE: new Set(["8", "10", "20", "30", "11", "21", "31"]),
  POLYLINE: new Set(["8", "70"]),
  VERTEX: new Set(["8", "10", "20", "42", "70"]),
  SEQEND: new Set(["8"]),
};

/** Writes an entity that has ended, with nothing in it but what is read. Returns what is wrong with it, or null. */
function closeEntity(e: Raw | null, out: string[]): string | null {
  if (!e) return null;
  out.push("0", e.type);
  if (e.type !== "LWPOLYLINE") {
    for (const [code, value] of e.groups) if (passed[e.type]?.has(code)) out.push(code, value);
    return null;
  }
  const first = (code: string): string | undefined => e.groups.find(([c]) => c === code)?.[1];
  const layer = first("8") ?? "0";
  const corners: { x: string; y?: string; bulge?: string }[] = [];
  for (const [code, value] of e.groups) {
    const last = corners[corners.length - 1];
    if (code === "10") corners.push({ x: value });
    else if (code === "20" && last && last.y === undefined) last.y = value;
    else if (code === "42" && last) last.bulge = value;
  }
  if (corners.some((c) => c.y === undefined))
    return `a polyline on layer ${layer} has a corner without its second number`;
  out.push("8", layer, "90", String(corners.length), "70", first("70") ?? "0");
  for (const c of corners) out.push("10", c.x, "20", c.y!, ...(c.bulge === undefined ? [] : ["42", c.bulge]));
  return null;
}

/** Chains lines end to end into closed outlines, as far as each end meets just one other. */
function chained(lines: readonly XY[][], join: number): XY[][] {
  const left = lines.map((l) => [...l]);
  const out: XY[][] = [];
  const near = (p: XY, q: XY): boolean => Math.hypot(p.x - q.x, p.y - q.y) <= join;
  while (left.length) {
    let chain = left.shift()!;
    for (let grew = true; grew;) {
      grew = false;
      if (chain.length > 2 && near(chain[0]!, chain[chain.length - 1]!)) break;
      for (let i = 0; i < left.length; i++) {
        const l = left[i]!;
        const end = chain[chain.length - 1]!;
        if (near(end, l[0]!)) chain = [...chain, ...l.slice(1)];
        else if (near(end, l[l.length - 1]!)) chain = [...chain, ...[...l].reverse().slice(1)];
        else if (near(chain[0]!, l[l.length - 1]!)) chain = [...l, ...chain.slice(1)];
        else if (near(chain[0]!, l[0]!)) chain = [...[...l].reverse(), ...chain.slice(1)];
        else continue;
        left.splice(i, 1);
        grew = true;
        break;
      }
    }
    if (chain.length > 3 && near(chain[0]!, chain[chain.length - 1]!)) out.push(chain.slice(0, -1));
  }
  return out;
}

/**
 * Outlines of rooms from picked layers, in mm, clockwise, south-west corner of them all at 0, 0: closed polylines as they are,
 * single lines chained end to end. Corners in line, outlines too small for a room and ones that cross themselves are left out and told.
 * @param scale mm of the house in one unit of the drawing
 */
export function outlinesFrom(
  plan: DxfPlan,
  picked: readonly string[],
  scale: number,
): { outlines: XY[][]; left: string[] } | { refusals: Refusal[] } {
  if (!(scale > 0 && scale <= 100_000))
    return {
      refusals: [{ path: "scale", message: `is ${scale}; it must be more than 0 and at most 100 000 mm to a unit` }],
    };
  const layers = plan.layers.filter((l) => picked.includes(l.name));
  if (!layers.length)
    return { refusals: [{ path: "layers", message: "none is picked; pick the layer the rooms are drawn on" }] };
  const raw = layers.flatMap((l) => [...l.closed, ...chained(l.open, JOIN / scale)]);
  const left: string[] = [];
  const outlines: XY[][] = [];
  for (const points of raw) {
    const scaled = points.map((p) => ({ x: p.x * scale, y: p.y * scale }));
    const corners = scaled.filter((p, i) => {
      const a = scaled[(i + scaled.length - 1) % scaled.length]!;
      const b = scaled[(i + 1) % scaled.length]!;
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      return (
        Math.hypot(p.x - b.x, p.y - b.y) >= JOIN &&
        (long < JOIN || Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / long > 1)
      );
    });
    const area = Math.abs(signedArea(corners));
    if (corners.length < 3 || area < ROOM_LEAST) left.push(`an outline of ${mm(area / 1e6)} m², too small for a room`);
    else if (corners.length > 60) left.push(`an outline with ${corners.length} corners; a room has at most 60`);
    else if (selfCrossing(corners)) left.push("an outline that crosses itself");
    else outlines.push(signedArea(corners) > 0 ? [...corners].reverse() : corners);
  }
  const open = layers.reduce((n, l) => n + l.open.length, 0);
  if (!outlines.length)
    return {
      refusals: [
        {
          path: "layers",
          message: `hold no closed outline of a room: ${layers.reduce((n, l) => n + l.closed.length, 0)} closed polylines, ${open} open lines${left.length ? `; ${left[0]}` : ""}`,
        },
      ],
    };
  const b = bounds(outlines.flat());
  if (b.x1 - b.x0 > 100_000 || b.y1 - b.y0 > 100_000)
    return {
      refusals: [
        {
          path: "scale",
          message: `makes the plan ${mm((b.x1 - b.x0) / 1000)} × ${mm((b.y1 - b.y0) / 1000)} m; at most 100 m. Look at the units`,
        },
      ],
    };
  const round = (x: number): number => Math.round(x * 10) / 10 + 0;
  return { outlines: outlines.map((o) => o.map((p) => ({ x: round(p.x - b.x0), y: round(p.y - b.y0) }))), left };
}
