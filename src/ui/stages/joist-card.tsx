"use client";
import { mm } from "../../core/rules/findings";
import { isHeavy, joistFor } from "../../core/timber/deck";
import { joistRefusals } from "../../core/timber/check-joist";
import { joistWindows } from "../../core/timber/joist";
import { useDesk } from "../job/store";

/** One span of one joist: its windows, limits and bores. */
export function JoistCard({ deck, joist, span }: { deck: string; joist: number; span: number }) {
  const house = useDesk((s) => s.house);
  const plan = useDesk((s) => s.plan);
  const school = useDesk((s) => s.job.settings.schools.notch);
  const l = house.decks[house.deckOfId.get(deck) ?? -1];
  const j = l?.joists.find((x) => x.n === joist);
  const s = j?.spans[span - 1];
  if (!l || !j || !s) return <p className="text-soft">This joist has no clear span here: look at the bearings in Survey.</p>;
  const model = joistFor(l, s);
  const refusals = joistRefusals(model, isHeavy(l, j), `J${joist}`);
  const w = joistWindows(model, school);
  const bores = (plan?.holes ?? []).filter((o) => o.in.deck === deck && o.in.joist === joist && o.in.span === span).sort((a, b) => a.at - b.at);
  return (
    <section aria-label={`Joist ${joist}`}>
      <h2 className="text-lg">
        Joist {joist}, span {span} of {j.spans.length}
      </h2>
      <p className="text-[13px] text-soft">
        {l.deck.name} · <span className="num">{mm(model.breadth)} × {mm(model.depth)}</span>, clear span <span className="num">{mm(model.span)}</span>. Marks are from the bearing face, not from the room: plaster and wall thickness come between.
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
            ["Bore between", `${mm(w.hole.zones[0][0])} – ${mm(w.hole.zones[0][1])}`],
            ["and between", `${mm(w.hole.zones[1][0])} – ${mm(w.hole.zones[1][1])}`],
            ["Largest bore", `Ø ${mm(w.hole.maxDiameter)}`],
            ["Largest without plate", `Ø ${mm(w.hole.maxDiameterUnplated)}`],
            ["Centre, from the top", mm(w.hole.fromTop)],
            ["Notch, most depth", mm(w.notch.maxDepth)],
          ].map(([k, v]) => (
            <div key={k} className="flex justify-between border-b border-dotted border-line py-1">
              <dt className="text-[13.5px] text-soft">{k}</dt>
              <dd className="num font-medium">{v}</dd>
            </div>
          ))}
        </dl>
      )}
      <h3 className="mt-2 text-[14px]">Bores here</h3>
      {bores.length ? (
        <ul>
          {bores.map((o) => (
            <li key={o.id} className="flex justify-between border-b border-dotted border-line py-1 text-[13.5px]">
              <span>
                <span className="num font-medium">{mm(o.at)}</span> from the bearing{o.plated ? ", steel plate" : ""}
              </span>
              <span className="num">
                Ø {o.diameter} · {o.runs.length} {o.runs.length === 1 ? "cable" : "cables"}
              </span>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-[13px] text-soft">None.</p>
      )}
    </section>
  );
}
