import { mainsOf } from "../job/mains";
import { mm, toCut, toMark } from "../base/figures";
import { deckScene } from "../drawings/deck-scene";
import { roomSheet, storeySheet } from "../drawings/house-sheets";
import type { House } from "../house/house";
import { roomServed } from "../house/rooms-of";
import { pointLabels } from "../job/labels";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { notifiable } from "../plan/notify";
import { cableOf } from "../rules/catalogue";
import { notifyRules } from "../rules/notify";
import { boringOrder, nogginHoles, wallHoles } from "../trades/timber/boring";
import { holeSize, holeWords } from "../words/holes";
import { NOTIFY_CAUTION, notifyWords } from "../words/notify";
import type { Paper, TableBlock } from "./paper";
import { type TestCell, testLines } from "./test-lines";

/** A storey from above. */
export const storeyPaper = (h: House, plan: Plan, id: string): Paper => ({
  kind: "plan",
  id,
  title: `${h.job.storeys.find((s) => s.id === id)?.name ?? id} · plan`,
  about: "from above, north up · all sizes mm",
  landscape: true,
  blocks: [{ kind: "scene", scene: storeySheet(h, id, plan), tall: 150 }],
});

/** The walls of a room side by side. */
export const roomPaper = (h: House, plan: Plan, id: string): Paper => ({
  kind: "room",
  id,
  title: `${h.job.rooms.find((r) => r.id === id)?.name ?? id} · unrolled`,
  about: "walls side by side, turning right, as seen from inside · all sizes mm",
  landscape: true,
  blocks: [{ kind: "scene", scene: roomSheet(h, id, plan), tall: 150 }],
});

/** All holes: those of each deck with its drawing, in the order one walks, and those in studs and walls. */
export function boresPaper(h: House, plan: Plan): Paper {
  const heads = ["Line", "Where", "Measured from", "At, mm", "Height or depth", "Bit", "Plate"];
  const table = (rows: string[][], title?: string): TableBlock => ({
    kind: "table",
    heads,
    ...(title === undefined ? {} : { title }),
    shares: [6, 34, 22, 10, 16, 6, 6],
    figures: [3, 5],
    none: "No holes.",
    rows,
  });
  const row = (o: Plan["holes"][number], line: string): string[] => {
    const w = holeWords(h, o);
    return [
      line,
      [w.timber, w.of, w.room].filter(Boolean).join(", "),
      w.from,
      toMark(Math.abs(o.at)),
      [w.height, w.fall ?? ""].filter(Boolean).join(", "),
      o.notch ? holeSize(o) : mm(o.diameter),
      o.plated ? "plate" : "",
    ];
  };
  const order = boringOrder(h, plan);
  return {
    kind: "bores",
    id: "all",
    title: "Bore schedule",
    about: "in the order one walks · scan and look for pipes before drilling · all sizes mm",
    landscape: true,
    blocks: [
      ...h.decks.flatMap((l): Paper["blocks"] => {
        const steps = order.filter((s) => s.deck === l.deck.id);
        const noggins = nogginHoles(l, plan);
        if (!steps.length && !noggins.length) return [];
        const holes = plan.holes.filter((o) => o.in.deck === l.deck.id);
        return [
          { kind: "text", look: "heading", text: l.deck.name },
          {
            kind: "scene",
            scene: { label: l.deck.name, template: false, shapes: deckScene(l, h.job, holes) },
            tall: 110,
          },
          table([...steps.map((s) => row(s.hole, String(s.line))), ...noggins.map((o) => row(o, ""))]),
        ];
      }),
      table(
        wallHoles(h, plan).map((o) => row(o, "")),
        "Studs, plates and walls",
      ),
    ],
  };
}

/** Every circuit with its device, cable, length and what it feeds. */
export function circuitsPaper(h: House, plan: Plan): Paper {
  const label = pointLabels(h.job);
  return {
    kind: "circuits",
    id: "all",
    title: "Circuit chart",
    about: "to be kept at the board · a working aid and no certificate",
    landscape: true,
    blocks: [
      {
        kind: "table",
        heads: ["Way", "Circuit", "Device", "RCD, mA", "Cable", "Laid, m", "Points"],
        shares: [6, 22, 10, 8, 18, 8, 28],
        figures: [0, 3, 5],
        none: "No circuits.",
        rows: mainsOf(h.job)
          .sort((a, b) => (a.way ?? 99) - (b.way ?? 99) || (a.label < b.label ? -1 : 1))
          .map((c) => [
            c.way === null ? "–" : String(c.way),
            `${c.label} ${c.name}`,
            `${c.device.curve}${c.device.rating}`,
            c.rcd === null ? "none" : String(c.rcd),
            cableOf(c.cable, h.catalogue)?.name ?? c.cable,
            (plan.runs.filter((r) => r.circuit === c.id).reduce((s, r) => s + r.pathLength, 0) / 1000).toFixed(1),
            [...c.points, ...c.spurs.map((s) => s.point)].map((p) => label(p)).join(", "),
          ]),
      },
    ],
  };
}

