"use client";
import { Footprints, Square } from "lucide-react";
import { useEffect, useState } from "react";
import { decksOfStorey } from "../../../core/house/house";
import { addDeck, say } from "../../job/edits";
import { change, edit, useDesk, useStorey } from "../../job/store";
import { Button } from "../../kit/button";
import { CheckField, SelectField, TextField } from "../../kit/field";
import type { Deck } from "../../../core/job/model";
import { NewDeck } from "./deck/new-deck";
import { DeckForm } from "./deck-form";
import { OutsideWalls } from "./outside-walls";
import { Drawings } from "./drawings";
import { FoundCables } from "./found-cables";
import { RectangleRoom } from "./rectangle-room";
import { RoomForm } from "./room/room-form";
import { SupplyForm } from "./supply";
import { Storeys } from "./storeys";
import { Unknowns } from "./unknowns";
import { WalkRoom } from "./walk-room";

const countries = [
  { value: "england", name: "England" },
  { value: "wales", name: "Wales" },
  { value: "scotland", name: "Scotland" },
  { value: "northern-ireland", name: "Northern Ireland" },
  { value: "elsewhere", name: "elsewhere" },
] as const;

/** The whole survey: what the job is, its storeys, rooms, decks, what was found, drawings in and out. */
export function SurveyPanel() {
  const job = useDesk((s) => s.job);
  const roomId = useDesk((s) => s.room);
  const storey = useStorey();
  const [adding, setAdding] = useState<"walk" | "rectangle" | null>(null);
  // What a command asked for opens here, once this panel stands.
  const asked = useDesk((s) => s.asked);
  useEffect(() => {
    if (asked === null) return;
    useDesk.setState({ asked: null });
    if (asked === "deck") askDeck("solid-joists");
    else setAdding(asked);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only what was asked decides
  }, [asked]);
  const room = job.rooms.find((r) => r.id === roomId);
  const decks = decksOfStorey(job, storey);
  const others = job.decks.filter((d) => !decks.includes(d));
  const [newDeck, setNewDeck] = useState<Deck["kind"] | null>(null);
  const askDeck = (kind: Deck["kind"]): void => {
    if (job.rooms.some((r) => r.storey === storey && r.kind !== "yard")) setNewDeck(kind);
    else say("Add a room first: the deck takes its outline from the rooms below it.");
  };
  const dwelling = (next: Partial<typeof job.dwelling>): string | null =>
    edit([change("head", "dwelling", { ...job.dwelling, ...next })]);
  return (
    <div className="grid gap-4">
      <section aria-label="Rooms" className="grid gap-1.5">
        <h2 className="text-lg">{room ? room.name : "Rooms"}</h2>
        {room ? (
          <RoomForm key={room.id} room={room} />
        ) : (
          <p className="text-soft">
            No room on this storey yet. Walk the first one: its lengths and turns are enough to start.
          </p>
        )}
        <div className="flex flex-wrap gap-1">
          <Button look="solid" icon={<Footprints size={14} />} onClick={() => setAdding("walk")}>
            Walk a room
          </Button>
          <Button icon={<Square size={14} />} onClick={() => setAdding("rectangle")}>
            Add room
          </Button>
        </div>
      </section>
      <Unknowns />
      <OutsideWalls />
      <Storeys shown={storey} />
      <section aria-label="Decks" className="grid gap-1.5">
        <h2 className="text-lg">Decks</h2>
        {decks.map((d) => (
          <DeckForm key={d.id} deck={d} />
        ))}
        {others.length ? (
          <details>
            <summary className="cursor-pointer text-[13px] text-soft">{others.length} of other storeys</summary>
            <div className="grid gap-1 pt-1">
              {others.map((d) => (
                <DeckForm key={d.id} deck={d} />
              ))}
            </div>
          </details>
        ) : null}
        <div className="flex flex-wrap gap-1">
          <Button onClick={() => askDeck("solid-joists")}>Add joists over</Button>
          <Button onClick={() => askDeck("engineered")}>Add engineered deck</Button>
          <Button onClick={() => say(addDeck("concrete"))}>Add slab under</Button>
        </div>
      </section>
      <FoundCables />
      <SupplyForm />
      <Drawings storey={storey} />
      <section aria-label="Job" className="grid gap-1.5">
        <h2 className="text-lg">The job</h2>
        <TextField label="Name" value={job.name} onCommit={(name) => edit([change("head", "name", name)])} />
        <TextField
          label="Address"
          required={false}
          most={200}
          value={job.address}
          onCommit={(address) => edit([change("head", "address", address)])}
        />
        <SelectField
          label="Country"
          value={job.dwelling.country}
          options={countries}
          onCommit={(country) => dwelling({ country })}
        />
        <CheckField
          label="New dwelling (heights 450 to 1 200 apply)"
          value={job.dwelling.newDwelling}
          onCommit={(newDwelling) => say(dwelling({ newDwelling }))}
        />
        <CheckField
          label="People live in it during the work"
          value={job.dwelling.occupied}
          onCommit={(occupied) => say(dwelling({ occupied }))}
        />
      </section>
      <NewDeck kind={newDeck} onClose={() => setNewDeck(null)} />
      <WalkRoom open={adding === "walk"} onClose={() => setAdding(null)} />
      <RectangleRoom open={adding === "rectangle"} onClose={() => setAdding(null)} />
    </div>
  );
}
