import { linkedConnectors } from "../../rules/connectors";
import type { WiredCable, WiredCore } from "./wired-core";

/** A connector in a box: its letter, what it joins, how many cores come into it, and the ways of what is taken. */
export interface Connector {
  name: string;
  carries: WiredCore["carries"];
  cores: number;
  /** Ways of each lever connector it is made of; of several, one way of each is taken by the link between them. */
  ways: number[];
}

/**
 * Which cores of a point are joined in which connector, one by one: those of one conductor of the circuit together, switched lines by the
 * lights they feed, at a joint box the earths too. What is parked has a connector of its own.
 * @param conductorOf tells which conductor a core belongs to where several of its kind meet
 */
export function inConnectors(
  cables: readonly WiredCable[],
  conductorOf: (cable: WiredCable, core: WiredCore) => string,
): WiredCable[] {
  const order: WiredCore["carries"][] = [
    "line",
    "neutral",
    "cpc",
    "switched-line",
    "common",
    "strapper-1",
    "strapper-2",
    "interlink",
    "spare",
  ];
  const joins = (core: WiredCore): boolean => core.terminal.mark === "connector";
  const keys = [
    ...new Set(
      cables.flatMap((c) => c.cores.filter(joins).map((k) => `${order.indexOf(k.carries)} ${conductorOf(c, k)}`)),
    ),
  ].sort();
  return cables.map((c) => ({
    ...c,
    cores: c.cores.map((k) =>
      joins(k)
        ? {
            ...k,
            terminal: {
              ...k.terminal,
              connector: letter(keys.indexOf(`${order.indexOf(k.carries)} ${conductorOf(c, k)}`)),
            },
          }
        : k,
    ),
  }));
}

/** A to Z, then A1 to Z1 and so on. */
const letter = (n: number): string => `${String.fromCharCode(65 + (n % 26))}${n < 26 ? "" : Math.floor(n / 26)}`;

/** The connectors of a point, in the order of their letters. */
export function connectorsOf(cables: readonly WiredCable[]): Connector[] {
  const by = new Map<string, WiredCore[]>();
  for (const c of cables)
    for (const k of c.cores) {
      const name = k.terminal.connector;
      if (name !== undefined) by.set(name, [...(by.get(name) ?? []), k]);
    }
  return [...by]
    .map(([name, cores]) => ({
      name,
      carries: cores[0]!.carries,
      cores: cores.length,
      ways: linkedConnectors(cores.length),
    }))
    .sort((a, b) => a.name.length - b.name.length || (a.name < b.name ? -1 : 1));
}
