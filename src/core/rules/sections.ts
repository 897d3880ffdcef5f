import type { Catalogue } from "./catalogue";
import { layerKinds } from "./layer-sizes";
import type { groupings, Method } from "./ratings";

/** How cable lies in a section of containment: what its legs are called. */
export const sectionMethods = [
  "capping",
  "oval",
  "tube",
  "mini-trunking",
  "trunking",
  "tray",
  "basket",
  "ladder",
] as const;
export type SectionMethod = (typeof sectionMethods)[number];

export const sectionKinds = [
  "capping",
  "oval",
  "conduit-plastic",
  "conduit-metal",
  "mini-trunking",
  "trunking-plastic",
  "trunking-metal",
  "tray",
  "basket",
  "ladder",
  "cleats",
] as const;
export type SectionKind = (typeof sectionKinds)[number];

/** What a kind of containment is and does. Lengths mm. */
export interface SectionRow {
  name: string;
  method: SectionMethod | "surface";
  material: "plastic" | "metal";
  /** In the wall under the plaster: its cables keep to the zones. Else on the surface, where they are seen. */
  hidden: boolean;
  /** How room in it is counted: by the share of the inside; side by side in one layer; each cable by itself. */
  holds: "space" | "layer" | "alone";
  /** Length it is sold in. Typical. */
  stock: number;
  /** Most between its fixings where no table says: typical. */
  fixings: number;
  /** Method its cables are rated by, on a wall or deck; in an insulated wall `A` goes before. */
  rated: Method;
  grouping: (typeof groupings)[number];
  about: string;
}

/** Kinds of containment. Methods: BS 7671:2018+A2:2022 Table 4A2, in our words; stock lengths and fixings typical. */
export const sectionRows: Readonly<Record<SectionKind, SectionRow>> = {
  capping: {
    name: "Capping",
    method: "capping",
    material: "plastic",
    hidden: true,
    holds: "layer",
    stock: 2000,
    fixings: 400,
    rated: "C",
    grouping: "bunched",
    about: "Over cable in a chase, while the plaster goes on. The cable is fixed for good.",
  },
  oval: {
    name: "Oval tube",
    method: "oval",
    material: "plastic",
    hidden: true,
    holds: "layer",
    stock: 3000,
    fixings: 400,
    rated: "C",
    grouping: "bunched",
    about: "In a chase under the plaster. The cable can be drawn out and another drawn in.",
  },
  "conduit-plastic": {
    name: "Plastic conduit",
    method: "tube",
    material: "plastic",
    hidden: false,
    holds: "space",
    stock: 3000,
    fixings: 800,
    rated: "B",
    grouping: "bunched",
    about: "Round tube on the surface; bends by spring or bought.",
  },
  "conduit-metal": {
    name: "Metal conduit",
    method: "tube",
    material: "metal",
    hidden: false,
    holds: "space",
    stock: 3750,
    fixings: 800,
    rated: "B",
    grouping: "bunched",
    about: "Round steel tube on the surface; bent on the machine, earthed, holds cable in a fire.",
  },
  "mini-trunking": {
    name: "Mini-trunking",
    method: "mini-trunking",
    material: "plastic",
    hidden: false,
    holds: "space",
    stock: 3000,
    fixings: 500,
    rated: "B",
    grouping: "bunched",
    about: "Small, on the surface, where walls are not opened: behind it nothing is cut.",
  },
  "trunking-plastic": {
    name: "Plastic trunking",
    method: "trunking",
    material: "plastic",
    hidden: false,
    holds: "space",
    stock: 3000,
    fixings: 500,
    rated: "B",
    grouping: "bunched",
    about: "Many cables together, as down to a board; corners folded by hand or bought.",
  },
  "trunking-metal": {
    name: "Metal trunking",
    method: "trunking",
    material: "metal",
    hidden: false,
    holds: "space",
    stock: 3000,
    fixings: 750,
    rated: "B",
    grouping: "bunched",
    about: "As plastic trunking; earthed, holds cable in a fire.",
  },
  tray: {
    name: "Tray",
    method: "tray",
    material: "metal",
    hidden: false,
    holds: "layer",
    stock: 3000,
    fixings: 1500,
    rated: "E",
    grouping: "tray",
    about: "Perforated: the holes are for air first and ties second. One layer, with room for the next.",
  },
  basket: {
    name: "Basket",
    method: "basket",
    material: "metal",
    hidden: false,
    holds: "layer",
    stock: 3000,
    fixings: 1500,
    rated: "E",
    grouping: "tray",
    about: "For many light sheathed cables.",
  },
  ladder: {
    name: "Ladder",
    method: "ladder",
    material: "metal",
    hidden: false,
    holds: "layer",
    stock: 3000,
    fixings: 2000,
    rated: "E",
    grouping: "tray",
    about: "For heavy armour.",
  },
  cleats: {
    name: "Cleats",
    method: "surface",
    material: "metal",
    hidden: false,
    holds: "alone",
    stock: 0,
    fixings: 400,
    rated: "C",
    grouping: "wall",
    about: "Armour on the wall, cleat by cleat, the screw at the top.",
  },
};

