"use client";
import { Ruler } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { writeJobFile } from "../../core/job/file";
import type { Job } from "../../core/job/model";
import type { SiteEntry } from "../../core/job/site-entry";
import dynamic from "next/dynamic";
import { PlanDrawing } from "../drawing/plan-drawing";
import { Tape } from "../drawing/tape";
import { UnrolledRoom } from "../drawing/unrolled-room";
import { InstrumentDrawer } from "../instruments/drawer";
import { takeReading } from "../instruments/laser";
import type { JobActions } from "../job/actions";
import type { StageId } from "../job/stages";
import type { Catalogue } from "../../core/rules/catalogue";
import type { KeptAnswer } from "../bench/actions";
import { partsOfKey } from "../../core/job/run-key";
import { stepNames } from "../../core/job/site-entry";
import { type View, edit, openDesk, settle, useDesk } from "../job/store";
import { recall, remember } from "../job/remember";
import { useStoring } from "../job/storing";
import { cancelPlanning, planAgain, usePlanner } from "../job/use-planner";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";
import { Pane } from "../kit/pane";
import { BoringSheet } from "../stages/boring-sheet";
import { BoardSheet, ContainmentSheet, EndsSheet, FixingsSheet, MaterialsSheet, SiteBookSheet } from "../stages/sheets";
import { commands } from "./commands";
import { FindBox } from "./find-box";
import { Inspector } from "./inspector";
import { OrderOfWork } from "./order-of-work";
import { TopBar } from "./top-bar";

/** Three dimensions are fetched only when they are looked at. */
const SolidView = dynamic(() => import("../drawing/solid-view").then((m) => m.SolidView), {
  ssr: false,
  loading: () => <p className="flex-1 border border-line p-4 text-soft">Building the solid view.</p>,
});

