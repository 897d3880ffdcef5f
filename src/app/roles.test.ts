import { tmpdir } from "node:os";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { blankJob } from "../core/job/model";
import type { Role } from "../core/job/roles";
import { openMemory } from "../data/client";
import { findJob } from "../data/jobs";
import { addJob } from "../data/jobs";
import { addPerson } from "../data/people/people";
import { signIn } from "../data/people/sign-in";
import { siteBookOf } from "../data/site-book";

let cookie = "";
vi.mock("next/headers", () => ({
  headers: () => Promise.resolve(new Headers({ cookie })),
  cookies: () => Promise.resolve({ set: () => {} }),
}));
const held = globalThis as { lumbetDb?: ReturnType<typeof openMemory> };
const cookies: Record<string, string> = { nobody: "" };
beforeAll(async () => {
  vi.stubEnv("LUMBET_SIGN_IN", "1");
  held.lumbetDb = openMemory();
  const db = await held.lumbetDb;
  await addJob(db, blankJob("one", "One"));
  for (const role of ["owner", "electrician", "apprentice", "reader"]) {
    await addPerson(db, role, role, "seven brass screws");
    const told = await signIn(db, role, "seven brass screws", new Headers());
    cookies[role] = told.ok ? told.cookies.map((c) => c.split(";")[0]).join("; ") : "";
  }
});
const as = async <T>(who: Role | "nobody", what: () => Promise<T>): Promise<T> => {
  cookie = cookies[who]!;
  return what();
};
/** Whether an answer of an action, or what it threw, says that one may not or is signed out. */
const turnedAway = async (what: () => Promise<unknown>): Promise<boolean> => {
  try {
    return /signed[ -](in as|out)/.test(JSON.stringify(await what()));
  } catch (e) {
    return /signed out/.test((e as Error).message);
  }
};

