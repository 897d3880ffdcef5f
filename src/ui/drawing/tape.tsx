"use client";
import { Copy, Printer } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { Tape as TapeModel } from "../../core/drawings/tape";
import { joistTape, runTape, wallTape, type JoistDatum, type WallDatum } from "../../core/drawings/tape";
import { toMark } from "../../core/base/figures";
import { useDesk, useSnapshot } from "../job/store";
import { Button } from "../kit/button";
import { Ribbon } from "./ribbon";

/** The tape of whatever is picked: a wall (also by a point on it), a joist, a run. */
export function Tape() {
  const { house, plan } = useSnapshot();
  const selection = useDesk((s) => s.selection);
  const room = useDesk((s) => s.room);
  const [datum, setDatum] = useState("left");
  const pointWall =
    selection?.kind === "point" ? house.points[house.pointOfId.get(selection.id) ?? -1]?.point.place : undefined;
  const wallId = selection?.kind === "wall" ? selection.id : pointWall?.on === "wall" ? pointWall.wall : undefined;
  const roomWall = useMemo(() => {
    const faces = house.faces.filter((f) => f.room.id === room).sort((a, b) => a.wall.index - b.wall.index);
    return faces[faces[0]?.room.startWall ?? 0]?.wall.id;
  }, [house, room]);
  const tape = useMemo((): TapeModel | null => {
    if (!plan) return null;
    if (selection?.kind === "joist")
      return joistTape(
        house,
        plan,
        selection.deck,
        selection.joist,
        selection.span,
        (datum === "right bearing" ? datum : "left bearing") as JoistDatum,
      );
    if (selection?.kind === "run") {
      const run = plan.runs.find((r) => r.id === selection.id);
      return run ? runTape(house, plan, run, datum === "end" ? "end" : "start") : null;
    }
    const wall = wallId ?? roomWall;
    return wall
      ? wallTape(
          house,
          plan,
          wall,
          (["left", "right", "floor", "ceiling"].includes(datum) ? datum : "left") as WallDatum,
        )
      : null;
  }, [plan, house, selection, datum, wallId, roomWall]);
  useEffect(() => {
    if (tape && tape.datum !== datum) setDatum(tape.datum);
  }, [tape, datum]);
  if (!tape)
    return (
      <div className="h-36 shrink-0 border border-line bg-panel p-3 text-soft">
        {plan ? "Pick a wall, a joist or a run to see its marks." : "Working out the marks."}
      </div>
    );
  const shown = tape.marks;
  const copy = (): void => {
    const text = [tape.title, ...shown.map((m) => `${toMark(m.at)}\t${m.text}`)].join("\n");
    navigator.clipboard.writeText(text).then(
      () => toast(`${shown.length} marks copied`),
      () => toast.error("The browser did not allow copying. Select the list and copy it by hand."),
    );
  };
  return (
    <section aria-label="Tape" className="tape-print shrink-0">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <h2 className="text-[14px]" data-tape-title>
          Tape · {tape.title}
        </h2>
        <div className="no-print flex items-center gap-1">
          <div role="radiogroup" aria-label="Hook the tape on" className="flex">
            {tape.datums.map((d) => (
              <button
                key={d}
                type="button"
                role="radio"
                aria-checked={tape.datum === d}
                onClick={() => setDatum(d)}
                className={`min-h-7 cursor-pointer border border-line px-2 text-[13px] ${tape.datum === d ? "bg-ink text-panel" : "bg-panel hover:border-ink"}`}
              >
                {d}
              </button>
            ))}
          </div>
          <Button look="quiet" onClick={copy} icon={<Copy size={14} />} className="min-h-7">
            Copy
          </Button>
          <Button look="quiet" onClick={() => window.print()} icon={<Printer size={14} />} className="min-h-7">
            Print
          </Button>
        </div>
      </div>
      <Ribbon length={tape.length} marks={shown} words={(m) => `${m.text.split(" ")[0]} ${toMark(m.at)}`} />
      <ol
        tabIndex={0}
        className="marks focusable mt-1 flex max-h-[5.4rem] flex-wrap gap-x-4 gap-y-0.5 overflow-auto text-[13px]"
        aria-label="Marks in order"
      >
        {shown.length ? (
          shown.map((m, i) => (
            <li key={i} data-mark={m.subject}>
              <span className="num font-medium">{toMark(m.at)}</span> <span className="text-soft">{m.text}</span>
            </li>
          ))
        ) : (
          <li className="text-soft">Nothing to mark here yet.</li>
        )}
      </ol>
    </section>
  );
}
