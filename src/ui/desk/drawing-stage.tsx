"use client";
import { Ruler } from "lucide-react";
import dynamic from "next/dynamic";
import { PlanDrawing } from "../drawing/plan-drawing";
import { Tape } from "../drawing/tape";
import { UnrolledRoom } from "../drawing/unrolled-room";
import { useDesk } from "../job/store";
import { cancelPlanning } from "../job/use-planner";
import { Button } from "../kit/button";
import { Choice } from "../kit/choice";
import { commands } from "./commands";
import { DrawOnDeck, DrawSection } from "../stages/containment/draw-section";
import { BoringSheet, ContainmentSheet, SectionBench } from "./later";

/** Three dimensions are fetched only when they are looked at. */
const SolidView = dynamic(() => import("../drawing/solid-view").then((m) => m.SolidView), {
  ssr: false,
  loading: () => <p className="flex-1 border border-line p-4 text-soft">Building the solid view.</p>,
});

/** The stages that work on a drawing: its views, the room shown, and the tape at its foot. */
export function DrawingStage() {
  const stage = useDesk((s) => s.stage);
  const progress = useDesk((s) => s.progress);
  const view = useDesk((s) => s.view);
  const zones = useDesk((s) => s.zones);
  const room = useDesk((s) => s.room);
  const rooms = useDesk((s) => s.job.rooms);
  const levels = useDesk((s) => s.job.storeys);
  const storeys = [...levels].sort((a, b) => a.level - b.level);
  const instruments = useDesk((s) => s.instruments);
  const section = useDesk((s) => (s.selection?.kind === "section" ? s.selection.id : null));
  const planning = useDesk((s) => s.planning);
  const command = (name: string): void => commands.find((c) => c.name === name)?.run();
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-1.5">
        <Choice
          label="View"
          value={view}
          options={[
            ["unrolled", "Unrolled"],
            ["plan", "Plan"],
            ["deck", "Deck"],
            ["solid", "Solid"],
            ...(stage === "timber" || stage === "containment" ? ([["schedule", "Schedule"]] as const) : []),
          ]}
          onChange={(v) => useDesk.setState({ view: v })}
        />
        {rooms.length ? (
          <label className="flex items-center gap-1.5 text-[13px] text-soft">
            Room
            <select
              data-room
              className="min-h-8 max-w-36 border border-line bg-field px-1.5 text-ink"
              value={room ?? ""}
              onChange={(e) => {
                const r = rooms.find((x) => x.id === e.target.value);
                if (r) useDesk.setState({ room: r.id, storey: r.storey, selection: null });
              }}
            >
              {room === null ? <option value="">choose</option> : null}
              {storeys.map((s) => (
                <optgroup key={s.id} label={s.name}>
                  {rooms
                    .filter((r) => r.storey === s.id)
                    .map((r) => (
                      <option key={r.id} value={r.id}>
                        {r.name}
                      </option>
                    ))}
                </optgroup>
              ))}
            </select>
          </label>
        ) : null}
        <span className="min-w-2 flex-1 text-right text-[12.5px] whitespace-nowrap text-soft" aria-live="polite">
          {planning ? `working out${progress === null ? "" : ` ${Math.round(progress * 100)} %`}` : ""}
        </span>
        {planning && progress !== null ? (
          <Button look="quiet" onClick={cancelPlanning}>
            Cancel
          </Button>
        ) : null}
        <Button
          hint="I"
          aria-pressed={instruments}
          onClick={() => command("Simulated instruments, open or close")}
          icon={<Ruler size={14} />}
          aria-label="Simulated instruments"
          title="Simulated instruments"
        />
        {stage === "containment" ? (
          view === "unrolled" ? (
            <DrawSection />
          ) : view === "deck" ? (
            <DrawOnDeck />
          ) : null
        ) : (
          <Button hint="L" onClick={() => command("Lay all runs")}>
            Lay all
          </Button>
        )}
        {view === "unrolled" ? (
          <Button hint="Z" aria-pressed={zones} onClick={() => command("Show or hide zones")}>
            Zones
          </Button>
        ) : null}
        {stage !== "containment" && (view === "unrolled" || view === "plan") ? (
          <Button hint="P" onClick={() => command("Add a point")}>
            Add point
          </Button>
        ) : null}
      </div>
      {(rooms.length === 0 && view !== "plan") || (!room && view === "unrolled") ? (
        <Empty />
      ) : view === "solid" ? (
        <SolidView />
      ) : view === "schedule" ? (
        stage === "containment" ? (
          <ContainmentSheet />
        ) : (
          <BoringSheet />
        )
      ) : view === "unrolled" && room ? (
        <UnrolledRoom roomId={room} />
      ) : (
        <PlanDrawing deck={view === "deck"} />
      )}
      {view === "schedule" ? null : stage === "containment" && section ? <SectionBench id={section} /> : <Tape />}
    </>
  );
}

function Empty() {
  return (
    <div className="grid flex-1 place-content-center gap-3 border border-dashed border-line p-6 text-center">
      <p className="text-lg">No room here yet.</p>
      <p className="max-w-[46ch] text-soft">
        Start in Survey: walk one room, or type its size. Then put in its doors and windows, a deck over it, a board,
        and the first socket.
      </p>
      <div>
        <Button look="solid" big onClick={() => useDesk.setState({ stage: "survey" })}>
          Go to Survey
        </Button>
      </div>
    </div>
  );
}
