import { describe, expect, it } from "vitest";
import { newDatabase, openServer } from "./client";
import { ternCottage } from "./demo/tern-cottage";
import { addJob, editJob, editsSince, findJob, listJobs } from "./jobs";
import { seedIfNew } from "./seed";

const server = process.env.TEST_DATABASE_URL;
const SLOW = 120_000;

/** Only where there is a server; `npm test` starts one where Debian's postgresql can be had. */
describe.skipIf(!server)("on a PostgreSQL server", () => {
  it(
    "three that start at once on one empty database all start, and the demo is there once",
    async () => {
      const url = await newDatabase(server!);
      const all = await Promise.all([1, 2, 3].map(() => openServer(url)));
      expect((await Promise.all(all.map((db) => seedIfNew(db)))).filter(Boolean)).toHaveLength(1);
      for (const db of all) expect((await listJobs(db)).map((j) => j.id)).toEqual(["tern-cottage"]);
    },
    SLOW,
  );
  it(
    "two servers on one database: each sees what the other stored, and edits made at once are both kept or told as a clash",
    async () => {
      const url = await newDatabase(server!);
      const [a, b] = [await openServer(url), await openServer(url)];
      await addJob(a, ternCottage("j"));
      const { job, version } = (await findJob(b, "j"))!;
      const patch = (head: string, after: string) => [
        { collection: "head", id: head, before: job[head as "name"], after },
      ];
      const sent = (n: number, head: string, after: string) => [
        { key: `key-${n}-of-its-own`, patch: patch(head, after) },
      ];
      const both = await Promise.all([
        editJob(a, "j", version, sent(1, "name", "By one")),
        editJob(b, "j", version, sent(2, "address", "By the other")),
      ]);
      expect(both.map((r) => r.kind)).toEqual(["stored", "stored"]);
      expect((await findJob(a, "j"))!.job).toMatchObject({ name: "By one", address: "By the other" });
      const since = await editsSince(b, "j", version);
      expect(since?.kind === "patches" ? since.patches.length : 0).toBe(2);
      const clash = await Promise.all([
        editJob(a, "j", version + 2, [
          { key: "key-3-of-its-own", patch: [{ collection: "head", id: "name", before: "By one", after: "One" }] },
        ]),
        editJob(b, "j", version + 2, [
          { key: "key-4-of-its-own", patch: [{ collection: "head", id: "name", before: "By one", after: "Two" }] },
        ]),
      ]);
      expect(clash.map((r) => r.kind).sort()).toEqual(["conflict", "stored"]);
    },
    SLOW,
  );
});
