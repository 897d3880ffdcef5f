import type { Job, Point } from "../../job/model";
import { asWired, behindFuse, wiredTo } from "../../job/wired";
import type { Run } from "../../laid/laid";
import { isLight, isSwitch } from "../../rules/accessories";
import type { Cable } from "../../rules/cables";
import { type ArmourCore, armourCoresOf } from "../../rules/armour-cores";
import { type Carried, type CoreColour, coresMade, cpcMade } from "../../rules/cores";
import { inConnectors } from "./connectors";
import { gangsOf } from "./gangs";
import type { Terminal, WiredCable, WiredCore } from "./wired-core";

export type { Terminal, WiredCable, WiredCore };

/** What of a run its wiring depends on. */
export type WiredRun = Pick<Run, "id" | "circuit" | "from" | "to" | "number" | "carries">;

const FEED: readonly Carried[] = ["line", "neutral"];
/** Order in which three cores take what they carry: brown, black, grey. */
const ORDER: readonly Carried[] = [
  "line",
  "common",
  "switched-line",
  "strapper-1",
  "strapper-2",
  "interlink",
  "neutral",
];

/** The sleeve over a core whose own colour says something else than it carries. */
function sleeveOver(colour: CoreColour, carries: Carried): CoreColour | null {
  if (carries === "interlink") return null;
  const due: CoreColour = carries === "neutral" ? "blue" : "brown";
  return colour === due ? null : due;
}

const otherEnd = (r: WiredRun, at: string): string => (r.from === at ? r.to : r.from);

/** Kinds whose wiring is drawn. */
export const isDrawn = (p: Pick<Point, "kind">): boolean =>
  isLight(p.kind) || isSwitch(p.kind) || p.kind === "fused-unit" || p.kind === "junction-box";

const byId = new WeakMap<readonly Point[], ReadonlyMap<string, Point>>();

/** Points by their id; kept with their list, as every point asks for it. */
function pointsById(points: readonly Point[]): ReadonlyMap<string, Point> {
  let out = byId.get(points);
  if (!out) byId.set(points, (out = new Map(points.map((p) => [p.id, p]))));
  return out;
}

/** The cores of a cable at one of its ends. */
function coresOf(
  r: WiredRun,
  cable: Pick<Cable, "cores" | "family"> | null,
  school: Job["settings"]["schools"]["armourCores"],
  terminal: (carries: Carried) => Terminal,
  earth: Terminal,
): WiredCore[] {
  const carries = r.carries.length ? r.carries : FEED;
  // Armour has colours of its own, and which of them is neutral and which earth is a matter of school.
  if (cable?.family === "armoured" && carries.every((x) => FEED.includes(x)))
    return armourCoresOf(cable.cores, school).map((c) => armourCore(c, terminal, earth));
  const cores = cable?.cores === 3 || carries.length > 2 ? 3 : 2;
  const made = coresMade[cores];
  const placed = cores === 3 ? ORDER.filter((x) => carries.includes(x)) : carries;
  const out: WiredCore[] = [];
  for (let n = 0; n < made.length; n++) {
    const c = made[n]!;
    const what = placed[n];
    out.push(
      what === undefined
        ? { colour: c.now, old: c.old, carries: "spare", sleeve: null, terminal: { mark: "connector" } }
        : { colour: c.now, old: c.old, carries: what, sleeve: sleeveOver(c.now, what), terminal: terminal(what) },
    );
  }
  out.push({ colour: cpcMade.now, old: cpcMade.old, carries: "cpc", sleeve: null, terminal: earth });
  return out;
}

/**
 * How the cables of a point are connected: every core by its colour, new and old, its sleeve and its terminal. A two-way pair is joined
 * common to common and strapper to strapper, and the drop takes the strapper terminals of its first switch; an intermediate passes the
 * strappers through its two ways and joins the commons in a connector. Source: on-site working practice to BS 7671:2018+A2:2022.
 */
