import type { House } from "../house/house";
import { outsideOf } from "../house/outside";
import type { FoundWay, Run, TakeOffLine } from "../laid/laid";
import { cableOf } from "../rules/catalogue";
import type { TaskKind } from "../rules/times";
import { pickGland } from "../trades/ends/gland-pick";
import { lightRows } from "./light-row";
import { runsIn } from "../trades/outside/outside-facts";
import { extensionsOf } from "../trades/retrofit/extension";

/** Width of a trench dug by hand, mm, and what sand weighs and is bought in, kg a cubic metre and kg a bag. Typical. */
const TRENCH_WIDE = 300;
const SAND = 1600;
const BAG = 25;
/** Ties of a cable to its wire, mm apart. Trade habit. */
const TIE = 300;
/** Wire left at each end of a span for its grips, mm. */
const GRIPS = 500;
/** Lengths that conduit is bought in, mm. */
const CONDUIT = 3000;

type Put = (
  item: string,
  size: string,
  quantity: number,
  unit: TakeOffLine["unit"],
  circuit: string | null,
  task: TaskKind,
  place: string,
) => void;

/** Bags of sand for a bed and its cover, whole. */
export const sandBags = (metres: number, bed: number): number =>
  bed > 0 ? Math.ceil((metres * (TRENCH_WIDE / 1000) * ((2 * bed) / 1000) * SAND) / BAG) : 0;

/** What trenches, wires and rows of lights take besides the cable of the runs in them. */
export function addOutside(h: House, runs: readonly Run[], put: Put): void {
  for (const w of outsideOf(h)) {
    const mine = runsIn(w.way.id, runs);
    if (!mine.length) continue;
    const place = `room:${h.faces[w.faces[0]]!.room.id}`;
    const circuit = mine.length === 1 ? mine[0]!.circuit : null;
    const metres = w.length / 1000;
    if (w.way.kind === "trench") {
      if (w.way.marker > 0) put("Marker tape", "", metres, "m", circuit, "fill", place);
      const bags = sandBags(metres, w.way.bed);
      if (bags) put("Sand or sieved soil", `${BAG} kg bag`, bags, "each", circuit, "fill", place);
      for (const d of w.way.ducts) {
        const long = Math.max(0, Math.min(d.to, w.length) - d.from) / 1000;
        if (long <= 0) continue;
        put("Duct", `${d.size} mm`, long, "m", circuit, "dig", place);
        put("Draw cord", "", long + 2, "m", circuit, "dig", place);
      }
      continue;
    }
    put("Catenary wire", "", w.spans.reduce((s, x) => s + x.length + 2 * GRIPS, 0) / 1000, "m", circuit, "hang", place);
    put("Eye bolt for a wire", "", 2, "each", circuit, "hang", place);
    put("Thimble and grips for a wire", "", 2 * w.spans.length, "each", circuit, "hang", place);
    put("Wire strainer", "", 1, "each", circuit, "hang", place);
    put("Cable tie that stands sunlight", "", Math.ceil(w.cable / TIE) * mine.length, "each", circuit, "hang", place);
  }
  const { wastePercent } = h.job.settings;
  for (const f of lightRows(h, [])) {
    const place = `room:${f.row.room}`;
    const add = (item: string, size: string, n: number, unit: TakeOffLine["unit"], task: TaskKind = "lights"): void =>
      put(item, size, n, unit, f.circuit, task, place);
    if (f.cable) add("Cable", f.cable.name, ((f.total / 1000) * (100 + wastePercent)) / 100, "m");
    add("Garden light", `${f.row.watts} W, sealed`, f.lights.length, "each");
    if (f.boxes) add("Sealed junction box", `${f.boxWays}-way`, f.boxes, "each");
    if (f.row.sensor !== "none") add("Light sensor, outdoor", "", 1, "each");
    if (f.row.override) add("Switch, override of a sensor", "1-gang", 1, "each");
    if (f.conduit) {
      add(
        "Conduit that stands sunlight",
        `20 mm, ${CONDUIT / 1000} m lengths`,
        Math.ceil(f.conduit.length / CONDUIT),
        "each",
      );
      add("Saddle for conduit", "20 mm", Math.ceil(f.conduit.length / 1000) + 1, "each");
    } else {
      add("Marker tape", "", f.dug / 1000, "m", "fill");
      const bags = sandBags(f.dug / 1000, 75);
      add("Sand or sieved soil", `${BAG} kg bag`, bags, "each", "fill");
    }
    if (f.cable?.family === "armoured" && f.cable.bedding && f.cable.wire) {
      const { bedding, wire, width } = f.cable;
      const { gland } = pickGland({ bedding, overall: width, wire }, true, h.catalogue.glands);
      // In and out at each light but the last, and where it is fed.
      add(
        "Gland with tag, lock ring and shroud",
        gland ? `${gland.id}, ${gland.thread}, outdoor type` : "ask the maker",
        2 * f.lights.length,
        "each",
      );
    }
  }
}

/** Boxes and connectors where old cables and new ones meet, by circuit. */
export function addJoints(
  h: House,
  plan: { runs: readonly Run[]; found: readonly FoundWay[] },
  roomOfPoint: (point: string) => string,
  put: Put,
): void {
  for (const f of extensionsOf(h, plan))
    for (const j of f.joints) {
      if (j.where === "at-point") continue;
      const run = f.runs.find((r) => r.id === j.run);
      const name = run ? (cableOf(run.cable, h.catalogue)?.name ?? run.cable) : "";
      const closed = j.where === "under-floor" && !j.hatch;
      const add = (item: string, size: string, n: number): void =>
        put(item, size, n, "each", f.circuit.id, "joint", roomOfPoint(j.point));
      add(closed ? "Maintenance-free joint box" : "Joint box", name, 1);
      add("Lever connector", "2-way", j.cores.length);
    }
}
