import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { unkeepable } from "./plain-text";

describe("what no database keeps", () => {
  it("is named with its place", () => {
    expect(unkeepable({ a: [{ name: "x\u0000y" }] })).toEqual({
      path: "a.0.name",
      message: "holds the character NUL, which cannot be kept; take it out",
    });
    expect(unkeepable(["\ud83d"])?.path).toBe("0");
    expect(unkeepable({ "a\u0000": 1 })?.message).toMatch(/^has a name/);
    expect(unkeepable("é 😀 ｆ")).toBeNull();
  });
  it("however deep: a list in a list in a list is told and does not end the program", () => {
    let deep: unknown = 1;
    for (let i = 0; i < 100_000; i++) deep = [deep];
    expect(unkeepable(deep)?.message).toBe("goes deeper than 60 lists within lists");
  });
  it("and what it lets through PostgreSQL's own JSON takes: no NUL, no half of a pair", () => {
    fc.assert(
      fc.property(fc.jsonValue(), (v) => {
        const text = JSON.stringify(v);
        expect(unkeepable(v) === null).toBe(!/\\u0000|\\ud[89a-f]/i.test(text.replace(/\\\\/g, "")));
      }),
    );
  });
});
