"use client";
import { Download, FileUp, ImageUp } from "lucide-react";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { type DxfPlan, outlinesFrom, readDxf } from "../../../core/formats/dxf-in";
import { mm } from "../../../core/base/figures";
import { traceSchema } from "../../../core/job/model";
import { addRooms, newId, say } from "../../job/edits";
import { sendPicture } from "../../job/pictures";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { Sheet } from "../../kit/dialog";
import { DialogFoot } from "../../kit/dialog-foot";
import { CheckField, NumberField } from "../../kit/field";
import { OutlineDrawing, startFacts } from "./new-room";

const link =
  "inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond text-[14px] font-semibold hover:border-ink";

/** Drawings in: a DXF plan by layers, an image to trace over. Drawings out: plan and unrolled rooms, points. */
export function Drawings({ storey }: { storey: string }) {
  const job = useDesk((s) => s.job);
  const room = useDesk((s) => s.room);
  const dxf = useRef<HTMLInputElement>(null);
  const image = useRef<HTMLInputElement>(null);
  const [plan, setPlan] = useState<{ name: string; plan: DxfPlan } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const takeDxf = async (f: File): Promise<void> => {
    const read = readDxf(await f.text());
    if ("refusals" in read)
      return setFault(`${f.name} was not taken: ${read.refusals[0]!.message}. Nothing has changed.`);
    setFault(null);
    setPlan({ name: f.name, plan: read.plan });
  };
  const takeImage = async (f: File): Promise<void> => {
    const sent = await sendPicture(job.id, f);
    if ("message" in sent) return setFault(`${f.name} was not taken: ${sent.message}. Nothing has changed.`);
    setFault(null);
    const id = newId("tr");
    // Until a known length is given, it is laid ten metres wide.
    const refused = edit([
      change(
        "traces",
        id,
        traceSchema.parse({
          id,
          storey,
          picture: sent.id,
          name: f.name.slice(0, 80),
          x: 0,
          y: 0,
          scale: 10_000 / sent.width,
          width: sent.width,
          height: sent.height,
        }),
      ),
    ]);
    if (refused) return setFault(refused);
    useDesk.setState({ view: "plan" });
    toast("The drawing lies under the plan. Give it a known length next.");
  };
  const traces = job.traces.filter((t) => t.storey === storey);
  return (
    <section aria-label="Drawings" className="grid gap-1.5">
      <h2 className="text-lg">Drawings</h2>
      <input
        ref={dxf}
        type="file"
        accept=".dxf"
        className="hidden"
        data-dxf
        onChange={(e) => {
          const f = e.target.files?.[0];
          e.target.value = "";
          if (f) void takeDxf(f);
        }}
      />
      <input
        ref={image}
        type="file"
        accept="image/png,image/jpeg,image/webp"
        className="hidden"
        data-trace
        onChange={(e) => {
          const f = e.target.files?.[0];
          e.target.value = "";
          if (f) void takeImage(f);
        }}
      />
      <div className="flex flex-wrap gap-1">
        <Button icon={<FileUp size={14} />} onClick={() => dxf.current?.click()}>
          Rooms from a DXF
        </Button>
        <Button icon={<ImageUp size={14} />} onClick={() => image.current?.click()}>
          Image to trace
        </Button>
      </div>
      {fault ? (
        <p role="alert" className="text-[13.5px] font-medium text-stop" data-drawing-fault>
          {fault}
        </p>
      ) : null}
      {traces.map((t) => {
        const put = (next: Partial<typeof t>): string | null => edit([change("traces", t.id, { ...t, ...next })]);
        return (
          <details key={t.id} className="border border-line px-2 py-1">
            <summary className="cursor-pointer truncate text-[13.5px]">{t.name}</summary>
            <div className="grid gap-1 pt-1">
              <CheckField label="Shown under the plan" value={t.shown} onCommit={(shown) => say(put({ shown }))} />
              <Button
                onClick={() => {
                  useDesk.setState({ view: "plan", tool: { kind: "scale", trace: t.id, a: null, b: null } });
                  toast("Press two places on the drawing whose distance you know.");
                }}
              >
                Give it a known length
              </Button>
              <NumberField label="West edge" value={t.x} onCommit={(x) => put({ x })} />
              <NumberField label="North edge" value={t.y} onCommit={(y) => put({ y })} />
              <NumberField
                label="Width in the house"
                value={t.width * t.scale}
                min={100}
                max={1000 * t.width}
                onCommit={(w) => put({ scale: w / t.width })}
              />
              <Button look="quiet" onClick={() => say(edit([change("traces", t.id, null)]))}>
                Remove the drawing
              </Button>
            </div>
          </details>
        );
      })}
      <div>
        <Button
          onClick={() => useDesk.setState({ view: "plan", tool: { kind: "outline", corners: [] }, selection: null })}
        >
          Draw a room on the plan
        </Button>
      </div>
      <h3 className="mt-1">Out</h3>
      <div className="flex flex-wrap gap-1">
        {(["svg", "dxf"] as const).map((f) => (
          <a key={f} className={link} href={`/api/jobs/${job.id}/plan.${f}?storey=${storey}`} download>
            <Download size={14} aria-hidden /> Plan {f.toUpperCase()}
          </a>
        ))}
        {room
          ? (["svg", "dxf"] as const).map((f) => (
              <a key={f} className={link} href={`/api/jobs/${job.id}/unrolled.${f}?room=${room}`} download>
                <Download size={14} aria-hidden /> Unrolled {f.toUpperCase()}
              </a>
            ))
          : null}
        <a className={link} href={`/api/jobs/${job.id}/points.csv`} download>
          <Download size={14} aria-hidden /> Points CSV
        </a>
        <a className={link} href={`/api/jobs/${job.id}/file`} download>
          <Download size={14} aria-hidden /> Job file
        </a>
      </div>
      <Sheet
        open={plan !== null}
        onOpenChange={(o) => !o && setPlan(null)}
        wide
        title={`Rooms from ${plan?.name ?? ""}`}
        about="Pick the layers on which the rooms' inside outlines are drawn, and say what one unit of the drawing is."
      >
        {plan ? <PickLayers plan={plan.plan} onDone={() => setPlan(null)} /> : null}
      </Sheet>
    </section>
  );
}

