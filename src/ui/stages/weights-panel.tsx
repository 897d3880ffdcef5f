"use client";
import { useState } from "react";
import { toast } from "sonner";
import type { Costs } from "../../core/job/model";
import type { Variant } from "../../core/plan/compare-plans";
import { presetNames, presetOf, presets, weightWords } from "../../core/routing/weights";
import { askWorker } from "../job/ask";
import { say } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";
import { NumberField, SelectField } from "../kit/field";

const setCosts = (cost: Costs): string | null => {
  const { settings } = useDesk.getState().job;
  return edit([change("head", "settings", { ...settings, cost })]);
};

/** What the router weighs: a preset, every weight by hand, and the whole job laid by each preset side by side. */
export function WeightsPanel() {
  const cost = useDesk((s) => s.job.settings.cost);
  const [variants, setVariants] = useState<Variant[] | "working" | null>(null);
  const preset = presetOf(cost);
  const compare = async (): Promise<void> => {
    const { job, catalogue } = useDesk.getState();
    setVariants("working");
    try {
      setVariants(await askWorker((w) => w.variants(job, catalogue)));
    } catch (e) {
      setVariants(null);
      toast.error(`The ways could not be compared: ${e instanceof Error ? e.message : String(e)}. Ask again.`);
    }
  };
  return (
    <section aria-label="How runs are laid" className="grid gap-1.5">
      <h2 className="text-lg">How runs are laid</h2>
      <SelectField
        label="Favour"
        name="preset"
        value={preset ?? "own"}
        options={[
          ...(preset ? [] : [{ value: "own", name: "by your own weights" }]),
          ...presetNames.map((p) => ({ value: p as string, name: presets[p].name })),
        ]}
        onCommit={(p) => (p === "own" ? null : setCosts(presets[p as keyof typeof presets].cost))}
      />
      <p className="text-[13px] text-soft">{preset ? presets[preset].about : "Your own weights."}</p>
      <div>
        <Button onClick={() => void compare()}>Lay it every way and compare</Button>
      </div>
      <details>
        <summary className="cursor-pointer text-[13.5px] text-soft">Every weight, in mm of cable</summary>
        <div className="grid gap-1 pt-1">
          {(Object.keys(weightWords) as (keyof Costs)[]).map((k) => (
            <NumberField
              key={k}
              label={weightWords[k].name}
              name={`weight ${k}`}
              unit={weightWords[k].unit}
              step={["bore", "wallHole", "faces", "bend", "crossing"].includes(k) ? 10 : 0.1}
              value={cost[k]}
              min={k === "cable" ? 0.05 : 0}
              onCommit={(x) => setCosts({ ...cost, [k]: x })}
            />
          ))}
        </div>
      </details>
      <Sheet
        open={variants !== null}
        onOpenChange={(o) => !o && setVariants(null)}
        wide
        title="The whole job, laid every way"
        about="Each is laid for real by its own weights. Take one; Ctrl Z takes it back."
      >
        {variants === "working" || variants === null ? (
          <p className="text-soft" aria-live="polite">
            Laying the job {presetNames.length} times.
          </p>
        ) : (
          <div className="overflow-auto">
            <table className="w-full text-[13.5px]" data-variants>
              <thead>
                <tr className="border-b border-line text-left text-soft">
                  {[
                    "",
                    "Cable, m",
                    "Plain tour, m",
                    "Times that",
                    "Holes",
                    "Holes in walls",
                    "Chase, m",
                    "Bends",
                    "Faces opened",
                    "Stops",
                    "",
                  ].map((x, i) => (
                    <th key={i} scope="col" className="px-1.5 py-1 font-normal">
                      {x}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {variants.map((v) => (
                  <tr
                    key={v.preset}
                    data-variant={v.preset}
                    className={`border-b border-dotted border-line ${v.preset === preset ? "bg-rail" : ""}`}
                  >
                    <th scope="row" className="px-1.5 py-1 text-left font-semibold whitespace-nowrap">
                      {v.name}
                    </th>
                    {[
                      v.figures.cable.toFixed(1),
                      v.figures.plumb.toFixed(1),
                      v.figures.ratio.toFixed(2),
                      v.figures.bores,
                      v.figures.wallHoles,
                      v.figures.chase.toFixed(1),
                      v.figures.bends,
                      v.figures.faces,
                      v.figures.stops,
                    ].map((x, i) => (
                      <td key={i} className="num px-1.5 py-1 text-right">
                        {x}
                      </td>
                    ))}
                    <td className="px-1.5 py-1">
                      <Button
                        disabled={v.preset === preset}
                        onClick={() => {
                          say(setCosts(v.cost));
                          setVariants(null);
                        }}
                      >
                        {v.preset === preset ? "in use" : "Take it"}
                      </Button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </Sheet>
    </section>
  );
}
