"use client";
import { toast } from "sonner";
import { count, mm } from "../../core/base/figures";
import { runKey } from "../../core/job/run-key";
import { takeReading } from "../instruments/laser";
import { removePoints, unpinAll } from "../job/edits";
import { pickPoints, pickedPoints } from "../job/picking";
import { type Stepped, change, edit, redo, undo, useDesk } from "../job/store";
import { takeSectionTool } from "../stages/containment/draw-section";
import { goTo } from "./order-of-work";

export interface DeskCommand {
  name: string;
  /** Empty where there is no key for it. */
  keys: string;
  /** Other words that it is looked for by. */
  words?: string;
  /** True when the key event asks for this command. */
  on: (e: KeyboardEvent) => boolean;
  run: () => void;
}

/** Says what a step back or forth came to, where that is not to be seen. */
function say(stepped: Stepped, which: "undo" | "redo" = "undo"): void {
  if (typeof stepped === "object")
    toast.error(`This cannot be taken ${which === "undo" ? "back" : "forth"}: ${stepped.refused}`);
  if (stepped !== "nothing") return;
  const { undoEnds } = useDesk.getState();
  if (which === "redo") toast("Nothing to redo");
  else if (undoEnds)
    toast("Undo ends here", { description: `The ${count(undoEnds, "step")} before are not kept on this device.` });
  else toast("Nothing to undo", { description: "This is the job as it was first opened here." });
}

const plain = (e: KeyboardEvent): boolean => !e.ctrlKey && !e.metaKey && !e.altKey;
const key =
  (k: string) =>
  (e: KeyboardEvent): boolean =>
    plain(e) && e.key.toLowerCase() === k;
const withCtrl = (e: KeyboardEvent): boolean => e.ctrlKey || e.metaKey;

/** Lays every run afresh: pinned runs are let go, then the plan is told. */
function layAll(): void {
  const freed = unpinAll();
  const plan = useDesk.getState().snap?.plan ?? null;
  if (freed)
    toast(`${freed} pinned ${freed === 1 ? "run" : "runs"} laid again`, {
      action: { label: "Undo", onClick: () => say(undo()) },
    });
  else if (plan) {
    const stops = plan.facts.filter((f) => f.rule.startsWith("route.") && f.severity === "stop").length;
    toast(`${plan.runs.length} runs laid, ${mm(plan.cable.total / 1000)} m of path`, {
      description: stops
        ? `${stops} could not be laid or do not hold: see the findings.`
        : "Every leg and hole has been checked.",
    });
  }
}

function deleteSelected(): void {
  const { selection, job } = useDesk.getState();
  const picked = pickedPoints(selection);
  if (picked.length) {
    const label = picked.length === 1 ? job.points.find((p) => p.id === picked[0])?.label : `${picked.length} points`;
    const refused = removePoints(picked);
    if (refused) toast.error(refused);
    else toast(`${label} deleted`, { action: { label: "Undo", onClick: () => say(undo()) } });
  }
  if (selection?.kind === "section") {
    const label = job.sections.find((s) => s.id === selection.id)?.label;
    const refused = edit([change("sections", selection.id, null)]);
    if (refused) toast.error(refused);
    else {
      useDesk.setState({ selection: null });
      toast(`${label} deleted`, { action: { label: "Undo", onClick: () => say(undo()) } });
    }
  }
  if (selection?.kind === "run") {
    const pin = job.pins.find((p) => runKey(p, p.number) === selection.id);
    if (pin) edit([change("pins", pin.id, null)]);
    else toast("This run is not pinned: it lays itself. Take a point off its circuit to be rid of it.");
  }
}

/** Ids of the points of the room shown, along its walls in reading order. */
function roomPoints(): string[] {
  const { house, room } = useDesk.getState();
  return house.faces
    .filter((f) => f.room.id === room)
    .sort((a, b) => a.wall.index - b.wall.index)
    .flatMap((f) => [...f.points].sort((a, b) => a.u - b.u).map((p) => p.id));
}

/** Shows the next (or previous) room of the job. */
function nextRoom(by: 1 | -1): void {
  const { job, room } = useDesk.getState();
  if (!job.rooms.length) return;
  const at = job.rooms.findIndex((r) => r.id === room);
  const next = job.rooms[(at + by + job.rooms.length) % job.rooms.length]!;
  useDesk.setState({ room: next.id, storey: next.storey, selection: null });
}

/** Picks the next (or previous) wall of the room shown. */
function nextWall(by: 1 | -1): void {
  const { job, room, selection } = useDesk.getState();
  const walls = job.walls.filter((w) => w.room === room).sort((a, b) => a.index - b.index);
  if (!walls.length) return;
  const at = selection?.kind === "wall" ? walls.findIndex((w) => w.id === selection.id) : by > 0 ? -1 : 0;
  useDesk.setState({
    selection: { kind: "wall", id: walls[(at + by + walls.length) % walls.length]!.id },
    view: "unrolled",
  });
}

/** Picks the next (or previous) point of the room, in reading order. */
function nextPoint(by: 1 | -1): void {
  const { selection } = useDesk.getState();
  const ids = roomPoints();
  if (!ids.length) return;
  const at = selection?.kind === "point" ? ids.indexOf(selection.id) : -1;
  const id = ids[(at + by + ids.length) % ids.length]!;
  useDesk.setState({ selection: { kind: "point", id } });
  // The keyboard goes along: arrow keys move what is picked, not what was.
  const { label } = useDesk.getState().job.points.find((p) => p.id === id)!;
  const tag = document.querySelector<SVGElement>(`[data-point-tag="${CSS.escape(label)}"]`);
  if (tag) tag.focus({ preventScroll: true });
  else if (document.activeElement instanceof HTMLElement || document.activeElement instanceof SVGElement)
    document.activeElement.blur();
}