/** The desk: order of work, drawing or sheet with its tape, and the inspector. */
export function Desk({
  job,
  version,
  siteBook,
  catalogue,
  kept,
  start,
  actions,
}: {
  job: Job;
  version: number;
  siteBook: SiteEntry[];
  catalogue: Catalogue;
  kept: KeptAnswer[];
  start: { stage: StageId; room: string | null; view?: View | null };
  actions: JobActions;
}) {
  const [opened, setOpened] = useState(false);
  useEffect(() => {
    openDesk(job, version, siteBook, catalogue, start);
    useDesk.setState({ kept });
    const waiting = recall();
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
  usePlanner();
  useKeys();
  useAddress();
  useSiteBook(actions);
  const stage = useDesk((s) => s.stage);
  const view = useDesk((s) => s.view);
  const room = useDesk((s) => s.room);
  const selection = useDesk((s) => s.selection);
  const snap = useDesk((s) => s.snap);
  const drawing = ["survey", "points", "circuits", "routes", "timber"].includes(stage);
  return (
    <div className="desk flex h-dvh flex-col">
      <TopBar />
      <NotStored actions={actions} />
      <div className="desk-grid min-h-0 flex-1">
        <Pane name="The order of work" of={snap}>
          <OrderOfWork />
        </Pane>
        <main className="desk-main relative flex min-h-0 min-w-0 flex-col gap-2 p-2.5">
          <PlanFault />
          <Pane name={drawing ? "The drawing" : "The sheet"} of={`${stage} ${view} ${room}`}>
            {drawing ? <DrawingStage /> : <SheetStage />}
          </Pane>
          <InstrumentDrawer />
        </main>
        <aside aria-label="Inspector" className="desk-aside min-h-0 overflow-auto border-l border-line bg-panel p-3">
          <Pane name="The inspector" of={selection}>
            <Inspector />
          </Pane>
        </aside>
      </div>
      <FindBox />
      <ConflictSheet />
      <ContradictsSheet />
    </div>
  );
}

/** What the server would not take, and the ways on. What was typed stays on the screen and on this device. */
function NotStored({ actions }: { actions: JobActions }) {
  const storing = useDesk((s) => s.storing);
  const why = useDesk((s) => s.notStored);
  const job = useDesk((s) => s.job);
  const changes = useDesk((s) => s.waiting.length);
  if (storing !== "gone" && storing !== "refused") return null;
  const offline = (): void => void toast.error("The server did not answer; try again when it is running.");
  const keep = (): void => {
    const url = URL.createObjectURL(new Blob([writeJobFile(job)], { type: "application/json" }));
    const a = document.createElement("a");
    a.href = url;
    a.download = `${job.name.replace(/[^A-Za-z0-9]+/g, "-") || "job"}.lumbet.json`;
    a.click();
    URL.revokeObjectURL(url);
  };
  const putBack = (): void => {
    actions.restore(job.id).then(() => {
      useDesk.setState((s) => ({
        storing: s.waiting.length ? "storing" : "stored",
        notStored: null,
        waiting: [...s.waiting],
      }));
      toast("The job is on the list again");
    }, offline);
  };
  const letGo = (): void => {
    // What waits is forgotten on this device too; the page then opens on what is stored.
    useDesk.setState({ waiting: [] });
    window.location.reload();
  };
  return (
    <div
      role="alert"
      className="no-print flex flex-wrap items-center gap-2 border-b-2 border-stop bg-panel px-3 py-2"
      data-not-stored
    >
      <p className="min-w-0 flex-1">
        <strong className="text-stop">Not stored.</strong> {why}{" "}
        {changes
          ? `${changes === 1 ? "Your change is" : `Your ${changes} changes are`} kept on this device.`
          : "Nothing of yours waits."}{" "}
        {storing === "refused" ? "Undo or change it, and it is sent again." : ""}
      </p>
      <Button onClick={keep}>Keep as a job file</Button>
      {storing === "gone" ? (
        <Button look="solid" onClick={putBack}>
          Put the job back
        </Button>
      ) : (
        <Button onClick={letGo}>Go back to what is stored</Button>
      )}
    </div>
  );
}

/** The planner failed: what is shown is the plan before, and it can be asked again. */
function PlanFault() {
  const fault = useDesk((s) => s.planFault);
  if (!fault) return null;
  return (
    <div role="alert" className="no-print flex flex-wrap items-center gap-2 border-2 border-stop bg-panel px-2 py-1.5">
      <p className="min-w-0 flex-1 text-[13.5px]">
        <strong className="text-stop">The plan could not be worked out:</strong> {fault}. What is shown is from before
        your last change.
      </p>
      <Button onClick={planAgain}>Try again</Button>
    </div>
  );
}

function SheetStage() {
  const stage = useDesk((s) => s.stage);
  switch (stage) {
    case "containment":
      return <ContainmentSheet />;
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

function DrawingStage() {
  const stage = useDesk((s) => s.stage);
  const progress = useDesk((s) => s.progress);
  const view = useDesk((s) => s.view);
  const zones = useDesk((s) => s.zones);
  const room = useDesk((s) => s.room);
  const rooms = useDesk((s) => s.job.rooms);
  const levels = useDesk((s) => s.job.storeys);
  const storeys = [...levels].sort((a, b) => a.level - b.level);
  const instruments = useDesk((s) => s.instruments);
  const planning = useDesk((s) => s.planning);
  const command = (name: string): void => commands.find((c) => c.name === name)?.run();
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-1.5">
        <div role="radiogroup" aria-label="View" className="flex">
          {(
            [
              ["unrolled", "Unrolled"],
              ["plan", "Plan"],
              ["deck", "Deck"],
              ["solid", "Solid"],
              ...(stage === "timber" ? ([["schedule", "Schedule"]] as const) : []),
            ] as const
          ).map(([v, name]) => (
            <button
              key={v}
              type="button"
              role="radio"
              aria-checked={view === v}
              onClick={() => useDesk.setState({ view: v })}
              className={`min-h-8 cursor-pointer border border-line px-2.5 font-cond font-semibold ${view === v ? "bg-ink text-panel" : "bg-panel hover:border-ink"}`}
            >
              {name}
            </button>
          ))}
        </div>
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
        <span className="min-w-2 flex-1 text-right text-[12.5px] text-soft" aria-live="polite">
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
        <Button hint="L" onClick={() => command("Lay all runs")}>
          Lay all
        </Button>
        {view === "unrolled" ? (
          <Button hint="Z" aria-pressed={zones} onClick={() => command("Show or hide zones")}>
            Zones
          </Button>
        ) : null}
        {view === "unrolled" || view === "plan" ? (
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
        <BoringSheet />
      ) : view === "unrolled" && room ? (
        <UnrolledRoom roomId={room} />
      ) : (
        <PlanDrawing deck={view === "deck"} />
      )}
      {view === "schedule" ? null : <Tape />}
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

/** Before a change that would move what is already done: what it touches, and a way back. */
function ContradictsSheet() {
  const contradicts = useDesk((s) => s.contradicts);
  const job = useDesk((s) => s.job);
  const siteBook = useDesk((s) => s.siteBook);
  if (!contradicts) return null;
  const label = (id: string): string => job.points.find((p) => p.id === id)?.label ?? id;
  const runs = [...new Set(contradicts.touched.map((t) => t.run))];
  const name = (key: string): string => {
    const p = partsOfKey(key);
    return p ? `${label(p.from)} to ${label(p.to)}` : key;
  };
  const last = (key: string) => [...siteBook].reverse().find((e) => e.run === key && e.kind === "done");
  const leave = (): void => useDesk.setState({ contradicts: null });
  return (
    <Sheet
      open
      onOpenChange={(o) => !o && leave()}
      title="Work is already done on this"
      about="What is in the wall stays where it was done, whatever the plan says. Changed all the same, the plan will show both, planned and done."
    >
      <ul className="mb-3 list-inside list-disc">
        {runs.map((r) => {
          const e = last(r);
          return (
            <li key={r}>
              {name(r)}
              {e?.step ? `: ${stepNames[e.step].toLowerCase()} by ${e.by}, ${e.at.slice(0, 10)}` : ""}
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            leave();
            const refused = edit(contradicts.patch, true);
            if (refused) toast.error(refused);
          }}
        >
          Change it all the same
        </Button>
        <Button look="solid" data-do onClick={leave}>
          Leave it as it was done
        </Button>
      </div>
    </Sheet>
  );
}

function ConflictSheet() {
  const conflict = useDesk((s) => s.conflict);
  const job = useDesk((s) => s.job);
  if (!conflict) return null;
  const nameOf = (c: { collection: string; id: string }): string => {
    if (c.collection === "points") return `point ${job.points.find((p) => p.id === c.id)?.label ?? c.id}`;
    if (c.collection === "circuits") return `circuit ${job.circuits.find((p) => p.id === c.id)?.label ?? c.id}`;
    if (c.collection === "rooms") return `room ${job.rooms.find((p) => p.id === c.id)?.name ?? c.id}`;
    return c.collection === "head" ? `the job's ${c.id}` : `${c.collection.replace(/s$/, "")} ${c.id}`;
  };
  return (
    <Sheet
      open
      onOpenChange={() => undefined}
      keep
      title="Changed in two places"
      about="While you worked here, another window or person changed the same thing. Nothing is lost: choose which to keep."
    >
      <p className="mb-3">
        It is about: <strong>{[...new Set(conflict.clashes.map(nameOf))].join(", ")}</strong>.
      </p>
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            settle("theirs");
            toast("Theirs taken. Yours was let go.");
          }}
        >
          Take theirs
        </Button>
        <Button
          look="solid"
          onClick={() => {
            settle("mine");
            toast("Yours kept and stored.");
          }}
        >
          Keep mine
        </Button>
      </div>
    </Sheet>
  );
}

const typing = (t: EventTarget | null): boolean =>
  t instanceof HTMLElement && (t.matches("input, select, textarea") || t.isContentEditable);

/** Keys for everything; a number typed while something is held goes to its distance. */
function useKeys(): void {
  useEffect(() => {
    const down = (e: KeyboardEvent): void => {
      if (e.key === "F9") {
        // The one key that works while typing: the reading goes into the field.
        e.preventDefault();
        void takeReading();
        return;
      }
      // Undo inside a field belongs to the field.
      if (typing(e.target)) return;
      if (useDesk.getState().find || document.querySelector("[role=dialog]")) return;
      if (/^[0-9]$/.test(e.key) && !e.ctrlKey && !e.metaKey && !e.altKey) {
        const s = useDesk.getState().selection;
        const field = document.querySelector<HTMLInputElement>(
          s?.kind === "point"
            ? '[data-field="u"], [data-field="x"]'
            : s?.kind === "run"
              ? '[data-field="leg"]'
              : "[data-none]",
        );
        if (field) {
          // The digit itself lands in the field, in place of the selected text.
          field.focus();
          field.select();
        }
        return;
      }
      const c = commands.find((x) => x.on(e));
      if (!c) return;
      e.preventDefault();
      c.run();
    };
    window.addEventListener("keydown", down);
    return () => window.removeEventListener("keydown", down);
  }, []);
}

/** Keeps stage, room and view in the address, so that a reload comes back to the same place. */
function useAddress(): void {
  const stage = useDesk((s) => s.stage);
  const room = useDesk((s) => s.room);
  const view = useDesk((s) => s.view);
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    const q = new URLSearchParams({ stage, ...(room ? { room } : {}), ...(view === "unrolled" ? {} : { view }) });
    window.history.replaceState(null, "", `${window.location.pathname}?${q}`);
  }, [stage, room, view]);
}

/** What is ticked on site shows here within a few seconds. */
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
    const timer = setInterval(look, 8000);
    window.addEventListener("focus", look);
    return () => {
      stopped = true;
      clearInterval(timer);
      window.removeEventListener("focus", look);
    };
  }, [actions]);
}
