"use client";
import Link from "next/link";
import { useState } from "react";
import { count } from "../../../core/base/figures";
import type { Circuit } from "../../../core/job/model";
import { extensionsOf } from "../../../core/trades/retrofit/extension";
import { say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { SheetFrame, link, useNames } from "../sheets/frame";
import { AddToCircuit } from "./add-to-circuit";

/** Old circuits, and how each is added to: from the first reading to what is bought. */
export function OldWiringSheet() {
  const { job, house, plan } = useNames();
  const looking = useDesk((s) => s.looking);
  const all = plan ? extensionsOf(house, plan) : [];
  const [shown, setShown] = useState<string | null>(null);
  const f = all.find((x) => x.circuit.id === shown) ?? all[0];
  const kept = job.circuits.filter((c) => c.state === "keep");
  const extend = (c: Circuit): void => {
    const refused = edit([change("circuits", c.id, { ...c, state: "extend" })]);
    say(refused);
    if (!refused) setShown(c.id);
  };
  return (
    <SheetFrame
      title="Old wiring"
      about="Adding to what is in the house: prove what it is, break into it at one place, bring the new cable in with little mess, and judge the whole circuit, old part included. Isolate, prove dead, prove the tester before and after."
      tools={
        <Link className={`${link} no-print`} href="/steps?kind=find-shape">
          Guided: ring or radial
        </Link>
      }
    >
      <div className="no-print mb-3 flex flex-wrap items-center gap-1.5">
        {all.map((x) => (
          <Button key={x.circuit.id} aria-pressed={x === f} onClick={() => setShown(x.circuit.id)}>
            {x.circuit.label}, {count(x.added.length, "new point")}
          </Button>
        ))}
        {kept.map((c) => (
          <Button key={c.id} look="quiet" disabled={looking !== null} onClick={() => extend(c)}>
            Add to {c.label}, {c.name}
          </Button>
        ))}
      </div>
      {f ? (
        <AddToCircuit key={f.circuit.id} f={f} />
      ) : (
        <div className="grid max-w-[62ch] gap-2 text-soft" data-no-old>
          <p>
            No old circuit is added to yet. Mark its points as found in their form, put them on a circuit and say in
            Circuits that it was found; the cables between them go into Survey, Found in the house.
          </p>
          <p>Then it stands above as a circuit to add to.</p>
        </div>
      )}
    </SheetFrame>
  );
}
