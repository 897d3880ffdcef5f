"use client";
import { Trash2 } from "lucide-react";
import { count, figure, mm } from "../../../core/base/figures";
import { sectionName } from "../../../core/drawings/section-drawings";
import { waysOn } from "../../../core/house/section-goes-on";
import { stretchMeasures, withDeckPlaceAt, withEndAt, withStretchAt } from "../../../core/job/move-section";
import { withJunctions } from "../../../core/job/section-junctions";
import type { Section } from "../../../core/job/model";
import { nextLabel, splitInTwo } from "../../../core/plan/choose-sections";
import { METAL_INSIDE } from "../../../core/plan/metal-inside";
import { type SectionFigures, fixingMarks } from "../../../core/plan/section-figures";
import { methodNames } from "../../../core/rules/ratings";
import { type SectionKind, sectionKinds, sectionRows, sectionSizes } from "../../../core/rules/sections";
import { deckName, wallName } from "../../../core/words/ways";
import { madeByHand } from "../../../core/trades/containment/section-turns";
import { newId, say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { CheckField, NumberField, SelectField, TextField } from "../../kit/field";
import { Gauge } from "../../kit/gauge";
import { Bending } from "./bending";
import { useSectionFigures } from "./use-figures";

/** The picked section: what it is, where it goes, and what it does to the cables in it. */
export function SectionForm({ section }: { section: Section }) {
  const house = useDesk((s) => s.house);
  const catalogue = useDesk((s) => s.catalogue);
  const circuits = useDesk((s) => s.job.circuits);
  const f = useSectionFigures().find((x) => x.laid.section.id === section.id);
  const row = sectionRows[section.kind];
  const put = (next: Partial<Section>): string | null =>
    edit([change("sections", section.id, { ...section, ...next })]);
  const setKind = (kind: SectionKind): string | null => {
    const sizes = sectionSizes(kind, catalogue);
    const size =
      sizes.find((x) => x.id === section.size) ?? sizes.find((x) => x.width >= (f?.laid.size.width ?? 0)) ?? sizes[0]!;
    return put({ kind, size: size.id });
  };
  /** Leads it another way, what lies over or under brought along. */
  const lead = (path: Section["path"]): string | null => put({ path: withJunctions(house.job, section.path, path) });
  const byHand = madeByHand(section.kind);
  const stretches = stretchMeasures(section);
  const labelOf = (id: string): string => circuits.find((c) => c.id === id)?.label ?? id;
  const length = f?.laid.length ?? 0;
  const fixings = f?.fixings.reduce((n, x) => n + x.marks.length, 0) ?? 0;
  return (
    <section aria-label={`Section ${section.label}`} className="grid gap-2" data-section-form={section.id}>
      <h2 className="text-lg">
        {section.label} · {row.name}
      </h2>
      <p className="text-[13px] text-soft">{row.about}</p>
      <TextField label="Label" value={section.label} most={12} onCommit={(label) => put({ label })} />
      <SelectField
        label="Kind"
        value={section.kind}
        options={sectionKinds.map((k) => ({ value: k, name: sectionRows[k].name }))}
        onCommit={setKind}
      />
      {row.holds === "alone" ? null : (
        <SelectField
          label="Size"
          value={section.size}
          options={sectionSizes(section.kind, catalogue).map((s) => ({ value: s.id, name: s.id.replace("x", " × ") }))}
          onCommit={(size) => put({ size })}
        />
      )}
      {byHand ? (
        <SelectField
          label="Corners"
          value={section.corners}
          options={[
            { value: "folded", name: `${byHand} by hand` },
            { value: "fitted", name: "bought fittings" },
          ]}
          onCommit={(corners) => put({ corners })}
        />
      ) : null}
      {f && byHand === "bent" && section.corners === "folded" ? (
        <Bending section={section} outside={f.laid.size.width} put={put} />
      ) : null}
      <SelectField
        label="It is"
        value={section.state}
        options={[
          { value: "new", name: "new" },
          { value: "found", name: "found here" },
        ]}
        onCommit={(state) => put({ state })}
      />
      {f ? (
        <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[13.5px]">
          <dt className="text-soft">Length</dt>
          <dd className="num">{mm(Math.round(length))}</dd>
          {f.fixings.length ? (
            <>
              <dt className="text-soft">Fixings, most {mm(Math.min(...f.fixings.map((x) => x.max)))} apart</dt>
              <dd className="num" data-fixings>
                {fixings}
              </dd>
            </>
          ) : null}
          {f.ties.length ? (
            <>
              <dt className="text-soft">
                Ties, most {mm(Math.min(...f.ties.map((x) => x.max)))} apart
                {f.ties.some((x) => x.metal) ? `, ${tiesOf(f, true)} of metal` : ""}
              </dt>
              <dd className="num">{tiesOf(f, true) + tiesOf(f, false)}</dd>
            </>
          ) : null}
          {f.boxes.length ? (
            <>
              <dt className="text-soft">Boxes to draw from</dt>
              <dd className="num">{f.boxes.length}</dd>
            </>
          ) : null}
          {f.cutting ? (
            <>
              <dt className="text-soft">Cut from {mm(row.stock)}, lengths</dt>
              <dd className="num">{f.cutting.cuts.length}</dd>
            </>
          ) : null}
        </dl>
      ) : null}
      <h3>How full</h3>
      {f && f.fill.unit !== "" ? (
        <>
          <Gauge
            measured={Math.round(f.fill.used * 10) / 10}
            limit={Math.round(f.fill.most * 10) / 10}
            sense="most"
            unit={f.fill.unit}
            severity={f.fill.ok ? "note" : "stop"}
          />
          {!f.fill.ok && f.takes && f.takes !== section.size ? (
            <Button onClick={() => say(put({ size: f.takes! }))}>Take {f.takes.replace("x", " × ")}</Button>
          ) : null}
          {!f.fill.ok && !f.takes ? (
            <p className="text-[13px] text-stop">No size of its kind takes them: put some in a second section.</p>
          ) : null}
        </>
      ) : (
        <p className="text-[13px] text-soft">{f ? "Each cable stands by itself." : "Working it out."}</p>
      )}
      <h3>What it does to its cables</h3>
      {f?.circuits.length ? (
        <table className="text-[13.5px]" data-section-circuits>
          <caption className="sr-only">What circuits in {sectionName(f.laid)} carry</caption>
          <thead>
            <tr className="text-left text-soft">
              <th scope="col">Circuit</th>
              <th scope="col" title="Method, and circuits that lie together">
                Method
              </th>
              <th scope="col" className="text-right">
                Carries / needs
              </th>
              <td />
            </tr>
          </thead>
          <tbody>
            {f.circuits.map((c) => (
              <tr key={c.circuit} className={!c.holds ? "text-stop" : ""}>
                <td>
                  {labelOf(c.circuit)} <span className="text-soft">{c.cable.csa}</span>
                </td>
                <td title={`${methodNames[c.method]}; ${count(c.together, "circuit")} together`}>
                  {c.method} × {c.together}
                </td>
                <td className="num text-right whitespace-nowrap">
                  {figure(c.carries, 1)} / {figure(c.needs, 1)} A
                </td>
                <td className="text-right">
                  <Button
                    look="quiet"
                    className="min-h-7"
                    title={`Lay ${labelOf(c.circuit)} elsewhere`}
                    onClick={() => say(put({ out: [...section.out, c.circuit] }))}
                  >
                    Keep out
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p className="text-[13px] text-soft">No run lies in it: runs take it where it leads their way.</p>
      )}
      {section.out.map((c) => (
        <CheckField
          key={c}
          label={`${labelOf(c)} is kept out`}
          value
          onCommit={() => say(put({ out: section.out.filter((x) => x !== c) }))}
        />
      ))}
      {f?.circuits.some((c) => !c.holds) && section.state === "new" ? (
        <Button
          onClick={() =>
            say(
              splitSection(
                section,
                [...f.circuits].sort((a, b) => b.needs - a.needs).map((c) => c.circuit),
                f.laid.size.width,
              ),
            )
          }
        >
          Split {section.label} in two
        </Button>
      ) : null}
      {f?.sets.map((x) => (
        <p key={x.pipe} className="text-[13px]">
          Over {x.name}: a set of <span className="num">{mm(Math.round(x.offset))}</span>,{" "}
          {section.kind.startsWith("conduit") ? "four bends" : "four folds"}, from{" "}
          <span className="num">{mm(Math.round(x.from))}</span> to <span className="num">{mm(Math.round(x.to))}</span>{" "}
          along stretch {x.stretch + 1}.
        </p>
      ))}
      {f?.metalInside ? (
        <>
          <h3>Fire</h3>
          <p className="text-[13px]">
            Plastic on the way out: {count(f.metalInside, "metal clip")} inside hold the cables when it softens, at most{" "}
            {METAL_INSIDE} apart (typical: none is published).
          </p>
        </>
      ) : null}
      {f?.corners.length || stretches.length ? <h3>Where it goes</h3> : null}
      {stretches.map((m, i) => {
        const shape = house.faces[house.faceOfWall.get(m.wall) ?? -1]?.shape;
        return (
          <div key={m.to} className="grid gap-1 border-t border-dotted border-line pt-1">
            <span className="text-[13px] text-soft">{wallName(house, m.wall)}</span>
            <NumberField
              label={m.measure === "v" ? "Level, from the floor" : "Plumb, from the left"}
              name={`stretch ${i + 1}`}
              value={m.value}
              min={0}
              {...(shape ? { max: m.measure === "v" ? shape.height : shape.length } : {})}
              onCommit={(x) => lead(withStretchAt(section, m.to, x))}
            />
            {i === 0 ? (
              <NumberField
                label={m.measure === "v" ? "Begins, from the left" : "Begins, from the floor"}
                name="section begins"
                value={m.from}
                min={0}
                onCommit={(x) => put({ path: withEndAt(section, "first", x) })}
              />
            ) : null}
            {i === stretches.length - 1 ? (
              <NumberField
                label={m.measure === "v" ? "Ends, from the left" : "Ends, from the floor"}
                name="section ends"
                value={m.end}
                min={0}
                onCommit={(x) => put({ path: withEndAt(section, "last", x) })}
              />
            ) : null}
          </div>
        );
      })}
      {section.path.map((p, i) =>
        p.on === "deck" ? (
          <div key={i} className="grid gap-1 border-t border-dotted border-line pt-1">
            <span className="text-[13px] text-soft">
              Place {i + 1} on {deckName(house, p.deck)}
            </span>
            {(["x", "y"] as const).map((k) => (
              <NumberField
                key={k}
                label={k === "x" ? "From the west" : "From the south"}
                name={`place ${i + 1} ${k}`}
                value={p[k]}
                onCommit={(x) => lead(withDeckPlaceAt(section, i, k, x))}
              />
            ))}
          </div>
        ) : null,
      )}
      {section.state === "new"
        ? waysOn(house, section).map((w) => (
            <Button key={`${w.end} ${w.to.id}`} data-goes-on={w.to.id} onClick={() => say(put({ path: w.path }))}>
              Go on{" "}
              {w.to.kind === "deck"
                ? `over the joists of ${deckName(house, w.to.id)}`
                : `to ${wallName(house, w.to.id)}`}
            </Button>
          ))
        : null}
      {f && f.laid.stretches.some((x) => x.face >= 0) && f.fixings.length ? (
        <details className="text-[13px]">
          <summary className="cursor-pointer">Fixing marks, each from its own wall</summary>
          <ol className="grid gap-0.5 pt-1">
            {fixingMarks(house, f.laid, f.fixings).map((x, i) => (
              <li key={i}>
                <span className="num">{mm(Math.round(x.u))}</span> from the left,{" "}
                <span className="num">{mm(Math.round(x.v))}</span> up{" "}
                <span className="text-soft">{wallName(house, x.wall)}</span>
              </li>
            ))}
          </ol>
        </details>
      ) : null}
      <Button
        look="quiet"
        icon={<Trash2 size={14} />}
        onClick={() => {
          say(edit([change("sections", section.id, null)]));
          useDesk.setState({ selection: null });
        }}
      >
        Remove
      </Button>
    </section>
  );
}

/** Ties of a section of metal, or of plastic. */
const tiesOf = (f: SectionFigures, metal: boolean): number =>
  f.ties.reduce((n, x) => n + (x.metal === metal ? x.count : 0), 0);

/** Splits a section; on its other side where there is no room on the one. */
function splitSection(section: Section, circuits: readonly string[], width: number): string | null {
  const { job } = useDesk.getState();
  const made = { id: newId("se"), label: nextLabel(new Set(job.sections.map((s) => s.label))) };
  const tried = (side: 1 | -1): string | null =>
    edit(
      splitInTwo(section, circuits, width, made, side).map((s) =>
        change("sections", s.id, { ...s, path: withJunctions(job, section.path, s.path) }),
      ),
    );
  return tried(1) === null ? null : tried(-1);
}
