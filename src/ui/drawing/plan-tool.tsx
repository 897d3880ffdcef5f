"use client";
import { useState } from "react";
import type { XY } from "../../core/base/polygon";
import { selfCrossing, signedArea } from "../../core/base/polygon";
import { mm } from "../../core/base/figures";
import { words } from "../kit/number-words";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { RectangleRoom } from "../stages/survey/rectangle-room";

/** Corner for a press while an outline is drawn: on the grid, and square to the last side where it is nearly so. */
export function nextCorner(corners: readonly XY[], p: XY, free: boolean): XY {
  const last = corners[corners.length - 1];
  if (free) return { x: Math.round(p.x), y: Math.round(p.y) };
  const r = (x: number): number => Math.round(x / 10) * 10;
  if (!last) return { x: r(p.x), y: r(p.y) };
  const [dx, dy] = [p.x - last.x, p.y - last.y];
  if (Math.abs(dy) < Math.abs(dx) * 0.12) return { x: r(p.x), y: last.y };
  if (Math.abs(dx) < Math.abs(dy) * 0.12) return { x: last.x, y: r(p.y) };
  return { x: r(p.x), y: r(p.y) };
}

/** Shapes of the tool in hand, under the pointer. */
export function ToolShapes({ px, hover }: { px: (n: number) => number; hover: XY | null }) {
  const tool = useDesk((s) => s.tool);
  if (!tool) return null;
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

/** What the tool in hand asks: the next length, the end of the outline, the known distance. */
export function ToolBar() {
  const tool = useDesk((s) => s.tool);
  const traces = useDesk((s) => s.job.traces);
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [done, setDone] = useState<XY[] | null>(null);
  const drop = (): void => useDesk.setState({ tool: null });
  if (!tool && !done) return null;
  const bar =
    "absolute top-2 left-2 z-10 flex max-w-[calc(100%-1rem)] flex-wrap items-center gap-2 border border-ink bg-panel px-2 py-1.5 text-[13.5px]";
  if (tool?.kind === "scale") {
    const { a, b } = tool;
    const measured = a && b ? Math.hypot(a.x - b.x, a.y - b.y) : null;
    const put = (): void => {
      const n = words.parse(text, "mm");
      const bad = words.fault("The known length", text, 50, 100_000, "mm");
      const t = traces.find((x) => x.id === tool.trace);
      if (bad || n === null || !t || !a || !measured) return setFault(bad);
      const k = n / measured;
      // The first place pressed stays where it is.
      const refused = edit([
        change("traces", t.id, { ...t, scale: t.scale * k, x: a.x - (a.x - t.x) * k, y: a.y + (t.y - a.y) * k }),
      ]);
      if (refused) return setFault(refused);
      setText("");
      setFault(null);
      drop();
    };
    return (
      <div className={bar}>
        {measured === null ? (
          <span>{a ? "Press the second place." : "Press the first of two places whose distance you know."}</span>
        ) : (
          <>
            <label className="flex items-center gap-1.5">
              These two are
              <input
                autoFocus
                data-field="known length"
                inputMode="decimal"
                className="num min-h-8 w-24 border border-line bg-field px-1.5 text-right"
                value={text}
                placeholder={mm(Math.round(measured))}
                onChange={(e) => setText(e.target.value)}
                onKeyDown={(e) => e.key === "Enter" && put()}
              />
              mm apart
            </label>
            <Button look="solid" onClick={put}>
              Set the scale
            </Button>
          </>
        )}
        <ToolEnd onDrop={drop} fault={fault} />
      </div>
    );
  }
  const corners = tool?.kind === "outline" ? tool.corners : [];
  const finish = (): void => {
    if (corners.length < 3) return setFault(`The outline has ${corners.length} corners; a room has at least 3.`);
    const x = selfCrossing(corners);
    if (x) return setFault(`Side ${x[0] + 1} crosses side ${x[1] + 1}.`);
    setFault(null);
    setDone(signedArea(corners) > 0 ? [...corners].reverse() : [...corners]);
    drop();
  };
  const exact = (): void => {
    const [last, before] = [corners[corners.length - 1], corners[corners.length - 2]];
    const n = words.parse(text, "mm");
    const bad = words.fault("The length of the last side", text, 10, 50_000, "mm");
    if (bad || n === null || !last || !before) return setFault(bad ?? "Draw a side first, then type its length.");
    const long = Math.hypot(last.x - before.x, last.y - before.y) || 1;
    const to = {
      x: Math.round((before.x + ((last.x - before.x) * n) / long) * 10) / 10,
      y: Math.round((before.y + ((last.y - before.y) * n) / long) * 10) / 10,
    };
    setFault(null);
    setText("");
    useDesk.setState({ tool: { kind: "outline", corners: [...corners.slice(0, -1), to] } });
  };
  return (
    <>
      {tool ? (
        <div className={bar} data-outline-tool={corners.length}>
          <span>Press the corners in turn: {corners.length} so far.</span>
          {corners.length > 1 ? (
            <label className="flex items-center gap-1.5">
              Last side is
              <input
                data-field="last side"
                inputMode="decimal"
                className="num min-h-8 w-20 border border-line bg-field px-1.5 text-right"
                value={text}
                onChange={(e) => setText(e.target.value)}
                onKeyDown={(e) => e.key === "Enter" && exact()}
              />
              mm
            </label>
          ) : null}
          <Button
            disabled={!corners.length}
            onClick={() => useDesk.setState({ tool: { kind: "outline", corners: corners.slice(0, -1) } })}
          >
            Back one
          </Button>
          <Button look="solid" disabled={corners.length < 3} onClick={finish}>
            Close the outline
          </Button>
          <ToolEnd onDrop={drop} fault={fault} />
        </div>
      ) : null}
      <RectangleRoom open={done !== null} outline={done} onClose={() => setDone(null)} />
    </>
  );
}

/** The way out of a tool, and what is wrong with what it was told. */
function ToolEnd({ onDrop, fault }: { onDrop: () => void; fault: string | null }) {
  return (
    <>
      <Button look="quiet" onClick={onDrop}>
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
