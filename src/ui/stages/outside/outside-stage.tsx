"use client";
import { useCallback, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { XY } from "../../../core/base/polygon";
import { drawCatenarySide, drawRowSide, drawTrenchAlong, groundNames } from "../../../core/drawings/outside-scenes";
import { drawFall, drawTrench } from "../../../core/drawings/outside-drawings";
import { groundKinds } from "../../../core/job/model";
import { RISE } from "../../../core/trades/outside/fall";
import { shallowest } from "../../../core/trades/outside/outside-facts";
import { SceneView } from "../../drawing/scene-view";
import { useDesk, useSnapshot } from "../../job/store";
import { Button } from "../../kit/button";
import { type Drawn, makeDrawn, makeUsual, nextPress, pressesOf } from "./draw";
import { OutsidePlan } from "./outside-plan";
import { useOutside } from "./use-outside";

const lines = [
  { kind: "trench", name: "Trench" },
  { kind: "catenary", name: "Wire" },
  { kind: "row", name: "Row of lights" },
  { kind: "post", name: "Post" },
] as const;

/** Out of doors: the ground, what is dug and hung across it, and lights along its paths. */
export function OutsideStage() {
  const { ways, rows } = useOutside();
  const selection = useDesk((s) => s.selection);
  const yards = useDesk((s) => s.job.rooms.some((r) => r.kind === "yard"));
  const looking = useDesk((s) => s.looking);
  const [tool, setTool] = useState<{ kind: Drawn; places: XY[] } | null>(null);
  const finish = useCallback((kind: Drawn, places: readonly XY[]): void => {
    const refused = makeDrawn(kind, places);
    if (refused) toast.error(refused);
    else setTool(null);
  }, []);
  const press = (p: XY): void => {
    if (!tool) return;
    const places = [...tool.places, p];
    setTool({ ...tool, places });
    if (places.length === pressesOf(tool.kind)) finish(tool.kind, places);
  };
  useEffect(() => {
    if (!tool) return;
    const keys = (e: KeyboardEvent): void => {
      if (e.key === "Escape") setTool(null);
      if (e.key === "Enter" && tool.places.length) finish(tool.kind, tool.places);
      if (e.key === "Backspace") setTool({ ...tool, places: tool.places.slice(0, -1) });
    };
    window.addEventListener("keydown", keys);
    return () => window.removeEventListener("keydown", keys);
  }, [tool, finish]);
  const take = (kind: Drawn) => (): void => setTool(tool?.kind === kind ? null : { kind, places: [] });
  if (!yards)
    return (
      <div className="grid flex-1 place-content-center gap-3 border border-dashed border-line p-6 text-center">
        <p className="text-lg">No yard or garden yet.</p>
        <p className="max-w-[52ch] text-soft">
          Add a room of the kind yard in Survey, with its open sides open. Then draw here what lies in it, and trenches,
          wires and lights across it.
        </p>
        <div>
          <Button look="solid" big onClick={() => useDesk.setState({ stage: "survey" })}>
            Go to Survey
          </Button>
        </div>
      </div>
    );
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-1.5" role="group" aria-label="Draw">
        {lines.map((l) => (
          <Button key={l.kind} aria-pressed={tool?.kind === l.kind} disabled={looking !== null} onClick={take(l.kind)}>
            {l.name}
          </Button>
        ))}
        <label className="flex items-center gap-1.5 text-[13px] text-soft">
          Ground
          <select
            className="min-h-8 border border-line bg-field px-1.5 text-ink"
            data-field="ground to draw"
            disabled={looking !== null}
            value={tool && (groundKinds as readonly string[]).includes(tool.kind) ? tool.kind : ""}
            onChange={(e) => setTool(e.target.value ? { kind: e.target.value as Drawn, places: [] } : null)}
          >
            <option value="">choose</option>
            {groundKinds.map((k) => (
              <option key={k} value={k}>
                {groundNames[k]}
              </option>
            ))}
          </select>
        </label>
      </div>
      <OutsidePlan
        rows={rows}
        places={tool?.places ?? null}
        onPress={press}
        bar={
          tool ? (
            <div
              className="absolute top-2 left-2 flex flex-wrap items-center gap-2 border border-line bg-panel px-2.5 py-1.5 text-[13.5px]"
              data-outside-bar
            >
              <span role="status">{nextPress(tool.kind, tool.places.length)}</span>
              {pressesOf(tool.kind) === null ? (
                <Button look="solid" disabled={tool.places.length < 2} onClick={() => finish(tool.kind, tool.places)}>
                  Done
                </Button>
              ) : null}
              <Button
                onClick={() => {
                  const refused = makeUsual(tool.kind);
                  if (refused) toast.error(refused);
                  else setTool(null);
                }}
              >
                Put one in and type it
              </Button>
              <Button look="quiet" onClick={() => setTool(null)}>
                Cancel
              </Button>
            </div>
          ) : null
        }
      />
      <Side ways={ways} rows={rows} id={selection?.kind === "outside" ? selection.id : null} />
    </>
  );
}

/** The picked way or row from the side, to scale; the first there is where none is picked. */
function Side({ ways, rows, id }: ReturnType<typeof useOutside> & { id: string | null }) {
  const way = ways.find((w) => w.laid.way.id === id) ?? (rows.some((r) => r.row.id === id) ? undefined : ways[0]);
  const row = way ? undefined : (rows.find((r) => r.row.id === id) ?? rows[0]);
  const scene = useMemo(
    () =>
      way
        ? way.laid.way.kind === "trench"
          ? drawTrenchAlong(way.laid)
          : drawCatenarySide(way.laid, way.spans)
        : row
          ? drawRowSide(row)
          : null,
    [way, row],
  );
  const cross = useMemo(() => {
    if (!way || way.laid.way.kind !== "trench") return null;
    const least = shallowest(way.laid);
    const { bed, marker } = way.laid.way;
    const duct = way.laid.trench.find((s) => least.at >= s.from && least.at <= s.to)?.duct ?? null;
    return drawTrench({
      depth: Math.round(least.depth),
      armoured: true,
      duct: duct !== null,
      bedding: bed || false,
      marker: marker || false,
    });
  }, [way]);
  const { house } = useSnapshot();
  const fall = useMemo(() => {
    const thick = way ? Math.max(...way.laid.faces.map((n) => house.faces[n]?.shape.thickness ?? 0)) : 0;
    return thick > 0 ? drawFall(Math.round(thick), RISE) : null;
  }, [way, house]);
  if (!scene)
    return (
      <p className="border border-line bg-panel p-3 text-soft">
        Draw a trench, a wire or a row of lights: its section stands here to scale, with what passes over or beneath it.
      </p>
    );
  return (
    <div
      className="grid min-h-0 flex-[2] grid-cols-[minmax(0,1fr)] gap-2 overflow-auto lg:grid-cols-[minmax(0,1fr)_auto]"
      data-outside-side
      role="group"
      aria-label="From the side"
      tabIndex={0}
    >
      <SceneView scene={scene} tall={250} />
      {cross || fall ? (
        <div className="grid content-start gap-2 lg:w-72">
          {cross ? <SceneView scene={cross} tall={250} beside={72} /> : null}
          {fall ? <SceneView scene={fall} tall={180} beside={72} /> : null}
        </div>
      ) : null}
    </div>
  );
}
