import { describe, expect, it } from "vitest";
import { faultOfArgs } from "./action-args";

describe("the arguments of an action", () => {
  it("as the pages send them are read: plain values, values with a dollar of their own, pointers to what is there", () => {
    for (const args of [
      ["tern-cottage", 3, [{ key: "k", patch: [] }], ""],
      ["$undefined", "$NaN", "$-0", "$-Infinity", "$D2026-01-01T00:00:00.000Z", "$$5", "$n1"],
      [{ a: { b: 1 } }, "$0:0:a", "$0"],
      [],
      [null, true],
    ])
      expect(faultOfArgs(JSON.stringify(args))).toBeNull();
  });
  it("that are cut short, no list, or point at nothing are refused in words", () => {
    expect(faultOfArgs("[")).toMatch(/^arguments: are not whole JSON/);
    expect(faultOfArgs('{"a":1}')).toBe("arguments: are no list");
    expect(faultOfArgs("3")).toBe("arguments: are no list");
    for (const pointer of ["$1", "$Q1", "$0:3", "$0:0:b", "$0:0:__proto__", "$", "$F2", "$@1", "$0:0:a"])
      expect(faultOfArgs(JSON.stringify([{ a: 1 }, [[pointer]]]))).toBe(
        `arguments: hold ${JSON.stringify(pointer)}, which points at nothing`,
      );
  });
});
