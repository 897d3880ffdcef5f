import { describe, expect, it } from "vitest";
import { z } from "zod";
import { answer } from "./calculator";
import { calculatorNamed, calculators } from "./registry";

const ask = (name: string, input: unknown) => answer(calculatorNamed(name)!, input);

describe("the registry of calculators", () => {
  it("gives every calculator a name, purpose, source and a JSON Schema", () => {
    expect(new Set(calculators.map((c) => c.name)).size).toBe(calculators.length);
    for (const c of calculators) {
      expect(c.purpose.endsWith("?")).toBe(true);
      expect(c.source).not.toBe("");
      expect(z.toJSONSchema(c.input, { io: "input" })).toSatisfy(
        (s: { type?: string; anyOf?: unknown[] }) => s.type === "object" || (s.anyOf?.length ?? 0) > 1,
      );
    }
  });
  it("answers the worked examples of the contracts", () => {
    expect(
      ask("timber.windows", { joist: { kind: "solid", depth: 150, breadth: 47, span: 4000 }, notchSchool: "warranty" }),
    ).toMatchObject({
      ok: true,
      output: {
        hole: {
          zones: [
            [1000, 1600],
            [2400, 3000],
          ],
          maxDiameter: 37.5,
          fromTop: 75,
          maxDiameterUnplated: 37.5,
        },
        notch: {
          zones: [
            [400, 800],
            [3200, 3600],
          ],
          maxDepth: 22.5,
        },
      },
    });
    expect(ask("clip.layout", { length: 2000, max: 300 })).toMatchObject({
      ok: true,
      output: { pitch: 300, marks: [100, 400, 700, 1000, 1300, 1600, 1900] },
    });
    expect(ask("tails.length", { box: { width: 70, height: 70 }, entry: "top" })).toMatchObject({
      ok: true,
      output: { length: 140 },
    });
  });
  it("refuses bad input with the field, the value and what is allowed", () => {
    const no = (name: string, input: unknown): string => {
      const a = ask(name, input);
      expect(a.ok).toBe(false);
      return a.ok ? "" : `${a.error.path} | ${a.error.message}`;
    };
    expect(no("clip.layout", { length: -1, max: 300 })).toBe("length | length: got -1; must be more than 0");
    expect(no("clip.layout", { length: Number.NaN, max: 300 })).toMatch(/length: got NaN/);
    expect(no("clip.layout", { length: 1, max: 300, extra: 1 })).toMatch(/has no field "extra"/);
    expect(no("clip.spacing", { family: "rope", overall: 9, orientation: "vertical", reachable: true })).toMatch(
      /must be "sheathed" or "armoured" or "mi"/,
    );
    expect(no("timber.check", { joist: { depth: 150, span: 4000 }, cuts: [{ id: "a", kind: "slot" }] })).toMatch(
      /must be "hole" or "notch"/,
    );
    expect(no("zones.wall", null)).toMatch(/must be an object/);
  });
});
