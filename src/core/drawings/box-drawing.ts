import { mm } from "../base/figures";
import type { EndCable, EndFigures } from "../plan/end-figures";
import type { CoreColour } from "../rules/cores";
import type { BoxRoom } from "../trades/ends/box-fill";
import { type Ink, type Scene, type XY, boxFrom, pen } from "./scene";

/** Cable that is drawn outside the box, mm. */
const OUTSIDE = 45;
/** How far a cable is drawn off its place where another comes in opposite, mm. */
const ASIDE = 12;
const opposite = { left: "right", right: "left", top: "bottom", bottom: "top", behind: null } as const;
/** From one core to the next in the drawing, mm. */
const APART = 2.6;

const inkOfCore: Record<CoreColour, Ink> = {
  brown: "timberline",
  blue: "accent",
  black: "ink",
  grey: "soft",
  "green-yellow": "good",
  red: "stop",
  yellow: "warn",
  green: "good",
};

const half = (x: number): number => Math.round(x * 10) / 10;

/** The place on the edge of a box that a cable comes in at, and the direction it comes in. x right and y down, mm. */
function entryOf(f: EndFigures, c: EndCable): { at: [number, number]; into: XY } {
  const { width, height } = f.box;
  switch (c.end.entry) {
    case "left":
      return { at: [0, c.at], into: [1, 0] };
    case "right":
      return { at: [width, c.at], into: [-1, 0] };
    case "bottom":
      return { at: [c.at, height], into: [0, -1] };
    case "top":
      return { at: [c.at, 0], into: [0, 1] };
    default:
      return { at: [c.at, height / 2], into: [0, 1] };
  }
}

/**
 * The box of a point from the front, to scale: each cable where it comes in, its sheath to where it stops, its conductors straight out
 * as long as they are cut, with the measures of the tail. `name` says what stands at the other end of a run.
 */
export function drawBox(f: EndFigures, name: (c: EndCable) => string): Scene {
  const p = pen();
  const { width, height } = f.box;
  const { plate, point } = f.placed;
  p.rect((width - plate.width) / 2, (height - plate.height) / 2, plate.width, plate.height, undefined, "soft", {
    dash: true,
  });
  p.rect(0, 0, width, height, "metal", "ink", { heavy: true });
  f.cables.forEach((c, n) => {
    const { at, into } = entryOf(f, c);
    const level = into[0] !== 0;
    // Where cables come in face to face they are drawn beside one another.
    const facing = f.cables.some((x) => x.end.entry === opposite[c.end.entry]);
    if (facing) at[level ? 1 : 0] += c.end.entry === "left" || c.end.entry === "top" ? -ASIDE : ASIDE;
    const along = (d: number, off = 0): XY => [
      at[0] + into[0] * d - into[1] * off,
      at[1] + into[1] * d + into[0] * off,
    ];
    const { tail = 0, sheath = 0, conductor = tail } = c.end.measures;
    const from = c.end.entry === "behind" ? 0 : -OUTSIDE;
    const w = c.cable.width / 2;
    p.area([along(from, -w), along(sheath, -w), along(sheath, w), along(from, w)], "cable3", "ink");
    const cores = c.cores.length ? c.cores : [];
    cores.forEach((core, i) => {
      const off = (i - (cores.length - 1) / 2) * APART;
      p.line([along(sheath, off), along(sheath + conductor, off)], inkOfCore[core.colour], {
        width: 3,
      });
    });
    if (c.end.entry === "behind") {
      // Under the tips, one line a cable: in the box they would cross one another.
      const row = f.cables.slice(0, n).filter((x) => x.end.entry === "behind").length;
      p.text(width / 2, height / 2 + sheath + tail, `${name(c)} · ${mm(tail)}`, {
        drop: 1.2 + row * 1.1,
        ink: "ink",
        anchor: "middle",
      });
      return;
    }
    // One measure for all that come in alike, off the box and not across it.
    const alike = f.cables.findIndex((x) => x.end.entry === c.end.entry && x.end.measures.tail === tail) === n;
    if (alike)
      p.dim(
        level ? [at[0], height] : [width, at[1]],
        level ? [along(tail)[0], height] : [width, along(tail)[1]],
        mm(tail),
        level ? 2.6 + n * 1.6 : 2 + n * 2.4,
      );
    const [x, y] = along(-OUTSIDE);
    p.text(x, level ? y - w : y, name(c), {
      anchor: level ? (into[0] > 0 ? "start" : "end") : "middle",
      drop: level || into[1] > 0 ? -0.5 : 1.2,
      type: "bold",
    });
  });
  return {
    label: `${point.label} from the front, box ${mm(width)} × ${mm(height)}, ${mm(f.box.depth)} deep, ${f.cables.length} cables`,
    shapes: p.shapes,
    template: true,
  };
}

/** A box cut from the side, to scale: accessory, conductors in layers, connectors and screws against its depth. */
export function drawBoxDepth(room: BoxRoom, height: number): Scene {
  const p = pen();
  const parts = [
    { name: "accessory", size: room.parts.accessory, fill: "metal" as const },
    {
      name: room.layers === 1 ? "1 layer" : `${room.layers} layers`,
      size: room.parts.conductors,
      fill: "cable" as const,
    },
    { name: "connectors", size: room.parts.connectors, fill: "cable2" as const },
    { name: "screws", size: room.parts.screws, fill: "cable3" as const },
  ].filter((x) => x.size > 0);
  const tall = Math.min(height, 40);
  let x = 0;
  for (const [i, part] of parts.entries()) {
    p.area(boxFrom(x, 0, part.size, tall), part.fill, room.closes ? "soft" : "stop");
    p.text(x + part.size / 2, tall, `${part.name} ${mm(half(part.size))}`, { drop: 1.1 + i, ink: "soft" });
    x += part.size;
  }
  p.line(
    [
      [0, -3],
      [0, tall + 3],
    ],
    "ink",
    { heavy: true },
  );
  p.line(
    [
      [room.has, -3],
      [room.has, tall + 3],
    ],
    room.closes ? "good" : "stop",
    { heavy: true },
  );
  p.text(0, 0, "plate", { drop: -0.6, anchor: "middle", ink: "soft" });
  p.text(room.has, 0, `back, ${mm(room.has)}`, { drop: -0.6, anchor: "middle", ink: room.closes ? "good" : "stop" });
  return {
    label: `Depth of the box: ${mm(half(room.needs))} needed, ${mm(room.has)} there`,
    shapes: p.shapes,
    template: false,
  };
}
