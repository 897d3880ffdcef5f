"use client";
import type { Section } from "../../../core/job/model";
import { leastRadius } from "../../../core/trades/containment/conduit-bends";
import { NumberField, SelectField } from "../../kit/field";

/** How a conduit is bent: the former it is bent round, and where it turns into its wall. `outside` is its diameter, mm. */
export function Bending({
  section,
  outside,
  put,
}: {
  section: Section;
  outside: number;
  put: (next: Partial<Section>) => string | null;
}) {
  const least = leastRadius(outside);
  return (
    <>
      <NumberField
        label="Inner radius of the former"
        name="former"
        value={section.innerRadius ?? least}
        min={10}
        max={2000}
        step={0.5}
        onCommit={(r) => put({ innerRadius: r === least ? null : r })}
      />
      <SelectField
        label="Turns into its wall"
        value={section.intoWall}
        options={[
          { value: "none", name: "nowhere" },
          { value: "start", name: "where it begins" },
          { value: "end", name: "where it ends" },
          { value: "both", name: "at both ends" },
        ]}
        onCommit={(intoWall) => put({ intoWall })}
      />
    </>
  );
}
