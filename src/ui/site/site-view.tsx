"use client";
import { pointLabels } from "../../core/job/labels";
import { nanoid } from "nanoid";
import { toast } from "sonner";
import dynamic from "next/dynamic";
import { useCallback, useEffect, useMemo, useState } from "react";
import type { Job } from "../../core/job/model";
import { layHouse } from "../../core/house/house";
import type { Plan, Run } from "../../core/laid/laid";
import type { Catalogue } from "../../core/rules/catalogue";
import type { SiteEntry, Step } from "../../core/job/site-entry";
import { nextStep, stateOf } from "../../core/record/entries";
import { builtBehind } from "../../core/record/built-behind";
import { neededSteps } from "../../core/record/needed";
import { personName, setPersonName } from "../kit/person";
import { useMe, useRefusal } from "../kit/me";
import { useKeptForOffline } from "../kit/keep-for-offline";
import { SignInAgain } from "../kit/signed-out";
import { Button } from "../kit/button";
import { Choice } from "../kit/choice";
import { type Send, useEntries } from "./entries-queue";
import { Troubles } from "./troubles";
import type { KeptPhoto } from "./photo-store";
import { usePhotos } from "./photos-queue";
import { DayView, type PhotoOf, cards as dayCards } from "./day/day-view";
import { type Line, lineOfStep, linesOfRepair, linesOfStepBack } from "../../core/record/do-part";
import { type Guide, guideHref } from "./guide";
import { SinceLooked } from "./since-looked";
import { SiteHeader } from "./site-header";

/** What is carried out, as the server writes it. */
interface Planned {
  job: Job;
  plan: Plan;
  catalogue: Catalogue;
}
interface Known {
  siteBook: SiteEntry[];
  send: Send;
}

/** The site at phone width. It is drawn on the phone alone: the server has one plan to send and many phones to send it to. */
export function SiteView({ name, planned, siteBook, send }: Known & { name: string; planned: string }) {
  const [opened, setOpened] = useState<Planned | null>(null);
  useEffect(() => setOpened(JSON.parse(planned) as Planned), [planned]);
  return opened ? (
    <Site {...opened} siteBook={siteBook} send={send} replan={setOpened} />
  ) : (
    <div className="mx-auto min-h-dvh max-w-lg bg-page" aria-busy="true">
      <div className="flex min-h-16 items-center bg-bar px-4 text-xl text-barink">{name}</div>
      <p className="p-4 text-[17px] text-soft">Opening the job.</p>
    </div>
  );
}

/** What the site page shows: the day by place and tool, runs to do, runs done, surfaces to close. */
const shows = ["day", "runs", "done", "close"] as const;
type Show = (typeof shows)[number];
const showHref = (show: Show): string => window.location.pathname + (show === "day" ? "" : `?show=${show}`);

/** What is wanted later: fetched when the page stands and kept with it, so that it is there without a signal. */
const later = {
  detail: () => import("./step-detail"),
  closing: () => import("./closing-view"),
  cards: () => import("./run-cards"),
  waiting: () => import("./waiting-list"),
  built: () => import("../../core/record/as-built"),
  ...dayCards,
};
const weights = [400, 500, 600, 700];
const fetchLater = (): Promise<unknown> =>
  Promise.all([
    ...Object.values(later).map((get) => get()),
    // A weight of the letters that is first wanted on another page would not be there.
    ...weights.map((w) => document.fonts.load(`${w} 16px "Barlow"`).catch(() => [])),
  ]);
const StepDetail = dynamic(() => later.detail().then((m) => m.StepDetail));
const RunCards = dynamic(() => later.cards().then((m) => m.RunCards));
const WaitingList = dynamic(() => later.waiting().then((m) => m.WaitingList));
const EndGuide = dynamic(() => dayCards.guide().then((m) => m.EndGuide));
const ClosingView = dynamic(() => later.closing().then((m) => m.ClosingView));