export function wiringAt(
  job: Pick<Job, "points" | "circuits" | "settings">,
  runs: readonly WiredRun[],
  cableFor: (run: WiredRun) => Pick<Cable, "cores" | "family"> | null,
  id: string,
): WiredCable[] {
  const pointOf = pointsById(job.points);
  const p = pointOf.get(id);
  const listed = job.circuits.find((c) => wiredTo(c).includes(id));
  const atBoard = p?.kind === "board";
  if (!p || (!listed && !atBoard)) return [];
  const circuit = listed && asWired(listed, job.points);
  const own = runs.filter((r) => (atBoard || r.circuit === circuit?.id) && (r.from === id || r.to === id));
  const light = (x: string): boolean => pointOf.has(x) && isLight(pointOf.get(x)!.kind);
  const end = isSwitch(p.kind)
    ? atSwitch(p, own, pointOf, light)
    : isLight(p.kind)
      ? atLight(own)
      : p.kind === "fused-unit" && circuit
        ? atUnit(
            id,
            behindFuse(circuit, (x) => pointOf.get(x)?.kind),
          )
        : () =>
            (carries: Carried): Terminal => ({
              mark: p.kind === "junction-box" ? "connector" : carries === "neutral" ? "N" : "L",
            });
  /** At a joint box the earths meet in a connector as well; elsewhere the accessory has a terminal for them. */
  const earth: Terminal = { mark: p.kind === "junction-box" ? "connector" : "E" };
  const cables: WiredCable[] = [];
  for (const r of own)
    cables.push({
      run: r.id,
      other: otherEnd(r, id),
      cores: coresOf(r, cableFor(r), job.settings.schools.armourCores, end(r), earth),
    });
  const runOf = new Map(own.map((r) => [r.id, r]));
  return inConnectors(cables, (cable, core) => {
    // Each parked core is alone; a switched line is that of the lights it leads to, a common that of its gang.
    if (core.carries === "spare") return `${cable.run} ${core.colour}`;
    if (core.carries === "switched-line" || core.carries === "common") return lightsOf(cable.other);
    return core.terminal.gang === undefined ? "" : String(core.terminal.gang);

    function lightsOf(other: string): string {
      const q = pointOf.get(other);
      if (!q || light(other)) return other;
      const gangs = gangsOf(q, light);
      return gangs[(runOf.get(cable.run)?.number ?? 1) - 1]?.[0] ?? gangs[0]?.[0] ?? other;
    }
  });
}

/** A core of armoured cable at its terminal; its colours have no older ones. */
function armourCore(
  { core, carries, sleeve }: ArmourCore,
  terminal: (carries: Carried) => Terminal,
  earth: Terminal,
): WiredCore {
  const base = { colour: core, old: core, sleeve: sleeve === "green-and-yellow" ? ("green-yellow" as const) : sleeve };
  if (carries === "earth") return { ...base, carries: "cpc", terminal: earth };
  if (carries === "spare") return { ...base, carries, terminal: { mark: "connector" } };
  return { ...base, carries, terminal: terminal(carries) };
}

/** Terminals for what the cores of a run carry. */
type Ends = (r: WiredRun) => (carries: Carried) => Terminal;

/** At a rose or a light: the line loops through, the switched line feeds the lamp. A light that no switch works has the line itself. */
function atLight(own: readonly WiredRun[]): Ends {
  const switched = own.some((r) => r.carries.includes("switched-line"));
  return () => (carries) => ({
    mark: carries === "neutral" ? "N" : carries === "switched-line" ? "SL" : switched ? "loop" : "L",
  });
}

/** At a fused unit: what comes from the circuit is the feed, what lies behind it the load. */
function atUnit(id: string, behind: ReadonlyMap<string, string>): Ends {
  return (r) => {
    const side = behind.get(otherEnd(r, id)) === id ? "load" : "feed";
    return (carries) => ({ mark: `${carries === "neutral" ? "N" : "L"}-${side}` });
  };
}

function atSwitch(
  p: Point,
  own: readonly WiredRun[],
  pointOf: ReadonlyMap<string, Point>,
  light: (id: string) => boolean,
): Ends {
  const gangs = gangsOf(p, light);
  const worksWith = (lights: readonly string[], other: Point): boolean =>
    gangsOf(other, light).some((g) => g.some((l) => lights.includes(l)));
  const toSwitch = (r: WiredRun): boolean => r.carries.includes("common");
  /** Gang by number from 0 that a run belongs to: of its light, or of the pair of gangs it joins. */
  const gangOf = (r: WiredRun): number => {
    const other = otherEnd(r, p.id);
    const q = pointOf.get(other);
    if (toSwitch(r) && q) {
      const shared = gangs.flatMap((g, n) => (worksWith(g, q) ? [n] : []));
      return shared[Math.min(r.number, shared.length) - 1] ?? 0;
    }
    return Math.max(
      0,
      gangs.findIndex((g) => g.includes(other)),
    );
  };
  const linked = (gang: number): WiredRun[] => own.filter((r) => toSwitch(r) && gangOf(r) === gang);
  const several = gangs.length > 1;
  const mark = (m: Terminal["mark"], gang: number): Terminal => ({ mark: m, ...(several ? { gang: gang + 1 } : {}) });
  return (r) => {
    const feed = !toSwitch(r) && !r.carries.includes("switched-line");
    const gang = feed ? 0 : gangOf(r);
    const pair = linked(gang);
    // Strappers come in at L1 and L2 and leave an intermediate at L3 and L4.
    const out = toSwitch(r) && pair.length > 1 && pair.indexOf(r) === 1;
    return (carries) => {
      switch (carries) {
        case "neutral":
          return { mark: "connector" };
        case "common":
          return pair.length > 1 ? { mark: "connector" } : mark("COM", gang);
        case "strapper-1":
          return mark(out ? "L3" : "L1", gang);
        case "strapper-2":
          return mark(out ? "L4" : "L2", gang);
        case "line":
          return { ...mark(pair.length ? "L1" : "COM", gang), ...(feed && several ? { link: true } : {}) };
        case "interlink":
          return { mark: "connector" };
        case "switched-line":
          return mark(pair.length ? "L2" : "L1", gang);
      }
    };
  };
}
