import { describe, expect, it, vi } from "vitest";
import { blankJob } from "../core/job/model";
import { newDatabase, openMemory, openServer } from "./client";
import { addJob, editJob, setDeleted } from "./jobs";
import { addSiteEntries } from "./site-book";
import { type ToldOf, onChange } from "./told";

const rename = (n: number, before: string, after: string) => [
  { key: `key-${n}-of-its-own`, patch: [{ collection: "head", id: "name", before, after }] },
];
/** As long as the busiest machine may take to pass word on. */
const soon = (seen: () => void): Promise<void> => vi.waitFor(seen, { timeout: 60_000 });
const line = (id: string) => ({
  id,
  run: "r",
  kind: "done" as const,
  step: "drawn-in" as const,
  text: "",
  by: "",
  at: "2026-11-26T10:00:00.000Z",
});

describe("what others change is told", () => {
  it("of the job and of its record, to whom it concerns, until they leave; what was refused or doubled is not", async () => {
    const db = await openMemory();
    await addJob(db, blankJob("one", "One"));
    await addJob(db, blankJob("two", "Two"));
    const one: ToldOf[] = [];
    const two: ToldOf[] = [];
    const leave = await onChange(db, "one", (of) => one.push(of));
    await onChange(db, "two", (of) => two.push(of));
    one.length = two.length = 0;
    await editJob(db, "one", 1, rename(1, "One", "Uno"));
    await soon(() => expect(one).toEqual(["job"]));
    await editJob(db, "one", 1, rename(1, "One", "Uno"));
    await editJob(db, "one", 2, rename(2, "Not this", "Else"));
    await addSiteEntries(db, "one", [line("l1"), line("l2")]);
    await addSiteEntries(db, "one", [line("l1")]);
    await setDeleted(db, "one", true);
    await soon(() => expect(one).toEqual(["job", "record", "job"]));
    leave();
    await setDeleted(db, "one", false);
    await setDeleted(db, "two", true);
    await soon(() => expect(two).toEqual(["job"]));
    expect(one).toHaveLength(3);
  });
  it.skipIf(!process.env.TEST_DATABASE_URL)(
    "from one server of a database to another, also after its connection was cut",
    async () => {
      const url = await newDatabase(process.env.TEST_DATABASE_URL!);
      const [a, b] = [await openServer(url), await openServer(url)];
      await addJob(a, blankJob("one", "One"));
      const told: ToldOf[] = [];
      await onChange(b, "one", (of) => told.push(of));
      told.length = 0;
      await editJob(a, "one", 1, rename(1, "One", "Uno"));
      await soon(() => expect(told).toContain("job"));
      told.length = 0;
      await a.execute(
        "select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and query ilike 'listen%'",
      );
      await soon(() => expect(told).toContain("any"));
      told.length = 0;
      await editJob(a, "one", 2, rename(2, "Uno", "Ein"));
      await soon(() => expect(told).toContain("job"));
    },
    300_000,
  );
});
