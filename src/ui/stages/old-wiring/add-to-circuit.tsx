"use client";
import Link from "next/link";
import { type ReactNode, useState } from "react";
import { toast } from "sonner";
import { figure, mm, toCut } from "../../../core/base/figures";
import { wallLightFrom } from "../../../core/house/wall-light";
import { pointLabels } from "../../../core/job/labels";
import { type Extension, jointPlaces } from "../../../core/job/model";
import { type ExtensionFigures, usualExtension } from "../../../core/trades/retrofit/extension";
import { layNewWay } from "../../../core/trades/retrofit/lay-way";
import { boardsToLift, wayOffers } from "../../../core/trades/retrofit/new-ways";
import { foundShapeWords } from "../../../core/words/circuits";
import {
  jointPlaceNames,
  liftedWords,
  messWords,
  newWayNames,
  newWayRisks,
  noWayWords,
} from "../../../core/words/retrofit";
import { newId, say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { CheckField, NumberField, SelectField } from "../../kit/field";
import { simulatedMeter } from "../../../instruments/simulated-meter";
import { AsLaid } from "../as-laid";
import { BeforeAfter, FixingsMiss, SkirtingHeight, WhichCable } from "./circuit-facts";
import { link, useNames } from "../sheets/frame";
import { Table } from "../table";

/** A step of the guide with its number. */
function Step({ n, title, done, children }: { n: number; title: string; done: boolean; children: ReactNode }) {
  return (
    <section aria-label={title} className="grid gap-1.5 border-t border-line py-3" data-step-of-guide={n}>
      <h3 className="flex items-baseline gap-2 text-lg">
        <span
          className={`num inline-flex size-6 shrink-0 items-center justify-center border text-[13px] ${done ? "border-good text-good" : "border-line text-soft"}`}
        >
          {n}
        </span>
        {title}
        {done ? <span className="text-[13px] text-good">done</span> : null}
      </h3>
      <div className="grid gap-1.5 pl-8">{children}</div>
    </section>
  );
}

/** One old circuit, added to step by step. */
export function AddToCircuit({ f }: { f: ExtensionFigures }) {
  const { job, house, plan } = useNames();
  const stored = useDesk((s) => s.job.extensions.find((x) => x.circuit === f.circuit.id));
  const x = stored ?? { ...usualExtension(f.circuit.id, f.extension.id), id: f.extension.id };
  const label = pointLabels(job);
  const put = (next: Partial<Extension>): string | null => edit([change("extensions", x.id, { ...x, ...next })]);
  const offers = plan ? wayOffers(house, f.runs, plan.holes, plan.found) : [];
  const ring = f.circuit.kind === "ring";
  const legs = job.foundCables.filter(
    (k) => k.fate === "keep" && k.to !== null && [k.from, k.to].every((id) => job.points.some((p) => p.id === id)),
  );
  const takeWay = (way: Extension["way"]): string | null => edit(layNewWay(house, x, way, f.runs));
  const takeBoxes = (boxes: Extension["boxes"]): string | null =>
    edit([
      change("extensions", x.id, { ...x, boxes }),
      ...f.added.flatMap((id) => {
        const p = job.points.find((q) => q.id === id);
        const mount = boxes === "surface" ? ("surface" as const) : ("flush" as const);
        return p && p.mount !== mount ? [change("points", id, { ...p, mount })] : [];
      }),
    ]);
  const bought = plan?.takeoff.filter((t) => t.circuit === f.circuit.id) ?? [];
  return (
    <div data-extension={f.circuit.id}>
      <Step n={1} title="Make it dead" done={false}>
        <p className="max-w-[70ch] text-[14px]">
          Isolate {f.circuit.label} and lock it off. Prove the tester, prove dead between all conductors, prove the
          tester again. Old colours and sheath prove nothing.
        </p>
        <div className="flex flex-wrap gap-1.5">
          <Link className={link} href="/steps?kind=break-in">
            Guided: break into it
          </Link>
          <Link className={link} href="/steps?kind=mend-old">
            Old cable too short or damaged
          </Link>
        </div>
      </Step>
      <Step n={2} title="Find out what it is" done={x.shape !== "unknown"}>
        <p className="max-w-[70ch] text-[14px]">{foundShapeWords(f.shape, label)}</p>
        <div className="max-w-sm">
          <SelectField
            label="It reads as"
            name="shape"
            value={x.shape}
            options={[
              { value: "unknown", name: "not read yet" },
              { value: "ring", name: "a ring: leg to leg reads through" },
              { value: "radial", name: "a radial: leg to leg is open" },
            ]}
            onCommit={(shape) => put({ shape })}
          />
        </div>
        <ReadShape f={f} put={(shape) => say(put({ shape }))} />
      </Step>
      <Step n={3} title="What is added" done={f.added.length > 0}>
        <p className="text-[14px]">
          {f.added.length
            ? `New on it: ${f.added.map(label).join(", ")}.`
            : "Nothing yet: add points in Points and put them on this circuit."}
        </p>
        <Added f={f} />
        <div className="max-w-sm">
          <SelectField
            label="Boxes"
            value={x.boxes}
            options={[
              { value: "surface", name: "on the wall: no mess" },
              { value: "chased", name: "let in: nothing to be seen" },
            ]}
            onCommit={takeBoxes}
          />
        </div>
        <SkirtingHeight f={f} />
        <p className="max-w-[70ch] text-[13px] text-soft">
          In an old house a box may sit at the height of the skirting’s top: new-dwelling heights bind new dwellings.
          Into soft plaster the screw goes on into what holds.{" "}
          <Link className="underline" href="/steps?kind=soft-plaster">
            Guided: soft or hollow plaster
          </Link>
        </p>
      </Step>
      <Step
        n={4}
        title={ring ? "The leg that is broken, and the two joints" : "Where it goes on from"}
        done={f.joints.length > 0}
      >
        {ring ? (
          <div className="max-w-sm">
            <SelectField
              label="Break the leg"
              name="broken"
              value={x.broken ? `${x.broken.from} ${x.broken.to}` : ""}
              options={[
                {
                  value: "",
                  name: f.broken
                    ? `that of least cable: ${label(f.broken.from)}–${label(f.broken.to)}`
                    : "that of least cable",
                },
                ...legs.map((k) => ({ value: `${k.from} ${k.to}`, name: `${label(k.from)}–${label(k.to!)}` })),
              ]}
              onCommit={(v) => {
                const [from, to] = v.split(" ");
                return put({ broken: from && to ? { from, to } : null });
              }}
            />
          </div>
        ) : null}
        {f.joints.length ? null : (
          <p className="text-[14px] text-soft">Nothing is joined until a new point is laid to.</p>
        )}
        {f.joints.map((j) => {
          const set = (next: Partial<Extension["joints"][number]>): string | null =>
            put({
              joints: [
                ...x.joints.filter((y) => y.point !== j.point),
                { point: j.point, where: j.where, hatch: j.hatch, ...next },
              ].slice(-2),
            });
          return (
            <div key={j.point} className="grid max-w-xl gap-1 border border-line p-2" data-joint={j.point}>
              <p className="font-semibold">At {label(j.point)}</p>
              <SelectField
                label="Joined"
                name={`joint ${j.point}`}
                value={j.where}
                options={jointPlaces.map((w) => ({ value: w, name: jointPlaceNames[w] }))}
                onCommit={(where) => set({ where })}
              />
              <WhichCable f={f} point={j.point} />
              {j.where === "under-floor" ? (
                <CheckField
                  label="under a hatch that lifts; else maintenance-free, closed"
                  value={j.hatch}
                  onCommit={(hatch) => say(set({ hatch }))}
                />
              ) : null}
              <Table
                label={`Cores at ${label(j.point)}`}
                rows={j.cores}
                keyOf={(c) => c.carries}
                empty=""
                columns={[
                  { name: "Carries", cell: (c) => c.carries },
                  { name: "Old", cell: (c) => c.old },
                  { name: "New", cell: (c) => c.new },
                ]}
              />
            </div>
          );
        })}
      </Step>
      <Step n={5} title="How the new cable goes" done={stored !== undefined}>
        <Table
          label="Ways of the new cable"
          rows={offers}
          keyOf={(o) => o.way}
          empty="Nothing is laid yet."
          columns={[
            {
              name: "Way",
              cell: (o) => (
                <label className="flex min-h-7 items-center gap-2">
                  <input
                    type="radio"
                    name="new-way"
                    className="size-4 shrink-0 accent-(--accent)"
                    value={o.way}
                    checked={x.way === o.way}
                    disabled={o.no !== null}
                    onChange={() => say(takeWay(o.way))}
                  />
                  <span className={o.no ? "text-soft" : "font-semibold"}>{newWayNames[o.way]}</span>
                </label>
              ),
            },
            { name: "Cable, m", num: true, cell: (o) => (o.no ? "–" : figure(o.length / 1000, 1)) },
            { name: "Minutes", num: true, cell: (o) => (o.no ? "–" : Math.round(o.minutes)) },
            { name: "Mess", cell: (o) => (o.no ? `no: ${noWayWords(o.no)}` : messWords(o)) },
            { name: "Mind", cell: (o) => newWayRisks[o.way] },
          ]}
        />
        <div className="grid max-w-sm gap-1">
          <NumberField
            label="Left under the floor"
            value={x.spare}
            min={0}
            max={3000}
            onCommit={(spare) => put({ spare })}
          />
          <CheckField
            label="two legs with one pull of the doubled cable"
            value={x.doubled}
            onCommit={(doubled) => say(put({ doubled }))}
          />
        </div>
        {x.way === "under-boards"
          ? boardsToLift(house, f.runs).map((l) => (
              <p key={l.run} className="text-[14px]" data-lifted={l.run}>
                {liftedWords(l, label)}
              </p>
            ))
          : null}
        <p className="max-w-[70ch] text-[13px] text-soft">
          A drop that is to be drawn out again goes in oval tube: choose it in Containment, under plaster. At the board{" "}
          {mm(job.settings.boardTail)} is left for the next one, as the settings have it.
        </p>
        {x.way === "skirting" ? <FixingsMiss f={f} /> : null}
        {f.doubled.map((d) => (
          <p key={d.at} className="text-[14px]" data-doubled={d.at}>
            To {label(d.at)}: one length of {toCut(d.length)}, folded and cut at {mm(Math.round(d.cut))} from its first
            end.
          </p>
        ))}
        {x.doubled && !f.doubled.length ? (
          <p className="text-[13px] text-soft">No new point has two new cables: nothing is doubled.</p>
        ) : null}
        <div className="flex flex-wrap gap-1.5">
          <Link
            className={link}
            href={`/steps?kind=under-boards&length=${Math.round(f.runs[0]?.cutLength ?? 4000)}&spare=${x.spare}`}
          >
            Guided: rod under the boards
          </Link>
          <Link className={link} href={`/steps?kind=old-draws&length=${Math.round(f.runs[0]?.cutLength ?? 4000)}`}>
            Guided: draw with the old cable
          </Link>
        </div>
      </Step>
      <Step n={6} title="The whole circuit, old part included" done={false}>
        <div className="max-w-xl">
          <BeforeAfter f={f} />
          <AsLaid circuit={f.circuit.id} />
        </div>
        <p className="max-w-[70ch] text-[13px] text-soft">
          Old cable counts where it was traced or is taken to run, by the cable made out or that of the circuit. What is
          wrong stands at the right.
        </p>
      </Step>
      <Step n={7} title="To buy and to do" done={false}>
        <Table
          label="To buy for it"
          rows={bought}
          keyOf={(t) => `${t.item} ${t.size}`}
          empty="Nothing to buy yet."
          columns={[
            { name: "Item", cell: (t) => t.item },
            { name: "Size", cell: (t) => t.size },
            { name: "Quantity", num: true, cell: (t) => `${figure(t.quantity, 1)} ${t.unit === "m" ? "m" : ""}` },
          ]}
        />
        <div>
          <Link className={link} href={`/jobs/${job.id}/site`}>
            On site: isolate first
          </Link>
        </div>
      </Step>
    </div>
  );
}

/** The reading that tells a ring from a radial, taken with the simulated meter. */
function ReadShape({ f, put }: { f: ExtensionFigures; put: (shape: "ring" | "radial") => void }) {
  const [said, setSaid] = useState<string | null>(null);
  const seed = useDesk((s) => s.version);
  const read = async (): Promise<void> => {
    if (f.shape.shape !== "ring" && f.shape.shape !== "radial")
      return setSaid("The simulated meter has nothing to read: trace the cables of this circuit first.");
    if (f.shape.shape === "radial")
      setSaid("Simulated: line, neutral and earth over range from leg to leg: it is a radial.");
    else {
      const told = f.endToEnd ? await simulatedMeter(seed).readRing(f.endToEnd) : null;
      setSaid(
        told
          ? `Simulated: line ${figure(told.r1)} Ω, neutral ${figure(told.rn)} Ω, earth ${figure(told.r2)} Ω from leg to leg: it is a ring.`
          : "Simulated: all three read through from leg to leg: it is a ring.",
      );
    }
    put(f.shape.shape);
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button onClick={() => void read()}>Take from the simulated meter</Button>
      {said ? (
        <p className="text-[13.5px]" role="status" data-shape-read>
          {said}
        </p>
      ) : null}
    </div>
  );
}

/** A wall light from a socket of this circuit, put in with one press. */
function Added({ f }: { f: ExtensionFigures }) {
  const job = useDesk((s) => s.job);
  const sockets = [...f.circuit.points].flatMap(
    (id) => job.points.find((p) => p.id === id && p.kind === "socket") ?? [],
  );
  const add = (socket: string): string | null => {
    if (!socket) return null;
    const made = wallLightFrom(useDesk.getState().house, socket, newId);
    if (typeof made === "string") return made;
    const refused = edit(made.changes);
    if (!refused)
      toast("A wall light behind a fused unit is in", {
        description:
          "Double pole at the unit, labelled at the unit, the light and the board: who changes the light isolates there.",
      });
    return refused;
  };
  return (
    <div className="max-w-sm">
      <SelectField
        label="Wall light from a socket"
        name="wall light from"
        value=""
        options={[{ value: "", name: "choose the socket" }, ...sockets.map((p) => ({ value: p.id, name: p.label }))]}
        onCommit={add}
      />
    </div>
  );
}
