import type { Carried, CoreColour } from "../rules/cores";
import type { Connector } from "../trades/lighting/connectors";
import type { Terminal, WiredCore } from "../trades/lighting/terminals";

/** What a core carries, in words. */
export const carriedWords: Record<Carried | "cpc" | "spare", string> = {
  line: "line",
  neutral: "neutral",
  "switched-line": "switched line",
  common: "common",
  "strapper-1": "strapper 1",
  "strapper-2": "strapper 2",
  interlink: "interlink",
  cpc: "cpc",
  spare: "spare",
};

const marks: Record<Terminal["mark"], string> = {
  COM: "COM",
  L1: "L1",
  L2: "L2",
  L3: "L3, out",
  L4: "L4, out",
  loop: "loop",
  SL: "switched line",
  L: "L",
  N: "N",
  "L-feed": "L feed",
  "N-feed": "N feed",
  "L-load": "L load",
  "N-load": "N load",
  E: "earth",
  connector: "connector",
};

/** Where a core ends, as the accessory is marked. */
export function terminalWords(core: WiredCore): string {
  const { mark, gang, link, connector } = core.terminal;
  if (mark === "connector")
    return core.carries === "spare"
      ? `parked, in ${connector === undefined ? "a connector" : `connector ${connector}`}`
      : `${core.carries === "cpc" ? "earth" : carriedWords[core.carries]} connector ${connector ?? ""}`.trim();
  return `${gang === undefined ? "" : `gang ${gang} `}${marks[mark]}${link ? ", linked on to the other gangs" : ""}`;
}

/** A connector in words: “A, line: 3 cores, one of 3 ways”. */
export function connectorWords({ name, carries, cores, ways }: Connector): string {
  if (carries === "spare") return `${name}: one core parked, of ${ways[0]} ways`;
  const of =
    ways.length === 1 ? `one of ${ways[0]} ways` : `${ways.map((w) => `one of ${w}`).join(" and ")} ways, linked`;
  return `${name}, ${carriedWords[carries]}: ${cores} ${cores === 1 ? "core" : "cores"}, ${of}`;
}

/** A colour as it is said of one core: "brown", or "blue, sleeved brown". */
export const colourWords = (colour: CoreColour, sleeve: CoreColour | null): string =>
  sleeve === null ? colour : `${colour}, sleeved ${sleeve}`;
