"use client";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { bounds } from "../../core/geometry/polygon";
import { type Deck, type Room, roomKinds, wallBuilds } from "../../core/job/model";
import { mm } from "../../core/rules/findings";
import { addDeck, addRoom, removeRoom } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";
import { CheckField, NumberField, SelectField, TextField } from "../kit/field";

const say = (refused: string | null): void => {
  if (refused) toast.error(refused);
};

/** Rooms and decks of the job, and the form of the room that is unrolled. */
export function SurveyPanel() {
  const job = useDesk((s) => s.job);
  const roomId = useDesk((s) => s.room);
  const [adding, setAdding] = useState(false);
  const room = job.rooms.find((r) => r.id === roomId);
  return (
    <div className="grid gap-3">
      <section aria-label="Job" className="grid gap-1.5">
        <h2 className="text-lg">The job</h2>
        <TextField label="Name" value={job.name} onCommit={(name) => edit([change("head", "name", name)])} />
        <CheckField label="New dwelling (heights 450 to 1 200 apply)" value={job.dwelling.newDwelling} onCommit={(newDwelling) => say(edit([change("head", "dwelling", { ...job.dwelling, newDwelling })]))} />
      </section>
      <section aria-label="Rooms" className="grid gap-1.5">
        <div className="flex items-center justify-between">
          <h2 className="text-lg">Rooms</h2>
          <Button icon={<Plus size={14} />} onClick={() => setAdding(true)}>
            Add room
          </Button>
        </div>
        {room ? <RoomForm room={room} /> : <p className="text-soft">No room yet. Add the first one: its size is enough to start.</p>}
      </section>
      <section aria-label="Decks" className="grid gap-1.5">
        <h2 className="text-lg">Decks</h2>
        {job.decks.map((d) => (
          <DeckForm key={d.id} deck={d} />
        ))}
        <div className="flex flex-wrap gap-1">
          <Button onClick={() => say(addDeck("solid-joists"))}>Add joists over</Button>
          <Button onClick={() => say(addDeck("engineered"))}>Add engineered deck</Button>
          <Button onClick={() => say(addDeck("concrete"))}>Add slab under</Button>
        </div>
      </section>
      <AddRoom open={adding} onClose={() => setAdding(false)} />
    </div>
  );
}

function RoomForm({ room }: { room: Room }) {
  const put = (next: Partial<Room>): string | null => edit([change("rooms", room.id, { ...room, ...next })]);
  return (
    <div className="grid gap-1.5">
      <TextField label="Name" name="room name" value={room.name} onCommit={(name) => put({ name })} />
      <SelectField label="Kind" value={room.kind} options={roomKinds.map((k) => ({ value: k, name: k }))} onCommit={(kind) => put({ kind })} />
      <NumberField label="Ceiling height" value={room.height} min={300} max={20000} onCommit={(height) => put({ height })} />
      <SelectField label="Unroll from" value={String(room.startWall)} options={room.outline.map((_, i) => ({ value: String(i), name: `Wall ${i + 1}` }))} onCommit={(i) => put({ startWall: Number(i) })} />
      <details>
        <summary className="cursor-pointer text-[13.5px] text-soft">Corners, clockwise from above: east, north</summary>
        <div className="grid gap-1 pt-1">
          {room.outline.map((c, i) => (
            <div key={i} className="grid gap-0.5 border-b border-dotted border-line pb-1">
              {(["x", "y"] as const).map((k) => (
                <NumberField key={k} label={`Corner ${i + 1} ${k === "x" ? "east" : "north"}`} value={c[k]} onCommit={(v) => put({ outline: room.outline.map((p, n) => (n === i ? { ...p, [k]: v } : p)) })} />
              ))}
            </div>
          ))}
        </div>
      </details>
      <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => say(removeRoom(room.id))}>
        Delete {room.name} and what is on its walls
      </Button>
    </div>
  );
}

