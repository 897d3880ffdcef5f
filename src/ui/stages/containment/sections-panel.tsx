"use client";
import { useState } from "react";
import { count, mm } from "../../../core/base/figures";
import { sectionName } from "../../../core/drawings/section-drawings";
import { bounds } from "../../../core/base/polygon";
import { type Settings } from "../../../core/job/model";
import { type Proposed, proposeSections } from "../../../core/plan/choose-sections";
import { laySection } from "../../../core/house/sections";
import { wallName } from "../../../core/words/ways";
import { newId, putSection, say } from "../../job/edits";
import { change, edit, useDesk, useSnapshot } from "../../job/store";
import { Button } from "../../kit/button";
import { SelectField } from "../../kit/field";
import { fillWords } from "../../../core/words/at-end";
import { useSectionFigures } from "./use-figures";

/** Every section of the job with how full it is, and what is proposed for the room shown. */
export function SectionsPanel() {
  const figures = useSectionFigures();
  const selection = useDesk((s) => s.selection);
  const job = useDesk((s) => s.job);
  return (
    <>
      <section aria-label="Sections" className="grid gap-1">
        <h2 className="text-lg">Sections</h2>
        {figures.length ? null : (
          <p className="text-soft">
            None yet. Draw one on a wall, or have them chosen for the room: capping in masonry, nothing in a stud void,
            trunking down to the board.
          </p>
        )}
        {figures.map((f) => {
          const { id, state } = f.laid.section;
          const own = job.sections.some((s) => s.id === id);
          const weak = f.circuits.filter((c) => !c.holds).length;
          const first = f.laid.section.path[0]!;
          return (
            <button
              key={id}
              type="button"
              disabled={!own}
              aria-pressed={selection?.kind === "section" && selection.id === id}
              className="grid cursor-pointer gap-0.5 border border-line px-2 py-1 text-left hover:border-ink disabled:cursor-default"
              onClick={() => {
                const room = f.laid.stretches[0]!.face;
                const face = useDesk.getState().house.faces[room];
                useDesk.setState({
                  selection: { kind: "section", id, show: true },
                  ...(face ? { room: face.room.id, storey: face.room.storey } : {}),
                });
              }}
              data-section-row={id}
            >
              <span className="font-semibold">
                {sectionName(f.laid)}
                {state === "found" ? ", found" : ""}
              </span>
              <span className={`num text-[12.5px] ${f.fill.ok ? "text-soft" : "text-stop"}`}>{fillWords(f)}</span>
              {first.on === "wall" ? (
                <span className="text-[12.5px] text-soft">
                  {wallName(useDesk.getState().house, first.wall)}, {mm(Math.round(f.laid.length))} long
                </span>
              ) : null}
              {weak ? (
                <span className="text-[12.5px] text-stop">{count(weak, "circuit")} carry too little in it</span>
              ) : null}
            </button>
          );
        })}
      </section>
      <OnDeck />
      <Choose />
    </>
  );
}

/** A tray over the joists of a deck that lies open, to begin with right across its middle. */
function OnDeck() {
  const decks = useDesk((s) => s.job.decks);
  const open = decks.filter((d) => d.access === "open" && d.kind !== "concrete");
  if (!open.length) return null;
  const add = (id: string): string | null => {
    const d = open.find((x) => x.id === id);
    if (!d) return null;
    const box = bounds(d.outline);
    const across = d.joists.direction === "east-west";
    const [x, y] = [Math.round((box.x0 + box.x1) / 2), Math.round((box.y0 + box.y1) / 2)];
    const ends = across
      ? [
          { x, y: box.y0 + 300 },
          { x, y: box.y1 - 300 },
        ]
      : [
          { x: box.x0 + 300, y },
          { x: box.x1 - 300, y },
        ];
    return putSection({ kind: "tray", size: "100", path: ends.map((p) => ({ on: "deck", deck: id, ...p })) });
  };
  return (
    <SelectField
      label="Tray over joists"
      value=""
      options={[{ value: "", name: "choose a deck" }, ...open.map((d) => ({ value: d.id, name: d.name }))]}
      onCommit={add}
    />
  );
}

const underPlaster = [
  { value: "capping", name: "capping" },
  { value: "oval", name: "oval tube, withdrawable" },
] as const;
const onSurface = [
  { value: "mini-trunking", name: "mini-trunking" },
  { value: "conduit-plastic", name: "plastic conduit" },
] as const;
type InRoom = Settings["containment"]["rooms"][string];

