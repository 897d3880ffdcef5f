import { createHash, randomBytes } from "node:crypto";

/** Something that nobody guesses, for an address: 32 random bytes. */
export const newToken = (): string => randomBytes(32).toString("base64url");

/** What is kept of it. */
export const hashOf = (token: string): string => createHash("sha256").update(token).digest("base64url");
