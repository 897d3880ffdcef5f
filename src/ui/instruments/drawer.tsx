"use client";
import { X } from "lucide-react";
import { useState } from "react";
import { mm } from "../../core/base/figures";
import type { DetectorSignal } from "../../instruments/port";
import { practiceRooms } from "../../instruments/practice-rooms";
import { judgeSweep, simulatedDetector } from "../../instruments/simulated-detector";
import { laserSettings, laserWords } from "../../instruments/simulated-laser";
import { wallTruth } from "../../instruments/wall-truth";
import { useDesk, usePlan } from "../job/store";
import { pickedWall } from "../job/edits";
import { Button } from "../kit/button";
import { NumberField, SelectField } from "../kit/field";
import { setLaser, takeReading, useLaser } from "./laser";

/** Drawer of instruments, each saying that it is simulated. It leaves the cursor where it is, so that a reading lands in the field in focus. */
export function InstrumentDrawer() {
  const open = useDesk((s) => s.instruments);
  if (!open) return null;
  return (
    <section
      aria-label="Simulated instruments"
      className="no-print fixed bottom-1 left-1 z-30 max-h-[calc(100dvh-4rem)] w-72 max-w-[calc(100vw-0.5rem)] overflow-auto border border-ink bg-panel p-3 shadow-[4px_4px_0_0_rgb(0_0_0/.2)]"
    >
      <div className="mb-2 flex items-center justify-between">
        <h2 className="text-lg">Simulated instruments</h2>
        <Button
          look="quiet"
          aria-label="Close the drawer"
          icon={<X size={16} />}
          onClick={() => useDesk.setState({ instruments: false })}
        />
      </div>
      <p className="mb-2 text-[12.5px] text-soft">
        None of these is a real tool: they are here to practise with and to be swapped for real ones.
      </p>
      <Laser />
      <Detector />
    </section>
  );
}

function Laser() {
  const { setting, practice, last, laser } = useLaser();
  return (
    <div className="grid gap-1.5 border-t border-line pt-2">
      <h3>{laser.name}</h3>
      <SelectField
        label="Behaves"
        name="laser setting"
        value={setting}
        options={laserSettings.map((s) => ({ value: s, name: laserWords[s] }))}
        onCommit={setLaser}
      />
      <SelectField
        label="In a walk, reads"
        name="practice room"
        value={String(practice)}
        options={practiceRooms.map((r, i) => ({ value: String(i), name: r.name }))}
        onCommit={(i) => useLaser.setState({ practice: Number(i) })}
      />
      {/* Pressing must not take the cursor out of the field that is to be filled. */}
      <Button look="solid" hint="F9" onMouseDown={(e) => e.preventDefault()} onClick={() => void takeReading()}>
        Read into the field in focus
      </Button>
      <p className="num min-h-5 text-[12.5px] text-soft" aria-live="polite">
        {last}
      </p>
    </div>
  );
}

function Detector() {
  const [v, setV] = useState(1200);
  const [told, setTold] = useState<{ signals: DetectorSignal[]; words: string; wall: string } | null>(null);
  const house = useDesk((s) => s.house);
  const plan = usePlan();
  // Follows the picked wall.
  useDesk((s) => s.selection);
  const wall = pickedWall();
  const face = house.faces[house.faceOfWall.get(wall ?? "") ?? -1];
  const sweep = async (): Promise<void> => {
    if (!wall) return;
    const truth = wallTruth(house, plan, wall, v);
    const { readings, signals } = await simulatedDetector(Math.round(v) + wall.length).sweep(truth);
    setTold({ signals, words: judgeSweep(truth, signals).words, wall });
    useDesk.setState({ sweep: { wall, v, readings, signals }, view: "unrolled" });
  };
  return (
    <div className="mt-2 grid gap-1.5 border-t border-line pt-2">
      <h3>Wall detector, simulated</h3>
      <p className="text-[12.5px] text-soft">
        {face ? `Sweeps wall ${face.wall.index + 1} of ${face.room.name} from left to right.` : "Pick a wall to sweep."}
      </p>
      <NumberField
        label="At height"
        name="sweep height"
        value={v}
        min={0}
        max={face?.shape.height ?? 3000}
        onCommit={setV}
      />
      <Button disabled={!face} onClick={() => void sweep()}>
        Sweep the wall
      </Button>
      {told && told.wall === wall ? (
        <div aria-live="polite" data-sweep>
          {told.signals.length ? (
            <ul className="text-[13px]">
              {told.signals.map((s) => (
                <li key={s.from}>
                  <span className="num">
                    {mm(s.from)} to {mm(s.to)}
                  </span>{" "}
                  {s.says}
                </li>
              ))}
            </ul>
          ) : (
            <p className="text-[13px]">Nothing detected; not proof.</p>
          )}
          <p className="mt-1 text-[13px] font-medium">{told.words}</p>
          <p className="mt-1 text-[12.5px] text-soft">Zones and common sense come first. Prove dead before you cut.</p>
        </div>
      ) : null}
    </div>
  );
}
