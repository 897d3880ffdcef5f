import { RateLimiterMemory, type RateLimiterRes } from "rate-limiter-flexible";
import type { Db } from "../db";
import { authOf, comparable } from "./auth";
import type { Person, Told } from "./people";
import { ROLES, type Role } from "../../core/job/roles";

/** Wrong passphrases in a row after which a name waits, and how long, seconds. */
export const WRONG_MOST = 6;
const WAIT = 15 * 60;
/** Wrong passphrases of all names together, within a minute. */
const ALL_MOST = 60;

const perName = new RateLimiterMemory({ points: WRONG_MOST, duration: WAIT });
const all = new RateLimiterMemory({ points: ALL_MOST, duration: 60 });

const minutes = (ms: number): string => {
  const n = Math.max(1, Math.ceil(ms / 60_000));
  return n === 1 ? "a minute" : `${n} minutes`;
};

/**
 * Signs a device in. The same words whether the name or the passphrase is wrong; after six wrong ones a name waits a quarter of an
 * hour, and the right one does not help before.
 * @returns the cookies to set, as headers
 */
export async function signIn(
  db: Db,
  name: unknown,
  passphrase: unknown,
  headers: Headers,
): Promise<Told<{ cookies: string[] }>> {
  if (typeof name !== "string" || typeof passphrase !== "string" || name.length > 200 || passphrase.length > 200)
    return { ok: false, message: "Name and passphrase are text of at most 200 characters each." };
  const key = comparable(name);
  const spent = await Promise.all([perName.get(key), all.get("all")]);
  const waits = (r: RateLimiterRes | null, most: number): boolean => r !== null && r.consumedPoints >= most;
  if (waits(spent[0], WRONG_MOST) || waits(spent[1], ALL_MOST))
    return {
      ok: false,
      message: `Too many wrong passphrases. Wait ${minutes(Math.max(...spent.map((r) => r?.msBeforeNext ?? 0)))} and try again.`,
    };
  // Counted before it is tried, so that many tries at once are not more tries.
  await Promise.allSettled([perName.consume(key), all.consume("all")]);
  const auth = await authOf(db);
  try {
    const answer = await auth.api.signInUsername({
      body: { username: key, password: passphrase },
      headers: plain(headers),
      asResponse: true,
    });
    if (answer.ok) {
      await Promise.all([perName.delete(key), all.reward("all")]);
      return { ok: true, cookies: answer.headers.getSetCookie() };
    }
  } catch {
    // Told below like any other.
  }
  return { ok: false, message: "There is nobody of that name and passphrase. Look at both again." };
}

/** Of a request's headers only what the library needs: who asks with what, by which cookies. */
const plain = (headers: Headers): Headers => {
  const out = new Headers();
  for (const name of ["cookie", "user-agent"]) {
    const value = headers.get(name);
    if (value !== null) out.set(name, value);
  }
  return out;
};

/** Signs in the device that holds an invitation; null where it is used, too old or none. */
export async function enterInvited(db: Db, token: string, headers: Headers): Promise<string[] | null> {
  const answer = await (
    await authOf(db)
  ).api.enterByInvitation({ body: { token }, headers: plain(headers), asResponse: true });
  const cookies = answer.ok ? answer.headers.getSetCookie() : [];
  return cookies.length ? cookies : null;
}

/** Who asks, and on which device; null where nobody is signed in there. */
export interface SignedIn extends Person {
  device: string;
}

export async function whoAsks(db: Db, headers: Headers): Promise<{ who: SignedIn | null; cookies: string[] }> {
  if (!headers.get("cookie")?.includes("lumbet.session_token")) return { who: null, cookies: [] };
  const answer = await (
    await authOf(db)
  ).api.getSession({ headers: plain(headers), returnHeaders: true, query: { disableCookieCache: true } });
  const found = answer.response;
  const cookies = answer.headers?.getSetCookie() ?? [];
  if (!found) return { who: null, cookies };
  const { user, session } = found;
  const role = (user as { role?: unknown }).role;
  if (!ROLES.includes(role as Role)) return { who: null, cookies };
  return { who: { id: user.id, name: user.name, role: role as Role, device: session.id }, cookies };
}

/** Signs out the device that asks. */
export async function signOut(db: Db, headers: Headers): Promise<string[]> {
  const answer = await (await authOf(db)).api.signOut({ headers: plain(headers), asResponse: true });
  return answer.headers.getSetCookie();
}
