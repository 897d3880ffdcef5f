import { describe, expect, it } from "vitest";
import { z } from "zod";
import { calculators, calculatorNamed } from "../../core/calculators/registry";
import {
  type Field,
  blankOf,
  fieldOf,
  withInitials,
  setAt,
  typedMatrix,
  typedNumber,
  typedPairs,
  valueName,
  variantOf,
  withKind,
} from "./form-model";

const form = (name: string): Field => fieldOf(z.toJSONSchema(calculatorNamed(name)!.input, { io: "input" }), "input");

describe("forms made from schemas", () => {
  it("gives every calculator fields with titles, and numbers their units", () => {
    const titles = (f: Field): string[] =>
      f.kind === "group"
        ? f.fields.flatMap((x) => [x.field.title, ...titles(x.field)])
        : f.kind === "list"
          ? titles(f.row)
          : f.kind === "variants"
            ? f.options.flatMap((o) => titles(o.field))
            : [];
    for (const c of calculators) {
      const f = form(c.name);
      expect(["group", "variants"]).toContain(f.kind);
      expect(titles(f).length).toBeGreaterThan(0);
      expect(titles(f).every((t) => t.length > 1)).toBe(true);
    }
    expect(form("clip.layout")).toMatchObject({
      kind: "group",
      fields: [
        { key: "length", required: true, field: { kind: "number", unit: "mm", title: "Length of the stretch" } },
        { key: "max" },
        { key: "end", initial: 100 },
      ],
    });
  });
  it("shows in every box what is reckoned with: what an example leaves unsaid stands there as the calculator takes it", () => {
    for (const c of calculators) {
      const shown = withInitials(form(c.name), c.first);
      expect(c.input.parse(shown), c.name).toEqual(c.input.parse(c.first));
      expect(withInitials(form(c.name), shown), c.name).toEqual(shown);
    }
    const wall = (withInitials(form("zones.wall"), calculatorNamed("zones.wall")!.first) as { wall: object }).wall;
    expect(wall).toMatchObject({ cornerLeft: true, cornerRight: true });
  });
  it("knows choices, flags, lists, matrices, alternatives and readings that may be open", () => {
    const at = (name: string, key: string): Field =>
      (form(name) as Extract<Field, { kind: "group" }>).fields.find((x) => x.key === key)!.field;
    expect(at("clip.spacing", "family")).toMatchObject({
      kind: "choice",
      options: [{ value: "sheathed" }, {}, { value: "mi", name: "mineral-insulated" }],
    });
    expect(at("clip.spacing", "reachable").kind).toBe("flag");
    expect(at("outside.lights", "sides")).toMatchObject({ kind: "choice", options: [{ value: 1 }, { value: 2 }] });
    expect(at("circuit.compare", "distances").kind).toBe("matrix");
    expect(at("gland.row", "glands").kind).toBe("texts");
    expect(at("test.ring-read", "r1")).toMatchObject({ kind: "number", nullable: true, unit: "Ω" });
    expect(at("outside.buried", "bedding")).toMatchObject({ kind: "number", unit: "mm" });
    const cable = at("gland.pick", "cable");
    expect(cable).toMatchObject({
      kind: "variants",
      options: [{ title: "From the catalogue" }, { title: "As measured" }],
    });
    expect(variantOf(cable as Extract<Field, { kind: "variants" }>, { bedding: 9, overall: 14, wire: 0.9 })).toBe(1);
  });
  it("keeps the constant by which holes and notches are told apart", () => {
    const cuts = (form("timber.check") as Extract<Field, { kind: "group" }>).fields.find((x) => x.key === "cuts")!
      .field as Extract<Field, { kind: "list" }>;
    const row = cuts.row as Extract<Field, { kind: "variants" }>;
    expect(variantOf(row, { kind: "notch", id: "A" })).toBe(1);
    expect(withKind(row, 1, { id: "A" })).toEqual({ kind: "notch", id: "A" });
    expect(blankOf(row)).toMatchObject({ kind: "hole" });
  });
  it("reads numbers as people type them and keeps what is none, for the calculator to refuse", () => {
    expect([
      typedNumber("1 460", false),
      typedNumber("1,5", false),
      typedNumber("", true),
      typedNumber("", false),
      typedNumber("12a", false),
    ]).toEqual([1460, 1.5, null, undefined, "12a"]);
    expect(typedMatrix("0 4000\n4000; 0\n\n")).toEqual([
      [0, 4000],
      [4000, 0],
    ]);
    expect(valueName("caravan-foot")).toBe("caravan foot");
  });
  it("reads words by name as they are typed, and leaves a name without its word for the calculator to refuse", () => {
    expect(typedPairs("L1 up, W1 down;W2  ground floor")).toEqual({ L1: "up", W1: "down", W2: "ground floor" });
    expect(typedPairs(" , ")).toBeUndefined();
    const half = typedPairs("L1")!;
    expect(half).toEqual({ L1: "" });
    const wire = calculatorNamed("lighting.wire")!;
    const typed = {
      feed: "rose",
      lights: ["L1"],
      switches: [{ id: "W1", gangs: [{ works: ["L1"] }] }],
      circuits: half,
    };
    expect(wire.input.safeParse(typed).success).toBe(false);
    expect(wire.input.safeParse({ ...typed, circuits: typedPairs("L1 up") }).success).toBe(true);
    const field = form("lighting.wire");
    expect(field.kind === "group" && field.fields.find((f) => f.key === "circuits")!.field.kind).toBe("pairs");
  });
  it("sets one place in a value and takes out what is nothing", () => {
    expect(setAt({ a: [{ b: 1 }, { b: 2 }] }, ["a", 1, "b"], 3)).toEqual({ a: [{ b: 1 }, { b: 3 }] });
    expect(setAt({ a: 1, b: 2 }, ["a"], undefined)).toEqual({ b: 2 });
  });
});
