"use client";
import { useMemo } from "react";
import { count, mm } from "../../../core/base/figures";
import { drawDrop } from "../../../core/drawings/drop-drawing";
import { sectionName } from "../../../core/drawings/section-drawings";
import { type BoardDrop, boardDrops } from "../../../core/plan/board-drop";
import type { BoardFigures } from "../../../core/plan/board-figures";
import { SceneView } from "../../drawing/scene-view";
import { useDesk } from "../../job/store";
import { useNames } from "../sheets/frame";

const tenth = (x: number): string => mm(Math.round(x * 10) / 10);

/** The trunking down to the board as one guided picture: line, fixings, pieces, slot, grommets, retainers, lid, seal. */
export function BoardDropView({ f }: { f: BoardFigures }) {
  const { house } = useNames();
  const drops = useMemo(() => boardDrops(house, f), [house, f]);
  if (!drops.length)
    return (
      <p className="text-soft">
        No section comes down to this board. Draw one in{" "}
        <button
          type="button"
          className="cursor-pointer underline underline-offset-2"
          onClick={() => useDesk.setState({ stage: "containment" })}
        >
          Containment
        </button>
        : trunking from the ceiling to its top edge.
      </p>
    );
  return drops.map((d) => (
    <section key={d.section.section.id} aria-label={`Drop ${d.section.section.label}`} data-drop={d.section.section.id}>
      <h3 className="text-lg">{sectionName(d.section)}</h3>
      <div className="grid items-start gap-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <SceneView scene={drawDrop(d, f)} tall={520} beside={110} />
        <ol className="grid list-decimal gap-1.5 pl-5 text-[14.5px]">
          {stepsOf(d).map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ol>
      </div>
    </section>
  ));
}

/** What is done, in order, with its figures. */
function stepsOf(d: BoardDrop): string[] {
  const { slot } = d;
  const where =
    Math.abs(d.off) < 0.05
      ? "through the middle of the board"
      : `${tenth(Math.abs(d.off))} ${d.off > 0 ? "right" : "left"} of the middle of the board`;
  const cuts = slot.notched
    ? `Cut ${slot.seats} notches of ${tenth(slot.width)} × ${tenth(slot.height)}`
    : `Cut one slot ${tenth(slot.to - slot.from)} long`;
  const folds = d.pieces.some((p) => p.folds.length) ? "; folds as opened out in Containment" : "";
  const passes = [...new Set(d.seals.map((x) => `the ${x.where}`))].join(" and ");
  const seals = d.seals.map((x) => `${tenth(x.width)} × ${tenth(x.depth)}`).join(", ");
  const inside = d.seals.some((x) => x.inside) ? ", and inside it" : "";
  return [
    `Strike a plumb line by level or laser ${tenth(d.line)} from the left corner, ${where}. ` +
      "Look and scan before drilling.",
    ...(d.plumb.length
      ? [
          `Drill ${count(d.plumb.length, "fixing")} on it, up from the floor: ` +
            `${d.plumb.map(tenth).join(", ")}. The plugs go in flush; no head stands into the trunking.`,
        ]
      : []),
    ...d.others.map((o) =>
      o.plumb
        ? `Plumb stretch ${tenth(o.at)} from the left corner: fixings up from the floor at ${o.marks.map(tenth).join(", ")}.`
        : `Level stretch ${tenth(o.at)} up: fixings from the left corner at ${o.marks.map(tenth).join(", ")}.`,
    ),
    `Cut ${count(d.pieces.length, "piece")}: ${d.pieces.map((p) => tenth(p.length)).join(", ")}${folds}. ` +
      "Deburr until a finger runs clean.",
    `${cuts} in the edge of the board, from ${tenth(slot.from)} to ${tenth(slot.to)} along the wall; file the edges, ` +
      "fire-rated grommets in, before the board hangs. The slot at true scale: Entry.",
    `Hang the section so that it ends at ${tenth(d.endsAt)}, the board's edge at ${tenth(d.edge)}; ` +
      "earth continuity across the joint where it is metal.",
    ...(d.retainers.length
      ? [
          `Retainers between the webs, up from the floor: ${d.retainers.map(tenth).join(", ")}: ` +
            "they hold the cables while the lid is off.",
        ]
      : []),
    `Cables in, in the order they are tied; then the lid, ${tenth(d.lid)} in all.`,
    d.seals.length
      ? `Seal where it passes ${passes}: intumescent, ${seals}${inside}. Then the slot, round the cables.`
      : "Seal the slot round the cables when all are in.",
  ];
}
