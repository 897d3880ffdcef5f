"use client";
import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import type { Job } from "../../core/job/model";
import type { Plan } from "../../core/laid/laid";
import type { StageId, View } from "../job/stages";
import { type Selection, useDesk, usePlan } from "../job/store";
import { Button } from "../kit/button";
import { goTo } from "./order-of-work";

interface Stop {
  title: string;
  words: string;
  stage: StageId;
  view: View;
  /** It tells of the foot of the desk: the card stands at its head. */
  high?: true;
  /** What is picked out while it is told. */
  pick?: (job: Job, plan: Plan | null) => Selection;
}

const firstOnWall = (job: Job, kind: string): Selection => {
  const p = job.points.find((x) => x.kind === kind && x.place.on === "wall");
  return p ? { kind: "point", id: p.id } : null;
};

/** Two minutes through a job: each stop shows the real thing and says what it is for. */
const stops: readonly Stop[] = [
  {
    title: "Walls side by side",
    words:
      "A room is walked once, by lengths and turns. Its walls stand in a row as you see them from inside; hatched is where a cable may lie hidden.",
    stage: "survey",
    view: "unrolled",
  },
  {
    title: "Points",
    words:
      "Press a wall, then a kind of point: it joins its usual circuit by itself. Type its distance from the left, drag it, or use the arrow keys; zones and cables follow at once.",
    stage: "points",
    view: "unrolled",
    pick: (job) => firstOnWall(job, "socket"),
  },
  {
    title: "The tape",
    high: true,
    words:
      "The yellow tape at the foot has every mark of the picked wall, from the end you hook it on: points, drops, holes. Read it off, copy it, or print it at true scale.",
    stage: "points",
    view: "unrolled",
    pick: (job) => firstOnWall(job, "socket"),
  },
  {
    title: "Why this way",
    words:
      "Every run is laid through safe zones and legal holes. Press one to see its legs and why it goes this way; drag a leg, and it is judged as it moves.",
    stage: "routes",
    view: "unrolled",
    pick: (_, plan) => (plan?.runs[0] ? { kind: "run", id: plan.runs[0].id } : null),
  },
  {
    title: "What is wrong, and the way out",
    words:
      "Figures on the left count what is to settle. Each finding names what was measured, what is allowed and its source; where a remedy is plain, one press does it.",
    stage: "circuits",
    view: "plan",
  },
  {
    title: "Where to bore",
    words:
      "Joists from above with their clear spans: holes stand where the rules allow, on chalk lines, with a schedule in the order you walk.",
    stage: "timber",
    view: "deck",
  },
  {
    title: "What to buy, what to cut",
    words:
      "Cable by drum and cut, boxes, clips and glands, by circuit; buying in the cheapest packs. All of it is also on paper: see Papers in the bar above.",
    stage: "materials",
    view: "unrolled",
  },
  {
    title: "On site",
    words:
      "On the phone the day comes card by card: bore, clip, test, photograph, release. What is ticked there stands here at once, also after hours without a signal.",
    stage: "site-book",
    view: "unrolled",
  },
];

/** The card of the stop one is at, with the way on; the job under it can be used meanwhile. */
export function Tour() {
  const at = useDesk((s) => s.tour);
  const job = useDesk((s) => s.job);
  const plan = usePlan();
  const router = useRouter();
  const next = useRef<HTMLButtonElement>(null);
  const laid = plan !== null;
  const stop = at === null ? undefined : stops[at];
  useEffect(() => {
    if (at === null || !stops[at]) return;
    const { job: now, snap } = useDesk.getState();
    goTo(stops[at].stage);
    useDesk.setState({
      view: stops[at].view,
      selection: stops[at].pick?.(now, snap?.plan ?? null) ?? null,
      tool: null,
    });
    next.current?.focus();
  }, [at, laid]);
  if (at === null || !stop) return null;
  const last = at === stops.length - 1;
  const end = (): void => useDesk.setState({ tour: null });
  return (
    <section
      aria-label="Tour"
      aria-live="polite"
      className={`no-print fixed ${stop.high ? "top-24" : "bottom-2"} left-1/2 z-30 w-[calc(100vw-1rem)] max-w-2xl -translate-x-1/2 border-2 border-accent bg-panel p-3 shadow-[4px_4px_0_0_rgb(0_0_0/.2)]`}
      data-tour={at + 1}
    >
      <h2 className="text-lg">
        {stop.title}{" "}
        <span className="num text-[13px] font-normal text-soft">
          {at + 1} of {stops.length}
        </span>
      </h2>
      <p className="mt-1">{stop.words}</p>
      <div className="mt-2 flex flex-wrap justify-end gap-2">
        <Button look="quiet" onClick={end}>
          End the tour
        </Button>
        <Button disabled={at === 0} onClick={() => useDesk.setState({ tour: at - 1 })}>
          Back
        </Button>
        {last ? (
          <Button
            ref={next}
            look="solid"
            onClick={() => {
              end();
              router.push(`/jobs/${job.id}/site`);
            }}
          >
            Open it on site
          </Button>
        ) : (
          <Button ref={next} look="solid" onClick={() => useDesk.setState({ tour: at + 1 })}>
            Next
          </Button>
        )}
      </div>
    </section>
  );
}
