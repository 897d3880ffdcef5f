"use client";
import { Camera, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import type { Face } from "../../core/house/house";
import { fixtureKinds, photoSchema } from "../../core/job/model";
import { behindWall } from "../../core/plan/behind-wall";
import { mm } from "../../core/base/figures";
import { moveWall, setWall } from "../../core/house/reshape";
import { fixtureNames } from "../../core/house/typical";
import { addFixture, addOpening, editWith, joinSides, newId, say, splitSide } from "../job/edits";
import { pictureUrl, sendPicture } from "../job/pictures";
import { change, edit, useDesk, usePlan } from "../job/store";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";
import { CheckField, NumberField, SelectField, TextField } from "../kit/field";
import { KeepFree } from "./keep-free";
import { FoundTrunkings } from "./found-trunkings";
import { buildNames } from "./survey/new-room";

const at = { u: "From left", width: "Width", height: "Height", depth: "Depth" };

/** Build of a wall, its openings, what stands against it, photos of it; splitting, joining and moving it. */
export function WallForm({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const fresh = useDesk((s) => s.fresh);
  const { wall, room } = face;
  const { length, height } = face.shape;
  const [place, setPlace] = useState<number | null>(null);
  const openings = job.openings.filter((o) => o.wall === wall.id).sort((a, b) => a.u - b.u);
  const fixtures = job.fixtures.filter((f) => f.wall === wall.id).sort((a, b) => a.u - b.u);
  const put = (next: Partial<typeof wall>): string | null => edit([change("walls", wall.id, { ...wall, ...next })]);
  const whole = (next: Parameters<typeof setWall>[2]): string | null => editWith(setWall(job, wall, next));
  return (
    <section aria-label={`Wall ${wall.index + 1}`} className="grid gap-1.5">
      <h2 className="text-lg">
        Wall {wall.index + 1} of {room.name} <span className="num text-[14px] font-normal text-soft">{mm(length)}</span>
      </h2>
      <SelectField
        label="Build"
        value={wall.build}
        options={(Object.keys(buildNames) as (keyof typeof buildNames)[]).map((b) => ({
          value: b,
          name: buildNames[b],
        }))}
        onCommit={(build) => whole({ build })}
      />
      <NumberField
        label="Thickness"
        value={wall.thickness}
        min={20}
        max={2000}
        onCommit={(thickness) => whole({ thickness })}
      />
      <SelectField
        label="Behind it"
        value={wall.backing}
        options={[
          { value: "room", name: "a room" },
          { value: "outside", name: "outside" },
          { value: "party", name: "the neighbour" },
        ]}
        onCommit={(backing) => put({ backing })}
      />
      <div className="flex gap-4">
        <CheckField label="Insulated" value={wall.insulated} onCommit={(insulated) => say(whole({ insulated }))} />
        <CheckField
          label="Foil-backed board"
          value={wall.foilBacked}
          onCommit={(foilBacked) => say(put({ foilBacked }))}
        />
      </div>
      <h3 className="mt-1">Openings</h3>
      {openings.length ? null : <p className="text-[13px] text-soft">None.</p>}
      {openings.map((o) => (
        <details key={o.id} className="border border-line px-2 py-1" open={fresh === o.id || undefined}>
          <summary className="cursor-pointer text-[13.5px]">
            {o.kind}{" "}
            <span className="num">
              {mm(o.width)} × {mm(o.height)}
            </span>{" "}
            at <span className="num">{mm(o.u)}</span>
          </summary>
          <div className="grid gap-1 pt-1">
            {(["u", "v", "width", "height"] as const).map((k) => (
              <NumberField
                key={k}
                label={k === "v" ? "Sill, from floor" : at[k]}
                name={`${o.kind} ${k}`}
                value={o[k]}
                min={k === "u" || k === "v" ? 0 : 1}
                onCommit={(x) => edit([change("openings", o.id, { ...o, [k]: x })])}
              />
            ))}
            <Button
              look="quiet"
              icon={<Trash2 size={14} />}
              onClick={() => say(edit([change("openings", o.id, null)]))}
            >
              Remove
            </Button>
          </div>
        </details>
      ))}
      <div className="flex flex-wrap gap-1">
        {(["door", "window", "arch"] as const).map((k) => (
          <Button key={k} onClick={() => say(addOpening(wall.id, k, length, height))}>
            Add {k}
          </Button>
        ))}
      </div>
      <h3 className="mt-1">Standing against it</h3>
      {fixtures.map((f) => (
        <details key={f.id} className="border border-line px-2 py-1" open={fresh === f.id || undefined}>
          <summary className="cursor-pointer text-[13.5px]">
            {f.name || fixtureNames[f.kind]} <span className="num">{mm(f.width)}</span> at{" "}
            <span className="num">{mm(f.u)}</span>
          </summary>
          <div className="grid gap-1 pt-1">
            <TextField
              label="Name"
              required={false}
              most={40}
              value={f.name}
              onCommit={(name) => edit([change("fixtures", f.id, { ...f, name })])}
            />
            {(["u", "v", "width", "height", "depth"] as const).map((k) => (
              <NumberField
                key={k}
                label={k === "v" ? "From floor" : at[k]}
                name={`${f.kind} ${k}`}
                value={f[k]}
                min={k === "width" || k === "height" ? 1 : 0}
                onCommit={(x) => edit([change("fixtures", f.id, { ...f, [k]: x })])}
              />
            ))}
            <Button
              look="quiet"
              icon={<Trash2 size={14} />}
              onClick={() => say(edit([change("fixtures", f.id, null)]))}
            >
              Remove
            </Button>
          </div>
        </details>
      ))}
      <SelectField
        label="Add"
        name="add fixture"
        value=""
        options={[
          { value: "", name: "choose" },
          ...fixtureKinds.map((k) => ({ value: k as string, name: fixtureNames[k] })),
        ]}
        onCommit={(k) => (k ? addFixture(wall.id, k as (typeof fixtureKinds)[number], length) : null)}
      />
      <FoundTrunkings face={face} />
      <KeepFree
        on={{ wall: wall.id }}
        fresh={() => ({
          on: "wall",
          wall: wall.id,
          u: Math.round(length / 2) - 150,
          v: 0,
          width: 300,
          height: Math.round(height),
        })}
      />
      <BehindThis face={face} />
      <Photos face={face} />
      <details>
        <summary className="cursor-pointer text-[13.5px] text-soft">Split, join, move this wall</summary>
        <div className="grid gap-1 pt-1">
          <NumberField
            label="Split at"
            name="split at"
            value={place ?? Math.round(length / 2)}
            min={10}
            max={length - 10}
            onCommit={setPlace}
          />
          <Button onClick={() => say(splitSide(room, wall.index, place ?? Math.round(length / 2)))}>
            Put a corner there
          </Button>
          <Button onClick={() => say(joinSides(room, wall.index))}>Join with the wall to its right</Button>
          <NumberField
            label="Move into the room"
            name="move wall"
            value={0}
            min={-20000}
            max={20000}
            onCommit={(by) => (by === 0 ? null : editWith(moveWall(job, room, wall.index, by)))}
          />
          <p className="text-[12.5px] text-soft">A shared wall moves with its face in the other room.</p>
        </div>
      </details>
    </section>
  );
}

/** What runs behind this face and the other one, measured from here. */
function BehindThis({ face }: { face: Face }) {
  const house = useDesk((s) => s.house);
  const plan = usePlan();
  const list = behindWall(house, plan, face.wall.id);
  const label = (id: string): string => house.points[house.pointOfId.get(id) ?? -1]?.point.label ?? id;
  return (
    <details>
      <summary className="cursor-pointer text-[13.5px] text-soft">
        Behind this wall: {list.length ? `${list.length} legs of runs` : "nothing laid"}
      </summary>
      <ul className="pt-1 text-[13px]" data-behind>
        {list.map((x) => {
          const r = plan?.runs.find((y) => y.id === x.run);
          return (
            <li key={`${x.run} ${x.leg} ${x.from}`}>
              <button
                type="button"
                className="w-full cursor-pointer border-b border-dotted border-line py-0.5 text-left hover:bg-rail"
                onClick={() => useDesk.setState({ selection: { kind: "run", id: x.run, leg: x.leg } })}
              >
                {r ? `${label(r.from)}–${label(r.to)}` : x.run}, {x.method}:{" "}
                <span className="num">
                  {Math.abs(x.a.u - x.b.u) < 1
                    ? `${mm(Math.round(x.a.u))}`
                    : `${mm(Math.round(Math.min(x.a.u, x.b.u)))} to ${mm(Math.round(Math.max(x.a.u, x.b.u)))}`}
                </span>{" "}
                from left,{" "}
                <span className="num">
                  {mm(Math.round(Math.min(x.a.v, x.b.v)))} to {mm(Math.round(Math.max(x.a.v, x.b.v)))}
                </span>{" "}
                up, <span className="num">{mm(Math.round(x.depth))}</span> deep{x.otherFace ? `, from ${x.from}` : ""}
              </button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

/** Photos attached to a wall at a place on it. */
function Photos({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const input = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const photos = job.photos.filter((p) => p.wall === face.wall.id).sort((a, b) => a.u - b.u);
  const open = photos.find((p) => p.id === shown);
  const take = async (f: File): Promise<void> => {
    const sent = await sendPicture(job.id, f);
    if ("message" in sent) return setFault(`${f.name} was not taken: ${sent.message}.`);
    const id = newId("ph");
    const refused = edit([
      change(
        "photos",
        id,
        photoSchema.parse({
          id,
          wall: face.wall.id,
          picture: sent.id,
          u: Math.round(face.shape.length / 2),
          v: Math.round(face.shape.height / 2),
          text: "",
          at: new Date().toISOString(),
        }),
      ),
    ]);
    setFault(refused);
  };
  return (
    <>
      <h3 className="mt-1">Photos</h3>
      <input
        ref={input}
        type="file"
        accept="image/png,image/jpeg,image/webp"
        capture="environment"
        className="hidden"
        data-photo
        onChange={(e) => {
          const f = e.target.files?.[0];
          e.target.value = "";
          if (f) void take(f);
        }}
      />
      {fault ? (
        <p role="alert" className="text-[13px] font-medium text-stop">
          {fault}
        </p>
      ) : null}
      {photos.length ? (
        <ul className="grid grid-cols-3 gap-1">
          {photos.map((p) => (
            <li key={p.id}>
              <button
                type="button"
                className="block w-full cursor-pointer border border-line"
                onClick={() => setShown(p.id)}
                aria-label={`Photo ${p.text || `at ${mm(p.u)}, ${mm(p.v)}`}`}
              >
                <img
                  src={pictureUrl(job.id, p.picture)}
                  alt={p.text || "photo of the wall"}
                  className="block h-16 w-full object-cover"
                />
              </button>
            </li>
          ))}
        </ul>
      ) : null}
      <div>
        <Button icon={<Camera size={14} />} onClick={() => input.current?.click()}>
          Add a photo
        </Button>
      </div>
      <Sheet
        open={open !== undefined}
        onOpenChange={(o) => !o && setShown(null)}
        wide
        title={`Photo on wall ${face.wall.index + 1} of ${face.room.name}`}
      >
        {open ? (
          <div className="grid gap-2">
            <img
              src={pictureUrl(job.id, open.picture)}
              alt={open.text || "photo of the wall"}
              className="block max-h-[56vh] w-full object-contain"
            />
            <TextField
              label="What it shows"
              required={false}
              most={200}
              value={open.text}
              onCommit={(text) => edit([change("photos", open.id, { ...open, text })])}
            />
            <NumberField
              label="From left"
              name="photo u"
              value={open.u}
              min={0}
              max={face.shape.length}
              onCommit={(u) => edit([change("photos", open.id, { ...open, u })])}
            />
            <NumberField
              label="From floor"
              name="photo v"
              value={open.v}
              min={0}
              max={face.shape.height}
              onCommit={(v) => edit([change("photos", open.id, { ...open, v })])}
            />
            <div>
              <Button
                look="quiet"
                icon={<Trash2 size={14} />}
                onClick={() => {
                  setShown(null);
                  say(edit([change("photos", open.id, null)]));
                }}
              >
                Remove the photo
              </Button>
            </div>
          </div>
        ) : null}
      </Sheet>
    </>
  );
}
