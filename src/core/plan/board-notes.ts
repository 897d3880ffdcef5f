import type { House } from "../house/house";
import { accessories } from "../rules/accessories";
import { figure } from "../base/figures";
import { asWired, behindFuse } from "../job/wired";
import { LEAKAGE_SHARE, circuitLeakage } from "../trades/board/leakage";
import type { BoardFigures } from "./board-figures";

/** Something that a board wants, with where it is written. `due`: it is asked of this board; else it is to be looked at. */
export interface BoardNote {
  text: string;
  source: string;
  due: boolean;
}

const BS7671 = "BS 7671:2018+A2:2022";

/** What the rules ask of a board and its labels, from what is on it. Working notes: local code and licensed practice first. */
export function boardNotes(h: House, f: BoardFigures): BoardNote[] {
  const { job } = h;
  const pointOf = new Map(job.points.map((p) => [p.id, p]));
  const kinds = new Set(f.circuits.flatMap((c) => c.points.flatMap((p) => pointOf.get(p)?.kind ?? [])));
  const fresh = f.circuits.filter((c) => c.state !== "keep");
  const rcds = f.circuits.filter((c) => c.rcd !== null);
  const fused = f.circuits.some((c) =>
    [...behindFuse(asWired(c, job.points), (x) => pointOf.get(x)?.kind).keys()].some(
      (x) => accessories[pointOf.get(x)?.kind ?? "board"].use === "light",
    ),
  );
  const notes: (BoardNote | null)[] = [
    {
      text: f.board.existing
        ? "The enclosure that is there: is it metal, or in a cupboard of something that does not burn? A new one must be."
        : "The enclosure does not burn, or stands in one that does not.",
      source: `${BS7671} 421.1.201`,
      due: !f.board.existing,
    },
    {
      text: "RCDs of type A in general; type AC only where no load has electronics.",
      source: `${BS7671} 531.3.3`,
      due: rcds.length > 0,
    },
    kinds.has("charging-point")
      ? {
          text: "The charging point: an RCD of type B, or A with 6 mA d.c. detection, for it alone.",
          source: `${BS7671} 722.531.3`,
          due: true,
        }
      : null,
    rcds.length
      ? {
          text: `Leaks in ordinary use, of the 30 % that each RCD stands: ${rcds
            .map((c) => `${c.label} ${figure(circuitLeakage(job, c), 1)} of ${figure(c.rcd! * LEAKAGE_SHARE, 1)} mA`)
            .join(", ")}.`,
          source: `${BS7671} 531.3.2; typical leakage`,
          due: false,
        }
      : null,
    {
      text: "Surge protection, unless the owner declares that it is not wanted and why.",
      source: `${BS7671} 443.4.1`,
      due: fresh.length > 0,
    },
    {
      text: "Arc-fault devices are recommended for sockets in ordinary homes, and asked for where many sleep.",
      source: `${BS7671} 421.1.7`,
      due: false,
    },
    { text: "Circuit chart in or beside the board.", source: `${BS7671} 514.9.1`, due: fresh.length > 0 },
    { text: "Label: the date of the next inspection.", source: `${BS7671} 514.12.1`, due: fresh.length > 0 },
    { text: "Label: press the test button every six months.", source: `${BS7671} 514.12.2`, due: rcds.length > 0 },
    { text: "Label at the main bonding and the earthing terminal.", source: `${BS7671} 514.13.1`, due: true },
    job.foundCables.length || job.circuits.some((c) => c.state !== "new")
      ? { text: "Label: wires of two colour codes, where old and new meet.", source: `${BS7671} 514.14.1`, due: true }
      : null,
    fused
      ? {
          text: "Label: lights fed from a socket circuit, here, at the unit and at the light.",
          source: "Trade practice",
          due: true,
        }
      : null,
  ];
  return notes.filter((n): n is BoardNote => n !== null);
}
