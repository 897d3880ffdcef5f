"use client";
import { isSignalCable } from "../../../core/rules/cables";
import { Camera } from "lucide-react";
import { type ReactNode, useDeferredValue, useEffect, useMemo, useState } from "react";
import type { House } from "../../../core/house/house";
import type { SiteEntry } from "../../../core/job/site-entry";
import type { Plan } from "../../../core/laid/laid";
import { DAY, clockText } from "../../../core/record/calendar";
import { byDate, daysOf } from "../../../core/record/day";
import { type Line, lineOfCannot, linesOfDone, linesOfUndone } from "../../../core/record/do-part";
import { partOfLine } from "../../../core/record/learned";
import { inOrder } from "../../../core/record/order";
import { type Part, partsOf } from "../../../core/record/parts";
import { shortNext } from "../../../core/record/short";
import { type Task, tasksOf } from "../../../core/record/tasks";
import { cableOf } from "../../../core/rules/catalogue";
import { doneWords, leftWords, partWords, stateWords, taskName } from "../../../core/words/tasks";
import { Button } from "../../kit/button";
import { useNow } from "../../kit/use-now";
import { FileButton } from "../../kit/file-button";
import dynamic from "next/dynamic";
import { placeOnWall } from "../../../core/drawings/part-drawing";
import type { Guide } from "../guide";
import { CutCard } from "./draw-in";
import { DepthCard } from "./depth-card";
import { Foot } from "./foot";
import { PartCard } from "./part-card";

/** Fetched when the page stands; kept with it for where there is no signal. */
export const cards = {
  ring: () => import("./ring-card"),
  run: () => import("./test-card"),
  guide: () => import("../end-guide"),
};
const RingCard = dynamic(() => cards.ring().then((m) => m.RingCard));
const GuidesOfPoint = dynamic(() => cards.guide().then((m) => m.GuidesOfPoint));
const TestCard = dynamic(() => cards.run().then((m) => m.TestCard));

/** What a photo is of: a wall, a deck or an open trench as a whole, or a place on a wall, mm. */
export interface PhotoOf {
  kind: "wall" | "deck" | "outside";
  id: string;
  at?: { u: number; v: number };
}

interface Props {
  house: House;
  plan: Plan;
  entries: SiteEntry[];
  by: string;
  /** Puts lines into the record, in this order. */
  tell: (lines: readonly Line[]) => void;
  photo: (of: PhotoOf, file: File) => Promise<void>;
  onClose: () => void;
  openGuide: (guide: Guide) => void;
}

/**
 * The day on the phone: what to do now at one place with one tool, the one number, what comes then, and what is short
 * tomorrow.
 */
