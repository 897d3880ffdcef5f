import { mm } from "../base/figures";
import { type Scene, arc, pen } from "./scene";

/** Conduit straight with the marks of a right angle, and bent. */
export function drawRightAngle(outside: number, innerRadius: number, leg: number, start: number, end: number): Scene {
  const p = pen();
  const R = innerRadius + outside / 2;
  const length = end + Math.max(leg * 0.5, outside * 4);
  p.rect(0, 0, length, outside, "metal");
  for (const [x, name] of [
    [start, "start"],
    [end, "end"],
  ] as const) {
    p.line(
      [
        [x, -outside * 0.5],
        [x, outside * 1.5],
      ],
      "fold",
      { heavy: true },
    );
    p.text(x, -outside * 0.5, name, { drop: -0.4, ink: "fold" });
  }
  p.dim([0, outside], [start, outside], mm(start), 1.8);
  p.dim([start, outside], [end, outside], mm(end - start), 1.8);
  // Bent: the first leg level from the left, the other standing up at the right.
  const base = outside * 5 + leg;
  const cx = start;
  const cy = base - outside / 2 - R;
  const up = Math.max(leg * 0.4, outside * 3);
  const outer = [...arc(cx, cy, R + outside / 2, 90, 0)];
  const inner = [...arc(cx, cy, R - outside / 2, 0, 90)];
  p.line(
    [
      [0, base],
      ...outer,
      [cx + R + outside / 2, cy - up],
      [cx + R - outside / 2, cy - up],
      ...inner,
      [0, base - outside],
    ],
    "ink",
    { closed: true, fill: "metal" },
  );
  p.dim([0, base], [leg, base], `leg ${mm(leg)}`, 1.8);
  return { label: `Conduit ${mm(outside)}, bend from ${mm(start)} to ${mm(end)}`, shapes: p.shapes, template: false };
}

/** Conduit straight with the middles of both arcs marked, and set. */
export function drawConduitSet(
  outside: number,
  innerRadius: number,
  offset: number,
  angle: number,
  centreToCentre: number,
  arcLength: number,
): Scene {
  const p = pen();
  const R = innerRadius + outside / 2;
  const t = (angle * Math.PI) / 180;
  const ends = Math.max(outside * 4, centreToCentre * 0.4);
  p.rect(-ends, 0, 2 * ends + centreToCentre, outside, "metal");
  for (const x of [0, centreToCentre]) {
    p.line(
      [
        [x, -outside * 0.5],
        [x, outside * 1.5],
      ],
      "fold",
      { heavy: true },
    );
    p.rect(x - arcLength / 2, 0, arcLength, outside, "zone", "soft");
  }
  p.dim([0, outside], [centreToCentre, outside], `middle to middle ${mm(centreToCentre)}`, 1.8);
  const base = outside * 6 + offset;
  const tangent = R * Math.tan(t / 2);
  const x0 = 0;
  const slope = offset / Math.tan(t);
  const up = (d: number) => [
    [x0 - ends, base - d] as const,
    ...arc(x0 - tangent, base - R, R - d, 90, 90 - angle).map((q) => q),
    ...arc(x0 + slope + tangent, base - offset + R, R + d, 270 - angle, 270),
    [x0 + slope + ends, base - offset - d] as const,
  ];
  p.line([...up(-outside / 2), ...[...up(outside / 2)].reverse()], "ink", { closed: true, fill: "metal" });
  p.dim([x0 + slope + ends, base], [x0 + slope + ends, base - offset], `offset ${mm(offset)}`, 1.8);
  p.line(
    [
      [x0 - tangent, base],
      [x0 + slope + ends, base],
    ],
    "soft",
    { dash: true },
  );
  return {
    label: `Conduit set of ${mm(offset)}, middles ${mm(centreToCentre)} apart`,
    shapes: p.shapes,
    template: false,
  };
}

/** A cable bent through a right angle at its least inner radius. */
export function drawBend(diameter: number, radius: number): Scene {
  const p = pen();
  const tail = Math.max(diameter * 3, radius);
  p.line(
    [
      [-tail, -radius - diameter],
      ...arc(0, 0, radius + diameter, 270, 360),
      [radius + diameter, tail],
      [radius, tail],
      ...arc(0, 0, radius, 360, 270),
      [-tail, -radius],
    ],
    "ink",
    { closed: true, fill: "cable" },
  );
  p.line(
    [
      [0, 0],
      [radius * Math.SQRT1_2, -radius * Math.SQRT1_2],
    ],
    "fold",
    { heavy: true },
  );
  p.circle(0, 0, Math.max(0.6, radius * 0.03), "paper", "fold");
  p.text(0, 0, `inner radius ${mm(radius)}`, { drop: 1.2, ink: "fold", anchor: "middle" });
  p.dim([radius, tail], [radius + diameter, tail], mm(diameter), 1.6);
  return { label: `Bend with an inner radius of ${mm(radius)}`, shapes: p.shapes, template: true };
}
