import type { LightRow } from "../../job/model";
import type { Schools } from "../../rules/schools";

/** One core of a row's cable: its colour, what it carries, and where it goes. */
export interface RowCore {
  core: string;
  carries: string;
  goes: string;
}

/**
 * How a row is wired, core by core along the way: a sensor at the fed end lets the supply through to all; at the far end it needs the
 * supply out and what it lets through back; a switch past it joins the two. Three-core armour by the school of the job: the armour is
 * the earth.
 */
export function rowWiring(
  row: Pick<LightRow, "sensor" | "override" | "cable">,
  school: Schools["armourCores"],
): RowCore[] {
  const armour = row.cable.startsWith("swa");
  const neutral = armour ? (school === "grey-neutral" ? "grey, sleeved blue" : "black, sleeved blue") : "blue";
  const spare = armour
    ? school === "grey-neutral"
      ? "black, sleeved brown"
      : "grey, sleeved brown"
    : "black, sleeved brown";
  const earth = armour ? "armour" : "bare, sleeved green-yellow";
  const out: RowCore[] = [
    {
      core: "brown",
      carries: row.sensor === "none" ? "line" : "line, always on",
      goes:
        row.sensor === "far"
          ? "past every light to the sensor, L"
          : row.sensor === "near"
            ? "to the sensor, L"
            : "to every light, L",
    },
    {
      core: neutral,
      carries: "neutral",
      goes: row.sensor === "none" ? "to every light, N" : "to the sensor and every light, N",
    },
  ];
  if (row.sensor === "near")
    out.push({
      core: "brown, beyond the sensor",
      carries: "line as the sensor lets it through",
      goes: "from the sensor, L\u2032, to every light, L",
    });
  if (row.sensor === "far")
    out.push({
      core: spare,
      carries: "line as the sensor lets it through",
      goes: "back from the sensor, L\u2032, to every light, L",
    });
  if (row.override && row.sensor !== "none")
    out.push({
      core: row.sensor === "near" ? spare : `${spare}, at the fed end`,
      carries: "line past the sensor",
      goes:
        row.sensor === "near"
          ? "from the switch, L1, to the sensor\u2019s L\u2032; brown to its COM"
          : "to the switch, L1; brown to its COM",
    });
  if (row.override && row.sensor === "none")
    out.push({ core: "brown", carries: "line", goes: "through the switch to every light" });
  out.push({ core: earth, carries: "earth", goes: "through every light and box, unbroken" });
  return out;
}
