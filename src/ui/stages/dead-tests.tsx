"use client";
import { useMemo, useState } from "react";
import { pointLabels } from "../../core/job/labels";
import { expectedOfCircuit } from "../../core/plan/expected-readings";
import { useSnapshot } from "../job/store";
import { NumberField } from "../kit/field";
import { SmallHead } from "../kit/small-head";

/** What the dead tests of a circuit should read, at the temperature of the day. */
export function DeadTests({ circuit }: { circuit: string }) {
  const { house, job, plan } = useSnapshot();
  const [degrees, setDegrees] = useState(20);
  const expected = useMemo(
    () => (plan ? expectedOfCircuit(house, plan, circuit, degrees) : null),
    [house, plan, circuit, degrees],
  );
  const label = pointLabels(job);
  if (!expected) return null;
  const { ring, points } = expected;
  return (
    <details className="text-[13px]" data-dead-tests>
      <summary className="cursor-pointer">
        <span className="text-soft">Dead tests should read: </span>
        {ring ? (
          <>
            r1 and rn <span className="num">{ring.r1.toFixed(2)}</span>, r2{" "}
            <span className="num">{ring.r2.toFixed(2)}</span> Ω
          </>
        ) : (
          <>
            R1+R2 at most <span className="num">{expected.most.toFixed(2)}</span> Ω
          </>
        )}
      </summary>
      <NumberField
        label="Temperature of the day"
        name="test temperature"
        unit="°C"
        value={degrees}
        min={-20}
        max={50}
        step={1}
        onCommit={setDegrees}
      />
      <table className="mt-1 w-full">
        <SmallHead columns={["Point", ring ? "L–N crossed, Ω" : "L–N, Ω", ring ? "L–E crossed, Ω" : "R1+R2, Ω"]} />
        <tbody>
          {points.map((p) => (
            <tr key={p.point}>
              <th scope="row" className="text-left font-semibold">
                {label(p.point)}
                {p.spur ? <span className="font-normal text-soft"> spur</span> : null}
              </th>
              <td className="num text-right">{p.lineNeutral.toFixed(2)}</td>
              <td className="num text-right">{p.lineEarth.toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-soft">
        From the way of each run and what hangs at its ends, dead and at the board’s end
        {ring ? " with line of one leg on neutral or earth of the other" : ""}. Isolate, prove dead, prove the tester.
        Readings are judged on the Bench.
      </p>
    </details>
  );
}
