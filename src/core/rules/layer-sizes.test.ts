import { describe, expect, it } from "vitest";
import { type CatalogueRow, rowNamed, rowSchemas, standardCatalogue, withRows } from "./catalogue";
import { layerKinds } from "./layer-sizes";
import { sectionSizes, sizeRow } from "./sections";

const own = (more: object = {}): CatalogueRow => ({
  table: "layers",
  row: {
    id: "capping-50",
    kind: "capping",
    size: "50",
    width: 50,
    depth: 10,
    insideWidth: 47,
    insideHeight: 9,
    ...more,
  },
});

describe("sizes of capping, oval tube, tray, basket and ladder", () => {
  it("are rows of the catalogue, which a maker's sheet replaces or adds to", () => {
    for (const kind of layerKinds) {
      const sizes = sectionSizes(kind, standardCatalogue);
      expect(sizes.length).toBeGreaterThan(2);
      for (const s of sizes) {
        const row = sizeRow(kind, s.id)!;
        expect(standardCatalogue.layers.some((x) => row.table === "layers" && x.id === row.id)).toBe(true);
      }
    }
    const catalogue = withRows(standardCatalogue, [own(), own({ id: "capping-12", size: "12", insideWidth: 9 })]);
    const cappings = sectionSizes("capping", catalogue).map((s) => [s.id, "width" in s.inside && s.inside.width]);
    // Smallest first, the user's own in its place.
    expect(cappings).toEqual([
      ["12", 9],
      ["25", 23],
      ["38", 36],
      ["50", 47],
    ]);
  });
  it("are refused where the id is not kind and size, or the inside wider than the outside", () => {
    const fits = (more: object): boolean => rowSchemas.layers.safeParse(own(more).row).success;
    expect(fits({})).toBe(true);
    expect(fits({ id: "50" })).toBe(false);
    expect(fits({ kind: "oval" })).toBe(false);
    expect(fits({ insideWidth: 50.1 })).toBe(false);
    expect(fits({ insideWidth: 50 })).toBe(true);
  });
  it("called otherwise keep kind and size together; of the other tables a section names its size", () => {
    expect(rowNamed(own(), "capping-50-2")).toMatchObject({ id: "capping-50-2", size: "50-2" });
    expect(rowSchemas.layers.safeParse(rowNamed(own(), "capping-50-2")).success).toBe(true);
    expect([sizeRow("conduit-metal", "25"), sizeRow("mini-trunking", "38x16"), sizeRow("cleats", "one")]).toEqual([
      { table: "conduits", id: "25" },
      { table: "trunkings", id: "38x16" },
      null,
    ]);
  });
});
