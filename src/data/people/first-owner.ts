import { randomInt } from "node:crypto";

const held = globalThis as { lumbetFirstOwner?: string };

/** Letters and digits that are not taken for one another. */
const SIGNS = "abcdefghjkmnpqrstuvwxyz23456789";

/** The code with which the first owner is made: known to this server's console alone, and new at each start. */
export const firstOwnerCode = (): string =>
  (held.lumbetFirstOwner ??= Array.from({ length: 12 }, () => SIGNS[randomInt(SIGNS.length)]).join(""));
