import { mm } from "../base/figures";
import { bounds } from "../base/polygon";
import type { House } from "../house/house";
import { type LaidOutside, outsideOf, placeAlong } from "../house/outside";
import type { Ground } from "../job/model";
import { heightAt, lowestOf, sagOf } from "../rules/sag";
import type { LightRowFigures } from "../plan/light-row";
import { clearances, depthAt, heightOver, shallowest } from "../trades/outside/outside-facts";
import { type Fill, type Ink, type Scene, type XY, pen } from "./scene";

/** How much of it is seen through what lies on it. */
const groundCover: Partial<Record<Ground["kind"], number>> = { lawn: 0.16, bed: 0.6, tree: 0.3 };
const groundFill: Record<Exclude<Ground["kind"], "tree">, Fill> = {
  lawn: "soft",
  bed: "earth",
  paving: "plaster",
  path: "sand",
  drive: "metal",
  road: "metal",
  caravans: "metal",
};

/** What each kind of ground is called. */
export const groundNames: Record<Ground["kind"], string> = {
  lawn: "lawn",
  bed: "bed",
  paving: "paving",
  path: "path",
  drive: "drive, vehicles",
  road: "road",
  caravans: "caravan ground",
  tree: "tree",
};

/** A trench cut along its length, to scale: ground, bed, cable, tape, ducts and what it crosses. x along it, y down from its yard's level. */
export function drawTrenchAlong(w: LaidOutside): Scene {
  const p = pen();
  const { way } = w;
  const top = Math.max(...w.trench.map((s) => s.level));
  const y = (z: number): number => top - z;
  const under = (s: LaidOutside["trench"][number]): [number, number] => [s.level - s.depthFrom, s.level - s.depthTo];
  const deep = Math.max(...w.trench.flatMap((s) => under(s).map(y)), ...way.services.map((x) => x.depth));
  for (const s of w.trench) {
    const [a, b] = under(s);
    const bed = way.bed;
    p.area(
      [
        [s.from, y(s.level)],
        [s.to, y(s.level)],
        [s.to, deep + 250],
        [s.from, deep + 250],
      ],
      "earth",
      "none",
    );
    p.area(
      [
        [s.from, y(s.level)],
        [s.to, y(s.level)],
        [s.to, y(b) + bed],
        [s.from, y(a) + bed],
      ],
      "paper",
      "none",
    );
    if (bed > 0)
      p.area(
        [
          [s.from, y(a) - bed],
          [s.to, y(b) - bed],
          [s.to, y(b) + bed],
          [s.from, y(a) + bed],
        ],
        "sand",
        "none",
      );
    if (s.duct !== null) {
      const r = s.duct / 2;
      p.area(
        [
          [s.from, y(a) - r],
          [s.to, y(b) - r],
          [s.to, y(b) + r],
          [s.from, y(a) + r],
        ],
        "metal",
        "ink",
      );
    }
    p.line(
      [
        [s.from, y(s.level)],
        [s.to, y(s.level)],
      ],
      s.kind === null ? "soft" : "ink",
      { heavy: true },
    );
    if (way.marker > 0 && way.marker < Math.min(s.depthFrom, s.depthTo))
      p.line(
        [
          [s.from, y(a) - way.marker],
          [s.to, y(b) - way.marker],
        ],
        "warn",
        { dash: true, heavy: true },
      );
    p.text(
      (s.from + s.to) / 2,
      y(s.level),
      [s.kind ? s.name || groundNames[s.kind] : "", s.tree ? "tree over it" : ""].filter(Boolean).join(", "),
      {
        drop: -0.9,
        ink: "soft",
        room: { width: s.to - s.from },
      },
    );
  }
  const path = w.path.map((q): XY => [0, q[2]]);
  p.line(
    w.trench.flatMap((s, i): XY[] => {
      const [a, b] = under(s);
      return i === 0
        ? [
            [s.from, y(a)],
            [s.to, y(b)],
          ]
        : [[s.to, y(b)]];
    }),
    "run1",
    { width: 4 },
  );
  // Down from the foot of the one wall, and up to that of the other.
  const [first, last] = [path[0]!, path[path.length - 1]!];
  const ends = [w.trench[0]!, w.trench[w.trench.length - 1]!] as const;
  p.line(
    [
      [0, y(first[1])],
      [0, y(under(ends[0])[0])],
    ],
    "run1",
    { width: 4 },
  );
  p.line(
    [
      [w.length, y(last[1])],
      [w.length, y(under(ends[1])[1])],
    ],
    "run1",
    { width: 4 },
  );
  for (const x of way.services) {
    if (x.at > w.length) continue;
    const level = w.trench.find((s) => x.at >= s.from && x.at <= s.to)!.level;
    p.circle(x.at, y(level) + x.depth, 40, "soft", "stop", { heavy: true, least: 5 });
    p.text(x.at, y(level) + x.depth, `${x.kind} ${mm(x.depth)}`, {
      anchor: "start",
      shift: 10,
      drop: 0.3,
      ink: "stop",
    });
  }
  const least = shallowest(w);
  const level = w.trench.find((s) => least.at >= s.from && least.at <= s.to)!.level;
  p.dim([least.at, y(level)], [least.at, y(level) + least.depth], mm(Math.round(least.depth)), 1.2);
  p.dim([0, deep + 250], [w.length, deep + 250], mm(Math.round(w.length)), 1.4);
  p.text(0, deep + 250, "wall", { drop: 1.2, ink: "soft" });
  p.text(w.length, deep + 250, "wall", { drop: 1.2, ink: "soft" });
  return {
    label: `${way.label} cut along: ${mm(Math.round(w.length))} long, at its least ${mm(Math.round(least.depth))} deep, ${mm(Math.round(depthAt(w, w.length / 2)))} in the middle`,
    shapes: p.shapes,
    template: false,
  };
}

