import { describe, expect, it } from "vitest";
import type { WallTruth } from "./port";
import { judgeSweep, simulatedDetector } from "./simulated-detector";
import { METER_OFF, readRing } from "../core/trades/dead-tests/ring-read";
import { readRun } from "../core/trades/dead-tests/run-read";
import { simulatedLabelPrinter, stripLength } from "./simulated-label-printer";
import { simulatedLaser } from "./simulated-laser";
import { simulatedMeter } from "./simulated-meter";

const readings = async (setting: "steady" | "noisy" | "misread", n = 60): Promise<number[]> => {
  const laser = simulatedLaser(setting, 7);
  const out: number[] = [];
  for (let i = 0; i < n; i++) out.push((await laser.measure(3600)).length! - 3600);
  return out;
};

describe("the simulated laser", () => {
  it("steady stays within 3 mm, noisy within 20, and both err", async () => {
    const [steady, noisy] = [await readings("steady"), await readings("noisy")];
    expect(Math.max(...steady.map(Math.abs))).toBeLessThanOrEqual(3);
    expect(Math.max(...noisy.map(Math.abs))).toBeGreaterThan(4);
    expect(Math.max(...noisy.map(Math.abs))).toBeLessThanOrEqual(20);
  });
  it("misread is off by its own body about one time in three", async () => {
    const off = (await readings("misread")).filter((x) => Math.abs(x) > 100).length;
    expect(off).toBeGreaterThan(10);
    expect(off).toBeLessThan(35);
  });
  it("says so when a length is out of its reach, and that it is simulated", async () => {
    const laser = simulatedLaser("steady", 1);
    expect(laser.simulated).toBe(true);
    expect(await laser.measure(10)).toMatchObject({ length: null });
    expect((await laser.measure(2000)).words).toMatch(/simulated/);
  });
});

describe("the simulated wall detector", () => {
  const wall = (more: Partial<WallTruth>): WallTruth => ({
    length: 3000,
    foilBacked: false,
    metal: [],
    timber: [],
    cables: [],
    ...more,
  });
  const sweep = async (t: WallTruth) => {
    const { signals } = await simulatedDetector(3).sweep(t);
    return { signals, ...judgeSweep(t, signals) };
  };
  it("hears a shallow live cable and places it within 40 mm", async () => {
    const { signals } = await sweep(wall({ cables: [{ u: 1230, depth: 15, live: true, name: "S1 to S2" }] }));
    expect(signals).toHaveLength(1);
    expect(signals[0]!.says).toBe("live cable");
    expect(Math.abs((signals[0]!.from + signals[0]!.to) / 2 - 1230)).toBeLessThan(40);
  });
  it("is silent over a deep one, and says that silence is no proof", async () => {
    const r = await sweep(wall({ cables: [{ u: 1230, depth: 60, live: true, name: "S1 to S2" }] }));
    expect(r.signals).toEqual([]);
    expect(r.words).toContain("Silence is not proof");
  });
  it("rings from end to end on foil-backed board", async () => {
    const r = await sweep(wall({ foilBacked: true }));
    expect(r.signals).toEqual([{ from: 0, to: 3000, says: "metal" }]);
    expect(r.words).toMatch(/tells nothing/);
  });
  it("takes metal studs for something, timber for studs", async () => {
    const r = await sweep(wall({ metal: [600, 1200], timber: [] }));
    expect(r.falseAlarms).toBe(2);
    expect((await sweep(wall({ timber: [400, 800] }))).signals.map((s) => s.says)).toEqual(["stud", "stud"]);
  });
});

describe("the simulated test meter", () => {
  const expected = { lineEarth: 0.39, lineNeutral: 0.3 };
  const run = { id: "r", from: "a", to: "b" };
  it("reads a sound run within 0.02 Ω, always the same for one seed, and says that it is simulated", async () => {
    for (let seed = 1; seed <= 50; seed++) {
      const r = await simulatedMeter(seed).read({ expected, damaged: false });
      expect(Math.abs(r.lineEarth! - expected.lineEarth)).toBeLessThanOrEqual(0.0251);
      expect(readRun(run, expected, r)).toEqual([]);
      expect(await simulatedMeter(seed).read({ expected, damaged: false })).toEqual(r);
    }
    expect(simulatedMeter(1)).toMatchObject({ simulated: true, name: "Test meter, simulated" });
  });
  it("reads a sound ring end to end, each conductor by itself", async () => {
    const ring = { r1: 0.42, rn: 0.42, r2: 0.7 };
    for (let seed = 1; seed <= 50; seed++) {
      const r = await simulatedMeter(seed).readRing(ring);
      expect(readRing({ ...ring, noise: METER_OFF }, r.r1, r.rn, r.r2, []).verdict).toBe("sound");
      expect(Math.abs(r.r2 - ring.r2)).toBeLessThanOrEqual(0.0251);
    }
  });
  it("fails the insulation of a run that is hurt", async () => {
    const r = await simulatedMeter(1).read({ expected, damaged: true });
    expect(readRun(run, expected, r).map((f) => f.rule)).toEqual(["test.insulation"]);
  });
});

describe("the simulated label printer", () => {
  it("feeds tape as long as the longest line, and stops with words where the cassette is empty", async () => {
    const printer = simulatedLabelPrinter(90);
    expect(printer.simulated).toBe(true);
    const long = stripLength(["R1 out", "DB1 to S6"]);
    expect(stripLength(["R1 out and more", "DB1 to S6"])).toBeGreaterThan(long);
    expect(await printer.print(["R1 out", "DB1 to S6"])).toMatchObject({
      length: long,
      words: expect.stringContaining("simulated"),
    });
    let taken = long;
    for (;;) {
      const r = await printer.print(["R1 out", "DB1 to S6"]);
      if (r.length === null) {
        expect(r.words).toBe(
          `No tape: ${90 - taken} mm are left and this label takes ${long}. Put in another cassette.`,
        );
        break;
      }
      taken += r.length;
    }
    expect(taken).toBeLessThanOrEqual(90);
  });
});