export function DayView({ house, plan, entries, by, tell, photo, onClose, openGuide }: Props) {
  const now = useNow();
  const parts = useMemo(() => partsOf(house, plan), [house, plan]);
  // What is ticked shows at once; the days follow a moment later.
  const settled = useDeferredValue(entries);
  const days = useMemo(() => daysOf(house, plan, settled, now, parts), [house, plan, settled, now, parts]);
  const tasks = useMemo(
    () => tasksOf(house, plan, entries, days.learned, parts),
    [house, plan, entries, days.learned, parts],
  );
  const [picked, setPicked] = useState<string | null>(null);
  const { schedule } = days;
  const byId = useMemo(() => new Map(tasks.map((t) => [t.id, t])), [tasks]);
  const done = useMemo(
    () => new Set(tasks.flatMap((t) => t.parts.flatMap((x) => (x.state.kind === "done" ? [x.part.id] : [])))),
    [tasks],
  );
  const { people } = house.job.work;
  const me = Math.max(0, people.indexOf(by));
  const mine = schedule.slots.filter((s) => s.person === me).sort((a, b) => a.from - b.from);
  const ready = (t: Task | undefined): t is Task => !!t?.parts.some((x) => x.state.kind === "ready");
  const first = mine.map((s) => byId.get(s.task)).find(ready) ?? tasks.find(ready);
  const task = picked !== null && ready(byId.get(picked)) ? byId.get(picked)! : first;
  const part = task?.parts.find((x) => x.state.kind === "ready")?.part ?? null;
  // What is on the screen stays there until it is done or another is picked: days worked out anew are not to change it under the thumb.
  const stand = task?.id ?? null;
  useEffect(() => setPicked(stand), [stand]);
  const short = useMemo(
    () => shortNext(now.date, days, house.job, plan, settled),
    [now.date, days, house.job, plan, settled],
  );
  const stuck = tasks.flatMap((t) => t.parts.filter((x) => x.state.kind === "cannot"));
  const held = tasks.flatMap((t) => t.parts.filter((x) => x.state.kind === "held")).length;
  const last = lastOf(parts, entries, by);
  const tick = (p: Part): void => tell(linesOfDone(p, parts, done, { plan, job: house.job, entries }));
  const slot = task ? mine.find((s) => s.task === task.id) : undefined;
  const rest = mine.filter((s) => s !== slot && s.task !== task?.id);
  const quiet = house.job.dwelling.occupied ? `noise until ${house.job.work.noiseUntil}` : null;
  const left = tasks.flatMap((t) => t.parts).filter((x) => x.state.kind !== "done").length;
  return (
    <div data-day className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="font-cond text-2xl font-semibold">{task ? taskName(house, task) : "Nothing left to do now"}</h2>
        <p className="num text-[15px] text-soft">
          {slot ? `to ${clockText(slot.until)}` : ""}
          {task ? ` · ${leftWords(task)}` : ""}
          {task?.noisy && quiet ? ` · ${quiet}` : ""}
        </p>
      </div>
      {part && task ? (
        <Doing
          key={part.id}
          {...{ house, plan, entries, tell, photo, onClose, openGuide, part, done }}
          onDone={() => tick(part)}
          onCannot={(why) => tell([lineOfCannot(part, why)])}
          last={last}
          onUndo={last ? () => tell(linesOfUndone(last, entries)) : null}
        />
      ) : (
        <p className="p-2 text-soft">
          {left
            ? "What is left waits for something that cannot be done yet; it is listed below."
            : "Everything is done and closed."}
        </p>
      )}
      {short ? (
        <section aria-label="Short" className="border border-line bg-panel p-3" data-short>
          {short.short.map((s) => (
            <p key={s.cable} className="text-[16px] font-medium text-stop">
              {dayWords(short.date, now.date)}: short {(s.short / 1000).toFixed(1)} m of{" "}
              {cableOf(s.cable, house.catalogue)?.name ?? s.cable}
            </p>
          ))}
        </section>
      ) : null}
      {stuck.length ? (
        <section aria-label="Cannot" className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3">
          <h3 className="text-lg">Cannot for now{held ? `, and ${held} held by it` : ""}</h3>
          {stuck.map(({ part: p, state }) => (
            <div key={p.id} className="grid gap-1 border-t border-line pt-2 text-[16px]" data-stuck={p.id}>
              <p>{partWords(house, plan, p).over}</p>
              <p className="text-warn">! {stateWords(house, plan, state)}</p>
              <Button big onClick={() => tell([lineOfCannot(p, null)])}>
                Can now
              </Button>
            </div>
          ))}
        </section>
      ) : null}
      <section aria-label="Then" className="border border-line bg-panel p-3">
        <h3 className="text-lg">Then</h3>
        {rest.length ? (
          <ul>
            {rest.slice(0, 8).map((s, i) => {
              const t = byId.get(s.task)!;
              const can = ready(t);
              const on = dateOfSlot(days, s.from);
              const before = rest[i - 1];
              const anew = before ? on !== dateOfSlot(days, before.from) : on !== now.date;
              return (
                <li key={`${s.task} ${i}`} className="border-b border-dotted border-line">
                  {anew ? <p className="pt-2 font-semibold">{dayWords(on, now.date)}</p> : null}
                  <button
                    type="button"
                    className="flex min-h-12 w-full cursor-pointer items-center justify-between gap-3 text-left disabled:cursor-default"
                    disabled={!can}
                    onClick={() => {
                      setPicked(t.id);
                      window.scrollTo(0, 0);
                    }}
                  >
                    <span>
                      <span className="num">{clockText(s.from)}</span> {taskName(house, t)}
                    </span>
                    <span className="num text-right text-[14px] text-soft">
                      {Math.round(s.until - s.from)} min{t.noisy ? ", noisy" : ""}
                    </span>
                  </button>
                </li>
              );
            })}
          </ul>
        ) : (
          <p className="text-soft">Nothing after this.</p>
        )}
        {schedule.unplaced.length ? (
          <p className="pt-2 text-[15px] text-warn">
            ! No time is found for {schedule.unplaced.map((id) => taskName(house, byId.get(id)!)).join(", ")}: look at
            the hours of work and noise at the desk.
          </p>
        ) : null}
      </section>
    </div>
  );
}

const dateOfSlot = (days: Parameters<typeof byDate>[0], from: number): string =>
  byDate(days).find((d) => d.day === Math.floor(from / DAY))!.date;

