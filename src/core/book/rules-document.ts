import { type RuleId, book, ruleOf } from "../rules/book";
import { standardCatalogue } from "../rules/catalogue";
import { editionOf } from "../rules/editions";
import { schoolQuestions } from "../rules/schools";
import { bookTables } from "./tables";

/** Where this edition chose between readings that the sources leave open. */
const readings: readonly string[] = [
  "The margin of a leg in a zone counts the edges of the zones together, not the wall's own edge: a drop that meets the ceiling does not leave its strip there.",
  "A strip only part of whose width meets an opening goes on beside it.",
  "A clip line exactly twice the end distance long takes one clip, not two in the same place.",
  "Cable in a stud void is taken to hang 25 mm behind the face, so it wants a zone even where the void is deeper.",
  "Holes along one joist keep a pitch of 75 mm, three times the largest bit carried, so that any two may stand side by side.",
  "Cables fill at most 45 % of a hole.",
  "A cable whose section would fit by area but whose thickness does not go in at all is refused.",
];

const cell = (x: string | number): string => String(x).replaceAll("|", "\\|").replaceAll("\n", " ");
const table = (columns: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  [columns, columns.map(() => "---"), ...rows].map((r) => `| ${r.map(cell).join(" | ")} |`).join("\n");

/**
 * The rule book as a Markdown document: every rule with id, text, limit, severity, source, edition, reason and caution, every
 * table as data, and the schools. Made from the rows that the program judges by, so that it cannot say otherwise.
 */
export function rulesDocument(): string {
  const subjects = new Map<string, string[]>();
  for (const id of Object.keys(book).sort()) {
    const subject = id.split(".")[0]!;
    subjects.set(subject, [...(subjects.get(subject) ?? []), id]);
  }
  const rules = [...subjects].flatMap(([subject, ids]) => [
    `### ${subject}`,
    table(
      ["id", "rule", "limit", "severity", "source", "edition", "why", "caution"],
      ids.map((id) => {
        const r = ruleOf(id as RuleId);
        return [
          `\`${id}\``,
          `**${r.title}.** ${r.text}`,
          r.limit,
          r.severity,
          r.source,
          editionOf(r.source),
          r.why,
          r.caution ?? "",
        ];
      }),
    ),
  ]);
  const tables = bookTables(standardCatalogue).flatMap((t) => [
    `### ${t.title}`,
    `Source: ${t.source}. ${t.caution}`,
    table(t.columns, t.rows),
  ]);
  const schools = schoolQuestions.flatMap((q) => [
    `### ${q.question}`,
    table(
      ["school", "reason"],
      q.options.map((o) => [o.name, o.reason]),
    ),
  ]);
  return (
    [
      "# Rules and sources",
      "Made by `npm run schemas` from the rows that the program judges by. All lengths mm unless said. The figures are a working aid, not a certificate: local code, licensed practice and the maker's sheet come first. Values marked typical may be replaced in the catalogue.",
      "## Rules",
      ...rules,
      "## Tables",
      ...tables,
      "## Schools of practice",
      ...schools,
      "## Readings of this edition",
      readings.map((r) => `- ${r}`).join("\n"),
      "",
    ]
      .join("\n\n")
      .trimEnd() + "\n"
  );
}
