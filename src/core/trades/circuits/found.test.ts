import { describe, expect, it } from "vitest";
import { type Job, jobSchema } from "../../job/model";
import { foundFacts, foundShape } from "./found";

const job = (cables: [from: string, to: string | null, colours?: string][]): Job =>
  jobSchema.parse({
    id: "j",
    name: "j",
    storeys: [],
    rooms: [],
    walls: [],
    openings: [],
    fixtures: [],
    decks: [],
    pins: [],
    drums: [],
    points: ["DB", "S1", "S2", "S3"].map((id) => ({
      id,
      label: id,
      kind: id === "DB" ? "board" : "socket",
      existing: true,
      place: { on: "wall", wall: "w", u: 0, v: 0 },
    })),
    circuits: [
      {
        id: "c",
        label: "R9",
        name: "Old sockets",
        kind: "ring",
        device: { rating: 32 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: ["S1", "S2", "S3"],
        state: "extend",
      },
    ],
    foundCables: cables.map(([from, to, colours], i) => ({
      id: `f${i}`,
      from,
      to,
      colours: colours ?? "new",
      cable: "te-2.5",
    })),
  });
const shape = (cables: Parameters<typeof job>[0]) => foundShape(job(cables), job(cables).circuits[0]!);

describe("ring or radial, from what is found", () => {
  it("two cables everywhere and two at the board: a ring", () =>
    expect(
      shape([
        ["DB", "S1"],
        ["S1", "S2"],
        ["S2", "S3"],
        ["S3", "DB"],
      ]).shape,
    ).toBe("ring"));
  it("one in and none out at the last point: a radial, and no ring whatever it is called", () => {
    const cables: [string, string][] = [
      ["DB", "S1"],
      ["S1", "S2"],
      ["S2", "S3"],
    ];
    expect(shape(cables)).toMatchObject({ shape: "radial", lastPoints: ["S3"] });
    expect(foundFacts(job(cables)).map((f) => `${f.rule} ${f.subject.id}`)).toEqual(["found.shape c"]);
  });
  it("an end not traced, or a point without a cable, leaves it open", () => {
    expect(
      shape([
        ["DB", "S1"],
        ["S1", "S2"],
        ["S2", null],
      ]),
    ).toMatchObject({ shape: "open", loose: ["S2"] });
    expect(
      shape([
        ["DB", "S1"],
        ["S1", "DB"],
      ]),
    ).toMatchObject({ shape: "open", loose: ["S2", "S3"] });
    expect(shape([])).toMatchObject({ shape: "none" });
  });
  it("old colours are a caution, not a proof", () => {
    const f = foundFacts(
      job([
        ["DB", "S1", "old"],
        ["S1", "S2"],
        ["S2", "S3"],
        ["S3", "DB"],
      ]),
    );
    expect(f.map((x) => x.rule)).toEqual(["found.colours"]);
  });
});