/** A catenary from the side, to scale: supports, wire with its dip, what passes beneath and how high it must be. */
export function drawCatenarySide(w: LaidOutside, spans: LaidOutside["spans"] = w.spans): Scene {
  const p = pen();
  const base = Math.min(...w.ground.map((g) => g.level));
  const y = (z: number): number => base - z;
  const high = Math.max(...spans.flatMap((s) => [s.from, s.to]));
  for (const g of w.ground) {
    p.area(
      [
        [g.from, y(g.level)],
        [g.to, y(g.level)],
        [g.to, 250],
        [g.from, 250],
      ],
      "earth",
      "none",
    );
    p.line(
      [
        [g.from, y(g.level)],
        [g.to, y(g.level)],
      ],
      "ink",
      { heavy: true },
    );
    p.text(
      (g.from + g.to) / 2,
      y(g.level),
      [g.kind ? g.name || groundNames[g.kind] : "", g.tree ? "tree over it" : ""].filter(Boolean).join(", "),
      {
        drop: 0.9,
        ink: "soft",
        room: { width: g.to - g.from },
      },
    );
  }
  const wall = Math.max(120, w.length * 0.015);
  p.rect(-wall, y(high) - 300, wall, -y(high) + 550, "metal");
  p.rect(w.length, y(high) - 300, wall, -y(high) + 550, "metal");
  for (const s of spans.slice(1)) p.rect(s.at - 50, y(s.from), 100, -y(s.from), "timber");
  for (const c of clearances(w, spans)) {
    const ok = c.height >= c.least - 1e-6;
    const g = w.ground.find((x) => c.at >= x.from - 1 && c.at <= x.to + 1)!;
    p.line(
      [
        [g.from, y(g.level + c.least)],
        [g.to, y(g.level + c.least)],
      ],
      ok ? "cut" : "stop",
      { dash: true },
    );
    p.text(g.from, y(g.level + c.least), `least ${mm(c.least)}`, {
      anchor: "start",
      drop: 1,
      ink: ok ? "cut" : "stop",
      room: { width: g.to - g.from },
    });
    p.dim([c.at, y(g.level)], [c.at, y(g.level + c.height)], mm(Math.round(c.height)), 1.2);
  }
  for (const s of spans) {
    const bow = Array.from({ length: 41 }, (_, i): XY => {
      const x = (s.length * i) / 40;
      return [s.at + x, y(heightAt(s, x))];
    });
    p.line(bow, "run1", { width: 4 });
    p.line(
      [
        [s.at, y(s.from)],
        [s.at + s.length, y(s.to)],
      ],
      "soft",
      { dash: true },
    );
    const low = lowestOf(s);
    p.text(s.at + low.at, y(low.height), `dips ${mm(Math.round(sagOf(s)))}`, { drop: 1.2, ink: "soft" });
    p.dim([s.at, 250], [s.at + s.length, 250], mm(Math.round(s.length)), 1.4);
  }
  // Below each entry the cable hangs in a loop, so that water drips off.
  for (const [x, z, out] of [
    [0, spans[0]!.from, -1],
    [w.length, spans[spans.length - 1]!.to, 1],
  ] as const)
    p.line(
      [
        [x, y(z)],
        [x - out * 60, y(z) + 120],
        [x + out * 20, y(z) + 150],
        [x + out * wall * 0.9, y(z) + 60],
      ],
      "run1",
      { width: 3 },
    );
  const low = Math.min(...clearances(w, spans).map((c) => c.height));
  return {
    label: `${w.way.label} from the side: ${spans.length === 1 ? "one span" : `${spans.length} spans`}, ${mm(Math.round(low))} at its lowest; ${mm(Math.round(heightOver(w, w.length / 2, spans)))} in the middle`,
    shapes: p.shapes,
    template: false,
  };
}

