"use client";
import Link from "next/link";
import { makingForPoint } from "../../../core/trades/ends/steps/makings";
import { mm } from "../../../core/base/figures";
import { useDesk } from "../../job/store";
import { Table } from "../table";
import { useState } from "react";
import { wiredTo } from "../../../core/job/wired";
import { isDrawn } from "../../../core/trades/lighting/terminals";
import { Button } from "../../kit/button";
import { SelectField } from "../../kit/field";
import { WiringPicture } from "../wiring-picture";
import { accessories, boxOf } from "../../../core/rules/accessories";
import { SheetFrame, useNames } from "./frame";

export function EndsSheet() {
  const { job, plan, point, runName } = useNames();
  return (
    <SheetFrame
      title="Ends"
      about="How each cable comes in and what to leave, measured from the edge where it enters. Too short cannot be saved; slightly long can. Isolate and prove dead before anything is joined to what exists."
    >
      <Table
        label="Ends by point"
        rows={[...(plan?.ends ?? [])].sort(
          (a, b) =>
            point(a.point).localeCompare(point(b.point), undefined, { numeric: true }) || (a.run < b.run ? -1 : 1),
        )}
        keyOf={(e) => `${e.point} ${e.run}`}
        onPick={(e) => useDesk.setState({ selection: { kind: "point", id: e.point } })}
        empty="No ends yet: lay some runs first."
        columns={[
          { name: "Point", cell: (e) => point(e.point) },
          { name: "Kind", cell: (e) => accessories[job.points.find((p) => p.id === e.point)!.kind].name },
          { name: "Run", cell: (e) => runName(e.run) },
          { name: "Comes in", cell: (e) => (e.entry === "behind" ? "from behind" : `at the ${e.entry}`) },
          { name: "Leave, mm", num: true, cell: (e) => mm(e.measures.tail ?? 0) },
          {
            name: "Steps",
            cell: (e) => {
              const p = job.points.find((x) => x.id === e.point)!;
              const kind = makingForPoint(p.kind, plan?.runs.find((r) => r.id === e.run)?.cable ?? "");
              return kind ? (
                <Link
                  className="underline underline-offset-2"
                  href={`/steps?kind=${kind}&job=${job.id}&box=${boxOf(p).width}&past=${e.measures.past ?? ""}`}
                >
                  make off
                </Link>
              ) : (
                ""
              );
            },
          },
        ]}
      />
      <Wiring />
    </SheetFrame>
  );
}

/** The wiring of the picked point, else of every light, switch and fused unit, for paper. */
function Wiring() {
  const { job } = useNames();
  const selection = useDesk((s) => s.selection);
  const [all, setAll] = useState(false);
  const drawn = job.points
    .filter((p) => isDrawn(p) && job.circuits.some((c) => c.state !== "keep" && wiredTo(c).includes(p.id)))
    .sort((a, b) => a.label.localeCompare(b.label, undefined, { numeric: true }));
  const picked = drawn.find((p) => selection?.kind === "point" && selection.id === p.id) ?? drawn[0];
  if (!picked) return null;
  return (
    <section aria-label="Wiring" className="mt-4" data-wiring-sheet>
      <div className="flex flex-wrap items-end gap-2">
        <h3 className="text-lg">Wiring</h3>
        <div className="w-60">
          <SelectField
            label="Point"
            name="wiring of"
            value={picked.id}
            options={drawn.map((p) => ({ value: p.id, name: `${p.label} · ${accessories[p.kind].name}` }))}
            onCommit={(id) => useDesk.setState({ selection: { kind: "point", id } })}
          />
        </div>
        <Button aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? "One at a time" : `All ${drawn.length}`}
        </Button>
      </div>
      <div className={`mt-2 grid gap-4 ${all ? "min-[1500px]:grid-cols-2" : ""}`}>
        {(all ? drawn : [picked]).map((p) => (
          <div key={p.id} className="break-inside-avoid">
            <h4 className="font-cond font-semibold">
              {p.label} · {accessories[p.kind].name}
            </h4>
            <WiringPicture point={p.id} />
          </div>
        ))}
      </div>
    </section>
  );
}
