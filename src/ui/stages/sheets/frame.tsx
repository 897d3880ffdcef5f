"use client";
import { useDesk, useSnapshot } from "../../job/store";

/** The plan with the job it was worked out for, and how its things are called. */
export function useNames() {
  const { house, job, plan } = useSnapshot();
  const point = (id: string): string => job.points.find((p) => p.id === id)?.label ?? id;
  const circuit = (id: string | null): string =>
    id === null ? "" : (job.circuits.find((c) => c.id === id)?.label ?? id);
  const runName = (id: string): string => {
    const r = plan?.runs.find((x) => x.id === id);
    // A reading may be of a point: the main switch of a board.
    return r ? `${point(r.from)} to ${point(r.to)}` : point(id);
  };
  return { job, house, plan, point, circuit, runName };
}

/** Picks a run in every view. */
export const pickRun = (id: string): void => useDesk.setState({ selection: { kind: "run", id } });

/** Frame of a sheet: its title, what it says, its tools. */
export function SheetFrame({
  title,
  about,
  tools,
  children,
}: {
  title: string;
  about: string;
  tools?: React.ReactNode;
  children: React.ReactNode;
}) {
  return (
    <section className="sheet min-h-0 flex-1 overflow-auto border border-line bg-panel p-3" aria-label={title}>
      <div className="mb-2 flex flex-wrap items-start justify-between gap-2">
        <div>
          <h2 className="text-xl">{title}</h2>
          <p className="max-w-[70ch] text-[13.5px] text-soft">{about}</p>
        </div>
        {tools}
      </div>
      {children}
    </section>
  );
}

/** Look of a link that is a tool of a sheet. */
export const link =
  "inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond font-semibold hover:border-ink";
