import {
  ARMOUR_RESISTANCE,
  ambientFactors,
  groundFactors,
  armourMethods,
  armourRatings,
  armourSection,
  flatMethods,
  flatRatings,
  groupingFactors,
  insulationFactors,
  loopLimit,
  methodNames,
  printedDevices,
  typicalZe,
} from "../rules/ratings";
import { cookerDiversity } from "../trades/circuits/cooker";
import { conduitSupports, trunkingSupports } from "../trades/containment/supports";
import {
  longCable,
  longConduit,
  longSizes,
  shortCable,
  shortConduit,
  trunkingCable,
  trunkingFactor,
} from "../rules/term-tables";
import { conductorResistance } from "../rules/resistance";
import { bendFactors } from "../trades/fixings/bends";
import { clipTable } from "../trades/fixings/clips";
import { kitchenRules } from "../trades/kitchen/clearances";
import { overheadHeights } from "../trades/outside/overhead";
import { trench } from "../trades/outside/buried";
import { timberRules } from "../rules/timber";
import { minutes, wallHoleThickness } from "../rules/times";
import { accessories } from "../rules/accessories";
import { type Catalogue, type CatalogueTable, catalogueNames, catalogueTables } from "../rules/catalogue";

/** A table of the rule book as it is read: made from the very data the program computes with. */
export interface BookTable {
  id: string;
  title: string;
  source: string;
  caution: string;
  columns: readonly string[];
  rows: readonly (readonly (string | number)[])[];
}

const GUIDE = "On-site working practice to BS 7671:2018+A2:2022";
const APPENDIX = "BS 7671:2018+A2:2022 Appendix 4";
const none = "—";
const pair = (p: readonly number[] | null | undefined): string => (p ? p.join(" / ") : none);
const span = (over: number, upTo: number): string =>
  upTo === Infinity ? `> ${over}` : over <= 0 ? `≤ ${upTo}` : `> ${over} ≤ ${upTo}`;
const aid = "A working aid: local code and licensed practice come first.";
const typical = "Typical: a maker's sheet goes before it, and may be put in its place.";
const bySection = (o: Readonly<Record<string, unknown>>): string[] =>
  Object.keys(o).sort((a, b) => Number(a) - Number(b));

