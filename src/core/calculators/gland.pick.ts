import { z } from "zod";
import { drawGlandRanges } from "../drawings/end-drawings";
import { pickGland } from "../trades/ends/gland-pick";
import type { Catalogue } from "../rules/catalogue";
import { cableOf } from "../rules/catalogue";
import { mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

type Sized = { bedding: number; overall: number; wire: number };

function sizesOf(cable: Sized | { catalogue: string }, catalogue: Catalogue): Sized {
  if ("bedding" in cable) return cable;
  const c = cableOf(cable.catalogue, catalogue);
  if (!c || c.bedding === undefined || c.wire === undefined)
    throw new InputFault(
      "cable.catalogue",
      `got "${cable.catalogue}"; must be one of ${catalogue.cables
        .filter((x) => x.bedding !== undefined)
        .map((x) => x.id)
        .join(", ")}`,
    );
  return { bedding: c.bedding, overall: c.width, wire: c.wire };
}

export default calculator({
  name: "gland.pick",
  purpose: "Which gland does this armoured cable take, and what hole?",
  group: "Ends",
  source: "BS 5467 cable and BS EN 62444 glands, typical ranges",
  input: z.strictObject({
    cable: z
      .union([
        z.strictObject({ catalogue: f.name("Cable of the catalogue") }).meta({ title: "From the catalogue" }),
        z
          .strictObject({
            bedding: f.size("Over the bedding", 200),
            overall: f.size("Over the sheath", 200),
            wire: f.size("Armour wire", 10),
          })
          .meta({ title: "As measured" }),
      ])
      .meta({ title: "Cable" }),
    outdoor: f.flag("Outdoors or damp"),
  }),
  output: z.object({
    gland: z.string().nullable(),
    thread: z.string().nullable(),
    hole: z.number().nullable(),
    acrossFlats: z.number().nullable(),
    acrossCorners: z.number().nullable(),
    findings: f.findings,
  }),
  first: { cable: { catalogue: "swa-3x2.5" }, outdoor: true },
  run: (i, catalogue) => {
    const { gland, facts } = pickGland(sizesOf(i.cable, catalogue), i.outdoor, catalogue.glands);
    return {
      gland: gland?.id ?? null,
      thread: gland?.thread ?? null,
      hole: gland?.hole ?? null,
      acrossFlats: gland?.acrossFlats ?? null,
      acrossCorners: gland?.acrossCorners ?? null,
      facts,
    };
  },
  sheet: (i, o, catalogue) => ({
    headline:
      o.gland === null
        ? "No gland of the table takes it."
        : `Gland ${o.gland}, ${o.thread}, hole Ø ${mm(o.hole!)}, ${mm(o.acrossFlats!)} across flats; ${i.outdoor ? "the type that seals on the sheath" : "the indoor type"}.`,
    scene: drawGlandRanges(sizesOf(i.cable, catalogue).overall, catalogue.glands, o.gland),
    steps:
      o.gland === null
        ? []
        : [
            `Drill Ø ${mm(o.hole!)} before anything is mounted: a hole made larger later is a spoiled hour.`,
            "With each gland: lock ring, serrated washer, earth tag, shroud.",
            `Two spanners of ${mm(o.acrossFlats!)} must turn beside it: ${mm(o.acrossCorners!)} across corners and hand room.`,
          ],
  }),
});
