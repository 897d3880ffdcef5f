import type { z } from "zod";
import type { packSchema, stockSchema } from "../../core/job/model";

/** Things on the van at the start, some of them too few. */
export const stock: z.input<typeof stockSchema>[] = [
  { id: "van-1", item: "Grommet", size: "20 mm", quantity: 20 },
  { id: "van-2", item: "Flush box", size: "2-gang, 35 mm deep", quantity: 10 },
  { id: "van-3", item: "Clip", size: "2.5 mm² twin and earth", quantity: 200 },
  { id: "van-4", item: "Screw and plug", size: "", quantity: 100 },
];

/** A price list with prices made up for the demo; some items are not in it. */
export const packs: z.input<typeof packSchema>[] = [
  ["Cable", "2.5 mm² twin and earth", 100, 7200],
  ["Cable", "2.5 mm² twin and earth", 50, 3900],
  ["Cable", "1.0 mm² twin and earth", 100, 4100],
  ["Cable", "1.0 mm² twin and earth", 50, 2300],
  ["Cable", "1.0 mm² three-core and earth", 25, 1900],
  ["Cable", "1.5 mm² three-core and earth", 25, 2600],
  ["Cable", "1.5 mm² twin and earth", 50, 3100],
  ["Cable", "3-core 10 mm² armoured", 25, 11_500],
  ["Cable", "3-core 10 mm² armoured", 18, 8900],
  ["Capping", "12 mm", 2, 90],
  ["Clip", "1.0 mm² twin and earth", 100, 350],
  ["Clip", "1.0 mm² twin and earth", 20, 110],
  ["Flush box", "1-gang, 35 mm deep", 10, 650],
  ["Flush box", "1-gang, 35 mm deep", 1, 85],
  ["Flush box", "2-gang, 35 mm deep", 10, 980],
  ["Flush box", "2-gang, 35 mm deep", 1, 130],
  ["Grommet", "20 mm", 50, 300],
  ["Grommet", "20 mm", 10, 95],
  ["Socket outlet", "2-gang", 5, 1650],
  ["Socket outlet", "2-gang", 1, 380],
  ["Socket outlet", "1-gang", 1, 290],
  ["Light switch", "1-gang", 1, 240],
  ["Smoke alarm", "", 1, 1900],
  ["Heat alarm", "", 1, 2100],
  ["Mini-trunking", "38 × 16", 3, 720],
  ["Tray", "100", 3, 1450],
].map(([item, size, holds, price], i) => ({
  id: `pack-${String(i + 1).padStart(2, "0")}`,
  item: String(item),
  size: String(size),
  holds: Number(holds),
  price: Number(price),
}));
