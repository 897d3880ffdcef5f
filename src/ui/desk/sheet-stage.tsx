"use client";
import dynamic from "next/dynamic";
import { useDesk } from "../job/store";

const waiting = (): React.ReactNode => <p className="flex-1 border border-line p-4 text-soft">Opening the sheet.</p>;
const FixingsSheet = dynamic(() => import("../stages/sheets/fixings").then((m) => m.FixingsSheet), {
  loading: waiting,
});
const EndsSheet = dynamic(() => import("../stages/sheets/ends").then((m) => m.EndsSheet), { loading: waiting });
const BoardSheet = dynamic(() => import("../stages/sheets/board").then((m) => m.BoardSheet), { loading: waiting });
const MaterialsSheet = dynamic(() => import("../stages/sheets/materials").then((m) => m.MaterialsSheet), {
  loading: waiting,
});
const SiteBookSheet = dynamic(() => import("../stages/sheets/site-book").then((m) => m.SiteBookSheet), {
  loading: waiting,
});

const OutsideStage = dynamic(() => import("../stages/outside/outside-stage").then((m) => m.OutsideStage), {
  loading: waiting,
});
const OldWiringSheet = dynamic(() => import("../stages/old-wiring/old-wiring-sheet").then((m) => m.OldWiringSheet), {
  loading: waiting,
});

/** The stages that work on a sheet; each is fetched when it is first looked at. */
export function SheetStage() {
  const stage = useDesk((s) => s.stage);
  switch (stage) {
    case "outside":
      return <OutsideStage />;
    case "old-wiring":
      return <OldWiringSheet />;
    case "fixings":
      return <FixingsSheet />;
    case "ends":
      return <EndsSheet />;
    case "board":
      return <BoardSheet />;
    case "materials":
      return <MaterialsSheet />;
    default:
      return <SiteBookSheet />;
  }
}
