import { z } from "zod";
import { readRing } from "../trades/dead-tests/ring-read";
import { drawBars } from "../drawings/line-drawings";
import { ringWords } from "../words/tests";
import { calculator } from "./calculator";
import * as f from "./fields";

const ohms = (title: string) => z.number().min(0).max(1_000_000).meta({ title, unit: "Ω" });
const reading = (title: string) => ohms(title).nullable().meta({ title, unit: "Ω", hint: "empty for an open circuit" });

export default calculator({
  name: "test.ring-read",
  purpose: "What is wrong with this ring, by its readings?",
  group: "Tests",
  source: "BS 7671:2018+A2:2022 643.2, and on-site working practice",
  input: z.strictObject({
    expected: z
      .object({
        r1: ohms("Line").min(0.001),
        rn: ohms("Neutral").min(0.001),
        r2: ohms("Protective conductor").min(0.001),
        points: f
          .rows(
            "At each point",
            z.object({
              id: f.name("Point"),
              lineNeutral: ohms("Line–neutral"),
              lineEarth: ohms("Line–earth"),
              lineEarthHere: ohms("Line–earth at its place").optional(),
            }),
          )
          .optional(),
      })
      .meta({ title: "Expected end to end" }),
    r1: reading("Line, end to end"),
    rn: reading("Neutral, end to end"),
    r2: reading("Protective conductor, end to end"),
    points: f
      .rows(
        "Points",
        z.strictObject({
          id: f.name("Point"),
          lineNeutral: reading("Line–neutral, crossed"),
          lineEarth: reading("Line–earth, crossed"),
        }),
      )
      .default([]),
    noise: ohms("What the meter may be off").max(0.2).default(0),
  }),
  output: z.object({
    verdict: z.enum(["sound", "open", "loose", "crossed-wrong", "spurs", "bridged"]),
    reasons: z.array(z.string()),
    findings: f.findings,
  }),
  first: {
    expected: { r1: 0.445, rn: 0.445, r2: 0.726 },
    r1: 0.45,
    rn: 0.71,
    r2: 0.73,
    points: [
      { id: "S1", lineNeutral: 0.27, lineEarth: 0.29 },
      { id: "S2", lineNeutral: 0.26, lineEarth: 0.29 },
    ],
  },
  run: (i) => {
    const { verdict, because, facts } = readRing({ ...i.expected, noise: i.noise }, i.r1, i.rn, i.r2, i.points);
    return { verdict, reasons: because.map(ringWords), facts };
  },
  sheet: (i, o) => ({
    headline: o.reasons[0] ?? o.verdict,
    scene: drawBars(
      "Readings",
      "Ω",
      [
        {
          name: "line",
          value: i.r1 ?? 0,
          ink: i.r1 === null ? ("stop" as const) : ("ink" as const),
          note: i.r1 === null ? "open" : "",
        },
        {
          name: "neutral",
          value: i.rn ?? 0,
          ink: i.rn === null ? ("stop" as const) : ("ink" as const),
          note: i.rn === null ? "open" : "",
        },
        {
          name: "protective conductor",
          value: i.r2 ?? 0,
          ink: i.r2 === null ? ("stop" as const) : ("ink" as const),
          note: i.r2 === null ? "open" : "",
        },
        ...i.points.map((p) => ({
          name: `${p.id} crossed`,
          value: p.lineNeutral ?? 0,
          ink: p.lineNeutral === null ? ("stop" as const) : ("good" as const),
          note: p.lineNeutral === null ? "open" : "",
        })),
      ].map(({ note, ...b }) => (note ? { ...b, note } : b)),
      i.r1 !== null && i.rn !== null ? { at: (i.r1 + i.rn) / 4, text: "a quarter of line and neutral" } : undefined,
    ),
    steps: o.reasons.slice(1).concat(o.findings.flatMap((x) => x.remedy ?? [])),
  }),
});
