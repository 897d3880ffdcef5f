"use client";
import { isMains } from "../../core/job/mains";
import { Trash2 } from "lucide-react";
import { toast } from "sonner";
import type { Point } from "../../core/job/model";
import { accessories, isLight, isSignal, isSwitch } from "../../core/rules/accessories";
import { roomServed } from "../../core/house/rooms-of";
import { wiredTo } from "../../core/job/wired";
import { lowestTop } from "../../core/base/ceiling";
import { wireAs } from "../../core/house/on-circuit";
import { isDrawn } from "../../core/trades/lighting/terminals";
import { editWith, removePoints, say, setCircuit } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { CheckField, NumberField, SelectField, TextField } from "../kit/field";
import { Measures } from "../kit/measures";
import { Ticks } from "../kit/ticks";
import { WiringPicture } from "./wiring-picture";
import { Works } from "./works";

const gangs = [
  { value: "1", name: "1-gang" },
  { value: "2", name: "2-gang" },
] as const;

/** Everything about one point, stored as it is typed. */
export function PointForm({ point }: { point: Point }) {
  const house = useDesk((s) => s.house);
  const job = useDesk((s) => s.job);
  const put = (next: Point): string | null => edit([change("points", point.id, next)]);
  const kind = accessories[point.kind];
  const face = house.faces[house.points[house.pointOfId.get(point.id) ?? -1]?.face ?? -1];
  const top =
    face?.shape.top && point.place.on === "wall"
      ? Math.round(lowestTop(face.shape.top, point.place.u, point.place.u) * 10) / 10
      : face?.shape.height;
  const circuit = job.circuits.find((c) => wiredTo(c).includes(point.id));
  const served = job.rooms.find((r) => r.id === roomServed(house, point.id));
  const inBath = served?.kind === "bathroom" || point.water !== null;
  const room = face?.room.id;
  const walls = job.walls.filter((w) => w.room === room).sort((a, b) => a.index - b.index);
  const rooms = job.rooms.filter((r) => r.storey === face?.room.storey);
  const outlets = job.points.filter(
    (p) =>
      p.kind === "appliance-outlet" &&
      p.place.on === "wall" &&
      walls.some((w) => w.id === (p.place as { wall: string }).wall),
  );
  const lights = job.points.filter((p) => isLight(p.kind));
  const sameSurface = (Object.keys(accessories) as (keyof typeof accessories)[]).filter((k) =>
    point.place.on === "wall" ? accessories[k].on !== "deck" : accessories[k].on !== "wall",
  );
  return (
    <section aria-label={`Point ${point.label}`} className="grid gap-1.5">
      <div className="flex items-center justify-between">
        <h2 className="text-lg">
          {point.label} · {kind.name}
        </h2>
        <Button
          look="quiet"
          aria-label={`Delete ${point.label}`}
          title="Delete (Del)"
          onClick={() => {
            const refused = removePoints([point.id]);
            if (refused) toast.error(refused);
          }}
          icon={<Trash2 size={16} />}
        />
      </div>
      {point.place.on === "wall" ? (
        <>
          <Measures
            of={point.place}
            rows={[
              { key: "u", label: "From left, u", name: "u", min: 0, ...(face ? { max: face.shape.length } : {}) },
              { key: "v", label: "From floor, v", name: "v", min: 0, max: top },
            ]}
            put={(next) => put({ ...point, place: { ...point.place, ...next } as Point["place"] })}
          />
          {rooms.length > 1 ? (
            <SelectField
              label="Room"
              name="point room"
              value={room ?? ""}
              options={rooms.map((r) => ({ value: r.id, name: r.name }))}
              onCommit={(r) => {
                const w = job.walls.find(
                  (x) => x.room === r && x.index === (job.rooms.find((y) => y.id === r)?.startWall ?? 0),
                );
                const refused = w
                  ? put({ ...point, place: { ...point.place, wall: w.id } as Point["place"] })
                  : "That room has no wall.";
                if (!refused) useDesk.setState({ room: r });
                return refused;
              }}
            />
          ) : null}
          <SelectField
            label="Wall"
            name="point wall"
            value={point.place.wall}
            options={walls.map((w) => ({ value: w.id, name: `Wall ${w.index + 1}` }))}
            onCommit={(wall) => put({ ...point, place: { ...point.place, wall } as Point["place"] })}
          />
        </>
      ) : (
        <>
          <NumberField
            label="East, x"
            name="x"
            value={point.place.x}
            onCommit={(x) => put({ ...point, place: { ...point.place, x } as Point["place"] })}
          />
          <NumberField
            label="North, y"
            name="y"
            value={point.place.y}
            onCommit={(y) => put({ ...point, place: { ...point.place, y } as Point["place"] })}
          />
        </>
      )}
      <SelectField
        label="Kind"
        value={point.kind}
        options={sameSurface.map((k) => ({ value: k, name: accessories[k].name }))}
        onCommit={(k) =>
          put({
            ...point,
            kind: k,
            gang: accessories[k].gangs.includes(point.gang) ? point.gang : 1,
            ways: k === "board" ? Math.max(point.ways, 10) : 0,
          })
        }
      />
      {kind.needs ? <p className="text-[13px] text-soft">{kind.needs}</p> : null}
      {kind.gangs.length > 1 ? (
        <SelectField
          label="Size"
          name="gang"
          value={String(point.gang) as "1" | "2"}
          options={gangs}
          onCommit={(g) => put({ ...point, gang: g === "2" ? 2 : 1 })}
        />
      ) : null}
      {point.kind === "board" ? (
        <NumberField
          label="Ways"
          unit=""
          value={point.ways}
          min={0}
          max={60}
          step={1}
          whole
          onCommit={(ways) => put({ ...point, ways })}
        />
      ) : point.kind === "cabinet" ? null : (
        <SelectField
          label="Circuit"
          value={circuit?.id ?? ""}
          options={[
            { value: "", name: "none yet" },
            ...job.circuits
              .filter((c) => isMains(c) === !isSignal(point.kind))
              .map((c) => ({ value: c.id, name: `${c.label} · ${c.name}` })),
          ]}
          onCommit={(id) => setCircuit([point.id], id || null)}
        />
      )}
      {circuit &&
      isMains(circuit) &&
      point.kind !== "board" &&
      !(circuit.kind === "lighting" && (isLight(point.kind) || isSwitch(point.kind))) ? (
        <SelectField
          label="Wired"
          name="wired"
          value={circuit.spurs.find((s) => s.point === point.id)?.from ?? ""}
          options={[
            { value: "", name: `in ${circuit.label} itself` },
            ...wiredTo(circuit)
              .filter((id) => id !== point.id)
              .map((id) => ({
                value: id,
                name: `${circuit.kind === "ring" ? "as a spur" : "as a branch"} from ${job.points.find((p) => p.id === id)?.label ?? id}`,
              })),
          ]}
          onCommit={(from) => editWith(wireAs(job, point.id, from || null))}
        />
      ) : null}
      {point.place.on === "wall" && point.kind !== "board" ? (
        <SelectField
          label="Box"
          value={point.mount}
          options={[
            { value: "flush", name: "flush, chased in" },
            { value: "surface", name: "on the surface" },
          ]}
          onCommit={(mount) => put({ ...point, mount })}
        />
      ) : null}
      <NumberField
        label="Box depth"
        name="box depth"
        value={point.boxDepth}
        min={10}
        max={120}
        step={1}
        onCommit={(boxDepth) => put({ ...point, boxDepth })}
      />
      <SelectField
        label="Found or new"
        value={point.existing ? "found" : "new"}
        options={[
          { value: "new", name: "new, put in by this job" },
          { value: "found", name: "found in the house" },
        ]}
        onCommit={(x) => put({ ...point, existing: x === "found" })}
      />
      {["fused-unit", "switch", "isolator", "cooker-control"].includes(point.kind) && outlets.length ? (
        <Ticks
          title="Switches off"
          options={outlets}
          ticked={point.controls}
          onChange={(controls) => put({ ...point, controls })}
        />
      ) : null}
      {isSwitch(point.kind) ? <Works point={point} lights={lights} put={put} /> : null}
      {point.kind === "fused-unit" ? (
        <>
          <SelectField
            label="Fuse"
            value={String(point.fuse) as "3" | "5" | "13"}
            options={[
              { value: "3", name: "3 A" },
              { value: "5", name: "5 A" },
              { value: "13", name: "13 A" },
            ]}
            onCommit={(f) => put({ ...point, fuse: Number(f) as Point["fuse"] })}
          />
          <CheckField
            label="Lights behind it are labelled, here, at the light and at the board"
            value={point.labelled}
            onCommit={(labelled) => say(put({ ...point, labelled }))}
          />
        </>
      ) : null}
      {kind.watts ? (
        <NumberField
          label={`Load, ${point.watts === null ? "the usual" : `usual ${kind.watts}`}`}
          name="load"
          unit="W"
          value={point.watts ?? kind.watts}
          min={0}
          max={100_000}
          step={1}
          onCommit={(watts) => put({ ...point, watts })}
        />
      ) : null}
      {inBath && kind.use !== "signal" ? (
        <SelectField
          label="Stands water"
          name="water"
          value={String(point.water ?? "")}
          options={[
            { value: "", name: "not known" },
            ...[0, 1, 2, 3, 4, 5, 6, 7, 8].map((n) => ({ value: String(n), name: `IPX${n}` })),
          ]}
          onCommit={(w) => put({ ...point, water: w === "" ? null : Number(w) })}
        />
      ) : null}
      <TextField
        label="Label"
        value={point.label}
        most={12}
        onCommit={(label) =>
          job.points.some((p) => p.id !== point.id && p.label === label)
            ? `Label is ${label}; another point has it. Choose one not in use.`
            : put({ ...point, label })
        }
      />
      <TextField
        label="Serves, note"
        required={false}
        most={40}
        value={point.name}
        onCommit={(name) => put({ ...point, name })}
      />
      {isDrawn(point) && circuit ? (
        <details data-point-wiring>
          <summary className="cursor-pointer text-[13.5px]">How its cables are connected</summary>
          <WiringPicture point={point.id} />
        </details>
      ) : null}
    </section>
  );
}
