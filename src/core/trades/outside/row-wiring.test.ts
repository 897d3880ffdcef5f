import { expect, it } from "vitest";
import { rowWiring } from "./row-wiring";

const wired = (more: object, school: "grey-neutral" | "black-neutral" = "grey-neutral") =>
  rowWiring({ sensor: "none", override: false, cable: "swa-3x1.5", ...more } as never, school).map((c) => [
    c.core,
    c.carries,
  ]);

it("without a sensor two cores and the armour; with one at the fed end the same beyond it", () => {
  expect(wired({})).toEqual([
    ["brown", "line"],
    ["grey, sleeved blue", "neutral"],
    ["armour", "earth"],
  ]);
  expect(wired({ sensor: "near" }).map((c) => c[1])).toEqual([
    "line, always on",
    "neutral",
    "line as the sensor lets it through",
    "earth",
  ]);
});
it("at the far end a third core brings back what it lets through, by the school of the job; a switch joins it to the line", () => {
  expect(wired({ sensor: "far" })[2]).toEqual(["black, sleeved brown", "line as the sensor lets it through"]);
  expect(wired({ sensor: "far" }, "black-neutral").slice(1, 3)).toEqual([
    ["black, sleeved blue", "neutral"],
    ["grey, sleeved brown", "line as the sensor lets it through"],
  ]);
  expect(wired({ sensor: "near", override: true })[3]).toEqual(["black, sleeved brown", "line past the sensor"]);
  expect(wired({ sensor: "far", override: true })[3]![1]).toBe("line past the sensor");
  expect(wired({ override: true }).map((c) => c[1])).toEqual(["line", "neutral", "line", "earth"]);
  expect(wired({ cable: "te-1.5" }).map((c) => c[0])).toEqual(["brown", "blue", "bare, sleeved green-yellow"]);
});