const fixed: readonly BookTable[] = [
  {
    id: "minutes",
    title: "Minutes that work takes",
    source: "Typical; one electrician, tools at hand",
    caution: "For comparing ways and planning a day. Boxes, clips and ends are the same whatever the way.",
    columns: ["work", "minutes"],
    rows: [
      ["hole in a joist", minutes.bore],
      ["hole in a stud, plate or noggin", minutes.studHole],
      [`hole in a wall ${wallHoleThickness.thin} thick`, minutes.wallHole.thin],
      [`hole in a wall ${wallHoleThickness.thick} thick`, minutes.wallHole.thick],
      ["metre of chase in plaster or board", minutes.chaseMetre.plaster],
      ["metre of chase in masonry", minutes.chaseMetre.masonry],
      ["metre of floor board lifted", minutes.boardMetre.up],
      ["metre of floor board put back", minutes.boardMetre.down],
      ["run drawn in", minutes.drawIn.run],
      ["metre drawn in", minutes.drawIn.metre],
      ["box let into masonry", minutes.box.masonry],
      ["box in a stud wall or on the surface", minutes.box.other],
      ["metre of containment fixed", minutes.containmentMetre],
      ["clip", minutes.clip],
      ["metre of chase covered", minutes.coverMetre],
      ["ends of a box coiled, flagged and covered", minutes.tails],
      ["run tested on its tails", minutes.test],
      ["ring tested end to end", minutes.ring],
      ["wall or deck photographed", minutes.photo],
      ["wall or deck released", minutes.release],
      ["setting up at one place", minutes.setUp],
    ],
  },
  {
    id: "clips",
    title: "Clip spacing of reachable cable, horizontal / vertical, mm",
    source: `${GUIDE}, support of cables`,
    caution: aid,
    columns: ["overall Ø, widest axis", "sheathed", "armoured", "mineral-insulated"],
    rows: clipTable.map((r) => [
      span(r.over, r.upTo),
      pair(r.spacing.sheathed),
      pair(r.spacing.armoured),
      pair(r.spacing.mi),
    ]),
  },
  {
    id: "conduit-supports",
    title: "Supports of conduit, horizontal / vertical, m",
    source: `${GUIDE}, spacing of supports for conduits`,
    caution: aid,
    columns: ["outside Ø", "metal", "insulating", "pliable"],
    rows: conduitSupports.map((r, i) => [
      span(i ? conduitSupports[i - 1]!.upTo : 0, r.upTo),
      pair(r.metal),
      pair(r.insulating),
      pair(r.pliable),
    ]),
  },
  {
    id: "trunking-supports",
    title: "Supports of trunking, horizontal / vertical, m",
    source: `${GUIDE}, spacing of supports for trunking`,
    caution: aid,
    columns: ["section mm²", "metal", "insulating"],
    rows: trunkingSupports.map((r) => [span(r.over, r.upTo), pair(r.metal), pair(r.insulating)]),
  },
  {
    id: "bends",
    title: "Least inner radius of bends, × overall diameter",
    source: "BS 7671:2018+A2:2022 522.8.3, on-site guidance",
    caution: "Flat cable goes by its wider axis unless bent the flat way by choice.",
    columns: ["cable", "diameter", "factor"],
    rows: [
      ...bendFactors.sheathed.map((r, i): (string | number)[] => [
        "sheathed",
        span(i ? bendFactors.sheathed[i - 1]!.upTo : 0, r.upTo),
        r.factor,
      ]),
      ["armoured, round copper", "all", bendFactors.armoured.circular],
      ["armoured, shaped or solid aluminium", "all", bendFactors.armoured.shaped],
      ["mineral-insulated", "all", bendFactors.mi],
    ],
  },
  {
    id: "timber",
    title: "Holes and notches in solid joists",
    source: "Approved Document A, and new-home warranty practice",
    caution: "Up to 250 deep and without heavy loads; else ask a structural engineer. Engineered joists: maker only.",
    columns: ["cut", "from × span", "to × span", "most × depth"],
    rows: [
      ["hole", timberRules.hole.from, timberRules.hole.to, timberRules.hole.size],
      [
        "notch, warranty",
        timberRules.notch.warranty.from,
        timberRules.notch.warranty.to,
        timberRules.notch.warranty.depth,
      ],
      [
        "notch, on-site",
        timberRules.notch["on-site"].from,
        timberRules.notch["on-site"].to,
        timberRules.notch["on-site"].depth,
      ],
    ],
  },
  {
    id: "fill-short",
    title: "Cable factors, straight conduit up to 3 m",
    source: `${GUIDE}, conduit capacities`,
    caution: aid,
    columns: ["mm²", "solid", "stranded"],
    rows: bySection({ ...shortCable.solid, ...shortCable.stranded }).map((s) => [
      s,
      shortCable.solid[s] ?? none,
      shortCable.stranded[s] ?? none,
    ]),
  },
  {
    id: "conduit-short",
    title: "Conduit factors, straight up to 3 m",
    source: `${GUIDE}, conduit capacities`,
    caution: aid,
    columns: ["conduit", "factor"],
    rows: bySection(shortConduit).map((s) => [s, shortConduit[s]!]),
  },
  {
    id: "fill-long",
    title: "Cable factors, longer conduit or with bends",
    source: `${GUIDE}, conduit capacities`,
    caution: aid,
    columns: ["mm²", "factor"],
    rows: bySection(longCable).map((s) => [s, longCable[s]!]),
  },
  {
    id: "conduit-long",
    title: "Conduit factors by length and right-angle bends",
    source: `${GUIDE}, conduit capacities`,
    caution:
      "A double set counts as one bend. Between lengths take the next longer; where there is none, put in a box to draw from.",
    columns: [
      "m",
      ...[0, 1, 2, 3, 4].flatMap((b) =>
        longSizes.map((s) => `${b === 0 ? "straight" : `${b} ${b === 1 ? "bend" : "bends"}`}, ${s}`),
      ),
    ],
    rows: longConduit.map((r) => [
      r.length,
      ...r.bends.flatMap((b): (string | number)[] => (b ? [...b] : longSizes.map(() => none))),
    ]),
  },
  {
    id: "fill-trunking",
    title: "Cable factors in trunking",
    source: `${GUIDE}, trunking capacities`,
    caution: aid,
    columns: ["mm²", "solid", "stranded"],
    rows: bySection({ ...trunkingCable.solid, ...trunkingCable.stranded }).map((s) => [
      s,
      trunkingCable.solid[s] ?? none,
      trunkingCable.stranded[s] ?? none,
    ]),
  },
  {
    id: "trunking",
    title: "Trunking factors",
    source: `${GUIDE}, trunking capacities`,
    caution: aid,
    columns: ["trunking", "factor"],
    rows: Object.entries(trunkingFactor).map(([s, f]) => [s.replace("x", " × "), f]),
  },
  {
    id: "methods",
    title: "Installation methods",
    source: APPENDIX,
    caution: aid,
    columns: ["method", "what it means"],
    rows: Object.entries(methodNames).map(([m, w]) => [m, w]),
  },
  {
    id: "flat-ratings",
    title: "Flat twin-and-earth, 70 °C: A by method, mV/A/m",
    source: APPENDIX,
    caution: "Method A for 2.5 mm² only just meets 20 A; 101 and 103 do not.",
    columns: ["mm²", ...flatMethods, "mV/A/m"],
    rows: bySection(flatRatings).map((s): (string | number)[] => [s, ...flatRatings[s]!.amps, flatRatings[s]!.drop]),
  },
  ...([90, 70] as const).map((t) => ({
    id: `armour-ratings-${t}`,
    title: `Armoured copper${t === 70 ? " where accessories stand 70 °C" : ", 90 °C"}: A by method, mV/A/m`,
    source: APPENDIX,
    caution: "A 90 °C cable on 70 °C accessories is rated as 70 °C.",
    columns: ["mm²", ...armourMethods, "mV/A/m"],
    rows: bySection(armourRatings[t]).map((s) => [s, ...armourRatings[t][s]!.amps, armourRatings[t][s]!.drop]),
  })),
  {
    id: "armour-section",
    title: `Armour as earth, mm² for 2, 3, 4 cores; ${ARMOUR_RESISTANCE} mΩ/m for 1 mm²`,
    source: "BS 5467, typical",
    caution: typical,
    columns: ["mm²", "2 cores", "3 cores", "4 cores"],
    rows: bySection(armourSection).map((s) => [s, ...armourSection[s]!]),
  },
  ...(Object.keys(groupingFactors) as (keyof typeof groupingFactors)[]).map((k) => ({
    id: `grouping-${k}`,
    title: `Grouping factor, ${{ bunched: "bunched or enclosed", wall: "single layer on wall or floor", tray: "single layer on perforated tray", ground: "touching in the ground" }[k]}`,
    source: APPENDIX,
    caution: "A circuit loaded up to 30 % of its grouped rating may be left out of the number.",
    columns: ["circuits", "factor"],
    rows: groupingFactors[k].map(([n, f]) => [n, f]),
  })),
  {
    id: "ambient",
    title: "Ambient temperature factor",
    source: APPENDIX,
    caution: aid,
    columns: ["°C", "70 °C cable", "90 °C cable"],
    rows: ambientFactors[70].map(([t, f], i) => [t, f, ambientFactors[90][i]![1]]),
  },
  {
    id: "ground",
    title: "Temperature factor in the ground",
    source: APPENDIX,
    caution: aid,
    columns: ["°C of the soil", "70 °C cable", "90 °C cable"],
    rows: groundFactors[70].map(([t, f], i) => [t, f, groundFactors[90][i]![1]]),
  },
  {
    id: "insulation",
    title: "Through thermal insulation",
    source: "BS 7671:2018+A2:2022 523.9",
    caution: "Base method C; never together with methods 100 to 103.",
    columns: ["mm", "factor"],
    rows: insulationFactors.map(([l, f]) => [l, f]),
  },
  {
    id: "resistance",
    title: "Resistance of copper at 20 °C, mΩ/m",
    source: "BS 7671:2018+A2:2022 working tables",
    caution: "Warm conductors have 1.2 times as much.",
    columns: ["mm²", "mΩ/m"],
    rows: bySection(conductorResistance).map((s) => [s, conductorResistance[s]!]),
  },
  {
    id: "loop",
    title: "Largest loop impedance for 0.4 s, Ω",
    source: "BS 7671:2018+A2:2022 Table 41.3",
    caution: "Measured cold values compare with 80 % of these; do not take both off.",
    columns: ["A", "type B", "type C"],
    rows: printedDevices.map((a) => [a, loopLimit("B", a), loopLimit("C", a)]),
  },
  {
    id: "ze",
    title: "Typical largest Ze, Ω",
    source: GUIDE,
    caution: "Measure it. TT goes by the electrode.",
    columns: ["supply", "Ze"],
    rows: Object.entries(typicalZe).map(([s, z]) => [s, z]),
  },
  {
    id: "cooker",
    title: "Cooker after diversity",
    source: `${GUIDE}, allowances for diversity`,
    caution: "The other school designs for all of it.",
    columns: ["part", "counts"],
    rows: [
      ["first", `${cookerDiversity.first} A`],
      ["of the rest", `${cookerDiversity.rest * 100} %`],
      ["outlet in the control", `${cookerDiversity.outlet} A`],
    ],
  },
  {
    id: "kitchen",
    title: "Kitchen clearances, mm",
    source: "Kitchen working practice to BS 7671:2018+A2:2022",
    caution: aid,
    columns: ["what", "limit"],
    rows: [
      ["outlet to bowl, least", kitchenRules.sink],
      ["outlet to hob, least", kitchenRules.hob],
      ["centre above worktop, least", kitchenRules.worktop],
      ["control to appliance, most", kitchenRules.control],
    ],
  },
  {
    id: "heights",
    title: "Usual heights of points, mm",
    source: "Approved Document M, and custom",
    caution: "New-dwelling heights bind only in new dwellings.",
    columns: ["point", "usual", "new dwelling"],
    rows: Object.values(accessories).map((a): (string | number)[] => [
      a.name,
      a.height ?? "ceiling",
      a.newHeight ?? "ceiling",
    ]),
  },
  {
    id: "overhead",
    title: "Heights of overhead cable, mm",
    source: `${GUIDE}, heights of overhead cables`,
    caution: "The catenary's maker gives its span.",
    columns: ["beneath", "least"],
    rows: Object.entries(overheadHeights).map(([b, h]) => [b.replace("-", ", "), h]),
  },
  {
    id: "trench",
    title: "Trench, mm",
    source: "BS 7671:2018+A2:2022 522.8.10, and custom",
    caution: aid,
    columns: ["what", "mm"],
    rows: [
      ["depth by custom", trench.usual],
      ["never less than", trench.least],
      ["bed and cover", trench.bed.join(" to ")],
      ["marker above the cable, about", trench.marker],
    ],
  },
];

/** A table of the catalogue as it is read, with the user's own rows in it. */
export function catalogueTable(catalogue: Catalogue, table: CatalogueTable): BookTable {
  const rows = catalogue[table] as readonly object[];
  const columns = [...new Set(rows.flatMap((r) => Object.keys(r)))].filter((c) => c !== "source");
  return {
    id: `catalogue-${table}`,
    title: catalogueNames[table].title,
    source: catalogueNames[table].source,
    caution: typical,
    columns,
    rows: rows.map((r) => columns.map((c) => String((r as Record<string, unknown>)[c] ?? none))),
  };
}

/** Every table the program computes with, those of the catalogue last. */
export const bookTables = (catalogue: Catalogue): BookTable[] => [
  ...fixed,
  ...catalogueTables.map((t) => catalogueTable(catalogue, t)),
];
