import type { Carried } from "../../rules/cores";
import { type Fact, type SubjectKind, fact } from "../../rules/fact";

export interface LightingInput {
  /** Where the feed loops in and out: at the roses or at the switches. */
  feed: "rose" | "switch";
  /** A neutral at the first switch of every light, though the feed loops at the rose. */
  switchNeutral?: boolean;
  lights: readonly string[];
  /** Switches with their gangs, each with the lights that it works. */
  switches: readonly { id: string; gangs: readonly { works: readonly string[] }[] }[];
  /** Circuit of lights and switches, where they are not all on one. */
  circuits?: Readonly<Record<string, string>>;
  /** How far two of them lie apart along legal ways, mm; in the order they are listed when left out. */
  apart?: (a: string, b: string) => number;
}

/** A cable of a lighting circuit beyond its feed. */
export interface LightingCable {
  from: string;
  to: string;
  cores: 2 | 3;
  carries: Carried[];
}
export interface LightingWires {
  /** Where the feed loops in and out, in the order of the lists. */
  loops: string[];
  cables: LightingCable[];
  facts: Fact[];
}

/** Lights that the same gangs work, with the switches of those gangs. */
interface Group {
  lights: string[];
  switches: string[];
}

const circuitsOf = (i: LightingInput): ((id: string) => string) => {
  const of = i.circuits ?? {};
  return (id) => (Object.hasOwn(of, id) ? of[id]! : "");
};

/** Lights grouped by the gangs that work them, switches on other circuits left out; in the order of the lights. */
function groupsOf(i: LightingInput): Group[] {
  const circuitOf = circuitsOf(i);
  const groups = new Map<string, Group>();
  for (const light of i.lights) {
    const gangs = i.switches.flatMap((s) =>
      circuitOf(s.id) === circuitOf(light)
        ? s.gangs.flatMap((g, n) => (g.works.includes(light) ? [{ id: s.id, n }] : []))
        : [],
    );
    // A light without a switch stands alone.
    const key = gangs.length ? gangs.map((g) => `${g.id} ${g.n}`).join("\u0000") : `\u0000${light}`;
    const group = groups.get(key);
    if (group) group.lights.push(light);
    else groups.set(key, { lights: [light], switches: [...new Set(gangs.map((g) => g.id))] });
  }
  return [...groups.values()];
}

/** The nearest pair of two lists; the first of equals. */
function nearest(from: readonly string[], to: readonly string[], apart: (a: string, b: string) => number) {
  let best = { from: from[0]!, to: to[0]!, far: Infinity };
  // One of each: nothing to look for.
  if (from.length === 1 && to.length === 1) return best;
  for (const a of from)
    for (const b of to) {
      const far = apart(a, b);
      if (far < best.far) best = { from: a, to: b, far };
    }
  return best;
}

/** Joins things one after the other to the nearest of those that are joined already, or only to the last one. */
function joined(
  first: string,
  rest: readonly string[],
  apart: (a: string, b: string) => number,
  onlyLast: boolean,
): [string, string][] {
  const there = [first];
  const left = [...rest];
  const out: [string, string][] = [];
  while (left.length) {
    const next = nearest(onlyLast ? [there[there.length - 1]!] : there, left, apart);
    left.splice(left.indexOf(next.to), 1);
    there.push(next.to);
    out.push([next.from, next.to]);
  }
  return out;
}

/**
 * How the lights and switches of a lighting circuit are wired beyond its feed. Looped at the rose: the feed goes to the first light of
 * each group, and a twin drops from it to the switch with line and switched line (and a third core where a neutral is wanted there).
 * Looped at the switch: the feed goes to the switch, and a twin goes up to the light. More lights of a group hang on by a twin with
 * switched line and neutral. Two switches that work the same lights are two-way, more are intermediate: a three-core cable goes from
 * one to the next, with the common and the two strappers. Facts are those of `switchingFacts`.
 * Source: on-site working practice to BS 7671:2018+A2:2022, in our words.
 */
export function wireLighting(i: LightingInput): LightingWires {
  const order = [...i.lights, ...i.switches.map((s) => s.id)];
  const place = new Map(order.map((id, n) => [id, n]));
  const apart = i.apart ?? ((a: string, b: string) => Math.abs(place.get(a)! - place.get(b)!));
  const loops = new Set<string>();
  const cables: LightingCable[] = [];
  for (const { lights, switches } of groupsOf(i)) {
    const { from: light, to: first } = i.apart
      ? switches.length
        ? nearest(lights, switches, apart)
        : { from: lights[0]!, to: "" }
      : { from: lights[0]!, to: switches[0] ?? "" };
    if (switches.length) {
      const atSwitch = i.feed === "switch";
      loops.add(atSwitch ? first : light);
      cables.push(
        atSwitch
          ? { from: first, to: light, cores: 2, carries: ["switched-line", "neutral"] }
          : i.switchNeutral
            ? { from: light, to: first, cores: 3, carries: ["line", "neutral", "switched-line"] }
            : { from: light, to: first, cores: 2, carries: ["line", "switched-line"] },
      );
      for (const [from, to] of joined(
        first,
        switches.filter((s) => s !== first),
        apart,
        true,
      ))
        cables.push({ from, to, cores: 3, carries: ["common", "strapper-1", "strapper-2"] });
    } else loops.add(light);
    for (const [from, to] of joined(
      light,
      lights.filter((l) => l !== light),
      apart,
      false,
    ))
      cables.push({ from, to, cores: 2, carries: ["switched-line", "neutral"] });
  }
  return { loops: order.filter((id) => loops.has(id)), cables, facts: switchingFacts(i, "input") };
}

/**
 * Lights without a switch, switches that work none, a light whose line and neutral come from two circuits, and gangs that work one
 * light together but not the same ones. Source: BS 7671:2018+A2:2022 314.4; on-site working practice.
 */
export function switchingFacts(i: LightingInput, subject: SubjectKind): Fact[] {
  const circuitOf = circuitsOf(i);
  const lights = new Set(i.lights);
  const out: Fact[] = [];
  const gangs = i.switches.flatMap((s) =>
    s.gangs.map((g) => ({ id: s.id, works: [...new Set(g.works)].filter((l) => lights.has(l)) })),
  );
  for (const s of i.switches) {
    const works = [...new Set(gangs.filter((g) => g.id === s.id).flatMap((g) => g.works))];
    if (!works.length) out.push(fact("lighting.idle-switch", subject, s.id));
    const own = circuitOf(s.id);
    for (const light of works) {
      const other = circuitOf(light);
      if (own !== "" && other !== "" && own !== other)
        out.push(fact("lighting.borrowed", subject, s.id, { of: { light, own, other } }));
    }
  }
  const worked = new Set(gangs.flatMap((g) => g.works));
  for (const l of i.lights) if (!worked.has(l)) out.push(fact("lighting.unswitched", subject, l));
  const told = new Set<string>();
  gangs.forEach((a, n) =>
    gangs.slice(n + 1).forEach((b) => {
      const both = a.works.filter((l) => b.works.includes(l));
      if (!both.length || (both.length === a.works.length && both.length === b.works.length)) return;
      const key = [a.id, b.id, ...both].join("\u0000");
      if (told.has(key)) return;
      told.add(key);
      const alone = [...a.works, ...b.works].filter((l) => !both.includes(l));
      out.push(fact("lighting.two-way", subject, a.id, { of: { other: b.id, lights: both, alone } }));
    }),
  );
  return out;
}
