"use client";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { Job } from "../../core/job/model";
import type { SiteEntry } from "../../core/job/site-entry";
import type { Catalogue } from "../../core/rules/catalogue";
import type { KeptAnswer } from "../bench/actions";
import type { JobActions } from "../job/actions";
import { recall, recallSteps, remember } from "../job/remember";
import { type StageId, isStage, viewOf } from "../job/stages";
import { type View, openDesk, useDesk } from "../job/store";
import { whenTold } from "../job/told";
import { useStoring } from "../job/storing";
import { usePlanner } from "../job/use-planner";
import { useRefusal } from "../kit/me";
import { SignInAgain } from "../kit/signed-out";
import { Pane } from "../kit/pane";
import { DrawingStage } from "./drawing-stage";
import { Inspector } from "./inspector";
import { useKeys } from "./keys";
import { useBringRoom } from "./bring-room";
import { FindBox, InstrumentDrawer, KeysList, PrintDesk, Tour, fetchRest } from "./later";
import { NotStored, PlanFault } from "./not-stored";
import { OrderOfWork } from "./order-of-work";
import { ConflictSheet } from "./conflict-sheet";
import { ContradictsSheet, OverwritesSheet } from "./settle-dialogs";
import { SheetStage } from "./sheet-stage";
import { TopBar } from "./top-bar";

