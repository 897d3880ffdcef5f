import { type House, decksOfFace } from "../../house/house";
import { boardOfCircuit } from "../../job/boards";
import type { Circuit, Extension } from "../../job/model";
import { extensionSchema } from "../../job/model";
import { wiredTo } from "../../job/wired";
import type { FoundWay, Hole, Run } from "../../laid/laid";
import { type Fact, fact } from "../../rules/fact";
import { plateOf } from "../../rules/accessories";
import { cableOf } from "../../rules/catalogue";
import { conductorResistance } from "../../rules/resistance";
import { type LaidCircuit, floorServed, laidCircuits } from "../circuits/laid-circuit";
import { type RatedRun, bridgedLeg, oldRuns } from "../circuits/old-part";
import { foundShape } from "../circuits/found";

/** A core of a joint: what it carries, its colour in the old cable and in the new. */
export interface JointCore {
  carries: "line" | "neutral" | "earth";
  old: string;
  new: string;
}

/** Core by core, old colours to new. Source: BS 7671:2018+A2:2022 Table 51, and the colours before it. */
export function jointCores(colours: "old" | "new" | "unknown"): JointCore[] {
  const was = (before: string, now: string): string =>
    colours === "old" ? before : colours === "new" ? now : `${now}, or ${before}: prove which`;
  return [
    { carries: "line", old: was("red", "brown"), new: "brown" },
    { carries: "neutral", old: was("black", "blue"), new: "blue" },
    { carries: "earth", old: was("bare, green sleeve", "bare, green-yellow sleeve"), new: "bare, green-yellow sleeve" },
  ];
}

/** Where an old cable and a new one meet. */
export interface Joint {
  point: string;
  where: Extension["joints"][number]["where"];
  hatch: boolean;
  /** The new run that begins there. */
  run: string | null;
  colours: "old" | "new" | "unknown";
  cores: JointCore[];
}

/** Two legs drawn in with one pull: the whole length, folded where it is cut afterwards. Lengths mm. */
export interface Doubled {
  runs: [string, string];
  /** The point at which both come out. */
  at: string;
  length: number;
  /** From its first end to where it is folded, and later cut. */
  cut: number;
}

/** An old circuit that is added to, with all its figures. */
export interface ExtensionFigures {
  extension: Extension;
  circuit: Circuit;
  shape: ReturnType<typeof foundShape>;
  /** New points on it, and the runs to them. */
  added: string[];
  runs: Run[];
  /** The leg of a ring that is broken; the old point a radial goes on from stands at both ends. */
  broken: { from: string; to: string } | null;
  joints: Joint[];
  doubled: Doubled[];
  /** What a found ring reads from leg to leg before it is broken, Ω at 20 °C; null where a length or a conductor is not known. */
  endToEnd: { r1: number; rn: number; r2: number } | null;
}

/** What is taken of how a circuit is added to before anybody says otherwise. */
export const usualExtension = (circuit: string, id: string): Extension => extensionSchema.parse({ id, circuit });

type Planned = { runs: readonly Run[]; found: readonly FoundWay[] };