/** "Tomorrow", or the day by its name. */
function dayWords(date: string, today: string): string {
  const days = Math.round((Date.parse(date) - Date.parse(today)) / 86_400_000);
  if (days <= 0) return "Today";
  if (days === 1) return "Tomorrow";
  return new Date(`${date}T12:00:00`).toLocaleDateString("en-GB", { weekday: "long", day: "numeric", month: "long" });
}

/** The last part that a person ticked and that still stands: what one tap takes back. */
function lastOf(parts: readonly Part[], entries: readonly SiteEntry[], by: string): Part | null {
  const byId = new Map(parts.map((p) => [p.id, p]));
  const mine = inOrder(entries.filter((e) => e.by === by && ["mark", "unmark", "done", "undone"].includes(e.kind)));
  const end = mine[mine.length - 1];
  return end
    ? partOfLine(end.kind === "done" && end.step === "bored" ? (mine[mine.length - 2] ?? end) : end, byId)
    : null;
}

/** The part in hand, with what its kind needs. */
function Doing({
  house,
  plan,
  entries,
  tell,
  photo,
  onClose,
  openGuide,
  part,
  done,
  onDone,
  onCannot,
  last,
  onUndo,
}: Omit<Props, "by"> & {
  part: Part;
  done: ReadonlySet<string>;
  onDone: () => void;
  onCannot: (why: string) => void;
  last: Part | null;
  onUndo: (() => void) | null;
}) {
  const run = plan.runs.find((r) => r.id === part.runs[0]);
  const tested = (text: string): void =>
    tell(linesOfDone(part, [], done, { plan, job: house.job, entries }).map((l) => ({ ...l, text })));
  const where = part.kind === "photo" ? null : placeOnWall(house, part);
  const second =
    last && onUndo ? (
      <button
        type="button"
        className="min-h-12 cursor-pointer text-[15px] text-soft underline underline-offset-4"
        onClick={onUndo}
        data-take-back
      >
        Take back “{doneWords[last.kind].toLowerCase()}”
      </button>
    ) : null;
  const foot = (done: ReactNode): ReactNode => (
    <Foot onCannot={onCannot} second={second}>
      {done}
    </Foot>
  );
  return (
    <>
      <PartCard house={house} plan={plan} part={part} done={done} />
      {part.kind === "draw-in" && run ? (
        <CutCard job={house.job} plan={plan} run={run} entries={entries} tell={(l) => tell([l])} />
      ) : null}
      {part.kind === "chase" ? (
        <DepthCard house={house} plan={plan} part={part} entries={entries} tell={(l) => tell([l])} />
      ) : null}
      {part.kind === "tails" ? (
        <GuidesOfPoint {...{ house, plan }} point={part.at.id} runs={part.runs} open={openGuide} />
      ) : null}
      {where ? (
        <FileButton
          mark={`place-${part.id}`}
          label="Photo of this place"
          accept="image/*"
          camera
          big
          icon={<Camera size={20} />}
          onFile={(f) => void photo({ kind: "wall", id: where.wall, at: where }, f)}
        >
          Photo of this place
        </FileButton>
      ) : null}
      {part.kind === "test" && run && !isSignalCable(cableOf(run.cable, house.catalogue)) ? (
        <TestCard
          house={house}
          plan={plan}
          run={run}
          entries={entries}
          tell={(l) => tell([l])}
          onTested={tested}
          onFailed={onCannot}
          foot={foot}
        />
      ) : part.kind === "ring" ? (
        <RingCard
          house={house}
          plan={plan}
          circuit={part.at.id}
          entries={entries}
          tell={(l) => tell([l])}
          onTested={tested}
          onFailed={onCannot}
          foot={foot}
        />
      ) : part.kind === "photo" ? (
        foot(
          <FileButton
            mark={`photo-${part.at.id}`}
            label="Photo of the wall"
            accept="image/*"
            camera
            big
            icon={<Camera size={20} />}
            onFile={(f) =>
              void photo(
                { kind: part.at.kind === "deck" || part.at.kind === "outside" ? part.at.kind : "wall", id: part.at.id },
                f,
              )
            }
          >
            Take it, tape in the picture
          </FileButton>,
        )
      ) : part.kind === "close" ? (
        foot(
          <Button big look="solid" className="min-h-16 text-xl" onClick={onClose}>
            Look before closing
          </Button>,
        )
      ) : (
        foot(
          <Button big look="solid" className="min-h-16 text-xl" onClick={onDone} data-do={part.kind}>
            {doneWords[part.kind]}
          </Button>,
        )
      )}
    </>
  );
}