/** Runs as cards, one run at a time, a tap for each step. */
function Site({ job, plan, catalogue, siteBook, send, replan }: Planned & Known & { replan: (p: Planned) => void }) {
  const { kept: keptPhotos, sent, take, flush, letGo } = usePhotos(job.id);
  // Photos go first: a wall is released by a line that counts on them.
  const sendAfter = useCallback<Send>(
    async (id, lines) => {
      await flush();
      return send(id, lines);
    },
    [flush, send],
  );
  useEffect(() => {
    const go = (): void => void flush().catch(() => undefined);
    go();
    const timer = setInterval(go, 15_000);
    window.addEventListener("online", go);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", go);
    };
  }, [flush]);
  const { entries, toSend, waiting, refused, notTaken, signedOut, full, add, settle } = useEntries(
    job.id,
    siteBook,
    sendAfter,
  );
  const me = useMe();
  const kept = useKeptForOffline(fetchLater);
  const refusal = useRefusal("record");
  const noRelease = useRefusal("plan");
  const [open, setOpen] = useState<string | null>(null);
  const [guide, setGuide] = useState<Guide | null>(null);
  const [listing, setListing] = useState(false);
  const [by, setBy] = useState("Electrician 1");
  const [show, setShown] = useState<Show>("day");
  const seen = useMemo(
    () => withPhotos(job, [...keptPhotos.filter((p) => p.refused === null), ...sent]),
    [job, keptPhotos, sent],
  );
  const house = useMemo(() => layHouse(seen, catalogue), [seen, catalogue]);
  // What was told here of things built elsewhere, and not answered yet, is in the plan all the same.
  const behind = builtBehind(job, plan, waiting);
  useEffect(() => {
    if (!behind) return;
    void import("../../core/record/as-built").then(({ asBuiltNow }) =>
      replan({ ...asBuiltNow(layHouse(job, catalogue), entries), catalogue }),
    );
    // Worked out once for what is behind: the plan that comes of it is not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [behind]);
  useEffect(() => {
    setBy(me.name ?? (personName() || "Electrician 1"));
    const back = (): void => {
      const asked = new URLSearchParams(window.location.search);
      const [of, at, kind] = ["run", "at", "steps"].map((k) => asked.get(k));
      setGuide(of && at && kind ? { run: of, point: at, kind } : null);
      setOpen(of ?? null);
      setShown(shows.find((x) => x === asked.get("show")) ?? "day");
    };
    back();
    window.addEventListener("popstate", back);
    return () => window.removeEventListener("popstate", back);
  }, [me.name]);
  const go = (run: string | null): void => {
    window.history.pushState(null, "", run ? `?run=${encodeURIComponent(run)}` : showHref(show));
    setOpen(run);
    window.scrollTo(0, 0);
  };
  const openGuide = (next: Guide): void => {
    window.history.pushState({ guide: true }, "", guideHref(next));
    setGuide(next);
    window.scrollTo(0, 0);
  };
  /** Back to the run or the day that it was opened from; to its run where it was opened by its address. */
  const leaveGuide = (): void => {
    if ((window.history.state as { guide?: true } | null)?.guide) return window.history.back();
    setGuide(null);
    go(guide!.run);
  };
  const setShow = (next: Show): void => {
    window.history.replaceState(null, "", showHref(next));
    setShown(next);
  };
  const label = pointLabels(job);
  const name = (r: Run): string => `${label(r.from)} to ${label(r.to)}`;
  const circuit = (r: Run): string => job.circuits.find((c) => c.id === r.circuit)?.label ?? "";
  const byRun = useMemo(() => {
    const out = new Map<string, SiteEntry[]>();
    for (const e of entries) {
      const list = out.get(e.run);
      if (list) list.push(e);
      else out.set(e.run, [e]);
    }
    return out;
  }, [entries]);
  const needs = useMemo(() => new Map(plan.runs.map((r) => [r.id, neededSteps(plan, r.id)])), [plan]);
  const stateFor = (r: Run) => ({ state: stateOf(byRun.get(r.id) ?? [], r.id), needed: needs.get(r.id) ?? [] });
  /** Lines in their order: equal times would be put in order by their ids. */
  const tell = (lines: readonly Line[]): void => {
    if (refusal !== null) return void toast.error(refusal);
    const at = Date.now();
    lines.forEach((l, i) =>
      add({ id: nanoid(16), by: by.trim() || "Electrician 1", at: new Date(at + i).toISOString(), ...l }),
    );
  };
  const line = (r: Run, step: Step, kind: SiteEntry["kind"], text = ""): void =>
    tell([lineOfStep({ plan, job, entries }, r.id, step, kind, text)]);
  const photoOf = async (of: PhotoOf, file: File): Promise<void> => {
    const face = of.kind === "wall" ? house.faces[house.faceOfWall.get(of.id)!]! : null;
    const bad = await take(file, {
      wall: face ? of.id : null,
      deck: of.kind === "deck" ? of.id : null,
      outside: of.kind === "outside" ? of.id : null,
      u: of.at?.u ?? (face ? Math.round(face.shape.length / 2) : 0),
      v: of.at?.v ?? (face ? 1200 : 0),
    });
    if (bad !== null) toast.error(`The photo was not taken: ${bad}.`);
  };
  const all = plan.runs.map((r) => ({ r, ...stateFor(r) }));
  const todo = all.filter(({ state, needed }) => nextStep(state, needed) !== null);
  const done = all.filter(({ state, needed }) => nextStep(state, needed) === null);
  const listed = show === "done" ? done : todo;
  const nameField = (
    <label className="flex min-w-40 flex-1 items-center gap-2 text-[14px] text-soft">
      Name
      <input
        readOnly={me.name !== null}
        className="min-h-12 w-full min-w-0 border border-line bg-field px-2 text-[16px] text-ink"
        value={by}
        maxLength={60}
        onChange={(e) => {
          setBy(e.target.value);
          setPersonName(e.target.value);
        }}
      />
    </label>
  );
  const run = plan.runs.find((r) => r.id === open);
  const after = run ? (todo.filter(({ r }) => r.id !== run.id)[0]?.r ?? null) : null;
  return (
    <div className="mx-auto flex min-h-dvh max-w-lg flex-col bg-page text-[17px]">
      <SiteHeader
        back={
          guide
            ? { name: "Back to where it was opened", go: leaveGuide }
            : run
              ? { name: "Back to all runs", go: () => go(null) }
              : `/jobs/${job.id}?stage=site-book`
        }
        title={run ? `${circuit(run)} · ${name(run)}` : job.name}
        about={
          run
            ? (job.circuits.find((c) => c.id === run.circuit)?.name ?? "")
            : `${done.length} of ${all.length} runs done`
        }
        waits={toSend + keptPhotos.filter((p) => p.refused === null).length}
        listed={listing}
        onList={() => setListing(!listing)}
      />
      {listing ? <WaitingList house={house} plan={plan} lines={waiting} refused={refused} photos={keptPhotos} /> : null}
      {signedOut ? <SignInAgain /> : null}
      {refusal ? (
        <p className="bg-panel p-3 font-medium" data-looking>
          {refusal}
        </p>
      ) : null}
      {keptPhotos.map((p) =>
        p.refused === null ? null : (
          <div key={p.id} role="alert" className="grid gap-2 bg-panel p-3 text-stop">
            <p>A photo was not taken: {p.refused}.</p>
            <Button big onClick={() => void letGo(p.id)}>
              Let it go
            </Button>
          </div>
        ),
      )}
      <Troubles refused={refused} notTaken={notTaken} full={full} settle={settle} />
      {guide ? (
        <EndGuide
          key={guideHref(guide)}
          {...{ house, plan, guide, entries }}
          tell={(l) => tell([{ step: null, ...l }])}
          back={leaveGuide}
        />
      ) : run ? (
        <StepDetail
          key={run.id}
          job={job}
          plan={plan}
          house={house}
          run={run}
          entries={entries}
          onDone={(s, text) => line(run, s, "done", text)}
          onUndo={(s) => tell(linesOfStepBack(entries, run.id, s))}
          onCannot={(s, why) => line(run, s, "cannot", why)}
          tell={(l) => {
            const told = { run: run.id, step: null, ...l };
            tell(l.kind === "repaired" ? linesOfRepair(told, { plan, entries }) : [told]);
          }}
          onBuilt={(lines, builtJob, builtPlan) => {
            tell(lines);
            replan({ job: builtJob, plan: builtPlan, catalogue });
          }}
          openGuide={openGuide}
          next={after ? { name: `${circuit(after)} · ${name(after)}`, open: () => go(after.id) } : null}
        />
      ) : (
        <main className="flex-1 p-3">
          <div className="mb-3 flex flex-wrap items-center justify-between gap-2">
            <Choice
              size="thumb"
              label="Show"
              value={show}
              options={[
                ["day", "Day"],
                ["runs", `Runs ${todo.length}`],
                ["done", `Done ${done.length}`],
                ["close", "Close"],
              ]}
              onChange={setShow}
              className="shrink-0"
            />
            {show === "day" ? null : nameField}
          </div>
          {show === "day" && all.length ? (
            <div className="mb-3 empty:hidden">
              <SinceLooked house={house} plan={plan} entries={entries} by={by.trim() || "Electrician 1"} />
            </div>
          ) : null}
          {show === "day" ? (
            all.length ? (
              <DayView
                house={house}
                plan={plan}
                entries={entries}
                by={by.trim() || "Electrician 1"}
                tell={tell}
                photo={photoOf}
                onClose={() => setShow("close")}
                openGuide={openGuide}
              />
            ) : (
              <p className="p-4 text-soft">No runs yet: lay them at the desk.</p>
            )
          ) : show === "close" ? (
            <ClosingView
              house={house}
              plan={plan}
              entries={entries}
              runName={(id) => {
                const r = plan.runs.find((x) => x.id === id);
                return r ? `${circuit(r)}, ${name(r)}` : id;
              }}
              tell={(l) => (noRelease === null ? tell([{ step: null, ...l }]) : void toast.error(noRelease))}
              photo={photoOf}
            />
          ) : listed.length ? null : (
            <p className="p-4 text-soft">
              {all.length === 0
                ? "No runs yet: lay them at the desk."
                : show === "done"
                  ? "No run is finished yet."
                  : "Everything is done. Photograph each wall with a tape in the picture before it is closed."}
            </p>
          )}
          <p className="mb-3 text-[14px] text-soft" data-offline={kept === null ? "cannot" : kept ? "kept" : "keeping"}>
            {kept === null
              ? "This browser cannot keep the job for where there is no signal: keep this page open there."
              : kept
                ? "Kept on this phone: it opens without a signal, as it was last seen with one."
                : "Being kept on this phone."}
          </p>
          {show === "day" ? nameField : null}
          {show === "runs" || show === "done" ? (
            <RunCards
              house={house}
              plan={plan}
              runs={listed}
              onOpen={(r) => go(r.id)}
              onDone={(r, step) => line(r, step, "done")}
            />
          ) : null}
        </main>
      )}
    </div>
  );
}

/** The job with photos that are on this phone and not yet in it. */
function withPhotos(job: Job, photos: readonly KeptPhoto[]): Job {
  const have = new Set(job.photos.map((p) => p.id));
  const more = photos.filter((p) => !have.has(p.id));
  return more.length
    ? {
        ...job,
        photos: [
          ...job.photos,
          ...more.map(({ id, wall, deck = null, outside = null, u, v, at }) => ({
            id,
            wall,
            deck,
            outside,
            picture: id,
            u,
            v,
            at,
            text: "",
          })),
        ],
      }
    : job;
}