/** Works out how a circuit is added to; null for one that is new or kept as it is. */
export function extensionFigures(h: House, plan: Planned, circuit: string): ExtensionFigures | null {
  const c = h.job.circuits.find((x) => x.id === circuit);
  if (!c || c.state !== "extend") return null;
  const extension = h.job.extensions.find((x) => x.circuit === circuit) ?? usualExtension(circuit, `x-${circuit}`);
  const pointOf = (id: string) => h.points[h.pointOfId.get(id) ?? -1]?.point;
  const old = (id: string): boolean => pointOf(id)?.existing === true || pointOf(id)?.kind === "board";
  const runs = plan.runs.filter((r) => r.circuit === circuit);
  const ends = runs.flatMap((r) => [r.from, r.to].flatMap((point) => (old(point) ? [{ point, run: r.id }] : [])));
  const broken = c.kind === "ring" ? (bridgedLeg(h, c, runs) ?? extension.broken) : null;
  const joints = ends.map(({ point, run }): Joint => {
    const said = extension.joints.find((j) => j.point === point);
    const cables = h.job.foundCables.filter(
      (f) =>
        f.fate === "keep" &&
        (broken
          ? (f.from === broken.from && f.to === broken.to) || (f.from === broken.to && f.to === broken.from)
          : f.from === point || f.to === point),
    );
    const colours = cables.find((f) => f.colours !== "unknown")?.colours ?? "unknown";
    return {
      point,
      where: said?.where ?? "at-point",
      hatch: said?.hatch ?? true,
      run,
      colours,
      cores: jointCores(colours),
    };
  });
  const doubled: Doubled[] = [];
  if (extension.doubled)
    for (const id of wiredTo(c)) {
      const here = runs.filter((r) => r.from === id || r.to === id);
      if (old(id) || here.length !== 2 || doubled.some((d) => d.runs.some((r) => here.some((x) => x.id === r))))
        continue;
      doubled.push({
        runs: [here[0]!.id, here[1]!.id],
        at: id,
        length: here[0]!.cutLength + here[1]!.cutLength,
        cut: here[0]!.cutLength,
      });
    }
  return {
    extension,
    circuit: c,
    shape: foundShape(h.job, c),
    added: wiredTo(c).filter((id) => !old(id)),
    runs,
    broken,
    joints,
    doubled,
    endToEnd: foundEndToEnd(h, plan, c),
  };
}

/** End to end of a ring as it was found: its old cables by their lengths, as traced or taken to run. */
function foundEndToEnd(h: House, plan: Planned, c: Circuit): ExtensionFigures["endToEnd"] {
  if (foundShape(h.job, c).shape !== "ring") return null;
  const old = oldRuns(h, { ...c, kind: "radial" }, [], plan.found);
  let [r1, r2] = [0, 0];
  for (const r of old) {
    const cable = cableOf(r.cable, h.catalogue);
    const [line, cpc] = [cable?.csa, cable?.cpc].map((x) => conductorResistance[String(x)]);
    if (line === undefined || cpc === undefined) return null;
    r1 += (line * r.pathLength) / 1e6;
    r2 += (cpc * r.pathLength) / 1e6;
  }
  return old.length ? { r1, rn: r1, r2 } : null;
}

/** Height of a socket's middle where its plate stands on the skirting, mm above the floor. */
export const onSkirting = (p: Parameters<typeof plateOf>[0], high: number): number => high + plateOf(p).height / 2;

/** What a circuit comes to: its cable, loop and drop where they are worst, and the floor it serves. */
export interface CircuitSum {
  metres: number;
  zs: number;
  most: number | null;
  percent: number;
  floor: number;
  iz: number;
}

function sumOf(h: House, x: LaidCircuit | undefined, c: Circuit): CircuitSum | null {
  if (!x) return null;
  const worst = x.places.reduce((a, b) => (b.zs > a.zs ? b : a), x.places[0]!);
  return {
    metres: x.legs.reduce((s, l) => s + l.length, 0) / 1000,
    zs: worst.zs,
    most: worst.most,
    percent: Math.max(...x.places.map((p) => p.drop.percent)),
    floor: floorServed(h, c),
    iz: x.result.iz,
  };
}

/** The circuit as it was found and as it will be, judged alike; null where too little of it is known. */
export function beforeAndAfter(
  h: House,
  plan: Planned & { holes: readonly Hole[] },
  circuit: string,
): { before: CircuitSum | null; after: CircuitSum | null } {
  const c = h.job.circuits.find((x) => x.id === circuit);
  if (!c) return { before: null, after: null };
  const old = new Set(h.job.points.filter((p) => p.existing).map((p) => p.id));
  const was: Circuit = {
    ...c,
    state: "new",
    points: c.points.filter((id) => old.has(id)),
    spurs: c.spurs.filter((s) => old.has(s.point) && old.has(s.from)),
  };
  const found = oldRuns(h, { ...c, kind: "radial" }, [], plan.found);
  const house: House = { ...h, job: { ...h.job, circuits: h.job.circuits.map((x) => (x.id === c.id ? was : x)) } };
  const now = laidCircuits(h, plan.runs, plan.holes, plan.found).find((x) => x.circuit.id === c.id);
  return {
    before: sumOf(
      house,
      laidCircuits(house, found, []).find((x) => x.circuit.id === c.id),
      was,
    ),
    after: sumOf(h, now, c),
  };
}

