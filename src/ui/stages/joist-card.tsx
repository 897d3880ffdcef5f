"use client";
import { worded } from "../../core/words/findings";
import { mm, most } from "../../core/base/figures";
import { type HeavyBy, heavyBy, isHeavy, joistFor } from "../../core/house/deck";
import { joistRefusals } from "../../core/trades/timber/check-joist";
import { joistWindows } from "../../core/trades/timber/joist";
import { boreMargins } from "../../core/trades/timber/boring";
import type { Deck } from "../../core/job/model";
import { NOTCH_MOST } from "../../core/rules/notches";
import { holeSize } from "../../core/words/holes";
import { say } from "../job/edits";
import { change, edit, useDesk, useSnapshot } from "../job/store";
import { Button } from "../kit/button";
import { NumberField, TextField } from "../kit/field";
import { Gauge } from "../kit/gauge";

/** What bears on the span, and the user's word against it with how it is known, which stands in the job. */
function HeavyWord({ deck, joist, span, by }: { deck: Deck; joist: number; span: number; by: HeavyBy | null }) {
  if (!by) return null;
  if (by.by === "named")
    return <p className="mt-1 text-[13px] text-soft">Named as a heavy joist of this deck in Survey.</p>;
  const said = deck.notHeavy.find((x) => x.joist === joist && x.span === span);
  const others = deck.notHeavy.filter((x) => x !== said);
  const put = (notHeavy: Deck["notHeavy"]): string | null => edit([change("decks", deck.id, { ...deck, notHeavy })]);
  return (
    <div className="mt-1 grid gap-1 border-l-4 border-warn pl-2 text-[13.5px]">
      <p>
        {by.name} bears on this span.{" "}
        {said
          ? "It was judged to carry no more than a floor:"
          : "If it does not, say how you know; that stands in the job."}
      </p>
      <TextField
        label="It does not bear here, because"
        name="not heavy"
        required={false}
        most={200}
        value={said?.reason ?? ""}
        onCommit={(reason) => put(reason ? [...others, { joist, span, reason }] : others)}
      />
    </div>
  );
}

const without = (list: readonly number[], i: number): number[] => list.filter((_, k) => k !== i);

/** Lines across the joists that the user asks for: one more, and those there are. */
function Lines(p: {
  label: string;
  name: string;
  about: string;
  span: number;
  at: readonly number[];
  ask: (at: number) => string | null;
  remove: (i: number) => string | null;
}) {
  return (
    <div className="grid gap-1">
      <NumberField
        label={p.label}
        name={p.name}
        value={0}
        min={0}
        max={p.span}
        onCommit={(at) => (at === 0 ? null : p.ask(at))}
      />
      <p className="text-[12.5px] text-soft">{p.about}</p>
      {p.at.map((x, i) => (
        <Button key={x} look="quiet" onClick={() => say(p.remove(i))}>
          Remove the line at {mm(x)}
        </Button>
      ))}
    </div>
  );
}