/** A command that has no key. */
const unkeyed = (name: string, words: string, run: () => void): DeskCommand => ({
  name,
  keys: "",
  words,
  on: () => false,
  run,
});

const ask = (asked: "walk" | "rectangle" | "deck") => (): void => {
  goTo("survey");
  useDesk.setState({ asked });
};

/** Fetches what the server gives of the job as a file. */
const fetchFile = (what: string) => (): void => {
  const a = document.createElement("a");
  a.href = `/api/jobs/${useDesk.getState().job.id}/${what}`;
  a.download = "";
  a.click();
};

export const commands: readonly DeskCommand[] = [
  unkeyed("Walk a room", "survey measure new", ask("walk")),
  unkeyed("Add a room by its size", "survey rectangle new", ask("rectangle")),
  unkeyed("Add joists over this storey", "deck floor bearings", ask("deck")),
  unkeyed("Dark or light theme", "night day colours", () =>
    document.querySelector<HTMLButtonElement>("[data-theme-turn]")?.click(),
  ),
  unkeyed("Tour of the desk, two minutes", "help guide show round introduction", () => useDesk.setState({ tour: 0 })),
  unkeyed("Export the job file", "save download backup", fetchFile("file")),
  unkeyed(
    "Export the lists as a spreadsheet",
    "xlsx excel download take-off buying cuts tests",
    fetchFile("materials.xlsx"),
  ),
  {
    name: "List of keys",
    keys: "?",
    words: "shortcuts keyboard help letters",
    on: (e) => e.key === "?" && plain(e),
    run: () => useDesk.setState({ keysOpen: true }),
  },
  {
    name: "Undo",
    keys: "Ctrl Z",
    on: (e) => withCtrl(e) && !e.shiftKey && e.key.toLowerCase() === "z",
    run: () => say(undo()),
  },
  {
    name: "Redo",
    keys: "Ctrl Y",
    on: (e) => withCtrl(e) && (e.key.toLowerCase() === "y" || (e.shiftKey && e.key.toLowerCase() === "z")),
    run: () => say(redo(), "redo"),
  },
  {
    name: "Find",
    keys: "/",
    on: (e) => (plain(e) && e.key === "/") || (withCtrl(e) && e.key.toLowerCase() === "k"),
    run: () => useDesk.setState({ find: true }),
  },
  { name: "Lay all runs", keys: "L", on: key("l"), run: layAll },
  { name: "Show or hide zones", keys: "Z", on: key("z"), run: () => useDesk.setState((s) => ({ zones: !s.zones })) },
  {
    name: "Add a point",
    keys: "P",
    on: key("p"),
    run: () => {
      goTo("points");
      requestAnimationFrame(() => document.querySelector<HTMLElement>("[data-palette] button")?.focus());
    },
  },
  {
    name: "Draw trunking",
    keys: "T",
    on: key("t"),
    run: () => {
      goTo("containment");
      useDesk.setState({ view: "unrolled" });
      takeSectionTool("trunking-plastic");
    },
  },
  { name: "Unrolled view", keys: "U", on: key("u"), run: () => useDesk.setState({ view: "unrolled" }) },
  { name: "Plan view", keys: "N", on: key("n"), run: () => useDesk.setState({ view: "plan" }) },
  { name: "Deck view", keys: "D", on: key("d"), run: () => useDesk.setState({ view: "deck" }) },
  { name: "Solid view", keys: "O", on: key("o"), run: () => useDesk.setState({ view: "solid" }) },
  {
    name: "Drilling schedule",
    keys: "B",
    on: key("b"),
    run: () => {
      goTo("timber");
      useDesk.setState({ view: "schedule" });
    },
  },
  { name: "Next point", keys: ".", on: key("."), run: () => nextPoint(1) },
  { name: "Previous point", keys: ",", on: key(","), run: () => nextPoint(-1) },
  { name: "Next room", keys: "]", on: key("]"), run: () => nextRoom(1) },
  { name: "Previous room", keys: "[", on: key("["), run: () => nextRoom(-1) },
  {
    name: "Next wall",
    keys: "W",
    on: (e) => plain(e) && !e.shiftKey && e.key.toLowerCase() === "w",
    run: () => nextWall(1),
  },
  {
    name: "Previous wall",
    keys: "Shift W",
    on: (e) => plain(e) && e.shiftKey && e.key.toLowerCase() === "w",
    run: () => nextWall(-1),
  },
  {
    name: "Pick all points of the room",
    keys: "Ctrl A",
    on: (e) => withCtrl(e) && e.key.toLowerCase() === "a",
    run: () => pickPoints(roomPoints()),
  },
  {
    name: "Laser reading into the field in focus",
    keys: "F9",
    on: (e) => e.key === "F9",
    run: () => void takeReading(),
  },
  {
    name: "Simulated instruments, open or close",
    keys: "I",
    on: key("i"),
    run: () => useDesk.setState((s) => ({ instruments: !s.instruments })),
  },
  { name: "Delete what is picked", keys: "Del", on: (e) => plain(e) && e.key === "Delete", run: deleteSelected },
  {
    name: "Fit the drawing",
    keys: "F",
    on: key("f"),
    run: () => document.querySelector<HTMLButtonElement>("[data-fit]")?.click(),
  },
  {
    name: "Clear selection",
    keys: "Esc",
    on: (e) => plain(e) && e.key === "Escape",
    run: () => useDesk.setState({ selection: null, paint: null, tool: null }),
  },
];
