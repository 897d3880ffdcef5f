import { within } from "../base/interval";
import { EPS, tidy } from "../base/tolerance";
import { type XYZ, toFace } from "../base/wall-frame";
import type { House } from "../house/house";
import { bitFor, bits, wallDrills } from "../rules/bits";
import { cableOf } from "../rules/catalogue";
import type { LaidRun } from "../routing/lay";
import { timberRules } from "../rules/timber";
import type { Hole } from "../laid/laid";

/** Two runs share a hole when their crossings are this near, mm. */
const SHARED = 1;

/**
 * Every hole that the runs need: where their legs cross joists, and where they go through walls. Runs at one place share a hole. A
 * hole drilled for a run that is done stays as it was drilled, and others may share it.
 */
export function holesOf(h: House, runs: readonly LaidRun[]): Hole[] {
  const found: { hole: Omit<Hole, "diameter" | "plated" | "id">; most: number; done: Hole | null }[] = [];
  const add = (hole: Omit<Hole, "diameter" | "plated" | "id">, most: number): void => {
    const there = found.find(
      (f) =>
        f.hole.in.kind === hole.in.kind &&
        f.hole.in.deck === hole.in.deck &&
        f.hole.in.joist === hole.in.joist &&
        f.hole.in.span === hole.in.span &&
        f.hole.in.wall === hole.in.wall &&
        Math.abs(f.hole.at - hole.at) <= SHARED &&
        Math.abs(f.hole.fromTop - hole.fromTop) <= SHARED,
    );
    if (there) {
      for (const r of hole.runs) if (!there.hole.runs.includes(r)) there.hole.runs.push(r);
    } else found.push({ hole, most, done: null });
  };
  for (const run of runs)
    for (const o of run.held?.holes ?? []) {
      const there = found.find((f) => f.done?.id === o.id);
      if (there) there.hole.runs.push(run.id);
      else
        found.push({
          hole: { in: o.in, at: o.at, fromTop: o.fromTop, centre: o.centre, runs: [run.id] },
          most: 0,
          done: o,
        });
    }
  for (const run of runs)
    for (const leg of run.held ? [] : run.legs)
      for (let i = 1; i < leg.path.length; i++) {
        const a = leg.path[i - 1]!;
        const b = leg.path[i]!;
        if (leg.surface.kind === "deck") joistCrossings(h, leg.surface.id, a, b, run.id, add);
        if (leg.surface.kind === "through") {
          const face = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1];
          if (!face) continue;
          const p = toFace(face.frame, a);
          add(
            {
              in: { kind: "wall", wall: leg.surface.id },
              at: tidy(p.u),
              fromTop: tidy(face.shape.height - p.v),
              centre: [...a],
              runs: [run.id],
            },
            wallDrills[wallDrills.length - 1]!,
          );
        }
      }
  const cableOfRun = new Map(runs.map((r) => [r.id, cableOf(r.cable, h.catalogue)!]));
  return found
    .map(({ hole, most, done }): Hole => {
      if (done) return { ...done, runs: hole.runs };
      const diameter =
        bitFor(
          hole.runs.map((r) => cableOfRun.get(r)!),
          most,
          hole.in.kind === "wall" ? wallDrills : bits,
        ) ?? Math.max(...bits.filter((d) => d <= most + EPS), bits[0]!);
      const deck = hole.in.deck === undefined ? null : h.decks[h.deckOfId.get(hole.in.deck)!]!;
      const plated =
        deck !== null &&
        Math.min(hole.fromTop, deck.deck.joists.depth - hole.fromTop) - diameter / 2 < timberRules.cableEdge - EPS;
      const at = String(Math.round(hole.at * 10) / 10).replace(".", "_");
      const id =
        hole.in.kind === "joist"
          ? `${hole.in.deck}.J${hole.in.joist}.${hole.in.span}.${at}`
          : `${hole.in.wall}.${at}.${Math.round(hole.fromTop)}`;
      return { id, ...hole, diameter, plated };
    })
    .sort((p, q) => (p.id < q.id ? -1 : p.id > q.id ? 1 : 0));
}

function joistCrossings(
  h: House,
  deckId: string,
  a: XYZ,
  b: XYZ,
  run: string,
  add: (hole: Omit<Hole, "diameter" | "plated" | "id">, most: number) => void,
): void {
  const l = h.decks[h.deckOfId.get(deckId) ?? -1];
  if (!l) return;
  const [al, ac] = l.along === "x" ? [0, 1] : [1, 0];
  const lo = Math.min(a[ac]!, b[ac]!);
  const hi = Math.max(a[ac]!, b[ac]!);
  if (hi - lo < EPS) return;
  for (const j of l.joists) {
    if (j.at < lo - EPS || j.at > hi + EPS) continue;
    const t = (j.at - a[ac]!) / (b[ac]! - a[ac]!);
    const along = a[al]! + t * (b[al]! - a[al]!);
    const z = a[2] + t * (b[2] - a[2]);
    // Along the face of a joist, as a light's tail lies, nothing is bored.
    if (z <= l.underside + EPS || z >= l.top - EPS) continue;
    if (!j.extent.some((e) => within(along, e))) continue;
    const s = j.spans.findIndex((span) => within(along, span));
    const span = j.spans[s] ?? j.spans[0];
    if (!span) continue;
    const centre: XYZ = l.along === "x" ? [along, j.at, z] : [j.at, along, z];
    add(
      {
        in: { kind: "joist", deck: deckId, joist: j.n, span: Math.max(s, 0) + 1 },
        at: tidy(along - span[0]),
        fromTop: tidy(l.top - z),
        centre: [...centre],
        runs: [run],
      },
      Math.min(bits[bits.length - 1]!, timberRules.hole.size * l.deck.joists.depth),
    );
  }
}