/** "Choose for me": containment for the room shown, or along the picked run, each with its reason. */
function Choose() {
  const { house, plan } = useSnapshot();
  const room = useDesk((s) => s.room);
  const selection = useDesk((s) => s.selection);
  const name = house.job.rooms.find((r) => r.id === room)?.name ?? "";
  const settings = useDesk((s) => s.job.settings);
  const { masonry, surface } = settings.containment;
  const put = (next: Partial<typeof settings.containment>): string | null => {
    setFound(null);
    return edit([change("head", "settings", { ...settings, containment: { ...settings.containment, ...next } })]);
  };
  const [found, setFound] = useState<{ for: string; list: Proposed[] } | null>(null);
  if (!plan || !room) return null;
  const own: InRoom | undefined = settings.containment.rooms[room];
  const putHere = ({
    masonry: m,
    surface: s,
  }: {
    masonry?: InRoom["masonry"] | undefined;
    surface?: InRoom["surface"] | undefined;
  }): string | null => {
    const { [room]: _, ...others } = settings.containment.rooms;
    const here = { ...(m ? { masonry: m } : {}), ...(s ? { surface: s } : {}) };
    return put({ rooms: m || s ? { ...others, [room]: here } : others });
  };
  const run = selection?.kind === "run" ? selection.id : undefined;
  const key = run ?? room;
  const list = found?.for === key ? found.list : null;
  const propose = (): void =>
    setFound({
      for: key,
      list: proposeSections(house, plan, { masonry, surface }, run ? { run } : { room }, () => newId("se")),
    });
  const take = (some: readonly Proposed[]): void => {
    const refused = edit(some.map((p) => change("sections", p.section.id, p.section)));
    say(refused);
    if (!refused && list) setFound({ for: key, list: list.filter((p) => !some.includes(p)) });
  };
  return (
    <section aria-label="Choose for me" className="grid gap-1.5" data-choose>
      <h2 className="text-lg">Choose for me</h2>
      <SelectField
        label="Under plaster"
        value={masonry}
        options={underPlaster}
        onCommit={(masonry) => put({ masonry })}
      />
      <SelectField
        label="On the surface"
        value={surface}
        options={onSurface}
        onCommit={(surface) => put({ surface })}
      />
      <details open={Boolean(own)}>
        <summary className="cursor-pointer text-[13.5px]">Another in {name}</summary>
        <div className="grid gap-1.5 pt-1">
          <SelectField
            label="Under plaster here"
            name="room masonry"
            value={own?.masonry ?? ""}
            options={[{ value: "", name: "as in the job" }, ...underPlaster]}
            onCommit={(m) => putHere({ ...own, masonry: m === "" ? undefined : m })}
          />
          <SelectField
            label="On the surface here"
            name="room surface"
            value={own?.surface ?? ""}
            options={[{ value: "", name: "as in the job" }, ...onSurface]}
            onCommit={(m) => putHere({ ...own, surface: m === "" ? undefined : m })}
          />
        </div>
      </details>
      <Button onClick={propose}>{run ? "For the picked run" : `For ${name}`}</Button>
      {list ? (
        list.length ? (
          <>
            <ul className="grid gap-1">
              {list.map((p) => {
                const laid = laySection(house, p.section);
                const first = p.section.path[0]!;
                return (
                  <li key={p.section.id} className="grid gap-0.5 border border-line px-2 py-1 text-[13px]">
                    <span className="font-semibold">{laid ? sectionName(laid) : p.section.label}</span>
                    <span className="text-soft">
                      {first.on === "wall" ? wallName(house, first.wall) : ""}
                      {laid ? `, ${mm(Math.round(laid.length))} long` : ""}
                    </span>
                    <span>{p.reason}</span>
                    <Button look="quiet" className="min-h-7 justify-self-start" onClick={() => take([p])}>
                      Put it in
                    </Button>
                  </li>
                );
              })}
            </ul>
            <Button look="solid" onClick={() => take(list)}>
              Put all {list.length} in
            </Button>
          </>
        ) : (
          <p className="text-[13px] text-soft">
            Nothing to choose: what runs here lies in a void or in a section already.
          </p>
        )
      ) : null}
    </section>
  );
}