/** A room no farther from a yard than a thick wall stands beside it, mm. */
const BEHIND = 700;
/** How far apart two outlines stand along x or y, by the boxes round them, mm. */
function apart(p: Ground["outline"], q: Ground["outline"]): number {
  const [a, b] = [bounds(p), bounds(q)];
  return Math.max(b.x0 - a.x1, a.x0 - b.x1, b.y0 - a.y1, a.y0 - b.y1, 0);
}

/** Yards of a job from above with their ground, trees, posts, ways and rows of lights; `picked` is drawn strong. x east, y down (south). */
export function drawOutside(h: House, rows: readonly LightRowFigures[], picked: string | null = null): Scene {
  const p = pen();
  const flat = (q: { x: number; y: number }): XY => [q.x, -q.y];
  const yards = h.job.rooms.filter((r) => r.kind === "yard");
  const storeys = new Set(yards.map((r) => r.storey));
  for (const r of h.job.rooms)
    if (storeys.has(r.storey) && (r.kind === "yard" || yards.some((y) => apart(r.outline, y.outline) <= BEHIND))) {
      const yard = r.kind === "yard";
      p.area(
        r.outline.map(flat),
        yard ? "panel" : "metal",
        yard ? "soft" : "ink",
        yard ? { dash: [8, 5] } : { cover: 0.5 },
      );
      const b = bounds(r.outline);
      const room = { width: b.x1 - b.x0 };
      if (yard) p.text(b.x0, -b.y1, r.name, { anchor: "start", drop: -0.5, ink: "soft", type: "bold", room });
      else p.text((b.x0 + b.x1) / 2, -(b.y0 + b.y1) / 2, r.name, { ink: "soft", type: "bold", room });
    }
  const size = (g: Ground): number => {
    const b = bounds(g.outline);
    return (b.x1 - b.x0) * (b.y1 - b.y0);
  };
  for (const g of [...h.job.grounds].sort((a, b) => size(b) - size(a))) {
    const on = g.id === picked;
    const fill = g.kind === "tree" ? "soft" : groundFill[g.kind];
    p.area(g.outline.map(flat), fill, on ? "accent" : g.kind === "tree" ? "good" : "soft", {
      cover: groundCover[g.kind] ?? 0.7,
      heavy: on,
      ...(g.kind === "tree" ? { dash: [4, 4] } : {}),
    });
    const b = bounds(g.outline);
    const level = g.kind !== "tree" && g.level ? `, ${g.level > 0 ? "+" : "−"}${mm(Math.abs(g.level))}` : "";
    // In its corner, so that what lies in its middle is not written over.
    p.text(b.x0, -b.y0, `${g.name || groundNames[g.kind]}${level}`, {
      anchor: "start",
      shift: 5,
      drop: -0.45,
      ink: "soft",
      size: 11.5,
      room: { width: b.x1 - b.x0, height: b.y1 - b.y0 },
    });
  }
  for (const w of outsideOf(h)) {
    const on = w.way.id === picked;
    p.line(w.line.map(flat), "run1", { width: on ? 6 : 3.5, ...(w.way.kind === "catenary" ? { dash: [10, 5] } : {}) });
    for (const d of w.way.kind === "trench" ? w.way.ducts : [])
      p.line(
        [d.from, d.to].map((x) => flat(placeAlong(w.line, x))),
        "ink",
        { width: on ? 9 : 7, dash: [2, 3] },
      );
    const mid = flat(placeAlong(w.line, w.length / 2));
    p.text(mid[0], mid[1], w.way.label, { shift: 10, anchor: "start", ink: "run1", type: "bold" });
  }
  for (const q of h.job.posts) {
    const half = q.breadth / 2;
    p.rect(q.x - half, -q.y - half, q.breadth, q.breadth, "timber", q.id === picked ? "accent" : "ink");
    p.text(q.x, -q.y, q.label, { drop: 1, size: 11 });
  }
  for (const f of rows) {
    const on = f.row.id === picked;
    const ink: Ink = on ? "accent" : "run2";
    p.line(f.row.path.map(flat), "soft", { dash: [6, 4] });
    p.line(
      f.lights.map((l) => flat(l.place)),
      ink,
      { width: on ? 3 : 2 },
    );
    for (const l of f.lights) {
      const [x, y] = flat(l.place);
      p.circle(x, y, 70, "paper", ink, { heavy: true, least: 5 });
      p.text(x, y, String(l.n), { drop: l.side === 1 ? -0.9 : 1.2, size: 11.5 });
    }
    const first = flat(f.row.path[0]!);
    p.text(first[0], first[1], f.row.label, { anchor: "end", shift: -6, drop: 0.3, ink, type: "bold" });
  }
  return {
    label: `Outside from above: ${h.job.grounds.length} parts of the ground, ${h.job.outsideWays.length} ways, ${rows.length} rows of lights`,
    shapes: p.shapes,
    template: false,
  };
}

