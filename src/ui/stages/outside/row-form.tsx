"use client";
import { count, figure, mm } from "../../../core/base/figures";
import { feedsOf } from "../../../core/house/outside-made";
import type { LightRow } from "../../../core/job/model";
import { rowWiring } from "../../../core/trades/outside/row-wiring";
import { change, edit, useDesk } from "../../job/store";
import { CheckField, NumberField, SelectField, TextField } from "../../kit/field";
import { Table } from "../table";
import { Remove } from "./remove";
import { useOutside } from "./use-outside";

/** The picked row of lights: what it is, and the place, cable and volts of every light. */
export function RowForm({ row }: { row: LightRow }) {
  const house = useDesk((s) => s.house);
  const catalogue = useDesk((s) => s.catalogue);
  const school = useDesk((s) => s.job.settings.schools.armourCores);
  const f = useOutside().rows.find((r) => r.row.id === row.id);
  const put = (next: Partial<LightRow>): string | null => edit([change("lightRows", row.id, { ...row, ...next })]);
  return (
    <section aria-label={`Row of lights ${row.label}`} className="grid gap-2" data-row-form={row.id}>
      <h2 className="text-lg">
        {row.label}
        {row.name ? `, ${row.name}` : ""}
      </h2>
      {f ? (
        <>
          <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[13.5px]" data-row-figures>
            <dt className="text-soft">Gap</dt>
            <dd className="num">{mm(Math.round(f.gap))}</dd>
            <dt className="text-soft">Cable, tails and loops in it</dt>
            <dd className="num">{figure(f.total / 1000, 1)} m</dd>
            {f.boxes ? (
              <>
                <dt className="text-soft">Junction boxes, ways each</dt>
                <dd className="num">
                  {f.boxes} × {f.boxWays}
                </dd>
              </>
            ) : null}
            {f.conduit ? (
              <>
                <dt className="text-soft">Conduit, {count(f.conduit.bends, "bend")}</dt>
                <dd className="num">{figure(f.conduit.length / 1000, 1)} m</dd>
              </>
            ) : null}
            <dt className="text-soft">Live cores to the first light, and on</dt>
            <dd className="num">
              {f.legs[0]!.live}
              {f.legs[1] ? `, ${f.legs[1].live}` : ""}
            </dd>
            <dt className="text-soft">Drop at the last light</dt>
            <dd className="num">
              {f.percent === null ? `${figure(f.volts)} V in the row` : `${figure(f.percent)} of ${f.percentMost} %`}
            </dd>
            {f.zs !== null ? (
              <>
                <dt className="text-soft">Zs at the last light, hot</dt>
                <dd className="num">
                  {figure(f.zs)}
                  {f.most === null ? "" : ` of ${figure(f.most)}`} Ω
                </dd>
              </>
            ) : null}
            <dt className="text-soft">
              Hole through {mm(f.hole.through)}, rising {f.hole.rise} inward
            </dt>
            <dd className="num">
              {figure(f.hole.angle, 1)}°, {mm(Math.round(f.hole.bore))} long
            </dd>
          </dl>
          <Table
            label="Lights of the row"
            rows={f.lights}
            keyOf={(l) => String(l.n)}
            empty="No lights."
            columns={[
              { name: "Light", num: true, cell: (l) => l.n },
              { name: "Along, mm", num: true, cell: (l) => mm(Math.round(l.at)) },
              { name: "On", cell: (l) => (l.post ? `post ${l.post.label}` : l.side === 1 ? "left" : "right") },
              { name: "Cut, mm", num: true, cell: (l) => mm(Math.ceil((f.legs[l.n - 1]?.length ?? 0) / 10) * 10) },
            ]}
          />
        </>
      ) : null}
      <details className="text-[13.5px]" data-row-wiring>
        <summary className="cursor-pointer">How it is wired, core by core</summary>
        <Table
          label="Cores of the row"
          rows={rowWiring(row, school)}
          keyOf={(c) => `${c.core} ${c.carries}`}
          empty=""
          columns={[
            { name: "Core", cell: (c) => c.core },
            { name: "Carries", cell: (c) => c.carries },
            { name: "Goes", cell: (c) => c.goes },
          ]}
        />
      </details>
      <TextField label="Label" value={row.label} most={12} onCommit={(label) => put({ label })} />
      <TextField label="Name" value={row.name} most={40} required={false} onCommit={(name) => put({ name })} />
      <SelectField
        label="Fed from"
        value={row.from ?? ""}
        options={[
          { value: "", name: "nothing yet" },
          ...feedsOf(house).map((p) => ({
            value: p.point.id,
            name: `${p.point.label}${p.point.name ? `, ${p.point.name}` : ""}`,
          })),
        ]}
        onCommit={(from) => put({ from: from || null })}
      />
      <NumberField
        label="Lights"
        unit=""
        value={row.count}
        min={1}
        max={60}
        step={1}
        whole
        onCommit={(count) => put({ count })}
      />
      <SelectField
        label="Sides"
        value={String(row.sides) as "1" | "2"}
        options={[
          { value: "2", name: "both, in turn" },
          { value: "1", name: "one" },
        ]}
        onCommit={(s) => put({ sides: s === "1" ? 1 : 2 })}
      />
      <NumberField
        label="From row to row"
        value={row.width}
        min={0}
        max={20_000}
        onCommit={(width) => put({ width })}
      />
      <NumberField label="First from the end" value={row.end} min={0} onCommit={(end) => put({ end })} />
      <CheckField label="on posts where they are near" value={row.onPosts} onCommit={(onPosts) => put({ onPosts })} />
      <SelectField
        label="Cable goes"
        value={row.carried}
        options={[
          { value: "ground", name: "in the ground" },
          { value: "arbour", name: "in conduit along beams" },
        ]}
        onCommit={(carried) =>
          put({ carried, line: carried === "ground" ? 600 : 2200, height: carried === "ground" ? 600 : 2000 })
        }
      />
      <NumberField
        label={row.carried === "ground" ? "Depth" : "Height of the conduit"}
        value={row.line}
        min={50}
        max={6000}
        onCommit={(line) => put({ line })}
      />
      <NumberField
        label="Height of a light"
        value={row.height}
        min={0}
        max={6000}
        onCommit={(height) => put({ height })}
      />
      <SelectField
        label="Cable"
        value={row.cable}
        options={catalogue.cables.map((c) => ({ value: c.id, name: c.name }))}
        onCommit={(cable) => put({ cable })}
      />
      <NumberField
        label="Each light"
        unit="W"
        value={row.watts}
        min={0}
        max={2000}
        step={1}
        onCommit={(watts) => put({ watts })}
      />
      <SelectField
        label="Sensor"
        value={row.sensor}
        options={[
          { value: "none", name: "none" },
          { value: "near", name: "at the fed end" },
          { value: "far", name: "at the far end" },
        ]}
        onCommit={(sensor) => put({ sensor })}
      />
      <CheckField
        label="a switch that puts them on whatever the sensor says"
        value={row.override}
        onCommit={(override) => put({ override })}
      />
      <NumberField
        label="Ways kept free in a box"
        unit=""
        value={row.spare}
        min={0}
        max={4}
        step={1}
        whole
        onCommit={(spare) => put({ spare })}
      />
      <p className="text-[13px] text-soft">
        A loop below every entry, so that water drips off; holes rise inward; no flexible conduit where animals gnaw.
        Cable in the sun stands sunlight: ordinary grey sheath does not.
      </p>
      <Remove of="lightRows" id={row.id} name={row.label} />
    </section>
  );
}
