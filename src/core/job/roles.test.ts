import { describe, expect, it } from "vitest";
import { type Doing, ROLES, may, refusalOfRole } from "./roles";

describe("roles", () => {
  it("each may what the narrower may, and one thing more", () => {
    const doings: Doing[] = ["look", "record", "plan", "own"];
    const table = ROLES.map((r) => doings.filter((d) => may(r, d)).length);
    expect(table).toEqual([4, 3, 2, 1]);
    expect(may("reader", "record")).toBe(false);
    expect(may("apprentice", "plan")).toBe(false);
    expect(may("electrician", "own")).toBe(false);
  });
  it("a refusal says who may and who asks", () => {
    expect(refusalOfRole("apprentice", "plan")).toBe(
      "Plans, the catalogue and the schools are changed by the owner or an electrician; you are signed in as an apprentice.",
    );
    expect(refusalOfRole("reader", "record")).toMatch(/you are signed in as a reader\.$/);
    expect(refusalOfRole("electrician", "own")).toMatch(/by the owner; you are signed in as an electrician\.$/);
    expect(refusalOfRole("owner", "own")).toBeNull();
  });
});
