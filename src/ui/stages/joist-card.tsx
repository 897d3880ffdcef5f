"use client";
import { worded } from "../../core/words/findings";
import { mm, most } from "../../core/base/figures";
import { type HeavyBy, heavyBy, isHeavy, joistFor } from "../../core/house/deck";
import { joistRefusals } from "../../core/trades/timber/check-joist";
import { joistWindows } from "../../core/trades/timber/joist";
import { boreMargins } from "../../core/trades/timber/boring";
import type { Deck } from "../../core/job/model";
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
  const askLine = (at: number): string | null => {
    const d = Math.min(at, model.span - at);
    const [lo, hi] = w.hole.zones[0];
    if (d < lo - 1e-6 || d > hi + 1e-6)
      return `The line is ${mm(at)} from the bearing; it must be ${mm(lo)} to ${mm(hi)} from the nearer one.`;
    return edit([
      change("decks", deck, {
        ...l.deck,
        boreLines: [...l.deck.boreLines, Math.round((s[0] - l.origin + at) * 10) / 10],
      }),
    ]);
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
            ["Notch, most depth", most(w.notch.maxDepth)],
          ].map(([k, v]) => (
            <div key={k} className="flex justify-between border-b border-dotted border-line py-1">
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
                <span className="num">Ø {o.diameter}</span>
              </p>
              <p className="text-soft">
                Centre <span className="num">{mm(o.fromTop)}</span> down; passes {o.runs.map(runName).join(", ")}
              </p>
              <details>
                <summary className="cursor-pointer text-[13px] text-soft">Clearance to each limit</summary>
                {boreMargins(l, plan!, o).map((m) => (
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
          <NumberField
            label="Holes wanted in line at"
            name="bore line"
            value={0}
            min={0}
            max={model.span}
            onCommit={(at) => (at === 0 ? null : askLine(at))}
          />
          <p className="text-[12.5px] text-soft">
            From the left bearing; all joists of the deck are drilled on it where the rules allow.
          </p>
          {l.deck.boreLines.map((x) => (
            <Button
              key={x}
              look="quiet"
              onClick={() =>
                say(edit([change("decks", deck, { ...l.deck, boreLines: l.deck.boreLines.filter((y) => y !== x) })]))
              }
            >
              Remove the line at {mm(x - (s[0] - l.origin))}
            </Button>
          ))}
        </div>
      )}
    </section>
  );
}
