import { eq } from "drizzle-orm";
import { beforeAll, describe, expect, it } from "vitest";
import { openMemory } from "../client";
import type { Db } from "../db";
import * as schema from "../schema";
import { matches } from "./auth";
import {
  addPerson,
  anybody,
  devicesOf,
  inviteDevice,
  peopleOf,
  removePerson,
  setPassphrase,
  setRole,
  signOutDevice,
} from "./people";
import { addReaderLink, dropReaderLink, jobOfLink, readerLinksOf } from "./reader-links";
import { enterInvited, signIn, signOut, whoAsks, WRONG_MOST } from "./sign-in";
import { addJob } from "../jobs";
import { blankJob } from "../../core/job/model";

const GOOD = "seven brass screws lost";
let db: Db;
beforeAll(async () => {
  db = await openMemory();
});

const from = (cookies: readonly string[] = [], agent = "a phone"): Headers =>
  new Headers({ cookie: cookies.map((c) => c.split(";")[0]).join("; "), "user-agent": agent });

async function into(name: string, passphrase = GOOD): Promise<string[]> {
  const told = await signIn(db, name, passphrase, from());
  if (!told.ok) throw new Error(told.message);
  return told.cookies;
}

describe("people", () => {
  it("the first is the owner and only one can be the first, however many ask at once", async () => {
    expect(await anybody(db)).toBe(false);
    const told = await Promise.all(
      ["Ona Reeve", "Ivo Marsh", "Tam Birch"].map((n) => addPerson(db, n, "owner", GOOD, true)),
    );
    expect(told.filter((t) => t.ok)).toHaveLength(1);
    expect(told.filter((t) => !t.ok).map((t) => !t.ok && t.message)).toEqual(
      Array(2).fill(expect.stringMatching(/an owner already/)),
    );
    expect(await peopleOf(db)).toMatchObject([{ role: "owner" }]);
  });
  it("names are told apart by more than spaces, size of letters and forms of one letter; faults are told in words", async () => {
    expect((await addPerson(db, "Wil Ash", "apprentice", GOOD)).ok).toBe(true);
    for (const same of ["wil ash", " WIL  ASH ", "Ｗil Ash"])
      expect(await addPerson(db, same, "reader", GOOD)).toMatchObject({
        ok: false,
        message: expect.stringMatching(/called that already/),
      });
    for (const bad of ["", "  ", "x".repeat(61), "a\0b", 7, null, "a\u200Bb"])
      expect(await addPerson(db, bad, "reader", GOOD)).toMatchObject({
        ok: false,
        message: expect.stringMatching(/^Name is .*1 to 60/),
      });
    for (const bad of ["short", "x".repeat(201), null])
      expect(await addPerson(db, "Other", "reader", bad)).toMatchObject({
        ok: false,
        message: expect.stringMatching(/^Passphrase has \d+ characters; it must have 10 to 200/),
      });
    expect(await addPerson(db, "Other", "king", GOOD)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Role is "king"/),
    });
  });
  it("a passphrase is kept as a hash of its own salt", async () => {
    const rows = await db.select().from(schema.passphrases);
    expect(new Set(rows.map((r) => r.password)).size).toBe(rows.length);
    for (const r of rows) {
      expect(r.password).not.toContain(GOOD);
      expect(await matches(r.password!, GOOD)).toBe(true);
      expect(await matches(r.password!, `${GOOD} `)).toBe(false);
    }
    expect(await matches("plain", "plain")).toBe(false);
  });
  it("the last owner stays owner and stays", async () => {
    const [owner] = await peopleOf(db);
    for (const told of [await setRole(db, owner!.id, "reader"), await removePerson(db, owner!.id)])
      expect(told).toMatchObject({ ok: false, message: expect.stringMatching(/last owner/) });
    const other = await addPerson(db, "Second", "electrician", GOOD);
    if (!other.ok) throw new Error(other.message);
    expect(await setRole(db, other.person.id, "owner")).toEqual({ ok: true });
    expect(await removePerson(db, other.person.id)).toEqual({ ok: true });
    expect(await setRole(db, "nobody", "reader")).toMatchObject({ ok: false });
  });
});

