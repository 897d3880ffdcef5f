"use client";
import { pointLabels } from "../../core/job/labels";
import { Command } from "cmdk";
import { Dialog as D } from "radix-ui";
import { useRouter } from "next/navigation";
import { insidePolygon } from "../../core/base/polygon";
import { type PointKind, accessories, pointKinds } from "../../core/rules/accessories";
import { stages } from "../job/stages";
import { useDesk, useSnapshot } from "../job/store";
import { commands } from "./commands";
import { addPoint } from "../job/edits";
import { findScore } from "./find-score";
import { goTo } from "./order-of-work";
import { toast } from "sonner";

/** Pages that are gone to by name. */
const pages = [
  { name: "Bench: one question at a time", words: "calculators tools", href: "/bench" },
  { name: "Rule book", words: "rules sources", href: "/rules" },
  { name: "Schools of practice", words: "settings choices", href: "/schools?job=ID" },
  { name: "Steps for an end", words: "guide method", href: "/steps" },
  { name: "Catalogue", words: "cables boxes glands tables", href: "/catalogue" },
  { name: "All jobs", words: "home start list", href: "/" },
] as const;

/** One box for finding anything in the job and for every command. */
export function FindBox() {
  const open = useDesk((s) => s.find);
  const job = useDesk((s) => s.job);
  const laid = useSnapshot();
  const router = useRouter();
  const close = (): void => useDesk.setState({ find: false });
  const label = pointLabels(job);
  const roomOf = (wall: string): string | null => job.walls.find((w) => w.id === wall)?.room ?? null;
  const storeyOf = (room: string): string | null => job.rooms.find((r) => r.id === room)?.storey ?? null;
  const roomUnder = (p: { x: number; y: number }): string | null =>
    job.rooms.find((r) => insidePolygon(r.outline, p))?.id ?? null;
  const item =
    "flex min-h-8 cursor-pointer items-center justify-between gap-3 px-2 data-[selected=true]:bg-accent data-[selected=true]:text-onaccent";
  const run = (f: () => void) => (): void => {
    close();
    f();
  };
  return (
    <D.Root open={open} onOpenChange={(o) => useDesk.setState({ find: o })}>
      <D.Portal>
        <D.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <D.Content
          className="fixed top-16 left-1/2 z-50 w-[calc(100vw-2rem)] max-w-xl -translate-x-1/2 border border-ink bg-panel"
          aria-describedby={undefined}
        >
          <D.Title className="sr-only">Find</D.Title>
          <Command label="Find" loop filter={findScore}>
            <Command.Input
              placeholder="S4, kitchen, wall 2, R1, add socket, lay"
              className="w-full border-b border-line bg-field px-3 py-2.5 text-lg"
            />
            <Command.List className="max-h-[60vh] overflow-auto p-1">
              <Command.Empty className="p-3 text-soft">Nothing by that name.</Command.Empty>
              <Command.Group heading="Points">
                {[...job.points]
                  .sort((a, b) => a.label.localeCompare(b.label, undefined, { numeric: true }))
                  .map((p) => (
                    <Command.Item
                      key={p.id}
                      value={`point ${p.label} ${accessories[p.kind].name} ${p.name}`}
                      className={item}
                      onSelect={run(() => {
                        const room = p.place.on === "wall" ? roomOf(p.place.wall) : roomUnder(p.place);
                        useDesk.setState((s) => ({
                          selection: { kind: "point", id: p.id },
                          room: room ?? s.room,
                          storey: room ? storeyOf(room) : s.storey,
                          view: p.place.on === "wall" ? "unrolled" : "plan",
                        }));
                      })}
                    >
                      <span>
                        {p.label} · {accessories[p.kind].name}
                      </span>
                      <span className="text-[13px] opacity-75">
                        {p.place.on === "wall"
                          ? job.rooms.find((r) => r.id === roomOf((p.place as { wall: string }).wall))?.name
                          : "on the deck"}
                      </span>
                    </Command.Item>
                  ))}
              </Command.Group>
              <Command.Group heading="Rooms">
                {job.rooms.map((r) => (
                  <Command.Item
                    key={r.id}
                    value={`room ${r.name}`}
                    className={item}
                    onSelect={run(() =>
                      useDesk.setState({ room: r.id, storey: r.storey, selection: null, view: "unrolled" }),
                    )}
                  >
                    <span>{r.name}</span>
                    <span className="text-[13px] opacity-75">{job.storeys.find((s) => s.id === r.storey)?.name}</span>
                  </Command.Item>
                ))}
              </Command.Group>
              <Command.Group heading="Walls">
                {[...job.walls]
                  .sort((a, b) => (a.room === b.room ? a.index - b.index : a.room < b.room ? -1 : 1))
                  .map((w) => (
                    <Command.Item
                      key={w.id}
                      value={`wall ${w.index + 1} ${job.rooms.find((r) => r.id === w.room)?.name} ${w.id}`}
                      className={item}
                      onSelect={run(() =>
                        useDesk.setState({
                          room: w.room,
                          storey: storeyOf(w.room),
                          selection: { kind: "wall", id: w.id },
                          view: "unrolled",
                        }),
                      )}
                    >
                      <span>
                        Wall {w.index + 1} · {job.rooms.find((r) => r.id === w.room)?.name}
                      </span>
                    </Command.Item>
                  ))}
              </Command.Group>
              <Command.Group heading="Circuits">
                {job.circuits.map((c) => (
                  <Command.Item
                    key={c.id}
                    value={`circuit ${c.label} ${c.name}`}
                    className={item}
                    onSelect={run(() => {
                      goTo("circuits");
                      useDesk.setState({ selection: { kind: "circuit", id: c.id } });
                    })}
                  >
                    <span>
                      {c.label} · {c.name}
                    </span>
                    <span className="text-[13px] opacity-75">{c.kind}</span>
                  </Command.Item>
                ))}
              </Command.Group>
              <Command.Group heading="Runs">
                {(laid.plan?.runs ?? []).map((r) => (
                  <Command.Item
                    key={r.id}
                    value={`run ${label(r.from)} to ${label(r.to)} ${job.circuits.find((c) => c.id === r.circuit)?.label}`}
                    className={item}
                    onSelect={run(() => useDesk.setState({ selection: { kind: "run", id: r.id } }))}
                  >
                    <span>
                      {label(r.from)} to {label(r.to)}
                    </span>
                    <span className="text-[13px] opacity-75">
                      {job.circuits.find((c) => c.id === r.circuit)?.label}
                    </span>
                  </Command.Item>
                ))}
              </Command.Group>
              <Command.Group heading="Do">
                {pointKinds.map((k: PointKind) => (
                  <Command.Item
                    key={k}
                    value={`add ${accessories[k].name}`}
                    className={item}
                    onSelect={run(() => {
                      goTo("points");
                      const refused = addPoint(k, k === "socket" ? 2 : 1, null);
                      if (refused) toast.error(refused);
                    })}
                  >
                    Add: {accessories[k].name.toLowerCase()}
                  </Command.Item>
                ))}
                {commands.map((c) => (
                  <Command.Item
                    key={c.name}
                    value={`command ${c.name} ${c.words ?? ""}`}
                    className={item}
                    onSelect={run(c.run)}
                  >
                    <span>{c.name}</span>
                    <kbd className="font-mono text-[12px] opacity-75">{c.keys}</kbd>
                  </Command.Item>
                ))}
                {stages.map((s, i) => (
                  <Command.Item key={s.id} value={`go to ${s.name}`} className={item} onSelect={run(() => goTo(s.id))}>
                    <span>
                      Go to {i + 1} {s.name}
                    </span>
                  </Command.Item>
                ))}
                <Command.Item
                  value="command papers print pdf wall sheet story stick handover pack labels"
                  className={item}
                  onSelect={run(() => router.push(`/jobs/${job.id}/papers`))}
                >
                  Papers to print
                </Command.Item>
                <Command.Item
                  value="command open site view phone"
                  className={item}
                  onSelect={run(() => router.push(`/jobs/${job.id}/site`))}
                >
                  Open on site
                </Command.Item>
                {pages.map((p) => (
                  <Command.Item
                    key={p.href}
                    value={`command ${p.name} ${p.words}`}
                    className={item}
                    onSelect={run(() => router.push(p.href.replace("ID", job.id)))}
                  >
                    {p.name}
                  </Command.Item>
                ))}
              </Command.Group>
            </Command.List>
          </Command>
        </D.Content>
      </D.Portal>
    </D.Root>
  );
}
