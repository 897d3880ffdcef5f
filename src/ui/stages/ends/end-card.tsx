"use client";
import { mm } from "../../../core/base/figures";
import { drawBox, drawBoxDepth } from "../../../core/drawings/box-drawing";
import { drawStrip } from "../../../core/drawings/end-drawings";
import type { Job } from "../../../core/job/model";
import type { EndCable, EndFigures } from "../../../core/plan/end-figures";
import { cableName, entryWords } from "../../../core/words/at-end";
import { PUSH_BACK } from "../../../core/trades/ends/armour-end";
import { SceneView } from "../../drawing/scene-view";
import { Table } from "../table";

const tenth = (x: number): string => mm(Math.round(x * 10) / 10);

/** The box of a point as it is made off: drawn from the front, and every measure of every cable in it. */
export function EndCard({ f, job, tall = 330 }: { f: EndFigures; job: Job; tall?: number }) {
  const name = (c: EndCable): string => cableName(job, c);
  const { room } = f;
  return (
    <div data-end-card={f.placed.point.id}>
      <div className={room ? "grid grid-cols-[minmax(0,1fr)] gap-2 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]" : ""}>
        <SceneView scene={drawBox(f, name)} tall={tall} beside={40} />
        {room ? (
          <div>
            <SceneView scene={drawBoxDepth(room, f.box.height)} tall={tall > 260 ? 230 : 200} beside={50} />
            <p className={`mt-1 text-[14px] font-medium ${room.closes ? "text-good" : "text-warn"}`} data-box-room>
              {room.closes
                ? `✓ It closes: ${tenth(room.needs)} of ${mm(room.has)}`
                : `! It will not close: ${tenth(room.needs)} needed, ${mm(room.has)} there` +
                  (room.takes === null ? "" : `. ${mm(room.takes)} deep would`)}
            </p>
            <p className="text-[13px] text-soft">Typical sizes: the accessory in the hand goes before them.</p>
          </div>
        ) : null}
      </div>
      <Table
        label={`Cables of ${f.placed.point.label}`}
        rows={f.cables}
        keyOf={(c) => c.run.id}
        empty="No cable is laid to it yet."
        columns={[
          { name: "Cable", cell: (c) => name(c) },
          { name: "Size", cell: (c) => c.cable.name },
          { name: "Comes in", cell: (c) => entryWords(c.end.entry) },
          { name: "Sheath inside, mm", num: true, cell: (c) => mm(c.end.measures.sheath ?? 0) },
          { name: "Leave, mm", num: true, cell: (c) => mm(c.end.measures.tail ?? 0) },
          { name: "Conductors, mm", num: true, cell: (c) => mm(c.end.measures.conductor ?? c.end.measures.tail ?? 0) },
        ]}
      />
      <p className="mt-1 text-[14px]">
        Box {mm(f.box.width)} × {mm(f.box.height)} inside, {mm(f.box.depth)} deep.{" "}
        {f.earthTail === null ? "" : `Earth tail from the box to the accessory ${tenth(f.earthTail)}. `}
        {f.strip === null
          ? "Strip and connect as the maker of the outlet says."
          : `Bare ${tenth(f.strip)} for a terminal; try each with a scrap end first.`}
      </p>
      {f.cables.map((c) => (c.armour ? <Armour key={c.run.id} c={c} name={name(c)} /> : null))}
      {f.cables.map((c) => (c.mineral ? <Mineral key={c.run.id} c={c} name={name(c)} /> : null))}
    </div>
  );
}

function Armour({ c, name }: { c: EndCable; name: string }) {
  const a = c.armour!;
  const { marks } = a;
  return (
    <section aria-label={`Armour of ${name}`} className="mt-3" data-armour-end>
      <h4 className="font-cond text-[16px] font-semibold">
        {name}: {a.gland ? `gland ${a.gland.id}, hole Ø ${mm(a.gland.hole)}` : "no gland of the table fits"} ·{" "}
        {a.outdoors ? "outdoor type, seals on the sheath" : "indoor type"}
      </h4>
      <SceneView
        scene={drawStrip(
          `Marks of ${name} from its last cleat`,
          [
            { to: marks.ring, name: "sheath", fill: "metal", high: 1.4 },
            { to: marks.wires, name: "wires", fill: "cable2", high: 1.1 },
            { to: marks.cut, name: "cores", fill: "cable", high: 0.7 },
          ],
          [
            { at: marks.ring, text: "ring the sheath" },
            { at: marks.wires, text: "wires stop" },
            { at: marks.cut, text: "cut" },
          ].map((m) => ({ ...m, at: Math.round(m.at) })),
        )}
        tall={230}
      />
      <p className="text-[14px]">
        From the last cleat: wires stop at {mm(marks.wires)}, sheath ringed at {mm(marks.ring)}, cut at{" "}
        {mm(Math.round(marks.cut))}.{" "}
        {marks.sweep === null
          ? `It comes straight, with a bow of ${mm(PUSH_BACK)} to push back into.`
          : `It sweeps in on a radius of ${mm(Math.round(marks.sweep))}.`}{" "}
        {a.asEarth
          ? `Armour ${mm(a.asEarth.has)} mm²; alone as earth ${tenth(a.asEarth.needs)} wanted: ` +
            `${a.asEarth.enough ? "enough" : "not enough, use a core too"}.`
          : ""}
      </p>
    </section>
  );
}

function Mineral({ c, name }: { c: EndCable; name: string }) {
  const m = c.mineral!;
  return (
    <section aria-label={`Mineral-insulated end of ${name}`} className="mt-3" data-mineral-end>
      <h4 className="font-cond text-[16px] font-semibold">
        {name}: {m.first ? "made off first" : "the second end, measured from the first"}
      </h4>
      <p className="text-[14px]">
        Face to face {tenth(m.faceToFace)}.{" "}
        {m.first
          ? `Tails ${mm(m.tails)} beyond the sheath.`
          : `Sheath ends at ${tenth(m.sheathEnd)}, cut at ${tenth(m.cut)}, cover off to ${tenth(m.coverMark)}: ` +
            `the stripper's body, ${mm(m.body)}, stops on it.`}{" "}
        Insulation over range before and after the seal is pressed home, and again the next day.
      </p>
    </section>
  );
}