function PickLayers({ plan, onDone }: { plan: DxfPlan; onDone: () => void }) {
  const [picked, setPicked] = useState<string[]>(() =>
    plan.layers.filter((l) => /room|wall/i.test(l.name)).map((l) => l.name),
  );
  const [scale, setScale] = useState(plan.unit ?? 1);
  const [fault, setFault] = useState<string | null>(null);
  const made = outlinesFrom(plan, picked, scale);
  const outlines = "outlines" in made ? made.outlines : [];
  const all = outlines.flat();
  const add = (): void => {
    if ("refusals" in made)
      return setFault(
        `${made.refusals[0]!.path[0]!.toUpperCase()}${made.refusals[0]!.path.slice(1)} ${made.refusals[0]!.message}.`,
      );
    const facts = startFacts();
    const n = useDesk.getState().job.rooms.length;
    const refused = addRooms(made.outlines.map((outline, i) => ({ ...facts, name: `Room ${n + i + 1}`, outline })));
    if (refused) return setFault(refused);
    useDesk.setState({ view: "plan" });
    onDone();
  };
  return (
    <div className="grid gap-3 md:grid-cols-2">
      <div className="grid content-start gap-1.5">
        <fieldset className="border border-line p-2">
          <legend className="px-1 text-[13px] text-soft">Layers</legend>
          {plan.layers.map((l) => (
            <CheckField
              key={l.name}
              label={`${l.name}: ${l.closed.length} closed, ${l.open.length} open`}
              value={picked.includes(l.name)}
              onCommit={(on) => setPicked(on ? [...picked, l.name] : picked.filter((x) => x !== l.name))}
            />
          ))}
        </fieldset>
        <p className="text-[13px] text-soft">The file says its unit is: {plan.unitName}.</p>
        <NumberField
          label="One unit is"
          name="unit scale"
          value={scale}
          min={0.001}
          max={100000}
          step={1}
          onCommit={setScale}
        />
        {plan.left.length ? <p className="text-[13px] text-soft">Left out: {plan.left.join(", ")}.</p> : null}
      </div>
      <div className="grid content-start gap-1.5">
        {outlines.length ? (
          <svg
            role="img"
            aria-label={`${outlines.length} outlines`}
            viewBox={`-200 ${-Math.max(...all.map((p) => p.y)) - 200} ${Math.max(...all.map((p) => p.x)) + 400} ${Math.max(...all.map((p) => p.y)) + 400}`}
            className="block h-64 w-full border border-line bg-field"
          >
            {outlines.map((o, i) => (
              <polygon
                key={i}
                points={o.map((p) => `${p.x},${-p.y}`).join(" ")}
                fill="var(--plaster)"
                stroke="var(--ink)"
                vectorEffect="non-scaling-stroke"
                strokeWidth={1.5}
              />
            ))}
          </svg>
        ) : (
          <OutlineDrawing path={[{ x: 0, y: 0 }]} closed={false} lengths={[]} label="Nothing found yet" />
        )}
        <p aria-live="polite" className="text-[13.5px]" data-outlines>
          {outlines.length
            ? `${outlines.length} ${outlines.length === 1 ? "room" : "rooms"}, ${mm(Math.max(...all.map((p) => p.x)))} × ${mm(Math.max(...all.map((p) => p.y)))} mm in all.`
            : "refusals" in made
              ? `${made.refusals[0]!.path} ${made.refusals[0]!.message}.`
              : ""}
        </p>
        <DialogFoot fault={fault} onLeave={onDone} onDo={add}>
          Add the rooms
        </DialogFoot>
      </div>
    </div>
  );
}
