import { mm } from "../base/figures";
import { insidePolygon } from "../base/polygon";
import { type Face, type House, roomFloor } from "../house/house";
import { ofCeiling, underFloor, voidOver } from "../house/over-ceiling";
import type { Hole } from "../laid/laid";
import { RISE } from "../trades/outside/fall";

/** Parts of a stud wall by their names in a plan. */
export const partWords: Record<string, string> = {
  stud: "stud",
  noggin: "noggin",
  "head-plate": "head plate",
  "sole-plate": "sole plate",
};

/** Where a hole is, in words that leave no doubt: the same on card, print, sheet and when spoken. */
export interface HoleWords {
  /** The timber: “joist 4, span 2 of 3”, “stud 3”; empty for a hole through the wall itself. */
  timber: string;
  /** What it belongs to: the deck, or the wall with its room. */
  of: string;
  /** “1 240 from its west bearing”, “900 from the left-hand corner”. */
  along: string;
  /** From what that is measured: “its west bearing”, “the left-hand corner”. */
  from: string;
  /** “97.5 down from the top”, “2 325 above the floor”. */
  height: string;
  /** “rises 15 to the inside” for a hole to the weather; left out elsewhere. */
  fall?: string;
  /** “over Kitchen” for a deck, “to Hall” for a hole through a wall; empty where no room is there. */
  room: string;
}

/** Bearing faces of a deck's joists, by the side they lie on: the left one, from which places are measured, and the other. */
export const bearingNames = (along: "x" | "y"): [left: string, right: string] =>
  along === "x" ? ["west", "east"] : ["south", "north"];

/** The room over whose ceiling a deck lies there; else the room that stands on it. */
function roomAt(h: House, deck: number, at: { x: number; y: number }): string {
  const l = h.decks[deck]!;
  const here = h.job.rooms.filter((r) => r.kind !== "yard" && insidePolygon(r.outline, at));
  const under = here.find((r) => ofCeiling(l.underside, roomFloor(h.job, r) + r.height, voidOver(r)));
  if (under) return `over ${under.name}`;
  const on = here.find((r) => underFloor(l.top + l.deck.boards.thickness, roomFloor(h.job, r)));
  return on ? `under ${on.name}` : "";
}

/** Says where a hole is. */
export function holeWords(h: House, o: Hole): HoleWords {
  if (o.in.kind === "joist") {
    const n = h.deckOfId.get(o.in.deck ?? "") ?? -1;
    const l = h.decks[n];
    const spans = l?.joists.find((j) => j.n === o.in.joist)?.spans.length ?? 1;
    const bearing = `its ${l ? bearingNames(l.along)[0] : "left"} bearing`;
    return {
      timber: `joist ${o.in.joist}${spans > 1 ? `, span ${o.in.span} of ${spans}` : ""}`,
      of: l?.deck.name ?? o.in.deck ?? "",
      along: `${mm(o.at)} from ${bearing}`,
      from: bearing,
      height: o.notch ? "sawn into the top" : `${mm(o.fromTop)} down from the top`,
      room: l ? roomAt(h, n, { x: o.centre[0], y: o.centre[1] }) : "",
    };
  }
  if (o.in.kind === "noggin") {
    const n = h.deckOfId.get(o.in.deck ?? "") ?? -1;
    const l = h.decks[n];
    const row = l?.deck.noggins[(o.in.row ?? 1) - 1];
    const [low, high] = l?.along === "x" ? ["south", "north"] : ["west", "east"];
    const from = `the ${o.at < 0 ? low : high} side of joist ${o.in.joist}`;
    return {
      timber: `${row?.later ? "noggin to come" : "noggin"}${row && l ? `, ${mm(row.at)} from the ${bearingNames(l.along)[0]} edge` : ""}`,
      of: l?.deck.name ?? o.in.deck ?? "",
      along: `${mm(Math.abs(o.at))} from ${from}`,
      from,
      height: `${mm(o.fromTop)} down from the top`,
      room: l ? roomAt(h, n, { x: o.centre[0], y: o.centre[1] }) : "",
    };
  }
  const f = h.faces[h.faceOfWall.get(o.in.wall ?? "") ?? -1];
  const wall = f ? `wall ${f.wall.index + 1} of ${f.room.name}` : (o.in.wall ?? "");
  const from = "the left-hand corner";
  const along = `${mm(o.at)} from ${from}`;
  // Over the ceiling, between the joists of a deck.
  const between = o.in.kind === "wall" ? h.decks[h.deckOfId.get(o.in.deck ?? "") ?? -1]?.deck.name : undefined;
  const height = f ? `${mm(f.shape.height - o.fromTop)} above the floor` : `${mm(o.fromTop)} down from the ceiling`;
  if (o.in.kind === "stud")
    return {
      timber: `${partWords[o.in.part ?? "stud"]}${o.in.stud === undefined ? "" : ` ${o.in.stud}`}`,
      of: wall,
      along,
      from,
      height: o.in.part === "head-plate" || o.in.part === "sole-plate" ? "" : height,
      room: "",
    };
  const to = f?.opposite
    .map((x) => h.faces[x]!)
    .find((x) => {
      const u =
        x.frame.along.x * (o.centre[0] - x.frame.origin[0]) + x.frame.along.y * (o.centre[1] - x.frame.origin[1]);
      return u >= 0 && u <= x.shape.length;
    });
  return {
    timber: between === undefined ? "" : `between the joists of ${between}`,
    of: wall,
    along,
    from,
    height,
    room: to ? `to ${to.room.name}` : "",
    ...fallWords(f, to),
  };
}

/** To the weather a hole rises inward, so that no water runs in: from which side, and by how much. */
function fallWords(f: Face | undefined, to: Face | undefined): Pick<HoleWords, "fall"> {
  const yard = [f, to].find((x) => x?.room.kind === "yard");
  return yard && f && to ? { fall: `${RISE} lower on the side of ${yard.room.name}, sealed there` } : {};
}

/** With what a hole is made and how large it is: “bit 18”, “notch 15 wide and 11 deep”. */
export const holeTool = (o: Pick<Hole, "diameter" | "notch">): string =>
  o.notch ? `notch ${mm(o.notch.width)} wide and ${mm(o.notch.depth)} deep` : `bit ${o.diameter}`;

/** The size of a hole for a column of sizes: “Ø 18”, “15 × 11”. */
export const holeSize = (o: Pick<Hole, "diameter" | "notch">): string =>
  o.notch ? `${mm(o.notch.width)} × ${mm(o.notch.depth)}` : `Ø ${o.diameter}`;

/**
 * The whole in one line: “Joist 4, span 2 of 3, Ceiling deck, over Kitchen: 1 240 from its west bearing, 97.5 down
 * from the top”.
 */
export function holeLine(h: House, o: Hole): string {
  const w = holeWords(h, o);
  const what = [w.timber, w.of, w.room].filter(Boolean).join(", ");
  return `${what[0]!.toUpperCase()}${what.slice(1)}: ${[w.along, w.height, w.fall ?? ""].filter(Boolean).join(", ")}`;
}