function DeckForm({ deck }: { deck: Deck }) {
  const put = (next: Partial<Deck>): string | null => edit([change("decks", deck.id, { ...deck, ...next })]);
  const joists = (next: Partial<Deck["joists"]>): string | null => put({ joists: { ...deck.joists, ...next } });
  return (
    <details className="border border-line px-2 py-1">
      <summary className="cursor-pointer text-[13.5px]">
        {deck.name}
        <span className="text-soft"> · {deck.kind === "concrete" ? "concrete" : `${mm(deck.joists.depth)} × ${mm(deck.joists.breadth)} at ${mm(deck.joists.spacing)}`}</span>
      </summary>
      <div className="grid gap-1 pt-1">
        <TextField label="Name" value={deck.name} onCommit={(name) => put({ name })} />
        <SelectField label="Kind" value={deck.kind} options={[{ value: "solid-joists", name: "solid joists" }, { value: "engineered", name: "engineered joists" }, { value: "concrete", name: "concrete" }]} onCommit={(kind) => put({ kind })} />
        <NumberField label="Underside, height" value={deck.underside} onCommit={(underside) => put({ underside })} />
        {deck.kind === "concrete" ? null : (
          <>
            <SelectField label="Joists run" value={deck.joists.direction} options={[{ value: "east-west", name: "east–west" }, { value: "north-south", name: "north–south" }]} onCommit={(direction) => joists({ direction })} />
            <NumberField label="Breadth" value={deck.joists.breadth} min={20} max={300} onCommit={(breadth) => joists({ breadth })} />
            <NumberField label="Depth" value={deck.joists.depth} min={50} max={600} onCommit={(depth) => joists({ depth })} />
            <NumberField label="Spacing" value={deck.joists.spacing} min={150} max={1200} onCommit={(spacing) => joists({ spacing })} />
            <NumberField label="First, from edge" value={deck.joists.first} min={0} onCommit={(first) => joists({ first })} />
            <TextField
              label="Bearings, from–to"
              required={false}
              most={200}
              value={deck.joists.bearings.map(([a, b]) => `${a} to ${b}`).join(", ")}
              onCommit={(text) => {
                const parts = text.split(",").map((t) => t.trim()).filter(Boolean).map((t) => /^(-?\d+(?:\.\d+)?)\s*(?:to|–|\.\.)\s*(-?\d+(?:\.\d+)?)$/.exec(t));
                if (parts.some((p) => !p)) return `Bearings is “${text}”; write each as from to, such as -100 to 0, 4200 to 4450.`;
                return joists({ bearings: parts.map((p) => [Number(p![1]), Number(p![2])] as [number, number]) });
              }}
            />
            <SelectField label="Access" value={deck.access} options={[{ value: "open", name: "open" }, { value: "boards-up", name: "boards can come up" }, { value: "closed", name: "closed" }]} onCommit={(access) => put({ access })} />
            <ExistingCuts deck={deck} />
          </>
        )}
        <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => say(edit([change("decks", deck.id, null)]))}>
          Delete this deck
        </Button>
      </div>
    </details>
  );
}