/** What to cut, run by run, longest first within its cable. */
export function cutsPaper(h: House, plan: Plan): Paper {
  const label = pointLabels(h.job);
  const name = (cable: string): string => cableOf(cable, h.catalogue)?.name ?? cable;
  return {
    kind: "cuts",
    id: "all",
    title: "Cut list",
    about: "tails and spare included · all sizes mm",
    landscape: false,
    blocks: [
      {
        kind: "table",
        heads: ["Cable", "Run", "Cut", "Done"],
        shares: [36, 40, 14, 10],
        figures: [2],
        none: "No runs.",
        rows: [...plan.runs]
          .sort((a, b) => name(a.cable).localeCompare(name(b.cable), "en-GB") || b.cutLength - a.cutLength)
          .map((r) => [
            name(r.cable),
            `${h.job.circuits.find((c) => c.id === r.circuit)?.label ?? ""} ${label(r.from)}–${label(r.to)}`,
            toCut(r.cutLength),
            r.held ? "in" : "",
          ]),
      },
    ],
  };
}

const ohms = (c: TestCell): string => (c.expect === null ? "–" : `${c.expect.toFixed(2)} Ω`);

/** What every run should read, and what it read; rings end to end. */
export function testsPaper(h: House, plan: Plan, siteBook: readonly SiteEntry[]): Paper {
  const { runs, rings } = testLines(h, plan, siteBook);
  return {
    kind: "tests",
    id: "all",
    title: "Test sheet",
    about: "dead tests on the tails, far end joined, at 20 °C · isolate, prove dead, prove the tester",
    landscape: true,
    blocks: [
      {
        kind: "table",
        title: "Runs",
        heads: ["Run", "Line to earth, expect", "read", "Line to neutral, expect", "read", "Insulation", "Tested by"],
        shares: [22, 15, 10, 15, 10, 12, 16],
        figures: [1, 2, 3, 4, 5],
        none: "No runs.",
        rows: runs.map((r) => [
          r.name,
          ohms(r.lineEarth),
          r.lineEarth.read,
          ohms(r.lineNeutral),
          r.lineNeutral.read,
          r.insulation,
          r.testedBy,
        ]),
      },
      {
        kind: "table",
        title: "Rings, end to end",
        heads: ["Ring", "r1, expect", "read", "rn, expect", "read", "r2, expect", "read"],
        shares: [22, 13, 13, 13, 13, 13, 13],
        figures: [1, 2, 3, 4, 5, 6],
        none: "No rings.",
        rows: rings.map((r) => [r.name, ...[r.r1, r.rn, r.r2].flatMap((c) => [ohms(c), c.read])]),
      },
    ],
  };
}

/** Which parts of the work are notifiable where the house stands, and why. */
export function notifyPaper(h: House): Paper {
  const label = pointLabels(h.job);
  const nameOf = (kind: string, id: string): string => {
    if (kind === "circuit") {
      const c = h.job.circuits.find((x) => x.id === id);
      return c ? `${c.label} ${c.name}` : id;
    }
    if (kind !== "point") return h.job.name;
    const room = h.job.rooms.find((r) => r.id === roomServed(h, id))?.name;
    return [label(id), room].filter(Boolean).join(", ");
  };
  return {
    kind: "notify",
    id: "all",
    title: "Notification sheet",
    about: notifyRules[h.job.dwelling.country]?.source ?? "",
    landscape: false,
    blocks: [
      { kind: "text", look: "caution", text: NOTIFY_CAUTION },
      {
        kind: "table",
        heads: ["Part of the work", ""],
        shares: [85, 15],
        none: "Nothing new.",
        rows: notifiable(h).map((l) => [
          notifyWords(l, nameOf(l.kind, l.id)),
          l.notify === null ? "ask" : l.notify ? "notify" : "–",
        ]),
      },
    ],
  };
}
