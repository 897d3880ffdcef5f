import { figure, mm, toCut, toMark } from "../base/figures";
import { drawOutside } from "../drawings/outside-plan-scene";
import { drawCatenarySide, drawRowSide, drawTrenchAlong } from "../drawings/outside-scenes";
import type { House } from "../house/house";
import { outsideOf } from "../house/outside";
import type { Plan } from "../laid/laid";
import { lightRows } from "../plan/light-row";
import { sagOf } from "../rules/sag";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { clearances, loadedSpans, runsIn } from "../trades/outside/outside-facts";
import { outsideName } from "../words/closing";
import { beneathWords } from "../words/outside";
import type { Block, Paper } from "./paper";

/**
 * Trenches, wires and rows of lights: from above, each from the side to scale, and the marks to work by; null where
 * there are none.
 */
export function outsidePaper(h: House, plan: Plan): Paper | null {
  const ways = outsideOf(h);
  const rows = lightRows(h, laidCircuits(h, plan.runs, plan.holes, plan.found));
  if (!ways.length && !rows.length) return null;
  const blocks: Block[] = [{ kind: "scene", scene: drawOutside(h, rows), tall: 130 }];
  for (const w of ways) {
    blocks.push({ kind: "text", look: "heading", text: outsideName(w.way) });
    if (w.way.kind === "trench") {
      blocks.push(
        { kind: "scene", scene: drawTrenchAlong(w), tall: 60 },
        {
          kind: "table",
          heads: ["From, mm", "To, mm", "Ground", "Cable below it, mm", "Dig, mm", "Duct"],
          shares: [14, 14, 30, 22, 10, 10],
          figures: [0, 1, 3, 4],
          none: "",
          rows: w.trench.map((s) => [
            toMark(s.from),
            toMark(s.to),
            [s.name || s.kind || "yard", s.tree ? "tree over it" : ""].filter(Boolean).join(", "),
            `${toMark(s.depthFrom)} to ${toMark(s.depthTo)}`,
            toMark(Math.max(s.depthFrom, s.depthTo) + w.way.bed),
            s.duct === null ? "" : mm(s.duct),
          ]),
        },
        {
          kind: "text",
          look: "caution",
          text: `Ask where other services lie${w.way.services.length ? `: ${w.way.services.map((s) => `${s.kind} at ${mm(s.at)}, ${mm(s.depth)} deep`).join("; ")}` : ""}. Bed and cover ${mm(w.way.bed)}, tape ${mm(w.way.marker)} above the cable. Test and photograph it open.`,
        },
      );
      continue;
    }
    const spans = loadedSpans(h, w, runsIn(w.way.id, plan.runs));
    blocks.push(
      { kind: "scene", scene: drawCatenarySide(w, spans), tall: 70 },
      {
        kind: "table",
        heads: ["Span", "Length, mm", "Dip, mm"],
        shares: [50, 25, 25],
        figures: [1, 2],
        none: "",
        rows: spans.map((s) => [`${s.supports[0]} to ${s.supports[1]}`, toMark(s.length), toMark(sagOf(s))]),
      },
      {
        kind: "table",
        heads: ["Over", "At, mm", "Height, mm", "At least, mm"],
        shares: [40, 20, 20, 20],
        figures: [1, 2, 3],
        none: "",
        rows: clearances(w, spans).map((c) => [
          c.name || beneathWords[c.beneath]!,
          toMark(c.at),
          toMark(c.height),
          mm(c.least),
        ]),
      },
    );
  }
  for (const f of rows) {
    blocks.push(
      { kind: "text", look: "heading", text: `${f.row.label}${f.row.name ? `, ${f.row.name}` : ""}` },
      { kind: "scene", scene: drawRowSide(f), tall: 60 },
      {
        kind: "table",
        heads: ["Light", "Along, mm", "On", "Cable to it, cut", "Live cores"],
        shares: [12, 22, 24, 24, 18],
        figures: [0, 1, 3, 4],
        none: "",
        rows: f.lights.map((l, i) => [
          String(l.n),
          toMark(l.at),
          l.post ? `post ${l.post.label}` : l.side === 1 ? "left" : "right",
          toCut(f.legs[i]!.length),
          String(f.legs[i]!.live),
        ]),
      },
      {
        kind: "text",
        text: `Gap ${mm(Math.round(f.gap))}, cable ${figure(f.total / 1000, 1)} m. Holes rise ${f.hole.rise} inward over ${mm(f.hole.through)}; a loop below every entry.`,
      },
    );
  }
  return {
    kind: "outside",
    id: "all",
    title: "Outside",
    about: "ground, trenches, wires and lights · all sizes mm",
    landscape: true,
    blocks,
  };
}
