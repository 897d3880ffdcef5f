"use server";
import { cookies, headers } from "next/headers";
import { idSchema } from "../core/job/model";
import { database } from "../data/client";
import { jobThere } from "../data/jobs";
import * as people from "../data/people/people";
import { addReaderLink, dropReaderLink } from "../data/people/reader-links";
import { enterInvited, signIn as signInPerson, signOut as signOutHere } from "../data/people/sign-in";
import { faultOfName } from "../data/people/people";
import { keepCookies } from "../server/keep-cookies";
import { firstOwnerCode } from "../data/people/first-owner";
import { allowed, me, signInNeeded } from "../server/who";

/** Doors to people, their devices and readers' links: every argument and every role is checked here, since anyone may call them. */

type Told<T = object> = people.Told<T>;
const no = (message: string): { ok: false; message: string } => ({ ok: false, message });
const NOT_NEEDED = no("Nobody signs in here: this machine alone can reach it.");

export async function signIn(name: unknown, passphrase: unknown): Promise<Told> {
  if (!signInNeeded()) return NOT_NEEDED;
  const told = await signInPerson(await database(), name, passphrase, await headers());
  if (!told.ok) return told;
  keepCookies(await cookies(), told.cookies);
  return { ok: true };
}

/** The first owner, by who has the code that the server's own console shows. */
export async function beFirstOwner(code: unknown, name: unknown, passphrase: unknown): Promise<Told> {
  if (!signInNeeded()) return NOT_NEEDED;
  if (typeof code !== "string" || code !== firstOwnerCode())
    return no("Code is not the one that this server's console shows; open the address printed there.");
  const told = await people.addPerson(await database(), name, "owner", passphrase, true);
  return told.ok ? signIn(name, passphrase) : told;
}

/** Signs in the device that holds an invitation. */
export async function enter(token: unknown): Promise<Told> {
  if (!signInNeeded()) return NOT_NEEDED;
  const got = typeof token === "string" ? await enterInvited(await database(), token, await headers()) : null;
  if (!got) return no("This invitation was used already, is too old, or is none. Ask for another.");
  keepCookies(await cookies(), got);
  return { ok: true };
}

export async function signOut(): Promise<void> {
  if (signInNeeded()) keepCookies(await cookies(), await signOutHere(await database(), await headers()));
}

export async function addPerson(name: unknown, role: unknown, passphrase: unknown): Promise<Told> {
  const { refusal } = await allowed("own");
  if (refusal !== null) return no(refusal);
  const told = await people.addPerson(await database(), name, role, passphrase);
  return told.ok ? { ok: true } : told;
}

export async function setRole(id: unknown, role: unknown): Promise<Told> {
  const { refusal } = await allowed("own");
  return refusal !== null ? no(refusal) : people.setRole(await database(), String(id), role);
}

export async function removePerson(id: unknown): Promise<Told> {
  const { refusal } = await allowed("own");
  return refusal !== null ? no(refusal) : people.removePerson(await database(), String(id));
}

/** One's own passphrase, or anybody's for the owner. */
export async function setPassphrase(id: unknown, passphrase: unknown): Promise<Told> {
  const who = await me();
  const own = who?.id != null && who.id === id;
  if (!own) {
    const { refusal } = await allowed("own");
    if (refusal !== null) return no(refusal);
  }
  return people.setPassphrase(await database(), String(id), passphrase, own ? who.device : null);
}

export async function signOutDevice(device: unknown): Promise<Told> {
  const { me: who, refusal } = await allowed("look");
  if (refusal !== null) return no(refusal);
  const done = await people.signOutDevice(await database(), String(device), who.role === "owner" ? null : who.id);
  return done ? { ok: true } : no("This device is signed out already.");
}

/** A token that signs in one device of oneself, or of anybody for the owner. */
export async function inviteDevice(id: unknown): Promise<Told<{ token: string; minutes: number }>> {
  const who = await me();
  if (who?.id == null || who.id !== id) {
    const { refusal } = await allowed("own");
    if (refusal !== null) return no(refusal);
  }
  const db = await database();
  if (!(await people.peopleOf(db)).some((p) => p.id === id)) return no("This person is no longer there.");
  return { ok: true, token: await people.inviteDevice(db, String(id)), minutes: people.INVITED_MINUTES };
}

export async function makeReaderLink(jobId: unknown, label: unknown): Promise<Told<{ token: string }>> {
  const { me: who, refusal } = await allowed("plan");
  if (refusal !== null) return no(refusal);
  const bad = faultOfName(label);
  if (bad) return no(bad.replace("Name", "Whom it is for"));
  const id = idSchema.safeParse(jobId);
  const db = await database();
  if (!id.success || !(await jobThere(db, id.data))) return no("This job is no longer there.");
  return { ok: true, token: await addReaderLink(db, id.data, (label as string).trim(), who.name ?? "") };
}

export async function takeBackReaderLink(jobId: unknown, link: unknown): Promise<Told> {
  const { refusal } = await allowed("plan");
  if (refusal !== null) return no(refusal);
  const done = await dropReaderLink(await database(), String(jobId), String(link));
  return done ? { ok: true } : no("This link is taken back already.");
}