describe("a device", () => {
  it("is signed in by name, known by its cookie alone, and out when it or the owner says so", async () => {
    const cookies = await into("  wil ASH");
    expect(cookies.join()).toMatch(/HttpOnly/i);
    const { who } = await whoAsks(db, from(cookies));
    expect(who).toMatchObject({ name: "Wil Ash", role: "apprentice" });
    expect((await whoAsks(db, from())).who).toBeNull();
    expect(
      (
        await whoAsks(
          db,
          from(cookies.map((c) => c.replace(/=(.)/, (_, first: string) => (first === "x" ? "=y" : "=x")))),
        )
      ).who,
    ).toBeNull();
    expect(await devicesOf(db, who!.id, who!.device)).toMatchObject([{ here: true, agent: "a phone" }]);
    const second = await into("Wil Ash");
    await signOut(db, from(cookies));
    expect((await whoAsks(db, from(cookies))).who).toBeNull();
    const other = (await whoAsks(db, from(second))).who!;
    expect(await signOutDevice(db, other.device, "somebody else")).toBe(false);
    expect((await whoAsks(db, from(second))).who).not.toBeNull();
    expect(await signOutDevice(db, other.device, null)).toBe(true);
    expect((await whoAsks(db, from(second))).who).toBeNull();
  });
  it("is signed out when its person gets another passphrase, but for the one it was changed on; the old one is no good", async () => {
    const here = await into("Wil Ash");
    const there = await into("Wil Ash");
    const who = (await whoAsks(db, from(here))).who!;
    expect(await setPassphrase(db, who.id, "another long one", who.device)).toEqual({ ok: true });
    expect((await whoAsks(db, from(here))).who).not.toBeNull();
    expect((await whoAsks(db, from(there))).who).toBeNull();
    expect((await signIn(db, "Wil Ash", GOOD, from())).ok).toBe(false);
    await setPassphrase(db, who.id, GOOD, null);
    expect((await whoAsks(db, from(here))).who).toBeNull();
  });
  it("whose time is over is out", async () => {
    const cookies = await into("Wil Ash");
    const { who } = await whoAsks(db, from(cookies));
    await db
      .update(schema.devices)
      .set({ expiresAt: new Date(Date.now() - 1000) })
      .where(eq(schema.devices.id, who!.device));
    expect((await whoAsks(db, from(cookies))).who).toBeNull();
  });
  it("that was invited enters once, in time, and as the person it was invited for", async () => {
    const wil = (await peopleOf(db)).find((p) => p.name === "Wil Ash")!;
    const token = await inviteDevice(db, wil.id);
    expect(JSON.stringify(await db.select().from(schema.invitations))).not.toContain(token);
    const both = await Promise.all([enterInvited(db, token, from()), enterInvited(db, token, from())]);
    const entered = both.filter((c) => c !== null);
    expect(entered).toHaveLength(1);
    expect((await whoAsks(db, from(entered[0]!))).who).toMatchObject({ name: "Wil Ash", role: "apprentice" });
    expect(await enterInvited(db, token, from())).toBeNull();
    expect(await enterInvited(db, "made up", from())).toBeNull();
    expect(await enterInvited(db, await inviteDevice(db, wil.id, Date.now() - 11 * 60_000), from())).toBeNull();
  });
  it("waits from the sixth wrong passphrase in a row, and not from the fifth", async () => {
    await addPerson(db, "Ned Oak", "reader", GOOD);
    const wrong = async (times: number): Promise<void> => {
      for (let i = 0; i < times; i++) await signIn(db, "ned oak", "not this one", from());
    };
    await wrong(WRONG_MOST - 1);
    // The right one ends the row.
    expect((await signIn(db, "Ned Oak", GOOD, from())).ok).toBe(true);
    await wrong(WRONG_MOST);
    expect(await signIn(db, "Ned Oak", GOOD, from())).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Too many/),
    });
  });
  it("with wrong passphrases waits: the same words for a wrong name, and the right one does not help before", async () => {
    const words = new Set<string>();
    const tries = await Promise.all(
      Array.from({ length: WRONG_MOST * 2 }, () => signIn(db, "Wil Ash", "not this one", from())),
    );
    for (const t of tries) if (!t.ok) words.add(t.message);
    const nobody = await signIn(db, "Nobody", "not this one", from());
    expect(!nobody.ok && words.has(nobody.message)).toBe(true);
    const right = await signIn(db, "Wil Ash", GOOD, from());
    expect(right).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Too many wrong passphrases\. Wait 1\d minutes/),
    });
    for (const odd of [null, 7, { a: 1 }, "x".repeat(500)]) expect((await signIn(db, odd, odd, from())).ok).toBe(false);
  });
});

describe("a reader's link", () => {
  it("opens its one job until it is taken back, and is not to be read from the database", async () => {
    await addJob(db, blankJob("one", "One"));
    await addJob(db, blankJob("two", "Two"));
    const token = await addReaderLink(db, "one", "plasterer", "Wil Ash");
    expect(JSON.stringify(await db.select().from(schema.readerLinks))).not.toContain(token);
    expect(await jobOfLink(db, token)).toBe("one");
    expect(await jobOfLink(db, `${token}x`)).toBeNull();
    const [link] = await readerLinksOf(db, "one");
    expect(link).toMatchObject({ label: "plasterer", by: "Wil Ash" });
    expect(await dropReaderLink(db, "two", link!.id)).toBe(false);
    expect(await dropReaderLink(db, "one", link!.id)).toBe(true);
    expect(await jobOfLink(db, token)).toBeNull();
  });
});
