"use client";
import { RefusalsSheet } from "../kit/refusals";
import { Copy, FileDown, FolderOpen, Plus, Trash2, Upload } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { FILE_MOST } from "../../core/job/file";
import type { JobLine } from "../../core/job/job-line";
import type { JobsActions } from "../job/actions";
import { Button, buttonLook } from "../kit/button";
import { FileButton } from "../kit/file-button";
import { useRefusal } from "../kit/me";
import { Sheet } from "../kit/dialog";
import { TextField } from "../kit/field";
import { type BackupsState, Backups, putBack } from "./backups";
import { type BinLine, Bin } from "./bin";
import { PageBar } from "../kit/page-bar";

const n = (count: number, one: string): string => `${count} ${one}${count === 1 ? "" : "s"}`;

/** Longest name of a job, characters. */
const NAME_MOST = 80;
const nameFault = (typed: string): string | null => {
  const length = typed.trim().length;
  if (length === 0) return `Name is empty; give it 1 to ${NAME_MOST} characters.`;
  return length > NAME_MOST ? `Name has ${length} characters; at most ${NAME_MOST} fit.` : null;
};

/** All jobs on this machine: open, copy, delete with a way back, start new, bring in a file. */
export function JobsPage({
  jobs,
  found,
  bin,
  backups,
  actions,
}: {
  jobs: JobLine[];
  /** What was looked for, how many jobs hold it, and how many there are. */
  found: { words: string; total: number; whole: number };
  bin: BinLine[];
  backups: BackupsState;
  actions: JobsActions;
}) {
  const router = useRouter();
  const looking = useRefusal("plan") !== null;
  const owns = useRefusal("own") === null;
  const [starting, setStarting] = useState<"blank" | "demo" | null>(null);
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [refusals, setRefusals] = useState<{ file: string; list: { path: string; message: string }[] } | null>(null);
  const offline = (): void =>
    void toast.error("The server did not answer. Nothing has changed; try again when it is running.");

  const begin = (from: "blank" | "demo"): void => {
    setName(from === "demo" ? "Tern Cottage" : "");
    setFault(null);
    setStarting(from);
  };
  const start = async (): Promise<void> => {
    if (!starting) return;
    // A name too long or empty is refused in words, never replaced.
    const bad = nameFault(name);
    setFault(bad);
    if (bad) return;
    setBusy(true);
    try {
      const made = await actions.create(starting, name.trim());
      if (made.ok) router.push(`/jobs/${made.id}?stage=${starting === "demo" ? "points" : "survey"}`);
      else setFault(made.message);
    } catch {
      offline();
    }
    setBusy(false);
  };
  const bringIn = async (f: File): Promise<void> => {
    setBusy(true);
    try {
      if (f.name.endsWith(".gz")) {
        const told = await putBack(f);
        if ("fault" in told) setRefusals({ file: f.name, list: [{ path: "", message: told.fault }] });
        else toast("Brought in", { description: told.words, duration: 15_000 });
        router.refresh();
        return setBusy(false);
      }
      const made =
        f.size > FILE_MOST
          ? {
              ok: false as const,
              refusals: [{ path: "", message: `the file has ${f.size} bytes; at most ${FILE_MOST} are read` }],
            }
          : await actions.importFile(await f.text());
      if (made.ok) {
        toast("Brought in as a new job");
        router.push(`/jobs/${made.id}`);
      } else setRefusals({ file: f.name, list: made.refusals });
    } catch {
      offline();
    }
    setBusy(false);
  };
  const remove = async (j: JobLine): Promise<void> => {
    try {
      const told = await actions.remove(j.id);
      router.refresh();
      if (!told.ok) return void toast.error(told.message);
      toast(`${j.name} deleted: it is in the bin`, {
        duration: 15_000,
        action: { label: "Undo", onClick: () => void actions.restore(j.id).then(() => router.refresh(), offline) },
      });
    } catch {
      offline();
    }
  };
  const copy = async (j: JobLine): Promise<void> => {
    try {
      const made = await actions.duplicate(j.id);
      if (!made.ok) toast.error(made.message);
      router.refresh();
    } catch {
      offline();
    }
  };
  const tool =
    "inline-flex min-h-9 cursor-pointer items-center gap-1.5 border border-line bg-panel px-2.5 text-[14px] hover:border-ink";
  return (
    <div className="min-h-dvh">
      <PageBar here="Jobs" />
      <main className="mx-auto max-w-4xl p-4 sm:p-6">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-3xl">Jobs</h1>
            <p className="text-soft">
              First fix, from the bare room to the plasterer. A working aid: local code and licensed practice come
              first.
            </p>
          </div>
          <div className={`flex flex-wrap gap-1.5 ${looking ? "hidden" : ""}`}>
            <Button look="solid" icon={<Plus size={15} />} onClick={() => begin("blank")}>
              New job
            </Button>
            <Button onClick={() => begin("demo")}>New from the demo</Button>
            <FileButton
              mark="import"
              label="Job file"
              accept=".json,application/json,.gz,application/gzip"
              icon={<Upload size={15} />}
              onFile={(f) => void bringIn(f)}
            >
              Import a job file
            </FileButton>
          </div>
        </div>
        {looking || found.whole > 1 ? null : (
          <FirstDay demo={jobs.find((j) => j.id === DEMO_ID)?.id ?? null} onNew={() => begin("blank")} />
        )}
        {found.whole > 12 ? <FindJobs {...found} /> : null}
        {jobs.length ? (
          <ul className="border-t border-ink">
            {jobs.map((j) => (
              <li
                key={j.id}
                className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line py-3"
                data-job={j.name}
              >
                <div className="min-w-0 flex-1 basis-64">
                  <Link href={`/jobs/${j.id}`} className="font-cond text-xl font-semibold hover:underline">
                    {j.name}
                  </Link>
                  <p className="truncate text-[13.5px] text-soft">{j.address || "No address"}</p>
                  <p className="text-[13.5px] text-soft">
                    {n(j.rooms, "room")} · {n(j.points, "point")} · {n(j.circuits, "circuit")} · changed{" "}
                    <time dateTime={j.updatedAt}>{j.updatedAt.slice(0, 16).replace("T", " ")}</time>
                  </p>
                </div>
                <div className="flex flex-wrap gap-1.5">
                  <Link className={tool} href={`/jobs/${j.id}`} aria-label={`Open ${j.name}`}>
                    <FolderOpen size={15} aria-hidden /> Open
                  </Link>
                  <button
                    type="button"
                    className={tool}
                    hidden={looking}
                    onClick={() => void copy(j)}
                    aria-label={`Duplicate ${j.name}`}
                  >
                    <Copy size={15} aria-hidden /> Duplicate
                  </button>
                  <a className={tool} href={`/api/jobs/${j.id}/file`} download aria-label={`Job file of ${j.name}`}>
                    <FileDown size={15} aria-hidden /> File
                  </a>
                  <button
                    type="button"
                    className={tool}
                    hidden={looking}
                    onClick={() => void remove(j)}
                    aria-label={`Delete ${j.name}`}
                  >
                    <Trash2 size={15} aria-hidden /> Delete
                  </button>
                </div>
              </li>
            ))}
          </ul>
        ) : (
          <div className="border border-dashed border-line p-8 text-center">
            <p className="text-lg">
              {found.whole ? `No job holds “${found.words}” in its name or address.` : "No jobs yet."}
            </p>
            <p className="text-soft">
              Start one, or look round the demo first: it has a kitchen, a hall and a glaze room, and a few things wrong
              with it.
            </p>
          </div>
        )}
        {jobs.length < found.total ? (
          <p className="py-3 text-soft">
            {jobs.length} of {found.total}, newest change first.{" "}
            <Link
              className="inline-flex min-h-9 items-center font-semibold text-ink underline"
              href={`/?${new URLSearchParams({ ...(found.words ? { q: found.words } : {}), all: "" })}`}
            >
              Show all
            </Link>
          </p>
        ) : null}
        {looking ? null : <Bin bin={bin} actions={actions} />}
        {owns ? <Backups {...backups} /> : null}
      </main>
      <Sheet
        open={starting !== null}
        onOpenChange={(o) => !o && setStarting(null)}
        title={starting === "demo" ? "New job from the demo" : "New job"}
        about={
          starting === "demo"
            ? "A copy of Tern Cottage, yours to change."
            : "It starts with an empty ground floor. Only the name is needed now."
        }
      >
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void start();
          }}
        >
          <TextField
            label="Name"
            name="job name"
            value={starting === "demo" ? "Tern Cottage" : ""}
            required={false}
            most={NAME_MOST}
            onDraft={setName}
            onCommit={setName}
          />
          {fault ? (
            <p role="alert" className="mt-2 font-medium text-stop">
              {fault}
            </p>
          ) : null}
          <div className="mt-4 flex justify-end gap-2">
            <Button onClick={() => setStarting(null)}>Cancel</Button>
            <Button look="solid" type="submit" disabled={busy}>
              {busy ? "Starting" : "Start the job"}
            </Button>
          </div>
        </form>
      </Sheet>
      <RefusalsSheet what="file" refusals={refusals} onClose={() => setRefusals(null)} />
    </div>
  );
}

