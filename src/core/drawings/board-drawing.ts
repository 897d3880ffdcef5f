import { mm } from "../base/figures";
import type { BoardBlock, BoardCable, BoardFigures } from "../plan/board-figures";
import type { RunStyle } from "./run-lines";
import { type Ink, type Scene, type XY, boxFrom, pen } from "./scene";

/** From the board up to where the cables are tied, as drawn, mm. */
const FAR = 105;
/** A device on its rail, as drawn, mm. */
const DEVICE = { width: 18, height: 84 };
const MAIN_WIDTH = 36;
const GLYPH = { width: 22, height: 9 };

/** "R1 out", or the circuit's label alone. */
export const cableFlag = (c: Pick<BoardCable, "circuit" | "leg">): string =>
  c.leg ? `${c.circuit.label} ${c.leg}` : c.circuit.label;

const dashed = (style: RunStyle | undefined): { ink: Ink; dash?: readonly number[] } => ({
  ink: style?.ink ?? "soft",
  ...(style?.dash.length ? { dash: style.dash } : {}),
});

/**
 * Height over the terminals that a cable turns at, so that none that need not crosses: those that go right turn lower the further
 * left they are.
 */
function levelsOf(cables: readonly BoardCable[], f: BoardFigures): Map<string, number> {
  const target = (c: BoardCable): number => (c.terminal ?? f.layout.ways[0])?.x ?? 0;
  const right = cables.filter((c) => target(c) >= c.entry.x).sort((a, b) => b.entry.x - a.entry.x);
  const left = cables.filter((c) => target(c) < c.entry.x).sort((a, b) => a.entry.x - b.entry.x);
  const out = new Map<string, number>();
  for (const side of [right, left]) side.forEach((c, i) => out.set(c.run.id, (i + 1) / (side.length + 1)));
  return out;
}

/**
 * The way in: cables in the order they are tied at the far end, each with the side its brown core lies on, down to its seat and on to
 * its way. The board is to scale, its far end drawn nearer than it is. `picked` is drawn heavier.
 */
export function drawBoardEntry(
  f: BoardFigures,
  styles: ReadonlyMap<string, RunStyle>,
  picked: string | null = null,
): Scene {
  const p = pen();
  const { layout } = f;
  drawInside(p, f);
  const above = f.cables.filter((c) => c.edge === "top" || c.edge === "behind");
  const levels = levelsOf(above, f);
  const step = above.length ? Math.max(GLYPH.width + 18, layout.width / above.length) : 0;
  const x0 = layout.width / 2 - (step * (above.length - 1)) / 2;
  above.forEach((c, i) => {
    const x = x0 + i * step;
    const style = styles.get(c.circuit.id);
    const look = { width: c.run.id === picked ? 5 : 3, ...dashed(style) };
    const { ink, ...more } = look;
    const { terminal } = c;
    // Cables over one another in two rows are drawn beside one another.
    const rows = f.blocks[c.block]!.rows;
    const at = c.entry.x + (c.seat ? (c.seat.row - (rows - 1) / 2) * Math.min(6, c.seat.width / rows) : 0);
    const turn = terminal ? 6 + (terminal.y - 12) * levels.get(c.run.id)! : 20;
    const path: XY[] = [
      [x, -FAR + GLYPH.height],
      [x, -62],
      [at, -14],
      [at, 0],
    ];
    if (terminal) path.push([at, turn], [terminal.x, turn], [terminal.x, terminal.y]);
    p.line(path, ink, more);
    p.rect(x - GLYPH.width / 2, -FAR, GLYPH.width, GLYPH.height, "paper", ink, { heavy: true });
    if (c.brown) p.circle(x + (c.brown === "left" ? -7 : 7), -FAR + GLYPH.height / 2, 2.4, "soft", "timberline");
    p.text(x, -FAR, cableFlag(c), { drop: -0.5, type: "bold", ...(ink === "soft" ? {} : { ink }) });
  });
  for (const c of f.cables)
    if (!above.includes(c)) drawFromSide(p, f, c, styles.get(c.circuit.id), c.run.id === picked);
  for (const b of f.blocks)
    if (b.edge === "top" || b.edge === "behind") p.rect(b.from, -8, b.length, 8, "metal", "ink");
  if (above.length)
    p.text(x0 - GLYPH.width / 2, -FAR, "Tie at the far end in this order; the dot is the brown side", {
      drop: -1.9,
      anchor: "start",
      ink: "soft",
    });
  return {
    label: `Way into ${f.board.label}: ${f.cables.map(cableFlag).join(", ")}`,
    shapes: p.shapes,
    template: false,
  };
}

