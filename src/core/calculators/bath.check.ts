import { z } from "zod";
import { count } from "../base/figures";
import { accessories, pointKinds } from "../rules/accessories";
import { bathZone } from "../trades/bath/zones";
import { judgeInBath } from "../trades/bath/bath-facts";
import { drawBathRoom } from "../drawings/calculator-drawings";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

const kindNames = Object.fromEntries(pointKinds.map((k) => [k, accessories[k].name]));

/** Height of a bath's rim where nothing else is known, mm. Typical. */
const RIM = 560;

export default calculator({
  name: "bath.check",
  purpose: "May these points stand in a room with a bath?",
  group: "Circuits",
  source: "BS 7671:2018+A2:2022 Section 701",
  input: z.strictObject({
    bath: z
      .strictObject({
        x: f.place("From the west"),
        y: f.place("From the south"),
        width: f.size("Width"),
        depth: f.size("Depth"),
      })
      .meta({ title: "Bath or tray, on plan" }),
    room: z
      .strictObject({ width: f.size("Width"), depth: f.size("Depth"), height: f.size("Height") })
      .meta({ title: "Room" }),
    points: f.rows(
      "Points",
      z.strictObject({
        id: f.name("Point"),
        kind: f.choice("Kind", pointKinds, kindNames),
        x: f.place("From the west"),
        y: f.place("From the south"),
        z: f.length0("Above the floor"),
        ip: z
          .string()
          .regex(/^(IP)?[0-6X][0-8X]$/i, "write it as IPX4 or IP44")
          .optional()
          .meta({ title: "IP code", hint: "IPX4" }),
      }),
    ),
  }),
  output: z.object({
    points: z.array(
      z.object({
        id: z.string(),
        zone: z.union([z.literal(0), z.literal(1), z.literal(2), z.null()]),
        toZone1: z.number(),
      }),
    ),
    findings: f.findings,
  }),
  first: {
    bath: { x: 0, y: 0, width: 700, depth: 1700 },
    room: { width: 2400, depth: 2600, height: 2400 },
    points: [
      { id: "L1", kind: "light", x: 1200, y: 1300, z: 2400 },
      { id: "FN1", kind: "fan", x: 350, y: 20, z: 2100, ip: "IPX4" },
      { id: "SV1", kind: "shaver", x: 2380, y: 1300, z: 1500 },
    ],
  },
  run: (i) => {
    const outside = (a: number, size: number): boolean => a < 0 || a > size;
    if (outside(i.bath.x, i.room.width - i.bath.width))
      throw new InputFault(
        "bath.x",
        `got ${i.bath.x}; the bath must lie in the room, from 0 to ${i.room.width - i.bath.width}`,
      );
    if (outside(i.bath.y, i.room.depth - i.bath.depth))
      throw new InputFault(
        "bath.y",
        `got ${i.bath.y}; the bath must lie in the room, from 0 to ${i.room.depth - i.bath.depth}`,
      );
    i.points.forEach((p, n) => {
      for (const [key, size] of [
        ["x", i.room.width],
        ["y", i.room.depth],
        ["z", i.room.height],
      ] as const)
        if (outside(p[key], size))
          throw new InputFault(`points.${n}.${key}`, `got ${p[key]}; must lie in the room, from 0 to ${size}`);
    });
    const placed = i.points.map((p) => ({ p, at: bathZone({ ...i.bath, rim: RIM }, p) }));
    return {
      points: placed.map(({ p, at }) => ({ id: p.id, ...at })),
      facts: placed.flatMap(({ p, at }) => {
        const figure = p.ip === undefined ? undefined : Number(p.ip[p.ip.length - 1]);
        return judgeInBath("input", p.id, p.kind, figure === undefined || Number.isNaN(figure) ? null : figure, at, {});
      }),
    };
  },
  sheet: (i, o) => ({
    headline: `${count(o.points.filter((p) => p.zone !== null).length, "point")} in the zones; ${o.findings.length ? `${count(o.findings.length, "thing")} to look at` : "all may stand there"}.`,
    scene: drawBathRoom(
      i.bath,
      i.room,
      i.points.map((p, n) => ({ ...p, zone: o.points[n]!.zone })),
    ),
  }),
});
