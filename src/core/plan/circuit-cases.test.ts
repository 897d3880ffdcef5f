import { describe, expect, it } from "vitest";
import { type Short, jobOfCase, radial } from "./circuit-cases.fixture";
import { right } from "./circuits-right.fixture";
import { wrong } from "./circuits-wrong.fixture";
import { cableOf, standardCatalogue } from "../rules/catalogue";
import { makePlan } from "./plan";

/** Rules that judge circuits; those on walls, joists and papers are others' matter. */
const JUDGES = /^(circuit|lighting|bath|supply|alarm|zone\.rcd)/;
const finds = (c: Short): string =>
  makePlan(jobOfCase(c))
    .facts.filter((f) => JUDGES.test(f.rule) && f.severity !== "note")
    .map((f) => `${f.rule}${f.case && f.case !== "laid" ? `:${f.case}` : ""} ${f.subject.id}`)
    .sort()
    .join(", ");

describe("right circuits have no finding", () => {
  it("forty of them", () => expect(right).toHaveLength(40));
  it.each(right)("%s (%s)", (_, __, c) => expect(finds(c)).toBe(""));
});

describe("wrong circuits have exactly their findings", () => {
  it("sixty of them", () => expect(wrong).toHaveLength(60));
  it.each(wrong)("%s (%s)", (_, __, c, wanted) => expect(finds(c)).toBe(wanted));
});

it("a stretch through insulation takes from what is clipped or in plaster: 27 A × .78 over 100 mm, × .63 over 200", () => {
  const through = (insulated: number) => finds({ on: "s1 s2 s3", circuits: [radial({ insulated })] });
  expect([through(0), through(100), through(200)]).toEqual(["", "", "circuit.capacity c1"]);
});

it("a circuit whose cable is in no table is not passed over: it is told that it was not judged", () => {
  const odd = { ...cableOf("te-2.5")!, id: "odd", name: "Odd", csa: 3 };
  const catalogue = { ...standardCatalogue, cables: [...standardCatalogue.cables, odd] };
  const job = jobOfCase({ on: "s1 s2", circuits: [radial()] });
  const own = { ...job.circuits[0]!, cable: "odd" };
  const told = (j: typeof job) =>
    makePlan(j, { catalogue })
      .facts.filter((f) => f.rule === "circuit.capacity")
      .map((f) => [f.subject.id, f.case, f.severity]);
  expect(told(job)).toEqual([]);
  expect(told({ ...job, circuits: [own] })).toEqual([["c1", "not-judged", "warn"]]);
  expect(told({ ...job, circuits: [{ ...own, state: "keep" }] })).toEqual([]);
});