/** One span of one joist: its windows, limits and bores. */
export function JoistCard({ deck, joist, span }: { deck: string; joist: number; span: number }) {
  const { house, plan } = useSnapshot();
  const school = useDesk((s) => s.job.settings.schools.notch);
  const l = house.decks[house.deckOfId.get(deck) ?? -1];
  const j = l?.joists.find((x) => x.n === joist);
  const s = j?.spans[span - 1];
  if (!l || !j || !s)
    return <p className="text-soft">This joist has no clear span here: look at the bearings in Survey.</p>;
  const model = joistFor(l, s);
  const refusals = worded(joistRefusals(model, isHeavy(l, j, span), `J${joist}`));
  const w = joistWindows(model, school);
  const bores = (plan?.holes ?? [])
    .filter((o) => o.in.deck === deck && o.in.joist === joist && o.in.span === span)
    .sort((a, b) => a.at - b.at);
  const runName = (id: string): string => {
    const r = plan?.runs.find((x) => x.id === id);
    const p = (x: string): string => house.points[house.pointOfId.get(x) ?? -1]?.point.label ?? x;
    return r ? `${p(r.from)}–${p(r.to)}` : id;
  };
  /** A line across the joists, given from the bearing of this one: it has to lie in a window, a notch with its whole width. */
  const askLine = (list: "boreLines" | "notchLines", at: number): string | null => {
    const d = Math.min(at, model.span - at);
    const half = list === "notchLines" ? NOTCH_MOST / 2 : 0;
    const [lo, hi] = list === "notchLines" ? w.notch.zones[0] : w.hole.zones[0];
    if (lo + half > hi - half)
      return `A notch ${mm(NOTCH_MOST)} wide does not fit into the window of this span, ${mm(lo)} to ${mm(hi)} from the bearing.`;
    if (d < lo + half - 1e-6 || d > hi - half + 1e-6)
      return `The line is ${mm(at)} from the bearing; it must be ${mm(lo + half)} to ${mm(hi - half)} from the nearer one.`;
    const line = Math.round((s[0] - l.origin + at) * 10) / 10;
    if (l.deck[list].includes(line)) return `There is a line at ${mm(at)} already.`;
    return edit([change("decks", deck, { ...l.deck, [list]: [...l.deck[list], line] })]);
  };
  return (
    <section aria-label={`Joist ${joist}`}>
      <h2 className="text-lg">
        Joist {joist}, span {span} of {j.spans.length}
      </h2>
      <p className="text-[13px] text-soft">
        {l.deck.name} ·{" "}
        <span className="num">
          {mm(model.breadth)} × {mm(model.depth)}
        </span>
        , clear span <span className="num">{mm(model.span)}</span>. Marks are from the bearing face, not from the room:
        plaster and wall thickness come between.
      </p>
      {refusals.length ? (
        refusals.map((r, i) => (
          <p key={i} className="mt-1 font-medium text-stop">
            ✕ {r.message} {r.remedy}
          </p>
        ))
      ) : (
        <dl className="mt-1">
          {[
            ["Drill between", `${mm(w.hole.zones[0][0])} – ${mm(w.hole.zones[0][1])}`],
            ["and between", `${mm(w.hole.zones[1][0])} – ${mm(w.hole.zones[1][1])}`],
            ["Largest hole", `Ø ${most(w.hole.maxDiameter)}`],
            ["Largest without plate", `Ø ${mm(w.hole.maxDiameterUnplated)}`],
            ["Centre, from the top", mm(w.hole.fromTop)],
            ["Notch between", `${mm(w.notch.zones[0][0])} – ${mm(w.notch.zones[0][1])}`],
            ["and between", `${mm(w.notch.zones[1][0])} – ${mm(w.notch.zones[1][1])}`],
            ["Notch, most depth", most(w.notch.maxDepth)],
          ].map(([k, v], i) => (
            <div key={i} className="flex justify-between border-b border-dotted border-line py-1">
              <dt className="text-[13.5px] text-soft">{k}</dt>
              <dd className="num font-medium">{v}</dd>
            </div>
          ))}
        </dl>
      )}
      <HeavyWord deck={l.deck} joist={joist} span={span} by={heavyBy(l, j, span)} />
      <h3 className="mt-2 text-[14px]">Holes here</h3>
      {bores.length ? (
        <ul>
          {bores.map((o) => (
            <li key={o.id} className="border-b border-dotted border-line py-1 text-[13.5px]">
              <p className="flex justify-between">
                <span>
                  <span className="num font-medium">{mm(o.at)}</span> from the bearing{o.plated ? ", steel plate" : ""}
                </span>
                <span className="num whitespace-nowrap">{o.notch ? `notch ${holeSize(o)}` : holeSize(o)}</span>
              </p>
              <p className="text-soft">
                {o.notch ? "Sawn into the top" : `Centre ${mm(o.fromTop)} down`}; passes{" "}
                {o.runs.map(runName).join(", ")}
              </p>
              <details>
                <summary className="cursor-pointer text-[13px] text-soft">Clearance to each limit</summary>
                {boreMargins(l, plan!, o, school).map((m) => (
                  <div key={m.name} className="pt-1">
                    <p className="text-[12.5px] text-soft">{m.name}</p>
                    <Gauge measured={m.measured} limit={m.limit} sense={m.sense} unit="mm" severity="stop" />
                  </div>
                ))}
              </details>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-[13px] text-soft">None.</p>
      )}
      {refusals.length ? null : (
        <div className="mt-2 grid gap-1">
          <Lines
            label="Holes wanted in line at"
            name="bore line"
            about="From the left bearing; all joists of the deck are drilled on it where the rules allow."
            span={model.span}
            at={l.deck.boreLines.map((x) => x - (s[0] - l.origin))}
            ask={(at) => askLine("boreLines", at)}
            remove={(i) => edit([change("decks", deck, { ...l.deck, boreLines: without(l.deck.boreLines, i) })])}
          />
          <Lines
            label="Notches wanted in line at"
            name="notch line"
            about={`From the left bearing, in the window of the school chosen (${school === "warranty" ? "0.1 to 0.2 of the span" : "0.07 to 0.25 of the span"}); sawn from above, each under a steel plate. Holes on the centre line weaken a joist less: notch only where no hole serves.`}
            span={model.span}
            at={l.deck.notchLines.map((x) => x - (s[0] - l.origin))}
            ask={(at) => askLine("notchLines", at)}
            remove={(i) => edit([change("decks", deck, { ...l.deck, notchLines: without(l.deck.notchLines, i) })])}
          />
        </div>
      )}
    </section>
  );
}