describe("every door asks who comes", () => {
  it("nobody who is not signed in gets through any but those where one signs in", async () => {
    const doors = {
      ...(await import("./actions")),
      ...(await import("./bench-actions")),
      ...(await import("./session-actions")),
    };
    const open = ["signIn", "beFirstOwner", "enter", "signOut"];
    const shut = Object.entries(doors).filter(([name]) => !open.includes(name));
    expect(shut.length).toBeGreaterThan(20);
    for (const [name, door] of shut)
      expect(
        [
          name,
          await as("nobody", () =>
            turnedAway(() => (door as (...a: unknown[]) => Promise<unknown>)("one", "x", "y", "z")),
          ),
        ],
        name,
      ).toEqual([name, true]);
    for (const name of open) expect(doors).toHaveProperty(name);
  });
  it("the first owner is nobody's to be without the console's code, and no second", async () => {
    const { beFirstOwner } = await import("./session-actions");
    expect(await as("nobody", () => beFirstOwner("guess", "Me", "a long passphrase"))).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Code/),
    });
    const { firstOwnerCode } = await import("../data/people/first-owner");
    expect(await as("nobody", () => beFirstOwner(firstOwnerCode(), "Me", "a long passphrase"))).toMatchObject({
      ok: false,
      message: expect.stringMatching(/an owner already/),
    });
  });
  it("plans are for who may plan, the bin for the owner, the record for the apprentice too", async () => {
    const { edit, addSiteEntries, clearBinned, removeJob, restoreJob } = await import("./actions");
    const patch = [{ key: "key-number-1", patch: [{ collection: "head", id: "name", before: "One", after: "Uno" }] }];
    for (const role of ["reader", "apprentice"] as const) {
      expect(await as(role, () => edit("one", 1, patch, ""))).toMatchObject({ kind: "refused" });
      expect(await as(role, () => removeJob("one"))).toMatchObject({ ok: false });
    }
    expect((await findJob(await held.lumbetDb!, "one"))!.job.name).toBe("One");
    expect(await as("electrician", () => edit("one", 1, patch, "another"))).toMatchObject({ kind: "stored" });
    const line = {
      id: "l1",
      run: "r",
      kind: "done",
      step: "drawn-in",
      text: "",
      by: "somebody else",
      at: "2026-11-26T10:00:00.000Z",
    };
    expect(await as("reader", () => addSiteEntries("one", [line]))).toMatchObject({ ok: false });
    expect(await as("apprentice", () => addSiteEntries("one", [line]))).toMatchObject({ ok: true, refused: [] });
    // Who is signed in did it, whatever the device says.
    expect(await siteBookOf(await held.lumbetDb!, "one")).toMatchObject([{ by: "apprentice" }]);
    // A surface is released by who may plan, and only where there is anything to close.
    const release = { ...line, id: "l2", run: "wall:w1", kind: "released", step: null };
    const told = async (who: Role): Promise<unknown> => {
      const answer = await as(who, () => addSiteEntries("one", [release]));
      return answer.ok ? answer.refused.map((r) => r.message) : answer;
    };
    expect(await told("apprentice")).toEqual([expect.stringMatching(/you are signed in as an apprentice/)]);
    expect(await told("electrician")).toEqual(["not released: nothing of the plan lies there"]);
    expect(await as("electrician", () => removeJob("one"))).toEqual({ ok: true });
    expect(await as("electrician", () => clearBinned("one"))).toMatchObject({ ok: false });
    expect(await as("electrician", () => restoreJob("one"))).toEqual({ ok: true });
  });
  it("where the disk is nearly full nothing is stored, and that is told as something that passes", async () => {
    const { edit, addSiteEntries, createJob, clearBinned } = await import("./actions");
    vi.stubEnv("LUMBET_DATA", tmpdir());
    vi.stubEnv("LUMBET_ROOM", "1e12");
    vi.useFakeTimers({ toFake: ["Date"], now: Date.now() + 60_000 });
    const patch = [{ key: "key-number-2", patch: [{ collection: "head", id: "name", before: "Uno", after: "Eins" }] }];
    const full = expect.stringMatching(/^The disk of the server has \d+ MB left, and \d+ MB are kept free/);
    expect(await as("owner", () => edit("one", 2, patch, ""))).toEqual({ kind: "no-room", message: full });
    expect(await as("owner", () => addSiteEntries("one", [{}]))).toMatchObject({ ok: false, message: full });
    expect(await as("owner", () => createJob("blank", "New"))).toMatchObject({ ok: false, message: full });
    // What makes room may be done.
    expect(await as("owner", () => clearBinned("one"))).toMatchObject({ message: "This job is no longer there." });
    vi.stubEnv("LUMBET_ROOM", "0");
    vi.setSystemTime(Date.now() + 60_000);
    expect(await as("owner", () => edit("one", 2, patch, ""))).toMatchObject({ kind: "stored" });
    vi.useRealTimers();
  });
  it("one's own passphrase is one's own to change; another's device and role are the owner's", async () => {
    const { setPassphrase, signOutDevice, setRole, inviteDevice } = await import("./session-actions");
    const { peopleOf, devicesOf } = await import("../data/people/people");
    const db = await held.lumbetDb!;
    const id = Object.fromEntries((await peopleOf(db)).map((p) => [p.name, p.id]));
    expect(await as("apprentice", () => setPassphrase(id.owner, "taken over by me"))).toMatchObject({ ok: false });
    expect(await as("apprentice", () => setRole(id.apprentice, "owner"))).toMatchObject({ ok: false });
    expect(await as("apprentice", () => inviteDevice(id.owner))).toMatchObject({ ok: false });
    const [theirs] = await devicesOf(db, id.owner!, null);
    expect(await as("apprentice", () => signOutDevice(theirs!.id))).toMatchObject({ ok: false });
    expect(await as("apprentice", () => inviteDevice(id.apprentice))).toMatchObject({ ok: true });
    expect(await as("apprentice", () => setPassphrase(id.apprentice, "mine, and long enough"))).toEqual({ ok: true });
  });
});
