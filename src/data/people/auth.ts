import { randomBytes, scrypt, timingSafeEqual } from "node:crypto";
import { betterAuth } from "better-auth/minimal";
import { drizzleAdapter } from "better-auth/adapters/drizzle";
import { username } from "better-auth/plugins/username";
import { eq } from "drizzle-orm";
import type { Db } from "../db";
import * as schema from "../schema";
import { enterByInvitation } from "./enter-by-invitation";

/** Days a device stays signed in when it is not used. */
const DAYS = 60;

/** Name as it is compared: compatible forms of letters, small, single spaces. */
export const comparable = (name: string): string => name.normalize("NFKC").trim().replace(/\s+/g, " ").toLowerCase();

/** Cost of scrypt: 2^15 rounds of 8 blocks, some 32 MB and a tenth of a second each. */
const COST = { N: 32_768, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };

const derive = (passphrase: string, salt: Buffer): Promise<Buffer> =>
  new Promise((done, fail) =>
    scrypt(passphrase.normalize("NFKC"), salt, 64, COST, (e, key) => (e ? fail(e) : done(key))),
  );

/** `scrypt$salt$key`, in base64. */
export async function hashed(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  return `scrypt$${salt.toString("base64")}$${(await derive(passphrase, salt)).toString("base64")}`;
}

export async function matches(hash: string, passphrase: string): Promise<boolean> {
  const [kind, salt, key] = hash.split("$");
  if (kind !== "scrypt" || !salt || !key) return false;
  const want = Buffer.from(key, "base64");
  const got = await derive(passphrase, Buffer.from(salt, "base64"));
  return want.length === got.length && timingSafeEqual(want, got);
}

/** The key that signs cookies: made once for a database, whichever server is first. */
async function signingKey(db: Db): Promise<string> {
  await db
    .insert(schema.secrets)
    .values({ key: "cookies", value: randomBytes(32).toString("base64") })
    .onConflictDoNothing();
  const [row] = await db.select().from(schema.secrets).where(eq(schema.secrets.key, "cookies"));
  return row!.value;
}

/** The library that keeps people, passphrases and devices, over this database; nothing of it is reached from outside by itself. */
async function newAuth(db: Db, secure: boolean) {
  return betterAuth({
    secret: await signingKey(db),
    baseURL: secure ? "https://lumbet.invalid" : "http://lumbet.invalid",
    database: drizzleAdapter(db, {
      provider: "pg",
      schema: {
        user: schema.people,
        session: schema.devices,
        account: schema.passphrases,
        verification: schema.invitations,
      },
    }),
    telemetry: { enabled: false },
    logger: { disabled: true },
    emailAndPassword: {
      enabled: true,
      autoSignIn: false,
      minPasswordLength: 10,
      maxPasswordLength: 200,
      password: { hash: hashed, verify: ({ hash, password }) => matches(hash, password) },
    },
    session: { expiresIn: DAYS * 86_400, updateAge: 86_400 },
    user: { additionalFields: { role: { type: "string", required: true, input: false, defaultValue: "reader" } } },
    // Requests are looked at before they come here, and limited by name: see `sign-in.ts`.
    rateLimit: { enabled: false },
    advanced: {
      useSecureCookies: secure,
      cookiePrefix: "lumbet",
      defaultCookieAttributes: { httpOnly: true, sameSite: "lax", path: "/" },
    },
    plugins: [
      username({
        minUsernameLength: 1,
        maxUsernameLength: 60,
        usernameValidator: () => true,
        usernameNormalization: comparable,
      }),
      enterByInvitation(),
    ],
  });
}

export type Auth = Awaited<ReturnType<typeof newAuth>>;

const made = new WeakMap<Db, Promise<Auth>>();

/** Sign-in over this database. Cookies are sent over TLS alone where LUMBET_TLS says that this is how it is reached. */
export function authOf(db: Db): Promise<Auth> {
  const there = made.get(db) ?? newAuth(db, process.env.LUMBET_TLS === "1");
  made.set(db, there);
  return there;
}