/** The desk: order of work, drawing or sheet with its tape, and the inspector. */
export function Desk({
  job,
  version,
  siteBook,
  catalogue,
  kept,
  start,
  tour,
  actions,
}: {
  job: Job;
  version: number;
  siteBook: SiteEntry[];
  catalogue: Catalogue;
  kept: KeptAnswer[];
  start: { stage: StageId; room: string | null; view?: View | null };
  /** Opened to be shown round. */
  tour: boolean;
  actions: JobActions;
}) {
  const [opened, setOpened] = useState(false);
  const looking = useRefusal("plan");
  useEffect(() => {
    openDesk(job, version, siteBook, catalogue, start);
    useDesk.setState({ kept, looking, tour: tour ? 0 : null });
    const { waiting, letGo } = recall();
    void recallSteps();
    if (letGo.length)
      toast.error(
        `${letGo.length} ${letGo.length === 1 ? "change" : "changes"} made before the reload no longer fit the job.`,
        {
          description: letGo.slice(0, 3).join(" "),
          duration: Infinity,
        },
      );
    if (waiting)
      toast(
        `${waiting} ${waiting === 1 ? "change" : "changes"} made before the reload ${waiting === 1 ? "is" : "are"} being stored.`,
      );
    setOpened(true);
    // Opened once for the page: what comes later from the server comes through storing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return opened ? <Opened actions={actions} /> : <Skeleton />;
}

/** The drawing before there is anything to draw. */
function Skeleton() {
  return (
    <div className="flex h-dvh flex-col" aria-busy="true">
      <div className="min-h-12 bg-bar" />
      <div className="grid flex-1 grid-cols-1 lg:grid-cols-[196px_1fr_272px]">
        <div className="hidden bg-rail lg:block" />
        <div className="grid content-center gap-3 p-8">
          <p className="text-soft">Opening the job.</p>
          <div className="h-10 border border-line" />
          <div className="flex h-72 gap-px">
            {[4, 3, 5, 3].map((w, i) => (
              <div key={i} className="border border-line bg-panel" style={{ flex: w }} />
            ))}
          </div>
          <div className="h-10 border border-line" />
        </div>
        <div className="hidden bg-panel lg:block" />
      </div>
    </div>
  );
}

function Opened({ actions }: { actions: JobActions }) {
  useStoring(actions);
  useEffect(remember, []);
  useEffect(fetchRest, []);
  usePlanner();
  useKeys();
  useAddress();
  useBringRoom();
  useSiteBook(actions);
  const stage = useDesk((s) => s.stage);
  const view = useDesk((s) => s.view);
  const room = useDesk((s) => s.room);
  const selection = useDesk((s) => s.selection);
  const snap = useDesk((s) => s.snap);
  const instruments = useDesk((s) => s.instruments);
  const find = useDesk((s) => s.find);
  const keysOpen = useDesk((s) => s.keysOpen);
  const touring = useDesk((s) => s.tour !== null);
  const storing = useDesk((s) => s.storing);
  const notStored = useDesk((s) => s.notStored);
  const looking = useDesk((s) => s.looking);
  const drawing = ["survey", "points", "circuits", "routes", "timber", "containment"].includes(stage);
  return (
    <div className="desk flex h-dvh flex-col">
      <PrintDesk drawing={drawing} />
      <TopBar />
      <NotStored actions={actions} />
      {storing === "no-room" ? (
        <p role="alert" className="no-print border-b-2 border-stop bg-panel px-3 py-2">
          <strong className="text-stop">Not stored yet.</strong> {notStored}
        </p>
      ) : null}
      {storing === "signed-out" ? <SignInAgain /> : null}
      {looking ? (
        <p className="no-print border-b border-line bg-panel px-3 py-1.5 text-[14px]" data-looking>
          {looking} You can look at everything here.
        </p>
      ) : null}
      <div className="desk-grid min-h-0 flex-1">
        <Pane name="The order of work" of={snap}>
          <OrderOfWork />
        </Pane>
        <main className="desk-main relative flex min-h-0 min-w-0 flex-col gap-2 p-2.5">
          <PlanFault />
          <Pane name={drawing ? "The drawing" : "The sheet"} of={`${stage} ${view} ${room}`}>
            {drawing ? <DrawingStage /> : <SheetStage />}
          </Pane>
          {instruments ? <InstrumentDrawer /> : null}
        </main>
        <aside
          aria-label="Inspector"
          className="desk-aside relative min-h-0 overflow-auto border-l border-line bg-panel p-3"
        >
          <Pane name="The inspector" of={selection}>
            <Inspector />
          </Pane>
        </aside>
      </div>
      {find ? <FindBox /> : null}
      {keysOpen ? <KeysList /> : null}
      {touring ? <Tour /> : null}
      <ConflictSheet />
      <ContradictsSheet />
      <OverwritesSheet />
    </div>
  );
}

/** Keeps stage, room and view in the address, so that a reload comes back to the same place and Back to the one before. */
function useAddress(): void {
  const stage = useDesk((s) => s.stage);
  const room = useDesk((s) => s.room);
  const view = useDesk((s) => s.view);
  const first = useRef(true);
  useEffect(() => {
    const q = `?${new URLSearchParams({ stage, ...(room ? { room } : {}), ...(view === "unrolled" ? {} : { view }) })}`;
    // Where one came in is named as it is; from then on every place is a step that Back goes over.
    const came = first.current;
    first.current = false;
    if (q === window.location.search) return;
    const { pathname } = window.location;
    if (came) window.history.replaceState(null, "", `${pathname}${q}`);
    else window.history.pushState(null, "", `${pathname}${q}`);
  }, [stage, room, view]);
  useEffect(() => {
    const back = (): void => {
      const q = new URLSearchParams(window.location.search);
      const { job } = useDesk.getState();
      const at = job.rooms.find((r) => r.id === q.get("room"));
      const to = q.get("stage");
      if (!window.location.pathname.endsWith(`/jobs/${job.id}`) || !to || !isStage(to)) return;
      useDesk.setState((s) => ({
        stage: to,
        view: viewOf(q.get("view") ?? undefined) ?? "unrolled",
        room: at?.id ?? s.room,
        storey: at?.storey ?? s.storey,
        selection: null,
        tool: null,
      }));
    };
    window.addEventListener("popstate", back);
    return () => window.removeEventListener("popstate", back);
  }, []);
}

/** What is ticked on site shows here at once. */
function useSiteBook(actions: JobActions): void {
  useEffect(() => {
    let stopped = false;
    const look = (): void => {
      if (document.hidden) return;
      actions.siteBook(useDesk.getState().job.id).then(
        (siteBook) => {
          if (!stopped && siteBook.length !== useDesk.getState().siteBook.length) useDesk.setState({ siteBook });
        },
        () => undefined,
      );
    };
    const timer = setInterval(look, 15_000);
    const deaf = whenTold(useDesk.getState().job.id, (of) => of !== "job" && look());
    window.addEventListener("focus", look);
    return () => {
      stopped = true;
      clearInterval(timer);
      deaf();
      window.removeEventListener("focus", look);
    };
  }, [actions]);
}