/**
 * Which of the cables at an old point is which: with line and earth of one leg joined at the board, each is read line to earth at the
 * point; the one that leads there by that leg reads its length, Ω at 20 °C, the others are open.
 */
export function cablesAt(
  h: House,
  plan: Planned,
  c: Circuit,
  point: string,
): { leg: string; cables: { to: string; ohms: number | null }[] } | null {
  const board = boardOfCircuit(h.job, c)?.id;
  const old = oldRuns(h, { ...c, kind: "radial" }, [], plan.found);
  const far = (r: RatedRun, at: string): string => (r.from === at ? r.to : r.from);
  const leg = old.find((r) => r.from === board || r.to === board);
  if (!board || !leg) return null;
  const ohms = (r: RatedRun): number => {
    const cable = cableOf(r.cable, h.catalogue);
    const [line, cpc] = [cable?.csa, cable?.cpc].map((x) => conductorResistance[String(x)] ?? 0);
    return ((line! + cpc!) * r.pathLength) / 1e6;
  };
  // Along the leg that is joined, from the board on, until the point.
  const used = new Set<RatedRun>();
  let [at, run, sum] = [board, leg, 0];
  let by: RatedRun | null = null;
  for (;;) {
    used.add(run);
    sum += ohms(run);
    at = far(run, at);
    if (at === point) {
      by = run;
      break;
    }
    const next = old.find((r) => !used.has(r) && (r.from === at || r.to === at));
    if (!next || at === board) break;
    run = next;
  }
  const here = old.filter((r) => r.from === point || r.to === point);
  return {
    leg: far(leg, board),
    cables: here.map((r) => ({ to: far(r, point), ohms: r === by ? sum : null })),
  };
}

/** All circuits of a job that are added to. */
export const extensionsOf = (h: House, plan: Planned): ExtensionFigures[] =>
  h.job.circuits.flatMap((c) => extensionFigures(h, plan, c.id) ?? []);

/** What is to be settled before an old circuit is added to, and what is wrong with how it is to be done. */
export function extensionFacts(h: House, plan: Planned): Fact[] {
  return extensionsOf(h, plan).flatMap((f): Fact[] => {
    const { circuit: c, extension: x } = f;
    const out: Fact[] = [];
    const told = (rule: Parameters<typeof fact>[0], of: string, rest: Parameters<typeof fact>[3] = {}): void =>
      void out.push(fact(rule, "circuit", c.id, { case: of, ...rest }));
    if (x.shape === "unknown") told("extend.shape", "unknown");
    else if ((x.shape === "ring") !== (c.kind === "ring"))
      told("extend.shape", "other", { severity: "stop", of: { found: x.shape, taken: c.kind } });
    if (x.broken && c.kind === "ring") {
      const traced = h.job.foundCables.some(
        (k) =>
          k.fate === "keep" &&
          ((k.from === x.broken!.from && k.to === x.broken!.to) ||
            (k.from === x.broken!.to && k.to === x.broken!.from)),
      );
      if (!traced) told("extend.leg", "untraced", { of: { from: x.broken.from, to: x.broken.to } });
    }
    for (const j of f.joints) {
      if (j.where !== "under-floor") continue;
      const face = h.faces[h.points[h.pointOfId.get(j.point) ?? -1]?.face ?? -1];
      const boards = face && decksOfFace(h, face).under.some((d) => h.decks[d]!.deck.kind !== "concrete");
      if (!boards) told("extend.joint", "no-floor", { of: { point: j.point } });
    }
    return out;
  });
}