/** A size of containment: how wide it stands on the wall and how far off it, its inside, mm. */
export interface SectionSize {
  id: string;
  width: number;
  depth: number;
  /** Inside of what is filled by area; for a layer the width that cables lie side by side in. */
  inside: { width: number; height: number } | { diameter: number };
}

const flat = (id: string, width: number, depth: number, insideWidth: number, insideHeight: number): SectionSize => ({
  id,
  width,
  depth,
  inside: { width: insideWidth, height: insideHeight },
});

/** The largest trunking that is still called mini-trunking: its height, mm. */
const MINI = 25;

/** The table of the catalogue that the sizes of a kind stand in, and the row of one of them; null for cleats. */
export function sizeRow(
  kind: SectionKind,
  size: string,
): { table: "conduits" | "trunkings" | "layers"; id: string } | null {
  if (kind === "cleats") return null;
  if (kind.startsWith("conduit")) return { table: "conduits", id: size };
  return (layerKinds as readonly string[]).includes(kind)
    ? { table: "layers", id: `${kind}-${size}` }
    : { table: "trunkings", id: size };
}

/** Sizes of a kind, smallest first, as the catalogue has them. */
export function sectionSizes(kind: SectionKind, catalogue: Catalogue): readonly SectionSize[] {
  switch (kind) {
    case "capping":
    case "oval":
    case "tray":
    case "basket":
    case "ladder":
      return catalogue.layers
        .filter((x) => x.kind === kind)
        .sort((p, q) => p.insideWidth - q.insideWidth)
        .map((x) => flat(x.size, x.width, x.depth, x.insideWidth, x.insideHeight));
    case "cleats":
      return [flat("one", 20, 30, 20, 20)];
    case "conduit-plastic":
    case "conduit-metal":
      return catalogue.conduits.map((c) => ({
        id: c.id,
        width: c.outside,
        depth: c.outside,
        inside: { diameter: c.inside },
      }));
    case "mini-trunking":
    case "trunking-plastic":
    case "trunking-metal":
      return catalogue.trunkings
        .filter((t) => kind !== "mini-trunking" || (t.height <= MINI && t.width <= 50))
        .map((t) => flat(t.id, t.width, t.height, t.insideWidth, t.insideHeight));
  }
}

/** Methods by which cable lies in a wall under its plaster, in a chase: the zones and the depths of chases bind. */
export const cutIn: ReadonlySet<string> = new Set(["chase", "capping", "oval"]);
/** Methods by which cable on a wall or deck lies in containment that stands on the surface. */
export const onSurface: ReadonlySet<string> = new Set(["surface", ...sectionMethods.filter((m) => !cutIn.has(m))]);
/** True for a method that cable only lies by in a section. */
export const isSectionMethod = (method: string): boolean => (sectionMethods as readonly string[]).includes(method);
