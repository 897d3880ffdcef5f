"use client";
import { SmallHead } from "../kit/small-head";
import { wiredTo } from "../../core/job/wired";
import { pointLabels } from "../../core/job/labels";
import { foundShapeWords } from "../../core/words/circuits";
import { costWords, moneyWords } from "../../core/words/supplies";
import { costOf } from "../../core/plan/prices";
import { ringAgainstRadialsWords } from "../../core/words/ways";
import { Paintbrush, Plus, Trash2 } from "lucide-react";
import { boardOfCircuit } from "../../core/job/boards";
import { foundShape } from "../../core/trades/circuits/found";
import type { RingAgainstRadials } from "../../core/plan/compare-plans";
import { isMains } from "../../core/job/mains";
import { circuitUsuals } from "../../core/house/usual-circuits";
import { isSignalCable } from "../../core/rules/cables";
import { isOnCircuit, isSignal } from "../../core/rules/accessories";
import type { Circuit } from "../../core/job/model";
import { runStyles } from "../../core/drawings/run-lines";
import { mm } from "../../core/base/figures";
import { RunSample } from "../drawing/run-sample";
import { askWorker } from "../job/ask";
import { useAsked } from "../job/use-asked";
import { addCircuit, removeCircuit, say, setCircuit } from "../job/edits";
import { change, edit, useDesk, usePlan } from "../job/store";
import { Button } from "../kit/button";
import { AsLaid } from "./as-laid";
import { NumberField, SelectField, TextField } from "../kit/field";

export const kindWords: Record<Circuit["kind"], string> = {
  ring: "ring",
  radial: "radial",
  lighting: "lighting",
  cooker: "cooker",
  shower: "shower",
  fixed: "fixed appliance",
  outbuilding: "outbuilding supply",
  signal: "data or signals",
};

/** All circuits, and the form of the one picked out. */
export function CircuitsPanel() {
  const job = useDesk((s) => s.job);
  const plan = usePlan();
  const selection = useDesk((s) => s.selection);
  const picked = selection?.kind === "circuit" ? selection.id : null;
  const styles = runStyles(job);
  const ordered = [...job.circuits].sort((a, b) => (a.label < b.label ? -1 : 1));
  return (
    <section aria-label="Circuits" className="grid gap-1.5">
      <h2 className="text-lg">Circuits</h2>
      {ordered.length ? null : (
        <p className="text-soft">
          None yet. A ring or two radials for the sockets and one circuit for the lights is the usual start.
        </p>
      )}
      <ul>
        {ordered.map((c) => {
          const runs = (plan?.runs ?? []).filter((r) => r.circuit === c.id);
          const style = styles.get(c.id)!;
          return (
            <li key={c.id} className={`border-b border-dotted border-line ${picked === c.id ? "bg-rail" : ""}`}>
              <button
                type="button"
                aria-expanded={picked === c.id}
                className="flex min-h-9 w-full cursor-pointer items-center gap-2 text-left"
                onClick={() => useDesk.setState({ selection: picked === c.id ? null : { kind: "circuit", id: c.id } })}
              >
                <RunSample style={style} />
                <span className="font-cond font-semibold">{c.label}</span>
                <span className="flex-1 truncate text-[13.5px]">{c.name}</span>
                <span className="num text-[13px]">
                  {runs.length ? `${mm(runs.reduce((s, r) => s + r.cutLength, 0) / 1000)} m` : "–"}
                </span>
              </button>
              {picked === c.id ? <CircuitForm c={c} /> : null}
            </li>
          );
        })}
      </ul>
      <SelectField
        label="Add"
        value=""
        options={[
          { value: "", name: "choose a kind" },
          ...(Object.keys(kindWords) as Circuit["kind"][]).map((k) => ({ value: k as string, name: kindWords[k] })),
        ]}
        onCommit={(k) => (k ? addCircuit(k as Circuit["kind"]) : null)}
      />
      <p className="flex items-center gap-1 text-[13px] text-soft">
        <Plus size={13} aria-hidden /> Paint points onto a circuit, or pick several and choose it once for all.
      </p>
    </section>
  );
}