function drawInside(p: ReturnType<typeof pen>, f: BoardFigures): void {
  const { layout } = f;
  p.rect(0, 0, layout.width, layout.height, "paper", "ink", { heavy: true });
  const top = layout.mainSwitch.y - DEVICE.height / 2;
  p.rect(layout.mainSwitch.x - MAIN_WIDTH / 2, top, MAIN_WIDTH, DEVICE.height, "metal", "ink");
  p.text(layout.mainSwitch.x, layout.mainSwitch.y, "main", { size: 11 });
  p.text(layout.mainSwitch.x, layout.mainSwitch.y, "switch", { drop: 1, size: 11 });
  layout.ways.forEach((w, i) => {
    const mine = f.circuits.filter((c) => c.way === i + 1);
    p.rect(
      w.x - DEVICE.width / 2,
      w.y,
      DEVICE.width,
      DEVICE.height,
      mine.length ? "metal" : undefined,
      mine.length ? "ink" : "soft",
      {
        dash: !mine.length,
      },
    );
    p.text(w.x, w.y + 40, mine.map((c) => c.label).join("+") || "–", { size: 11.5, type: "bold" });
    if (mine[0]) p.text(w.x, w.y + 40, `${mine[0].device.curve}${mine[0].device.rating}`, { drop: 1.1, size: 10.5 });
    p.text(w.x, w.y + 40, String(i + 1), { drop: 2.2, size: 10, ink: "soft" });
  });
  for (const [bar, name] of [
    [layout.neutralBar, "neutrals"],
    [layout.earthBar, "earths"],
  ] as const) {
    p.area(boxFrom(bar.x0, bar.y - 4, bar.x1 - bar.x0, 8), name === "earths" ? "zone" : "soft", "ink");
    p.text((bar.x0 + bar.x1) / 2, bar.y, name, { drop: 1.3, size: 11, ink: "soft" });
  }
}

function drawFromSide(
  p: ReturnType<typeof pen>,
  f: BoardFigures,
  c: BoardCable,
  style: RunStyle | undefined,
  picked: boolean,
): void {
  const { ink, ...more } = dashed(style);
  const { x, y } = c.entry;
  const { terminal } = c;
  const level = c.edge === "left" || c.edge === "right";
  const out: XY = c.edge === "left" ? [x - 70, y] : c.edge === "right" ? [x + 70, y] : [x, y + 60];
  const path: XY[] = [out, [x, y]];
  if (terminal && level) path.push([terminal.x, y], [terminal.x, terminal.y]);
  else if (terminal) path.push([x, y - 14], [terminal.x, y - 14], [terminal.x, terminal.y + DEVICE.height]);
  else path.push(level ? [c.edge === "left" ? x + 24 : x - 24, y] : [x, y - 24]);
  p.line(path, ink, { width: picked ? 5 : 3, ...more });
  if (!c.seat) p.circle(x, y, 10, "metal", "ink");
  p.text(...out, `${cableFlag(c)}${terminal ? "" : ", no way yet"}`, {
    anchor: c.edge === "left" ? "end" : c.edge === "right" ? "start" : "middle",
    drop: level ? 0.35 : 1.1,
    shift: c.edge === "left" ? -4 : c.edge === "right" ? 4 : 0,
    type: "bold",
  });
}

/** A slot with its seats, to scale: what is cut at the end of the trunking and in the edge of the board. */
export function drawSlot(f: BoardFigures, block: number): Scene {
  const b: BoardBlock = f.blocks[block]!;
  const mine = f.cables.filter((c) => c.block === block && c.seat);
  const p = pen();
  const tall = mine[0]?.seat?.height ?? 10;
  const deep = tall * Math.max(1, b.rows) + 6 * (b.rows - 1);
  p.rect(0, -6, b.length, deep + 12, "metal", "ink");
  for (const c of mine) {
    const s = c.seat!;
    const y = s.row * (tall + 6);
    p.rect(s.at - s.width / 2, y, s.width, s.height, "paper", b.notched ? "cut" : "ink", { heavy: b.notched });
    p.text(s.at, -6, cableFlag(c), { drop: -0.6 - s.row, size: 11 });
  }
  if (!b.notched && mine.length) {
    const first = mine[0]!.seat!;
    const last = Math.max(...mine.map((c) => c.seat!.at + c.seat!.width / 2));
    p.rect(first.at - first.width / 2 - 2, -2, last - first.at + first.width / 2 + 4, deep + 4, undefined, "cut", {
      heavy: true,
    });
  }
  mine.forEach((c, i) =>
    p.dim([0, deep + 6], [c.seat!.at, deep + 6], mm(Math.round(c.seat!.at * 10) / 10), 1.6 + 1.5 * i),
  );
  return { label: `Slot of ${mine.length} cables on ${mm(b.length)}`, shapes: p.shapes, template: true };
}
