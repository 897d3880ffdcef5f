"use client";
import { drawCircuitLine } from "../../core/drawings/circuit-line";
import { SceneView } from "../drawing/scene-view";
import { DeadTests } from "./dead-tests";
import { Remedies } from "./remedies";
import { SmallHead } from "../kit/small-head";
import { useMemo } from "react";
import { figure, mm } from "../../core/base/figures";
import { pointLabels } from "../../core/job/labels";
import { laidCircuits } from "../../core/trades/circuits/laid-circuit";
import { carriesWords, judgedWords, loopWorking } from "../../core/words/as-laid";
import { useDesk, usePlan } from "../job/store";

/** What a circuit comes to as it is laid: what it carries, and loop and drop at every point, the worst marked. */
export function AsLaid({ circuit }: { circuit: string }) {
  const house = useDesk((s) => s.house);
  const plan = usePlan();
  const laid = useMemo(
    () =>
      plan ? laidCircuits(house, plan.runs, plan.holes, plan.found).find((x) => x.circuit.id === circuit) : undefined,
    [house, plan, circuit],
  );
  if (!laid) return null;
  const label = pointLabels(house.job);
  const { result, places } = laid;
  const worst = places.reduce((a, b) => (b.zs > a.zs ? b : a), places[0]!);
  const most = result.maxZs;
  return (
    <>
      <details className="text-[13px]" data-as-laid>
        <summary className="cursor-pointer">
          <span className="text-soft">As laid: </span>
          <span className="num">{figure(result.iz, 1)}</span> A, Zs <span className="num">{figure(result.zs)}</span> of{" "}
          <span className="num">{most === null ? "–" : figure(most)}</span> Ω
          {laid.input.designCurrent > 0 ? (
            <>
              , drop <span className="num">{figure(result.drop.percent, 1)}</span> of{" "}
              <span className="num">{result.drop.limit}</span> %
            </>
          ) : null}
        </summary>
        <p className="mt-1">{carriesWords(laid)}</p>
        <SceneView scene={drawCircuitLine(laid, label)} tall={230} beside={12} />
        <p className="text-soft">Bars: what each leg carries. Dark line: what it must.</p>
        <Remedies circuit={circuit} />
        <table className="mt-1 w-full">
          <SmallHead columns={["Point", "Cable, m", "Zs, Ω", "Drop, %"]} />
          <tbody>
            {places.map((p) => (
              <tr key={p.point} className={p === worst ? "border-y border-ink" : ""}>
                <th scope="row" className="text-left font-semibold">
                  {label(p.point)}
                  <span className="font-normal text-soft">
                    {p === worst ? " highest" : ""}
                    {p.spur > 0 && laid.input.kind === "ring" ? " spur" : ""}
                  </span>
                </th>
                <td className="num text-right">{(p.along + p.spur).toFixed(1)}</td>
                <td className="num text-right">{p.zs.toFixed(2)}</td>
                <td className="num text-right">{laid.input.designCurrent > 0 ? p.drop.percent.toFixed(1) : "–"}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-soft">
          {loopWorking(laid)} Held against {most === null ? "nothing: no RCD" : `${figure(most)} Ω`}
          {laid.input.earthing === "TT"
            ? ", what the RCD allows"
            : `, ${laid.input.device.curve}${mm(laid.input.device.rating)}`}
          . {judgedWords(laid)}
        </p>
      </details>
      <DeadTests circuit={circuit} />
    </>
  );
}
