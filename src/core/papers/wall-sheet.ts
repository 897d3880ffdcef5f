import { mm, toMark } from "../base/figures";
import { sectionShapes } from "../drawings/section-drawings";
import { UNKNOWN_STYLE, runLine, runStyles } from "../drawings/run-lines";
import { type Scene, type Shape, pen } from "../drawings/scene";
import { wallScene, wallWords } from "../drawings/wall-scene";
import type { Face, House } from "../house/house";
import { pointLabels } from "../job/labels";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { type Behind, behindWall } from "../plan/behind-wall";
import { lastReleased } from "../record/closing";
import { cableOf } from "../rules/catalogue";
import { behindPlace, behindState, isPlumb, isolateWords } from "../words/behind";
import type { Block, Paper, TableBlock } from "./paper";

/** Places nearer to one another than this share a dimension, mm. */
const CLOSE = 60;

/** Stretches shorter than this bear no label of their own, mm. */
const LONG = 300;

/** Places that dimensions go to along a wall: its ends and what stands between, none too near another. */
function chain(length: number, places: readonly number[]): number[] {
  const out = [0];
  for (const x of [...places].sort((a, b) => a - b))
    if (x - out[out.length - 1]! >= CLOSE && length - x >= CLOSE) out.push(x);
  return [...out, length];
}

/** The wall with its zones, points and all that lies in it from either face, dimensioned from its left-hand end. */
export function wallSheetScene(h: House, plan: Plan, f: Face, behind: readonly Behind[]): Scene {
  const styles = runStyles(h.job);
  const label = pointLabels(h.job);
  const circuitOf = new Map(plan.runs.map((r) => [r.id, r]));
  const p = pen();
  const legs: Shape[] = behind.map((x) => {
    const run = circuitOf.get(x.run);
    const ends = [
      [x.a.u, -x.a.v],
      [x.b.u, -x.b.v],
    ] as const;
    return run
      ? runLine(run, styles.get(run.circuit) ?? UNKNOWN_STYLE, ends, 2.6)
      : { kind: "line", points: ends, ink: "soft", width: 2.6, dash: [2, 3], layer: "FOUND" };
  });
  // Each circuit by its label once on every stretch, so that its line need not be known.
  for (const x of behind) {
    const name = h.job.circuits.find((c) => c.id === circuitOf.get(x.run)?.circuit)?.label;
    const at: [number, number] = [(x.a.u + x.b.u) / 2, -(x.a.v + x.b.v) / 2];
    const long = Math.hypot(x.a.u - x.b.u, x.a.v - x.b.v) >= LONG;
    if (name && long)
      p.text(...at, name, { layer: "LABELS", anchor: "start", shift: 4, drop: isPlumb(x) ? 0 : -0.6, size: 11 });
  }
  for (const q of f.points) {
    p.rect(q.u - q.width / 2, -q.v - q.height / 2, q.width, q.height, "paper", "ink", { layer: "POINTS", width: 1.6 });
    p.text(q.u, -q.v - q.height / 2, label(q.id), { layer: "LABELS", drop: -0.7, type: "bold" });
  }
  const drops = behind.filter(isPlumb).map((x) => x.a.u);
  const across = chain(f.shape.length, [...f.points.map((q) => q.u), ...drops]);
  for (let i = 1; i < across.length; i++)
    p.dim([across[i - 1]!, 0], [across[i]!, 0], mm(Math.round(across[i]! - across[i - 1]!)), 4);
  const levels = behind.filter((x) => !isPlumb(x)).map((x) => (x.a.v + x.b.v) / 2);
  const up = chain(f.shape.height, [...f.points.map((q) => q.v), ...levels]);
  for (let i = 1; i < up.length; i++) p.dim([0, -up[i]!], [0, -up[i - 1]!], mm(Math.round(up[i]! - up[i - 1]!)), -2.5);
  return {
    label: `${f.room.name}, wall ${f.wall.index + 1}`,
    template: false,
    shapes: [...wallScene(h, f).filter((s) => s.layer !== "NAMES"), ...sectionShapes(h, f), ...legs, ...p.shapes],
  };
}

