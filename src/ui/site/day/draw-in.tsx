"use client";
import { useMemo, useState } from "react";
import { mm, toCut } from "../../../core/base/figures";
import type { Job } from "../../../core/job/model";
import type { SiteEntry } from "../../../core/job/site-entry";
import type { Plan, Run } from "../../../core/laid/laid";
import type { Line } from "../../../core/record/do-part";
import { type CutAt, type DrumState, cutAt, cutsToCome, drumsOf, runsToCut } from "../../../core/record/drums";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { words } from "../../kit/number-words";
import { SiteField } from "./site-field";

/** A metre mark as it stands on a sheath: "60.6". */
export const metreMark = (at: number): string => (at / 1000).toFixed(1);

/** Where a run is to be cut by what is really left, and what was cut for it. */
function cutsOf(job: Job, plan: Plan, run: Run, entries: SiteEntry[]) {
  const drums = drumsOf(job, entries).filter((d) => d.cable === run.cable);
  const cut =
    drums
      .flatMap((d) => d.cuts.map((c) => ({ ...c, drum: d })))
      .filter((c) => c.run === run.id)
      .at(-1) ?? null;
  const toCome = cutsToCome(
    runsToCut(plan, entries).filter((r) => r.cable === run.cable),
    drums,
  );
  const planned = toCome.flatMap((c) => c.drums).find((d) => d.pieces.some((p) => p.run === run.id))?.id ?? null;
  return { drums, cut, planned };
}

/** The length of a run off its drum: which, its marks before and after; another drum or mark where that is not so. */
export function CutCard({
  job,
  plan,
  run,
  entries,
  tell,
}: {
  job: Job;
  plan: Plan;
  run: Run;
  entries: SiteEntry[];
  tell: (line: Line) => void;
}) {
  const { drums, cut, planned } = useMemo(() => cutsOf(job, plan, run, entries), [job, plan, run, entries]);
  const [picked, setPicked] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const [mark, setMark] = useState("");
  const [back, setBack] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const drum = drums.find((d) => d.id === (picked ?? planned)) ?? null;
  if (cut)
    return (
      <section
        aria-label="Cut"
        className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3 text-[16px]"
        data-cut={cut.drum.id}
      >
        <p>
          ✓ Cut {mm(cut.length)} off {cut.drum.label}
          {cut.to === null ? "" : `, mark ${metreMark(cut.to)}`} ({cut.by})
        </p>
        <p className="text-soft">
          Planned {toCut(run.cutLength)}; {(cut.drum.left / 1000).toFixed(1)} m left on {cut.drum.label}.
        </p>
        <details>
          <summary className="min-h-12 cursor-pointer py-2 text-soft underline underline-offset-4">
            Some of it came back, or it was not cut
          </summary>
          <SiteField label="Offcut that came back, m" name="Offcut" value={back} onChange={setBack} />
          <div className="mt-2 grid grid-cols-2 gap-2">
            <Button
              big
              onClick={() => {
                const most = cut.length / 1000;
                const bad = words.fault("Offcut", back, 0.1, most, "m");
                if (bad) return setFault(bad);
                setFault(null);
                setBack("");
                tell({
                  run: run.id,
                  kind: "returned",
                  step: null,
                  text: "",
                  cut: { drum: cut.drum.id, length: Math.round(words.parse(back, "m")! * 1000) },
                });
              }}
            >
              It came back
            </Button>
            <Button
              big
              onClick={() => tell({ run: run.id, kind: "undone", step: null, text: "not cut", after: cut.id })}
            >
              It was not cut
            </Button>
          </div>
          <FaultLine big fault={fault} />
        </details>
      </section>
    );
  const at = drum ? cutAt(drum, run.cutLength) : null;
  const say = (to: number | null): void => {
    if (!drum || !at) return;
    const length = to !== null && at.from !== null ? Math.abs(to - at.from) : Math.ceil(run.cutLength);
    tell({
      run: run.id,
      kind: "cut",
      step: null,
      text: "",
      cut: { drum: drum.id, length, ...(at.from !== null && to !== null ? { from: at.from, to } : {}) },
    });
  };
  return (
    <section
      aria-label="Cut"
      className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3 text-[16px]"
    >
      {drum && at ? (
        <>
          <p className="font-semibold">{drum.label}</p>
          <p>
            {at.to === null
              ? "No metre mark is known of it: cut by the tape."
              : `Leave metre mark at ${metreMark(at.from!)}, cut at ${metreMark(at.to)}.`}
          </p>
          <DrumBar drum={drum} now={at} />
          {at.lacking > 0 ? (
            <p className="font-medium text-stop">
              ✕ {(drum.left / 1000).toFixed(1)} m left on it, {(at.lacking / 1000).toFixed(1)} m too little.
            </p>
          ) : (
            <Button big look="solid" className="min-h-16 text-xl" onClick={() => say(at.to)} data-cut-at>
              {at.to === null ? `Cut ${toCut(run.cutLength)}` : `Cut at ${metreMark(at.to)}`}
            </Button>
          )}
        </>
      ) : (
        <p className="font-medium text-warn">
          ! {drums.length ? "No drum holds this length." : "No drum of this cable is listed."} It can be drawn in all
          the same; what it took is then not known.
        </p>
      )}
      {drums.length ? (
        <Button big aria-expanded={open} onClick={() => setOpen(!open)}>
          Other drum or mark
        </Button>
      ) : null}
      {open ? (
        <div className="grid gap-2">
          <div className="grid gap-1.5" role="group" aria-label="Which drum">
            {drums.map((d) => (
              <Button key={d.id} big aria-pressed={d.id === drum?.id} onClick={() => setPicked(d.id)}>
                {d.label}: {(d.left / 1000).toFixed(1)} m
              </Button>
            ))}
          </div>
          {drum && drum.mark !== null ? (
            <>
              <SiteField label="Cut at metre mark" name="Mark" value={mark} onChange={setMark} />
              <Button
                big
                onClick={() => {
                  const [a, b] = drum.rising
                    ? [drum.mark! + 100, drum.mark! + drum.left]
                    : [Math.max(0, drum.mark! - drum.left), drum.mark! - 100];
                  const bad = words.fault("Mark", mark, a / 1000, b / 1000, "m");
                  if (bad) return setFault(bad);
                  setFault(null);
                  say(Math.round(words.parse(mark, "m")! * 1000));
                }}
              >
                Cut there
              </Button>
            </>
          ) : null}
          <FaultLine big fault={fault} />
        </div>
      ) : null}
    </section>
  );
}

/** What is used of a drum, what the cut takes and what is left. */
function DrumBar({ drum, now }: { drum: DrumState; now: CutAt }) {
  const share = (x: number): string => `${Math.max(0, Math.min(100, (100 * x) / drum.length))}%`;
  const m = (x: number): string => (x / 1000).toFixed(1);
  const left = now.after;
  return (
    <div
      role="img"
      aria-label={`${drum.label}: ${m(drum.used)} m used, ${m(now.length)} m now, ${m(left)} m left of ${m(drum.length)}`}
    >
      <div className="num flex justify-between text-[13px]">
        <span>used {m(drum.used)}</span>
        <span>now {m(now.length)}</span>
        <span>
          left {m(left)} of {m(drum.length)}
        </span>
      </div>
      <div className="flex h-7 border border-line">
        <span className="bg-soft/60" style={{ width: share(drum.used) }} />
        <span className="bg-accent" style={{ width: share(now.length) }} />
      </div>
    </div>
  );
}
