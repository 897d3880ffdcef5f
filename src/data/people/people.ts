import { and, asc, count, desc, eq, gt, ne } from "drizzle-orm";
import { nanoid } from "nanoid";
import { unkeepable } from "../../core/job/plain-text";
import type { Db } from "../db";
import * as schema from "../schema";
import { authOf, comparable, hashed } from "./auth";
import { invitationOf } from "./enter-by-invitation";
import { ROLES, type Role } from "../../core/job/roles";
import { newToken } from "./token";

/** Minutes an invitation of a device holds. */
export const INVITED_MINUTES = 10;
export const PASSPHRASE_LEAST = 10;
const PASSPHRASE_MOST = 200;

export interface Person {
  id: string;
  name: string;
  role: Role;
}
export interface Device {
  id: string;
  /** What it called itself: browser and system. */
  agent: string;
  since: string;
  seen: string;
  /** Whether it is the one that asks. */
  here: boolean;
}
export type Told<T = object> = ({ ok: true } & T) | { ok: false; message: string };

const no = (message: string): { ok: false; message: string } => ({ ok: false, message });

/** Why a name cannot be somebody's; null where it can. */
export function faultOfName(name: unknown): string | null {
  const text = typeof name === "string" ? name.trim() : "";
  return text.length >= 1 && text.length <= 60 && !unkeepable(text) && !/[\p{C}]/u.test(text)
    ? null
    : `Name is ${JSON.stringify(name ?? "")?.slice(0, 80)}; give it 1 to 60 characters that can be seen.`;
}

export function faultOfPassphrase(passphrase: unknown): string | null {
  const length = typeof passphrase === "string" ? passphrase.length : 0;
  return length >= PASSPHRASE_LEAST && length <= PASSPHRASE_MOST
    ? null
    : `Passphrase has ${length} characters; it must have ${PASSPHRASE_LEAST} to ${PASSPHRASE_MOST}. Four words in a row are a good one.`;
}

export async function peopleOf(db: Db): Promise<Person[]> {
  return db
    .select({ id: schema.people.id, name: schema.people.name, role: schema.people.role })
    .from(schema.people)
    .orderBy(asc(schema.people.createdAt), asc(schema.people.id));
}

export async function anybody(db: Db): Promise<boolean> {
  const [row] = await db.select({ n: count() }).from(schema.people);
  return row!.n > 0;
}

/**
 * Adds a person. A first owner is added only while there is nobody, whoever else asks at the same time.
 * @returns the person, or words where the name is taken or something cannot be kept
 */
export async function addPerson(
  db: Db,
  name: unknown,
  role: unknown,
  passphrase: unknown,
  first = false,
): Promise<Told<{ person: Person }>> {
  const bad = faultOfName(name) ?? faultOfPassphrase(passphrase);
  if (bad) return no(bad);
  if (!ROLES.includes(role as Role))
    return no(`Role is ${JSON.stringify(role)?.slice(0, 40)}; it must be ${ROLES.join(", ")}.`);
  const shown = (name as string).trim();
  const hash = await hashed(passphrase as string);
  const id = nanoid(16);
  return db.transaction(async (t) => {
    await t.execute("lock table people in share row exclusive mode");
    const all = await t.select({ username: schema.people.username }).from(schema.people);
    if (first && all.length) return no("There is an owner already; sign in, or ask to be added.");
    if (all.some((p) => p.username === comparable(shown)))
      return no(`Name is “${shown}”, and somebody is called that already; add a letter or a second name.`);
    await t.insert(schema.people).values({
      id,
      name: shown,
      username: comparable(shown),
      displayUsername: shown,
      email: `${id.toLowerCase()}@people.invalid`,
      role: role as Role,
    });
    await t
      .insert(schema.passphrases)
      .values({ id: nanoid(16), accountId: id, providerId: "credential", userId: id, password: hash });
    return { ok: true as const, person: { id, name: shown, role: role as Role } };
  });
}