function behindTable(h: House, plan: Plan, behind: readonly Behind[]): TableBlock {
  const label = pointLabels(h.job);
  const runs = new Map(plan.runs.map((r) => [r.id, r]));
  return {
    kind: "table",
    title: "Behind the face",
    heads: ["What", "Where, mm from the left-hand corner; above the floor", "Deep", "State"],
    shares: [34, 38, 10, 18],
    figures: [2],
    none: "Nothing is laid or found in this wall.",
    rows: behind.map((x) => {
      const run = runs.get(x.run);
      const circuit = run && h.job.circuits.find((c) => c.id === run.circuit);
      const to = x.ends[1] === null ? "not traced" : label(x.ends[1]);
      return [
        `${circuit ? `${circuit.label} ${circuit.name}, ` : ""}${label(x.ends[0])}–${to}${run ? `, ${cableOf(run.cable, h.catalogue)?.name ?? run.cable}` : ""}`,
        behindPlace(x),
        mm(Math.round(x.depth)),
        behindState(x),
      ];
    }),
  };
}

/** "2026-11-25 15:58" by the clock of a place, named where it is none of theirs who read it. */
export function momentWords(at: string, zone: string): string {
  const text = new Date(at).toLocaleString("sv-SE", { timeZone: zone, dateStyle: "short", timeStyle: "short" });
  return zone === "UTC" ? `${text} UTC` : text;
}

function releasedWords(h: House, siteBook: readonly SiteEntry[], key: string, wall: string, zone: string): string {
  const last = lastReleased(siteBook, key);
  const photos = h.job.photos.filter((p) => p.wall === wall).length;
  const with_ = photos ? ` ${photos} ${photos === 1 ? "photo" : "photos"} of it with the job.` : " No photo of it.";
  return last
    ? `Released by ${last.by}, ${momentWords(last.at, zone)}.${with_}`
    : `Not released: cables may still be moved.${with_}`;
}

/**
 * A wall for other trades and owners: drawn with all that lies in it, how to isolate it, whether it is released.
 * @param zone whose clock times are told by, as IANA names it
 * @param link where its page is; null where nothing but this paper is to be had, so that the code carries the essentials as text
 */
export function wallSheet(
  h: House,
  plan: Plan,
  siteBook: readonly SiteEntry[],
  wall: string,
  link: string | null,
  zone: string,
): Paper {
  const f = h.faces[h.faceOfWall.get(wall)!]!;
  const behind = behindWall(h, plan, wall);
  const label = pointLabels(h.job);
  const name = `${f.room.name}, wall ${f.wall.index + 1}`;
  const runs = new Map(plan.runs.map((r) => [r.id, r]));
  const photos = h.job.photos.filter((p) => p.wall === wall);
  const essentials = [
    `${h.job.name}, ${name}, ${mm(Math.round(f.shape.length))} by ${mm(Math.round(f.shape.height))}.`,
    ...behind.map((x) => {
      const c = h.job.circuits.find((y) => y.id === runs.get(x.run)?.circuit)?.label ?? "found";
      const at = isPlumb(x) ? `plumb ${toMark((x.a.u + x.b.u) / 2)}` : `level ${toMark((x.a.v + x.b.v) / 2)} up`;
      return `${c} ${at} ${Math.round(x.depth)} deep.`;
    }),
  ].join(" ");
  const table: TableBlock = {
    kind: "table",
    title: "Points",
    heads: ["Point", "From the left", "Above the floor"],
    shares: [40, 30, 30],
    figures: [1, 2],
    none: "None.",
    rows: f.points.map((q) => [label(q.id), toMark(q.u), toMark(q.v)]),
  };
  const blocks: Block[] = [
    { kind: "scene", scene: wallSheetScene(h, plan, f, behind), tall: 100 },
    {
      kind: "columns",
      columns: [
        [table],
        [
          { kind: "text", look: "heading", text: "If you must drill, cut or fix" },
          { kind: "text", look: "caution", text: isolateWords(h, plan, f, behind) },
        ],
        [
          { kind: "text", look: "heading", text: "Released for closing" },
          { kind: "text", text: releasedWords(h, siteBook, `wall:${wall}`, wall, zone) },
        ],
      ],
    },
    behindTable(h, plan, behind),
    ...(photos.length
      ? [
          { kind: "text", look: "heading", text: "Photos before closing" } as const,
          {
            kind: "photos",
            photos: photos.map((p) => ({
              picture: p.picture,
              words: `${p.at.slice(0, 10)} · ${mm(Math.round(p.u))} from the left${p.text ? ` · ${p.text}` : ""}`,
            })),
          } as const,
        ]
      : []),
  ];
  const built = wallWords(f.wall);
  return {
    kind: "wall",
    id: wall,
    title: `${name} · what is behind`,
    about: `seen from ${f.room.name} · ${built} · all sizes mm`,
    landscape: true,
    blocks,
    qr: link ?? essentials.slice(0, 600),
  };
}
