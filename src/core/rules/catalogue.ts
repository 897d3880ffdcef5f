import { z } from "zod";
import { type Cable, cables } from "./cables";
import { type Conduit, type Trunking, conduits, trunkings } from "./containers";
import { type Gland, glands } from "./glands";
import { type LayerSize, layerKinds, layerSizes } from "./layer-sizes";
import { type MineralCable, mineralCables } from "./mineral-cables";
import { type Box, type ClipSize, type DrumSize, boxes, clipSizes, drumSizes } from "./small-parts";

/** What makers' sheets say: sizes that differ from maker to maker. All typical until replaced. */
export interface Catalogue {
  cables: readonly Cable[];
  glands: readonly Gland[];
  mineral: readonly MineralCable[];
  conduits: readonly Conduit[];
  trunkings: readonly Trunking[];
  layers: readonly LayerSize[];
  boxes: readonly Box[];
  clips: readonly ClipSize[];
  drums: readonly DrumSize[];
}

export const standardCatalogue: Catalogue = {
  cables,
  glands,
  mineral: mineralCables,
  conduits,
  trunkings,
  layers: layerSizes,
  boxes,
  clips: clipSizes,
  drums: drumSizes,
};

const size = z.number().positive().max(1000);
const id = z.string().regex(/^[A-Za-z0-9.\-]{1,40}$/, "an id of 1 to 40 letters, digits, dots or -");
const orderly = <T extends z.ZodType<Record<string, number | string | boolean | undefined>>>(
  schema: T,
  low: string,
  high: string,
): T =>
  schema.refine((r) => (r[low] as number) <= (r[high] as number), {
    path: [high],
    message: `must be at least ${low}`,
  }) as unknown as T;

/** Shape of a row of each table: what an imported sheet is checked against. */
export const rowSchemas = {
  cables: z.strictObject({
    id,
    name: z.string().trim().min(1).max(60),
    family: z.enum(["sheathed", "armoured", "mi", "signal"]),
    csa: size,
    cpc: z.number().min(0).max(1000),
    cores: z.number().int().min(1).max(61),
    width: size,
    thickness: size,
    bedding: size.optional(),
    wire: size.optional(),
    source: z.string().trim().min(1).max(120),
  }),
  glands: orderly(
    orderly(
      z.strictObject({
        id,
        thread: z.string().trim().min(1).max(20),
        bedding: size,
        sheathLeast: size,
        sheathMost: size,
        wireLeast: size,
        wireMost: size,
        acrossFlats: size,
        acrossCorners: size,
        hole: size,
      }),
      "sheathLeast",
      "sheathMost",
    ),
    "wireLeast",
    "wireMost",
  ),
  mineral: z.strictObject({
    id,
    cores: z.number().int().min(1).max(61),
    duty: z.enum(["L", "H"]),
    csa: size,
    sheath: size,
  }),
  conduits: orderly(z.strictObject({ id, outside: size, inside: size }), "inside", "outside"),
  trunkings: z.strictObject({ id, width: size, height: size, insideWidth: size, insideHeight: size }),
  layers: z
    .strictObject({
      id,
      kind: z.enum(layerKinds),
      size: z.string().trim().min(1).max(20),
      width: size,
      depth: size,
      insideWidth: size,
      insideHeight: size,
    })
    .refine((r) => r.id === `${r.kind}-${r.size}`, { path: ["id"], message: "must be kind and size, as capping-25" })
    .refine((r) => r.insideWidth <= r.width, { path: ["insideWidth"], message: "must be at most width" }),
  boxes: z.strictObject({ id, gang: z.union([z.literal(1), z.literal(2)]), width: size, height: size, depth: size }),
  clips: z.strictObject({ id, width: size, thickness: size, metal: z.boolean() }),
  drums: z.strictObject({ id, cable: id, metres: z.number().positive().max(5000) }),
} as const satisfies Record<keyof Catalogue, z.ZodType>;

export type CatalogueTable = keyof Catalogue;
export const catalogueTables = Object.keys(rowSchemas) as CatalogueTable[];
export const isCatalogueTable = (x: unknown): x is CatalogueTable =>
  typeof x === "string" && Object.hasOwn(rowSchemas, x);

/** What each table holds, in words, and where its standard values come from. */
export const catalogueNames: Record<CatalogueTable, { title: string; source: string }> = {
  cables: { title: "Cables", source: "BS 6004 flat cable and BS 5467 armoured cable, typical sizes" },
  glands: { title: "Glands", source: "BS EN 62444, typical ranges" },
  mineral: { title: "Mineral-insulated cables", source: "BS EN 60702-1, typical sheath diameters" },
  conduits: { title: "Conduit", source: "BS EN 61386, typical inside diameters" },
  trunkings: { title: "Trunking", source: "BS EN 50085, nominal less walls and lid, typical" },
  layers: {
    title: "Capping, oval tube, tray, basket, ladder",
    source: "typical outside and inside sizes; EN 61537 for tray, basket and ladder",
  },
  boxes: { title: "Boxes", source: "BS 4662, typical inside sizes" },
  clips: { title: "Clips", source: "typical" },
  drums: { title: "Drums", source: "as usually sold" },
};

/** A row that replaces the standard one of the same id, or adds to the table. */
export interface CatalogueRow {
  table: CatalogueTable;
  row: { id: string } & Record<string, unknown>;
}

/**
 * The catalogue with the user's own rows put in: a row of a known id takes that row's place, others are added at the end.
 * Rows that do not fit their table's shape are left out (the door that stores them refuses them in words).
 */
export function withRows(base: Catalogue, own: readonly CatalogueRow[]): Catalogue {
  if (!own.length) return base;
  const out: Record<string, readonly { id: string }[]> = { ...base };
  for (const { table, row } of own) {
    if (!rowSchemas[table].safeParse(row).success) continue;
    const rows = out[table]!;
    out[table] = rows.some((r) => r.id === row.id) ? rows.map((r) => (r.id === row.id ? row : r)) : [...rows, row];
  }
  return out as unknown as Catalogue;
}

/** A row under another id; of what holds one layer its size follows from that. */
export function rowNamed({ table, row }: CatalogueRow, id: string): CatalogueRow["row"] {
  const kind = String(row.kind);
  return {
    ...row,
    id,
    ...(table === "layers" && id.startsWith(`${kind}-`) ? { size: id.slice(kind.length + 1) } : {}),
  };
}

const indexes = new WeakMap<readonly { id: string }[], Map<string, { id: string }>>();

/** The row of that id in a table, or null. */
export function rowOf<T extends { id: string }>(rows: readonly T[], wanted: string): T | null {
  let index = indexes.get(rows);
  if (!index) indexes.set(rows, (index = new Map(rows.map((r) => [r.id, r]))));
  return (index.get(wanted) as T | undefined) ?? null;
}

/** Cable by its id in a catalogue (the standard one when none is given), or null. */
export const cableOf = (wanted: string, catalogue: Catalogue = standardCatalogue): Cable | null =>
  rowOf(catalogue.cables, wanted);
