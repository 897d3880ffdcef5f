/** Kinds of room through which people get out. */
export const roomsOfEscape: ReadonlySet<string> = new Set(["hall", "landing"]);