function CircuitForm({ c }: { c: Circuit }) {
  const job = useDesk((s) => s.job);
  const plan = usePlan();
  const painting = useDesk((s) => s.paint === c.id);
  const put = (next: Partial<Circuit>): string | null => edit([change("circuits", c.id, { ...c, ...next })]);
  const label = pointLabels(job);
  const order = (plan?.runs ?? []).filter((r) => r.circuit === c.id);
  const takes = (plan?.takeoff ?? []).filter((l) => l.circuit === c.id);
  const wired = new Set(job.circuits.flatMap(wiredTo));
  const mains = isMains(c);
  const loose = job.points.filter((p) => isOnCircuit(p.kind) && isSignal(p.kind) !== mains && !wired.has(p.id));
  const boards = job.points.filter((p) => p.kind === (mains ? "board" : "cabinet"));
  const board = boardOfCircuit(job, c);
  const ways = board?.ways ?? 0;
  return (
    <div className="grid gap-1 pb-2 pl-1">
      <Button
        look={painting ? "solid" : "plain"}
        icon={<Paintbrush size={14} />}
        aria-pressed={painting}
        onClick={() => useDesk.setState({ paint: painting ? null : c.id })}
      >
        {painting ? `Painting ${c.label}: press points, then here to stop` : `Paint points onto ${c.label}`}
      </Button>
      <TextField label="Label" most={12} value={c.label} onCommit={(x) => put({ label: x })} />
      <TextField label="Name" value={c.name} onCommit={(name) => put({ name })} />
      <SelectField
        label="State"
        name="circuit state"
        value={c.state}
        options={[
          { value: "new", name: "new" },
          { value: "extend", name: "found, to be extended" },
          { value: "keep", name: "found, stays as it is" },
        ]}
        onCommit={(state) => put({ state })}
      />
      {c.state === "new" ? null : <p className="text-[13px] text-soft">{foundShapeWords(foundShape(job, c), label)}</p>}
      <SelectField
        label="Kind"
        value={c.kind}
        options={(Object.keys(kindWords) as Circuit["kind"][])
          .filter((k) => isMains({ kind: k }) === mains || !c.points.length)
          .map((k) => ({ value: k, name: kindWords[k] }))}
        onCommit={(kind) =>
          isMains({ kind }) === mains
            ? put({ kind })
            : put({ kind, cable: circuitUsuals[kind].cable, ...(mains ? { way: null, rcd: null } : {}) })
        }
      />
      {c.kind === "outbuilding" ? (
        <SelectField
          label="Earth out there"
          name="far earth"
          value={c.farEarth ?? ""}
          options={[
            { value: "", name: "not said yet" },
            { value: "house", name: "the house's, taken out with the cable" },
            { value: "electrode", name: "an electrode of its own, and an RCD" },
          ]}
          onCommit={(e) => put({ farEarth: e === "" ? null : e })}
        />
      ) : null}
      {mains ? (
        <>
          <NumberField
            label="Device"
            unit="A"
            value={c.device.rating}
            min={1}
            max={125}
            step={1}
            onCommit={(rating) => put({ device: { ...c.device, rating } })}
          />
          <SelectField
            label="Curve"
            value={c.device.curve}
            options={[
              { value: "B", name: "B" },
              { value: "C", name: "C" },
            ]}
            onCommit={(curve) => put({ device: { ...c.device, curve } })}
          />
          <SelectField
            label="RCD"
            value={String(c.rcd ?? "")}
            options={[
              { value: "30", name: "30 mA" },
              { value: "100", name: "100 mA" },
              { value: "300", name: "300 mA" },
              { value: "", name: "none" },
            ]}
            onCommit={(r) => put({ rcd: r === "" ? null : (Number(r) as 30 | 100 | 300) })}
          />
        </>
      ) : null}
      <SelectField
        label="Cable"
        value={c.cable}
        options={useDesk
          .getState()
          .catalogue.cables.filter((x) => isSignalCable(x) !== mains)
          .map((x) => ({ value: x.id, name: x.name }))}
        onCommit={(cable) => put({ cable })}
      />
      {mains ? (
        <>
          <SelectField
            label="Way"
            value={String(c.way ?? "")}
            options={[
              { value: "", name: "none yet" },
              ...Array.from({ length: Math.max(ways, c.way ?? 0) }, (_, i) => ({
                value: String(i + 1),
                name: `way ${i + 1}${job.circuits.some((x) => x.id !== c.id && x.way === i + 1 && boardOfCircuit(job, x)?.id === board?.id) ? ", taken" : ""}`,
              })),
            ]}
            onCommit={(w) => put({ way: w === "" ? null : Number(w) })}
          />
        </>
      ) : null}
      <SelectField
        label="On walls"
        value={c.walls}
        options={[
          { value: "hidden", name: "hidden, in zones" },
          { value: "surface", name: "clipped on the surface" },
        ]}
        onCommit={(walls) => put({ walls })}
      />
      {mains ? (
        <>
          <NumberField
            label={`Load, ${c.watts > 0 ? "as given" : "from its points"}`}
            name="circuit load"
            unit="W"
            value={c.watts}
            min={0}
            max={200_000}
            step={1}
            onCommit={(watts) => put({ watts })}
          />
          <NumberField
            label={`Warmest along it${c.ambient === 30 ? ", the usual" : ""}`}
            name="ambient"
            unit="°C"
            value={c.ambient}
            min={-10}
            max={60}
            step={1}
            onCommit={(ambient) => put({ ambient })}
          />
          <NumberField
            label={`Through insulation${c.insulated === 0 ? ", none" : ""}`}
            name="insulated"
            value={c.insulated}
            min={0}
            max={100_000}
            step={10}
            onCommit={(insulated) => put({ insulated })}
          />
          <SelectField
            label="Order"
            value={c.order}
            options={[
              { value: "find", name: "shortest, worked out" },
              { value: "given", name: "as listed" },
            ]}
            onCommit={(o) => put({ order: o })}
          />
        </>
      ) : null}
      {boards.length > 1 ? (
        <SelectField
          label={mains ? "Board" : "Cabinet"}
          name="circuit board"
          value={c.board ?? ""}
          options={[{ value: "", name: "the first one" }, ...boards.map((b) => ({ value: b.id, name: b.label }))]}
          onCommit={(b) => put({ board: b || null })}
        />
      ) : null}
      {c.state === "new" && (c.kind === "ring" || c.kind === "radial") && c.points.length > 2 ? (
        <RingOrRadials circuit={c.id} />
      ) : null}
      {mains ? <AsLaid circuit={c.id} /> : null}
      {takes.length ? (
        <p className="text-[13px]" data-circuit-cost>
          <span className="text-soft">Takes: </span>
          {costWords(costOf(takes, job.packs))}
        </p>
      ) : null}
      <p className="text-[13px]">
        <span className="text-soft">Laid: </span>
        {order.length ? order.map((r) => `${label(r.from)}–${label(r.to)}`).join(", ") : "nothing yet"}
      </p>
      <div className="flex flex-wrap gap-1">
        {c.points.map((id, i) => (
          <span key={id} className="inline-flex items-center border border-line bg-field text-[12.5px]">
            {c.order === "given" && i > 0 ? (
              <button
                type="button"
                className="min-h-6 cursor-pointer px-1"
                aria-label={`Move ${label(id)} earlier`}
                onClick={() =>
                  say(put({ points: [...c.points.slice(0, i - 1), id, c.points[i - 1]!, ...c.points.slice(i + 1)] }))
                }
              >
                ‹
              </button>
            ) : null}
            <span className="num px-1">{label(id)}</span>
            <button
              type="button"
              className="min-h-6 min-w-6 cursor-pointer px-1 text-soft hover:text-stop"
              aria-label={`Take ${label(id)} off ${c.label}`}
              onClick={() => say(setCircuit([id], null))}
            >
              ×
            </button>
          </span>
        ))}
      </div>
      {loose.length ? (
        <SelectField
          label="Add point"
          value=""
          options={[{ value: "", name: "choose" }, ...loose.map((p) => ({ value: p.id, name: p.label }))]}
          onCommit={(id) => (id ? setCircuit([id], c.id) : null)}
        />
      ) : null}
      <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => say(removeCircuit(c.id))}>
        Delete {c.label}
      </Button>
    </div>
  );
}