/** A row of lights from the side, along its path: heights, gaps, cable, boxes and drops. */
export function drawRowSide(f: LightRowFigures): Scene {
  const p = pen();
  const { row } = f;
  const ground = row.carried === "ground";
  const low = ground ? row.line + 200 : 200;
  p.rect(0, 0, f.length, low, "earth", "none");
  p.line(
    [
      [0, 0],
      [f.length, 0],
    ],
    "ink",
    { heavy: true },
  );
  const first = f.lights[0]!.at;
  const last = f.lights[f.lights.length - 1]!.at;
  const line = ground ? row.line : -row.line;
  if (!ground)
    p.line(
      [
        [0, line - 60],
        [f.length, line - 60],
      ],
      "timberline",
      { width: 5 },
    );
  p.line(
    [
      [row.sensor === "far" || !ground ? 0 : Math.min(first, 0), line],
      [last, line],
    ],
    "run1",
    { width: 4 },
  );
  for (const l of f.lights) {
    const top = -row.height;
    if (l.post)
      p.rect(
        l.at - l.post.breadth / 2,
        -Math.max(l.post.height, row.height),
        l.post.breadth,
        Math.max(l.post.height, row.height),
        "timber",
      );
    else if (ground) p.rect(l.at - 40, top, 80, row.height, "metal", "soft");
    p.line(
      [
        [l.at, line],
        [l.at, top],
      ],
      "run1",
      { width: 3 },
    );
    if (!ground) p.rect(l.at - 60, line - 60, 120, 120, "panel", "ink");
    p.circle(l.at, top, 75, l.side === 1 ? "paper" : "metal", "run2", { heavy: true, least: 6 });
    p.text(l.at, top, `${l.n}`, { drop: -1, type: "bold" });
  }
  f.gaps.forEach((g, i) => {
    const [a, b] = [f.lights[i]!.at, f.lights[i + 1]!.at];
    p.dim([a, low], [b, low], mm(Math.round(g)), 1.2);
  });
  p.dim([0, low], [first, low], mm(Math.round(first)), 1.2);
  p.dim([last, low], [f.length, low], mm(Math.round(f.length - last)), 1.2);
  p.dim([f.length, 0], [f.length, -row.height], mm(row.height), -1.2);
  if (row.sensor !== "none") {
    const x = row.sensor === "near" ? 0 : f.length;
    p.circle(x, -Math.max(row.height, 900), 90, "panel", "accent", { heavy: true, least: 6 });
    p.text(x, -Math.max(row.height, 900), "sensor", {
      drop: -1,
      ink: "accent",
      anchor: row.sensor === "near" ? "start" : "end",
    });
  }
  return {
    label: `${row.label} from the side: ${f.lights.length} lights along ${mm(Math.round(f.length))}`,
    shapes: p.shapes,
    template: false,
  };
}
