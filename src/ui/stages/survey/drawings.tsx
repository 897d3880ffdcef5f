"use client";
import { Download, FileUp, ImageUp } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { toast } from "sonner";
import type { DxfPlan } from "../../../core/formats/dxf-in";
import { traceSchema } from "../../../core/job/model";
import { newId, say } from "../../job/edits";
import { sendPicture } from "../../job/pictures";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { CheckField, NumberField } from "../../kit/field";
import { FileButton } from "../../kit/file-button";
import { readDrawing } from "./read-drawing";
import { Thing } from "../../kit/thing";

const RoomsFromDxf = dynamic(() => import("./dxf-rooms").then((m) => m.RoomsFromDxf));

const link =
  "inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond text-[14px] font-semibold hover:border-ink";

/** Drawings in: a DXF plan by layers, an image to trace over. Drawings out: plan and unrolled rooms, points. */
export function Drawings({ storey }: { storey: string }) {
  const job = useDesk((s) => s.job);
  const room = useDesk((s) => s.room);
  const [plan, setPlan] = useState<{ name: string; plan: DxfPlan } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const takeDxf = async (f: File): Promise<void> => {
    const read = await readDrawing(await f.text());
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
      <div className="flex flex-wrap gap-1">
        <FileButton mark="dxf" accept=".dxf" icon={<FileUp size={14} />} onFile={(f) => void takeDxf(f)}>
          Rooms from a DXF
        </FileButton>
        <FileButton
          mark="trace"
          accept="image/png,image/jpeg,image/webp"
          icon={<ImageUp size={14} />}
          onFile={(f) => void takeImage(f)}
        >
          Image to trace
        </FileButton>
      </div>
      <FaultLine fault={fault} mark="drawing" />
      {traces.map((t) => {
        const put = (next: Partial<typeof t>): string | null => edit([change("traces", t.id, { ...t, ...next })]);
        return (
          <Thing key={t.id} summary={t.name} onRemove={() => say(edit([change("traces", t.id, null)]))}>
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
          </Thing>
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
      {plan ? <RoomsFromDxf name={plan.name} plan={plan.plan} onDone={() => setPlan(null)} /> : null}
    </section>
  );
}