/** The circuit laid both ways: one ring, or two radials over the same points. */
function RingOrRadials({ circuit }: { circuit: string }) {
  const { answer: r, ask } = useAsked<RingAgainstRadials | "none">(
    async (job) => (await askWorker((w) => w.ringAgainstRadials(job, useDesk.getState().catalogue, circuit))) ?? "none",
  );
  if (r === null) return <Button onClick={ask}>Lay it as a ring and as two radials</Button>;
  if (r === "working") return <p className="text-[13px] text-soft">Laying it both ways.</p>;
  if (r === "none")
    return <p className="text-[13px] text-soft">It cannot be laid both ways: a point cannot be reached.</p>;
  return (
    <div className="border border-line p-2 text-[13px]" data-both-ways>
      <table className="w-full">
        <SmallHead columns={["", "One ring", "Two radials"]} />
        <tbody>
          {(
            [
              ["Cable, m", (x) => mm(x.cable)],
              ["Runs", (x) => x.runs],
              ["Holes in all", (x) => x.bores],
              ["Ways", (x) => x.ways],
              ["Amps", (x) => x.rating],
              ["Costs", (x) => (x.cost.price > 0 ? moneyWords(x.cost.price) : "–")],
            ] as [string, (x: RingAgainstRadials["ring" | "radials"]) => string | number][]
          ).map(([name, of]) => (
            <tr key={name} className="border-t border-dotted border-line">
              <th scope="row" className="py-0.5 text-left font-normal">
                {name}
              </th>
              {[r.ring, r.radials].map((x, i) => (
                <td key={i} className="num text-right">
                  {of(x)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1">{ringAgainstRadialsWords(r)}</p>
      <p className="mt-1 text-soft">
        Costs: what each takes, as used, by your price list in Materials; devices are not in it
        {r.ring.cost.unpriced.length ? `, nor ${r.ring.cost.unpriced.length} items without a price` : ""}.
      </p>
    </div>
  );
}
