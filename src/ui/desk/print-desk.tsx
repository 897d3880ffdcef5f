"use client";
import { useMemo } from "react";
import { roomSheet, storeySheet } from "../../core/drawings/house-sheets";
import { sceneSvg } from "../../core/formats/scene-files";
import { stages } from "../job/stages";
import { useDesk, useSnapshot, useStorey } from "../job/store";
import { PrintHead, usePrinting } from "../kit/print-head";

/** What the desk looks like on paper: job, place, stage, version, and the drawing as the sheets have it. */
export function PrintDesk({ drawing }: { drawing: boolean }) {
  const job = useDesk((s) => s.job);
  const stage = useDesk((s) => s.stage);
  const version = useDesk((s) => s.version);
  const room = useDesk((s) => s.job.rooms.find((r) => r.id === s.room)?.name);
  const shown = useStorey();
  const storey = job.storeys.find((s) => s.id === shown)?.name;
  const printing = usePrinting();
  return (
    <>
      <PrintHead
        title={`${job.name} · ${stages.find((s) => s.id === stage)?.name ?? ""}`}
        lines={[job.address, storey, room, `version ${version}`]}
      />
      {drawing && printing ? <PrintedDrawing /> : null}
    </>
  );
}

/** The room unrolled, or the storey from above, as wide as the paper. */
function PrintedDrawing() {
  const { house, plan } = useSnapshot();
  const room = useDesk((s) => s.room);
  const view = useDesk((s) => s.view);
  const storey = useStorey();
  const svg = useMemo(() => {
    if (view === "unrolled" && room) return sceneSvg(roomSheet(house, room, plan));
    return house.job.storeys.some((s) => s.id === storey) ? sceneSvg(storeySheet(house, storey, plan)) : "";
  }, [house, plan, room, view, storey]);
  return <div className="only-print mb-3 [&>svg]:h-auto [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: svg }} />;
}