/** Gives a person another role. The last owner stays one: nobody could see to people after. */
export async function setRole(db: Db, id: string, role: unknown): Promise<Told> {
  if (!ROLES.includes(role as Role))
    return no(`Role is ${JSON.stringify(role)?.slice(0, 40)}; it must be ${ROLES.join(", ")}.`);
  return db.transaction(async (t) => {
    await t.execute("lock table people in share row exclusive mode");
    if (role !== "owner" && (await lastOwner(t as unknown as Db, id)))
      return no("This is the last owner; make somebody else owner first.");
    const done = await t
      .update(schema.people)
      .set({ role: role as Role, updatedAt: new Date() })
      .where(eq(schema.people.id, id))
      .returning({ id: schema.people.id });
    return done.length ? { ok: true as const } : no("This person is no longer there.");
  });
}

/** Takes a person off, with their devices. What they did stays in the record under their name. */
export async function removePerson(db: Db, id: string): Promise<Told> {
  return db.transaction(async (t) => {
    await t.execute("lock table people in share row exclusive mode");
    if (await lastOwner(t as unknown as Db, id)) return no("This is the last owner; make somebody else owner first.");
    await t.delete(schema.people).where(eq(schema.people.id, id));
    return { ok: true as const };
  });
}

async function lastOwner(db: Db, id: string): Promise<boolean> {
  const [me] = await db.select({ role: schema.people.role }).from(schema.people).where(eq(schema.people.id, id));
  if (me?.role !== "owner") return false;
  const [others] = await db
    .select({ n: count() })
    .from(schema.people)
    .where(and(eq(schema.people.role, "owner"), ne(schema.people.id, id)));
  return others!.n === 0;
}

/** A new passphrase; every device of that person but the one named is signed out. */
export async function setPassphrase(db: Db, id: string, passphrase: unknown, but: string | null): Promise<Told> {
  const bad = faultOfPassphrase(passphrase);
  if (bad) return no(bad);
  const hash = await hashed(passphrase as string);
  await db.transaction(async (t) => {
    await t
      .update(schema.passphrases)
      .set({ password: hash, updatedAt: new Date() })
      .where(and(eq(schema.passphrases.userId, id), eq(schema.passphrases.providerId, "credential")));
    const mine = eq(schema.devices.userId, id);
    await t.delete(schema.devices).where(but === null ? mine : and(mine, ne(schema.devices.id, but)));
  });
  return { ok: true };
}

/** Devices on which a person is signed in, the last used first. */
export async function devicesOf(db: Db, person: string, here: string | null): Promise<Device[]> {
  const rows = await db
    .select()
    .from(schema.devices)
    .where(and(eq(schema.devices.userId, person), gt(schema.devices.expiresAt, new Date())))
    .orderBy(desc(schema.devices.updatedAt), asc(schema.devices.id));
  return rows.map((d) => ({
    id: d.id,
    agent: d.userAgent ?? "",
    since: d.createdAt.toISOString(),
    seen: d.updatedAt.toISOString(),
    here: d.id === here,
  }));
}

/** Signs a device out, at once; one's own, or anybody's for the owner (`person` null). */
export async function signOutDevice(db: Db, device: string, person: string | null): Promise<boolean> {
  const one = eq(schema.devices.id, device);
  const gone = await db
    .delete(schema.devices)
    .where(person === null ? one : and(one, eq(schema.devices.userId, person)))
    .returning({ id: schema.devices.id });
  return gone.length > 0;
}

/** A token that signs one device in as this person, once, within {@link INVITED_MINUTES} minutes. */
export async function inviteDevice(db: Db, person: string, now = Date.now()): Promise<string> {
  const token = newToken();
  const { internalAdapter } = await (await authOf(db)).$context;
  await internalAdapter.createVerificationValue({
    identifier: invitationOf(token),
    value: person,
    expiresAt: new Date(now + INVITED_MINUTES * 60_000),
  });
  return token;
}
