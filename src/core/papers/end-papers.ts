import { mm, toMark } from "../base/figures";
import { cableFlag, drawBoardEntry } from "../drawings/board-drawing";
import { drawBox } from "../drawings/box-drawing";
import { drawEndPlate, drawFace } from "../drawings/face-drawings";
import { runStyles } from "../drawings/run-lines";
import { acrossFolded } from "../trades/containment/flat-cuts";
import type { SectionPiece } from "../trades/containment/section-turns";
import { drawFold, drawPiece, foldWords } from "../drawings/piece-drawings";
import type { House } from "../house/house";
import { pointLabels } from "../job/labels";
import type { Plan } from "../laid/laid";
import { type BoardFigures, boardFigures } from "../plan/board-figures";
import { type EndFigures, endFigures } from "../plan/end-figures";
import { glandFaces } from "../plan/gland-faces";
import { sectionFigures } from "../plan/section-figures";
import { trunkingEnds } from "../plan/trunking-ends";
import { cableName, entryWords, fillWords, holeHowWords, roomName } from "../words/at-end";
import type { Block, Paper, TableBlock, TextBlock } from "./paper";

const tenth = (x: number): string => mm(Math.round(x * 10) / 10);

const heading = (words: string): TextBlock => ({ kind: "text", look: "heading", text: words });

/** Every cable of a box with what to leave of it. */
function cablesTable(h: House, f: EndFigures): TableBlock {
  return {
    kind: "table",
    heads: ["Cable", "Size", "Comes in", "Sheath in", "Leave", "Conductors"],
    shares: [20, 28, 16, 12, 11, 13],
    figures: [3, 4, 5],
    none: "No cable is laid to it yet.",
    rows: f.cables.map((c) => [
      cableName(h.job, c),
      c.cable.name,
      entryWords(c.end.entry),
      mm(c.end.measures.sheath ?? 0),
      mm(c.end.measures.tail ?? 0),
      mm(c.end.measures.conductor ?? c.end.measures.tail ?? 0),
    ]),
  };
}

/** What else there is to say of a box: whether it closes, its earth tail, its armour and mineral ends. */
function boxWords(h: House, f: EndFigures): TextBlock[] {
  const { room, box } = f;
  const out: TextBlock[] = [];
  if (room)
    out.push(
      room.closes
        ? { kind: "text", text: `It closes: ${tenth(room.needs)} of ${mm(room.has)} deep.` }
        : {
            kind: "text",
            look: "caution",
            text:
              `It will not close: ${tenth(room.needs)} needed, ${mm(room.has)} there.` +
              (room.takes === null ? "" : ` ${mm(room.takes)} deep would.`),
          },
    );
  out.push({
    kind: "text",
    text:
      `Box ${mm(box.width)} × ${mm(box.height)} inside, ${mm(box.depth)} deep. ` +
      (f.earthTail === null ? "" : `Earth tail from the box to the accessory ${tenth(f.earthTail)}. `) +
      (f.strip === null
        ? "Strip and connect as the maker of the outlet says."
        : `Bare ${tenth(f.strip)} for a terminal; try each with a scrap end first.`),
  });
  for (const c of f.cables) {
    const name = cableName(h.job, c);
    if (c.armour) {
      const { marks, gland } = c.armour;
      out.push({
        kind: "text",
        text:
          `${name}: ${gland ? `gland ${gland.id}, hole Ø ${mm(gland.hole)}` : "no gland of the table fits"}. From the last cleat: ` +
          `wires stop at ${toMark(marks.wires)}, sheath ringed at ${toMark(marks.ring)}, cut at ${toMark(marks.cut)}.`,
      });
    }
    if (c.mineral)
      out.push({
        kind: "text",
        text:
          `${name}: face to face ${tenth(c.mineral.faceToFace)}. ` +
          (c.mineral.first
            ? `Made off first, tails ${mm(c.mineral.tails)} beyond the sheath.`
            : `Sheath ends at ${tenth(c.mineral.sheathEnd)}, cut at ${tenth(c.mineral.cut)}.`),
      });
  }
  return out;
}

/** Cards of the boxes of a room, each drawn from the front with the measures of its cables; null where none has a cable. */
export function boxesPaper(h: House, plan: Plan, room: string): Paper | null {
  const name = h.job.rooms.find((r) => r.id === room)?.name ?? room;
  const figures = h.job.points
    .filter((p) => p.kind !== "board" && roomName(h, p.id) === name)
    .flatMap((p) => endFigures(h, plan, p.id) ?? [])
    .filter((f) => f.cables.length);
  if (!figures.length) return null;
  const label = pointLabels(h.job);
  return {
    kind: "boxes",
    id: room,
    title: `${name} · box cards`,
    about: "each box from the front, cables as they come in · isolate, prove dead, prove the tester · all sizes mm",
    landscape: true,
    blocks: figures.map((f): Block => {
      const drawing = drawBox(f, (c) => cableName(h.job, c));
      return {
        kind: "columns",
        shares: [34, 66],
        columns: [
          [heading(label(f.placed.point.id)), { kind: "scene", scene: drawing, tall: 70 }],
          [cablesTable(h, f), ...boxWords(h, f)],
        ],
      };
    }),
  };
}

