import { expect, it } from "vitest";
import { openMemory } from "../client";
import { addJob, editJob, findJob } from "../jobs";
import { forSite, planOf } from "../plans";
import { ternCottage } from "./tern-cottage";

it("a phone is given the plan as it is, whole, written once while it stands", async () => {
  const db = await openMemory();
  await addJob(db, ternCottage("j"));
  const first = await planOf(db, (await findJob(db, "j"))!.job);
  const { job, plan, catalogue } = first;
  expect(JSON.parse(forSite(first))).toEqual({ job, plan, catalogue });
  const again = await planOf(db, (await findJob(db, "j"))!.job);
  expect(again.job).toBe(job);
  expect(forSite(again)).toBe(forSite(first));
  const point = job.points[0]!;
  const patch = [{ collection: "points", id: point.id, before: point, after: { ...point, label: "Renamed" } }];
  expect((await editJob(db, "j", 1, [{ key: "key-of-its-own", patch }])).kind).toBe("stored");
  const renamed = forSite(await planOf(db, (await findJob(db, "j"))!.job));
  expect(renamed).toContain('"Renamed"');
});
