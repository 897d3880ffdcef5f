import { describe, expect, it } from "vitest";
import { generatedHouse } from "../routing/generated-house";
import { readJobFile, writeJobFile } from "./file";
import { checkInvariants } from "./invariants";
import { type Job, blankJob } from "./model";
import { type Change, applyPatch, inverse, parsePatch } from "./patch";

const job = generatedHouse(3);
const text = writeJobFile(job);
const withJob = (change: (j: Job) => void): string => {
  const copy = structuredClone(job);
  change(copy);
  return JSON.stringify({ format: "lumbet-job", version: 1, job: copy });
};
const refused = (s: string): string => {
  const r = readJobFile(s);
  expect(r.ok).toBe(false);
  return r.ok ? "" : r.refusals.map((x) => `${x.path}: ${x.message}`).join("\n");
};

describe("job files", () => {
  it("comes back the same from its own file", () => {
    const r = readJobFile(text);
    expect(r.ok && r.file.job).toEqual(job);
    expect(r.ok && writeJobFile(r.file.job)).toBe(text);
  });
  it("refuses what is not a whole job file, in words", () => {
    // Files offered by mistake are told by how they begin.
    expect(refused("%PDF-1.3 3 0 obj")).toContain("the file is a PDF, and no job file");
    expect(refused("PK\u0003\u0004")).toContain("a spreadsheet or an archive");
    expect(refused("<svg/>")).toContain("a web page or a drawing");
    expect(refused("\uFFFDPNG\r\n")).toContain("a picture");
    expect(refused("0\nSECTION\n2")).toContain("a DXF drawing");
    expect(refused("")).toMatch(/not whole JSON/);
    expect(refused(text.slice(0, 500))).toMatch(/not whole JSON/);
    expect(refused("[1,2]")).toMatch(/holds no job/);
    expect(refused('{"format":"other"}')).toMatch(/format/);
    expect(refused('{"format":"lumbet-job","version":9}')).toMatch(/versions 1 to 2/);
    expect(refused(" ".repeat(60_000_001))).toMatch(/at most/);
    expect(refused('{"format":"lumbet-job","version":1,"job":{"__proto__":{"x":1}}}')).toMatch(/job\./);
  });
  it("names the field for numbers that are none, negative, or too far", () => {
    expect(refused(text.replace(/"thickness": \d+/, '"thickness": null'))).toMatch(/thickness/);
    expect(
      refused(
        withJob((j) => {
          j.rooms[0]!.height = -1;
        }),
      ),
    ).toMatch(/rooms\.0\.height/);
    expect(
      refused(
        withJob((j) => {
          j.rooms[0]!.outline[0]!.x = 1e9;
        }),
      ),
    ).toMatch(/outline/);
    expect(
      refused(
        withJob((j) => {
          (j as unknown as { surprise: number }).surprise = 1;
        }),
      ),
    ).toMatch(/surprise/);
  });
  it("refuses outlines that cross, run anticlockwise or lack a wall", () => {
    expect(
      refused(
        withJob((j) => {
          const o = j.rooms[0]!.outline;
          [o[1], o[2]] = [o[2]!, o[1]!];
        }),
      ),
    ).toMatch(/crosses itself/);
    expect(
      refused(
        withJob((j) => {
          j.rooms[0]!.outline.reverse();
        }),
      ),
    ).toMatch(/anticlockwise/);
    expect(
      refused(
        withJob((j) => {
          j.walls.shift();
        }),
      ),
    ).toMatch(/needs one wall/);
  });
  it("refuses overlapping openings, openings off their wall, and references to nothing", () => {
    expect(
      refused(
        withJob((j) => {
          j.openings.push({ ...j.openings[0]!, id: "again" });
        }),
      ),
    ).toMatch(/overlaps/);
    expect(
      refused(
        withJob((j) => {
          j.openings[0]!.u = 9000;
        }),
      ),
    ).toMatch(/reaches/);
    expect(
      refused(
        withJob((j) => {
          j.circuits[0]!.points.push("ghost");
        }),
      ),
    ).toMatch(/ghost/);
    expect(
      refused(
        withJob((j) => {
          j.circuits[0]!.cable = "gold";
        }),
      ),
    ).toMatch(/catalogue/);
    expect(
      refused(
        withJob((j) => {
          j.points[1]!.id = j.points[0]!.id;
        }),
      ),
    ).toMatch(/twice/);
  });
});

describe("patches", () => {
  const p = job.points[0]!;
  const patch: Change[] = [
    { collection: "points", id: p.id, before: p, after: { ...p, label: "X1" } },
    { collection: "head", id: "name", before: job.name, after: "Renamed" },
  ];
  it("apply, and their inverse takes them back", () => {
    const next = applyPatch(job, patch);
    expect(next.name).toBe("Renamed");
    expect(applyPatch(next, inverse(patch))).toEqual(job);
  });
  it("are refused by field when their values cannot be", () => {
    const bad = parsePatch([{ ...patch[0]!, after: { ...p, boxDepth: -3 } }]);
    expect("refusals" in bad && bad.refusals[0]?.path).toMatch(/boxDepth/);
    expect("refusals" in parsePatch("nonsense")).toBe(true);
    expect("refusals" in parsePatch([{ collection: "head", id: "constructor", before: null, after: 1 }])).toBe(true);
  });
  it("leave a blank job sound", () => expect(checkInvariants(blankJob("b", "Blank"))).toEqual([]));
});
