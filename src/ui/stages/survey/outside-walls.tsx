"use client";
import { useState } from "react";
import { mm } from "../../../core/base/figures";
import { type OutsideFacts, outsideFaces, outsideWallsAre } from "../../../core/house/outside-walls";
import { wallBuilds } from "../../../core/job/model";
import { edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { CheckField, NumberField, SelectField } from "../../kit/field";
import { buildNames } from "./new-room";

/** All outside walls of the house told in one step, instead of one by one. */
export function OutsideWalls() {
  const house = useDesk((s) => s.house);
  const faces = outsideFaces(house);
  const told = faces.filter((f) => f.wall.backing === "outside");
  const first = told[0]?.wall;
  const [draft, setDraft] = useState<Partial<OutsideFacts>>({});
  const [fault, setFault] = useState<string | null>(null);
  const facts: OutsideFacts = {
    build: first?.build ?? "masonry",
    thickness: first?.thickness ?? 300,
    insulated: first?.insulated ?? false,
    ...draft,
  };
  if (!faces.length) return null;
  const left = faces.length - told.length;
  return (
    <details className="border border-line px-2 py-1" data-outside-walls={left}>
      <summary className="cursor-pointer text-[13.5px]">
        Outside walls
        <span className="text-soft">
          {" "}
          ·{" "}
          {left
            ? `${left} of ${faces.length} not told yet`
            : `${faces.length}, ${buildNames[facts.build]} ${mm(facts.thickness)}`}
        </span>
      </summary>
      <div className="grid gap-1 pt-1">
        <p className="text-[13px] text-soft">
          Every wall with no room behind it. One that is otherwise is changed by itself afterwards.
        </p>
        <SelectField
          label="They are"
          name="outside build"
          value={facts.build}
          options={wallBuilds.filter((b) => b !== "open").map((b) => ({ value: b, name: buildNames[b] }))}
          onCommit={(build) => setDraft({ ...draft, build })}
        />
        <NumberField
          label="Thickness"
          name="outside thickness"
          value={facts.thickness}
          min={20}
          max={2000}
          onCommit={(thickness) => setDraft({ ...draft, thickness })}
        />
        <CheckField
          label="Insulated"
          value={facts.insulated}
          onCommit={(insulated) => setDraft({ ...draft, insulated })}
        />
        <FaultLine fault={fault} />
        <Button look="solid" onClick={() => setFault(edit(outsideWallsAre(house, facts)))}>
          All {faces.length} outside walls are this
        </Button>
      </div>
    </details>
  );
}
