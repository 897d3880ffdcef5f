"use client";
import { Download, Printer } from "lucide-react";
import { type LaidDeck, isHeavy } from "../../core/house/deck";
import type { Hole } from "../../core/laid/laid";
import { bearingNames, holeSize, holeWords } from "../../core/words/holes";
import { ASSUMED_STUDS } from "../../core/house/studs";
import { joistRefusals } from "../../core/trades/timber/check-joist";
import { joistFor } from "../../core/house/deck";
import { boringTotals, chalkLines, nogginHoles, notchesIn, wallHoles } from "../../core/trades/timber/boring";
import { findingOf } from "../../core/words/findings";
import { mm } from "../../core/base/figures";
import { useDesk, useSnapshot } from "../job/store";
import { Button } from "../kit/button";

/** The drilling schedule joist by joist, in the order a person walks: chalk line by chalk line, with its end marks, bits and plates. */
export function BoringSheet() {
  const { house, job, plan } = useSnapshot();
  if (!plan) return <p className="p-3 text-soft">Working out the holes.</p>;
  const decks = [...house.decks].filter((d) => d.deck.kind !== "concrete").sort((a, b) => a.underside - b.underside);
  const label = (id: string): string => {
    const r = plan.runs.find((x) => x.id === id);
    const p = (x: string): string => job.points.find((y) => y.id === x)?.label ?? x;
    return r ? `${p(r.from)}–${p(r.to)}` : id;
  };
  /** The rooms that a chalk line goes over, in the order it is walked. */
  const roomsOf = (holes: readonly Hole[]) => {
    const rooms = [...new Set(holes.map((o) => holeWords(house, o).room))].filter(Boolean);
    return rooms.length ? <span className="font-normal">, {rooms.join(", ")}</span> : null;
  };
  const notches = notchesIn(plan);
  const plates = plan.holes.filter((o) => o.plated).length;
  return (
    <div className="sheet min-h-0 flex-1 overflow-auto border border-line bg-panel p-4" data-schedule>
      <div className="mb-2 flex flex-wrap items-start justify-between gap-2">
        <div>
          <h2 className="text-xl">Drilling schedule</h2>
          <p className="max-w-[70ch] text-soft">
            In the order one walks. Every mark is from the bearing face, not from the room. Snap a chalk line between
            the two end marks and drill along it on the centre line. Look and scan before drilling; eyes, ears and lungs
            protected.
          </p>
        </div>
        <div className="no-print flex gap-1">
          <Button icon={<Printer size={14} />} onClick={() => window.print()}>
            Print
          </Button>
          <a
            className="inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond text-[14px] font-semibold hover:border-ink"
            href={`/api/jobs/${job.id}/boring.csv`}
            download
          >
            <Download size={14} aria-hidden /> CSV
          </a>
        </div>
      </div>
      <p className="mb-3 text-[13.5px]">
        {boringTotals(plan)
          .map((t) => {
            const parts = [
              t.joists ? `${t.joists} in joists` : "",
              t.studs ? `${t.studs} in studs, plates and noggins` : "",
              t.walls ? `${t.walls} in walls` : "",
            ];
            return `Ø ${t.diameter}: ${parts.filter(Boolean).join(", ")}`;
          })
          .concat(notches ? `${notches} ${notches === 1 ? "notch" : "notches"} to saw` : [])
          .join(" · ") || "Nothing to drill."}
        {plates ? ` · ${plates} steel ${plates === 1 ? "plate" : "plates"}` : ""}
      </p>
      {decks.map((l) => {
        const lines = chalkLines(l, plan);
        const asks = l.joists.flatMap((j) =>
          j.spans.flatMap((s, i) =>
            joistRefusals(joistFor(l, s), isHeavy(l, j, i + 1), `J${j.n}`).map((f) => ({
              n: j.spans.length > 1 ? `${j.n} span ${i + 1}` : `${j.n}`,
              f: findingOf(f),
            })),
          ),
        );
        const spans = l.joists.reduce((sum, j) => sum + j.spans.length, 0);
        const rules = [...new Map(asks.map((a) => [`${a.f.rule} ${a.f.measured ?? ""}`, a.f])).entries()];
        return (
          <section key={l.deck.id} className="mb-4" aria-label={l.deck.name}>
            <h3 className="text-lg">{l.deck.name}</h3>
            {rules.map(([key, f]) => {
              const who = asks.filter((a) => `${a.f.rule} ${a.f.measured ?? ""}` === key);
              return (
                <p key={key} className="text-[13.5px] font-medium text-stop">
                  ✕ {who.length === spans ? "All joists" : `Joist ${who.map((a) => a.n).join(", ")}`}: {f.message}{" "}
                  {f.remedy}
                </p>
              );
            })}
            {lines.length ? null : <p className="text-[13.5px] text-soft">No holes in this deck.</p>}
            {lines.length ? (
              <p className="text-[13px] text-soft">
                Measured from the {bearingNames(l.along)[0]} bearing face of the span.
              </p>
            ) : null}
            {lines.map((c, i) => (
              <div key={`${c.along} ${c.span}`} className="mt-1 border-t border-line pt-1">
                <h4 className="text-[14px] font-semibold">
                  Line {i + 1}
                  {spansOf(l, c.span) > 1 ? (
                    <span className="font-normal">
                      , span {c.span} of {spansOf(l, c.span)}
                    </span>
                  ) : null}
                  {roomsOf(c.joists.map((j) => j.hole))}
                  {c.joists.length > 1 ? (
                    <span className="font-normal">
                      {" "}
                      · chalk from joist {c.marks[0].joist} at <span className="num">{mm(c.marks[0].at)}</span> to joist{" "}
                      {c.marks[1].joist} at <span className="num">{mm(c.marks[1].at)}</span> from the bearing
                    </span>
                  ) : null}
                </h4>
                <table className="w-full text-[13.5px]">
                  <HiddenHead
                    names={["Joist", "From the bearing", "Centre from the top", "Bit", "Plate", "What passes"]}
                  />
                  <tbody>
                    {(i % 2 ? [...c.joists].reverse() : c.joists).map(({ joist, hole }) => (
                      <tr
                        key={hole.id}
                        className="cursor-pointer border-b border-dotted border-line hover:bg-rail"
                        onClick={() =>
                          useDesk.setState({ selection: { kind: "joist", deck: l.deck.id, joist, span: c.span } })
                        }
                      >
                        <td className="w-24 py-0.5">
                          <button type="button" className="cursor-pointer text-left underline-offset-2 hover:underline">
                            Joist {joist}
                          </button>
                        </td>
                        <td className="num w-24 text-right">{mm(hole.at)}</td>
                        <td className="num w-28 text-right">
                          {hole.notch ? "in the top" : `${mm(hole.fromTop)} down`}
                        </td>
                        <td className="num w-20 text-right">{holeSize(hole)}</td>
                        <td className="w-20 pl-3">{hole.plated ? "plate" : ""}</td>
                        <td className="pl-3">{hole.runs.map(label).join(", ")}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            ))}
            <NogginHoles deck={l} label={label} />
          </section>
        );
      })}
      <WallHoles label={label} />
    </div>
  );
}

/** Most spans that any joist of a deck has which has one of that number. */
const spansOf = (l: LaidDeck, span: number): number =>
  Math.max(0, ...l.joists.filter((j) => j.spans.length >= span).map((j) => j.spans.length));

/** Names of the columns, for who hears the table. */
const HiddenHead = ({ names }: { names: readonly string[] }) => (
  <thead className="sr-only">
    <tr>
      {names.map((x) => (
        <th key={x} scope="col">
          {x}
        </th>
      ))}
    </tr>
  </thead>
);

/** Holes in one row each: what timber, the place along it, the height, the bit, and what passes. */
function HoleTable({ holes, label }: { holes: readonly Hole[]; label: (run: string) => string }) {
  const { house } = useSnapshot();
  return (
    <table className="w-full text-[13.5px]">
      <HiddenHead names={["Where", "Place", "Height", "Bit", "What passes"]} />
      <tbody>
        {holes.map((o) => {
          const w = holeWords(house, o);
          return (
            <tr key={o.id} className="border-b border-dotted border-line">
              <td className="w-72 py-0.5 first-letter:uppercase">{w.timber || `through ${w.room}`}</td>
              <td className="pl-4 whitespace-nowrap">{o.in.kind === "noggin" ? w.along : mm(o.at)}</td>
              <td className="pl-4 whitespace-nowrap">{w.height}</td>
              <td className="num w-20 text-right">{holeSize(o)}</td>
              <td className="pl-3">{o.runs.map(label).join(", ")}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Holes in the noggins of a deck, row by row. */
function NogginHoles({ deck, label }: { deck: LaidDeck; label: (run: string) => string }) {
  const { plan } = useSnapshot();
  const holes = plan ? nogginHoles(deck, plan) : [];
  if (!holes.length) return null;
  return (
    <div className="mt-1 border-t border-line pt-1">
      <h4 className="text-[14px] font-semibold">Noggins</h4>
      <HoleTable holes={holes} label={label} />
    </div>
  );
}

/** Holes in studs and plates and through walls, wall by wall. */
function WallHoles({ label }: { label: (run: string) => string }) {
  const { house, plan } = useSnapshot();
  const holes = plan ? wallHoles(house, plan) : [];
  if (!holes.length) return null;
  const walls = [...new Set(holes.map((o) => o.in.wall!))];
  return (
    <section aria-label="Studs and walls">
      <h3 className="text-lg">Studs and walls</h3>
      <p className="text-[13px] text-soft">
        From the left-hand corner of the wall, seen from its room. A stud takes a hole of at most a quarter of its
        depth, at mid-depth.
      </p>
      {walls.map((id) => {
        const mine = holes.filter((o) => o.in.wall === id);
        const studs = house.faces[house.faceOfWall.get(id) ?? -1]?.studs;
        return (
          <div key={id} className="mt-1 border-t border-line pt-1">
            <h4 className="text-[14px] font-semibold first-letter:uppercase">
              {holeWords(house, mine[0]!).of}
              {studs?.assumed ? (
                <span className="font-normal text-soft">
                  {" "}
                  · studs not measured, taken at {mm(ASSUMED_STUDS.spacing)} centres: find them before drilling
                </span>
              ) : null}
            </h4>
            <HoleTable holes={mine} label={label} />
          </div>
        );
      })}
    </section>
  );
}
