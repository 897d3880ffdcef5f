import { mm } from "../base/figures";
import { type LaidOutside } from "../house/outside";
import type { Ground } from "../job/model";
import { heightAt, lowestOf, sagOf } from "../rules/sag";
import type { LightRowFigures } from "../plan/light-row";
import { clearances, depthAt, heightOver, shallowest } from "../trades/outside/outside-facts";
import { type Scene, type XY, pen } from "./scene";

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

/**
 * A trench cut along its length, to scale: ground, bed, cable, tape, ducts and what it crosses. x along it, y down
 * from its yard's level.
 */
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
