"use client";
import { useState } from "react";
import type { XY } from "../../core/base/polygon";
import { mm } from "../../core/base/figures";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { type ScaleTool, measuredBy, scaleTrace } from "./tools/known-length";
import { type OutlineTool, closeOutline, lastSide, nextCorner } from "./tools/outline";
import { DeckSectionBar, DeckSectionDraft } from "./deck-section-tool";
import { RectangleRoom } from "../stages/survey/rectangle-room";

/** Shapes of the tool in hand, under the pointer. */
export function ToolShapes({ px, hover }: { px: (n: number) => number; hover: XY | null }) {
  const tool = useDesk((s) => s.tool);
  if (!tool || tool.kind === "section") return null;
  if (tool.kind === "deck-section") return <DeckSectionDraft tool={tool} hover={hover} px={px} />;
  const points = tool.kind === "outline" ? tool.corners : [tool.a, tool.b].filter((p): p is XY => p !== null);
  const next = hover && (tool.kind === "outline" ? nextCorner(points, hover, false) : points.length < 2 ? hover : null);
  const all = next ? [...points, next] : points;
  const last = all[all.length - 1];
  const before = all[all.length - 2];
  return (
    <g pointerEvents="none">
      <polyline
        points={all.map((p) => `${p.x},${-p.y}`).join(" ")}
        fill="none"
        stroke="var(--accent)"
        strokeWidth={px(2.5)}
        strokeDasharray={tool.kind === "scale" ? `${px(6)} ${px(4)}` : undefined}
      />
      {points.map((p, i) => (
        <circle key={i} cx={p.x} cy={-p.y} r={px(5)} fill="var(--plate)" stroke="var(--accent)" strokeWidth={px(2)} />
      ))}
      {last && before && next ? (
        <text x={last.x + px(10)} y={-last.y - px(8)} fontSize={px(13)} fontFamily="var(--font-mono)" fill="var(--ink)">
          {mm(Math.hypot(last.x - before.x, last.y - before.y))}
        </text>
      ) : null}
    </g>
  );
}

const bar =
  "absolute top-2 left-2 z-10 flex max-w-[calc(100%-1rem)] flex-wrap items-center gap-2 border border-ink bg-panel px-2 py-1.5 text-[13.5px]";
const drop = (): void => useDesk.setState({ tool: null });

/** What the tool in hand asks: the next length, the end of the outline, the known distance. */
export function ToolBar({ fault, say }: { fault: string | null; say: (fault: string | null) => void }) {
  const tool = useDesk((s) => s.tool);
  const [done, setDone] = useState<XY[] | null>(null);
  return (
    <>
      {tool?.kind === "scale" ? <ScaleBar tool={tool} /> : null}
      {tool?.kind === "deck-section" ? <DeckSectionBar tool={tool} fault={fault} say={say} /> : null}
      {tool?.kind === "outline" ? <OutlineBar tool={tool} onDone={setDone} /> : null}
      <RectangleRoom open={done !== null} outline={done} onClose={() => setDone(null)} />
    </>
  );
}

function ScaleBar({ tool }: { tool: ScaleTool }) {
  const traces = useDesk((s) => s.job.traces);
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const measured = measuredBy(tool);
  const put = (): void => {
    const t = traces.find((x) => x.id === tool.trace);
    if (!t) return drop();
    const next = scaleTrace(tool, t, text);
    const refused = typeof next === "string" ? next : edit([change("traces", t.id, next)]);
    if (refused) setFault(refused);
    else drop();
  };
  return (
    <div className={bar}>
      {measured === null ? (
        <span>{tool.a ? "Press the second place." : "Press the first of two places whose distance you know."}</span>
      ) : (
        <>
          <LengthField
            label="These two are"
            name="known length"
            value={text}
            hint={mm(Math.round(measured))}
            onChange={setText}
            onPut={put}
          />
          mm apart
          <Button look="solid" onClick={put}>
            Set the scale
          </Button>
        </>
      )}
      <ToolEnd fault={fault} />
    </div>
  );
}

function OutlineBar({ tool, onDone }: { tool: OutlineTool; onDone: (outline: XY[]) => void }) {
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const n = tool.corners.length;
  const take = (next: OutlineTool | string): void => {
    setFault(typeof next === "string" ? next : null);
    if (typeof next === "string") return;
    setText("");
    useDesk.setState({ tool: next });
  };
  const finish = (): void => {
    const closed = closeOutline(tool);
    if (typeof closed === "string") return setFault(closed);
    onDone(closed);
    drop();
  };
  return (
    <div className={bar} data-outline-tool={n}>
      <span>Press the corners in turn: {n} so far.</span>
      {n > 1 ? (
        <>
          <LengthField
            label="Last side is"
            name="last side"
            value={text}
            onChange={setText}
            onPut={() => take(lastSide(tool, text))}
          />
          mm
        </>
      ) : null}
      <Button disabled={!n} onClick={() => take({ ...tool, corners: tool.corners.slice(0, -1) })}>
        Back one
      </Button>
      <Button look="solid" disabled={n < 3} onClick={finish}>
        Close the outline
      </Button>
      <ToolEnd fault={fault} />
    </div>
  );
}

/** A length typed while a tool is in hand; Enter puts it. */
function LengthField({
  label,
  name,
  value,
  hint,
  onChange,
  onPut,
}: {
  label: string;
  name: string;
  value: string;
  hint?: string;
  onChange: (text: string) => void;
  onPut: () => void;
}) {
  return (
    <label className="flex items-center gap-1.5">
      {label}
      <input
        autoFocus={hint !== undefined}
        data-field={name}
        inputMode="decimal"
        className="num min-h-8 w-24 border border-line bg-field px-1.5 text-right"
        value={value}
        placeholder={hint}
        onChange={(e) => onChange(e.target.value)}
        onKeyDown={(e) => e.key === "Enter" && onPut()}
      />
    </label>
  );
}

/** The way out of a tool, and what is wrong with what it was told. */
function ToolEnd({ fault }: { fault: string | null }) {
  return (
    <>
      <Button look="quiet" onClick={drop}>
        Cancel
      </Button>
      {fault ? (
        <span role="alert" className="w-full font-medium text-stop">
          {fault}
        </span>
      ) : null}
    </>
  );
}
