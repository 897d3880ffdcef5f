"use client";
import { ArrowLeft, BookCheck, Download, Printer } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { type PaperKind, paperKinds, paperNames } from "../../core/papers/paper";
import { useMoment } from "../kit/use-moment";
import { Button, buttonLook } from "../kit/button";
import { Choice } from "../kit/choice";
import { Labels, type LabelsOfKind } from "./labels";

/** A paper that can be had, without what is on it. */
interface Listed {
  kind: PaperKind;
  id: string;
  title: string;
  room: string | null;
}

/** What each is for, in a line. */
const uses: Record<PaperKind, string> = {
  plan: "each storey from above, with joists, runs and holes",
  room: "walls side by side with all that is on them",
  wall: "one wall a sheet for other trades and owners: what is behind, how to isolate, released by whom",
  stick: "all marks of a wall on strips to tape together; many pages",
  joists: "joists that are bored alike share a stick",
  runs: "turns and clips along each cable; very many pages",
  bores: "deck by deck in walking order, with its drawing",
  boxes: "every box from the front with the measures of its cables; boards in the order they are tied",
  glands: "faces that are drilled by, and the end plates of trunkings",
  opened: "each piece with its marks, each fold to lay on",
  outside: "the ground from above, each trench, wire and row of lights from the side, with its marks",
  circuits: "ways, devices, cables and points, for the board",
  cuts: "every length, by cable",
  buy: "what is still to buy, in the cheapest packs",
  day: "what is left, day by day, by whom",
  tests: "what each run and ring should read, and what it read",
  notify: "which parts are notifiable where the house stands, and why",
};
/** Those that are of a room or of a wall; a board's card is of none. */
const ofRoom = new Set<PaperKind>(["room", "wall", "stick", "boxes"]);
const sticks = new Set<PaperKind>(["stick", "joists", "runs"]);

