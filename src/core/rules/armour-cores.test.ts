import { describe, expect, it } from "vitest";
import { armourCoresOf, armourSleeves } from "./armour-cores";

describe("cores of armoured cable on one phase", () => {
  const said = (cores: number, school: "grey-neutral" | "black-neutral"): string =>
    armourCoresOf(cores, school)
      .map((c) => `${c.core} ${c.carries}`)
      .join(", ");
  it("three cores by the two schools, each with both sleeves", () => {
    expect(said(3, "grey-neutral")).toBe("brown line, black earth, grey neutral");
    expect(said(3, "black-neutral")).toBe("brown line, black neutral, grey earth");
    expect(armourSleeves(3, "grey-neutral")).toEqual([
      { core: "black", sleeve: "green-and-yellow" },
      { core: "grey", sleeve: "blue" },
    ]);
    expect(armourSleeves(3, "black-neutral")).toEqual([
      { core: "black", sleeve: "blue" },
      { core: "grey", sleeve: "green-and-yellow" },
    ]);
  });
  it("two need none; four have a blue, and one sleeve", () => {
    expect(armourSleeves(2, "grey-neutral")).toEqual([]);
    expect(said(4, "grey-neutral")).toBe("brown line, blue neutral, black earth, grey spare");
    expect(said(4, "black-neutral")).toBe("brown line, blue neutral, black spare, grey earth");
    expect(armourSleeves(4, "black-neutral")).toEqual([{ core: "grey", sleeve: "green-and-yellow" }]);
  });
});
