"use client";
import Link from "next/link";
import { makingForPoint } from "../../../core/trades/ends/steps/makings";
import { mm } from "../../../core/base/figures";
import { useDesk } from "../../job/store";
import { Table } from "../table";
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
    </SheetFrame>
  );
}
