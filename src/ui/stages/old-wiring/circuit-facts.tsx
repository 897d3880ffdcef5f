"use client";
import { useState } from "react";
import { figure, mm } from "../../../core/base/figures";
import { pointLabels } from "../../../core/job/labels";
import { type ExtensionFigures, beforeAndAfter, cablesAt, onSkirting } from "../../../core/trades/retrofit/extension";
import { say } from "../../job/edits";
import { change, edit } from "../../job/store";
import { Button } from "../../kit/button";
import { NumberField } from "../../kit/field";
import { useNames } from "../sheets/frame";
import { Table } from "../table";

/** Which of the cables at an old point leads where: what each reads with one leg joined at the board. */
export function WhichCable({ f, point }: { f: ExtensionFigures; point: string }) {
  const { job, house, plan } = useNames();
  const label = pointLabels(job);
  const at = plan ? cablesAt(house, plan, f.circuit, point) : null;
  if (!at || at.cables.length < 2) return null;
  return (
    <p className="text-[13.5px]" data-which-cable={point}>
      Which is which: at the board join line and earth of the leg to {label(at.leg)}, part the cables here and read each
      line to earth.{" "}
      {at.cables.map((c) => `That to ${label(c.to)}: ${c.ohms === null ? "open" : `${figure(c.ohms)} Ω`}`).join("; ")}.
    </p>
  );
}

/** The circuit as it was found beside what it becomes. */
export function BeforeAfter({ f }: { f: ExtensionFigures }) {
  const { house, plan } = useNames();
  const sums = plan ? beforeAndAfter(house, plan, f.circuit.id) : null;
  if (!sums?.after) return <p className="text-[14px] text-soft">Not judged yet: lay its new points first.</p>;
  const rows = [
    { name: "As found", s: sums.before },
    { name: "With what is added", s: sums.after },
  ];
  return (
    <Table
      label="Before and after"
      rows={rows}
      keyOf={(r) => r.name}
      empty=""
      columns={[
        { name: "It is", cell: (r) => r.name },
        { name: "Cable, m", num: true, cell: (r) => (r.s ? figure(r.s.metres, 1) : "–") },
        {
          name: "Zs, Ω",
          num: true,
          cell: (r) => (r.s ? `${figure(r.s.zs)}${r.s.most === null ? "" : ` of ${figure(r.s.most)}`}` : "–"),
        },
        { name: "Drop, %", num: true, cell: (r) => (r.s ? figure(r.s.percent, 1) : "–") },
        { name: "Carries, A", num: true, cell: (r) => (r.s ? figure(r.s.iz, 1) : "–") },
        { name: "Floor, m²", num: true, cell: (r) => (r.s ? figure(r.s.floor, 1) : "–") },
      ]}
    />
  );
}

/** Puts the new boxes on top of the skirting. */
export function SkirtingHeight({ f }: { f: ExtensionFigures }) {
  const { job } = useNames();
  const [high, setHigh] = useState(150);
  const put = (): void =>
    say(
      edit(
        f.added.flatMap((id) => {
          const p = job.points.find((q) => q.id === id);
          if (!p || p.place.on !== "wall" || p.kind !== "socket") return [];
          return [change("points", id, { ...p, place: { ...p.place, v: onSkirting(p, high) } })];
        }),
      ),
    );
  return (
    <div className="flex max-w-md flex-wrap items-end gap-2">
      <NumberField label="Skirting is high" value={high} min={0} max={500} onCommit={(x) => setHigh(x)} />
      <Button onClick={put} disabled={!f.added.length}>
        Set the new sockets on its top
      </Button>
    </div>
  );
}

/** Where the fixings of the skirting must miss the cable. */
export function FixingsMiss({ f }: { f: ExtensionFigures }) {
  const { job, house } = useNames();
  const ends = [...new Set(f.runs.flatMap((r) => [r.from, r.to]))].flatMap((id) => {
    const p = job.points.find((q) => q.id === id);
    const face = p?.place.on === "wall" ? house.faces[house.faceOfWall.get(p.place.wall) ?? -1] : undefined;
    return p && p.place.on === "wall" && face
      ? [`${p.label}: ${mm(Math.round(p.place.u))} along wall ${face.wall.index + 1} of ${face.room.name}`]
      : [];
  });
  return (
    <p className="max-w-[70ch] text-[14px]" data-fixings-miss>
      Put the skirting back with no fixing in the lower half behind which the cable lies, and none within 50 of its
      drops. {ends.join("; ")}. Mark them on the skirting before it goes on.
    </p>
  );
}
