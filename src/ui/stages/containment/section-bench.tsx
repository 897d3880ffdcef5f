"use client";
import { ChevronLeft, ChevronRight, Printer } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { drawEndPlate } from "../../../core/drawings/face-drawings";
import { drawFold, drawPiece, foldWords } from "../../../core/drawings/piece-drawings";
import { drawSectionCut } from "../../../core/drawings/section-drawings";
import { mm } from "../../../core/base/figures";
import { fillWords } from "../../../core/words/at-end";
import { trunkingEnds } from "../../../core/plan/trunking-ends";
import type { SectionFigures } from "../../../core/plan/section-figures";
import { acrossFolded } from "../../../core/trades/containment/flat-cuts";
import type { Fold, SectionPiece } from "../../../core/trades/containment/section-turns";
import { Ribbon } from "../../drawing/ribbon";
import { SceneView, TrueScalePrint } from "../../drawing/scene-view";
import { useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { usePrint } from "../../kit/use-print";
import { useSectionFigures } from "./use-figures";

const round = (x: number): number => Math.round(x * 10) / 10;

/** At the foot of the drawing: the picked section cut across, and its pieces opened flat with their marks. */
export function SectionBench({ id }: { id: string }) {
  const f = useSectionFigures().find((x) => x.laid.section.id === id);
  const circuits = useDesk((s) => s.job.circuits);
  const [printed, print] = usePrint();
  if (!f) return <p className="h-36 shrink-0 border border-line bg-panel p-3 text-soft">Working out the section.</p>;
  const labelOf = (c: string): string => circuits.find((x) => x.id === c)?.label ?? c;
  return (
    <div className="grid shrink-0 gap-2 md:grid-cols-[minmax(200px,1fr)_2fr]">
      <section aria-label="Cut across" className={`min-w-0 ${printed ? "no-print" : ""}`} data-section-cut>
        <h2 className="text-[14px]">{f.laid.section.label} cut across</h2>
        <SceneView scene={drawSectionCut(f, labelOf)} tall={215} beside={40} />
        <p className="num text-[13px]">{fillWords(f)}</p>
        <p className="text-[13px] text-soft">{moreWords(f)}</p>
        <EndPlates id={id} />
      </section>
      <Pieces f={f} printed={printed} onPrint={print} />
    </div>
  );
}

/** The plates at the ends of a trunking that tubes go on from, to scale: also what is drilled by. */
function EndPlates({ id }: { id: string }) {
  const house = useDesk((s) => s.house);
  const [printed, print] = usePrint();
  const plates = useMemo(() => trunkingEnds(house).filter((e) => e.trunking.section.id === id), [house, id]);
  return plates.map((e) => {
    const scene = drawEndPlate(e);
    return (
      <div key={e.end} className="mt-2" data-end-plate={e.end}>
        <h3 className="flex items-center justify-between gap-2 text-[14px]">
          Plate at its {e.end} end · {mm(e.width)} × {mm(e.depth)}
          <Button className="no-print" icon={<Printer size={14} />} onClick={print}>
            Print, true scale
          </Button>
        </h3>
        <SceneView scene={scene} tall={200} />
        {printed ? <TrueScalePrint scene={scene} /> : null}
      </div>
    );
  });
}

const moreWords = ({ more, fill }: SectionFigures): string =>
  !more || fill.unit === ""
    ? ""
    : more.count
      ? `dashed: ${more.count} more of ${more.cable.name} fit`
      : `no more of ${more.cable.name} fits`;

function Pieces({ f, printed, onPrint }: { f: SectionFigures; printed: boolean; onPrint: () => void }) {
  const [n, setN] = useState(0);
  useEffect(() => setN(0), [f.laid.section.id]);
  const piece = f.pieces[Math.min(n, f.pieces.length - 1)];
  if (!piece)
    return (
      <section aria-label="Pieces" className="min-w-0">
        <h2 className="text-[14px]">Pieces</h2>
        <p className="border border-line bg-panel p-3 text-soft">
          {f.laid.section.state === "found"
            ? "It was found in the house: nothing is cut for it."
            : "Cleats stand one by one: nothing is cut to length."}
        </p>
      </section>
    );
  const stock = f.laid.row.stock;
  const across = acrossFolded(piece, f.laid.size.width);
  const tube = f.laid.row.method === "tube";
  return (
    <section aria-label="Pieces" className="min-w-0" data-section-pieces>
      <div className="flex flex-wrap items-center justify-between gap-1">
        <h2 className="text-[14px]">
          Piece {piece.number} of {f.pieces.length}, {tube ? "as it lies straight" : "opened flat"} · cut{" "}
          {mm(round(piece.length))} from a {mm(stock)} length
        </h2>
        <div className="no-print flex gap-1">
          <Button
            look="quiet"
            className="min-h-7"
            aria-label="Piece before"
            icon={<ChevronLeft size={14} />}
            disabled={n <= 0}
            onClick={() => setN(n - 1)}
          />
          <Button
            look="quiet"
            className="min-h-7"
            aria-label="Next piece"
            icon={<ChevronRight size={14} />}
            disabled={n >= f.pieces.length - 1}
            onClick={() => setN(n + 1)}
          />
          {piece.folds.length ? (
            <Button look="quiet" className="min-h-7" icon={<Printer size={14} />} onClick={onPrint}>
              Print the {piece.folds[0]!.way === "bend" ? "bends" : "folds"}, true scale
            </Button>
          ) : null}
        </div>
      </div>
      <div className={printed ? "no-print" : ""}>
        <SceneView scene={drawPiece(piece, f.laid.size)} tall={150} beside={24} />
        <Ribbon length={piece.length} marks={pieceMarks(piece)} words={(m) => `${mm(m.at)} ${m.text}`} />
        <ol className="max-h-16 overflow-auto text-[13px]" aria-label="Marks of the piece">
          {piece.folds.map((x) => (
            <li key={x.at}>
              <span className="num font-medium">{mm(round(x.at))}</span>{" "}
              <span className="text-soft">
                {foldWords(x)}, {mm(round(x.angle))}°
                {x.half > 0 ? `; from ${mm(round(x.at - x.half))} to ${mm(round(x.at + x.half))}` : ""}
              </span>
            </li>
          ))}
          {across === null ? null : (
            <li>
              Across, from end to end: <span className="num font-medium">{mm(round(across))}</span>{" "}
              <span className="text-soft">middle to middle when the corner is true</span>
            </li>
          )}
          <li className="text-soft">
            {tube
              ? piece.folds.length
                ? "Set the start of the bend at the start of the former; bend a little past and let it spring back. Plastic: the spring made for its size, warmed in cold weather."
                : "Cut square; deburr inside and out."
              : piece.folds.length
                ? "Square all round first: if the lines do not meet, the square lies. Cut lips at the angle of the fold; leave the tabs that are drawn, which go behind the other side: drill both skins together, bolt with heads inside. Eyes, ears and hands covered; deburr until a finger runs clean."
                : "Cut square; deburr until a finger runs clean. Eyes, ears and hands covered."}
          </li>
        </ol>
      </div>
      {printed ? piece.folds.map((x) => <TrueScalePrint key={x.at} scene={drawFold(piece, x, f.laid.size)} />) : null}
    </section>
  );
}

/** Words on the marks of a fold: before it, on it and after it. */
const markWords: Record<Fold["way"], [string, string, string]> = {
  notch: ["cut", "fold", "cut"],
  cuts: ["cut", "centre line", "cut"],
  bend: ["bend starts", "middle", "bend ends"],
};

/** Marks on a piece: the cuts either side of each fold and its line, or where a bend starts and ends. */
const pieceMarks = (piece: SectionPiece): { at: number; text: string }[] => [
  ...piece.folds.flatMap((x) =>
    x.half > 0
      ? [x.at - x.half, x.at, x.at + x.half].map((at, i) => ({ at: round(at), text: markWords[x.way][i]! }))
      : [{ at: round(x.at), text: "slit and fold" }],
  ),
  { at: round(piece.length), text: "end" },
];
