import { toSpace } from "../../base/wall-frame";
import { type Change } from "../../job/patch";
import { changeOf } from "../../house/change-of";
import { hiddenIn } from "../../house/hidden-in";
import type { Face, House } from "../../house/house";
import { freeLabel } from "../../house/outside-made";
import { type Extension, type NewWay, type Pin, type PinnedLeg, type Section, sectionSchema } from "../../job/model";
import { pinId } from "../../job/run-key";
import type { Run } from "../../laid/laid";
import { cableOf } from "../../rules/catalogue";
import { sectionSizes } from "../../rules/sections";
import { roundRoom } from "./new-ways";

/** Height of the cable behind a skirting, and of mini-trunking along its top, mm above the floor. */
const BEHIND = 60;
const ON_TOP = 160;
/** Share of the inside of mini-trunking that cables may take. */
const FILL = 0.45;

type NewRun = Pick<Run, "id" | "circuit" | "from" | "to" | "number" | "cable">;
/** A place on a wall. */
interface At {
  face: Face;
  u: number;
  v: number;
}

/** From point to point round the walls of their room at a height, the way that no door bars; null where there is none. */
function roundAt(h: House, run: NewRun, height: number): At[] | null {
  const [a, b] = [run.from, run.to].map((id) => h.points[h.pointOfId.get(id) ?? -1]);
  const [f, g] = [h.faces[a?.face ?? -1], h.faces[b?.face ?? -1]];
  if (!a || !b || !f || !g || a.point.place.on !== "wall" || b.point.place.on !== "wall") return null;
  const [best] = roundRoom(h, { a, b, f, g });
  if (!best || best.door) return null;
  const [from, to] = [a.point.place, b.point.place];
  const out: At[] = [
    { face: f, u: from.u, v: from.v },
    { face: f, u: from.u, v: height },
  ];
  let at = f;
  // On the same wall the other way round one first leaves it.
  let leaving = f === g && best.right !== to.u >= from.u;
  while (at !== g || leaving) {
    leaving = false;
    const next = h.faces[best.right ? at.right : at.left]!;
    out.push({ face: at, u: best.right ? at.shape.length : 0, v: height });
    out.push({ face: next, u: best.right ? 0 : next.shape.length, v: height });
    at = next;
  }
  out.push({ face: g, u: to.u, v: height }, { face: g, u: to.u, v: to.v });
  return out;
}

/** The run pinned: in its section all the way; behind the skirting plumb down in the wall, along, and plumb up. */
function pinOfRound(h: House, run: NewRun, path: readonly At[], section: Section | null): Pin {
  const legs = path.slice(1).flatMap((q, i): PinnedLeg[] => {
    const p = path[i]!;
    if (p.face !== q.face || (p.u === q.u && p.v === q.v)) return [];
    const plumb = p.u === q.u;
    const hidden = hiddenIn(h, p.face.wall);
    return [
      {
        surface: { kind: "wall", id: p.face.wall.id },
        method: section ? "mini-trunking" : plumb ? hidden.method : "surface",
        path: [p, q].map((x): [number, number, number] => [...toSpace(x.face.frame, x)]),
        depth: plumb && !section ? hidden.depth : 0,
        protected: false,
        ...(section ? { section: section.id } : {}),
      },
    ];
  });
  const { circuit, from, to, number } = run;
  return { id: pinId(run, number), circuit, from, to, number, legs };
}

/** Ids of the sections that the guide made for a circuit begin so. */
const prefix = (circuit: string): string => `way-${circuit}-`.slice(0, 30);

/**
 * Lays the new runs of an old circuit by the way chosen, as far as it is a matter of the room: in mini-trunking along the skirting's
 * top (a section, with its pieces, corners and fixings), or behind the skirting; either is pinned, since it is the user's word. Any other way is the planner's, which goes
 * under the boards or in chases; what an earlier choice laid goes.
 */
export function layNewWay(h: House, extension: Extension, way: NewWay, runs: readonly NewRun[]): Change[] {
  const { job } = h;
  const circuit = job.circuits.find((c) => c.id === extension.circuit);
  if (!circuit) return [];
  const out: Change[] = [changeOf(job, "extensions", extension.id, { ...extension, way })];
  const walls = way === "surface" ? "surface" : "hidden";
  if (circuit.walls !== walls) out.push(changeOf(job, "circuits", circuit.id, { ...circuit, walls }));
  const own = (s: Section): boolean => s.id.startsWith(prefix(circuit.id));
  const pins = new Map(runs.map((r) => [pinId(r, r.number), r]));
  for (const s of job.sections) if (own(s)) out.push(changeOf(job, "sections", s.id, null));
  const made = new Map<string, Pin>();
  const sections: Section[] = [];
  runs.forEach((r, n) => {
    if (way !== "surface" && way !== "skirting") return;
    const path = roundAt(h, r, way === "surface" ? ON_TOP : BEHIND);
    if (!path) return;
    if (way === "skirting") return void made.set(pinId(r, r.number), pinOfRound(h, r, path, null));
    const cable = cableOf(r.cable, h.catalogue);
    const section = cable ? cable.width * cable.thickness : 0;
    const size = sectionSizes("mini-trunking", h.catalogue).find(
      ({ inside }) => "width" in inside && inside.width * inside.height * FILL >= section,
    );
    if (!size) return;
    const drawn = sectionSchema.parse({
      id: `${prefix(circuit.id)}${n + 1}`,
      label: freeLabel("M", [...job.sections.filter((s) => !own(s)), ...sections]),
      kind: "mini-trunking",
      size: size.id,
      path: path
        .filter((p, i) => i === 0 || p.face !== path[i - 1]!.face || p.u !== path[i - 1]!.u || p.v !== path[i - 1]!.v)
        .map((p) => ({ on: "wall", wall: p.face.wall.id, u: p.u, v: p.v })),
    });
    sections.push(drawn);
    made.set(pinId(r, r.number), pinOfRound(h, r, path, drawn));
  });
  for (const [id] of pins) {
    const there = job.pins.some((p) => p.id === id);
    const pin = made.get(id) ?? null;
    if (pin || there) out.push(changeOf(job, "pins", id, pin));
  }
  for (const s of sections) {
    const at = out.findIndex((c) => c.collection === "sections" && c.id === s.id);
    if (at >= 0) out.splice(at, 1);
    out.push(changeOf(job, "sections", s.id, s));
  }
  return out;
}
