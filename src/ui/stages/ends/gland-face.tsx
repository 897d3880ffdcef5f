"use client";
import { Plus, Printer, X } from "lucide-react";
import { mm } from "../../../core/base/figures";
import { drawFace } from "../../../core/drawings/face-drawings";
import type { Edge, Point } from "../../../core/job/model";
import type { GlandFace } from "../../../core/plan/gland-faces";
import { holeHowWords } from "../../../core/words/at-end";
import { type Handle, SceneView, TrueScalePrint } from "../../drawing/scene-view";
import { editPoint, say } from "../../job/edits";
import { Button } from "../../kit/button";
import { NumberField } from "../../kit/field";
import { usePrint } from "../../kit/use-print";
import { useNames } from "../sheets/frame";

/** One face of an enclosure with its glands: where each is drilled, what is there already, and its template. */
export function GlandFaceView({ face }: { face: GlandFace }) {
  const { runName } = useNames();
  const [printed, print] = usePrint();
  const { point } = face;
  const from = face.edge === "left" || face.edge === "right" ? "top" : "left";
  const holes = point.faceHoles.map((o, i) => ({ ...o, i })).filter((o) => o.edge === face.edge);
  const setHole = (i: number, set: Partial<Point["faceHoles"][number]>): string | null =>
    editPoint(point.id, (p) => ({ faceHoles: p.faceHoles.map((o, n) => (n === i ? { ...o, ...set } : o)) }));
  const place = (run: string, x: number): string | null =>
    editPoint(point.id, (p) => ({ glandAt: { ...p.glandAt, [run]: x } }));
  return (
    <section aria-label={`Gland face of ${point.label}`} className="mt-4" data-gland-face={face.edge}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h4 className="font-cond text-[16px] font-semibold">
          Gland face of {point.label}, {face.edge} · {mm(face.width)} × {mm(face.depth)}
        </h4>
        <Button className="no-print" icon={<Printer size={14} />} onClick={print}>
          Print the template, true scale
        </Button>
      </div>
      <div className={printed ? "no-print" : ""}>
        {face.holes.length ? (
          <SceneView
            scene={drawFace(face)}
            tall={240}
            handles={face.holes.flatMap((o): Handle[] =>
              o.run === null
                ? []
                : [
                    {
                      id: o.run,
                      at: [o.x, face.depth / 2],
                      radius: o.across / 2,
                      most: face.width,
                      label: `Gland of ${runName(o.run)}, from the ${from}`,
                      onMove: (x) => say(place(o.run!, x)),
                    },
                  ],
            )}
          />
        ) : null}
        {face.fits ? null : (
          <p className="text-stop">They do not fit on this face: bring some in elsewhere, or use a wider enclosure.</p>
        )}
      </div>
      {printed ? <TrueScalePrint scene={drawFace(face)} /> : null}
      <ul className="no-print mt-2 grid gap-1.5 text-[14px]">
        {face.holes.map((o, i) => (
          <li key={o.run ?? o.section ?? `spare ${i}`} className="flex flex-wrap items-end gap-2">
            {o.run === null ? (
              <span>
                {mm(Math.round(o.x * 10) / 10)} from the {from}:{" "}
                {o.gland
                  ? `a spare, Ø ${mm(o.hole)}, with its plug`
                  : `${o.name}, Ø ${mm(o.hole)}: ${holeHowWords[o.how]}. It stands where it is drawn in Containment`}
              </span>
            ) : (
              <>
                <NumberField
                  label={`${runName(o.run)}, from the ${from}`}
                  name={`gland ${o.run}`}
                  value={Math.round(o.x * 10) / 10}
                  min={0}
                  max={face.width}
                  onCommit={(x) => place(o.run!, x)}
                />
                <span className="pb-1.5">
                  gland {o.name}, Ø {mm(o.hole)}: {holeHowWords[o.how]}
                </span>
                {o.byHand ? (
                  <Button
                    look="quiet"
                    onClick={() => {
                      const without = ({ glandAt }: Point): Point["glandAt"] =>
                        Object.fromEntries(Object.entries(glandAt).filter(([run]) => run !== o.run));
                      say(editPoint(point.id, (p) => ({ glandAt: without(p) })));
                    }}
                  >
                    Where it was
                  </Button>
                ) : null}
              </>
            )}
          </li>
        ))}
      </ul>
      {point.kind === "board" || face.holes.every((o) => o.run === null) ? null : (
        <label className="no-print mt-2 flex items-center gap-2 text-[14px]">
          <input
            type="checkbox"
            checked={point.plastic}
            data-field="plastic"
            onChange={(e) => say(editPoint(point.id, () => ({ plastic: e.target.checked })))}
          />
          Enclosure of plastic: the tag carries the earth, by its own lead
        </label>
      )}
      <fieldset className="no-print mt-2 grid gap-1.5 border-t border-dotted border-line pt-2">
        <legend className="text-[13.5px] text-soft">Holes that this face has already</legend>
        {holes.map((o) => (
          <div key={o.i} className="flex flex-wrap items-end gap-2">
            <NumberField
              label={`From the ${from}`}
              name={`hole ${o.i} at`}
              value={o.at}
              min={0}
              max={face.width}
              onCommit={(at) => setHole(o.i, { at })}
            />
            <NumberField
              label="Across"
              name={`hole ${o.i} size`}
              value={o.size}
              min={5}
              max={120}
              onCommit={(size) => setHole(o.i, { size })}
            />
            <Button
              look="quiet"
              aria-label="Take this hole out"
              icon={<X size={14} />}
              onClick={() => say(editPoint(point.id, (p) => ({ faceHoles: p.faceHoles.filter((_, n) => n !== o.i) })))}
            />
          </div>
        ))}
        <Button icon={<Plus size={14} />} onClick={() => say(addHole(point, face.edge, face.width))}>
          A hole that is there
        </Button>
      </fieldset>
    </section>
  );
}

const addHole = (point: Point, edge: Edge, width: number): string | null =>
  editPoint(point.id, (p) => ({ faceHoles: [...p.faceHoles, { edge, at: Math.round(width / 2), size: 20.5 }] }));