/** How the cables come to a board and where each is made off. */
export function boardPaper(h: House, plan: Plan, id: string): Paper | null {
  const f = boardFigures(h, plan, id);
  if (!f?.cables.length) return null;
  const label = pointLabels(h.job);
  return {
    kind: "boxes",
    id,
    title: `${label(id)} · board card`,
    about: "cables in the order they are tied · isolate, prove dead, prove the tester · all sizes mm",
    landscape: true,
    blocks: [{ kind: "scene", scene: drawBoardEntry(f, runStyles(h.job)), tall: 100 }, boardTable(f, label)],
  };
}

function boardTable(f: BoardFigures, label: (point: string) => string): TableBlock {
  return {
    kind: "table",
    heads: ["Order", "Flag", "Way", "To", "Cable", "Comes in", "Line", "Neutral", "Earth", "Spare"],
    shares: [7, 12, 6, 12, 23, 12, 7, 8, 7, 6],
    figures: [0, 2, 6, 7, 8, 9],
    none: "No cable comes to it.",
    rows: f.cables.map((c, i) => [
      String(i + 1),
      cableFlag(c),
      c.feed ? "main" : c.way === null ? "–" : String(c.way),
      label(c.other),
      c.cable.name,
      entryWords(c.edge),
      c.tails ? mm(c.tails.line) : "–",
      c.tails ? mm(c.tails.neutral) : "–",
      c.tails ? mm(c.tails.earth) : "–",
      c.spare === null ? "–" : mm(Math.floor(c.spare)),
    ]),
  };
}

/** Faces that are drilled by, at true scale: one paper an enclosure, and one a trunking whose end plates tubes go on from. */
export function glandPapers(h: House, plan: Plan): Paper[] {
  const label = pointLabels(h.job);
  const about = "true scale: print at 100 %, measure the check bar, tape on, mark through · all sizes mm";
  const faces = h.job.points.flatMap((p): Paper[] => {
    const list = glandFaces(h, plan, p.id).filter((f) => f.holes.length);
    if (!list.length) return [];
    return [
      {
        kind: "glands",
        id: p.id,
        title: `${label(p.id)} · gland template`,
        about,
        landscape: true,
        blocks: list.flatMap((f): Block[] => [
          heading(`Face: ${f.edge}, ${mm(f.width)} × ${mm(f.depth)}`),
          { kind: "true", scene: drawFace(f) },
          {
            kind: "table",
            heads: [f.edge === "left" || f.edge === "right" ? "From the top" : "From the left", "Hole", "For", "How"],
            shares: [16, 12, 40, 32],
            figures: [0, 1],
            none: "No hole.",
            rows: f.holes.map((o) => [tenth(o.x), `Ø ${mm(o.hole)}`, o.name, holeHowWords[o.how]]),
          },
        ]),
      },
    ];
  });
  const plates = trunkingEnds(h).map((e): Paper => {
    const name = e.trunking.section.label;
    return {
      kind: "glands",
      id: `${e.trunking.section.id} ${e.end}`,
      title: `${name} · plate at its ${e.end} end`,
      about,
      landscape: true,
      blocks: [{ kind: "true", scene: drawEndPlate(e) }],
    };
  });
  return [...faces, ...plates];
}

/** What a tape has to show across a piece with one corner. */
function acrossLines(piece: SectionPiece, width: number): Block[] {
  const across = acrossFolded(piece, width);
  return across === null
    ? []
    : [
        {
          kind: "text",
          look: "soft",
          text: `Across, from end to end, middle to middle, when the corner is true: ${tenth(across)}`,
        },
      ];
}

/** Sections that are cut and folded: every piece opened flat to a scale, and each of its folds at true scale. */
export function openedPapers(h: House, plan: Plan): Paper[] {
  return sectionFigures(h, plan)
    .filter((f) => f.pieces.length)
    .map((f): Paper => {
      const { section, size, row } = f.laid;
      return {
        kind: "opened",
        id: section.id,
        title: `${section.label} · ${row.method === "tube" ? "as it lies straight" : "opened flat"}`,
        about: `${row.name} ${size.id} · ${row.method === "tube" ? "bend on the marks; cut square" : "square all round first; cut"}, deburr until a finger runs clean · all sizes mm`,
        landscape: false,
        blocks: [
          { kind: "text", look: "soft", text: fillWords(f) },
          ...f.pieces.flatMap((piece): Block[] => [
            heading(
              `Piece ${piece.number} of ${f.pieces.length}, cut ${tenth(piece.length)} from a ${mm(row.stock)} length`,
            ),
            { kind: "scene", scene: drawPiece(piece, size), tall: 60 },
            ...(piece.folds.length
              ? [
                  {
                    kind: "table",
                    heads:
                      row.method === "tube"
                        ? ["Middle at", "Bend from", "to", "Angle", "How"]
                        : ["Fold at", "Cut from", "to", "Angle", "How"],
                    shares: [10, 10, 10, 8, 62],
                    figures: [0, 1, 2, 3],
                    none: "",
                    rows: piece.folds.map((x) => [
                      tenth(x.at),
                      x.half > 0 ? tenth(x.at - x.half) : "slit",
                      x.half > 0 ? tenth(x.at + x.half) : "slit",
                      `${tenth(x.angle)}°`,
                      foldWords(x),
                    ]),
                  } as const,
                ]
              : []),
            ...acrossLines(piece, size.width),
            ...piece.folds.flatMap((x): Block[] => [
              heading(
                `${x.way === "bend" ? "Bend" : "Fold"} at ${tenth(x.at)} of piece ${piece.number}, true scale: lay the ${x.way === "bend" ? "middle line" : "fold line"} on the mark`,
              ),
              { kind: "true", scene: drawFold(piece, x, size) },
            ]),
          ]),
        ],
      };
    });
}
