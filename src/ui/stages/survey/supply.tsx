"use client";
import { figure } from "../../../core/base/figures";
import { type Supply, services } from "../../../core/job/model";
import { ELECTRODE_MOST, earthings } from "../../../core/rules/ratings";
import { maximumDemand } from "../../../core/trades/circuits/demand";
import { SmallHead } from "../../kit/small-head";
import { externalLoop } from "../../../core/trades/circuits/check-circuit";
import { say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { CheckField, NumberField, SelectField } from "../../kit/field";

const serviceNames: Record<(typeof services)[number], string> = {
  water: "water",
  gas: "gas",
  oil: "oil",
  steelwork: "steelwork",
  other: "another",
};
const trips = [30, 100, 300] as const;

/** What comes in at the origin: earthing, loop, RCD, main switch, bonding. What was not looked at is taken at its worst, and said so. */
export function SupplyForm() {
  const supply = useDesk((s) => s.job.supply);
  const put = (next: Partial<Supply>): string | null => edit([change("head", "supply", { ...supply, ...next })]);
  const bond = (n: number, next: Partial<Supply["bonding"][number]>): string | null =>
    put({ bonding: supply.bonding.map((b, i) => (i === n ? { ...b, ...next } : b)) });
  return (
    <section aria-label="Supply" className="grid gap-1.5">
      <h2 className="text-lg">Supply</h2>
      <p className="text-[13px] text-soft">
        Look, do not open: seals and the cut-out are the distributor’s. Ze is measured by a competent person with the
        installation isolated.
      </p>
      <SelectField
        label="Earthing"
        value={supply.earthing ?? ""}
        options={[
          { value: "", name: "not looked at" },
          { value: "TN-C-S", name: "TN-C-S: earth from the neutral at the cut-out" },
          { value: "TN-S", name: "TN-S: earth from the cable’s sheath" },
          { value: "TT", name: "TT: earth electrode" },
        ]}
        onCommit={(x) => put({ earthing: earthings.find((e) => e === x) ?? null })}
      />
      <OrNone
        label="Ze measured (0 when not)"
        name="Ze"
        unit="Ω"
        step={0.01}
        most={2000}
        value={supply.ze}
        put={(ze) => put({ ze })}
      />
      {supply.ze === null ? (
        <p className="text-[13px] text-soft" data-ze-taken>
          {figure(externalLoop(supply))} Ω is taken, the most that is usual
          {supply.earthing === null ? "" : ` with ${supply.earthing}`}.
        </p>
      ) : null}
      {supply.earthing === "TT" ? (
        <p className="text-[13px] text-soft">
          With an electrode only an RCD opens on a fault to earth; above {ELECTRODE_MOST} Ω the electrode may not stay
          as it is in dry ground.
        </p>
      ) : null}
      <SelectField
        label="RCD for the whole"
        value={String(supply.rcd ?? "")}
        options={[{ value: "", name: "none" }, ...trips.map((t) => ({ value: String(t), name: `${t} mA` }))]}
        onCommit={(x) => put({ rcd: trips.find((t) => String(t) === x) ?? null })}
      />
      <OrNone
        label="Main switch (0 when not seen)"
        name="main switch"
        unit="A"
        step={1}
        most={200}
        value={supply.mainSwitch}
        put={(mainSwitch) => put({ mainSwitch })}
      />
      <DemandLines />
      <h3 className="mt-1">Main bonding</h3>
      {supply.bonding.length ? null : <p className="text-[13px] text-soft">No service listed: not looked at.</p>}
      {supply.bonding.map((b, n) => (
        <div key={n} className="grid gap-1 border border-line px-2 py-1">
          <SelectField
            label="Service"
            name={`service ${n + 1}`}
            value={b.service}
            options={services.map((s) => ({ value: s, name: serviceNames[s] }))}
            onCommit={(service) => bond(n, { service })}
          />
          <NumberField
            label="Section"
            name={`bonding ${n + 1}`}
            unit="mm²"
            step={0.5}
            value={b.csa}
            min={1}
            max={70}
            onCommit={(csa) => bond(n, { csa })}
          />
          <CheckField label="Seen at both ends" value={b.seen} onCommit={(seen) => say(bond(n, { seen }))} />
          <Button look="quiet" onClick={() => say(put({ bonding: supply.bonding.filter((_, i) => i !== n) }))}>
            Remove
          </Button>
        </div>
      ))}
      <div>
        <Button onClick={() => say(put({ bonding: [...supply.bonding, { service: "water", csa: 10, seen: false }] }))}>
          Add a service
        </Button>
      </div>
    </section>
  );
}

/** What the whole house is taken to draw, circuit by circuit. */
function DemandLines() {
  const job = useDesk((s) => s.job);
  const { lines, amps, unknown } = maximumDemand(job);
  if (!lines.length) return null;
  const label = (id: string): string => job.circuits.find((c) => c.id === id)?.label ?? id;
  return (
    <details className="text-[13px]" data-demand>
      <summary className="cursor-pointer">
        <span className="text-soft">Demand of the whole: </span>
        <span className="num">{figure(amps, 1)}</span> A
        {job.supply.mainSwitch === null ? null : (
          <>
            {" "}
            of <span className="num">{figure(job.supply.mainSwitch)}</span> A
          </>
        )}
      </summary>
      <table className="mt-1 w-full">
        <SmallHead columns={["Circuit", "Load, A", "Counts, %", "A"]} />
        <tbody>
          {lines.map((l) => (
            <tr key={l.circuit}>
              <th scope="row" className="text-left font-semibold">
                {label(l.circuit)}
              </th>
              <td className="num text-right">{l.amps.toFixed(1)}</td>
              <td className="num text-right">{figure(l.share * 100, 0)}</td>
              <td className="num text-right">{l.counts.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-soft">
        {unknown.length ? `Not counted, since nothing is known of their load: ${unknown.map(label).join(", ")}. ` : ""}
        Typical shares, by the school for the demand of the whole house. The distributor’s fuse decides: look at it.
      </p>
    </details>
  );
}

/** A measure that may not have been taken: nought stands for that. */
function OrNone({
  value,
  most,
  put,
  ...field
}: {
  label: string;
  name: string;
  unit: string;
  step: number;
  most: number;
  value: number | null;
  put: (x: number | null) => string | null;
}) {
  return <NumberField {...field} value={value ?? 0} min={0} max={most} onCommit={(x) => put(x === 0 ? null : x)} />;
}
