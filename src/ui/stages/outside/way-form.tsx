"use client";
import { Plus } from "lucide-react";
import { figure, mm } from "../../../core/base/figures";
import { yardFaces } from "../../../core/house/outside-made";
import { type OutsideWay, serviceKinds } from "../../../core/job/model";
import { mostPull, sagOf } from "../../../core/rules/sag";
import { outsideName } from "../../../core/words/closing";
import { clearances, shallowest } from "../../../core/trades/outside/outside-facts";
import { fallOf, RISE } from "../../../core/trades/outside/fall";
import { wallName } from "../../../core/words/ways";
import { useNames } from "../sheets/frame";
import { say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { NumberField, SelectField, TextField } from "../../kit/field";
import { Thing } from "../../kit/thing";
import { Remove } from "./remove";
import { useOutside } from "./use-outside";

/** The picked trench or wire: its ends, its depths or its pull, and what comes of it. */
export function WayForm({ way }: { way: OutsideWay }) {
  const house = useDesk((s) => s.house);
  const posts = useDesk((s) => s.job.posts);
  const { runName } = useNames();
  const f = useOutside().ways.find((w) => w.laid.way.id === way.id);
  const put = (next: Partial<OutsideWay>): string | null => edit([change("outsideWays", way.id, { ...way, ...next })]);
  const walls = yardFaces(house).map((x) => ({ value: x.wall.id, name: wallName(house, x.wall.id) }));
  const trench = way.kind === "trench";
  const end = (key: "from" | "to", name: string): React.ReactNode => (
    <fieldset className="grid gap-1 border border-line px-2 pb-2">
      <legend className="px-1 text-[13px] text-soft">{name}</legend>
      <SelectField
        label="Wall"
        name={`${key} wall`}
        value={way[key].wall}
        options={walls}
        onCommit={(wall) => put({ [key]: { ...way[key], wall } })}
      />
      <NumberField
        label="From its left"
        name={`${key} u`}
        value={way[key].u}
        min={0}
        onCommit={(u) => put({ [key]: { ...way[key], u } })}
      />
      {trench ? null : (
        <NumberField
          label="Height"
          name={`${key} v`}
          value={way[key].v}
          min={0}
          onCommit={(v) => put({ [key]: { ...way[key], v } })}
        />
      )}
    </fieldset>
  );
  const thickness = f ? Math.max(...f.laid.faces.map((n) => house.faces[n]?.shape.thickness ?? 0)) : 0;
  const hole = fallOf(Math.max(1, thickness), RISE);
  return (
    <section aria-label={outsideName(way)} className="grid gap-2" data-way-form={way.id}>
      <h2 className="text-lg">{outsideName(way)}</h2>
      {f ? (
        <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[13.5px]" data-way-figures>
          <dt className="text-soft">From wall to wall</dt>
          <dd className="num">{mm(Math.round(f.laid.length))}</dd>
          <dt className="text-soft">Cable in it</dt>
          <dd className="num">{mm(Math.round(f.laid.cable))}</dd>
          {trench ? (
            <>
              <dt className="text-soft">Least deep</dt>
              <dd className="num">{mm(Math.round(shallowest(f.laid).depth))}</dd>
            </>
          ) : (
            f.spans.map((s, i) => (
              <div key={i} className="contents">
                <dt className="text-soft">
                  Dip, {s.supports[0]} to {s.supports[1]}
                </dt>
                <dd className="num">{mm(Math.round(sagOf(s)))}</dd>
                <dt className="text-soft">Most pull there</dt>
                <dd className="num">{figure(mostPull(s), 0)} N</dd>
              </div>
            ))
          )}
          {trench
            ? null
            : clearances(f.laid, f.spans).map((c, i) => (
                <div key={i} className="contents">
                  <dt className="text-soft">
                    Lowest over {c.name || "the ground"}, at least {mm(c.least)}
                  </dt>
                  <dd className={`num ${c.height < c.least ? "text-stop" : ""}`}>{mm(Math.round(c.height))}</dd>
                </div>
              ))}
          {f.circuits.map((c) => {
            const worst = Math.max(0, ...c.places.map((p) => p.drop.percent));
            return (
              <div key={c.circuit.id} className="contents">
                <dt className="text-soft">
                  {c.circuit.label}: drop at its far end
                  {c.input.designCurrent > 0 ? ` with ${figure(c.input.designCurrent, 1)} A` : ", no load given"}
                </dt>
                <dd className="num">
                  {c.input.designCurrent > 0 ? `${figure(worst, 1)} of ${c.result.drop.limit} %` : "not judged"}
                </dd>
              </div>
            );
          })}
          <dt className="text-soft">
            Hole through {mm(Math.round(thickness))}, rising {RISE} inward
          </dt>
          <dd className="num">{figure(hole.angle, 1)}°</dd>
        </dl>
      ) : null}
      <p className="text-[13px] text-soft">
        {f?.runs.length
          ? `In it: ${f.runs.map((r) => runName(r.id)).join(", ")}.`
          : "No cable lies in it yet: only armour takes it."}
      </p>
      <TextField label="Label" value={way.label} most={12} onCommit={(label) => put({ label })} />
      <TextField label="Name" value={way.name} most={40} required={false} onCommit={(name) => put({ name })} />
      {end("from", "Leaves")}
      {end("to", "Comes to")}
      {trench ? (
        <>
          <NumberField
            label="Depth at both ends"
            value={way.depth}
            min={50}
            max={3000}
            onCommit={(depth) => put({ depth })}
          />
          <NumberField label="Bed and cover" value={way.bed} min={0} max={300} onCommit={(bed) => put({ bed })} />
          <NumberField
            label="Tape above it"
            value={way.marker}
            min={0}
            max={2000}
            onCommit={(marker) => put({ marker })}
          />
          <Depths way={way} put={put} length={f?.laid.length ?? 0} />
        </>
      ) : (
        <>
          <NumberField
            label="Pull of the wire"
            unit="N"
            value={way.tension}
            min={20}
            max={20_000}
            onCommit={(tension) => put({ tension })}
          />
          <NumberField
            label="Wire"
            unit="kg/m"
            value={way.wire}
            min={0.01}
            max={2}
            step={0.01}
            onCommit={(wire) => put({ wire })}
          />
          {posts.map((p) => (
            <label key={p.id} className="flex min-h-7 items-center gap-2 text-[13px]">
              <input
                type="checkbox"
                className="size-4 accent-(--accent)"
                checked={way.posts.includes(p.id)}
                onChange={(e) =>
                  say(put({ posts: e.target.checked ? [...way.posts, p.id] : way.posts.filter((x) => x !== p.id) }))
                }
              />
              carried by post {p.label}
            </label>
          ))}
          <p className="text-[13px] text-soft">
            What the wire may be pulled with is its maker’s word; the flatter it hangs the harder it pulls.
          </p>
        </>
      )}
      <Remove of="outsideWays" id={way.id} name={way.label} />
    </section>
  );
}

/** Depths elsewhere along a trench, its ducts, and the services it crosses. */
function Depths({
  way,
  put,
  length,
}: {
  way: OutsideWay;
  put: (next: Partial<OutsideWay>) => string | null;
  length: number;
}) {
  const middle = Math.round(length / 2);
  const swap = <T,>(list: readonly T[], i: number, x: T): T[] => list.map((y, n) => (n === i ? x : y));
  const less = <T,>(list: readonly T[], i: number): T[] => list.filter((_, n) => n !== i);
  return (
    <>
      {way.depths.map((d, i) => (
        <Thing
          key={`d${i}`}
          summary={`${mm(d.depth)} deep, ${mm(d.at)} along`}
          onRemove={() => say(put({ depths: less(way.depths, i) }))}
        >
          <NumberField
            label="Along it"
            name={`depth ${i} at`}
            value={d.at}
            min={0}
            onCommit={(at) => put({ depths: swap(way.depths, i, { ...d, at }) })}
          />
          <NumberField
            label="Depth"
            name={`depth ${i}`}
            value={d.depth}
            min={50}
            max={3000}
            onCommit={(depth) => put({ depths: swap(way.depths, i, { ...d, depth }) })}
          />
        </Thing>
      ))}
      {way.ducts.map((d, i) => (
        <Thing
          key={`t${i}`}
          summary={`Duct ${mm(d.size)}, ${mm(d.from)} to ${mm(d.to)}`}
          onRemove={() => say(put({ ducts: less(way.ducts, i) }))}
        >
          <NumberField
            label="From"
            name={`duct ${i} from`}
            value={d.from}
            min={0}
            onCommit={(from) => put({ ducts: swap(way.ducts, i, { ...d, from }) })}
          />
          <NumberField
            label="To"
            name={`duct ${i} to`}
            value={d.to}
            min={0}
            onCommit={(to) => put({ ducts: swap(way.ducts, i, { ...d, to }) })}
          />
          <NumberField
            label="Across"
            name={`duct ${i} size`}
            value={d.size}
            min={20}
            max={200}
            onCommit={(size) => put({ ducts: swap(way.ducts, i, { ...d, size }) })}
          />
        </Thing>
      ))}
      {way.services.map((x, i) => (
        <Thing
          key={`s${i}`}
          summary={`Crosses ${x.kind}, ${mm(x.at)} along`}
          onRemove={() => say(put({ services: less(way.services, i) }))}
        >
          <SelectField
            label="It is"
            name={`service ${i}`}
            value={x.kind}
            options={serviceKinds.map((k) => ({ value: k, name: k }))}
            onCommit={(kind) => put({ services: swap(way.services, i, { ...x, kind }) })}
          />
          <NumberField
            label="Along it"
            name={`service ${i} at`}
            value={x.at}
            min={0}
            onCommit={(at) => put({ services: swap(way.services, i, { ...x, at }) })}
          />
          <NumberField
            label="Depth"
            name={`service ${i} depth`}
            value={x.depth}
            min={0}
            onCommit={(depth) => put({ services: swap(way.services, i, { ...x, depth }) })}
          />
        </Thing>
      ))}
      <div className="flex flex-wrap gap-1.5">
        <Button
          icon={<Plus size={14} />}
          onClick={() => say(put({ depths: [...way.depths, { at: middle, depth: way.depth }] }))}
        >
          Depth
        </Button>
        <Button
          icon={<Plus size={14} />}
          onClick={() =>
            say(
              put({
                ducts: [...way.ducts, { from: Math.round(length / 4), to: Math.round((3 * length) / 4), size: 63 }],
              }),
            )
          }
        >
          Duct
        </Button>
        <Button
          icon={<Plus size={14} />}
          onClick={() => say(put({ services: [...way.services, { at: middle, kind: "water", depth: 750 }] }))}
        >
          Crossing
        </Button>
      </div>
    </>
  );
}