function ExistingCuts({ deck }: { deck: Deck }) {
  const put = (existingCuts: Deck["existingCuts"]): string | null => edit([change("decks", deck.id, { ...deck, existingCuts })]);
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Holes and notches already there</h4>
      {deck.existingCuts.map((c, i) => (
        <details key={c.id} className="border border-line px-2 py-1">
          <summary className="cursor-pointer text-[13px]">
            Joist {c.joist}: {c.kind} at <span className="num">{mm(c.at)}</span>
          </summary>
          <div className="grid gap-1 pt-1">
            {(Object.keys(c) as (keyof typeof c)[]).filter((k) => typeof c[k] === "number").map((k) => (
              <NumberField key={k} label={{ joist: "Joist number", span: "Span number", at: "From left bearing", diameter: "Diameter", fromTop: "Centre from top", width: "Width", depth: "Depth" }[k as string] ?? String(k)} unit={k === "joist" || k === "span" ? "" : "mm"} step={k === "joist" || k === "span" ? 1 : 10} value={c[k] as number} min={0} onCommit={(v) => put(deck.existingCuts.map((x, n) => (n === i ? { ...x, [k]: v } : x)))} />
            ))}
            <Button look="quiet" onClick={() => say(put(deck.existingCuts.filter((_, n) => n !== i)))}>
              Remove
            </Button>
          </div>
        </details>
      ))}
      <div className="flex gap-1">
        <Button onClick={() => say(put([...deck.existingCuts, { id: `cut-${Date.now().toString(36)}`, kind: "hole", joist: 1, span: 1, at: 1000, diameter: 20, fromTop: deck.joists.depth / 2 }]))}>Add hole</Button>
        <Button onClick={() => say(put([...deck.existingCuts, { id: `cut-${Date.now().toString(36)}`, kind: "notch", joist: 1, span: 1, at: 600, width: 40, depth: 20, edge: "top" }]))}>Add notch</Button>
      </div>
    </div>
  );
}

function AddRoom({ open, onClose }: { open: boolean; onClose: () => void }) {
  const job = useDesk((s) => s.job);
  const start = (): Parameters<typeof addRoom>[0] => {
    const all = job.rooms.flatMap((r) => r.outline);
    const b = all.length ? bounds(all) : null;
    return { name: `Room ${job.rooms.length + 1}`, kind: "other", x: b ? b.x1 + 100 : 0, y: b ? b.y0 : 0, width: 3600, depth: 3000, height: job.storeys[0]?.height ?? 2400, build: "masonry", thickness: 100 };
  };
  const [f, setF] = useState(start);
  const [fault, setFault] = useState<string | null>(null);
  const set = (next: Partial<typeof f>): void => setF((x) => ({ ...x, ...next }));
  return (
    <Sheet
      open={open}
      onOpenChange={(o) => {
        if (!o) {
          onClose();
          setF(start());
          setFault(null);
        }
      }}
      title="Add a room"
      about="Inside sizes, wall to wall. It starts as a rectangle; put in more corners later. Set it a wall's thickness away from its neighbour and the two share the wall."
    >
      <div className="grid gap-1.5">
        <TextField label="Name" name="new room name" value={f.name} onCommit={(name) => set({ name })} />
        <SelectField label="Kind" value={f.kind} options={roomKinds.map((k) => ({ value: k, name: k }))} onCommit={(kind) => set({ kind })} />
        <NumberField label="East–west" name="room width" value={f.width} min={300} max={50000} onCommit={(width) => set({ width })} />
        <NumberField label="North–south" name="room depth" value={f.depth} min={300} max={50000} onCommit={(depth) => set({ depth })} />
        <NumberField label="Ceiling height" value={f.height} min={300} max={20000} onCommit={(height) => set({ height })} />
        <NumberField label="South-west corner, east" value={f.x} onCommit={(x) => set({ x })} />
        <NumberField label="South-west corner, north" value={f.y} onCommit={(y) => set({ y })} />
        <SelectField label="Walls" value={f.build} options={wallBuilds.map((b) => ({ value: b, name: b.replace("-", " ") }))} onCommit={(build) => set({ build })} />
        <NumberField label="Wall thickness" value={f.thickness} min={20} max={2000} onCommit={(thickness) => set({ thickness })} />
        {fault ? (
          <p role="alert" className="font-medium text-stop">
            {fault}
          </p>
        ) : null}
        <div className="mt-2 flex justify-end gap-2">
          <Button onClick={onClose}>Leave it</Button>
          <Button
            look="solid"
            onClick={() => {
              const refused = addRoom(f);
              if (refused) return setFault(refused);
              onClose();
              setF(start());
            }}
          >
            Add the room
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
