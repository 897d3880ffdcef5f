import { describe, expect, it } from "vitest";
import { listOf } from "./list-of";

describe("a list of stretches as people write it", () => {
  it.each([
    [
      "-100 to 0, 4200 to 4450",
      ["to"],
      [
        [-100, 0],
        [4200, 4450],
      ],
    ],
    [
      "-100 to 0; 4,200 to 4,450",
      ["to"],
      [
        [-100, 0],
        [4200, 4450],
      ],
    ],
    ["1.2 m to 150 cm", ["to"], [[1200, 1500]]],
    ["300 to 3,000 up to 25", ["to", "up to"], [[300, 3000, 25]]],
    ["", ["to"], []],
  ] as const)("%s", (text, between, out) => {
    expect(listOf(text, between)).toEqual(out);
  });
  it.each([
    ["300", ["to"]],
    ["300 to", ["to"]],
    ["a to b", ["to"]],
    ["300 to 3000", ["to", "up to"]],
    ["300 to 3/4", ["to"]],
  ] as const)("%s cannot be told, so nothing is taken", (text, between) => {
    expect(listOf(text, between)).toBeNull();
  });
});