/** Id of the job that ships. */
const DEMO_ID = "tern-cottage";

/** What to do first, until there is a job of one's own. */
function FirstDay({ demo, onNew }: { demo: string | null; onNew: () => void }) {
  const steps = [
    ["Name the job", "Only the name is needed; press New job and type it."],
    ["Walk one room", "Lengths and turns in one line, such as 3600 r 2800 r 3600 r 2800."],
    [
      "Put in the board and the first socket",
      "It makes its circuit, its cable is laid, and its marks stand on the tape.",
    ],
  ] as const;
  return (
    <section
      aria-label="First day"
      className="mb-4 grid gap-3 border border-line bg-panel p-4 sm:grid-cols-[2fr_1fr]"
      data-first-day
    >
      <ol className="grid gap-2">
        {steps.map(([what, how], i) => (
          <li key={what} className="flex gap-3">
            <span className="num inline-flex size-7 shrink-0 items-center justify-center bg-ink text-page">
              {i + 1}
            </span>
            <span>
              <b className="block">{what}</b>
              <span className="text-soft">{how}</span>
            </span>
          </li>
        ))}
      </ol>
      <div className="grid content-start gap-2">
        <Button look="solid" big icon={<Plus size={18} />} onClick={onNew}>
          Start the first job
        </Button>
        {demo ? (
          <Link className={buttonLook({ big: true })} href={`/jobs/${demo}?tour=1`} prefetch={false}>
            Look round the demo
          </Link>
        ) : null}
        <p className="text-[13.5px] text-soft">Two minutes through a finished job, on the real thing.</p>
      </div>
    </section>
  );
}

/** A line to look for a job by name or address; sent by Enter. */
function FindJobs({ words, total }: { words: string; total: number }) {
  return (
    <form role="search" className="mb-3 flex flex-wrap items-center gap-2" action="/">
      <input
        name="q"
        type="search"
        defaultValue={words}
        maxLength={80}
        aria-label="Find a job by name or address"
        placeholder="Find a job by name or address"
        className="min-h-9 w-72 max-w-full border border-line bg-field px-2"
      />
      <Button type="submit">Find</Button>
      {words ? <span className="text-[14px] text-soft">{n(total, "job")} found</span> : null}
    </form>
  );
}