/** Papers of a job: chosen, looked at, printed, kept as one file; made from the same drawings as the screen. */
export function PapersView({
  job,
  rooms,
  papers,
  labels,
}: {
  job: { id: string; name: string; address: string };
  rooms: readonly { id: string; name: string }[];
  papers: readonly Listed[];
  labels: readonly LabelsOfKind[];
}) {
  const [kinds, setKinds] = useState<ReadonlySet<PaperKind>>(new Set(paperKinds.filter((k) => !sticks.has(k))));
  const [room, setRoom] = useState("");
  const [wall, setWall] = useState("");
  const [size, setSize] = useState<"A4" | "A3" | "roll">("A4");
  const there = (k: PaperKind): Listed[] =>
    papers.filter(
      (p) =>
        p.kind === k &&
        (!ofRoom.has(k) ||
          ((room === "" || p.room === room) && (k === "room" || k === "boxes" || wall === "" || p.id === wall))),
    );
  const onRoll = size === "roll";
  const picked = paperKinds.filter((k) => kinds.has(k) && (!onRoll || sticks.has(k)));
  const chosen = picked.flatMap(there);
  const walls = papers.filter((p) => p.kind === "wall" && p.room === room);
  const q = new URLSearchParams({ kinds: picked.join(","), size });
  if (room) q.set("room", room);
  if (wall) q.set("wall", wall);
  const file = `/api/jobs/${job.id}/papers.pdf?${q.toString()}${useMoment()}`;
  const field = "min-h-12 w-full border border-line bg-field px-2 text-[16px]";
  return (
    <div className="min-h-dvh bg-page">
      <header className="bar flex min-h-14 items-center gap-3 bg-bar px-3 text-barink">
        <Link
          href={`/jobs/${job.id}`}
          className="inline-flex size-12 items-center justify-center"
          aria-label="Back to the desk"
        >
          <ArrowLeft />
        </Link>
        <div className="min-w-0">
          <h1 className="truncate text-xl">Papers: {job.name}</h1>
          <p className="truncate text-[14px] opacity-80">{job.address}</p>
        </div>
      </header>
      <main className="mx-auto grid max-w-5xl gap-5 p-4 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <fieldset className="grid content-start">
          <legend className="pb-1 text-lg">What to print</legend>
          {paperKinds.map((k) => {
            const n = there(k).length;
            return (
              <label
                key={k}
                className="flex min-h-14 cursor-pointer items-center gap-3 border-b border-dotted border-line py-1.5"
              >
                <input
                  type="checkbox"
                  className="size-5 shrink-0 accent-(--accent)"
                  checked={kinds.has(k)}
                  data-kind={k}
                  onChange={(e) => {
                    const next = new Set(kinds);
                    if (e.target.checked) next.add(k);
                    else next.delete(k);
                    setKinds(next);
                  }}
                />
                <span className="min-w-0 flex-1">
                  <span className="block font-semibold">{paperNames[k]}</span>
                  <span className="block text-[14px] text-soft">{uses[k]}</span>
                </span>
                <span className="num text-soft">{n}</span>
              </label>
            );
          })}
        </fieldset>
        <div className="grid content-start gap-4">
          <label className="grid gap-1">
            Rooms, walls and sticks of
            <select
              className={field}
              data-field="room"
              value={room}
              onChange={(e) => {
                setRoom(e.target.value);
                setWall("");
              }}
            >
              <option value="">all rooms</option>
              {rooms.map((r) => (
                <option key={r.id} value={r.id}>
                  {r.name}
                </option>
              ))}
            </select>
          </label>
          {room ? (
            <label className="grid gap-1">
              Wall
              <select className={field} data-field="wall" value={wall} onChange={(e) => setWall(e.target.value)}>
                <option value="">all its walls</option>
                {walls.map((w) => (
                  <option key={w.id} value={w.id}>
                    {w.title.split(" · ")[0]}
                  </option>
                ))}
              </select>
            </label>
          ) : null}
          <Button
            big
            icon={<BookCheck size={18} />}
            onClick={() => {
              setKinds(new Set(paperKinds.filter((k) => k !== "runs")));
              setRoom("");
              setWall("");
              setSize("A4");
            }}
          >
            All of it, to hand over
          </Button>
          <div className="flex items-center gap-3">
            <span>Paper</span>
            <Choice
              label="Paper"
              size="thumb"
              value={size}
              options={[
                ["A4", "A4"],
                ["A3", "A3"],
                ["roll", "Roll"],
              ]}
              onChange={setSize}
            />
          </div>
          <p role="status" className="text-soft" data-papers={chosen.length}>
            {chosen.length
              ? `${chosen.length} ${chosen.length === 1 ? "paper" : "papers"}, in this order${chosen.length > 1 ? ", with their contents in front" : ""}. Print at 100 %: sticks and templates are true to scale.`
              : papers.length
                ? onRoll
                  ? "A roll takes story sticks alone: tick which."
                  : "Nothing is picked: tick what to print."
                : "Nothing to print yet: draw a room and lay its runs first."}
          </p>
          {chosen.length ? (
            <div className="flex flex-wrap gap-2">
              <a className={buttonLook({ big: true, look: "solid" })} href={`${file}&look=1`} target="_blank">
                <Printer size={18} aria-hidden /> Look at and print
              </a>
              <a className={buttonLook({ big: true })} href={file} download data-download>
                <Download size={18} aria-hidden /> Keep as PDF
              </a>
            </div>
          ) : null}
          <ol
            className="max-h-[26rem] overflow-y-auto border-y border-line text-[14px]"
            aria-label="Papers"
            // It scrolls: keys must reach it.
            tabIndex={0}
          >
            {chosen.map((p) => (
              <li key={`${p.kind} ${p.id}`} className="border-b border-dotted border-line">
                <Link
                  href={
                    p.kind === "wall"
                      ? `/jobs/${job.id}/walls/${p.id}`
                      : `/jobs/${job.id}/papers/${p.kind}/${encodeURIComponent(p.id)}`
                  }
                  className="inline-flex min-h-8 items-center underline decoration-dotted underline-offset-2"
                >
                  {p.title}
                </Link>
              </li>
            ))}
          </ol>
          <Labels job={job.id} labels={labels} />
        </div>
      </main>
    </div>
  );
}
