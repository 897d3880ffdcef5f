import type { PointKind } from "../rules/accessories";
import { isSignalCable } from "../rules/cables";
import { CONNECTOR_DEPTH, TERMINAL_DEPTH } from "../rules/conductors";
import type { House } from "../house/house";
import { boardFigures } from "./board-figures";
import { SHEATH_PAST_ENTRY } from "../trades/board/layout";
import type { EndCable, EndFigures, WithEnds } from "./end-figures";
import { expectedOfRun } from "./expected-readings";

/** Guided work with the measures it starts from, those of the one end it is for. */
export interface EndSteps {
  kind: string;
  measures: Record<string, number>;
}

const byPoint: Partial<Record<PointKind, string>> = {
  socket: "outlet",
  "outdoor-socket": "outlet",
  "appliance-outlet": "outlet",
  "fused-unit": "fused-unit",
  "cooker-control": "cooker-control",
  isolator: "isolator",
  "shower-pull-cord": "isolator",
  "junction-box": "joint-box",
  light: "rose",
  downlights: "rose",
  "wall-light": "wall-light",
};

/**
 * All guided work at the end of a cable, in the order it is done: box and tails and the test on them before the wall is closed; later
 * its gland or its seal, where it has one, and then the accessory or the way in the board.
 */
export function endSteps(h: House, plan: WithEnds, f: EndFigures, c: EndCable): EndSteps[] {
  const { point } = f.placed;
  const { tail = 0 } = c.end.measures;
  const out: EndSteps[] = [];
  const boxed = f.earthTail !== null || (isSignalCable(c.cable) && point.mount === "flush");
  if (boxed && point.place.on === "wall")
    out.push({ kind: "box", measures: { depth: f.box.depth, height: point.place.v } });
  out.push({ kind: "coil", measures: { tail } });
  // Makers of outlets without mains say themselves how theirs is made off; no test for mains is made on it.
  if (isSignalCable(c.cable)) return out;
  const ends = plan.ends.filter((e) => e.run === c.run.id);
  const r1r2 = expectedOfRun(c.run, ends, h.job.settings.slack, c.cable);
  if (r1r2 !== null) out.push({ kind: "first-test", measures: { r1r2 } });
  const clad = cladSteps(c, point.plastic && point.kind !== "board");
  if (clad) out.push(clad);
  if (point.kind !== "board") return [...out, accessorySteps(f, c)];
  const mine = boardFigures(h, plan, point.id)?.cables.find((x) => x.run.id === c.run.id);
  // Without a way there is nothing to connect it to yet.
  if (mine?.tails)
    out.push({ kind: mine.feed ? "feed-end" : "board-end", measures: { sheath: SHEATH_PAST_ENTRY, ...mine.tails } });
  return out;
}

/** The gland of an armoured end or the seal of a mineral-insulated one; null for sheathed cable. */
function cladSteps(c: EndCable, plastic: boolean): EndSteps | null {
  if (c.armour) {
    const { gland, marks, outdoors } = c.armour;
    return {
      kind: plastic ? (outdoors ? "swa-plastic" : "swa-plastic-indoor") : outdoors ? "swa-outdoor" : "swa-indoor",
      measures: {
        wires: marks.wires,
        ...(gland ? { cone: marks.wires - marks.ring, hole: gland.hole } : {}),
        tails: marks.cut - marks.wires,
        cores: c.cable.cores,
      },
    };
  }
  if (!c.mineral) return null;
  const { first, tails, faceToFace, sheathEnd, body } = c.mineral;
  return first
    ? { kind: "mi-first", measures: { tails } }
    : { kind: "mi-second", measures: { faceToFace, entry: sheathEnd - faceToFace, tails, body } };
}

function accessorySteps(f: EndFigures, c: EndCable): EndSteps {
  const { tail = 0, sheath = 0 } = c.end.measures;
  return {
    kind: kindOf(f),
    measures: {
      tail,
      sheath,
      strip: f.placed.point.kind === "junction-box" ? CONNECTOR_DEPTH : (f.strip ?? TERMINAL_DEPTH),
      cables: f.cables.length,
      amps: c.rating,
      ...(f.placed.point.kind === "fused-unit" ? { fuse: f.placed.point.fuse } : {}),
    },
  };
}

/** A switch is guided by its terminals: two-way where strappers come in, by gangs where it has several. */
function kindOf(f: EndFigures): string {
  const known = byPoint[f.placed.point.kind];
  if (known) return known;
  const cores = f.cables.flatMap((c) => c.cores);
  if (cores.some((c) => c.carries === "strapper-1" || c.carries === "strapper-2")) return "switch-two-way";
  if (cores.some((c) => (c.terminal.gang ?? 1) > 1)) return "switch-gangs";
  return ["switch", "pull-cord", "sensor"].includes(f.placed.point.kind) ? "switch" : "appliance";
}
